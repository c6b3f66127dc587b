package umbel.plant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import umbel.aftercare.AfterTask;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.assess.Mark;
import umbel.growth.Comparison;
import umbel.growth.Comparison.Measure;
import umbel.knowledge.Knowledge;
import umbel.knowledge.LearningParameters;
import umbel.practice.PracticeTree;
import umbel.reading.MeasuredFactors;
import umbel.reading.Neighbours;

/** What is measured on a tree besides its survey is held against what was expected, and what is learned changes its reading. */
class MeasuredTreeTest {

    private static final Assessor ASSESSOR = new Assessor(Knowledge.shipped());
    private static final LearningParameters RULES =
            Knowledge.shipped().parameters().learning();
    private static final AssessRequest ASKED = AssessRequest.of(PracticeTree.survey("apple", "central-leader", 12, 4));
    private static final SurveyedTree TREE = SurveyedTree.read(ASSESSOR, ASKED, Neighbours.NONE);
    private static final String LIMB = TREE.tree().limbs().get(0).id();
    private static final List<Mark> CUT = List.of(new Mark("remove", LIMB, null, null, null, null));

    private static SurveyedTree taught(double leaf, double prunings) {
        return SurveyedTree.read(ASSESSOR, ASKED, Neighbours.NONE.measured(new MeasuredFactors(leaf, prunings)));
    }

    private static Comparison.Measured only(Comparison comparison) {
        assertThat(comparison.measures()).hasSize(1);
        return comparison.measures().get(0);
    }

    @Test
    void pruningsAreHeldAgainstTheWoodThatFell() {
        Comparison.Measured weighed = only(TREE.weighed(CUT, 5));
        double fell = TREE.visit(CUT).steps().get(0).effect().mass();
        assertThat(weighed.measure()).isEqualTo(Measure.PRUNING_WEIGHT);
        assertThat(weighed.foretold().middle()).isCloseTo(fell, within(1e-9));
        // nine in ten of a lognormal with sigma 0.3: a factor of exp(1.645 · 0.3) = 1.638 either way
        assertThat(weighed.foretold().high()).isCloseTo(1.638 * fell, within(0.002 * fell));
        assertThat(weighed.foretold().low()).isCloseTo(fell / 1.638, within(0.002 * fell));
        assertThat(only(TREE.weighed(CUT, fell)).right()).isTrue();
        assertThat(only(TREE.weighed(CUT, 2 * fell)).right()).isFalse();
        assertThat(only(TREE.weighed(List.of(), 5)).foretold().middle()).isZero();
    }

    @Test
    void cuttingLetsMoreSkyThrough() {
        double before = only(TREE.photographed(List.of(), 0.3)).foretold().middle();
        double after = only(TREE.photographed(CUT, 0.3)).foretold().middle();
        assertThat(after).isGreaterThan(before);
    }

    @Test
    void aCropIsHeldAgainstTheSeasonOfItsSurvey() {
        Comparison.Measured picked = only(TREE.picked(List.of(), 60));
        assertThat(picked.measure()).isEqualTo(Measure.CROP);
        assertThat(picked.found()).isEqualTo(60);
        assertThat(picked.foretold().low())
                .isPositive()
                .isLessThanOrEqualTo(picked.foretold().middle());
        assertThat(picked.foretold().high())
                .isGreaterThanOrEqualTo(picked.foretold().middle());
        assertThat(only(TREE.picked(CUT, 60)).foretold().middle())
                .as("a limb less bears less")
                .isLessThan(picked.foretold().middle());
    }

    @Test
    void whatIsLearnedIsDrawnTowardsTheUsualAndHeldWithinBounds() {
        List<Comparison> twice = List.of(
                TREE.weighed(CUT, 2 * TREE.visit(CUT).steps().get(0).effect().mass()));
        // one tree against four usual ones
        assertThat(MeasuredFactors.of(twice, RULES).prunings()).isCloseTo(Math.exp(Math.log(2) / 5), within(1e-6));
        assertThat(MeasuredFactors.of(twice, RULES).leaf()).isEqualTo(1);
        List<Comparison> many = Collections.nCopies(200, TREE.weighed(CUT, 1000));
        assertThat(MeasuredFactors.of(many, RULES).prunings()).isEqualTo(RULES.most());
        assertThat(MeasuredFactors.of(List.of(), RULES)).isEqualTo(MeasuredFactors.NONE);
    }

    @Test
    void moreLeafMeansMoreShadeAndAFullerTree() {
        SurveyedTree fuller = taught(1.4, 1);
        assertThat(fuller.tree().leafArea()).isCloseTo(1.4 * TREE.tree().leafArea(), within(1e-6));
        assertThat(fuller.shade()).isGreaterThan(TREE.shade());
        assertThat(fuller.reading().light().interception())
                .isGreaterThan(TREE.reading().light().interception());
        assertThat(taught(0.7, 1).shade()).isLessThan(TREE.shade());
        assertThat(fuller.tree().limbs())
                .as("wood stays")
                .hasSameSizeAs(TREE.tree().limbs());
    }

    @Test
    void theWeightsToldAfterTheLastCutFollowWhatWasWeighed() {
        assertThat(told(taught(1, 1.5))).isNotEqualTo(told(TREE));
        assertThat(told(taught(1, 1))).isEqualTo(told(TREE));
    }

    private static String told(SurveyedTree tree) {
        return tree.afterwards(CUT).stream()
                .filter(task -> task.kind() == AfterTask.Kind.PRUNINGS)
                .map(task -> task.what().toString())
                .collect(Collectors.joining());
    }
}
