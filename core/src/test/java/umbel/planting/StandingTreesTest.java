package umbel.planting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.format.FieldError;
import umbel.knowledge.Knowledge;
import umbel.planting.OptionYears.Year;
import umbel.planting.PlantingComparison.Result;
import umbel.planting.PlantingRequest.Distances;
import umbel.planting.PlantingRequest.Land;
import umbel.planting.PlantingRequest.OnStanding;
import umbel.planting.PlantingRequest.Planting;
import umbel.planting.PlantingRequest.Standing;
import umbel.survey.InvalidSurvey;

/** An old block kept, renovated, topworked and replanted, each held to the same trees planted on bare land. */
class StandingTreesTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final Map<List<Object>, GrownTrees> GROWN = new HashMap<>();
    private static final int LEAF = 9;
    private static final int HORIZON = 20;
    private static final double WAGE = 18;
    private static final Planting OLD = new Planting(
            null,
            "apple",
            "central-leader",
            "semi-vigorous",
            "moderate",
            new Distances(5.0, 6.0),
            0.4,
            null,
            null,
            null,
            null);
    private static final Planting SLENDER = new Planting(
            "new",
            "apple",
            "tall-spindle",
            "dwarfing",
            "moderate",
            new Distances(1.0, 3.5),
            0.6,
            null,
            null,
            null,
            null);

    private static Planting doing(
            Planting option, String act, Integer over, Integer fallow, Map<String, Double> costs) {
        return new Planting(
                option.name(),
                option.species(),
                option.system(),
                option.rootstockClass(),
                option.vigour(),
                option.spacing(),
                option.pricePerKg(),
                option.priceTrend(),
                null,
                new OnStanding(act, over, fallow),
                costs);
    }

    private static Planting withOld(String act, Double price, Map<String, Double> costs) {
        return doing(
                new Planting(act, null, null, null, null, null, price, null, null, null, null), act, null, null, costs);
    }

    private static PlantingRequest sent(Standing standing, Planting... options) {
        return new PlantingRequest(
                new Land(47.6, 1.0, 0.0, null, null), HORIZON, 0.05, WAGE, "", standing, List.of(options), 7L);
    }

    private static Result result(Planting option) {
        return result(option, null);
    }

    private static Result result(Planting option, Double kgPerHa) {
        PlantingRequest request = PlantingCheck.complete(sent(new Standing(LEAF, OLD, kgPerHa), option), KNOWLEDGE);
        return new PlantingComparison(
                        request,
                        KNOWLEDGE,
                        (one, spacing, latitude, seed) -> GROWN.computeIfAbsent(
                                List.of(one.species(), one.system(), spacing),
                                key -> GrownTrees.of(one, spacing, latitude, seed, KNOWLEDGE)))
                .results()
                .get(0);
    }

    /** The old trees planted on bare land: leaf and year are one. */
    private static Year sound(int leaf) {
        return result(OLD).years().get(leaf);
    }

    private static List<Year> years(Planting option) {
        return result(option).years();
    }

    @Test
    void keptTreesBearAShareOfSoundOnesOfTheirLeafAndDecline() {
        Result kept = result(withOld("keep", null, null));
        assertThat(kept.capital().all()).isZero();
        assertThat(kept.cumulative()[0]).isZero();
        for (int year : new int[] {1, 4, 11}) {
            Year sound = sound(LEAF + year);
            Year now = kept.years().get(year);
            double share = 0.75 * Math.pow(0.99, year);
            assertThat(now.yieldKg()).isCloseTo(share * sound.yieldKg(), within(1e-6));
            assertThat(now.firstClass()).isCloseTo(0.8 * sound.firstClass(), within(1e-9));
            assertThat(now.interception()).isEqualTo(sound.interception());
            assertThat(now.costs().training()).isZero();
            double first = now.firstClass();
            assertThat(now.revenue()).isCloseTo(now.yieldKg() * 0.4 * (first + 0.35 * (1 - first)), within(1e-6));
        }
    }

    /** What was picked in the last years stands in place of the usual share; a share that was set stands before both. */
    @Test
    void aBlockThatWasWeighedBearsWhatItBore() {
        double sound = sound(LEAF).yieldKg();
        Result weighed = result(withOld("keep", null, null), 0.5 * sound);
        assertThat(weighed.years().get(1).yieldKg())
                .isCloseTo(0.5 * 0.99 * sound(LEAF + 1).yieldKg(), within(1e-6));
        assertThat(weighed.assumed())
                .filteredOn(one -> one.name().equals("standingCrop"))
                .singleElement()
                .satisfies(one -> {
                    assertThat(one.value()).isCloseTo(0.5, within(1e-9));
                    assertThat(one.from()).isEqualTo("yours");
                });
        assertThat(result(withOld("keep", null, Map.of("standingCrop", 0.6)), 0.5 * sound)
                        .years()
                        .get(1)
                        .yieldKg())
                .isCloseTo(0.6 * 0.99 * sound(LEAF + 1).yieldKg(), within(1e-6));
        assertThat(faults(sent(new Standing(LEAF, OLD, -1.0), withOld("keep", null, null))))
                .containsExactly("standing.kg_perHa");
    }

    @Test
    void renovationTakesCropAndMinutesFirstAndGivesASoundTreeBack() {
        List<Year> renovated = years(withOld("renovate", null, null));
        List<Year> kept = years(withOld("keep", null, null));
        for (int year = 1; year <= 3; year++) {
            assertThat(renovated.get(year).yieldKg())
                    .isCloseTo(0.75 * kept.get(year).yieldKg(), within(1e-6));
            assertThat(renovated.get(year).costs().pruning())
                    .isCloseTo(2.5 * kept.get(year).costs().pruning(), within(1e-6));
        }
        double atLast = renovated.get(3).yieldKg() / sound(LEAF + 3).yieldKg();
        assertThat(renovated.get(4).yieldKg() / sound(LEAF + 4).yieldKg())
                .as("half recovered in the first of two years")
                .isBetween(atLast, 1.0);
        for (int year : new int[] {5, 8, 11}) {
            assertThat(renovated.get(year).yieldKg())
                    .isCloseTo(Math.pow(0.99, year - 3) * sound(LEAF + year).yieldKg(), within(1e-6));
            assertThat(renovated.get(year).firstClass())
                    .isCloseTo(sound(LEAF + year).firstClass(), within(1e-9));
            assertThat(renovated.get(year).costs().pruning())
                    .isCloseTo(kept.get(year).costs().pruning(), within(1e-6));
        }
    }

    @ParameterizedTest
    @CsvSource({"1, 0", "2, 0.2", "3, 0.4", "5, 0.8", "6, 1", "9, 1"})
    void graftsBearFromTheKindsYearOn(int year, double share) {
        assertThat(years(withOld("topwork", 0.6, null)).get(year).yieldKg())
                .isCloseTo(share * sound(LEAF + year).yieldKg(), within(1e-6));
    }

    @Test
    void graftingIsPaidForAtOnceAndBringsTheNewCultivarsPrice() {
        Result grafted = result(withOld("topwork", 0.6, Map.of("graftMinutes", 20.0)));
        double trees = grafted.treesPerHa();
        assertThat(grafted.capital().all()).isCloseTo(trees * (4 + WAGE * 20 / 60), within(1e-6));
        assertThat(grafted.years().get(0).net()).isCloseTo(-grafted.capital().all(), within(1e-9));
        Year full = grafted.years().get(10);
        assertThat(full.revenue())
                .isCloseTo(full.yieldKg() * 0.6 * (full.firstClass() + 0.35 * (1 - full.firstClass())), within(1e-6));
    }

    @Test
    void replantingAtOnceIsPlantingAfterClearingOnTiredGround() {
        Result bare = result(SLENDER);
        Result replanted = result(doing(SLENDER, "replant", null, null, null));
        assertThat(replanted.years().get(0).net()).isCloseTo(bare.years().get(0).net() - 3000, within(1e-6));
        assertThat(replanted.capital().all()).isCloseTo(bare.capital().all() + 3000, within(1e-6));
        for (int year : new int[] {2, 5, 15}) {
            assertThat(replanted.years().get(year).yieldKg())
                    .isCloseTo(0.9 * bare.years().get(year).yieldKg(), within(1e-6));
        }
    }

    /** Three parts, one resting year: part k (from 0) bears as before up to year k, is bare in year k + 1, and is planted at its end. */
    @Test
    void replantingPartByPartIsTheSumOfItsParts() {
        List<Year> replanted = years(doing(SLENDER, "replant", 3, 1, Map.of("replantCrop", 1.0)));
        List<Year> kept = years(withOld("keep", null, null));
        List<Year> bare = years(SLENDER);
        double capital = result(SLENDER).capital().all();
        double[] cleared = {1000, 1000, 1000, 0, 0, 0};
        for (int year = 1; year < 10; year++) {
            double kg = 0;
            double net = year < cleared.length ? -cleared[year] : 0;
            for (int part = 0; part < 3; part++) {
                int leaf = year - part - 1;
                if (year <= part) {
                    kg += kept.get(year).yieldKg() / 3;
                    net += kept.get(year).net() / 3;
                } else if (leaf == 0) {
                    net -= capital / 3;
                } else if (leaf > 0) {
                    kg += bare.get(leaf).yieldKg() / 3;
                    net += bare.get(leaf).net() / 3;
                }
            }
            assertThat(replanted.get(year).yieldKg()).as("kg in %s", year).isCloseTo(kg, within(1e-6));
            assertThat(replanted.get(year).net()).as("net in %s", year).isCloseTo(net, within(1e-6));
        }
        assertThat(replanted.get(0).net()).isCloseTo(-1000, within(1e-6));
    }

    @Test
    void everyYearsNetIsItsRevenueLessItsCosts() {
        for (Planting option : List.of(
                withOld("keep", null, null),
                withOld("renovate", null, null),
                withOld("topwork", 0.5, null),
                doing(SLENDER, "replant", 4, 1, null))) {
            assertThat(years(option).stream().skip(1))
                    .allSatisfy(year -> assertThat(year.net())
                            .isCloseTo(year.revenue() - year.costs().all(), within(1e-6)));
        }
    }

    @Test
    void olderAndWeakerTreesAreNeverWorthMore() {
        double before = Double.NEGATIVE_INFINITY;
        for (double crop : new double[] {0.3, 0.5, 0.75, 1}) {
            double now =
                    result(withOld("keep", null, Map.of("standingCrop", crop))).npv();
            assertThat(now).isGreaterThan(before);
            before = now;
        }
        assertThat(result(withOld("keep", null, Map.of("standingDecline", 0.05)))
                        .npv())
                .isLessThan(result(withOld("keep", null, null)).npv());
    }

    @Test
    void onlyWhatMattersIsAssumedAndAllOfItCanBeSet() {
        assertThat(names(withOld("keep", null, null)))
                .contains("standingCrop")
                .doesNotContain("tree", "support", "clearing", "grafts", "trainingMinutes");
        assertThat(names(doing(SLENDER, "replant", 1, 0, null)))
                .contains("clearing", "replantCrop")
                .doesNotContain("standingCrop");
        Planting spread = doing(SLENDER, "replant", 3, 0, Map.of("standingCrop", 0.0));
        assertThat(names(spread)).contains("standingCrop");
        assertThat(years(spread).get(1).yieldKg())
                .as("old trees said to bear nothing bear nothing")
                .isZero();
        Set<String> all = new HashSet<>(names(SLENDER));
        List.of("keep", "renovate", "topwork").forEach(act -> all.addAll(names(withOld(act, null, null))));
        all.addAll(names(spread));
        assertThat(all).as("every figure belongs to some option").isEqualTo(Assumptions.names());
    }

    private static List<String> names(Planting option) {
        return result(option).assumed().stream().map(Assumptions.Assumed::name).toList();
    }

    @Test
    void faultsAreNamedByField() {
        assertThat(faults(sent(null, withOld("keep", null, null)))).containsExactly("standing");
        assertThat(faults(sent(new Standing(LEAF, OLD, null), withOld("burn", null, null))))
                .containsExactly("options[0].onStanding.act");
        assertThat(faults(sent(new Standing(null, OLD, null), withOld("keep", null, null))))
                .containsExactly("standing.leaf");
        assertThat(faults(sent(new Standing(0, null, null), withOld("keep", null, null))))
                .containsExactlyInAnyOrder("standing.leaf", "standing.trees");
        assertThat(faults(sent(new Standing(LEAF, OLD, null), doing(SLENDER, "replant", 0, 9, null))))
                .containsExactlyInAnyOrder("options[0].onStanding.over_y", "options[0].onStanding.fallow_y");
        assertThat(faults(sent(new Standing(LEAF, OLD, null), withOld("keep", -1.0, Map.of("gold", 1.0)))))
                .containsExactlyInAnyOrder("options[0].price_perKg", "options[0].costs.gold");
    }

    @Test
    void aKindThatIsNotGraftedIsNotTopworked() {
        Planting fig = new Planting(
                null, "fig", "open-centre", null, null, new Distances(5.0, 5.0), 1.0, null, null, null, null);
        assertThat(faults(sent(new Standing(LEAF, fig, null), withOld("topwork", null, null))))
                .containsExactly("options[0].onStanding.act");
    }

    private static List<String> faults(PlantingRequest sent) {
        return catchThrowableOfType(InvalidSurvey.class, () -> PlantingCheck.complete(sent, KNOWLEDGE))
                .errors()
                .stream()
                .map(FieldError::field)
                .toList();
    }
}
