package umbel.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.growth.Grove.Specimen;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Parameters;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;

/** What is read out of a tree about the spring to come. */
class SpringTest {

    private static final Parameters PARAMETERS = Knowledge.shipped().parameters();

    private static Stream<Specimen> bearing() {
        return Grove.bearing(2).stream();
    }

    @ParameterizedTest
    @MethodSource("bearing")
    void aBearingTreeLeftAloneFillsUpByTwoThirdsAtMostInASeason(Specimen one) {
        TreeState stand = one.stand();
        double before = new LeafArea(stand.tree()).all();
        double after = new LeafArea(Season.grow(stand, Season.Work.NONE).after().tree()).all();
        assertThat(after / before).isBetween(0.8, 1.67);
    }

    @ParameterizedTest
    @MethodSource("bearing")
    void itsEndsGrowAboutAsTheyDid(Specimen one) {
        TreeState stand = one.stand();
        Tree next = Season.grow(stand, Season.Work.NONE).after().tree();
        double before = grownByEnds(stand.tree(), stand.tree());
        double after = grownByEnds(next, stand.tree());
        assertThat(after / before).isBetween(0.5, 1.3);
    }

    /** Growth of the ends a tree had when it was found, metres. */
    private static double grownByEnds(Tree tree, Tree found) {
        return tree.axes().stream()
                .filter(axis -> axis.kind() != AxisKind.SPUR)
                .filter(axis -> found.find(axis.id()).isPresent())
                .mapToDouble(Axis::lastGrowth)
                .sum();
    }

    @Test
    void theShareOfWeakBudsThatBecomeSpursKeepsToItsBounds() {
        List<Double> bounds = PARAMETERS.growth().start().inferred().spurring();
        for (Specimen one : Grove.young(2)) {
            assertThat(one.stand().traits().spurring()).isBetween(bounds.get(0), bounds.get(1));
        }
    }

    /** Against an end of 35 cm, by the square root, within 0.5 and 1.4. */
    @ParameterizedTest
    @CsvSource({"0.35, 1.0", "0.0875, 0.5", "0.02, 0.5", "0.56, 1.2649", "1.5, 1.4"})
    void anEndIsTheStrongerTheMoreItGrew(double grown, double strength) {
        assertThat(PARAMETERS.growth().sinks().tipVigour().of(grown)).isCloseTo(strength, within(1e-3));
    }
}
