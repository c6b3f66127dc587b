package umbel.assess;

import java.util.ArrayList;
import java.util.List;
import umbel.growth.Moment;
import umbel.knowledge.Species;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.wood.Axis;
import umbel.wood.Tree;

/** What the species' calendar says of a phase for one tree: stricter where disease is recorded. Weather is not read here. */
public final class PhaseTiming {

    private PhaseTiming() {}

    /** The verdict on working on a tree at a moment of its year, with its reasons. */
    public static Assessment.Timing of(Tree tree, Moment moment, Speech speech) {
        Species.PhaseRule applies = tree.phaseRule(moment.word());
        List<String> reasons = new ArrayList<>();
        reasons.add(speech.knowledge(applies.reason()));
        boolean unsound = tree.limbs().stream().map(Axis::conditions).anyMatch(conditions -> !conditions.isEmpty());
        if (unsound && (applies.forbids() || moment.isSummer())) {
            reasons.add(speech.say(Statement.of("timing.unsound")));
        }
        reasons.add(speech.say(Statement.of("timing.phase-only")));
        return new Assessment.Timing(applies.verdict(), reasons);
    }
}
