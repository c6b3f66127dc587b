package umbel.crew;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import umbel.text.Statement;
import umbel.text.Value;

/** What a schedule breaks or leaves undone, by plain counting; it does not ask the solver. */
public final class Conflicts {

    private Conflicts() {}

    /**
     * One trouble.
     *
     * @param kind no-place, overfull, closed-day, skill or order
     * @param blockId the block it concerns; 0 for none
     */
    public record Conflict(String kind, long blockId, Statement text) {}

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
                        Statement.of("conflict.closed-day")
                                .with("block", name(workPackage.block()))
                                .with("day", new Value.Day(workPackage.shift().date()))));
            }
            if (workPackage.beyondSkill()) {
                found.add(new Conflict(
                        "skill",
                        workPackage.block().blockId(),
                        Statement.of("conflict.skill")
                                .with(
                                        "member",
                                        new Value.Name(
                                                workPackage.shift().member().name()))
                                .with("kind", Value.choice(workPackage.kind().word()))
                                .with("block", name(workPackage.block()))
                                .with("day", new Value.Day(workPackage.shift().date()))));
            }
        }
        order(schedule, blocks, found);
        return found.stream().distinct().toList();
    }

    private static Value name(BlockWork block) {
        return new Value.Name(block.name());
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

    private static Statement whyNot(BlockWork block, WorkKind kind, double hours, List<CrewMember> crew) {
        List<LocalDate> open =
                block.days().keySet().stream().filter(block::open).toList();
        List<CrewMember> able = crew.stream().filter(member -> member.can(kind)).toList();
        double hands = able.stream().mapToDouble(CrewMember::hoursADay).sum() * open.size();
        return Statement.of("conflict.no-place")
                .with("hours", Value.number(Math.max(1, hours), 0))
                .with("kind", Value.choice(kind.word()))
                .with("block", name(block))
                .with("why", Value.choice(able.isEmpty() ? "skill" : open.isEmpty() ? "day" : "hands"))
                .with("days", Value.count(open.size()))
                .with("until", open.isEmpty() ? new Value.Words("") : new Value.Day(open.get(open.size() - 1)))
                .with("hands", Value.number(hands, 0));
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
                        Statement.of("conflict.overfull")
                                .with("member", new Value.Name(shift.member().name()))
                                .with("hours", Value.number(minutes / 60.0, 1))
                                .with("day", new Value.Day(shift.date()))
                                .with("most", Value.number(shift.member().hoursADay(), 1))));
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
                        Statement.of("conflict.order")
                                .with("block", name(block))
                                .with("detail", new Value.Day(detail))
                                .with("saw", new Value.Day(saw))));
            }
        }
    }
}
