package umbel.counted;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;
import umbel.text.Value;

/** Worked by hand with the equations of docs/model/counted.md; see there for each sum. */
class BushTest {

    @Test
    void theOldestTwoOfAnEvenBlueberryGoAndTheWeakNewCaneBesides() {
        CountSurvey survey =
                Counts.bush("blueberry", 9, "{'id':'weak','age_y':1,'diameter_mm':5}", 2, 2, 2, 2, 2, 1, 2);
        CountPlan plan = Counts.recommended(survey);
        assertThat(Counts.done(plan)).containsExactlyInAnyOrder("remove weak", "remove a7-0", "remove a7-1");
        assertThat(plan.canesAfter()).isEqualTo(11);
        assertThat(plan.seasons().get(0).crop()).isCloseTo(4.4, within(0.05));
        assertThat(plan.seasons().get(0).renewal()).isCloseTo(2.2, within(0.05));
        assertThat(plan.seasons().get(1).crop()).isCloseTo(4.2, within(0.1));
        assertThat(plan.seasons().get(2).crop()).isCloseTo(4.2, within(0.1));
        CountPlan nothing = Counts.plan(Counts.bush("blueberry", 9, 3, 2, 2, 2, 2, 1, 2), "nothing");
        assertThat(nothing.seasons())
                .extracting(CountPlan.Season::crop)
                .satisfiesExactly(
                        crop -> assertThat(crop).isCloseTo(5.0, within(0.1)),
                        crop -> assertThat(crop).isCloseTo(5.4, within(0.15)),
                        crop -> assertThat(crop).isCloseTo(4.7, within(0.15)));
        assertThat(nothing.seasons())
                .extracting(CountPlan.Season::marketable)
                .satisfiesExactly(
                        crop -> assertThat(crop).isCloseTo(4.7, within(0.1)),
                        crop -> assertThat(crop).isCloseTo(4.8, within(0.15)),
                        crop -> assertThat(crop).isCloseTo(3.9, within(0.15)));
    }

    @Test
    void aCrowdedOldBlueberryLosesAThird() {
        CountPlan plan = Counts.recommended(Counts.bush("blueberry", 15, 0, 1, 1, 2, 3, 4, 3, 2, 2, 2));
        assertThat(removed(plan)).hasSize(7).allMatch(id -> id.matches("a(10|9|8|7)-.*"));
        assertThat(removed(plan)).filteredOn(id -> id.startsWith("a7")).hasSize(1);
        assertThat(plan.seasons().get(0).crop()).isCloseTo(4.5, within(0.05));
        assertThat(plan.seasons().get(1).crop()).isBetween(3.0, 3.8);
    }

    @Test
    void aBlueberryInThirdLeafKeepsItsCanesAndLosesItsFlowers() {
        CountSurvey survey = Counts.bush("blueberry", 3, "{'id':'x','age_y':1,'flowerBuds':180}", 2, 2);
        CountPlan plan = Counts.recommended(survey);
        CountOperation deflower = Counts.only(plan, CountOperation.Kind.DEFLOWER);
        assertThat(plan.steps()).hasSize(1);
        assertThat(deflower.keepCount()).isEqualTo(26);
        assertThat(deflower.count()).isEqualTo(154);
        assertThat(plan.seasons().get(0).crop()).isCloseTo(0.23, within(0.01));
    }

    @Test
    void aThirdOfABlackCurrantGoesTheWeakOneAmongThem() {
        CountSurvey survey = Counts.bush("currant-black", 8, "{'id':'weak','age_y':1,'diameter_mm':5}", 5, 5, 4, 2);
        CountPlan plan = Counts.recommended(survey);
        assertThat(removed(plan)).hasSize(6).contains("weak", "a4-0", "a4-1");
        assertThat(removed(plan)).filteredOn(id -> id.startsWith("a3")).hasSize(3);
        assertThat(plan.seasons().get(0).crop()).isCloseTo(4.4, within(0.1));
        assertThat(plan.seasons().get(0).renewal()).isCloseTo(6.1, within(0.2));
        assertThat(plan.seasons().get(1).crop()).isCloseTo(4.5, within(0.2));
    }

    @Test
    void ofAGooseberryTheLowFourYearOldGoesBeforeOthersOfItsAge() {
        CountSurvey survey = Counts.survey("{'format':'umbel-count/1','plant':{'kind':'gooseberry','leaf':8},'canes':["
                + "{'id':'n','age_y':1,'count':3},{'id':'weak','age_y':1,'diameter_mm':4},{'id':'two','age_y':2,'count':3},"
                + "{'id':'three','age_y':3,'count':3},{'id':'four','age_y':4,'count':2},"
                + "{'id':'low','age_y':4,'attitude':'low'},{'id':'five','age_y':5}]}");
        CountPlan plan = Counts.recommended(survey);
        assertThat(Counts.done(plan)).containsExactlyInAnyOrder("remove weak", "remove low", "remove five");
        assertThat(plan.seasons().get(0).crop()).isCloseTo(3.5, within(0.05));
    }

