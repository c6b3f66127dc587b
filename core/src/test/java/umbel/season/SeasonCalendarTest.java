package umbel.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.knowledge.Knowledge;
import umbel.season.DayAdvice.Verdict;

/** Weather is made by hand here, so that every date and verdict can be worked out on paper. */
class SeasonCalendarTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();

    /** Even days: 0 °C on average from November to the end of February, 14.5 °C from March on (10 degree days each). */
    private static Weather plainYear(boolean north) {
        List<Weather.Day> days = new ArrayList<>();
        for (LocalDate date = LocalDate.of(2025, 1, 1);
                date.isBefore(LocalDate.of(2028, 1, 1));
                date = date.plusDays(1)) {
            int month = (date.getMonthValue() + (north ? 0 : 6) - 1) % 12 + 1;
            boolean warm = month >= 3 && month <= 10;
            days.add(
                    warm
                            ? new Weather.Day(date, 9.5, 19.5, 0, 2, Weather.Kind.OBSERVED)
                            : new Weather.Day(date, -3, 3, 0, 2, Weather.Kind.OBSERVED));
        }
        return new Weather(days);
    }

    private static SeasonBlock block(String species, int leaf, Set<String> diseases) {
        return new SeasonBlock(
                SeasonTraits.of(
                        KNOWLEDGE.species(species),
                        KNOWLEDGE.system(KNOWLEDGE.species(species).defaultSystem())),
                leaf,
                diseases,
                true,
                null,
                47);
    }

    private static SeasonCalendar calendar(SeasonBlock block, Weather weather) {
        return new SeasonCalendar(block, KNOWLEDGE.parameters(), weather);
    }

    private static Weather.Day day(LocalDate date, double min, double max, double rain) {
        return new Weather.Day(date, min, max, rain, 2, Weather.Kind.FORECAST);
    }

    @Test
    void bloomComesWhenTheDegreeDaysAreFull() {
        // Apple: 65 and 185 degree days at 10 a day from 1 March: the 7th and the 19th day.
        Phenology year = calendar(block("apple", 8, Set.of()), plainYear(true)).year(LocalDate.of(2026, 2, 1));
        assertThat(year.budSwell().expected()).isEqualTo(LocalDate.of(2026, 3, 7));
        assertThat(year.bloom().expected()).isEqualTo(LocalDate.of(2026, 3, 19));
        assertThat(year.bloom().earliest()).isEqualTo(year.bloom().latest());
        // 90 more: 275 of them on the 28th day.
        assertThat(year.petalFall().expected()).isEqualTo(LocalDate.of(2026, 3, 28));
        assertThat(year.dormant()).isEqualTo(LocalDate.of(2025, 11, 1));
    }

    @Test
    void inTheSouthTheSameYearComesSixMonthsLater() {
        SeasonBlock north = block("apple", 8, Set.of());
        SeasonBlock south = new SeasonBlock(north.traits(), 8, Set.of(), true, null, -41);
        Phenology year = calendar(south, plainYear(false)).year(LocalDate.of(2026, 8, 1));
        assertThat(year.bloom().expected()).isEqualTo(LocalDate.of(2026, 9, 19));
        assertThat(year.summerEnd()).isEqualTo(LocalDate.of(2027, 1, 31));
    }

    @ParameterizedTest
    @CsvSource({
        "2025-10-20, autumn",
        "2025-12-20, dormant",
        "2026-03-10, delayed-dormant",
        "2026-03-22, bloom",
        "2026-04-20, early-summer",
        "2026-06-20, summer",
        "2026-08-05, late-summer",
        "2026-08-20, after-harvest",
        "2026-10-05, autumn",
        "2026-12-05, dormant",
    })
    void theYearOfAnAppleRunsThroughItsPhases(LocalDate date, String phase) {
        assertThat(calendar(block("apple", 8, Set.of()), plainYear(true)).phase(date))
                .isEqualTo(phase);
    }

    @Test
    void lateDormantBeatsMidwinterForAnApple() {
        SeasonCalendar calendar = calendar(block("apple", 8, Set.of()), plainYear(true));
        assertThat(calendar.on(LocalDate.of(2026, 1, 20)).verdict()).isEqualTo(Verdict.ALLOWED);
        assertThat(calendar.on(LocalDate.of(2026, 3, 9)).verdict()).isEqualTo(Verdict.BETTER);
    }

    @Test
    void rainForbidsAndRainToComeHoldsBackStoneFruitMore() {
        LocalDate date = LocalDate.of(2026, 3, 9);
        Weather wet = plainYear(true).with(List.of(day(date.plusDays(2), 4, 12, 6)));
        assertThat(calendar(block("apple", 8, Set.of()), wet).on(date).verdict())
                .isEqualTo(Verdict.ALLOWED);
        assertThat(calendar(block("cherry-sweet", 8, Set.of()), wet).on(date).verdict())
                .isEqualTo(Verdict.NOT);
        DayAdvice inRain = calendar(block("apple", 8, Set.of()), wet).on(date.plusDays(2));
        assertThat(inRain.verdict()).isEqualTo(Verdict.NOT);
        assertThat(inRain.urgent()).isFalse();
        assertThat(inRain.reasons().get(0).rule()).isEqualTo("wet");
    }

    @Test
    void cankerMovesPeachFromDormancyToBloom() {
        SeasonCalendar sound = calendar(block("peach", 8, Set.of()), plainYear(true));
        SeasonCalendar sick = calendar(block("peach", 8, Set.of("canker")), plainYear(true));
        LocalDate dormant = LocalDate.of(2026, 2, 20);
        LocalDate bloom = LocalDate.of(2026, 3, 13);
        assertThat(sound.on(dormant).verdict()).isEqualTo(Verdict.ALLOWED);
        assertThat(sick.on(dormant).verdict()).isEqualTo(Verdict.NOT);
        assertThat(sick.on(bloom).verdict()).isEqualTo(Verdict.BEST);
        assertThat(sick.on(dormant).urgent())
                .as("dead and diseased wood, on a dry day")
                .isTrue();
    }

    @Test
    void cutTreesAreKeptFromTheColdOfTheFollowingDays() {
        LocalDate date = LocalDate.of(2026, 1, 15);
        // Apple stands -29 °C: -24 °C is within 6 of it for a cut of the day before, not within 3 for one of 8 days
        // before.
        Weather cold = plainYear(true).with(List.of(day(date, -24, -10, 0)));
        SeasonCalendar old = calendar(block("apple", 8, Set.of()), cold);
        assertThat(old.on(date.minusDays(1)).verdict()).isEqualTo(Verdict.NOT);
        assertThat(old.on(date.minusDays(1)).reasons().get(0).rule()).isEqualTo("cold");
        assertThat(old.on(date.plusDays(1)).verdict()).isEqualTo(Verdict.ALLOWED);
        // A young tree stands 5 °C less, so even 8 days before is too near.
        SeasonCalendar young = calendar(block("apple", 2, Set.of()), cold.with(List.of(day(date, -21.5, -10, 0))));
        assertThat(young.on(date.minusDays(8)).reasons().get(0).rule()).isEqualTo("cold");
    }

    @Test
    void aFallIntoDeepFrostStopsCuttingUntilItIsOver() {
        LocalDate date = LocalDate.of(2026, 2, 10);
        Weather fall = plainYear(true).with(List.of(day(date, 6, 17, 0), day(date.plusDays(4), -13, -4, 0)));
        assertThat(calendar(block("apple", 8, Set.of()), fall).on(date).verdict())
                .isEqualTo(Verdict.NOT);
        assertThat(calendar(block("apple", 8, Set.of()), fall)
                        .on(date.plusDays(5))
                        .verdict())
                .isEqualTo(Verdict.ALLOWED);
    }

    @Test
    void tenderKindsWaitForTheSecondHalfOfWinter() {
        SeasonCalendar apricot = calendar(block("apricot", 8, Set.of()), plainYear(true));
        assertThat(apricot.on(LocalDate.of(2025, 12, 1)).reasons().get(0).rule())
                .isEqualTo("early");
        assertThat(apricot.on(LocalDate.of(2026, 2, 10)).verdict()).isEqualTo(Verdict.ALLOWED);
    }

    @Test
    void figIsNotCutInSummerAndHeatForbidsOnlyLargeOpenings() {
        assertThat(calendar(block("fig", 8, Set.of()), plainYear(true))
                        .on(LocalDate.of(2026, 6, 20))
                        .verdict())
                .isEqualTo(Verdict.NOT);
        LocalDate date = LocalDate.of(2026, 7, 10);
        Weather hot = plainYear(true).with(List.of(day(date.plusDays(1), 20, 35, 0)));
        DayAdvice advice = calendar(block("apricot", 8, Set.of()), hot).on(date);
        assertThat(advice.verdict()).isEqualTo(Verdict.ALLOWED);
        assertThat(advice.reasons()).anyMatch(reason -> reason.rule().equals("heat"));
    }

    @Test
    void aFruitingCitrusWaitsForItsHarvest() {
        SeasonBlock fruiting = block("citrus", 8, Set.of());
        LocalDate date = LocalDate.of(2026, 7, 10);
        SeasonBlock picked = new SeasonBlock(fruiting.traits(), 8, Set.of(), true, date.minusDays(3), 47);
        assertThat(calendar(fruiting, plainYear(true)).phase(date)).isEqualTo("summer");
        assertThat(calendar(picked, plainYear(true)).on(date).verdict()).isEqualTo(Verdict.BEST);
    }

    @Test
    void whatIsTooFarAheadForAForecastIsSaidToBe() {
        SimulatedStation station = new SimulatedStation(47, 400, 5, 10);
        LocalDate today = LocalDate.of(2026, 11, 23);
        Weather weather = station.tell(today.minusYears(1), today.plusYears(1), today);
        DayAdvice advice = calendar(block("apple", 8, Set.of()), weather).on(today.plusDays(60));
        assertThat(advice.reasons()).anyMatch(reason -> reason.rule().equals("no-forecast"));
        Phenology year = calendar(block("apple", 8, Set.of()), weather).year(today.plusDays(60));
        assertThat(year.bloom().earliest()).isBefore(year.bloom().expected());
        assertThat(year.bloom().latest()).isAfter(year.bloom().expected());
        assertThat(year.bloom().expected()).isBetween(LocalDate.of(2027, 4, 10), LocalDate.of(2027, 5, 15));
    }

    private static SeasonBlock counted(String kind) {
        return new SeasonBlock(SeasonTraits.of(KNOWLEDGE.counted(kind), 45, 0), 8, Set.of(), true, null, 47);
    }

    /** Ten degree days a day from 1 March: buds swell on the 15th, leaves come on the 23rd, bloom on the 56th day. */
    @ParameterizedTest
    @CsvSource({
        "2026-03-10, dormant",
        "2026-03-20, delayed-dormant",
        "2026-04-01, early-summer",
        "2026-04-28, bloom",
        "2026-05-30, early-summer",
        "2026-09-01, after-harvest",
    })
    void aVineIsInLeafLongBeforeItBlooms(LocalDate date, String phase) {
        assertThat(calendar(counted("grape"), plainYear(true)).phase(date)).isEqualTo(phase);
    }

    @Test
    void vinesAreKeptFromRainAsStoneFruitIs() {
        LocalDate date = LocalDate.of(2026, 3, 18);
        Weather wet = plainYear(true).with(List.of(day(date.plusDays(2), 4, 12, 6)));
        assertThat(calendar(counted("grape"), plainYear(true)).on(date).verdict())
                .isEqualTo(Verdict.BEST);
        assertThat(calendar(counted("grape"), wet).on(date).verdict()).isEqualTo(Verdict.NOT);
        assertThat(calendar(counted("blueberry"), wet)
                        .on(LocalDate.of(2026, 3, 8))
                        .reasons())
                .noneMatch(reason -> reason.rule().equals("wet"));
    }

    /** At 45° and sea level blueberries are cut from 1 February on. */
    @Test
    void aKindWithDaysOfItsOwnMayBeCutEarlierButBetterThen() {
        SeasonCalendar bushes = calendar(counted("blueberry"), plainYear(true));
        DayAdvice early = bushes.on(LocalDate.of(2026, 1, 20));
        assertThat(early.verdict()).isEqualTo(Verdict.ALLOWED);
        assertThat(early.reasons().get(0).rule()).isEqualTo("days");
        assertThat(bushes.on(LocalDate.of(2026, 2, 1)).verdict()).isEqualTo(Verdict.BEST);
    }
}
