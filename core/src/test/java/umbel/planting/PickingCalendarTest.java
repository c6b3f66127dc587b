package umbel.planting;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.MonthDay;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;

/** When kinds are picked, held against what growers of a middling northern place would say. */
class PickingCalendarTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final PickingCalendar NORTH =
            new PickingCalendar(KNOWLEDGE.planting().year(), 47);

    @ParameterizedTest
    @CsvSource({
        "cherry-sweet, 4, 6, 7",
        "apricot, 4, 6, 7",
        "peach, 4, 7, 8",
        "plum-european, 4, 7, 9",
        "pear, 4, 8, 9",
        "apple, 4, 8, 9",
        "quince, 5, 9, 10"
    })
    void kindsBloomInSpringAndAreWrittenInTheirMonths(String kind, int bloom, int from, int to) {
        PickingCalendar.Times times = times(KNOWLEDGE.species(kind));
        assertThat(times.bloom().getMonthValue()).as("bloom").isBetween(bloom - 1, bloom);
        assertThat(times.from().getMonthValue()).as("picked from").isBetween(from - 1, from);
        assertThat(times.to().getMonthValue()).as("picked to").isBetween(to, to + 1);
    }

    @Test
    void inTheSouthItIsHalfAYearLater() {
        Species apple = KNOWLEDGE.species("apple");
        PickingCalendar south = new PickingCalendar(KNOWLEDGE.planting().year(), -35);
        MonthDay there = south.of(apple).orElseThrow().bloom();
        MonthDay here = times(apple).bloom();
        assertThat(there.atYear(2027).getDayOfYear() - here.atYear(2027).getDayOfYear())
                .isEqualTo(182);
    }

    @Test
    void betweenAnEarlyAndALateKindLiesAGap() {
        Species cherry = KNOWLEDGE.species("cherry-sweet");
        Species peach = KNOWLEDGE.species("peach");
        Species quince = KNOWLEDGE.species("quince");
        List<PickingCalendar.Gap> gaps = NORTH.gaps(List.of(quince, cherry));
        assertThat(gaps).hasSize(1);
        assertThat(gaps.get(0).from()).isEqualTo(next(times(cherry).to()));
        assertThat(next(gaps.get(0).to())).isEqualTo(times(quince).from());
        assertThat(NORTH.gaps(List.of(quince, peach, cherry)))
                .as("what lies between makes them shorter")
                .allSatisfy(gap -> assertThat(gap.from())
                        .isGreaterThanOrEqualTo(gaps.get(0).from()));
        assertThat(NORTH.gaps(List.of(cherry))).isEmpty();
        assertThat(NORTH.gaps(List.of(cherry, cherry))).isEmpty();
        assertThat(NORTH.gaps(List.of())).isEmpty();
    }

    /** A mango at a northern place has no month that a grower would believe. */
    @Test
    void evergreensHaveNoDays() {
        Species mango = KNOWLEDGE.species("mango");
        assertThat(NORTH.of(mango)).isEmpty();
        assertThat(NORTH.gaps(List.of(mango, KNOWLEDGE.species("cherry-sweet"))))
                .isEmpty();
    }

    private static PickingCalendar.Times times(Species kind) {
        return NORTH.of(kind).orElseThrow();
    }

    private static MonthDay next(MonthDay day) {
        return MonthDay.from(day.atYear(2027).plusDays(1));
    }

    static List<Species> kinds() {
        return KNOWLEDGE.allSpecies();
    }

    /** A kind without a word for it would silently have no answer. */
    @ParameterizedTest
    @MethodSource("kinds")
    void everyKindGrownForFruitSaysWhatItNeedsToSet(Species kind) {
        assertThat(kind.pollination() == null).isEqualTo(kind.kind().equals("companion"));
    }
}