    @ParameterizedTest
    @CsvSource({
        "blueberry, 0.143, 0.25",
        "currant-red, 0.143, 0.25",
        "gooseberry, 0.143, 0.25",
        "currant-black, 0.22, 0.334"
    })
    void oldestFirstIsBestAtTheShareThatPractiseNames(String kind, double from, double to) {
        double best = 0;
        double bestCrop = 0;
        for (double share = 0; share <= 0.45; share += 0.01) {
            double crop = equilibrium(kind, share);
            if (crop > bestCrop) {
                bestCrop = crop;
                best = share;
            }
        }
        assertThat(best).isBetween(from - 0.01, to + 0.01);
        assertThat(bestCrop).isGreaterThan(1.25 * equilibrium(kind, 0));
    }

    @Test
    void anUnprunedBushBearsMoreAtFirstAndLessFromTheFourthSeason() {
        BushSeasons model = model("blueberry");
        BushSeasons.Stand even = stand(10, 2, 2, 2, 2, 2, 2);
        List<CountPlan.Season> alone = model.seasons(even, 0, count -> 0, false, 8);
        List<CountPlan.Season> pruned =
                model.seasons(even, 0, count -> BushChoice.quota(quota("blueberry"), count), false, 8);
        assertThat(alone.get(0).crop()).isCloseTo(4.7, within(0.1));
        assertThat(alone.get(1).crop()).isGreaterThan(pruned.get(1).crop());
        for (int season = 4; season < 8; season++) {
            assertThat(alone.get(season).marketable())
                    .as("season %d", season)
                    .isLessThan(pruned.get(season).marketable());
        }
        assertThat(alone.get(7).crop()).isLessThan(0.7 * alone.get(0).crop());
        assertThat(alone.get(7).renewal()).isLessThan(1.2);
    }

    @Test
    void aBushCutToTheGroundBearsNothingInItsFirstSeason() {
        BushSeasons.Stand bare = new BushSeasons.Stand(new double[10], ones(), 15);
        List<CountPlan.Season> after = model("blueberry").seasons(bare, 1, count -> 0, false, 4);
        assertThat(after.get(0).crop()).isZero();
        assertThat(after.get(2).crop()).isGreaterThan(3);
    }

    @Test
    void theOrderOfTheCanesInTheFileChangesNothing() {
        CountSurvey survey = Counts.bush("blueberry", 9, 3, 2, 2, 2, 3, 2, 2);
        Set<String> first = Set.copyOf(removed(Counts.recommended(survey)));
        for (int seed = 0; seed < 20; seed++) {
            List<CountSurvey.BushCane> shuffled = new ArrayList<>(survey.canes());
            Collections.shuffle(shuffled, new Random(seed));
            CountSurvey other =
                    new CountSurvey(survey.format(), survey.plant(), null, null, null, shuffled, null, null);
            assertThat(Set.copyOf(removed(Counts.recommended(other)))).isEqualTo(first);
        }
    }

    @Test
    void aDeadCaneMoreIsTheOnlyThingThatGoesBesides() {
        List<String> before = removed(Counts.recommended(Counts.bush("currant-red", 9, 3, 2, 2, 2, 2, 1)));
        List<String> after = removed(Counts.recommended(
                Counts.bush("currant-red", 9, "{'id':'dead','age_y':3,'condition':['dead']}", 3, 2, 2, 2, 2, 1)));
        assertThat(after).contains("dead");
        assertThat(after.stream().filter(id -> !id.equals("dead")).toList())
                .containsExactlyInAnyOrderElementsOf(before);
    }

