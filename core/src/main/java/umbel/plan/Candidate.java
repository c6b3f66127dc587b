package umbel.plan;

import java.util.List;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.reading.Finding;
import umbel.reading.Stage;
import umbel.text.Statement;

/**
 * One operation that may come into a plan: it answers a finding, or the training system asks for it, or a grower marked it.
 *
 * @param finding null where it answers none
 * @param settled whether it stands outside the weighing: nobody argues, or the system's programme has it
 */
record Candidate(Operation operation, Finding finding, boolean settled, Stage stage, List<Statement> reason) {

    static Candidate of(Operation operation, Finding finding, boolean settled) {
        Stage stage = operation.kind() == OperationKind.BEND ? Stage.TRAIN : finding.stage();
        return new Candidate(operation, finding, settled, stage, List.of(finding.reason()));
    }

    static Candidate bySystem(Operation operation, Stage stage, List<Statement> why) {
        return new Candidate(operation, null, true, stage, why);
    }

    static Candidate byHand(Operation operation) {
        Stage stage = operation.kind() == OperationKind.BEND ? Stage.TRAIN : Stage.DETAIL;
        return new Candidate(operation, null, false, stage, List.of(Statement.of("step.by-hand")));
    }

    /** The same with another reason. */
    Candidate because(List<Statement> other) {
        return new Candidate(operation, finding, settled, stage, other);
    }

    /** Whether both take the same limb off as a whole, in whatever way. */
    boolean decidesAs(Candidate other) {
        return operation.target().equals(other.operation.target())
                && operation.keep() == other.operation.keep()
                && operation.kind().takesAll()
                && other.operation.kind().takesAll();
    }

    String key() {
        return PlanRequest.key(operation);
    }

    /** Whether it answers a fault, and not what is weighed last: windows for light and the thinning of what is crowded. */
    boolean isFault() {
        return !finding.rule().isWeighedLast();
    }

    /** Whether it answers a fault of a whole limb. */
    boolean isOfALimb() {
        return isFault() && !operation.onGroup();
    }
}
