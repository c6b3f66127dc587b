package umbel.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Stubs;
import umbel.cut.TargetAxes;
import umbel.reading.Finding;
import umbel.reading.RemedyContext;
import umbel.reading.Rules;
import umbel.text.Statement;
import umbel.wood.Tree;
import umbel.wood.Units;

/** What could be done about the findings of a tree: the answers that may be given, and why the others may not. */
final class FindingAnswers {

    private final Tree found;
    private final PlanRequest request;
    private final CutSetEvaluator evaluator;
    private final SystemOperations bySystem;
    private final RemedyContext remedies;
    private final FrameGuard guard;
    private final boolean closed;
    private final List<Candidate> usual = new ArrayList<>();
    private final List<Candidate> otherWays = new ArrayList<>();

    FindingAnswers(
            List<Finding> findings,
            PlanRequest request,
            CutSetEvaluator evaluator,
            SystemOperations bySystem,
            Stubs stubs) {
        this.found = evaluator.found();
        this.request = request;
        this.evaluator = evaluator;
        this.bySystem = bySystem;
        this.closed = found.phaseRule(request.moment().word()).forbids();
        this.remedies = new RemedyContext(
                found,
                findings,
                request.school(),
                request.summer(),
                request.parameters().lowering(),
                stubs);
        this.guard = new FrameGuard(found, findings, request.parameters());
        for (Finding finding : findings) {
            for (Candidate candidate : remedies(finding)) {
                if (mayBeDone(candidate) && !guard.forbids(candidate) && !patches(candidate)) {
                    // how a limb is taken is the system's choice, not a matter of gain
                    boolean first =
                            usual.stream().noneMatch(one -> one.finding() == finding && one.decidesAs(candidate));
                    (first ? usual : otherWays).add(candidate);
                }
            }
        }
        usual.removeIf(this::isOnALimbThatGoes);
    }

    /** What is weighed: the answers to the findings, each in the usual way. */
    List<Candidate> usual() {
        return usual;
    }

    /** Those of the usual answers that are asked for. */
    List<Candidate> usual(Predicate<Candidate> which) {
        return usual.stream().filter(which).toList();
    }

    /** The usual answers, and the other ways to give them. */
    Stream<Candidate> all() {
        return Stream.concat(usual.stream(), otherWays.stream());
    }

    /** What stands in the way of cuts to the frame. */
    FrameGuard guard() {
        return guard;
    }

    /** Whether a candidate works the small wood of a limb whose grave fault has no answer but to take it off. */
    private boolean isOnALimbThatGoes(Candidate candidate) {
        if (!candidate.operation().onGroup() || candidate.settled()) {
            return false;
        }
        List<Candidate> fates = usual.stream()
                .filter(one -> !one.operation().onGroup()
                        && one.operation().onLimb().equals(candidate.operation().onLimb())
                        && answersGraveFault(one))
                .toList();
        return !fates.isEmpty()
                && fates.stream().allMatch(one -> one.operation().kind().takesAll());
    }

    /** The answers to one finding, the usual one first; it stands outside the weighing where nobody disputes it. */
    private List<Candidate> remedies(Finding finding) {
        List<Operation> operations = Rules.remedies(remedies, finding);
        if (!guard.isActedOn(finding)) {
            return List.of();
        }
        boolean undisputed = Rules.isUndisputed(finding) || guard.isThinStray(finding);
        List<Candidate> answers = new ArrayList<>();
        for (int i = 0; i < operations.size(); i++) {
            answers.add(Candidate.of(operations.get(i), finding, undisputed && i == 0));
        }
        return answers;
    }

    /** Whether a candidate cuts a limb for a grave fault that is still there afterwards: shortened, it is as thick at its foot. */
    private boolean patches(Candidate candidate) {
        return candidate.operation().kind().cuts() && guard.isGrave(candidate.finding()) && !clears(candidate);
    }

    /** Whether a candidate can be done, and the tree no longer shows the fault after it. */
    private boolean clears(Candidate candidate) {
        return evaluator.fits(List.of(), candidate.operation())
                && !evaluator.stands(candidate.finding(), List.of(candidate.operation()));
    }

    /** Why nothing is done about a finding yet, where there is a reason to wait. */
    Optional<Statement> whyNotYet(Finding finding) {
        return Rules.reasonToWait(remedies, finding);
    }

    /** Why no step could answer a finding. */
    Statement whyUnanswered(Finding finding) {
        if (!guard.isActedOn(finding)) {
            return Statement.of("left.unsure");
        }
        List<Candidate> answers = remedies(finding);
        if (answers.stream().anyMatch(one -> request.refused().contains(one.key()))) {
            return Statement.of("left.asked");
        }
        if (answers.stream().anyMatch(one -> !mayBeDone(one))) {
            return Statement.of("left.season");
        }
        boolean lasting =
                answers.stream().anyMatch(one -> one.operation().kind().takesAll() && guard.forbids(one));
        return Statement.of(lasting ? "left.lasting" : "left.no-cut");
    }

    /** Whether the season, the grower and the hand allow it. */
    boolean mayBeDone(Candidate candidate) {
        if (request.refused().contains(candidate.key())) {
            return false;
        }
        if (closed && candidate.operation().kind().cuts() && !request.taken().contains(candidate.operation())) {
            return candidate.finding() != null && Rules.isUndisputed(candidate.finding());
        }
        if (!request.summer() || candidate.settled()) {
            return true;
        }
        double most =
                Units.fromMm(found.setting().parameters().cutting().tools().handPrunerMm());
        return candidate.operation().kind() == OperationKind.BEND
                || TargetAxes.of(found, candidate.operation()).stream().allMatch(axis -> axis.baseDiameter() <= most);
    }

    /** A grower's own operation, with the finding it answers if there is one: in the same way, or by taking the same limb off. */
    Candidate asCandidate(Operation operation) {
        Candidate byHand = Candidate.byHand(operation);
        List<Candidate> known = all().toList();
        return Stream.concat(
                        known.stream().filter(candidate -> candidate.key().equals(PlanRequest.key(operation))),
                        known.stream().filter(candidate -> candidate.decidesAs(byHand)))
                .findFirst()
                .map(candidate -> Candidate.of(operation, candidate.finding(), false))
                .or(() -> bySystem.asDecided(operation))
                .orElse(byHand);
    }

    /** Whether a candidate rids a limb of a grave and certain fault. */
    boolean answersGraveFault(Candidate candidate) {
        return candidate.finding() != null
                && candidate.isOfALimb()
                && guard.isGrave(candidate.finding())
                && clears(candidate);
    }

    /** Whether the fault a candidate answers still stands when these are done without it. */
    boolean isAskedFor(List<Operation> others, Candidate candidate) {
        return candidate.finding() == null || candidate.settled() || evaluator.stands(candidate.finding(), others);
    }
}
