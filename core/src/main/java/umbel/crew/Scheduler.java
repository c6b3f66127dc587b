package umbel.crew;

import ai.timefold.solver.core.api.solver.Solver;
import ai.timefold.solver.core.api.solver.SolverFactory;
import ai.timefold.solver.core.config.localsearch.LocalSearchPhaseConfig;
import ai.timefold.solver.core.config.solver.EnvironmentMode;
import ai.timefold.solver.core.config.solver.SolverConfig;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;

/**
 * Gives the season's work to people and days. A first schedule places block after block where it fits; local search
 * (Timefold) then betters it for as long as it is given.
 */
public final class Scheduler {

    private static final int PIECE = 120;

    private Scheduler() {}

    /** Work put by hand, or where it was before: so many minutes of a kind in a block on somebody's day. */
    public record Placing(long blockId, WorkKind kind, long memberId, LocalDate date, int minutes, boolean pinned) {}

    /** The schedule as it was placed, for checking: what has no place is left without one. */
    public static CrewSchedule asPlaced(List<BlockWork> blocks, List<CrewMember> crew, List<Placing> placings) {
        return pieces(blocks, crew, placings, false);
    }

    /** The work cut into pieces of two hours, with a first place for each chunk that finds one. */
    public static CrewSchedule draft(List<BlockWork> blocks, List<CrewMember> crew, List<Placing> placings) {
        CrewSchedule draft = pieces(blocks, crew, placings, true);
        place(draft);
        return draft;
    }

    /** @param onlyOpen whether what was not put by hand keeps its place only on days that suit it */
    private static CrewSchedule pieces(
            List<BlockWork> blocks, List<CrewMember> crew, List<Placing> placings, boolean onlyOpen) {
        List<Shift> shifts = shifts(blocks, crew, placings);
        List<WorkPackage> workPackages = new ArrayList<>();
        long firstDay = shifts.isEmpty() ? 0 : shifts.get(0).date().toEpochDay();
        double mean = blocks.stream().mapToInt(Scheduler::order).average().orElse(0);
        for (BlockWork block : blocks) {
            for (WorkKind kind : WorkKind.values()) {
                int left = (int) Math.round(block.hours().getOrDefault(kind, 0.0) * 60);
                for (Placing placing : placings) {
                    if (placing.blockId() != block.blockId() || placing.kind() != kind || left <= 0) {
                        continue;
                    }
                    Shift shift = find(shifts, placing.memberId(), placing.date());
                    if (shift == null || onlyOpen && !placing.pinned() && !block.open(shift.date())) {
                        continue;
                    }
                    WorkPackage workPackage = new WorkPackage(
                            workPackages.size(),
                            block,
                            kind,
                            Math.min(left, placing.minutes()),
                            hardiness(block, mean),
                            firstDay);
                    workPackages.add(workPackage);
                    left -= workPackage.minutes();
                    if (placing.pinned()) {
                        workPackage.pin(shift);
                    } else {
                        workPackage.put(shift);
                    }
                }
                while (left > 0) {
                    int minutes = Math.min(PIECE, left);
                    workPackages.add(new WorkPackage(
                            workPackages.size(), block, kind, minutes, hardiness(block, mean), firstDay));
                    left -= minutes;
                }
            }
        }
        return new CrewSchedule(shifts, workPackages);
    }

