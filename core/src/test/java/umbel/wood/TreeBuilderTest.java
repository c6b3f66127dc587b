package umbel.wood;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.NotSupported;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.Surveys;

class TreeBuilderTest {

    static Stream<Arguments> practiceTrees() {
        return Stream.of("central-leader:22", "modified-central-leader:7", "tall-spindle:4", "open-centre:6")
                .flatMap(one -> Stream.of(1L, 2L, 3L, 4L)
                        .map(seed -> Arguments.of(one.split(":")[0], Integer.parseInt(one.split(":")[1]), seed)));
    }

    @ParameterizedTest
    @MethodSource("practiceTrees")
    void whatWasMeasuredIsOnTheTree(String system, int leaf, long seed) {
        Survey survey = PracticeTree.survey(system, leaf, seed);
        Tree tree = build(survey, seed);
        for (Survey.LimbMeasure measured : survey.limbs()) {
            Axis limb = tree.find(measured.id()).orElseThrow();
            assertThat(limb.length()).isCloseTo(measured.lengthCm() / 100, within(1e-9));
            assertThat(limb.baseDiameter()).isCloseTo(measured.diameterMm() / 1000, within(1e-9));
            assertThat(Math.toDegrees(limb.baseInclination())).isCloseTo(measured.angleDeg(), within(1e-6));
            assertThat(limb.at()).isCloseTo(measured.atCm() / 100, within(1e-9));
            assertThat(limb.provenance()).isEqualTo(Provenance.MEASURED);
            Axis parent = tree.axis(limb.parent());
            assertThat(limb.course()
                            .point(0)
                            .minus(parent.course().at(limb.at()))
                            .length())
                    .isLessThan(1e-9);
            double off = Math.abs(Math.toDegrees(limb.bearing()) - measured.bearingDeg());
            assertThat(Math.min(off, 360 - off))
                    .as("bearing of limb %s", measured.id())
                    .isLessThan(16);
        }
    }

    @ParameterizedTest
    @MethodSource("practiceTrees")
    void everyShootAndSpurCountedIsOnItsLimb(String system, int leaf, long seed) {
        Survey survey = PracticeTree.survey(system, leaf, seed);
        Tree tree = build(survey, seed);
        for (Survey.LimbMeasure measured : survey.limbs()) {
            for (Survey.ShootCount count : measured.wood().shoots()) {
                List<Axis> shoots = tree.smallWoodOn(measured.id()).stream()
                        .filter(axis -> axis.kind() == AxisKind.SHOOT)
                        .filter(axis -> axis.shootClass() == ShootClass.of(count.shootClass()))
                        .filter(axis -> axis.attitude() == Attitude.of(count.attitude()))
                        .toList();
                assertThat(shoots).hasSize(count.count());
                if (count.count() > 0) {
                    double mean =
                            shoots.stream().mapToDouble(Axis::length).average().orElseThrow();
                    assertThat(mean).as("mean length").isCloseTo(count.lengthCm() / 100, within(1e-9));
                }
            }
            long spurs = tree.smallWoodOn(measured.id()).stream()
                    .filter(axis -> axis.kind() == AxisKind.SPUR)
                    .count();
            assertThat(spurs).isEqualTo(measured.wood().spurs().count());
        }
    }

    @ParameterizedTest
    @MethodSource("practiceTrees")
    void parentsComeBeforeTheirChildrenAndThicknessOnlyFalls(String system, int leaf, long seed) {
        Tree tree = build(PracticeTree.survey(system, leaf, seed), seed);
        for (Axis axis : tree.axes()) {
            assertThat(axis.parent()).isLessThan(axis.index());
            assertThat(tree.axis(axis.index())).isSameAs(axis);
            for (int i = 1; i < axis.diameters().length; i++) {
                assertThat(axis.diameters()[i])
                        .isLessThanOrEqualTo(axis.diameters()[i - 1] + 1e-12)
                        .isPositive();
            }
        }
    }

    @ParameterizedTest
    @MethodSource("practiceTrees")
    void theSameSeedGivesTheSameTree(String system, int leaf, long seed) {
        Survey survey = PracticeTree.survey(system, leaf, seed);
        Tree once = build(survey, 9);
        Tree again = build(survey, 9);
        Tree other = build(survey, 10);
        assertThat(lastPlaces(again)).isEqualTo(lastPlaces(once));
        assertThat(lastPlaces(other)).isNotEqualTo(lastPlaces(once));
    }

