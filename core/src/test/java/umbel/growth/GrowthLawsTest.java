package umbel.growth;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import umbel.growth.Grove.Specimen;
import umbel.growth.Laws.Outcome;

/**
 * What every grower knows a tree will do, tried on trees of three kinds, several systems, ages and vigours: each saying
 * must hold on at least four trees in five. How far it holds by kind stands in docs/model/growth.md.
 */
class GrowthLawsTest {

    private static final double FOUR_IN_FIVE = 0.8;
    private static final List<Specimen> BEARING = Grove.bearing(3);
    private static final List<Specimen> YOUNG = Grove.young(3);

    @Test
    void whatIsLeftAfterWinterCutsGrowsLongerThanOnTheUncutTree() {
        holds(BEARING, CuttingLaws::sameTipsAfterRemoval, true, 1);
    }

    @Test
    void theCutTreeAsAWholeStaysSmallerThanTheUncutOne() {
        holds(BEARING, CuttingLaws::woodAfterRemoval, false, 1);
    }

    @Test
    void headingWakesMoreShootsNearTheCutThanThinning() {
        holds(all(), CuttingLaws::headingAgainstThinning, true, 0);
    }

    @Test
    void aHardHeadingIsAnsweredByLongerShootsThanATipping() {
        holds(all(), CuttingLaws::hardAgainstTipping, true, 1);
    }

    @Test
    void aHardHeadingIsAnsweredByTwoToFourShootsOnTheMiddleTree() {
        for (Outcome kind : Laws.tried(all(), one -> CuttingLaws.numberOfAnswers(one, 0.5), true, 0)) {
            assertTrue(kind.median() >= 2 && kind.median() <= 4, kind.toString());
        }
    }

    @Test
    void aLimbBroughtLevelGrowsLessAtItsTip() {
        holds(all(), BearingLaws::tipAfterBending, false, 1);
    }

    @Test
    void aYoungLimbBroughtLevelFormsMoreFlowerBuds() {
        holds(YOUNG, BearingLaws::flowersAfterBending, true, 1);
    }

    @Test
    void aHeavyCropCostsNextYearsBloom() {
        holds(BEARING, BearingLaws::bloomAfterHeavyCrop, false, 0.95);
    }

    @Test
    void aHeavyCropCostsNextYearsGrowth() {
        holds(BEARING, BearingLaws::growthAfterHeavyCrop, false, 0.95);
    }

    @Test
    void spursInTheDarkFormFewerFlowerBuds() {
        holds(BEARING, BearingLaws::flowersInShade, false, 0.6);
    }

    @Test
    void spursInTheDarkDieSooner() {
        holds(BEARING, BearingLaws::survivalInShade, false, 0.9);
    }

    @Test
    void onAnUnprunedTreeFruitMovesOutward() {
        holds(BEARING, BearingLaws::fruitMovesOut, true, 1.1);
    }

    @Test
    void onUnprunedStoneFruitItMovesUp() {
        holds(stone(), BearingLaws::fruitMovesUp, true, 1.1);
    }

    @Test
    void aDwarfingStockMakesLessWood() {
        holds(YOUNG, BearingLaws::weakAgainstStrong, false, 0.8);
    }

    @Test
    void anUnprunedTreeStaysBoundedOverTenYears() {
        holds(BEARING, BearingLaws::leafIndexAfterTen, false, 4.5);
        holds(BEARING, BearingLaws::heightAfterTen, false, 1.3);
    }

    @Test
    void tippingCherryEndsByAFifthCostsAboutAThirdOfTheirLaterSites() {
        List<Specimen> cherries = all().stream()
                .filter(one -> one.species().equals("cherry-sweet"))
                .toList();
        Outcome outcome =
                Laws.tried(cherries, CuttingLaws::lostByTipping, true, 0.2).get(0);
        assertTrue(outcome.median() > 0.25 && outcome.median() < 0.5, outcome.toString());
    }

    @Test
    void endsOfMainLimbsGrowAsLongAsTheKindDoes() {
        for (Outcome kind : Laws.tried(BEARING, BearingLaws::extension, true, 0)) {
            double low = kind.species().equals("apple") ? 0.2 : kind.species().equals("peach") ? 0.4 : 0.25;
            assertTrue(kind.median() >= low && kind.median() <= 0.8, kind.toString());
        }
    }

    private static List<Specimen> all() {
        return java.util.stream.Stream.concat(BEARING.stream(), YOUNG.stream()).toList();
    }

    private static List<Specimen> stone() {
        return BEARING.stream().filter(one -> !one.species().equals("apple")).toList();
    }

    private static void holds(
            List<Specimen> grove, Function<Specimen, OptionalDouble> saying, boolean over, double bound) {
        List<Outcome> outcomes = Laws.tried(grove, saying, over, bound);
        int trees = outcomes.stream().mapToInt(Outcome::trees).sum();
        double held =
                outcomes.stream().mapToDouble(one -> one.share() * one.trees()).sum();
        assertTrue(trees >= 6, "tried on too few trees: " + outcomes);
        assertTrue(held / trees >= FOUR_IN_FIVE, outcomes.toString());
    }
}
