package umbel.crop;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import org.apache.commons.statistics.distribution.NormalDistribution;
import umbel.knowledge.CropParameters;
import umbel.knowledge.Species;
import umbel.light.FruitingSite;
import umbel.light.LightReading;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Condition;
import umbel.wood.Course;
import umbel.wood.Rotation;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/**
 * A tree under its crop: where the fruit hangs, how far each limb comes down, how hard it pulls at its union.
 *
 * <p>Limbs and laterals are tapered cantilevers (Euler–Bernoulli): each stretch turns by its bending moment over its
 * stiffness, E·I with I = π·d⁴/64. Only the fruit bends, since a limb was measured under its own weight; shoots and spurs
 * ride along. At the union the stress of wood and fruit, 32·M/(π·d³), stands against the green wood's breaking stress, weaker
 * at poor unions. Levers are those of the unloaded tree, so large droops are overstated; they stop at a limit.
 *
 * @param setting of the tree
 * @param hung its axes as they hang; small wood stands where it stood unless drawn
 * @param limbs one entry for each measured limb
 * @param fruits fruits hung
 */
public record HarvestLoad(Setting setting, List<Axis> hung, List<LimbLoad> limbs, double fruits) {

    private static final double GRAVITY = 9.81;

    /**
     * One measured limb under its crop.
     *
     * @param fruits fruits on it and on all that grows from it
     * @param fruitMass their mass, kilograms
     * @param mass wood and fruit, kilograms
     * @param tipNow height of its tip as measured, metres
     * @param tipAtHarvest height of its tip under the crop, metres; 0 where it lies on the ground
     * @param droop turn of its tip, radians
     * @param stressShare stress at the union against what the union bears
     * @param breakRisk chance that it breaks at the union, 0…1, wind left out
     */
    public record LimbLoad(
            String limb,
            double fruits,
            double fruitMass,
            double mass,
            double tipNow,
            double tipAtHarvest,
            double droop,
            double stressShare,
            double breakRisk) {}

    /** The tree under the crop it is meant to carry: what sets, thinned to the target. */
    public static HarvestLoad of(Tree tree, LightReading light, CropReading crop) {
        return new Bearing(tree, false).hang(light, thinned(crop));
    }

    /** The same, with every shoot and spur where it hangs, for drawing. */
    public static HarvestLoad drawn(Tree tree, LightReading light, CropReading crop) {
        return new Bearing(tree, true).hang(light, thinned(crop));
    }

    /** The tree under all that sets, nothing thinned. */
    public static HarvestLoad unthinned(Tree tree, LightReading light) {
        return new Bearing(tree, false).hang(light, 1);
    }

    /** The tree as it hangs. */
    public Tree tree() {
        return new Tree(setting, hung);
    }

    private static double thinned(CropReading crop) {
        return crop.expectedFruits() <= 0 ? 1 : Math.min(1, crop.targetFruits() / crop.expectedFruits());
    }

    /** The load of one limb, if it was measured. */
    public LimbLoad on(String limb) {
        return limbs.stream()
                .filter(load -> load.limb().equals(limb))
                .findFirst()
                .orElseThrow();
    }

    /** Works through one tree. */
    private static final class Bearing {

        private final boolean withSmallWood;
        private final Tree tree;
        private final Setting setting;
        private final CropParameters.Load rule;
        private final int count;
        private final double[] fruitMass;
        private final double[] wholeMass;
        private final double[] fx;
        private final double[] fy;
        private final double[] wx;
        private final double[] wy;
        private final List<List<Axis>> children;

        Bearing(Tree tree, boolean withSmallWood) {
            this.withSmallWood = withSmallWood;
            this.tree = tree;
            this.setting = tree.setting();
            this.rule = setting.parameters().crop().load();
            this.count = tree.axes().size();
            fruitMass = new double[count];
            wholeMass = new double[count];
            fx = new double[count];
            fy = new double[count];
            wx = new double[count];
            wy = new double[count];
            children = new ArrayList<>(Collections.nCopies(count, List.of()));
            for (Axis axis : tree.axes()) {
                if (axis.parent() >= 0) {
                    if (children.get(axis.parent()).isEmpty()) {
                        children.set(axis.parent(), new ArrayList<>());
                    }
                    children.get(axis.parent()).add(axis);
                }
            }
        }

