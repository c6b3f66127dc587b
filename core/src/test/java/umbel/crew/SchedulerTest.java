package umbel.crew;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import umbel.season.DayAdvice.Verdict;
import umbel.text.Speech;

class SchedulerTest {

    private static final LocalDate START = LocalDate.of(2027, 1, 4);
    private static final Set<DayOfWeek> EVERY_DAY = Set.of(DayOfWeek.values());
    private static final CrewMember ANN = new CrewMember(1, "A", 6, true, true, EVERY_DAY);
    private static final CrewMember BEN = new CrewMember(2, "B", 6, false, true, EVERY_DAY);

    private static BlockWork block(long id, int rank, double saw, double detail, String days) {
        TreeMap<LocalDate, Verdict> open = new TreeMap<>();
        for (int i = 0; i < days.length(); i++) {
            open.put(
                    START.plusDays(i),
                    switch (days.charAt(i)) {
                        case 'b' -> Verdict.BEST;
                        case '+' -> Verdict.BETTER;
                        case 'o' -> Verdict.ALLOWED;
                        default -> Verdict.NOT;
                    });
        }
        return new BlockWork(id, "Block " + id, Map.of(WorkKind.SAW, saw, WorkKind.DETAIL, detail), rank, 10, open);
    }

    private static CrewSchedule solved(List<BlockWork> blocks, List<CrewMember> crew, Scheduler.Placing... placings) {
        return Scheduler.solve(Scheduler.draft(blocks, crew, List.of(placings)), 3, () -> false, better -> {});
    }

    private static double hoursOn(CrewSchedule schedule, long block, LocalDate date) {
        return schedule.workPackages().stream()
                        .filter(workPackage -> workPackage.block().blockId() == block
                                && workPackage.shift() != null
                                && workPackage.shift().date().equals(date))
                        .mapToInt(WorkPackage::minutes)
                        .sum()
                / 60.0;
    }

    @Test
    void allWorkThatFitsFindsAPlaceAndBreaksNothing() {
        List<BlockWork> blocks = List.of(block(1, 6, 8, 20, "oooo..++++"), block(2, 1, 4, 10, "..oooo++++"));
        List<CrewMember> crew = List.of(ANN, BEN);
        CrewSchedule schedule = solved(blocks, crew);
        assertThat(Conflicts.of(schedule, blocks, crew)).isEmpty();
        assertThat(schedule.workPackages().stream()
                        .mapToInt(WorkPackage::minutes)
                        .sum())
                .isEqualTo(42 * 60);
    }

    @Test
    void goodDaysAreUsedBeforePoorOnes() {
        List<BlockWork> blocks = List.of(block(1, 6, 0, 12, "oooobb"));
        CrewSchedule schedule = solved(blocks, List.of(BEN));
        assertThat(hoursOn(schedule, 1, START.plusDays(4))).isEqualTo(6);
        assertThat(hoursOn(schedule, 1, START.plusDays(5))).isEqualTo(6);
    }

    @Test
    void hardyBlocksComeBeforeTenderOnes() {
        List<BlockWork> blocks = List.of(block(1, 1, 0, 12, "oooo"), block(2, 6, 0, 12, "oooo"));
        CrewSchedule schedule = solved(blocks, List.of(BEN));
        assertThat(hoursOn(schedule, 2, START) + hoursOn(schedule, 2, START.plusDays(1)))
                .isEqualTo(12);
        assertThat(hoursOn(schedule, 1, START.plusDays(2)) + hoursOn(schedule, 1, START.plusDays(3)))
                .isEqualTo(12);
    }

    @Test
    void nobodyIsPlannedOnTheirFreeDays() {
        CrewMember weekend = new CrewMember(3, "C", 6, false, true, Set.of(DayOfWeek.SATURDAY, DayOfWeek.SUNDAY));
        CrewSchedule schedule = solved(List.of(block(1, 6, 0, 6, "ooooooo")), List.of(weekend));
        assertThat(hoursOn(schedule, 1, START.plusDays(5)) + hoursOn(schedule, 1, START.plusDays(6)))
                .isEqualTo(6);
    }

