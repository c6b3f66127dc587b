/** Health and figures for whoever runs the program: only where a port for them was told. */
package umbel.app.management;
