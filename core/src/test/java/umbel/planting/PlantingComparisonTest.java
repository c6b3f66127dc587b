package umbel.planting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import umbel.format.FieldError;
import umbel.knowledge.Knowledge;
import umbel.planting.PlantingComparison.Result;
import umbel.planting.PlantingRequest.Distances;
import umbel.planting.PlantingRequest.Land;
import umbel.planting.PlantingRequest.Planting;
import umbel.survey.InvalidSurvey;

/** A slender wall against an old wide orchard, and laws that hold whatever the figures are. */
class PlantingComparisonTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final Map<List<Object>, GrownTrees> GROWN = new HashMap<>();
    private static final Planting WALL = new Planting(
            "wall",
            "apple",
            "tall-spindle",
            "dwarfing",
            "moderate",
            new Distances(1.0, 3.5),
            0.55,
            -0.01,
            null,
            null,
            null);
    private static final Planting WIDE = new Planting(
            "wide",
            "apple",
            "central-leader",
            "semi-vigorous",
            "moderate",
            new Distances(5.0, 6.0),
            0.55,
            -0.01,
            null,
            null,
            null);

    private static PlantingRequest request(double wage, double interest, Planting... options) {
        return PlantingCheck.complete(
                new PlantingRequest(
                        new Land(47.6, 1.0, 8.0, null, null), 25, interest, wage, "EUR", null, List.of(options), 7L),
                KNOWLEDGE);
    }

    private static List<Result> results(PlantingRequest request) {
        return new PlantingComparison(
                        request,
                        KNOWLEDGE,
                        (option, spacing, latitude, seed) -> GROWN.computeIfAbsent(
                                List.of(option.species(), option.system(), option.rootstockClass(), spacing),
                                key -> GrownTrees.of(option, spacing, latitude, seed, KNOWLEDGE)))
                .results();
    }

    private static List<Result> results(Planting... options) {
        return results(request(18, 0.05, options));
    }

    private static Planting priced(Planting option, double price) {
        return new Planting(
                option.name(),
                option.species(),
                option.system(),
                option.rootstockClass(),
                option.vigour(),
                option.spacing(),
                price,
                option.priceTrend(),
                option.cultivarLifeY(),
                option.onStanding(),
                option.costs());
    }

    private static Planting costing(Planting option, Integer life, Map<String, Double> costs) {
        return new Planting(
                option.name(),
                option.species(),
                option.system(),
                option.rootstockClass(),
                option.vigour(),
                option.spacing(),
                option.pricePerKg(),
                option.priceTrend(),
                life,
                option.onStanding(),
                costs);
    }

    /** A field of 100 by 100 m with 8 m left at both ends: 28 rows of 84, or 16 rows of 16. */
    @Test
    void theFieldIsFilledWithRows() {
        List<Result> both = results(WALL, WIDE);
        assertThat(both.get(0).treesPerHa()).isEqualTo(28 * 84);
        assertThat(both.get(1).treesPerHa()).isEqualTo(16 * 16);
    }

    @Test
    void theWallBearsEarlyAndCostsSeveralTimesAsMuch() {
        List<Result> both = results(WALL, WIDE);
        assertThat(both.get(0).capital().all())
                .isGreaterThan(4 * both.get(1).capital().all());
        assertThat(firstCrop(both.get(0))).isLessThanOrEqualTo(3);
        assertThat(firstCrop(both.get(1))).isGreaterThanOrEqualTo(5);
        // mature yields of published orchards: 40 to 75 t/ha of slender walls, 20 to 45 of wide ones
        assertThat(both.get(0).years().get(8).yieldKg()).isBetween(40_000.0, 80_000.0);
        assertThat(both.get(1).years().get(18).yieldKg()).isBetween(15_000.0, 45_000.0);
        assertThat(both.get(1).years().get(18).hours().ladder()).isPositive();
        assertThat(both.get(0).years().get(18).hours().ladder()).isZero();
    }

    private static int firstCrop(Result one) {
        return one.years().stream()
                .filter(year -> year.yieldKg() > 0)
                .findFirst()
                .orElseThrow()
                .year();
    }

    @Test
    void theSumsAddUp() {
        for (Result one : results(WALL, WIDE)) {
            double sum = 0;
            for (int t = 0; t < one.years().size(); t++) {
                OptionYears.Year year = one.years().get(t);
                sum += year.net() / Math.pow(1.05, t);
                if (t == 0) {
                    assertThat(year.net()).isEqualTo(-one.capital().all());
                    continue;
                }
                OptionYears.Costs costs = year.costs();
                assertThat(year.net())
                        .isCloseTo(
                                year.revenue()
                                        - costs.training()
                                        - costs.pruning()
                                        - costs.thinning()
                                        - costs.picking()
                                        - costs.other(),
                                within(1e-6));
                double paid = (costs.training() + costs.pruning() + costs.thinning() + costs.picking()) / 18;
                assertThat(year.hours().all()).as("hours of year %d", t).isCloseTo(paid, within(1e-6));
            }
            assertThat(one.npv()).isCloseTo(sum, within(1e-6));
            assertThat(one.cumulative()[25])
                    .isCloseTo(
                            one.years().stream()
                                    .mapToDouble(OptionYears.Year::net)
                                    .sum(),
                            within(1e-6));
            int full = KNOWLEDGE.system(one.option().system()).shape().fullAtLeaf() + 1;
            assertThat(Arrays.stream(one.hoursByMonth()).sum())
                    .isCloseTo(one.years().get(full).hours().all(), within(1e-6));
        }
    }

    @Test
    void atTheBreakEvenPriceTheValueIsNothingAndAtThePriceToWinItIsTheBest() {
        List<Result> both = results(WALL, WIDE);
        Result loser = both.get(0).npv() < both.get(1).npv() ? both.get(0) : both.get(1);
        Result winner = loser == both.get(0) ? both.get(1) : both.get(0);
        double even = loser.breakEven().orElseThrow();
        assertThat(results(priced(loser.option(), even)).get(0).npv()).isCloseTo(0, within(1e-4));
        assertThat(winner.toWin()).isEmpty();
        double wins = loser.toWin().get(0).value();
        assertThat(loser.toWin().get(0).what()).isEqualTo("price");
        assertThat(results(priced(loser.option(), wins)).get(0).npv()).isCloseTo(winner.npv(), within(1e-3));
    }

    @Test
    void dearerHandsNeverRaiseAndBetterPricesNeverLowerTheValue() {
        double before = Double.POSITIVE_INFINITY;
        for (double wage : new double[] {5, 12, 18, 30, 60}) {
            double now = results(request(wage, 0.05, WALL)).get(0).npv();
            assertThat(now).isLessThan(before);
            before = now;
        }
        double least = Double.NEGATIVE_INFINITY;
        for (double price : new double[] {0.1, 0.3, 0.55, 0.9}) {
            double now = results(priced(WIDE, price)).get(0).npv();
            assertThat(now).isGreaterThan(least);
            least = now;
        }
    }

    @Test
    void simulatedFuturesRepeatForASeedAndEncloseTheMiddle() {
        Result once = results(WALL).get(0);
        assertThat(results(WALL).get(0).ranges()).isEqualTo(once.ranges());
        assertThat(once.ranges().low()).isLessThan(once.ranges().middle());
        assertThat(once.ranges().middle()).isLessThan(once.ranges().high());
        assertThat(once.ranges().low()).isLessThan(once.npv());
        assertThat(once.ranges().high()).isGreaterThan(once.npv());
    }

    @Test
    void whatMovesTheValueMostStandsFirst() {
        List<PlantingComparison.Moved> moved = results(WALL).get(0).sensitivity();
        assertThat(moved)
                .extracting(PlantingComparison.Moved::what)
                .containsExactlyInAnyOrder("price", "yield", "wage", "capital", "interest", "delay");
        double before = Double.POSITIVE_INFINITY;
        for (PlantingComparison.Moved one : moved) {
            double width = Math.abs(one.npvHigh() - one.npvLow());
            assertThat(width).isLessThanOrEqualTo(before);
            before = width;
        }
    }

    @Test
    void replantingIsACostOfItsYearAndTheTreesBeginAgain() {
        Result replanted = results(costing(WALL, 12, null)).get(0);
        Result kept = results(WALL).get(0);
        OptionYears.Year again = replanted.years().get(13);
        assertThat(again.costs().other())
                .isCloseTo(
                        kept.years().get(13).costs().other()
                                + kept.capital().trees()
                                + kept.capital().planting(),
                        within(1e-6));
        assertThat(again.yieldKg()).isZero();
        assertThat(replanted.years().get(12).yieldKg())
                .isEqualTo(kept.years().get(12).yieldKg());
    }

    @Test
    void whatIsSetIsUsedAndTold() {
        Result own = results(costing(WALL, null, Map.of("other", 0.0))).get(0);
        assertThat(own.years().get(5).costs().other()).isZero();
        assertThat(own.assumed()).filteredOn(one -> one.name().equals("other")).allSatisfy(one -> {
            assertThat(one.from()).isEqualTo("yours");
            assertThat(one.value()).isZero();
        });
        assertThat(own.assumed())
                .extracting(Assumptions.Assumed::name)
                .contains("tree", "pruningMinutes")
                .doesNotContain("standingCrop", "clearing", "grafts");
    }

    @Test
    void aTreeTooSmallForItsPlaceLeavesGapsAndOneTooStrongOutgrowsIt() {
        Planting small = new Planting(
                "",
                "apple",
                "vertical-axis",
                "very-dwarfing",
                "low",
                new Distances(4.0, 5.0),
                0.55,
                0.0,
                null,
                null,
                null);
        Planting strong = new Planting(
                "", "apple", "vertical-axis", "seedling", "high", new Distances(1.2, 4.0), 0.55, 0.0, null, null, null);
        assertThat(results(small).get(0).boxFit().verdict()).isEqualTo("gaps");
        assertThat(results(strong).get(0).boxFit().verdict()).isEqualTo("outgrows");
        assertThat(results(WALL).get(0).boxFit().fills()).isTrue();
    }

    @Test
    void faultsAreNamedByField() {
        PlantingRequest wrong = new PlantingRequest(
                new Land(80.0, -1.0, null, null, null),
                0,
                null,
                null,
                null,
                null,
                List.of(new Planting(
                        null,
                        "plastic",
                        "tall-spindle",
                        "tiny",
                        "some",
                        new Distances(0.0, null),
                        null,
                        9.0,
                        null,
                        null,
                        null)),
                null);
        InvalidSurvey refused =
                catchThrowableOfType(InvalidSurvey.class, () -> PlantingCheck.complete(wrong, KNOWLEDGE));
        assertThat(refused.errors())
                .extracting(FieldError::field)
                .contains("site.latitude_deg", "site.area_ha", "horizon_y", "options[0].species");
        PlantingRequest none = new PlantingRequest(null, null, null, null, null, null, List.of(), null);
        assertThat(catchThrowableOfType(InvalidSurvey.class, () -> PlantingCheck.complete(none, KNOWLEDGE))
                        .errors())
                .extracting(FieldError::field)
                .containsExactly("options");
    }
}
