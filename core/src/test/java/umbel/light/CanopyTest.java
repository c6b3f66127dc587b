package umbel.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/**
 * Whole canopies against judgements that know nothing of where single leaves stand (see {@link CanopyOracle}), and against
 * ranges published or usual in practice for such orchards.
 */
class CanopyTest {

    private record Canopy(String name, Tree tree, LightReading light, CanopyOracle oracle) {}

    /** Nine systems, most at three ages. */
    private static final List<Canopy> CANOPIES = List.of(
                    "apple tall-spindle 3",
                    "apple tall-spindle 4",
                    "apple tall-spindle 6",
                    "apple vertical-axis 4",
                    "apple vertical-axis 7",
                    "apple vertical-axis 10",
                    "apple central-leader 8",
                    "apple central-leader 15",
                    "apple central-leader 22",
                    "peach open-centre 3",
                    "peach open-centre 6",
                    "peach open-centre 10",
                    "cherry-sweet slender-axe 3",
                    "cherry-sweet slender-axe 5",
                    "cherry-sweet slender-axe 8",
                    "apple espalier 4",
                    "apple espalier 8",
                    "apple espalier 12",
                    "apple cordon 4",
                    "apple cordon 6",
                    "apple cordon 10",
                    "citrus hedge 4",
                    "citrus hedge 8",
                    "citrus hedge 12",
                    "walnut central-leader 8",
                    "walnut central-leader 15",
                    "walnut central-leader 25")
            .stream()
            .map(CanopyTest::grown)
            .toList();

    private static Canopy grown(String name) {
        String[] words = name.split(" ");
        Tree tree = TreeBuilder.build(
                PracticeTree.survey(words[0], words[1], Integer.parseInt(words[2]), 3), Knowledge.shipped(), 3);
        return new Canopy(name, tree, LightModel.read(tree), CanopyOracle.of(tree));
    }

    private static double rms(ToDoubleFunction<Canopy> off) {
        return Math.sqrt(CANOPIES.stream()
                .mapToDouble(one -> off.applyAsDouble(one) * off.applyAsDouble(one))
                .average()
                .orElseThrow());
    }

    @Test
    void sharesOfShadedLeafAgreeWithThePublishedModel() {
        double at30 =
                rms(one -> one.light().leaf().shareUnder(0.3) - one.oracle().under(0.3));
        double at50 =
                rms(one -> one.light().leaf().shareUnder(0.5) - one.oracle().under(0.5));
        System.out.printf("shaded leaf against Jackson and Palmer: rms %.3f under 0.30, %.3f under 0.50%n", at30, at50);
        assertThat(at30).as("under 0.30 of open light").isLessThan(0.08);
        assertThat(at50).as("under 0.50").isLessThan(0.10);
        assertThat(Math.hypot(at30, at50) / Math.sqrt(2)).as("both").isLessThan(0.08);
    }

    @Test
    void sharesOfShadedLeafAgreeWithTheSameLeafSpreadEvenly() {
        double at30 =
                rms(one -> one.light().leaf().shareUnder(0.3) - one.oracle().evenUnder30());
        double at50 =
                rms(one -> one.light().leaf().shareUnder(0.5) - one.oracle().evenUnder50());
        System.out.printf("shaded leaf against leaf spread evenly: rms %.3f under 0.30, %.3f under 0.50%n", at30, at50);
        assertThat(at30).as("under 0.30 of open light").isLessThan(0.08);
        assertThat(at50).as("under 0.50").isLessThan(0.08);
    }

    @Test
    void interceptionAgreesWithThePublishedModel() {
        double off = CANOPIES.stream()
                .mapToDouble(one -> one.light().interception() - one.oracle().interception())
                .average()
                .orElseThrow();
        System.out.printf("interception against Jackson and Palmer: %.3f on average%n", off);
        assertThat(off).as("on average").isCloseTo(0, within(0.06));
        assertThat(CANOPIES)
                .allSatisfy(one -> assertThat(
                                one.light().interception() - one.oracle().interception())
                        .as(one.name())
                        .isBetween(-0.12, 0.06));
    }

