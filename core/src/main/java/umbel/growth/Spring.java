package umbel.growth;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import umbel.cut.CutTree;
import umbel.knowledge.GrowthParameters;
import umbel.knowledge.TrainingSystem;
import umbel.light.LightField;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Setting;
import umbel.wood.Tree;

/**
 * The spring that would follow if a tree went on as it did last year: what must be laid up so that the ends there are grow as
 * they did, and how many of its weak buds become spurs, so that it carries as much leaf. A tree that fills its space carries
 * more by as much as its system's shape gains; one that is pruned every year carries the more when it is not.
 *
 * @param reserve dry mass laid up, kilograms
 * @param spurring share of the weak buds that become spurs
 * @param clothing see {@link GrowthTraits}
 * @param ends see {@link GrowthTraits}
 */
record Spring(double reserve, double spurring, double clothing, Map<String, Double> ends) {

    private static final int STEPS = 9;
    private static final int STEPS_AGAIN = 4;
    private static final int ROUNDS = 3;
    private static final double BRACKET = 1.6;
    /** How much stronger an end must be to grow longer: less than it would take alone, so that rounds settle. */
    private static final double STRENGTH_BY_LENGTH = 2;

    /**
     * The spring of a tree as found.
     *
     * @param field light of the season that ended
     * @param claim of the crop it carried; see {@link Crop#claim}
     */
    static Spring asLastYear(Tree tree, LightField field, long seed, double claim) {
        Setting setting = tree.setting();
        GrowthParameters parameters = setting.parameters().growth();
        KeyedDraws draws = new KeyedDraws(seed, 0);
        LeafArea leafage = new LeafArea(tree);
        double most = parameters.reserve().most() * (setting.trunkSection() + 2e-4);
        double ofLaterals = tree.axes().stream()
                .filter(Axis::isUnmeasured)
                .mapToDouble(Axis::leafArea)
                .sum();
        CutTree uncut = CutTree.of(tree, List.of());
        GrowthTraits traits = GrowthTraits.USUAL;
        CarbonAllocation sharing = null;
        double reserve = 0;
        for (int round = 0; round < ROUNDS; round++) {
            GrowingPoints points = new GrowingPoints(uncut, leafage, field, traits, draws);
            sharing = new CarbonAllocation(points, draws);
            reserve = round == 0
                    ? reserve(sharing, setting, claim, wantedGrowth(tree), most / 200, most, STEPS)
                    : reserve(
                            sharing,
                            setting,
                            claim,
                            wantedGrowth(tree),
                            reserve / BRACKET,
                            Math.min(most, reserve * BRACKET),
                            STEPS_AGAIN);
            sharing.share(Season.forShoots(reserve, claim, setting));
            double need = points.costOfLaterals() * ofLaterals;
            double clothing = need <= 0 ? 1 : Math.max(1e-3, sharing.intoLaterals() / need);
            traits = traits.with(clothing, ends(tree, sharing.lengthsOfTips(), traits.ends(), parameters));
        }
        GrowingPoints points = new GrowingPoints(uncut, leafage, field, traits, draws);
        sharing = new CarbonAllocation(points, draws);
        sharing.share(Season.forShoots(reserve, claim, setting));
        double wanted = gained(setting) * leafage.all() / (1 - usuallyTaken(setting));
        double ofWeakBuds = sharing.weakBuds() * setting.species().wood().leafPerSpur();
        List<Double> bounds = parameters.start().inferred().spurring();
        double spurring = ofWeakBuds <= 0 ? 1 : (wanted - sharing.leafBesideWeakBuds()) / ofWeakBuds;
        return new Spring(
                reserve, Math.max(bounds.get(0), Math.min(bounds.get(1), spurring)), traits.clothing(), traits.ends());
    }

    /** The reserve that would make the tips grow as wanted, between bounds, by halving. */
    private static double reserve(
            CarbonAllocation sharing,
            Setting setting,
            double claim,
            double wanted,
            double least,
            double most,
            int steps) {
        double low = Math.log(least);
        double high = Math.log(most);
        for (int i = 0; i < steps; i++) {
            double middle = (low + high) / 2;
            sharing.share(Season.forShoots(Math.exp(middle), claim, setting));
            if (sharing.lengthInAll() < wanted) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return Math.exp((low + high) / 2);
    }

    /** How much should grow in all, metres: what grew last year. */
    private static double wantedGrowth(Tree tree) {
        double sum = 0;
        for (Axis axis : tree.axes()) {
            sum += axis.kind() != AxisKind.SPUR && LeafArea.grows(axis) ? axis.lastGrowth() : 0;
        }
        return sum;
    }

    /** Strengths that bring each end of the measured frame nearer to what it grew last year. */
    private static Map<String, Double> ends(
            Tree tree, Map<String, Double> lengths, Map<String, Double> before, GrowthParameters parameters) {
        List<Double> bounds = parameters.start().inferred().ends();
        Map<String, Double> ends = new HashMap<>();
        for (Axis axis : tree.axes()) {
            if (axis.isFrame() && axis.lastGrowth() > 0 && lengths.containsKey(axis.id())) {
                double grows = Math.max(0.02, lengths.get(axis.id()));
                double factor =
                        before.getOrDefault(axis.id(), 1.0) * Math.pow(axis.lastGrowth() / grows, STRENGTH_BY_LENGTH);
                ends.put(axis.id(), Math.max(bounds.get(0), Math.min(bounds.get(1), factor)));
            }
        }
        return ends;
    }

    /** How much more leaf than last year a tree of its age should carry: by the area its system's shape gains. */
    private static double gained(Setting setting) {
        if (!setting.isFilling()) {
            return 1;
        }
        TrainingSystem.Shape shape = setting.system().shape();
        double now = Math.max(0.1, shape.grown(setting.leaf()));
        GrowthParameters.LeafGained rule = setting.parameters().growth().start().leafGained();
        return Math.min(rule.most(), Math.pow(shape.grown(setting.leaf() + 1) / now, rule.byReach()));
    }

    /** Share of its small wood a tree is taken to lose in a usual winter. */
    private static double usuallyTaken(Setting setting) {
        GrowthParameters.UsualPruning usual =
                setting.parameters().growth().start().usualPruning();
        boolean yearly = setting.species().smallWood().renewsOneYearWood() && setting.leaf() >= setting.bearingLeaf();
        return setting.species().hardness().woodShare()
                * (setting.isFilling() && !yearly ? usual.filling() : usual.bearing());
    }
}
