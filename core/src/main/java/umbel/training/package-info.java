/** Bending instead of cutting: which device, how long, how hard it pulls, and whether limb and crotch will take it. */
package umbel.training;