    @ParameterizedTest
    @ValueSource(strings = {"blueberry", "currant-red", "currant-black", "gooseberry"})
    void gentlerIsPartOfRecommendedAndThatOfFirmer(String kind) {
        for (int seed = 0; seed < 40; seed++) {
            CountSurvey survey = random(kind, seed);
            Set<String> gentler = Set.copyOf(Counts.done(Counts.plan(survey, "gentler")));
            Set<String> recommended = Set.copyOf(Counts.done(Counts.recommended(survey)));
            Set<String> firmer = Set.copyOf(Counts.done(Counts.plan(survey, "firmer")));
            assertThat(recommended).as("seed %d", seed).containsAll(gentler);
            assertThat(firmer).as("seed %d", seed).containsAll(recommended);
            assertThat(Counts.plan(survey, "nothing").steps()).isEmpty();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"blueberry", "currant-red", "currant-black", "gooseberry"})
    void measuringErrorsSeldomChangeMoreThanOneCane(String kind) {
        int moreThanOne = 0;
        for (int seed = 0; seed < 40; seed++) {
            CountSurvey survey = random(kind, seed);
            Random random = new Random(1000 + seed);
            CountSurvey measuredAgain = new CountSurvey(
                    survey.format(),
                    survey.plant(),
                    null,
                    null,
                    null,
                    survey.canes().stream()
                            .map(cane -> thicker(cane, 0.9 + 0.2 * random.nextDouble()))
                            .toList(),
                    null,
                    null);
            Set<String> one = Set.copyOf(removed(Counts.recommended(survey)));
            Set<String> other = Set.copyOf(removed(Counts.recommended(measuredAgain)));
            long changed = one.stream().filter(id -> !other.contains(id)).count();
            assertThat(changed).as("seed %d", seed).isLessThanOrEqualTo(2);
            moreThanOne += changed > 1 ? 1 : 0;
        }
        assertThat(moreThanOne).isLessThanOrEqualTo(4);
    }

    @Test
    void anOldCaneIsHeadedToItsUprightShootWhereNewCanesAreMissing() {
        CountPlan plan = Counts.recommended(
                Counts.bush("blueberry", 12, "{'id':'old','age_y':9,'upright_shoot_cm':30}", 1, 2, 2, 3, 3));
        assertThat(Counts.done(plan)).contains("head old");
        assertThat(Counts.only(plan, CountOperation.Kind.HEAD).atCm()).isEqualTo(30);
    }

    /** Twenty old canes: L of the leaf left over 1.5 m², base light e^(−L/2), all by hand from the table of leaf areas. */
    @Test
    void aDarkBushIsToldHowMuchLighterItBecomes() {
        CountPlan plan = Counts.recommended(Counts.bush("blueberry", 12, 0, 1, 1, 2, 3, 4, 3, 2, 2, 2));
        assertThat(plan.left())
                .filteredOn(left -> left.finding().rule() == CountRule.CLOSED_CENTRE)
                .singleElement()
                .satisfies(left -> {
                    assertThat(left.why().code()).isEqualTo("count.left.lighter");
                    double leaf = 0.2 + 0.32 + 2 * 0.4 + 3 * 0.45 + 4 * 0.46 + 2 * 0.45;
                    assertThat(left.why().values().get("after")).isEqualTo(Value.share(Math.exp(-leaf / 1.5 / 2)));
                });
    }

    @Test
    void inBloomNothingGoesButWhatIsSick() {
        CountSurvey survey =
                Counts.bush("blueberry", 9, "{'id':'dead','age_y':3,'condition':['dead']}", 3, 2, 2, 2, 2, 2, 2);
        assertThat(Counts.read(survey).plans(Moment.BLOOM).get(0).steps())
                .singleElement()
                .satisfies(step -> assertThat(step.operation().target()).isEqualTo("dead"));
    }

    @Test
    void afterHarvestABlueberryIsOnlyLowered() {
        CountSurvey survey =
                Counts.bush("blueberry", 9, "{'id':'tall','age_y':4,'height_cm':240}", 3, 2, 2, 2, 2, 2, 2);
        assertThat(Counts.done(Counts.read(survey).plans(Moment.AFTER_HARVEST).get(0)))
                .containsExactly("head tall");
    }

    @Test
    void everyFindingHasItsTreeAndNoOther() {
        assertThat(rules(Counts.bush("blueberry", 9, 2, 2, 2, 2, 2, 1))).isEmpty();
        assertThat(rules(Counts.bush("blueberry", 12, 2, 2, 2, 2, 2, 1, 2, 2))).contains(CountRule.OLD_CANES);
        assertThat(rules(Counts.bush("blueberry", 12, 2, 0, 3, 3, 2, 2))).contains(CountRule.AGE_GAP);
        assertThat(rules(Counts.bush("blueberry", 9, 4, 4, 4, 4, 3, 3)))
                .contains(CountRule.TOO_MANY_CANES, CountRule.CLOSED_CENTRE);
        assertThat(rules(Counts.bush("blueberry", 9, 2, 2, 1, 1))).contains(CountRule.TOO_FEW_CANES);
        assertThat(rules(Counts.bush("blueberry", 9, "{'id':'x','age_y':3,'attitude':'down'}", 2, 2, 2, 2, 2)))
                .contains(CountRule.LOW_CANE);
        assertThat(rules(Counts.bush("blueberry", 9, "{'id':'x','age_y':3,'rubs':['a3-0']}", 2, 2, 2, 2, 2)))
                .contains(CountRule.RUBBING_CANE);
        assertThat(rules(Counts.bush("blueberry", 9, "{'id':'x','age_y':3,'condition':['broken']}", 2, 2, 2, 2, 2)))
                .contains(CountRule.UNSOUND_CANE);
        assertThat(rules(Counts.bush("blueberry", 9, "{'id':'x','age_y':1,'diameter_mm':4}", 2, 2, 2, 2, 2)))
                .contains(CountRule.WEAK_CANE);
        assertThat(rules(Counts.bush("blueberry", 2, "{'id':'x','age_y':1,'flowerBuds':40}", 2, 1)))
                .contains(CountRule.OVER_BEARING);
    }

