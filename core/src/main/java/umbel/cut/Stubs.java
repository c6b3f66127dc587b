package umbel.cut;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import umbel.knowledge.Trade;
import umbel.light.LightModel;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/**
 * Renewal stubs: how long each is left, by its height in the tree, and whether there is open sky above it, without which
 * its shoots die.
 */
public final class Stubs {

    private static final double ABOVE = 0.25;
    private static final double ROOM = 1.6;
    private static final int OLD_SCAFFOLD = 8;

    private final Tree tree;
    private final Map<String, Double> lightAbove = new HashMap<>();

    /** Looks at the sky above the stub of each limb, on the tree as it stands; for an old scaffold, once its own limb is gone. */
    public Stubs(Tree tree, List<Axis> limbs) {
        this.tree = tree;
        List<Axis> slender = new ArrayList<>();
        List<Vec> places = new ArrayList<>();
        for (Axis limb : limbs) {
            double length = length(tree, limb);
            if (limb.length() <= ROOM * length) {
                continue;
            }
            Vec place = limb.course().at(length).plus(new Vec(0, 0, ABOVE));
            if (isOldScaffold(tree, limb)) {
                Tree without =
                        CutTree.of(tree, List.of(Operation.remove(limb.id()))).left();
                lightAbove.put(limb.id(), LightModel.at(without, List.of(place))[0]);
            } else {
                slender.add(limb);
                places.add(place);
            }
        }
        double[] light = places.isEmpty() ? new double[0] : LightModel.at(tree, places);
        for (int i = 0; i < light.length; i++) {
            lightAbove.put(slender.get(i).id(), light[i]);
        }
    }

    private static boolean isOldScaffold(Tree tree, Axis limb) {
        return tree.setting().system().scaffolds().permanent() && limb.parent() == 0 && limb.age() >= OLD_SCAFFOLD;
    }

    /**
     * Length of a limb's stub, metres: short at the top of the tree, longer low down; an old scaffold's ends between knee and
     * head height.
     */
    public static double length(Tree tree, Axis limb) {
        Trade.Stub stub = tree.setting().trade().stub();
        double foot = limb.course().point(0).z();
        double share = Math.max(0, Math.min(1, foot / Math.max(0.5, tree.top())));
        double usual = Units.fromCm(stub.lowCm() + (stub.topCm() - stub.lowCm()) * share);
        if (!isOldScaffold(tree, limb)) {
            return usual;
        }
        double wanted = Units.fromCm(stub.scaffoldCm());
        for (int i = 1; i < limb.course().size(); i++) {
            if (limb.course().point(i).z() >= wanted) {
                return Math.max(usual, limb.course().along(i));
            }
        }
        return usual;
    }

    /** Light above a limb's stub, share of open sky; empty where the limb is too short for one. */
    public Optional<Double> lightAbove(Axis limb) {
        return Optional.ofNullable(lightAbove.get(limb.id()));
    }

    /** The stub cut, where the limb is long enough and the sky above it open. */
    public Optional<Operation> of(Axis limb) {
        Trade.Stub stub = tree.setting().trade().stub();
        double least = isOldScaffold(tree, limb) ? stub.scaffoldLightLeast() : stub.lightLeast();
        return lightAbove(limb)
                .filter(light -> light >= least)
                .map(light -> Operation.cutAt(OperationKind.RENEW_STUB, limb.id(), length(tree, limb)));
    }
}
