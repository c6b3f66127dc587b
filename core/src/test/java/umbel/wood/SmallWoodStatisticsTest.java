package umbel.wood;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;
import umbel.survey.Surveys;

/** Estimated small wood measures as its species should: densities, mixes, lengths, thickness, where it stands. */
class SmallWoodStatisticsTest {

    /** Eight equal limbs of which nothing was counted, so that the estimates show. */
    private static Tree uncounted(String species, String system) {
        Surveys tree = Surveys.apple().kind(species).as(system).trunk(120, 380);
        for (int i = 0; i < 8; i++) {
            tree.limb("l" + i, "trunk", "scaffold", 80 + 20 * i, 47 * i, 60, 40, 220, 7, null);
        }
        return tree.tree();
    }

    private static List<Axis> small(Tree tree, AxisKind kind, Predicate<Axis> which) {
        return tree.axes().stream()
                .filter(axis -> axis.kind() == kind && !axis.limb().equals("trunk") && which.test(axis))
                .toList();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"apple", "pear", "peach", "cherry-sweet", "cherry-sour", "plum-japanese", "citrus", "walnut"})
    void densityAndMixAreTheSpecies(String id) {
        Species species = Knowledge.shipped().species(id);
        Tree tree = uncounted(id, "central-leader");
        double old = tree.limbs().stream()
                .mapToDouble(limb -> limb.length() - limb.lastGrowth() - Math.min(0.7, limb.length() * 0.185))
                .sum();
        List<Axis> shoots = small(tree, AxisKind.SHOOT, axis -> true);
        List<Axis> spurs = small(tree, AxisKind.SPUR, axis -> true);
        assertThat(shoots.size() / old).isCloseTo(species.estimates().shootsPerMetre(), within(1.2));
        assertThat(spurs.size() / old).isCloseTo(species.estimates().spursPerMetre(), within(1.2));
        double pencils = small(tree, AxisKind.SHOOT, axis -> axis.shootClass() == ShootClass.PENCIL)
                        .size()
                / (double) shoots.size();
        assertThat(pencils).isCloseTo(species.estimates().shootMix().get("pencil"), within(0.16));
        double up = small(tree, AxisKind.SHOOT, axis -> axis.attitude() == Attitude.UP)
                        .size()
                / (double) shoots.size();
        assertThat(up).isCloseTo(species.estimates().attitudeMix().get("up"), within(0.12));
        double mean = small(tree, AxisKind.SHOOT, axis -> axis.shootClass() == ShootClass.PENCIL).stream()
                .mapToDouble(Axis::length)
                .average()
                .orElseThrow();
        assertThat(100 * mean).isCloseTo(species.wood().shootLengthCm().get("pencil"), within(2.0));
    }

    @Test
    void aPeachIsNotAnApple() {
        Tree peach = uncounted("peach", "open-centre");
        Tree apple = uncounted("apple", "central-leader");
        assertThat(metresOfShoot(peach)).isGreaterThan(2.5 * metresOfShoot(apple));
        assertThat(small(apple, AxisKind.SPUR, axis -> true).size())
                .isGreaterThan(3 * small(peach, AxisKind.SPUR, axis -> true).size());
        assertThat(flowers(peach, AxisKind.SHOOT)).isGreaterThan(0.9 * allFlowers(peach));
        assertThat(flowers(apple, AxisKind.SPUR)).isGreaterThan(0.8 * allFlowers(apple));
    }

    @Test
    void aPearIsMoreUprightThanASourCherry() {
        assertThat(meanLean(uncounted("pear", "central-leader")))
                .isLessThan(meanLean(uncounted("cherry-sour", "central-leader")) - 8);
    }

    @Test
    void shootsPointAsTheirAttitudeSays() {
        Tree tree = uncounted("apple", "central-leader");
        assertThat(meanLean(tree, Attitude.UP)).isLessThan(40);
        assertThat(meanLean(tree, Attitude.DOWN)).isGreaterThan(100);
        assertThat(meanLean(tree, Attitude.SIDE)).isBetween(35.0, 85.0);
    }

    @Test
    void smallWoodStandsOnItsHostAndMoreOfItOutward() {
        Tree tree = uncounted("apple", "central-leader");
        double out = 0;
        int count = 0;
        for (Axis axis : tree.axes()) {
            if (axis.kind().isSmallWood()) {
                Axis host = tree.axis(axis.parent());
                double gap = host.course()
                        .at(axis.at())
                        .minus(axis.course().point(0))
                        .length();
                assertThat(gap).isLessThan(host.diameterAt(axis.at()) * 0.51 + 1e-9);
                if (host.kind() == AxisKind.LIMB) {
                    out += axis.at() / host.length();
                    count++;
                }
            }
        }
        assertThat(out / count).isGreaterThan(0.5);
    }

    private static double metresOfShoot(Tree tree) {
        return small(tree, AxisKind.SHOOT, axis -> true).stream()
                .mapToDouble(Axis::length)
                .sum();
    }

    private static double flowers(Tree tree, AxisKind kind) {
        return small(tree, kind, axis -> true).stream()
                .mapToDouble(Axis::flowerBuds)
                .sum();
    }

    private static double allFlowers(Tree tree) {
        return flowers(tree, AxisKind.SHOOT) + flowers(tree, AxisKind.SPUR);
    }

    private static double meanLean(Tree tree) {
        return small(tree, AxisKind.SHOOT, axis -> true).stream()
                .mapToDouble(axis -> Math.toDegrees(axis.course()
                        .at(axis.length())
                        .minus(axis.course().point(0))
                        .inclination()))
                .average()
                .orElseThrow();
    }

    private static double meanLean(Tree tree, Attitude attitude) {
        return small(tree, AxisKind.SHOOT, axis -> axis.attitude() == attitude).stream()
                .mapToDouble(axis -> Math.toDegrees(axis.course()
                        .at(axis.length())
                        .minus(axis.course().point(0))
                        .inclination()))
                .average()
                .orElseThrow();
    }
}
