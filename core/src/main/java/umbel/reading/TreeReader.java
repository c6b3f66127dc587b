package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.crop.CropReading;
import umbel.knowledge.LightLines;
import umbel.knowledge.School;
import umbel.light.LightModel;
import umbel.light.LightReading;
import umbel.wood.Tree;

/** Reads a whole tree: light, crop, and every finding in the order of the work. */
public final class TreeReader {

    private TreeReader() {}

    /**
     * What a practised eye sees.
     *
     * @param light light at the fruiting sites
     * @param crop flower buds and fruits against the target
     * @param lines light under which the school counts fruiting wood as shaded
     * @param findings in the order of the work
     */
    public record Reading(LightReading light, CropReading crop, LightLines lines, List<Finding> findings) {

        /** Share of fruiting sites with less light than fruit needs. */
        public double underFruitLight() {
            return light.shareUnder(lines.fruit());
        }

        /** The same reading with other findings, as with these once it is known how sure they are. */
        public Reading withFindings(List<Finding> others) {
            return new Reading(light, crop, lines, others);
        }
    }

    /**
     * Reads a tree for itself.
     *
     * @param reach height a person on the ground reaches, metres
     */
    public static Reading read(Tree tree, School school, double reach) {
        return read(tree, school, reach, Neighbours.NONE);
    }

    /** Reads a tree among its neighbours and against its past. */
    public static Reading read(Tree tree, School school, double reach, Neighbours neighbours) {
        return read(tree, school, LightModel.read(tree), reach, neighbours);
    }

    /** What the eye will see on a tree that is only expected: by the coarse light of the search. */
    public static Reading expected(Tree tree, School school, double reach) {
        return read(tree, school, LightModel.readCoarse(tree, 1), reach, Neighbours.NONE);
    }

    private static Reading read(Tree tree, School school, LightReading light, double reach, Neighbours neighbours) {
        CropReading crop = CropReading.of(tree, light, CropReading.target(tree));
        return new Reading(
                light, crop, school.thresholds().lightLines(), findings(tree, school, light, reach, neighbours));
    }

    /** The findings of a tree whose light is known, in the order of the work. */
    public static List<Finding> findings(Tree tree, School school, LightReading light, double reach) {
        return findings(tree, school, light, reach, Neighbours.NONE);
    }

    /** The findings of a tree whose light is known, among its neighbours and against its past. */
    public static List<Finding> findings(
            Tree tree, School school, LightReading light, double reach, Neighbours neighbours) {
        RuleContext context = new RuleContext(tree, school, light, reach, neighbours);
        List<Finding> findings = new ArrayList<>();
        for (Rule rule : Rules.all()) {
            for (Finding finding : rule.read(context)) {
                findings.add(finding.judgedBy(rule.judgedBy(context, finding)));
            }
        }
        findings.sort(Comparator.comparing(Finding::stage));
        return findings;
    }
}
