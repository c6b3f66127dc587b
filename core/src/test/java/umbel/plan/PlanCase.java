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
record PlanCase(Tree tree, PlanRequest request, TreeReader.Reading reading) {

    private static final Assessor ASSESSOR = new Assessor(Knowledge.shipped());

    /** An old tree long left to itself: more to be done than one winter allows. */
    static PlanCase neglected() {
        return of(PracticeTree.survey(
                "pear",
                "central-leader",
                28,
                2,
                Fault.RIVAL_LEADER,
                Fault.THICK_LIMB,
                Fault.TOO_TALL,
                Fault.STACKED_LIMBS));
    }

    static PlanCase of(Survey survey) {
        AssessRequest assessed = AssessRequest.of(survey);
        Tree tree = ASSESSOR.tree(assessed);
        PlanRequest request = ASSESSOR.planRequest(assessed, tree, List.of(), Set.of());
        return new PlanCase(
                tree,
                request,
                TreeReader.read(tree, request.school(), request.limits().reach()));
    }

    Planning planning() {
        return new Planning(tree, reading, request, 1);
    }

    List<Plan> plans() {
        return planning().all();
    }

    Plan recommended() {
        return planning().recommended();
    }

    PlanSearch search() {
        return new PlanSearch(tree, reading.findings(), request, LightResolution.CLOSE, null);
    }

    /** The same tree asked for otherwise. */
    PlanCase wishing(List<Operation> taken, Set<String> refused, Map<String, Double> named) {
        Goals goals = named.isEmpty()
                ? request.goals()
                : Goals.of(named, request.parameters().usual().goals());
        return asked(goals, request.limits(), request.moment(), taken, refused);
    }

    /** The same tree under other limits. */
    PlanCase under(Limits limits) {
        return asked(request.goals(), limits, request.moment(), request.taken(), request.refused());
    }

    /** The same tree to be worked on in leaf. */
    PlanCase inLeaf() {
        return asked(request.goals(), request.limits(), Moment.SUMMER, request.taken(), request.refused());
    }

    private PlanCase asked(Goals goals, Limits limits, Moment moment, List<Operation> taken, Set<String> refused) {
        PlanRequest other = new PlanRequest(
                request.school(),
                request.parameters(),
                goals,
                limits,
                moment,
                request.years(),
                taken,
                refused,
                request.learned());
        return new PlanCase(tree, other, reading);
    }
}
