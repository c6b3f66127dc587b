package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.SurveyParameters;
import umbel.survey.Survey;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.FruitingWood;
import umbel.wood.Provenance;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * Counts of small wood that a limb of its thickness does not carry: legal, but asked about. The leaf on what was counted is
 * held against what the limb's section feeds in a tree that has its full leaf.
 */
final class OddCounts {

    private OddCounts() {}

    /**
     * The questions about the counts of a survey.
     *
     * @param tree built from it
     */
    static List<SurveyQuery> of(Survey survey, Tree tree) {
        SurveyParameters.Counts lines = tree.setting().parameters().survey().counts();
        double perSection = FruitingWood.fullPerSection(tree.setting());
        List<SurveyQuery> queries = new ArrayList<>();
        for (Survey.LimbMeasure measured : survey.limbs()) {
            if (measured.wood() == null || perSection <= 0) {
                continue;
            }
            Axis limb = tree.find(measured.id()).orElseThrow();
            double feeds = perSection * Units.section(limb.baseDiameter());
            double carries = counted(tree, limb.id());
            boolean many = carries > lines.leafLeast() && carries > lines.most() * feeds;
            boolean few = "all".equals(measured.wood().counted())
                    && feeds > lines.leafLeast()
                    && carries < lines.least() * feeds;
            if (many || few) {
                Statement question = many
                        ? Statement.of("count.many").with("times", Value.number(carries / feeds, 1))
                        : Statement.of("count.few").with("share", Value.share(carries / feeds));
                queries.add(new SurveyQuery(limb.id(), question.with("thick", Value.thickness(limb.baseDiameter()))));
            }
        }
        return queries;
    }

    /** Leaf on the small wood that was counted on a limb, m². */
    private static double counted(Tree tree, String limb) {
        return tree.axes().stream()
                .filter(axis -> axis.limb().equals(limb) && axis.provenance() == Provenance.COUNTED)
                .mapToDouble(Axis::leafArea)
                .sum();
    }
}
