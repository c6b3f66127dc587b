package umbel.growth;

import java.util.List;
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
 */
record Spring(double reserve, double spurring) {

    private static final int STEPS = 9;

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
        GrowingPoints points =
                new GrowingPoints(CutTree.of(tree, List.of()), leafage, field, GrowthTraits.USUAL, draws);
        CarbonAllocation sharing = new CarbonAllocation(points, draws);
        double reserve = reserve(sharing, setting, claim, wantedOfTips(tree));
        sharing.share(Season.forShoots(reserve, claim, setting));
        double wanted = gained(setting) * leafage.all() / (1 - usuallyTaken(setting));
        double ofWeakBuds = sharing.weakBuds() * setting.species().wood().leafPerSpur();
        List<Double> bounds = parameters.start().inferred().spurring();
        double spurring = ofWeakBuds <= 0 ? 1 : (wanted - sharing.leafBesideWeakBuds()) / ofWeakBuds;
        return new Spring(reserve, Math.max(bounds.get(0), Math.min(bounds.get(1), spurring)));
    }

    /** The reserve that would make the tips grow as wanted, between bounds, by halving. */
    private static double reserve(CarbonAllocation sharing, Setting setting, double claim, double wanted) {
        double most = setting.parameters().growth().reserve().most() * (setting.trunkSection() + 2e-4);
        double low = Math.log(most / 200);
        double high = Math.log(most);
        for (int i = 0; i < STEPS; i++) {
            double middle = (low + high) / 2;
            sharing.share(Season.forShoots(Math.exp(middle), claim, setting));
            if (sharing.lengthOfTips() < wanted) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return Math.exp((low + high) / 2);
    }

    /**
     * How much the ends that are there should grow, metres: what they grew last year, less because there are more of them
     * to share it than after last winter's usual pruning.
     */
    private static double wantedOfTips(Tree tree) {
        double sum = 0;
        for (Axis axis : tree.axes()) {
            sum += axis.kind() != AxisKind.SPUR && LeafArea.grows(axis) ? axis.lastGrowth() : 0;
        }
        return sum * Math.pow(1 - usuallyTaken(tree.setting()), 1 / CarbonAllocation.MASS_BY_LENGTH);
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
