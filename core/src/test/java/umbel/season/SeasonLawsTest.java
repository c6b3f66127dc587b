package umbel.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;
import umbel.season.DayAdvice.Verdict;
import umbel.text.Speech;

/** What must hold for every kind in any year's weather. */
class SeasonLawsTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final LocalDate FROM = LocalDate.of(2026, 11, 1);
    private static final LocalDate TO = LocalDate.of(2027, 10, 31);
    private static final List<String> ORDER = List.of(
            "dormant", "delayed-dormant", "bloom", "early-summer", "summer", "late-summer", "after-harvest", "autumn");

    static List<String> everyKind() {
        return KNOWLEDGE.allSpecies().stream().map(Species::id).toList();
    }

    private static Weather weather(double latitude, double elevation, long seed) {
        return new SimulatedStation(latitude, elevation, seed, 10)
                .tell(FROM.minusYears(2), TO.plusYears(2), TO.plusYears(2));
    }

    private static SeasonCalendar calendar(String species, Set<String> diseases, int leaf, Weather weather, double at) {
        Species kind = KNOWLEDGE.species(species);
        SeasonBlock block = new SeasonBlock(
                SeasonTraits.of(kind, KNOWLEDGE.system(kind.defaultSystem())), leaf, diseases, leaf > 5, null, at);
        return new SeasonCalendar(block, KNOWLEDGE.parameters(), weather);
    }

    private static LocalDate bloom(String species, Weather weather) {
        return calendar(species, Set.of(), 10, weather, 47)
                .year(LocalDate.of(2027, 3, 1))
                .bloom()
                .expected();
    }

    @ParameterizedTest
    @MethodSource("everyKind")
    void nobodyCutsInTheRain(String species) {
        for (long seed = 1; seed <= 3; seed++) {
            Weather weather = weather(47, 400, seed);
            for (DayAdvice day : calendar(species, Set.of(), 10, weather, 47).between(FROM, TO)) {
                if (day.weather().rain() >= 1) {
                    assertThat(day.verdict())
                            .as("%s on %s", species, day.date())
                            .isEqualTo(Verdict.NOT);
                    assertThat(day.urgent()).isFalse();
                }
                assertThat(day.reasons())
                        .isNotEmpty()
                        .allMatch(reason -> !Speech.english().say(reason.text()).isBlank());
            }
        }
    }

    @ParameterizedTest
    @MethodSource("everyKind")
    void thePhasesOfAYearComeInTheirOrder(String species) {
        for (double latitude : new double[] {47, -41}) {
            SeasonCalendar calendar = calendar(species, Set.of(), 10, weather(latitude, 200, 5), latitude);
            Phenology year = calendar.year(LocalDate.of(2027, latitude > 0 ? 3 : 9, 1));
            List<String> seen = new ArrayList<>();
            for (LocalDate day = year.dormant(); day.isBefore(year.dormant().plusDays(300)); day = day.plusDays(1)) {
                String phase = calendar.phase(day);
                if (seen.isEmpty() || !seen.get(seen.size() - 1).equals(phase)) {
                    seen.add(phase);
                }
            }
            assertThat(seen).as(species + " at " + latitude).doesNotHaveDuplicates();
            assertThat(seen.stream().map(ORDER::indexOf).toList()).isSorted();
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void kindsBloomInTheOrderTheTradeKnows(long seed) {
        Weather weather = weather(47, 400, seed);
        List<LocalDate> blooms = List.of("apricot", "peach", "cherry-sweet", "pear", "apple", "quince").stream()
                .map(species -> bloom(species, weather))
                .toList();
        assertThat(blooms).isSorted();
        assertThat(blooms.get(0)).isBetween(LocalDate.of(2027, 3, 10), LocalDate.of(2027, 5, 1));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void bloomComesLaterUpTheHillAndFartherNorth(long seed) {
        LocalDate here = bloom("apple", weather(45, 200, seed));
        assertThat(bloom("apple", weather(45, 900, seed))).isAfter(here.plusDays(7));
        assertThat(bloom("apple", weather(52, 200, seed))).isAfter(here.plusDays(7));
    }

    @ParameterizedTest
    @MethodSource("everyKind")
    void youngTreesAreNeverAllowedMoreThanOldOnesInDormancy(String species) {
        Weather weather = weather(47, 400, 9);
        SeasonCalendar old = calendar(species, Set.of(), 12, weather, 47);
        SeasonCalendar young = calendar(species, Set.of(), 2, weather, 47);
        for (LocalDate day = FROM; day.isBefore(TO); day = day.plusDays(1)) {
            if (old.phase(day).equals("dormant")) {
                assertThat(young.on(day).verdict())
                        .isLessThanOrEqualTo(old.on(day).verdict());
            }
        }
    }

    @ParameterizedTest
    @MethodSource("everyKind")
    void whatIsNotToldByTheWeatherIsNotMadeUp(String species) {
        LocalDate today = LocalDate.of(2026, 12, 1);
        Weather weather = new SimulatedStation(47, 400, 3, 10).tell(today.minusYears(2), today.plusYears(2), today);
        SeasonCalendar calendar = calendar(species, Set.of(), 10, weather, 47);
        Set<String> weatherRules = Set.of("wet", "heat", "wind");
        for (DayAdvice day : calendar.between(today.plusDays(11), today.plusDays(300))) {
            assertThat(day.reasons())
                    .as("%s on %s", species, day.date())
                    .noneMatch(reason -> weatherRules.contains(reason.rule()))
                    .anyMatch(reason -> reason.rule().equals("no-forecast"));
        }
    }
}
