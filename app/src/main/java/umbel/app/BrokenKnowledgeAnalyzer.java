package umbel.app;

import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;
import umbel.knowledge.BrokenKnowledge;

/** Says in a line what is wrong with a knowledge file, instead of a trace, when it stops the start. */
class BrokenKnowledgeAnalyzer extends AbstractFailureAnalyzer<BrokenKnowledge> {

    @Override
    protected FailureAnalysis analyze(Throwable rootFailure, BrokenKnowledge cause) {
        return new FailureAnalysis(
                cause.getMessage(), "Mend that line, or take the file out of the folder, and start again.", cause);
    }
}