        HarvestLoad hang(LightReading light, double thinned) {
            double fruits = weigh(light, thinned);
            Rotation[][] turns = new Rotation[count][];
            List<Axis> hung = new ArrayList<>(count);
            for (Axis axis : tree.axes()) {
                hung.add(hangOne(axis, hung, turns));
            }
            List<LimbLoad> loads = new ArrayList<>();
            for (Axis limb : tree.limbs()) {
                loads.add(loadOf(limb, hung.get(limb.index())));
            }
            return new HarvestLoad(setting, hung, loads, fruits);
        }

        /** Masses and first moments of every axis with all that grows from it. */
        private double weigh(LightReading light, double thinned) {
            Species.CropRule crop = setting.species().crop();
            double set = crop.fruitsPerFlowerBud() * setting.cultivar().setFactor() * thinned;
            double full = setting.parameters().crop().fullSetLight();
            double fruits = 0;
            for (int s = 0; s < light.light().length; s++) {
                FruitingSite site = light.sites().get(s);
                double number = site.flowerBuds() * set * Math.min(1, light.light()[s] / full);
                double mass = number * setting.cultivar().fruitMass();
                int i = site.axis().index();
                fruits += number;
                fruitMass[i] += mass;
                fx[i] += mass * site.place().x();
                fy[i] += mass * site.place().y();
            }
            double density = setting.species().wood().greenDensity();
            for (int i = count - 1; i >= 0; i--) {
                Axis axis = tree.axis(i);
                double wood = volume(axis) * density;
                Vec middle = axis.course().at(axis.length() * 0.4);
                wholeMass[i] += wood + fruitMass[i];
                wx[i] += wood * middle.x() + fx[i];
                wy[i] += wood * middle.y() + fy[i];
                for (Axis child : children.get(i)) {
                    fruitMass[i] += fruitMass[child.index()];
                    fx[i] += fx[child.index()];
                    fy[i] += fy[child.index()];
                    wholeMass[i] += wholeMass[child.index()];
                    wx[i] += wx[child.index()];
                    wy[i] += wy[child.index()];
                }
            }
            return fruits;
        }

        /** Wood volume, m³; a twig as one frustum. */
        private static double volume(Axis axis) {
            if (!axis.kind().isSmallWood()) {
                return axis.volume(0, axis.length());
            }
            double base = axis.baseDiameter();
            double tip = axis.diameters()[axis.diameters().length - 1];
            return Math.PI / 12 * axis.length() * (base * base + base * tip + tip * tip);
        }

        private Axis hangOne(Axis axis, List<Axis> hung, Rotation[][] turns) {
            if (!withSmallWood && axis.kind().isSmallWood()) {
                return axis;
            }
            Course course = axis.course();
            Rotation start = Rotation.NONE;
            Vec origin = course.point(0);
            if (axis.parent() >= 0) {
                Axis parent = tree.axis(axis.parent());
                start = turnAt(parent, turns[axis.parent()], axis.at());
                Vec was = parent.course().at(axis.at());
                Vec is = hung.get(axis.parent()).course().at(axis.at());
                origin = is.plus(start.of(origin.minus(was)));
            }
            Rotation[] own = new Rotation[course.size()];
            own[0] = start;
            boolean free = !setting.system().tied() || axis.kind() == AxisKind.LATERAL;
            boolean bends = free && (axis.kind() == AxisKind.LIMB || axis.kind() == AxisKind.LATERAL);
            boolean moved = start != Rotation.NONE || bends && fruitMass[axis.index()] > 0;
            if (!moved) {
                java.util.Arrays.fill(own, start);
                turns[axis.index()] = own;
                return axis;
            }
            List<Vec> points = new ArrayList<>(course.size());
            points.add(origin);
            Beyond beyond = bends ? new Beyond(axis) : null;
            double bent = 0;
            double most = Units.fromDegrees(rule.bendMostDeg());
            Vec at = origin;
            for (int i = 1; i < course.size(); i++) {
                Rotation turn = own[i - 1];
                if (bends && bent < most) {
                    double[] lever = beyond.lever(course.along(i - 1), course.point(i - 1));
                    double moment = GRAVITY * Math.hypot(lever[0], lever[1]);
                    double angle = Math.min(
                            most - bent,
                            moment * (course.along(i) - course.along(i - 1)) / stiffness(axis.diameters()[i - 1]));
                    if (angle > 1e-9) {
                        bent += angle;
                        turn = Rotation.down(lever[0], lever[1], angle).after(turn);
                    }
                }
                own[i] = turn;
                at = at.plus(turn.of(course.point(i).minus(course.point(i - 1))));
                points.add(at);
            }
            turns[axis.index()] = own;
            return axis.along(new Course(points));
        }