    @Test
    void sawWorkIsDoneByTheSkilledAndFirst() {
        List<BlockWork> blocks = List.of(block(1, 6, 6, 18, "oooo"));
        CrewSchedule schedule = solved(blocks, List.of(ANN, BEN));
        assertThat(schedule.workPackages())
                .filteredOn(workPackage -> workPackage.kind() == WorkKind.SAW)
                .allMatch(workPackage -> workPackage.shift().member().equals(ANN));
        assertThat(Conflicts.of(schedule, blocks, List.of(ANN, BEN))).isEmpty();
    }

    @Test
    void whatFindsNoPlaceIsToldWithItsReason() {
        List<BlockWork> tooMuch = List.of(block(1, 6, 0, 30, "oo.."));
        CrewSchedule schedule = solved(tooMuch, List.of(BEN));
        assertThat(Conflicts.of(schedule, tooMuch, List.of(BEN)))
                .singleElement()
                .satisfies(conflict -> {
                    assertThat(conflict.kind()).isEqualTo("no-place");
                    assertThat(Speech.english().say(conflict.text()))
                            .contains("2 days suit it until Jan 5, 2027, 12 h of hands");
                });
        List<BlockWork> saw = List.of(block(1, 6, 4, 0, "oooo"));
        assertThat(Speech.english()
                        .say(Conflicts.of(solved(saw, List.of(BEN)), saw, List.of(BEN))
                                .get(0)
                                .text()))
                .contains("nobody is trained for it");
        List<BlockWork> never = List.of(block(1, 6, 0, 4, "...."));
        assertThat(Speech.english()
                        .say(Conflicts.of(solved(never, List.of(BEN)), never, List.of(BEN))
                                .get(0)
                                .text()))
                .contains("no day of this season suits it");
    }

    @Test
    void whatWasPutByHandStaysAndItsConsequencesAreTold() {
        List<BlockWork> blocks = List.of(block(1, 6, 0, 12, "o.oo"));
        LocalDate closed = START.plusDays(2);
        CrewSchedule kept =
                solved(blocks, List.of(BEN), new Scheduler.Placing(1, WorkKind.DETAIL, 2, closed, 240, true));
        assertThat(hoursOn(kept, 1, closed)).isGreaterThanOrEqualTo(4);
        List<BlockWork> shut = List.of(block(1, 6, 0, 4, "o.oo"), block(2, 6, 0, 4, "oooo"));
        CrewSchedule forced =
                solved(shut, List.of(BEN), new Scheduler.Placing(1, WorkKind.DETAIL, 2, START.plusDays(1), 240, true));
        assertThat(Conflicts.of(forced, shut, List.of(BEN)))
                .extracting(Conflicts.Conflict::kind)
                .containsExactly("closed-day");
    }

    @Test
    void sixtyBlocksAndSixPeopleKeepEveryRule() {
        List<BlockWork> blocks = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            StringBuilder days = new StringBuilder();
            for (int day = 0; day < 90; day++) {
                days.append((day * 7 + i * 3) % 5 == 0 ? '.' : day > 55 ? '+' : 'o');
            }
            blocks.add(block(i + 1, 1 + i % 7, 6 + i % 9, 20 + i % 23, days.toString()));
        }
        List<CrewMember> crew = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            crew.add(new CrewMember(i + 1, "P" + i, 6.5, i < 2, i < 4, EVERY_DAY));
        }
        CrewSchedule draft = Scheduler.draft(blocks, crew, List.of());
        int before = withoutPlace(draft);
        CrewSchedule schedule = Scheduler.solve(draft, 4, () -> false, better -> {});
        assertThat(Conflicts.of(schedule, blocks, crew))
                .extracting(Conflicts.Conflict::kind)
                .doesNotContain("closed-day", "skill", "overfull");
        assertThat(withoutPlace(schedule))
                .as("minutes without a place, against the first placing")
                .isLessThanOrEqualTo(before);
        Map<Shift, Integer> taken = new HashMap<>();
        schedule.workPackages().stream()
                .filter(workPackage -> workPackage.shift() != null)
                .forEach(workPackage -> taken.merge(workPackage.shift(), workPackage.minutes(), Integer::sum));
        assertThat(taken).allSatisfy((shift, minutes) -> assertThat(minutes).isLessThanOrEqualTo(390));
    }

    private static int withoutPlace(CrewSchedule schedule) {
        return schedule.workPackages().stream()
                .filter(workPackage -> workPackage.shift() == null)
                .mapToInt(WorkPackage::minutes)
                .sum();
    }
}
