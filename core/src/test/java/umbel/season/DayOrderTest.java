package umbel.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import umbel.knowledge.Knowledge;
import umbel.season.DayAdvice.Reason;
import umbel.season.DayAdvice.Verdict;
import umbel.text.Speech;
import umbel.text.Statement;

class DayOrderTest {

    private static final LocalDate TOMORROW = LocalDate.of(2026, 2, 2);

    private static DayOrder.Waiting waiting(String species, int leaf, Verdict verdict, double hours, int daysLeft) {
        Knowledge known = Knowledge.shipped();
        SeasonBlock block = new SeasonBlock(
                SeasonTraits.of(
                        known.species(species),
                        known.system(known.species(species).defaultSystem())),
                leaf,
                Set.of(),
                true,
                null,
                47);
        DayAdvice advice = new DayAdvice(
                TOMORROW,
                "dormant",
                verdict,
                List.of(new Reason("phase", Statement.of("season.done"))),
                true,
                true,
                null);
        return new DayOrder.Waiting(
                1, species + " " + leaf, block, advice, hours, daysLeft, TOMORROW.plusDays(daysLeft));
    }

    private static List<String> names(List<DayOrder.Placed> placed) {
        return placed.stream().map(one -> one.waiting().name()).toList();
    }

    @Test
    void hardyComesBeforeTenderAndOldBeforeYoung() {
        List<DayOrder.Placed> order = DayOrder.of(
                List.of(
                        waiting("apricot", 9, Verdict.ALLOWED, 10, 60),
                        waiting("apple", 4, Verdict.ALLOWED, 10, 60),
                        waiting("apple", 22, Verdict.ALLOWED, 10, 60)),
                12);
        assertThat(names(order)).containsExactly("apple 22", "apple 4", "apricot 9");
        assertThat(order).extracting(DayOrder.Placed::go).containsExactly(true, true, false);
        assertThat(Speech.english().say(order.get(2).why())).contains("apple 22 blooms later");
    }

    @Test
    void aBetterDayComesFirstAndABadOneIsToldWithItsReason() {
        List<DayOrder.Placed> order = DayOrder.of(
                List.of(
                        waiting("apple", 22, Verdict.NOT, 10, 60),
                        waiting("apple", 8, Verdict.ALLOWED, 10, 60),
                        waiting("apricot", 9, Verdict.BETTER, 10, 60)),
                12);
        assertThat(names(order)).containsExactly("apricot 9", "apple 8", "apple 22");
        assertThat(order.get(2).go()).isFalse();
        assertThat(Speech.english().say(order.get(2).why())).isEqualTo("Its work is done.");
    }

    @Test
    void whoWouldRunOutOfDaysGoesFirst() {
        List<DayOrder.Placed> order = DayOrder.of(
                List.of(waiting("apple", 22, Verdict.BETTER, 10, 60), waiting("apricot", 9, Verdict.ALLOWED, 60, 6)),
                12);
        assertThat(names(order)).containsExactly("apricot 9", "apple 22");
        assertThat(Speech.english().say(order.get(0).why())).startsWith("60 hours of work in 6 days");
    }

    @Test
    void doneBlocksAreSaidToBeDone() {
        List<DayOrder.Placed> order = DayOrder.of(List.of(waiting("apple", 22, Verdict.BETTER, 0, 60)), 12);
        assertThat(order.get(0).go()).isFalse();
        assertThat(Speech.english().say(order.get(0).why())).isEqualTo("Its work is done.");
    }

