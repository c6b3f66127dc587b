package umbel.cut;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import umbel.knowledge.CutParameters;
import umbel.light.LightModel;
import umbel.light.LightResolution;
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

    private final Tree tree;
    private final LightResolution look;
    private final Map<String, Double> aboveOld = new ConcurrentHashMap<>();
    private volatile Map<String, Double> aboveSlender;

    /** Stubs of a tree's limbs; nothing is looked at before it is asked for. */
    public Stubs(Tree tree, LightResolution look) {
        this.tree = tree;
        this.look = look;
    }

    private boolean isLongEnough(Axis limb) {
        return limb.length() > ROOM * length(tree, limb);
    }

    private Vec placeAbove(Axis limb) {
        return limb.course().at(length(tree, limb)).plus(new Vec(0, 0, ABOVE));
    }

    /** Above the stubs of all limbs on the trunk but old scaffolds', on the tree as it stands. */
    private Map<String, Double> lightAboveSlender() {
        List<Axis> slender = tree.limbsOn(tree.trunk()).stream()
                .filter(limb -> isLongEnough(limb) && !isOldScaffold(tree, limb))
                .toList();
        List<Vec> places = slender.stream().map(this::placeAbove).toList();
        double[] light = places.isEmpty() ? new double[0] : LightModel.at(tree, places, look);
        Map<String, Double> above = new HashMap<>();
        for (int i = 0; i < light.length; i++) {
            above.put(slender.get(i).id(), light[i]);
        }
        return above;
    }

    /** Above an old scaffold's stub once its own limb is gone. */
    private double lightAboveOld(Axis limb) {
        Tree without = CutTree.of(tree, List.of(Operation.remove(limb))).left();
        return LightModel.at(without, List.of(placeAbove(limb)), look)[0];
    }

    private static boolean isOldScaffold(Tree tree, Axis limb) {
        return tree.setting().system().scaffolds().permanent()
                && limb.parent() == 0
                && limb.age() >= tree.setting().parameters().reading().oldScaffoldY();
    }

    /**
     * Length of a limb's stub, metres: short at the top of the tree, longer low down; an old scaffold's ends between knee and
     * head height.
     */
    public static double length(Tree tree, Axis limb) {
        CutParameters.Places stub = tree.setting().parameters().cutting().places();
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

    /** Light above the stub of a limb on the trunk, share of open sky; empty where the limb is too short for one. */
    public Optional<Double> lightAbove(Axis limb) {
        if (!isLongEnough(limb)) {
            return Optional.empty();
        }
        // light is swept in parallel, so no lock is held meanwhile: at worst two threads find the same
        if (isOldScaffold(tree, limb)) {
            Double known = aboveOld.get(limb.id());
            if (known == null) {
                known = lightAboveOld(limb);
                aboveOld.put(limb.id(), known);
            }
            return Optional.of(known);
        }
        Map<String, Double> above = aboveSlender;
        if (above == null) {
            above = lightAboveSlender();
            aboveSlender = above;
        }
        return Optional.ofNullable(above.get(limb.id()));
    }

    /** The stub cut, where the limb is long enough and the sky above it open. */
    public Optional<Operation> of(Axis limb) {
        CutParameters.Places stub = tree.setting().parameters().cutting().places();
        double least = isOldScaffold(tree, limb) ? stub.scaffoldLightLeast() : stub.lightLeast();
        return lightAbove(limb)
                .filter(light -> light >= least)
                .map(light -> Operation.cutAt(OperationKind.RENEW_STUB, limb, length(tree, limb)));
    }
}
