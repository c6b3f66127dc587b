package umbel.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.cut.TargetAxes;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;
import umbel.light.FruitingSite;
import umbel.light.LightField;
import umbel.light.LightModel;
import umbel.practice.PracticeTree;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** One season of a tree, and the pieces it is made of. */
class SeasonTest {

    private static final Tree TREE =
            TreeBuilder.build(PracticeTree.survey("apple", "central-leader", 7, 4), Knowledge.shipped(), 1);

    private static Season.Year grown() {
        return Season.grow(InitialState.of(TREE, 1), Season.Work.NONE);
    }

    @Test
    void theSameTreeAndSeedGrowTheSame() {
        Tree one = grown().after().tree();
        Tree other = grown().after().tree();
        assertThat(one.axes()).hasSameSizeAs(other.axes());
        for (int i = 0; i < one.axes().size(); i++) {
            assertThat(one.axis(i).id()).isEqualTo(other.axis(i).id());
            assertThat(one.axis(i).length()).isEqualTo(other.axis(i).length());
            assertThat(one.axis(i).flowerBuds()).isEqualTo(other.axis(i).flowerBuds());
        }
    }

    @Test
    void theGrownTreeIsATreeLikeAnyOther() {
        Tree tree = grown().after().tree();
        Set<String> ids = new HashSet<>();
        for (Axis axis : tree.axes()) {
            assertThat(ids.add(axis.id())).as(axis.id()).isTrue();
            assertThat(axis.parent()).isLessThan(axis.index());
            if (axis.parent() >= 0) {
                Axis host = tree.axis(axis.parent());
                assertThat(axis.at()).isLessThanOrEqualTo(host.length() + 1e-9);
                assertThat(axis.course()
                                .point(0)
                                .minus(host.course().at(axis.at()))
                                .length())
                        .isLessThan(0.05);
            }
            assertThat(axis.diameters()).hasSize(axis.course().size());
        }
        assertThat(tree.setting().leaf()).isEqualTo(TREE.setting().leaf() + 1);
        assertThat(LightModel.read(tree).light()).isNotEmpty();
    }

    @Test
    void woodOnlyThickensAndMeasuredLimbsKeepTheirNamesAndPlaces() {
        Tree tree = grown().after().tree();
        for (Axis limb : TREE.limbs()) {
            Axis now = tree.find(limb.id()).orElseThrow();
            assertThat(now.baseDiameter()).isGreaterThanOrEqualTo(limb.baseDiameter());
            assertThat(now.length()).isGreaterThanOrEqualTo(limb.length() - 1e-9);
            assertThat(now.course().point(0)).isEqualTo(limb.course().point(0));
        }
    }

    @Test
    void aShootThatHasWinteredIsALateral() {
        Tree tree = grown().after().tree();
        Axis shoot = TREE.axes().stream()
                .filter(axis -> axis.kind() == AxisKind.SHOOT)
                .findFirst()
                .orElseThrow();
        tree.find(shoot.id()).ifPresent(now -> {
            assertThat(now.kind()).isEqualTo(AxisKind.LATERAL);
            assertThat(now.age()).isEqualTo(2);
        });
    }

    @Test
    void withoutFlowersThereIsNoFruit() {
        Season.Year year = Season.grow(
                InitialState.of(TREE, 1), new Season.Work(List.of(), Moment.DORMANT, List.of(), true, true));
        assertThat(year.fruits()).isZero();
    }

    @Test
    void workOnALimbThatIsNotThereIsPassedOver() {
        Season.Year year = Season.grow(
                InitialState.of(TREE, 1), Season.Work.dormant(List.of(Operation.remove(Target.parse("no such limb")))));
        assertThat(year.after().tree().axes())
                .hasSameSizeAs(grown().after().tree().axes());
    }

    @Test
    void aCutInLeafTakesWhatHasGrownByThen() {
        TreeState stand = InitialState.of(TREE, 1);
        String limb = TREE.limbs().get(0).id();
        Tree tree = Season.grow(stand, Season.Work.inLeaf(List.of(Operation.remove(Target.parse(limb)))))
                .after()
                .tree();
        assertThat(tree.find(limb)).isEmpty();
    }

