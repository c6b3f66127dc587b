package umbel.cut;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.Parameters;
import umbel.knowledge.Species;
import umbel.wood.Axis;
import umbel.wood.Condition;
import umbel.wood.Role;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.work.Labour;
import umbel.work.Tool;

/**
 * What one operation takes and costs.
 *
 * @param cuts how many cuts it is
 * @param diameter of the (thickest) cut, metres; 0 for a bend
 * @param height of the cut above ground, metres
 * @param big whether it needs a saw
 * @param mass fresh wood that falls, kilograms
 * @param woodShare share of the tree's leaf-bearing small wood it takes, 0…1
 * @param flowerShare share of the tree's flower buds it takes, 0…1
 * @param wound section laid open, m²
 * @param ladder whether the cut is out of reach from the ground
 * @param sprouts new shoots to expect from the cuts by next winter
 */
public record Effect(
        Tool tool,
        int cuts,
        double diameter,
        double height,
        boolean big,
        boolean threeStep,
        boolean qualified,
        double mass,
        double woodShare,
        double flowerShare,
        double wound,
        boolean ladder,
        double minutes,
        double sprouts) {

    /**
     * The effect of one of a cut tree's operations.
     *
     * @param index which operation
     * @param reach height a person on the ground reaches, metres
     */
    public static Effect of(CutTree cut, int index, double reach) {
        return ofAll(cut, reach).get(index);
    }

    /** The effects of all of a cut tree's operations, in their order; one pass over the tree. */
    public static List<Effect> ofAll(CutTree cut, double reach) {
        Losses losses = new Losses(cut);
        List<Effect> effects = new ArrayList<>();
        for (int i = 0; i < cut.operations().size(); i++) {
            Operation operation = cut.operations().get(i);
            effects.add(
                    switch (operation.kind()) {
                        case BEND -> bend(cut.found(), operation, reach);
                        case DEFLOWER -> deflowering(cut, operation, losses, reach);
                        case KEEP, WATCH -> nothing();
                        case RUB ->
                            operation.onBuds()
                                    ? debudding(cut.found(), operation, reach)
                                    : cutting(cut, i, losses, reach);
                        default -> cutting(cut, i, losses, reach);
                    });
        }
        return effects;
    }

    private static Effect bend(Tree found, Operation operation, double reach) {
        Axis limb = found.find(operation.onLimb()).orElseThrow();
        double height = limb.course().at(limb.length() / 3).z();
        boolean ladder = height > reach;
        double minutes = Labour.minutes(
                Tool.TIE, 0, 1, false, ladder, found.setting().parameters().labour());
        return new Effect(Tool.TIE, 0, 0, height, false, false, false, 0, 0, 0, 0, ladder, minutes, 0);
    }

    /** Flowers come off by hand, cluster by cluster. */
    private static Effect deflowering(CutTree cut, Operation operation, Losses losses, double reach) {
        Tree found = cut.found();
        Axis limb = found.find(operation.onLimb()).orElseThrow();
        double buds = 0;
        double top = 0;
        for (Axis axis : found.axes()) {
            if (axis.flowerBuds() > 0 && axis.index() >= limb.index() && found.growsFrom(axis, limb)) {
                buds += axis.flowerBuds();
                top = Math.max(top, axis.course().top());
            }
        }
        boolean ladder = top > reach;
        double minutes = Labour.minutes(
                Tool.HAND,
                0,
                (int) Math.ceil(buds),
                false,
                ladder,
                found.setting().parameters().labour());
        double share = losses.flowerAll == 0 ? 0 : buds / losses.flowerAll;
        return new Effect(Tool.HAND, 0, 0, top, false, false, false, 0, 0, share, 0, ladder, minutes, 0);
    }

    /** Buds rubbed out by thumb: as many as the nodes of the stretch, less those left. */
    private static Effect debudding(Tree found, Operation operation, double reach) {
        Axis limb = found.find(operation.onLimb()).orElseThrow();
        double gap = Units.fromMm(found.setting().species().growth().nodeGapMm());
        double grown = limb.lastGrowth();
        double start = limb.length() - grown;
        double below = Math.max(0, operation.at() - start);
        double beyond = operation.keep() <= 0 ? 0 : Math.max(0, (grown - below) / gap - operation.keep());
        int rubbed = (int) Math.max(1, Math.round(below / gap + beyond));
        double height = limb.course().at(limb.length()).z();
        boolean ladder = height > reach;
        double minutes = Labour.minutes(
                Tool.HAND,
                0,
                rubbed,
                false,
                ladder,
                found.setting().parameters().labour());
        return new Effect(Tool.HAND, 0, 0, height, false, false, false, 0, 0, 0, 0, ladder, minutes, 0);
    }

    private static Effect nothing() {
        return new Effect(Tool.HAND, 0, 0, 0, false, false, false, 0, 0, 0, 0, false, 0, 0);
    }

    private static Effect cutting(CutTree cut, int index, Losses losses, double reach) {
        Operation operation = cut.operations().get(index);
        Tree found = cut.found();
        Parameters parameters = found.setting().parameters();
        Cuts cuts = Cuts.of(cut, index);
        double mass = losses.volume[index] * found.setting().species().wood().greenDensity();
        Tool tool = operation.kind() == OperationKind.RUB
                ? Tool.HAND
                : Tool.forCut(cuts.diameter, parameters.cutting().tools());
        double eachMass = mass / Math.max(1, cuts.count);
        boolean three =
                tool != Tool.HAND && parameters.cutting().tools().threeStep().passedBy(cuts.diameter, eachMass);
        boolean qualified = parameters.cutting().tools().qualified().passedBy(cuts.diameter, eachMass);
        boolean ladder = cuts.height > reach;
        return new Effect(
                tool,
                cuts.count,
                cuts.diameter,
                cuts.height,
                tool == Tool.SAW,
                three,
                qualified,
                mass,
                losses.leafAll == 0 ? 0 : losses.leaf[index] / losses.leafAll,
                losses.flowerAll == 0 ? 0 : losses.flower[index] / losses.flowerAll,
                cuts.wound,
                ladder,
                Labour.minutes(tool, cuts.diameter, cuts.count, three, ladder, parameters.labour()),
                sprouts(operation.kind(), cuts, found.setting().species().response())
                        + sproutsOfShortened(found, operation));
    }

    /** What shoots answer that a thinning shortened. */
    private static double sproutsOfShortened(Tree found, Operation operation) {
        return operation.shortensWhatStays()
                ? found.setting().species().response().sproutsPerHeading()
                        * TargetAxes.longOnes(found, operation).size()
                : 0;
    }

    /** Leaf that counts when a share of the small wood is told: not that of suckers and dead wood. */
    static double countedLeaf(Axis axis) {
        return axis.role() == Role.SUCKER || axis.is(Condition.DEAD) ? 0 : axis.leafArea();
    }

    private static double sprouts(OperationKind kind, Cuts cuts, Species.Response response) {
        return switch (kind) {
            case HEAD, TIP, SHORTEN, RENEW_STUB -> response.sproutsPerHeading() * cuts.count;
            case RUB, BEND, SHORT_SPUR, THIN_SPURS, DEFLOWER, KEEP, WATCH -> 0;
            case REMOVE, RENEW_BEVEL, REDUCE, LOWER_LEADER -> response.sproutsPerWoundCm2() * Units.toCm2(cuts.wound);
        };
    }

    /** What each operation takes, gathered in one pass: wood volume (m³), leaf (m²), flower buds. */
    private static final class Losses {
        private final double[] volume;
        private final double[] leaf;
        private final double[] flower;
        private double leafAll;
        private double flowerAll;

        Losses(CutTree cut) {
            int count = cut.operations().size();
            volume = new double[count];
            leaf = new double[count];
            flower = new double[count];
            for (Axis axis : cut.found().axes()) {
                leafAll += countedLeaf(axis);
                flowerAll += axis.flowerBuds();
                int by = cut.takenBy(axis);
                if (by >= 0) {
                    double kept = cut.kept(axis);
                    double gone = axis.shareBeyond(kept);
                    volume[by] += axis.volume(kept, axis.length());
                    leaf[by] += countedLeaf(axis) * gone;
                    flower[by] += axis.flowerBuds() * gone;
                }
            }
        }
    }

    private record Cuts(int count, double diameter, double height, double wound) {

        static Cuts of(CutTree cut, int index) {
            Operation operation = cut.operations().get(index);
            List<Axis> targets = TargetAxes.of(cut.found(), operation).stream()
                    .filter(axis -> cut.takenBy(axis) == index)
                    .toList();
            double thickest = 0;
            double highest = 0;
            double wound = 0;
            for (Axis target : targets) {
                double at = cut.kept(target);
                double diameter = target.diameterAt(at);
                thickest = Math.max(thickest, diameter);
                highest = Math.max(highest, target.course().at(at).z());
                boolean mere = target.kind().isSmallWood() || target.is(Condition.DEAD);
                wound += mere ? 0 : Units.section(diameter);
            }
            return new Cuts(targets.size(), thickest, highest, wound);
        }
    }
}
