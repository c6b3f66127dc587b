package umbel.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import umbel.knowledge.School;
import umbel.knowledge.Trade;
import umbel.light.LightReading;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/** A tree as the rules look at it: its frame sorted once, its light, the school that judges and how high one reaches. */
final class Scene {

    /** How far from a fork its step in thickness no longer shows, metres. */
    private static final double CLEAR_OF_FORK = 0.10;

    private final Tree tree;
    private final School.Thresholds school;
    private final LightReading light;
    private final double reach;
    private final List<Axis> limbs;
    private final Map<Integer, List<Axis>> limbsOn = new HashMap<>();
    private final Map<String, List<Axis>> shootsOn = new HashMap<>();
    private Map<String, Double> meanLight;

    Scene(Tree tree, School school, LightReading light, double reach) {
        this.tree = tree;
        this.school = school.thresholds();
        this.light = light;
        this.reach = reach;
        this.limbs = tree.limbs();
        for (Axis limb : limbs) {
            limbsOn.computeIfAbsent(limb.parent(), key -> new ArrayList<>()).add(limb);
        }
        for (Axis axis : tree.axes()) {
            if (axis.kind() == AxisKind.SHOOT) {
                shootsOn.computeIfAbsent(axis.limb(), key -> new ArrayList<>()).add(axis);
            }
        }
    }

    Tree tree() {
        return tree;
    }

    School.Thresholds school() {
        return school;
    }

    LightReading light() {
        return light;
    }

    /** Height a person on the ground reaches, metres. */
    double reach() {
        return reach;
    }

    Trade.SurveyErrors errors() {
        return tree.setting().trade().surveyErrors();
    }

    /** Every measured limb. */
    List<Axis> limbs() {
        return limbs;
    }

    /** Measured limbs growing from this axis. */
    List<Axis> limbsOn(Axis parent) {
        return limbsOn.getOrDefault(parent.index(), List.of());
    }

    /** Measured limbs of the lasting frame: no suckers, sprouts or one-year shoots. */
    List<Axis> frame() {
        return limbs.stream().filter(Scene::isFrame).toList();
    }

    static boolean isFrame(Axis limb) {
        return limb.role() != Role.SUCKER
                && limb.role() != Role.WATER_SPROUT
                && limb.role() != Role.SHOOT
                && limb.role() != Role.HANGER;
    }

    Axis parent(Axis limb) {
        return tree.axis(limb.parent());
    }

    /** One-year shoots of one attitude on a limb. */
    List<Axis> shoots(Axis limb, Attitude attitude) {
        return shoots(limb).stream()
                .filter(shoot -> shoot.attitude() == attitude)
                .toList();
    }

    /** All one-year shoots on a limb. */
    List<Axis> shoots(Axis limb) {
        return shootsOn.getOrDefault(limb.id(), List.of());
    }

    /** Mean light of a limb's fruiting sites; full light where it has none. */
    double lightOn(Axis limb) {
        if (meanLight == null) {
            meanLight = light.meanByLimb();
        }
        return meanLight.getOrDefault(limb.id(), 1.0);
    }

    /** Whether the limb's fruiting sites were read at all. */
    boolean hasSites(Axis limb) {
        lightOn(limb);
        return meanLight.containsKey(limb.id());
    }

    /** Inclination of the straight line from a limb's origin to its tip, degrees from vertical. */
    static double lean(Axis limb) {
        Vec line = limb.course()
                .point(limb.course().size() - 1)
                .minus(limb.course().point(0));
        return Units.toDegrees(line.inclination());
    }

    /** Smallest turn between two bearings, degrees 0…180. */
    static double turn(double bearing, double other) {
        double turn = Math.abs(Units.toDegrees(bearing - other)) % 360;
        return turn > 180 ? 360 - turn : turn;
    }

    /** Diameter of the parent just below the union, metres. */
    double parentBelow(Axis limb) {
        return parent(limb).diameterAt(Math.max(0, limb.at() - CLEAR_OF_FORK));
    }

    /** Diameter of the parent just above the union, metres. */
    double parentAbove(Axis limb) {
        return parent(limb).diameterAt(limb.at() + CLEAR_OF_FORK);
    }

    /** One sigma of a ratio of two measured diameters. */
    double ratioError(double ratio) {
        return ratio * errors().diameterShare() * Math.sqrt(2);
    }
}
