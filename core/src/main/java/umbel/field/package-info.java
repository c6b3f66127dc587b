/** A field on the ground: its outline, the rows that fill it, degrees laid on a plane. */
package umbel.field;
