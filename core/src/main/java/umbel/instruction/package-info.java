/**
 * From a few surveyed trees to what is said to a crew for the whole block, and from finished trees back to how it was done; see
 * docs/model/instruction.md.
 */
package umbel.instruction;