    @Test
    void agesMadeOutFromThicknessAreOnlyWatchedWhereMostAre() {
        CountSurvey survey = Counts.survey("{'format':'umbel-count/1','plant':{'kind':'blueberry','leaf':12},'canes':["
                + "{'id':'thick','diameter_mm':27,'count':4},{'id':'b','diameter_mm':16,'count':5},"
                + "{'id':'c','diameter_mm':8,'count':3}]}");
        CountReading reading = Counts.read(survey).reading();
        assertThat(reading.estimated()).contains("canes.thick.age_y");
        assertThat(reading.measureNext()).extracting(CountReading.Measure::what).contains("age_y");
        assertThat(Counts.recommended(survey).steps())
                .filteredOn(step -> step.operation().target().equals("thick"))
                .allMatch(step -> step.confidence() <= 0.5);
    }

    private static CountSurvey random(String kind, int seed) {
        Random random = new Random(seed);
        List<CountSurvey.BushCane> canes = new ArrayList<>();
        int count = 6 + random.nextInt(14);
        for (int i = 0; i < count; i++) {
            int age = 1 + random.nextInt(8);
            double usual =
                    Knowledge.shipped().counted(kind).bush().diameterByAge().get(age - 1);
            canes.add(new CountSurvey.BushCane(
                    "c" + i,
                    null,
                    (double) age,
                    usual * (0.75 + 0.5 * random.nextDouble()),
                    null,
                    random.nextInt(6) == 0 ? "low" : "upright",
                    random.nextInt(3) == 0 ? "centre" : "middle",
                    null,
                    random.nextInt(12) == 0 ? List.of("dead") : List.of("sound"),
                    null,
                    random.nextInt(5) == 0,
                    null,
                    null,
                    null));
        }
        return new CountSurvey(
                CountSurvey.FORMAT,
                new CountSurvey.PlantFacts("", kind, 10, null, null, null, null),
                null,
                null,
                null,
                canes,
                null,
                null);
    }

    private static CountSurvey.BushCane thicker(CountSurvey.BushCane cane, double factor) {
        return new CountSurvey.BushCane(
                cane.id(),
                cane.count(),
                cane.ageY(),
                cane.diameterMm() * factor,
                cane.heightCm(),
                cane.attitude(),
                cane.place(),
                cane.bearingDeg(),
                cane.condition(),
                cane.disease(),
                cane.twiggy(),
                cane.flowerBuds(),
                cane.uprightShootCm(),
                cane.rubs());
    }

    private static Set<CountRule> rules(CountSurvey survey) {
        return Counts.read(survey).reading().findings().stream()
                .map(CountFinding::rule)
                .collect(Collectors.toSet());
    }

    private static List<String> removed(CountPlan plan) {
        return plan.steps().stream()
                .filter(step -> step.operation().kind() == CountOperation.Kind.REMOVE)
                .map(step -> step.operation().target())
                .toList();
    }

    /** Crop of a bush that has lost this share of its canes, oldest first, every winter for sixty years, kg that can be sold. */
    private static double equilibrium(String kind, double share) {
        List<CountPlan.Season> seasons =
                model(kind).seasons(stand(20, 2, 2, 2, 2, 2, 2), share, count -> share * count, false, 60);
        return seasons.get(59).marketable();
    }

    private static BushSeasons model(String kind) {
        return new BushSeasons(
                Knowledge.shipped().counted(kind).bush(), Knowledge.shipped().counting(), 1);
    }

    private static umbel.knowledge.CountedKind.Quota quota(String kind) {
        return Knowledge.shipped().counted(kind).bush().quota();
    }

    private static BushSeasons.Stand stand(int leaf, double... byAge) {
        double[] canes = new double[10];
        System.arraycopy(byAge, 0, canes, 0, byAge.length);
        return new BushSeasons.Stand(canes, ones(), leaf);
    }

    private static double[] ones() {
        double[] ones = new double[10];
        java.util.Arrays.fill(ones, 1);
        return ones;
    }
}