    /**
     * Betters a schedule for some seconds.
     *
     * @param unlessStopped asked now and then; true ends the search early
     * @param better told whenever a better one is found
     */
    public static CrewSchedule solve(
            CrewSchedule draft, int seconds, BooleanSupplier unlessStopped, Consumer<CrewSchedule> better) {
        if (draft.workPackages().stream().allMatch(WorkPackage::pinned)) {
            return draft;
        }
        SolverConfig config = new SolverConfig()
                .withSolutionClass(CrewSchedule.class)
                .withEntityClasses(WorkPackage.class)
                .withConstraintProviderClass(CrewRules.class)
                .withEnvironmentMode(EnvironmentMode.NO_ASSERT)
                .withRandomSeed(1L)
                .withTerminationConfig(new TerminationConfig()
                        .withSecondsSpentLimit((long) seconds)
                        .withUnimprovedSecondsSpentLimit(Math.max(1L, seconds / 3)))
                .withPhases(new LocalSearchPhaseConfig());
        Solver<CrewSchedule> solver = SolverFactory.<CrewSchedule>create(config).buildSolver();
        solver.addEventListener(event -> {
            better.accept(event.getNewBestSolution());
            if (unlessStopped.getAsBoolean()) {
                solver.terminateEarly();
            }
        });
        return solver.solve(draft);
    }

    private static int order(BlockWork block) {
        return 10 * block.bloomRank() + Math.min(9, block.leaf() / 3);
    }

    private static int hardiness(BlockWork block, double mean) {
        return (int) Math.round((order(block) - mean) / 10);
    }

    private static List<Shift> shifts(List<BlockWork> blocks, List<CrewMember> crew, List<Placing> placings) {
        TreeSet<LocalDate> dates = new TreeSet<>();
        placings.forEach(placing -> dates.add(placing.date()));
        blocks.forEach(
                block -> block.days().keySet().stream().filter(block::open).forEach(dates::add));
        List<Shift> shifts = new ArrayList<>();
        for (LocalDate date : dates) {
            crew.stream()
                    .filter(member ->
                            member.weekdays().contains(date.getDayOfWeek()) || hasPlace(placings, member, date))
                    .forEach(member -> shifts.add(new Shift(member, date)));
        }
        return shifts;
    }

    private static boolean hasPlace(List<Placing> placings, CrewMember member, LocalDate date) {
        return placings.stream()
                .anyMatch(placing ->
                        placing.memberId() == member.id() && placing.date().equals(date));
    }

    private static Shift find(List<Shift> shifts, long member, LocalDate date) {
        return shifts.stream()
                .filter(shift -> shift.member().id() == member && shift.date().equals(date))
                .findFirst()
                .orElse(null);
    }

    /** Places what has no shift yet: scarce days first, then hardy and old; the best day with room, latest work last. */
    private static void place(CrewSchedule draft) {
        Map<Shift, Integer> room = new HashMap<>();
        draft.shifts().forEach(shift -> room.put(shift, shift.minutes()));
        draft.workPackages().stream()
                .filter(workPackage -> workPackage.shift() != null)
                .forEach(workPackage -> room.merge(workPackage.shift(), -workPackage.minutes(), Integer::sum));
        Map<Long, Long> openDays = new HashMap<>();
        draft.workPackages()
                .forEach(workPackage -> openDays.computeIfAbsent(
                        workPackage.block().blockId(),
                        id -> workPackage.block().days().keySet().stream()
                                .filter(workPackage.block()::open)
                                .count()));
        draft.workPackages().stream()
                .filter(workPackage -> workPackage.shift() == null)
                .sorted(Comparator.comparing(
                                (WorkPackage workPackage) -> workPackage.kind().ordinal())
                        .thenComparing(
                                workPackage -> openDays.get(workPackage.block().blockId()))
                        .thenComparing(workPackage -> -order(workPackage.block()))
                        .thenComparing(WorkPackage::id))
                .forEach(workPackage -> draft.shifts().stream()
                        .filter(shift -> shift.member().can(workPackage.kind())
                                && workPackage.block().open(shift.date())
                                && room.get(shift) >= workPackage.minutes())
                        .min(Comparator.comparing((Shift shift) -> -workPackage
                                        .block()
                                        .days()
                                        .get(shift.date())
                                        .ordinal())
                                .thenComparing(Shift::date)
                                .thenComparing(shift -> shift.member().can(WorkKind.SAW) ? 1 : 0))
                        .ifPresent(shift -> {
                            workPackage.put(shift);
                            room.merge(shift, -workPackage.minutes(), Integer::sum);
                        }));
    }
}
