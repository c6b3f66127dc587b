package umbel.plan;

import umbel.cut.Operation;
import umbel.reading.Finding;

/** One operation that would answer one finding. */
record Candidate(Operation operation, Finding finding, boolean beyondArgument) {

    String key() {
        return Wish.key(operation);
    }
}
