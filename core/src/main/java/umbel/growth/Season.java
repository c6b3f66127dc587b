package umbel.growth;

import java.util.List;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.knowledge.GrowthParameters;
import umbel.knowledge.Species;
import umbel.light.LightField;
import umbel.wood.Setting;
import umbel.wood.Tree;

/**
 * One year of a tree: winter cuts, bloom and crop, spring growth out of the reserve, light on the new leaf, what it makes
 * and who gets it, wood thickening, flower buds formed, shaded wood dying.
 */
public final class Season {

    private static final int DIRECTIONS = 16;

    private final TreeState before;
    private final Setting setting;
    private final Species.Growth species;
    private final GrowthParameters parameters;
    private final KeyedDraws draws;

    private Season(TreeState before) {
        this.before = before;
        this.setting = before.tree().setting();
        this.species = setting.species().growth();
        this.parameters = setting.parameters().growth();
        this.draws = new KeyedDraws(before.seed(), before.year());
    }

    /**
     * What is done to a tree in one year.
     *
     * @param before operations on the tree as it stands before the season that is grown
     * @param moment when they are done: while it is dormant, late in spring, or still in the leaf of the season before
     * @param summer operations in leaf in the season that is grown, in the middle of summer, on the tree as it is by then
     * @param thinned whether fruit is thinned by hand to what the tree is meant to carry
     * @param deflowered whether all flowers are taken off
     */
    public record Work(
            List<Operation> before, Moment moment, List<Operation> summer, boolean thinned, boolean deflowered) {

        /** Nothing but hand thinning. */
        public static final Work NONE = dormant(List.of());

        public Work {
            before = List.copyOf(before);
            summer = List.copyOf(summer);
        }

        /** Winter cuts alone, fruit thinned. */
        public static Work dormant(List<Operation> winter) {
            return at(Moment.DORMANT, winter);
        }

        /** Cuts at one moment alone, fruit thinned. */
        public static Work at(Moment moment, List<Operation> before) {
            return new Work(before, moment, List.of(), true, false);
        }

        /** Cuts in the coming summer alone, fruit thinned. */
        public static Work inLeaf(List<Operation> summer) {
            return new Work(List.of(), Moment.DORMANT, summer, true, false);
        }
    }

    /**
     * One year's outcome.
     *
     * @param after the tree next winter and what it carries over
     * @param fruits finished this season
     * @param firstClass of them, those in light enough to size and colour
     * @param newLength of all new growth, metres
     * @param regrown of it what grew again about the wounds of the same summer, metres
     * @param extension mean length of new shoots and tips that grew long, metres
     * @param woken shoots from dormant buds
     * @param longShoots new long shoots, tips left out
     * @param spursLost spurs that died
     * @param interception share of the ground's light caught
     */
    public record Year(
            TreeState after,
            double fruits,
            double firstClass,
            double newLength,
            double regrown,
            double extension,
            int woken,
            int longShoots,
            int spursLost,
            double interception) {}

    /** Grows one season. */
    public static Year grow(TreeState before, Work work) {
        return new Season(before).grow(work, 1);
    }

    /**
     * Grows one season that sets more or less fruit than usual.
     *
     * @param set how well flowers set, 1 is usual
     */
    public static Year grow(TreeState before, Work work, double set) {
        return new Season(before).grow(work, set);
    }