        private double stiffness(double diameter) {
            double modulus = setting.species().load().modulusGPa() * 1e9;
            return modulus * Math.PI * Math.pow(diameter, 4) / 64;
        }

        /** The fruit beyond a place that moves outward along an axis. */
        private final class Beyond {

            private final List<Axis> outward;
            private int passed;
            private double mass;
            private double x;
            private double y;

            Beyond(Axis axis) {
                outward = new ArrayList<>(children.get(axis.index()));
                outward.sort(Comparator.comparingDouble(Axis::at));
                mass = fruitMass[axis.index()];
                x = fx[axis.index()];
                y = fy[axis.index()];
            }

            /** Level first moment, kg·m, about a point of what hangs beyond a distance, never less than the one asked before. */
            double[] lever(double from, Vec about) {
                while (passed < outward.size() && outward.get(passed).at() < from) {
                    int child = outward.get(passed).index();
                    mass -= fruitMass[child];
                    x -= fx[child];
                    y -= fy[child];
                    passed++;
                }
                return new double[] {x - mass * about.x(), y - mass * about.y()};
            }
        }

        private static Rotation turnAt(Axis axis, Rotation[] turns, double at) {
            Rotation turn = turns[0];
            for (int i = 1; i < turns.length && axis.course().along(i - 1) <= at; i++) {
                turn = turns[i];
            }
            return turn;
        }

        private LimbLoad loadOf(Axis limb, Axis hung) {
            int i = limb.index();
            Vec base = limb.course().point(0);
            double moment = GRAVITY * Math.hypot(wx[i] - wholeMass[i] * base.x(), wy[i] - wholeMass[i] * base.y());
            double stress = 32 * moment / (Math.PI * Math.pow(limb.baseDiameter(), 3));
            double bears = setting.species().load().ruptureMPa() * 1e6 * strengthLeft(limb);
            double share = stress / bears;
            Course was = limb.course();
            Course is = hung.course();
            Vec tipWas = was.directionAt(was.length());
            Vec tipIs = is.directionAt(is.length());
            return new LimbLoad(
                    limb.id(),
                    fruitMass[i] / setting.cultivar().fruitMass(),
                    fruitMass[i],
                    wholeMass[i],
                    was.point(was.size() - 1).z(),
                    Math.max(0, is.point(is.size() - 1).z()),
                    tipWas.angleTo(tipIs),
                    share,
                    NormalDistribution.of(1, rule.strengthSpread()).cumulativeProbability(share));
        }

        private double strengthLeft(Axis limb) {
            CropParameters.UnionWeakness weak = rule.unionWeakness();
            Axis parent = tree.axis(limb.parent());
            double left = 1;
            double crotch = Units.toDegrees(
                    limb.course().directionAt(0).angleTo(parent.course().directionAt(limb.at())));
            if (crotch < rule.tightUnderDeg()) {
                left *= weak.tight();
            }
            if (parent.kind() == AxisKind.TRUNK
                    && limb.baseDiameter() > rule.thickOver() * parent.diameterAt(limb.at())) {
                left *= weak.thick();
            }
            if (limb.is(Condition.SPLITTING)) {
                left *= weak.splitting();
            }
            if (limb.is(Condition.DECAYED)) {
                left *= weak.decayed();
            }
            return left;
        }
    }
}