    /**
     * Ranges of healthy orchards at their age, wide and rounded: leaf over ground, light caught, share of leaf under 0.30 of open
     * light. See docs/model/canopy.md.
     */
    @ParameterizedTest
    @CsvSource({
        "apple tall-spindle 3, 0.8, 1.2, 0.25, 0.50, 0, 0.05",
        "apple tall-spindle 4, 1.2, 1.7, 0.38, 0.58, 0, 0.25",
        "apple tall-spindle 6, 1.6, 2.3, 0.46, 0.68, 0.10, 0.40",
        "apple vertical-axis 10, 1.6, 2.6, 0.50, 0.65, 0.10, 0.45",
        "apple central-leader 22, 1.8, 2.5, 0.50, 0.75, 0.15, 0.45",
        "peach open-centre 6, 1.8, 4.5, 0.50, 0.75, 0.15, 0.60",
        "walnut central-leader 25, 2.0, 4.5, 0.45, 0.75, 0.20, 0.60"
    })
    void aHealthyCanopyLiesInTheRangesOfPractice(
            String name, double leafLow, double leafHigh, double low, double high, double darkLow, double darkHigh) {
        Canopy one = CANOPIES.stream()
                .filter(it -> it.name().equals(name))
                .findFirst()
                .orElseThrow();
        assertThat(one.oracle().leaf()).as("leaf over ground").isBetween(leafLow, leafHigh);
        assertThat(one.light().interception()).as("light caught").isBetween(low, high);
        assertThat(one.light().leaf().shareUnder(0.3)).as("leaf under 0.30").isBetween(darkLow, darkHigh);
    }

    @ParameterizedTest
    @CsvSource({"central-leader, 1", "central-leader, 2", "central-leader, 3", "modified-central-leader, 3"})
    void aYoungTreeStandingFreeShadesNothing(String system, int leaf) {
        Tree tree = TreeBuilder.build(PracticeTree.survey(system, leaf, 3), Knowledge.shipped(), 3);
        LightReading light = LightModel.read(tree);
        assertThat(CanopyOracle.of(tree).leaf()).isLessThan(0.2);
        assertThat(light.interception()).isLessThan(0.10);
        assertThat(light.shareUnder(0.3)).isZero();
        assertThat(light.shareUnder(0.5)).isLessThanOrEqualTo(0.10);
    }

    @Test
    void bearingTreesCarryTheLeafOfTheirTrunks() {
        for (Canopy one : CANOPIES) {
            double section = one.tree().setting().trunkSection() * 1e4;
            double per = one.tree().leafArea() / section;
            boolean bearing = one.tree().setting().leaf() >= 6;
            if (bearing) {
                // arms in tiers, spurred in every summer, carry less than a tree that grows freely
                double least = one.tree().setting().system().id().equals("espalier") ? 0.15 : 0.18;
                assertThat(per).as(one.name()).isBetween(least, 0.60);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"apple, tall-spindle, 5", "apple, central-leader, 18", "peach, open-centre, 6"})
    void aTreeWhoseWoodWasNotCountedIsAsFull(String species, String system, int leaf) {
        Survey counted = PracticeTree.survey(species, system, leaf, 4);
        List<Survey.LimbMeasure> bare = new ArrayList<>();
        counted.limbs().forEach(limb -> bare.add(limb.bearing(null)));
        Survey sparse = new Survey(
                counted.format(), counted.tree(), counted.site(), counted.surveyedOn(), counted.trunk(), bare);
        Tree full = TreeBuilder.build(counted, Knowledge.shipped(), 1);
        Tree quick = TreeBuilder.build(sparse, Knowledge.shipped(), 1);
        assertThat(quick.leafArea()).isCloseTo(full.leafArea(), within(0.2 * full.leafArea()));
        assertThat(LightModel.read(quick).interception())
                .isCloseTo(LightModel.read(full).interception(), within(0.06));
    }

    @Test
    void whatWasCountedStandsAsCountedAndNothingUnmeasuredIsNamed() {
        for (Canopy one : CANOPIES) {
            assertThat(one.tree().axes())
                    .filteredOn(Axis::isUnmeasured)
                    .allSatisfy(axis -> assertThat(axis.isNamed()).isFalse());
        }
    }
}
