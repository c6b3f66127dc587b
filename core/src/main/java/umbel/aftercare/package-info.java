/** What is done after the last cut of a visit: wounds, bared bark, tools and prunings. */
package umbel.aftercare;
