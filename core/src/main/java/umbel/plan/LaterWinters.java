package umbel.plan;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.growth.Moment;
import umbel.growth.Season;
import umbel.growth.Seasons;
import umbel.reading.Rules;
import umbel.reading.TreeReader;
import umbel.wood.Tree;

/**
 * The winters after this visit, each planned on the tree as the work before it and a season are expected to leave it. What they
 * intend with whole limbs is told, for faults that stand today; the rest depends on how the tree will grow and is summed up.
 */
final class LaterWinters {

    /** Nothing later. */
    static final Work NONE = new Work(List.of(), List.of());

    private static final List<Moment> WHOLE_TREE_WORK =
            List.of(Moment.DORMANT, Moment.DELAYED_DORMANT, Moment.BLOOM, Moment.AFTER_HARVEST);

    private final PlanRequest request;
    private final TreeReader.Reading today;
    private final Seasons seasons;

    /**
     * What later winters do.
     *
     * @param intended the fates of limbs, told one by one
     * @param small the rest
     */
    record Work(List<Step> intended, List<Step> small) {

        /** The limbs that a later winter takes off. */
        Set<String> goes() {
            return intended.stream()
                    .filter(step -> isTakenOff(step.operation()))
                    .map(step -> step.operation().onLimb())
                    .collect(Collectors.toSet());
        }
    }

    LaterWinters(PlanRequest request, TreeReader.Reading today, Seasons seasons) {
        this.request = request;
        this.today = today;
        this.seasons = seasons;
    }

    /**
     * What comes after a visit.
     *
     * @param now the visit's steps
     * @param leastGainFactor how much more than the usual least gain a step must bring
     */
    Work after(List<Step> now, double leastGainFactor) {
        List<Step> intended = new ArrayList<>();
        List<Step> small = new ArrayList<>();
        List<Season.Work> works = new ArrayList<>();
        List<Step> before = now;
        Set<String> growingOn = new HashSet<>();
        for (int year = 1; year < Math.min(request.years(), Planner.YEARS_AHEAD + 1); year++) {
            works.add(Planner.work(year == 1 ? request.moment() : Moment.DORMANT, Planner.operations(before)));
            Tree grown = seasons.after(works).after().tree();
            before.forEach(one -> growingOn.add(one.operation().growsOnFrom()));
            PlanRequest then = request.later(growingOn, openMoment(grown));
            TreeReader.Reading expected =
                    TreeReader.expected(grown, then.school(), then.limits().reach());
            before = new Planner(grown, expected, then).ahead(year, leastGainFactor, this::standsToday);
            before.forEach(step -> (isIntention(step) ? intended : small).add(step));
        }
        return new Work(withoutWorkBeforeTheEnd(intended), small);
    }

    /** One fate a limb: what a winter takes off is not worked on in the winters before. */
    private static List<Step> withoutWorkBeforeTheEnd(List<Step> steps) {
        Set<String> goes = new Work(steps, List.of()).goes();
        return steps.stream()
                .filter(step -> isTakenOff(step.operation())
                        || !goes.contains(step.operation().onLimb()))
                .toList();
    }

    private static boolean isTakenOff(Operation operation) {
        return operation.target().isLimb()
                && operation.kind() != OperationKind.RENEW_STUB
                && operation.kind().takesAll();
    }

    /** When in its year the kind may be cut: while it is bare where it may, else as soon as possible after. */
    private static Moment openMoment(Tree tree) {
        return WHOLE_TREE_WORK.stream()
                .filter(moment -> !tree.phaseRule(moment.word()).forbids())
                .findFirst()
                .orElse(Moment.DORMANT);
    }

    /** Whether a candidate answers a fault that its limb shows today. */
    private boolean standsToday(Candidate candidate) {
        return today.findings().stream()
                .filter(one -> Rules.isSame(one, candidate.finding()))
                .anyMatch(one -> one.targets().isEmpty()
                        || one.targets().contains(candidate.operation().target()));
    }

    /** Whether a step decides about a whole limb, or the top, rather than working its ends. */
    private static boolean isIntention(Step step) {
        OperationKind kind = step.operation().kind();
        return !step.operation().onGroup()
                && (kind.takesAll()
                        || kind == OperationKind.RENEW_STUB
                        || kind == OperationKind.REDUCE
                        || kind == OperationKind.LOWER_LEADER
                        || kind == OperationKind.SHORTEN);
    }
}
