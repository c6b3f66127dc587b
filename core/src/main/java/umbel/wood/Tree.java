package umbel.wood;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import umbel.knowledge.ReadingParameters;
import umbel.knowledge.Species;

/**
 * A tree of wood: axes with parents before children, the trunk first. Not changed once made; what a cut leaves is
 * another tree.
 */
public final class Tree {

    /** One fruiting site every so many metres along a shoot that flowers over its length. */
    public static final double SITE_EVERY = 0.12;

    private final Setting setting;
    private final List<Axis> axes;
    private final Map<String, Axis> byId;
    private final Map<String, List<Axis>> smallWood = new HashMap<>();

    /** A tree of these axes; each {@link Axis#index()} is its place in the list. */
    public Tree(Setting setting, List<Axis> axes) {
        this.setting = setting;
        this.axes = List.copyOf(axes);
        this.byId = new HashMap<>(axes.size() * 2);
        for (Axis axis : this.axes) {
            byId.put(axis.id(), axis);
            if (axis.kind().isSmallWood()) {
                smallWood
                        .computeIfAbsent(axis.limb(), limb -> new ArrayList<>())
                        .add(axis);
            }
        }
    }

    public Setting setting() {
        return setting;
    }

    /** The same wood with other facts about what it is and where it stands. */
    public Tree in(Setting other) {
        return new Tree(other, axes);
    }

    /**
     * The same tree in so many times the leaf, as far as laterals nobody measured can make the difference; their sites and
     * flower buds go with their leaf. What was measured and counted stays.
     */
    public Tree withLeaf(double times) {
        double all = leafArea();
        double estimated = axes.stream()
                .filter(Axis::isUnmeasured)
                .mapToDouble(Axis::leafArea)
                .sum();
        if (estimated <= 0) {
            return this;
        }
        double each = Math.max(0, times * all - (all - estimated)) / estimated;
        return new Tree(
                setting,
                axes.stream()
                        .map(axis -> axis.isUnmeasured() ? axis.withLeaf(each) : axis)
                        .toList());
    }

    /** Every axis, parents before children; the trunk is first. */
    public List<Axis> axes() {
        return axes;
    }

    public Axis axis(int index) {
        return axes.get(index);
    }

    /** The axis with this id, if the tree has it. */
    public Optional<Axis> find(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    /** Shoots and spurs of one measured limb (or of the trunk), in order. */
    public List<Axis> smallWoodOn(String limb) {
        return smallWood.getOrDefault(limb, List.of());
    }

    public Axis trunk() {
        return axes.get(0);
    }

    /** The limbs somebody measured, in survey order. */
    public List<Axis> limbs() {
        return axes.stream().filter(axis -> axis.kind() == AxisKind.LIMB).toList();
    }

    /** The measured limbs that grow from this axis. */
    public List<Axis> limbsOn(Axis parent) {
        return axes.stream()
                .filter(axis -> axis.kind() == AxisKind.LIMB && axis.parent() == parent.index())
                .toList();
    }

    /** The axis this one grows from; the trunk has none. */
    public Optional<Axis> parentOf(Axis axis) {
        return axis.parent() < 0 ? Optional.empty() : Optional.of(axes.get(axis.parent()));
    }

    /** Whether {@code axis} is {@code ancestor} or grows from it at any remove. */
    public boolean growsFrom(Axis axis, Axis ancestor) {
        int i = axis.index();
        while (i > ancestor.index()) {
            i = axes.get(i).parent();
        }
        return i == ancestor.index();
    }

    /**
     * Whether a limb is a tree of its own: one of several in a hole, surveyed as one. Where it meets the trunk there is no crotch,
     * and its thickness says nothing against it.
     */
    public boolean isTreeOfItsOwn(Axis limb) {
        ReadingParameters.Group rule = setting.parameters().reading().group();
        if (limb.parent() != 0 || limb.course().point(0).z() > Units.fromCm(rule.below())) {
            return false;
        }
        boolean grouped = setting.system().sunnySideAboveCm() != null;
        boolean unnamed = limb.role() == Role.UNKNOWN || limb.role() == Role.LIMB || limb.role() == Role.SCAFFOLD;
        return limb.role() == Role.LEADER
                || grouped && unnamed && limb.baseDiameter() >= rule.least() * trunk().baseDiameter();
    }

    /** What the species says of cutting in a phase of the season, stricter where disease is recorded on a limb. */
    public Species.PhaseRule phaseRule(String phase) {
        Species.PhaseRule rule = setting.species().phases().get(phase);
        boolean diseased = limbs().stream()
                .anyMatch(limb -> limb.is(Condition.DISEASED) || !limb.disease().isEmpty());
        return diseased && rule.whenDiseased() != null ? rule.whenDiseased() : rule;
    }

    /** Height of the highest point of live or dead wood that somebody saw, metres. */
    public double top() {
        return axes.stream()
                .filter(axis -> !axis.isUnmeasured())
                .mapToDouble(axis -> axis.course().top())
                .max()
                .orElse(0);
    }

    /** Leaf the tree carries in the coming season, m². */
    public double leafArea() {
        return axes.stream().mapToDouble(Axis::leafArea).sum();
    }

    /** Height of the highest wood on or beyond this axis that somebody saw, metres. */
    public double topOf(Axis from) {
        double top = 0;
        for (Axis axis : axes) {
            if (axis.index() >= from.index() && !axis.isUnmeasured() && growsFrom(axis, from)) {
                top = Math.max(top, axis.course().top());
            }
        }
        return top;
    }

    /**
     * What is left when axes are cut.
     *
     * @param kept metres kept of each axis, 0 where it goes; what grew beyond a cut must already be 0
     */
    public Tree cutTo(double[] kept) {
        int[] place = new int[axes.size()];
        List<Axis> left = new ArrayList<>(axes.size());
        for (Axis axis : axes) {
            place[axis.index()] = -1;
            if (kept[axis.index()] > 0) {
                place[axis.index()] = left.size();
                int parent = axis.parent() < 0 ? -1 : place[axis.parent()];
                left.add(axis.at(left.size(), parent).cutAt(kept[axis.index()]));
            }
        }
        return new Tree(setting, left);
    }

    /** The tree without the flower buds of one limb and all that grows from it; of the trunk: of the whole tree. */
    public Tree deflowered(String limb) {
        Axis from = byId.get(limb);
        List<Axis> bare = new ArrayList<>(axes.size());
        for (Axis axis : axes) {
            boolean off = axis.index() >= from.index() && growsFrom(axis, from);
            bare.add(off && axis.flowerBuds() > 0 ? axis.bearing(0) : axis);
        }
        return new Tree(setting, bare);
    }

    /** The tree with one limb, and all that grows from it, turned at its origin to another inclination (radians). */
    public Tree bent(String limb, double toInclination) {
        Axis bent = byId.get(limb);
        Vec pivot = bent.course().point(0);
        Vec heading = bent.course().directionAt(0);
        double bearing = Math.abs(heading.z()) > 0.999 ? bent.bearing() : heading.bearing();
        Vec hinge = new Vec(Math.cos(bearing), -Math.sin(bearing), 0);
        double angle = heading.inclination() - toInclination;
        List<Axis> moved = new ArrayList<>(axes.size());
        for (Axis axis : axes) {
            boolean moves = axis.index() >= bent.index() && growsFrom(axis, bent);
            moved.add(moves ? axis.along(axis.course().turned(pivot, hinge, angle)) : axis);
        }
        return new Tree(setting, moved);
    }
}
