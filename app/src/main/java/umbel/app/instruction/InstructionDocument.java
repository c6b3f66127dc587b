package umbel.app.instruction;

import java.util.List;
import java.util.Map;
import umbel.instruction.BlockInstruction.Range;
import umbel.instruction.Sentence;

/**
 * A block's instruction as it is kept.
 *
 * @param share of the trees' own plans' gain, cross-validated; null where there were too few trees
 * @param agreeing trees that it would do as their own plans would
 * @param minutesByKind mean minutes a tree by who may do them, looking at it included
 * @param tiesATree mean ties a tree
 * @param before mean light and crop of the sample as it was found, after the instruction, and after the trees' own plans
 */
record InstructionDocument(
        List<SaidSentence> sentences,
        Double share,
        int agreeing,
        List<SampledTree> trees,
        Range minutes,
        Range cuts,
        double plannedMinutes,
        boolean enough,
        Map<String, Double> minutesByKind,
        double tiesATree,
        Outcome before,
        Outcome after,
        Outcome planned) {

    /** A sentence by its form, gauge and limit a tree. */
    record SaidSentence(String form, double gauge, int most) {

        static SaidSentence of(Sentence sentence) {
            return new SaidSentence(sentence.form().word(), sentence.gauge(), sentence.most());
        }

        Sentence sentence() {
            return new Sentence(Sentence.Form.of(form), gauge, most);
        }
    }

    /** A tree of the sample; {@code share} is null where its plan gains nothing. */
    record SampledTree(long treeId, String tree, Double share, boolean agrees, int otherwise, double minutes) {}

    /** Share of fruiting wood in the shade, and the season's crop against the tree left alone. */
    record Outcome(double shade, double crop) {}
}
