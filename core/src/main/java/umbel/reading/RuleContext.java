package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import umbel.crop.CropReading;
import umbel.crop.HarvestLoad;
import umbel.knowledge.ReadingParameters;
import umbel.knowledge.School;
import umbel.knowledge.SurveyParameters;
import umbel.light.LightReading;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Condition;
import umbel.wood.Provenance;
import umbel.wood.Role;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/** A tree as the rules look at it: its frame sorted once, its light, the school that judges and how high one reaches. */
final class RuleContext {

    private final Tree tree;
    private final School.Thresholds school;
    private final LightReading light;
    private final double reach;
    private final List<Axis> limbs;
    private final Map<Integer, List<Axis>> limbsOn = new HashMap<>();
    private final Map<String, List<Axis>> shootsOn = new HashMap<>();
    private final Neighbours neighbours;
    private Map<String, Double> meanLight;
    private CropReading crop;
    private HarvestLoad load;

    RuleContext(Tree tree, School school, LightReading light, double reach, Neighbours neighbours) {
        this.neighbours = neighbours;
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

    /** Numbers of the rules that hold for every school. */
    ReadingParameters parameters() {
        return tree.setting().parameters().reading();
    }

    /** Severity by how far past its threshold a value lies, as a share of the threshold. */
    Severity severity(double value, double threshold) {
        return ThresholdConfidence.severity(value, threshold, parameters().severity());
    }

    /** How far from a fork its step in thickness no longer shows, metres. */
    private double clearOfFork() {
        return Units.fromCm(parameters().clearOfForkCm());
    }

    School.Thresholds school() {
        return school;
    }

    /** What is known of the tree's neighbours and of its past. */
    Neighbours neighbours() {
        return neighbours;
    }

    /** The crop its flower buds can make. */
    CropReading crop() {
        if (crop == null) {
            crop = CropReading.of(tree, light, CropReading.target(tree));
        }
        return crop;
    }

    /** The tree under its crop. */
    HarvestLoad load() {
        if (load == null) {
            load = HarvestLoad.of(tree, light, crop());
        }
        return load;
    }

    /** The limb a finding names first. */
    Axis limb(Finding finding) {
        return tree.find(finding.first().limb()).orElseThrow();
    }

    /** Live frame limbs of two years and more that leave the trunk above the union, from below upward. */
    List<Axis> mains() {
        return limbsOn(tree.trunk()).stream()
                .filter(limb -> isFrame(limb)
                        && limb.age() >= 2
                        && !limb.is(Condition.DEAD)
                        && !tree.isTreeOfItsOwn(limb)
                        && limb.at() >= tree.setting().unionAt())
                .sorted(Comparator.comparingDouble(Axis::at))
                .toList();
    }

    /** A place in row axes about the trunk: along the row, and across it; metres. */
    double[] inRowAxes(Vec place) {
        double sin = Math.sin(tree.setting().place().rowBearing());
        double cos = Math.cos(tree.setting().place().rowBearing());
        return new double[] {place.x() * sin + place.y() * cos, place.x() * cos - place.y() * sin};
    }

    LightReading light() {
        return light;
    }

    /** Height a person on the ground reaches, metres. */
    double reach() {
        return reach;
    }

    SurveyParameters.Errors errors() {
        return tree.setting().parameters().survey().errors();
    }

    /** Every measured limb. */
    List<Axis> limbs() {
        return limbs;
    }

    /** The trees that share the hole, the trunk's own first; one where a tree stands by itself. */
    List<Axis> treesInTheHole() {
        return Stream.concat(Stream.of(tree.trunk()), limbs.stream().filter(tree::isTreeOfItsOwn))
                .toList();
    }

    /** Measured limbs growing from this axis. */
    List<Axis> limbsOn(Axis parent) {
        return limbsOn.getOrDefault(parent.index(), List.of());
    }

    /** Measured limbs of the lasting frame: no suckers, sprouts or one-year shoots. */
    List<Axis> frame() {
        return limbs.stream().filter(RuleContext::isFrame).toList();
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

    /**
     * Whether a limb is stout for its tree: thinner ones high on a tapering stem are nearly as thick as the stem, and take
     * nothing over.
     */
    boolean isStout(Axis limb) {
        boolean thick = Units.toMm(limb.baseDiameter()) >= parameters().frame().thickFromMm();
        return thick
                && (limb.parent() != 0
                        || limb.baseDiameter()
                                >= parameters().frame().thickFromShare()
                                        * tree.trunk().baseDiameter());
    }

    /**
     * Whether a limb has taken the lead where the trunk was cut back to it: it is stout, the thickest near the trunk's end,
     * and nothing to speak of grows on beyond.
     */
    boolean carriesOnTheTrunk(Axis limb) {
        Axis trunk = tree.trunk();
        double end = trunk.length() - Units.fromCm(parameters().frame().endOfTrunkCm());
        return limb.parent() == 0
                && !tree.setting().system().topped()
                && trunk.lastGrowth() <= trunk.length() - end
                && limb.at() >= end
                && isStout(limb)
                && limbs.stream()
                        .filter(other -> other.parent() == 0 && other.at() >= end)
                        .noneMatch(other -> other.baseDiameter() > limb.baseDiameter());
    }

    /** One-year shoots of one attitude on a limb. */
    List<Axis> shoots(Axis limb, Attitude attitude) {
        return shoots(limb).stream()
                .filter(shoot -> shoot.attitude() == attitude)
                .toList();
    }

    /**
     * The same without those that are only estimated: who walked round a tree and counted no rank or hanging shoots is not
     * told of some that nobody saw.
     */
    List<Axis> noticed(Axis limb, Attitude attitude) {
        return shoots(limb, attitude).stream()
                .filter(shoot -> shoot.provenance() != Provenance.ESTIMATED)
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

    /** Greatest level distance of a limb's own line from the trunk, metres. */
    static double reachOf(Axis limb) {
        double reach = 0;
        for (int i = 0; i < limb.course().size(); i++) {
            reach = Math.max(reach, limb.course().point(i).level().length());
        }
        return reach;
    }

    /** Smallest turn between two bearings, degrees 0…180. */
    static double turn(double bearing, double other) {
        double turn = Math.abs(Units.toDegrees(bearing - other)) % 360;
        return turn > 180 ? 360 - turn : turn;
    }

    /** Diameter of the parent just below the union, metres. */
    double parentBelow(Axis limb) {
        return parent(limb).diameterAt(Math.max(0, limb.at() - clearOfFork()));
    }

    /** Diameter of the parent just above the union, metres. */
    double parentAbove(Axis limb) {
        return parent(limb).diameterAt(limb.at() + clearOfFork());
    }

    /** One sigma of a ratio of two measured diameters. */
    double ratioError(double ratio) {
        return ratio * errors().diameterShare() * Math.sqrt(2);
    }
}