    @Test
    void headingInLeafIsAnsweredInTheSameSummerByLessThanInTheSpringAfterAWinterHeading() {
        TreeState stand = InitialState.of(TREE, 1);
        Tree summer = Season.grow(stand, Season.Work.NONE).after().tree();
        List<Operation> heads = summer.limbs().stream()
                .filter(limb -> limb.lastGrowth() > 0.3)
                .map(limb -> Operation.cutAt(OperationKind.HEAD, limb, limb.length() - limb.lastGrowth() / 2))
                .toList();
        assertThat(heads).isNotEmpty();
        Season.Year inLeaf = Season.grow(stand, Season.Work.inLeaf(heads));
        assertThat(inLeaf.regrown()).isPositive();
        assertThat(inLeaf.newLength()).isGreaterThan(inLeaf.regrown());
        assertThat(inLeaf.after().reserve())
                .as("lost leaf lays nothing up")
                .isLessThan(grown().after().reserve());
        Season.Year afterWinter = Season.grow(grown().after(), Season.Work.dormant(heads));
        assertThat(inLeaf.regrown()).isLessThan(0.5 * afterWinter.newLength());
        assertThat(grown().regrown())
                .as("nothing grows again where nothing was cut")
                .isZero();
    }

    @Test
    void whatGrowsAgainHangsOnTheTreeLikeAnyShoot() {
        TreeState stand = InitialState.of(TREE, 1);
        Tree summer = Season.grow(stand, Season.Work.NONE).after().tree();
        Axis limb = summer.limbs().stream()
                .filter(one -> one.lastGrowth() > 0.3)
                .findFirst()
                .orElseThrow();
        Tree tree = Season.grow(
                        stand,
                        Season.Work.inLeaf(List.of(
                                Operation.cutAt(OperationKind.HEAD, limb, limb.length() - limb.lastGrowth() / 2))))
                .after()
                .tree();
        Set<String> ids = new HashSet<>();
        tree.axes().forEach(axis -> assertThat(ids.add(axis.id())).as(axis.id()).isTrue());
        assertThat(tree.axes()).allMatch(axis -> axis.parent() < axis.index());
    }

    @ParameterizedTest
    @CsvSource({"DORMANT, DELAYED_DORMANT", "DELAYED_DORMANT, BLOOM", "DORMANT, SUMMER", "AFTER_HARVEST, EARLY_SUMMER"})
    void theSameCutsLeaveLessToGrowOnTheMoreHasMovedOrIsStillToBeMade(Moment calmer, Moment harder) {
        List<Operation> cuts = TREE.limbs().stream()
                .filter(limb -> !TargetAxes.of(TREE, Operation.remove(Target.shoots(limb.id())))
                        .isEmpty())
                .map(limb -> Operation.remove(Target.shoots(limb.id())))
                .toList();
        TreeState stand = InitialState.of(TREE, 1);
        assertThat(Season.grow(stand, Season.Work.at(harder, cuts)).newLength())
                .isLessThan(Season.grow(stand, Season.Work.at(calmer, cuts)).newLength());
    }

    @ParameterizedTest
    @EnumSource(Moment.class)
    void whenNothingIsCutItDoesNotMatterWhen(Moment moment) {
        TreeState stand = InitialState.of(TREE, 1);
        assertThat(Season.grow(stand, Season.Work.at(moment, List.of())).newLength())
                .isEqualTo(grown().newLength());
        assertThat(Moment.of(moment.word())).isEqualTo(moment);
    }

    @Test
    void leafCarriedAtTheFootIsAllTheLeafThereIs() {
        LeafArea leafage = new LeafArea(TREE);
        double all = TREE.axes().stream().mapToDouble(Axis::leafArea).sum();
        assertThat(leafage.all()).isCloseTo(all, within(1e-9));
        assertThat(leafage.beyond(0, 0)).isCloseTo(all, within(1e-9));
        assertThat(leafage.beyond(0, TREE.trunk().length() + 1)).isZero();
    }

    @Test
    void leafCarriedFallsTowardsTheEnd() {
        LeafArea leafage = new LeafArea(TREE);
        double before = Double.MAX_VALUE;
        for (double at = 0; at < TREE.trunk().length(); at += 0.2) {
            double now = leafage.beyond(0, at);
            assertThat(now).isLessThanOrEqualTo(before + 1e-12);
            before = now;
        }
    }

    @Test
    void aShootOfTwentyOneGramsIsAboutAMetreLessWhatTheLongestHoldsBack() {
        Species.Growth apple = Knowledge.shipped().species("apple").growth();
        // x = 1, L = 1.7 · (1 − e^(−1/1.7)) = 0.756
        assertThat(CarbonAllocation.length(0.021, apple)).isCloseTo(0.756, within(0.001));
        assertThat(CarbonAllocation.length(0, apple)).isZero();
        assertThat(CarbonAllocation.length(10, apple)).isLessThanOrEqualTo(1.7);
    }

