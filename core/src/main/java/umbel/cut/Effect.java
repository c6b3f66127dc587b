package umbel.cut;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.Species;
import umbel.knowledge.Trade;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
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
        Operation operation = cut.operations().get(index);
        Tree found = cut.found();
        Trade trade = found.setting().trade();
        if (operation.kind() == OperationKind.BEND) {
            Axis limb = found.find(operation.limb()).orElseThrow();
            double height = limb.course().at(limb.length() / 3).z();
            boolean ladder = height > reach;
            double minutes = Labour.minutes(Tool.TIE, 0, 1, false, ladder, trade.work());
            return new Effect(Tool.TIE, 0, 0, height, false, false, false, 0, 0, 0, 0, ladder, minutes, 0);
        }
        Losses losses = Losses.of(cut, index);
        Cuts cuts = Cuts.of(cut, index);
        double mass = losses.volume * found.setting().species().wood().greenDensity();
        Tool tool = operation.kind() == OperationKind.RUB ? Tool.HAND : Tool.forCut(cuts.diameter, trade.tools());
        double eachMass = mass / Math.max(1, cuts.count);
        boolean three = tool != Tool.HAND && trade.tools().threeStep().passedBy(cuts.diameter, eachMass);
        boolean qualified = trade.tools().qualified().passedBy(cuts.diameter, eachMass);
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
                losses.leafShare,
                losses.flowerShare,
                cuts.wound,
                ladder,
                Labour.minutes(tool, cuts.diameter, cuts.count, three, ladder, trade.work()),
                sprouts(operation.kind(), cuts, found.setting().species().response()));
    }

    /** The effects of all of a cut tree's operations, in their order. */
    public static List<Effect> ofAll(CutTree cut, double reach) {
        List<Effect> effects = new ArrayList<>();
        for (int i = 0; i < cut.operations().size(); i++) {
            effects.add(of(cut, i, reach));
        }
        return effects;
    }

    /** Leaf that counts when a share of the small wood is told: not that of suckers and dead wood. */
    static double countedLeaf(Axis axis) {
        return axis.role() == Role.SUCKER || axis.is(Condition.DEAD) ? 0 : axis.leafArea();
    }

    private static double sprouts(OperationKind kind, Cuts cuts, Species.Response response) {
        return switch (kind) {
            case HEAD, TIP, SHORTEN -> response.sproutsPerHeading() * cuts.count;
            case RUB, BEND -> 0;
            case REMOVE, RENEW_BEVEL, REDUCE, LOWER_LEADER -> response.sproutsPerWoundCm2() * Units.toCm2(cuts.wound);
        };
    }

    private record Losses(double volume, double leafShare, double flowerShare) {

        static Losses of(CutTree cut, int index) {
            double volume = 0;
            double leaf = 0;
            double leafAll = 0;
            double flower = 0;
            double flowerAll = 0;
            for (Axis axis : cut.found().axes()) {
                leafAll += countedLeaf(axis);
                flowerAll += axis.flowerBuds();
                if (cut.takenBy(axis) != index) {
                    continue;
                }
                double kept = cut.kept(axis);
                double gone = 1 - kept / axis.length();
                volume += axis.volume(kept, axis.length());
                leaf += countedLeaf(axis) * gone;
                flower += axis.flowerBuds() * gone;
            }
            return new Losses(volume, leafAll == 0 ? 0 : leaf / leafAll, flowerAll == 0 ? 0 : flower / flowerAll);
        }
    }

    private record Cuts(int count, double diameter, double height, double wound) {

        static Cuts of(CutTree cut, int index) {
            Operation operation = cut.operations().get(index);
            List<Axis> targets = Target.of(cut.found(), operation).stream()
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
                boolean mere = target.kind() == AxisKind.SHOOT || target.is(Condition.DEAD);
                wound += mere ? 0 : Units.section(diameter);
            }
            return new Cuts(targets.size(), thickest, highest, wound);
        }
    }
}
