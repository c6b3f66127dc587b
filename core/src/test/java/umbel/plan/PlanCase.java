package umbel.plan;

import java.util.List;
import java.util.Map;
import java.util.Set;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.cut.Operation;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;
import umbel.light.LightResolution;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.reading.TreeReader;
import umbel.survey.Survey;
import umbel.wood.Tree;

/** A tree with what is asked for it and what is wrong with it. */
record PlanCase(Tree tree, PlanRequest wish, TreeReader.Reading reading) {

    private static final Assessor ASSESSOR = new Assessor(Knowledge.shipped());

    /** An old tree long left to itself: more to be done than one winter allows. */
    static PlanCase neglected() {
        return of(PracticeTree.survey(
                "plum-japanese",
                "open-centre",
                28,
                2,
                Fault.RIVAL_LEADER,
                Fault.THICK_LIMB,
                Fault.TOO_TALL,
                Fault.STACKED_LIMBS));
    }

    static PlanCase of(Survey survey) {
        AssessRequest request = AssessRequest.of(survey);
        Tree tree = ASSESSOR.tree(request);
        PlanRequest wish = ASSESSOR.wish(request, tree, List.of(), Set.of());
        return new PlanCase(
                tree, wish, TreeReader.read(tree, wish.school(), wish.limits().reach()));
    }

    Planning planning() {
        return new Planning(tree, reading, wish, 1);
    }

    List<Plan> plans() {
        return planning().all();
    }

    Plan recommended() {
        return planning().recommended();
    }

    PlanSearch search() {
        return new PlanSearch(tree, reading.findings(), wish, LightResolution.CLOSE, null);
    }

    /** The same tree asked for otherwise. */
    PlanCase wishing(List<Operation> taken, Set<String> refused, Map<String, Double> named) {
        Goals goals =
                named.isEmpty() ? wish.goals() : Goals.of(named, wish.rules().goals());
        return asked(goals, wish.limits(), wish.moment(), taken, refused);
    }

    /** The same tree under other limits. */
    PlanCase under(Limits limits) {
        return asked(wish.goals(), limits, wish.moment(), wish.taken(), wish.refused());
    }

    /** The same tree to be worked on in leaf. */
    PlanCase inLeaf() {
        return asked(wish.goals(), wish.limits(), Moment.SUMMER, wish.taken(), wish.refused());
    }

    private PlanCase asked(Goals goals, Limits limits, Moment moment, List<Operation> taken, Set<String> refused) {
        PlanRequest other = new PlanRequest(
                wish.school(), wish.rules(), goals, limits, moment, wish.years(), taken, refused, wish.learned());
        return new PlanCase(tree, other, reading);
    }
}