    /** A vine blooms last and would come first, but it has better days to come. */
    @Test
    void whatHasBetterDaysOfItsOwnWaitsForWhatHasNone() {
        Knowledge known = Knowledge.shipped();
        DayOrder.Waiting apple = waiting("apple", 8, Verdict.ALLOWED, 10, 60);
        DayOrder.Waiting vine = new DayOrder.Waiting(
                2,
                "vines",
                new SeasonBlock(SeasonTraits.of(known.counted("grape"), 47, 400), 9, Set.of(), true, null, 47),
                new DayAdvice(
                        TOMORROW,
                        "dormant",
                        Verdict.ALLOWED,
                        List.of(new Reason(SeasonCalendar.OTHER_DAYS, Statement.of("season.done"))),
                        true,
                        true,
                        null),
                10,
                60,
                TOMORROW.plusDays(90));
        List<DayOrder.Placed> placed = DayOrder.of(List.of(vine, apple), 8);
        assertThat(placed.get(0).waiting()).isEqualTo(apple);
        assertThat(placed.get(1).go()).isFalse();
        assertThat(Speech.english().say(placed.get(1).why())).contains("better days to come");
    }

    /** What the second of two blocks is told, in the words of each ground. */
    @Test
    void whoIsNotGoneToIsToldByWhatTheFirstIsAhead() {
        assertThat(groundOf(waiting("apricot", 9, Verdict.ALLOWED, 60, 6), waiting("apple", 22, Verdict.BETTER, 9, 60)))
                .contains("apricot 9 would run out of days");
        assertThat(groundOf(waiting("apple", 8, Verdict.BETTER, 12, 60), waiting("apple", 22, Verdict.ALLOWED, 9, 60)))
                .contains("the day suits apple 8 better");
        assertThat(groundOf(waiting("apple", 22, Verdict.ALLOWED, 12, 60), waiting("apple", 8, Verdict.ALLOWED, 9, 60)))
                .contains("apple 22 has the older trees");
        assertThat(groundOf(waiting("apple", 8, Verdict.ALLOWED, 12, 60), waiting("apple", 8, Verdict.ALLOWED, 9, 60)))
                .contains("apple 8 comes first");
    }

    private static String groundOf(DayOrder.Waiting first, DayOrder.Waiting second) {
        List<DayOrder.Placed> placed = DayOrder.of(List.of(second, first), 12);
        List<DayOrder.Placed> stable =
                placed.get(0).waiting() == first ? placed : DayOrder.of(List.of(first, second), 12);
        assertThat(stable.get(0).waiting()).isEqualTo(first);
        assertThat(stable.get(1).go()).isFalse();
        return Speech.english().say(stable.get(1).why());
    }

    /** Days that count are those of the main work until the first window closes; three weeks without end it. */
    @Test
    void daysLeftAreThoseOfTheWindowThatIsOpen() {
        DayOrder.Waiting apple = waiting("apple", 8, Verdict.ALLOWED, 10, 60);
        List<DayAdvice> days = List.of(
                day(TOMORROW.minusDays(1), Verdict.BETTER, true),
                day(TOMORROW, Verdict.ALLOWED, true),
                day(TOMORROW.plusDays(1), Verdict.NOT, true),
                day(TOMORROW.plusDays(2), Verdict.BETTER, true),
                day(TOMORROW.plusDays(3), Verdict.BETTER, false),
                day(TOMORROW.plusDays(40), Verdict.BETTER, true));
        DayOrder.Waiting waiting = DayOrder.waiting(4, "block", apple.block(), days, TOMORROW, 10);
        assertThat(waiting.daysLeft()).isEqualTo(2);
        assertThat(waiting.windowEnd()).isEqualTo(TOMORROW.plusDays(2));
        assertThat(waiting.advice().date()).isEqualTo(TOMORROW);
        assertThat(waiting.pressure(10)).isEqualTo(0.5);
        DayOrder.Waiting closed =
                DayOrder.waiting(4, "block", apple.block(), List.of(day(TOMORROW, Verdict.NOT, true)), TOMORROW, 10);
        assertThat(closed.daysLeft()).isZero();
        assertThat(closed.windowEnd()).isNull();
        assertThatThrownBy(() -> DayOrder.waiting(4, "block", apple.block(), days, TOMORROW.plusDays(9), 10))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static DayAdvice day(LocalDate date, Verdict verdict, boolean main) {
        return new DayAdvice(
                date,
                main ? "dormant" : "summer",
                verdict,
                List.of(new Reason("phase", Statement.of("season.done"))),
                true,
                true,
                null);
    }
}