    @Test
    void theLightFieldReadsNoMoreThanATenthBrighterThanTheReading() {
        LightField field = LightField.of(TREE, 0.20, 16);
        var reading = LightModel.read(TREE);
        double fieldMean = 0;
        double off = 0;
        for (int s = 0; s < reading.light().length; s++) {
            double light = field.at(reading.sites().get(s).place());
            fieldMean += light / reading.light().length;
            off += Math.abs(light - reading.light()[s]) / reading.light().length;
        }
        double mean = java.util.Arrays.stream(reading.light()).average().orElse(0);
        // cells of 20 cm spread the leaf wider than it stands, and the season that ended had its leaf nearer to its
        // wood
        assertThat(off).isLessThan(0.13);
        assertThat(fieldMean - mean).isBetween(-0.08, 0.12);
        assertThat(field.caught()).isCloseTo(reading.interception(), within(0.05));
    }

    @Test
    void aTreeWithoutLimbsGrowsToo() {
        Tree whip = Surveys.apple().leaf(1).trunk(14, 150).tree();
        Season.Year year = Season.grow(InitialState.of(whip, 1), Season.Work.NONE);
        assertThat(year.after().tree().axes().size()).isGreaterThan(1);
        assertThat(year.newLength()).isPositive();
    }

    @Test
    void everyKindInItsFirstSystemGrowsThreeYears() {
        for (Species kind : Knowledge.shipped().allSpecies()) {
            Tree tree = TreeBuilder.build(
                    PracticeTree.survey(kind.id(), kind.defaultSystem(), 4, 2), Knowledge.shipped(), 1);
            List<Forecast.Figures> years =
                    Forecast.middle(InitialState.of(tree, 1), Collections.nCopies(3, Season.Work.NONE), 0.3);
            for (Forecast.Figures year : years) {
                assertThat(year.height()).as(kind.id()).isBetween(0.3, 25.0);
                assertThat(year.wood()).as(kind.id()).isPositive();
                assertThat(year.underFruitLight()).as(kind.id()).isBetween(0.0, 1.0);
                assertThat(year.fruits()).as(kind.id()).isNotNegative();
            }
        }
    }

    @Test
    void shadeIsForetoldOnTheScaleOfAFullReading() {
        double off = 0;
        double offUnscaled = 0;
        String[] systems = {"central-leader", "multi-leader", "tall-spindle", "open-centre", "espalier"};
        for (String system : systems) {
            Tree tree = TreeBuilder.build(PracticeTree.survey("apple", system, 10, 3), Knowledge.shipped(), 1);
            TreeState start = InitialState.of(tree, 1);
            Forecast.Figures year =
                    Forecast.middle(start, List.of(Season.Work.NONE), 0.3).get(0);
            LightField coarse = Season.grow(start, Season.Work.NONE).after().light();
            double read = LightModel.read(year.tree()).shareUnder(0.3);
            off += Math.abs(year.underFruitLight() - read);
            offUnscaled += Math.abs(shareUnder(coarse, year.tree(), 0.3) - read);
        }
        assertThat(off / systems.length).isLessThan(0.08);
        assertThat(off).as("nearer than the coarse light as it stands").isLessThan(offUnscaled / 1.5);
    }

    private static double shareUnder(LightField light, Tree tree, double limit) {
        double all = 0;
        double under = 0;
        for (FruitingSite site : FruitingSite.of(tree)) {
            all += site.weight();
            under += light.at(site.place()) < limit ? site.weight() : 0;
        }
        return under / all;
    }

    @Test
    void rangesHoldTheirMiddle() {
        Forecast forecast = Forecast.of(InitialState.of(TREE, 1), Collections.nCopies(3, Season.Work.NONE), 0.3);
        assertThat(forecast.years()).hasSize(3);
        for (Forecast.Outlook year : forecast.years()) {
            for (Forecast.Range range :
                    List.of(year.fruits(), year.height(), year.underFruitLight(), year.newLength(), year.sprouts())) {
                assertThat(range.low()).isLessThanOrEqualTo(range.middle());
                assertThat(range.middle()).isLessThanOrEqualTo(range.high());
            }
        }
        Forecast like = Forecast.like(
                forecast, new Seasons(InitialState.of(TREE, 1), 0.3), Collections.nCopies(3, Season.Work.NONE));
        assertThat(like.years().get(2).fruits().middle())
                .isCloseTo(forecast.years().get(2).fruits().middle(), within(1e-9));
    }
}