    @Test
    void changingOneLimbLeavesTheTwigsOfAnotherWhereTheyWere() {
        Surveys before = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 55, 40, 150, 6, Surveys.spurs(20, 2))
                .limb("2", "trunk", "scaffold", 100, 140, 55, 40, 150, 6, Surveys.spurs(20, 2));
        Surveys after = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 70, 35, 120, 6, Surveys.spurs(31, 3))
                .limb("2", "trunk", "scaffold", 100, 140, 55, 40, 150, 6, Surveys.spurs(20, 2));
        assertThat(placesOn(after.tree(), "2")).isEqualTo(placesOn(before.tree(), "2"));
    }

    @Test
    void countedFlowerBudsAreHonoured() {
        Survey.SmallWood wood = new Survey.SmallWood(
                List.of(new Survey.ShootCount("pencil", "side", 5, 30.0)), new Survey.SpurCount(10, 2.0), 37);
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 55, 40, 150, 6, wood)
                .tree();
        double buds = tree.axes().stream()
                .filter(axis -> axis.limb().equals("1") && !axis.isUnmeasured())
                .mapToDouble(Axis::flowerBuds)
                .sum();
        assertThat(buds).isCloseTo(37, within(1e-9));
    }

    @Test
    void noFlowerBudsCountedMeansNone() {
        Survey.SmallWood wood = new Survey.SmallWood(List.of(), new Survey.SpurCount(10, 2.0), 0);
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 55, 40, 150, 6, wood)
                .tree();
        assertThat(tree.smallWoodOn("1")).hasSize(10).allMatch(axis -> axis.flowerBuds() == 0);
    }

    @Test
    void theTrunkIsAsThickAsMeasuredWhereItWasMeasured() {
        Tree tree = Surveys.apple().scaffold("1", 80, 0, 55, 40, 150).tree();
        assertThat(tree.trunk().diameterAt(0.30)).isCloseTo(0.100, within(1e-3));
        assertThat(tree.trunk().diameterAt(0.85))
                .as("thinner past a fork")
                .isLessThan(tree.trunk().diameterAt(0.75));
        assertThat(tree.trunk().course().top()).isCloseTo(3.5, within(1e-9));
    }

    @Test
    void aDeadLimbCarriesNoLeafNorBud() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 55, 40, 150, 6, Surveys.spurs(20, 2))
                .noted("dead", null)
                .tree();
        assertThat(tree.axes().stream().filter(axis -> axis.limb().equals("1")))
                .isNotEmpty()
                .allMatch(axis -> axis.leafArea() == 0 && axis.flowerBuds() == 0 && axis.siteWeight() == 0);
    }

    @Test
    void whatTheSurveyLeavesOutIsNamedAsEstimated() {
        Survey full = Surveys.apple().scaffold("1", 80, 0, 55, 40, 150).survey();
        assertThat(build(full, 1).setting().estimated()).isEmpty();
        Survey scant = new Survey(
                Survey.FORMAT,
                new Survey.TreeFacts(null, "apple", null, null, null, null, null, null),
                null,
                null,
                new Survey.TrunkMeasure(80, null, 300, null),
                full.limbs());
        Tree tree = build(scant, 1);
        assertThat(tree.setting().estimated())
                .contains(
                        "tree.leaf",
                        "tree.system",
                        "tree.spacing_m",
                        "site.latitude_deg",
                        "trunk.unionAt_cm",
                        "tree.rootstock.class");
        assertThat(tree.setting().system().id()).isEqualTo("central-leader");
        assertThat(tree.setting().leaf()).isBetween(5, 20);
    }

    @Test
    void smallWoodNobodyCountedIsMarkedEstimated() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 55, 40, 150, 6, null)
                .tree();
        assertThat(tree.smallWoodOn("1")).isNotEmpty().allMatch(axis -> axis.provenance() == Provenance.ESTIMATED);
        Tree counted = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 55, 40, 150, 6, Surveys.spurs(3, 2))
                .tree();
        assertThat(counted.smallWoodOn("1").stream().filter(axis -> axis.kind() == AxisKind.SPUR))
                .hasSize(3)
                .allMatch(axis -> axis.provenance() == Provenance.COUNTED);
    }

    @Test
    void anUncountedPeachLimbIsNotAnAppleLimb() {
        Tree apple = Surveys.apple()
                .limb("1", "trunk", "scaffold", 50, 0, 50, 45, 200, 5, null)
                .tree();
        Tree peach = Surveys.peach()
                .limb("1", "trunk", "scaffold", 50, 0, 50, 45, 200, 5, null)
                .tree();
        assertThat(count(peach, AxisKind.SHOOT)).isGreaterThan(1.3 * count(apple, AxisKind.SHOOT));
        assertThat(count(apple, AxisKind.SPUR)).isGreaterThan(3 * count(peach, AxisKind.SPUR));
    }

    @Test
    void aTipBearerHasFewerSpursThanASpurType() {
        Surveys limb = Surveys.apple().limb("1", "trunk", "scaffold", 80, 0, 55, 40, 180, 6, null);
        double tip = count(limb.habit("tip").tree(), AxisKind.SPUR);
        double spur = count(limb.habit("spur").tree(), AxisKind.SPUR);
        assertThat(spur).isGreaterThan(2 * tip);
    }

    @Test
    void attitudesPointWhereTheyAreSaidTo() {
        for (Attitude attitude : Attitude.values()) {
            Tree tree = Surveys.apple()
                    .limb(
                            "1",
                            "trunk",
                            "scaffold",
                            80,
                            90,
                            60,
                            40,
                            180,
                            6,
                            Surveys.shoots("pencil", attitude.word(), 30, 40))
                    .tree();
            double rise = tree.smallWoodOn("1").stream()
                    .mapToDouble(axis -> axis.course().directionAt(0).z())
                    .average()
                    .orElseThrow();
            double outward = tree.smallWoodOn("1").stream()
                    .mapToDouble(axis -> axis.course().directionAt(0).x())
                    .average()
                    .orElseThrow();
            switch (attitude) {
                case UP -> assertThat(rise).isGreaterThan(0.8);
                case DOWN -> assertThat(rise).isLessThan(-0.2);
                case IN -> assertThat(outward).isLessThan(-0.5);
                case OUT -> assertThat(outward).isGreaterThan(0.5);
                case SIDE -> assertThat(rise).isBetween(0.0, 0.8);
            }
        }
    }

    @Test
    void woodAgesFromTheTipInward() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 55, 40, 150, 6, Surveys.bare())
                .tree();
        Axis limb = tree.find("1").orElseThrow();
        assertThat(limb.ageAt(limb.length())).isEqualTo(1);
        assertThat(limb.ageAt(0.01)).isEqualTo(6);
        int before = 99;
        for (double s = 0.01; s < limb.length(); s += 0.05) {
            assertThat(limb.ageAt(s)).isLessThanOrEqualTo(before);
            before = limb.ageAt(s);
        }
    }

    @Test
    void aStraightRodHasTheVolumeOfACone() {
        Course course = new Course(List.of(new Vec(0, 0, 0), new Vec(0, 0, 1), new Vec(0, 0, 2)));
        Axis rod = rod(course, new double[] {0.1, 0.1, 0.1});
        assertThat(rod.volume(0, 2)).isCloseTo(Math.PI * 0.05 * 0.05 * 2, within(1e-12));
        assertThat(rod.volume(0.5, 1.25)).isCloseTo(Math.PI * 0.05 * 0.05 * 0.75, within(1e-12));
        Axis taper = rod(course, new double[] {0.2, 0.1, 1e-9});
        assertThat(taper.volume(0, 2)).isCloseTo(Math.PI * 0.1 * 0.1 * 2 / 3, within(1e-9));
    }

    @Test
    void bendingTurnsALimbAndAllItCarriesAboutItsOrigin() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 30, 35, 20, 120, 3, Surveys.spurs(10, 2))
                .limb("1a", "1", "lateral", 60, 80, 60, 8, 40, 2, Surveys.bare())
                .scaffold("2", 95, 170, 55, 40, 150)
                .tree();
        Tree bent = tree.bent("1", Math.toRadians(60));
        Axis limb = bent.find("1").orElseThrow();
        assertThat(Math.toDegrees(limb.baseInclination())).isCloseTo(60, within(1e-6));
        assertThat(limb.length()).isCloseTo(1.2, within(1e-9));
        assertThat(limb.course().point(0))
                .isEqualTo(tree.find("1").orElseThrow().course().point(0));
        Axis lateral = bent.find("1a").orElseThrow();
        assertThat(lateral.course().point(0).minus(limb.course().at(0.6)).length())
                .isLessThan(1e-9);
        assertThat(bent.find("2").orElseThrow().course())
                .isSameAs(tree.find("2").orElseThrow().course());
    }

    @Test
    void aSystemWithoutAFileCannotBeBuilt() {
        Survey survey =
                Surveys.apple().scaffold("1", 80, 0, 55, 40, 150).as("pyramid").survey();
        assertThatThrownBy(() -> build(survey, 1)).isInstanceOf(NotSupported.class);
    }

    private static Axis rod(Course course, double[] diameters) {
        return new Axis(
                0,
                "trunk",
                "trunk",
                AxisKind.TRUNK,
                Role.LEADER,
                -1,
                0,
                course,
                diameters,
                3,
                0,
                java.util.Set.of(),
                "",
                Provenance.MEASURED,
                null,
                null,
                0,
                0,
                0);
    }

    private static Tree build(Survey survey, long seed) {
        return TreeBuilder.build(survey, Knowledge.shipped(), seed);
    }

    private static double count(Tree tree, AxisKind kind) {
        return tree.smallWoodOn("1").stream()
                .filter(axis -> axis.kind() == kind)
                .count();
    }

    private static List<Vec> lastPlaces(Tree tree) {
        return tree.axes().stream().map(axis -> axis.course().at(axis.length())).toList();
    }

    private static List<Vec> placesOn(Tree tree, String limb) {
        return tree.axes().stream()
                .filter(axis -> axis.limb().equals(limb))
                .map(axis -> axis.course().at(axis.length()))
                .toList();
    }
}
