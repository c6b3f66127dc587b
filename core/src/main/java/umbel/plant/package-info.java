/**
 * Plants, as the program around the core sees them: what was surveyed, what is wrong with it, what a visit comes to, what it
 * will be, how it is drawn and told. A tree that is surveyed limb by limb, or a plant of which canes and buds are counted,
 * stands behind it.
 */
package umbel.plant;