    private Year grow(Work work, double set) {
        CutTree cut = CutTree.of(before.tree(), CutTree.possible(before.tree(), work.before()));
        LeafArea carried = new LeafArea(before.tree());
        double reserve =
                before.reserve() * (1 - lost(cut, carried, work.moment().in(parameters)));
        double bloom = set * before.traits().setting();
        Crop crop = Crop.set(cut.left(), before.light(), leftOn(before.tree(), before.light(), work), bloom);

        GrowingPoints points = new GrowingPoints(cut, carried, before.light(), before.traits(), draws);
        CarbonAllocation sharing = new CarbonAllocation(points, draws);
        double claim = Crop.claim(crop.fruits(), setting, before.assimilated());
        sharing.share(forShoots(reserve, claim, setting));
        ShootGrowth.Grown grown = ShootGrowth.of(points, before.year() + 1);
        double kept = reserve * (1 - parameters.reserve().spent())
                + parameters.reserve().unspentBack() * sharing.unspent();

        Tree leafy = grown.tree();
        LightField field = LightField.of(leafy, parameters.cellCm() / 100, DIRECTIONS);
        double made = Carbon.assimilated(leafy, field);
        double regrown = 0;
        int regrownShoots = 0;
        if (!work.summer().isEmpty()) {
            double left = Moment.SUMMER.in(parameters).left();
            CutTree inLeaf = CutTree.of(leafy, CutTree.possible(leafy, work.summer()));
            double stays = Carbon.assimilated(
                    inLeaf.left(), LightField.of(inLeaf.left(), parameters.cellCm() / 100, DIRECTIONS));
            GrowingPoints wounds = GrowingPoints.aboutWounds(inLeaf, field, before.traits(), draws);
            new CarbonAllocation(wounds, draws)
                    .share(parameters.assimilation().flush() * left * Math.max(0, made - stays));
            ShootGrowth.Grown again = ShootGrowth.again(wounds, before.year() + 1);
            leafy = again.tree();
            regrown = again.newLength();
            regrownShoots = again.longShoots();
            field = LightField.of(leafy, parameters.cellCm() / 100, DIRECTIONS);
            made = (1 - left) * made + left * stays;
        }
        // hands thin in early summer, by the leaf that is there then
        crop = Crop.set(cut.left(), before.light(), leftOn(leafy, field, work), bloom);
        made = Carbon.drawnOn(made, crop.fruits() * Crop.dryFruit(setting), parameters);
        Crop finished = crop.finished(leafy, made);
        double net =
                made - finished.drain(setting, made) - parameters.assimilation().woodUpkeep() * Carbon.wood(leafy);
        FlowerBudFormation ripening = new FlowerBudFormation(before, leafy, grown.bareSpurs(), field, finished, draws);
        RadialGrowth thickening = new RadialGrowth(
                leafy, net / Math.max(1e-9, made), before.traits().thickening());
        Tree tree = ripening.ripen(thickening);
        double saved = parameters.reserve().stored()
                * parameters.wood().stocks().get(setting.cultivar().stock())
                * before.traits().vigour()
                * Math.max(parameters.reserve().storedLeast() * Math.max(0, net), net - thickening.mass());
        double room = parameters.reserve().most() * (tree.setting().trunkSection() + 2e-4);
        TreeState after = new TreeState(
                tree,
                before.year() + 1,
                field,
                Math.min(room, kept + saved),
                made,
                before.traits(),
                before.seed(),
                before.brighter());
        int grew = grown.longShoots() + grown.longTips() + regrownShoots;
        double newLength = grown.newLength() + regrown;
        return new Year(
                after,
                finished.fruits(),
                finished.fruits() * Crop.firstClassShare(cut.left(), before.light(), field, before.brighter()),
                newLength,
                regrown,
                grew == 0 ? 0 : newLength / grew,
                grown.woken(),
                grown.longShoots() + regrownShoots,
                ripening.spursLost(),
                field.caught());
    }

    /** Fruits left on a tree in its leaf. */
    private double leftOn(Tree leafy, LightField light, Work work) {
        return work.deflowered()
                ? 0
                : work.thinned() ? Crop.most(leafy, light, before.brighter()) : Double.POSITIVE_INFINITY;
    }

    /**
     * Share of the reserve that goes with what is cut: what lies in its bark and sapwood, what has moved into its shoots if it
     * is late in spring, and what its leaf would have laid up in the rest of a season.
     */
    private double lost(CutTree cut, LeafArea carried, GrowthParameters.Moment moment) {
        double bark = Carbon.bark(before.tree());
        double taken = bark <= 0 ? 0 : Math.max(0, 1 - Carbon.bark(cut.left()) / bark);
        double leaf = carried.all() <= 0 ? 0 : Math.max(0, 1 - new LeafArea(cut.left()).all() / carried.all());
        if (moment.left() > 0) {
            return moment.left() * leaf
                    + (1 - moment.left()) * parameters.reserve().above() * taken;
        }
        double moved = moment.moved() * parameters.reserve().spent();
        return moved * leaf + (1 - moved) * parameters.reserve().above() * taken;
    }

    /** What of a reserve goes into spring growth, less where a crop claims its part, kilograms. */
    static double forShoots(double reserve, double claim, Setting setting) {
        GrowthParameters parameters = setting.parameters().growth();
        return parameters.reserve().spent() * reserve / (1 + parameters.sinks().fruitSlows() * claim);
    }
}
