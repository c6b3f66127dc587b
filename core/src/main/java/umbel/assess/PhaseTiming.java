package umbel.assess;

import java.util.ArrayList;
import java.util.List;
import umbel.growth.Moment;
import umbel.knowledge.Species;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Tree;

/** What the species' calendar says of a phase for one tree: stricter where disease is recorded. Weather is not read here. */
public final class PhaseTiming {

    private PhaseTiming() {}

    /** The verdict on working on a tree at a moment of its year, with its reasons. */
    public static Assessment.Timing of(Tree tree, Moment moment, Speech speech) {
        return told(tree, moment, reasons(tree, moment), speech);
    }

    /** The verdict with reasons given. */
    static Assessment.Timing told(Tree tree, Moment moment, List<Statement> reasons, Speech speech) {
        Telling telling = new Telling(speech);
        return new Assessment.Timing(
                tree.phaseRule(moment.word()).verdict(), telling.each("reasons", reasons), telling.statements());
    }

    /** The reasons of the verdict. */
    static List<Statement> reasons(Tree tree, Moment moment) {
        Species.PhaseRule applies = tree.phaseRule(moment.word());
        List<Statement> reasons = new ArrayList<>();
        reasons.add(Statement.of("timing.kind")
                .with("phase", Value.choice(moment.word()))
                .with("reason", new Value.Words(applies.reason())));
        boolean unsound = tree.limbs().stream().map(Axis::conditions).anyMatch(conditions -> !conditions.isEmpty());
        if (unsound && (applies.forbids() || moment.isSummer())) {
            reasons.add(Statement.of("timing.unsound"));
        }
        reasons.add(Statement.of("timing.phase-only"));
        return reasons;
    }
}
