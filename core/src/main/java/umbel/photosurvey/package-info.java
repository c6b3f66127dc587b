/**
 * Measures a tree in one or two photographs: a staff of known length gives each picture its place, touched points give each limb its
 * base, bend and tip, and both views together give directions, angles and lengths with their errors. See docs/model/photographs.md.
 */
package umbel.photosurvey;
