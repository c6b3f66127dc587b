package umbel.crew;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What a schedule breaks or leaves undone, in words and by plain counting; it does not ask the solver. */
public final class Conflicts {

    private Conflicts() {}

    /**
     * One trouble.
     *
     * @param kind no-place, overfull, closed-day, skill or order
     * @param blockId the block it concerns; 0 for none
     */
    public record Conflict(String kind, long blockId, String text) {}

    /** All troubles of a schedule. */
    public static List<Conflict> of(CrewSchedule schedule, List<BlockWork> blocks, List<CrewMember> crew) {
        List<Conflict> found = new ArrayList<>();
        withoutPlace(schedule, blocks, crew, found);
        overfull(schedule, found);
        for (WorkPackage workPackage : schedule.workPackages()) {
            if (workPackage.onClosedDay()) {
                found.add(new Conflict(
                        "closed-day",
                        workPackage.block().blockId(),
                        workPackage.block().name() + " may not be cut on "
                                + workPackage.shift().date() + "."));
            }
            if (workPackage.beyondSkill()) {
                found.add(new Conflict(
                        "skill",
                        workPackage.block().blockId(),
                        workPackage.shift().member().name() + " is not trained for the "
                                + workPackage.kind().word() + " work in "
                                + workPackage.block().name() + " on "
                                + workPackage.shift().date() + "."));
            }
        }
        order(schedule, blocks, found);
        return found.stream().distinct().toList();
    }

    private static void withoutPlace(
            CrewSchedule schedule, List<BlockWork> blocks, List<CrewMember> crew, List<Conflict> found) {
        for (BlockWork block : blocks) {
            for (WorkKind kind : WorkKind.values()) {
                double hours = schedule.workPackages().stream()
                                .filter(workPackage -> workPackage.block().blockId() == block.blockId()
                                        && workPackage.kind() == kind
                                        && workPackage.shift() == null)
                                .mapToInt(WorkPackage::minutes)
                                .sum()
                        / 60.0;
                if (hours > 0) {
                    found.add(new Conflict("no-place", block.blockId(), whyNot(block, kind, hours, crew)));
                }
            }
        }
    }

    private static String whyNot(BlockWork block, WorkKind kind, double hours, List<CrewMember> crew) {
        List<LocalDate> open =
                block.days().keySet().stream().filter(block::open).toList();
        List<CrewMember> able = crew.stream().filter(member -> member.can(kind)).toList();
        String what = String.format(
                Locale.ROOT, "%.0f h of %s work in %s find no place: ", Math.max(1, hours), kind.word(), block.name());
        if (able.isEmpty()) {
            return what + "nobody is trained for it.";
        }
        if (open.isEmpty()) {
            return what + "no day of this season suits it.";
        }
        double hands = able.stream().mapToDouble(CrewMember::hoursADay).sum() * open.size();
        return what
                + String.format(
                        Locale.ROOT,
                        "%d days suit it until %s, %.0f h of hands, and other blocks need them too.",
                        open.size(),
                        open.get(open.size() - 1),
                        hands);
    }

    private static void overfull(CrewSchedule schedule, List<Conflict> found) {
        Map<Shift, Integer> taken = new LinkedHashMap<>();
        schedule.workPackages().stream()
                .filter(workPackage -> workPackage.shift() != null)
                .forEach(workPackage -> taken.merge(workPackage.shift(), workPackage.minutes(), Integer::sum));
        taken.forEach((shift, minutes) -> {
            if (minutes > shift.minutes()) {
                found.add(new Conflict(
                        "overfull",
                        0,
                        String.format(
                                Locale.ROOT,
                                "%s has %.1f h of work on %s and %.1f h of day.",
                                shift.member().name(),
                                minutes / 60.0,
                                shift.date(),
                                shift.member().hoursADay())));
            }
        });
    }

    private static void order(CrewSchedule schedule, List<BlockWork> blocks, List<Conflict> found) {
        for (BlockWork block : blocks) {
            LocalDate detail = null;
            LocalDate saw = null;
            for (WorkPackage workPackage : schedule.workPackages()) {
                if (workPackage.block().blockId() != block.blockId() || workPackage.shift() == null) {
                    continue;
                }
                LocalDate date = workPackage.shift().date();
                if (workPackage.kind() == WorkKind.SAW && (saw == null || date.isAfter(saw))) {
                    saw = date;
                }
                if (workPackage.kind() != WorkKind.SAW && (detail == null || date.isBefore(detail))) {
                    detail = date;
                }
            }
            if (saw != null && detail != null && detail.isBefore(saw)) {
                found.add(new Conflict(
                        "order",
                        block.blockId(),
                        "In " + block.name() + " detail begins on " + detail + ", before the saw work is done on " + saw
                                + "."));
            }
        }
    }
}
