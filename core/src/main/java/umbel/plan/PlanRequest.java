package umbel.plan;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.growth.BlockCalibration;
import umbel.growth.Moment;
import umbel.knowledge.PlanParameters;
import umbel.knowledge.School;

/**
 * What a plan is asked for.
 *
 * @param parameters what a plan weighs and how finely it searches
 * @param moment when in its year the tree is worked on; in summer only light hand work is planned
 * @param years winters to plan over, this visit included; at least 1
 * @param taken operations the grower has already decided on for this visit
 * @param refused operations the grower will not have, as {@link #key(Operation)}
 * @param learned what the block's trees have taught about forecasts
 */
public record PlanRequest(
        School school,
        PlanParameters parameters,
        Goals goals,
        Limits limits,
        Moment moment,
        int years,
        List<Operation> taken,
        Set<String> refused,
        BlockCalibration learned) {

    /** A request for trees that have taught nothing yet. */
    public PlanRequest(
            School school,
            PlanParameters parameters,
            Goals goals,
            Limits limits,
            Moment moment,
            int years,
            List<Operation> taken,
            Set<String> refused) {
        this(school, parameters, goals, limits, moment, years, taken, refused, BlockCalibration.NOTHING);
    }

    /** The same request with what was learned. */
    public PlanRequest knowing(BlockCalibration what) {
        return new PlanRequest(school, parameters, goals, limits, moment, years, taken, refused, what);
    }

    public PlanRequest {
        taken = List.copyOf(taken);
        refused = Set.copyOf(refused);
    }

    /** Whether soft shoots grow, so that only light work by hand is done. */
    boolean summer() {
        return moment.isSummer();
    }

    /** The name an operation is refused by: what and where. */
    public static String key(Operation operation) {
        return operation.kind().word() + "@" + operation.target().path();
    }

    /**
     * The same request for a later winter: nothing is taken yet.
     *
     * @param kept limbs that grow on from an earlier winter's cuts, which are not to be taken after all
     * @param then when in its year the tree is worked on then
     */
    PlanRequest later(Set<String> kept, Moment then) {
        Set<String> more = new HashSet<>(refused);
        for (OperationKind kind : OperationKind.values()) {
            if (kind.takesAll() || kind == OperationKind.RENEW_STUB) {
                kept.forEach(limb -> more.add(key(Operation.whole(kind, Target.limb(limb)))));
            }
        }
        return new PlanRequest(school, parameters, goals, limits, then, 1, List.of(), more, learned);
    }

    /** Whether a tree is appraised the same under both requests; goals and limits only weigh what was appraised. */
    boolean sees(PlanRequest other) {
        return school.equals(other.school)
                && parameters.equals(other.parameters)
                && limits.reach() == other.limits.reach();
    }

    /** The same request with everything done in one winter. */
    PlanRequest unlimited() {
        Limits none = limits.within(Math.max(parameters.variants().mostShare(), limits.woodShare()), Integer.MAX_VALUE);
        return new PlanRequest(school, parameters, goals, none, moment, 1, taken, refused, learned);
    }

    /** The same wish, to go less far or further. */
    PlanRequest within(PlanParameters.Variant variant) {
        Limits other = limits.within(
                Math.min(parameters.variants().mostShare(), limits.woodShare() * variant.woodShare()),
                (int) Math.ceil(limits.bigCuts() * variant.bigCuts()));
        return new PlanRequest(
                school, parameters, goals.lightTimes(variant.light()), other, moment, years, taken, refused, learned);
    }
}
