package umbel.season;

import static org.assertj.core.api.Assertions.assertThat;

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
}
