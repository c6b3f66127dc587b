package umbel.crew;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.season.DayAdvice.Verdict;

/** Random winters: whatever the work, the hands and the days are, no rule is broken, and no work is lost or made up. */
class SchedulerLawsTest {

    private static final LocalDate START = LocalDate.of(2027, 1, 4);

    private record Winter(List<BlockWork> blocks, List<CrewMember> crew) {}

    private static Winter winter(long seed) {
        Random random = new Random(seed);
        List<BlockWork> blocks = new ArrayList<>();
        int count = 3 + random.nextInt(6);
        for (int i = 0; i < count; i++) {
            TreeMap<LocalDate, Verdict> days = new TreeMap<>();
            int length = 10 + random.nextInt(40);
            for (int day = 0; day < length; day++) {
                days.put(START.plusDays(day), Verdict.values()[random.nextInt(4)]);
            }
            Map<WorkKind, Double> hours = new EnumMap<>(WorkKind.class);
            hours.put(WorkKind.SAW, 5.0 * random.nextInt(3));
            hours.put(WorkKind.LADDER, 4.0 * random.nextInt(4));
            hours.put(WorkKind.DETAIL, 3.0 + random.nextInt(50));
            blocks.add(
                    new BlockWork(i + 1, "Block " + (i + 1), hours, 1 + random.nextInt(7), random.nextInt(30), days));
        }
        List<CrewMember> crew = new ArrayList<>();
        int people = 1 + random.nextInt(4);
        for (int i = 0; i < people; i++) {
            crew.add(new CrewMember(
                    i + 1,
                    "P" + i,
                    3 + random.nextInt(6),
                    random.nextBoolean(),
                    random.nextBoolean(),
                    Set.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.of(4 + random.nextInt(4)))));
        }
        return new Winter(blocks, crew);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void noRuleIsBrokenAndNoWorkIsLost(long seed) {
        Winter winter = winter(seed);
        CrewSchedule schedule = Scheduler.solve(
                Scheduler.draft(winter.blocks(), winter.crew(), List.of()), 1, () -> false, better -> {});
        Map<Shift, Integer> taken = new HashMap<>();
        for (WorkPackage workPackage : schedule.workPackages()) {
            Shift shift = workPackage.shift();
            if (shift != null) {
                taken.merge(shift, workPackage.minutes(), Integer::sum);
                assertThat(workPackage.block().days().get(shift.date())).isNotEqualTo(Verdict.NOT);
                assertThat(shift.member().weekdays()).contains(shift.date().getDayOfWeek());
                assertThat(workPackage.kind() != WorkKind.SAW || shift.member().saw())
                        .isTrue();
                assertThat(workPackage.kind() != WorkKind.LADDER
                                || shift.member().ladder())
                        .isTrue();
            }
        }
        taken.forEach((shift, minutes) ->
                assertThat(minutes / 60.0).isLessThanOrEqualTo(shift.member().hoursADay()));
        for (BlockWork block : winter.blocks()) {
            double minutes = schedule.workPackages().stream()
                    .filter(workPackage -> workPackage.block().blockId() == block.blockId())
                    .mapToInt(WorkPackage::minutes)
                    .sum();
            assertThat(minutes / 60).isEqualTo(block.allHours());
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void whatIsToldToBeWithoutAPlaceIsWhatHasNone(long seed) {
        Winter winter = winter(seed);
        CrewSchedule draft = Scheduler.draft(winter.blocks(), winter.crew(), List.of());
        Set<Long> without = new java.util.HashSet<>();
        draft.workPackages().stream()
                .filter(workPackage -> workPackage.shift() == null)
                .forEach(workPackage -> without.add(workPackage.block().blockId()));
        Set<Long> told = new java.util.HashSet<>();
        Conflicts.of(draft, winter.blocks(), winter.crew()).stream()
                .filter(conflict -> conflict.kind().equals("no-place"))
                .forEach(conflict -> told.add(conflict.blockId()));
        assertThat(told).isEqualTo(without);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void aScheduleReadBackFromWhatWasKeptIsTheSame(long seed) {
        Winter winter = winter(seed);
        CrewSchedule draft = Scheduler.draft(winter.blocks(), winter.crew(), List.of());
        List<Scheduler.Placing> kept = draft.workPackages().stream()
                .filter(workPackage -> workPackage.shift() != null)
                .map(workPackage -> new Scheduler.Placing(
                        workPackage.block().blockId(),
                        workPackage.kind(),
                        workPackage.shift().member().id(),
                        workPackage.shift().date(),
                        workPackage.minutes(),
                        false))
                .toList();
        CrewSchedule again = Scheduler.asPlaced(winter.blocks(), winter.crew(), kept);
        assertThat(Conflicts.of(again, winter.blocks(), winter.crew()).stream()
                        .map(Conflicts.Conflict::kind)
                        .sorted()
                        .toList())
                .isEqualTo(Conflicts.of(draft, winter.blocks(), winter.crew()).stream()
                        .map(Conflicts.Conflict::kind)
                        .sorted()
                        .toList());
    }
}
