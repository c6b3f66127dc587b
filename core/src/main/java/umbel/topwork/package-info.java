/** A tree cut to a stump and grafted anew: where it is cut, what follows year by year, and what it comes to. */
package umbel.topwork;
