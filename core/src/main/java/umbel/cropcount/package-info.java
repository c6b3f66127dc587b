/** Counting flower clusters or fruits on a few marked limbs, and what a block's trees will carry by that; see docs/model/crop-count.md. */
package umbel.cropcount;
