package umbel.plan;

import umbel.knowledge.PlanParameters;
import umbel.knowledge.RuleKnowledge;
import umbel.reading.Finding;
import umbel.wood.Axis;
import umbel.wood.Condition;
import umbel.wood.Tree;

/**
 * What it costs a tree to keep a fault, before the goal's weight: the rule's own weight, how sure the finding is and how far
 * past its line. A union that has held for years weighs less than a young one, which can still be bent or chosen otherwise;
 * so does a fork out on a limb beside a crotch on the trunk.
 */
final class FaultCost {

    private FaultCost() {}

    /** Cost of a finding on the tree it was made on; 0 for rules that are weighed otherwise. */
    static double of(Finding finding, Tree tree, PlanParameters parameters) {
        double past = Math.min(
                1, Math.abs(finding.value() - finding.threshold()) / Math.max(1e-9, Math.abs(finding.threshold())));
        return certain(finding, tree, parameters) * (0.5 + 0.5 * past);
    }

    /** The same however far past its line a finding is. */
    static double certain(Finding finding, Tree tree, PlanParameters parameters) {
        RuleKnowledge rule = parameters.rules().get(finding.rule().id());
        double held = rule.isProven() ? held(finding, tree, parameters.unions()) : 1;
        return rule.cost() * finding.confidence() * held;
    }

    /** Share of its weight that a fault of a union keeps, by how long the union has held. */
    private static double held(Finding finding, Tree tree, PlanParameters.Unions unions) {
        Axis limb = tree.find(finding.first().limb()).orElseThrow();
        if (limb.is(Condition.SPLITTING)) {
            return 1;
        }
        double years = (limb.age() - unions.young()) / (unions.old() - unions.young());
        return 1 - (1 - unions.least()) * Math.max(0, Math.min(1, years));
    }
}
