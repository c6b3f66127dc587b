package umbel.wood;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import umbel.knowledge.CanopyParameters;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;

/**
 * Clothes a tree's measured wood with the fruiting laterals that nobody measured, so that it carries the leaf a tree of its
 * thickness does (see docs/model/canopy.md). A tree's leaf follows from its trunk's section, a limb's from its own (pipe model of
 * Shinozaki and others, 1964); what is measured or counted on a limb already is taken off. Laterals take the side with the least
 * leaf, and there are fewer where less leaf is missing. What the limbs have no room or length for stays away: then limbs are
 * missing from the survey.
 */
final class FruitingLaterals {

    private static final double SHORTEST = 0.08;
    private static final double LEAST_LEAF = 0.004;
    private static final double FULLEST = 1.25;
    private static final int STEPS = 3;

    private final Setting setting;
    private final Species.Canopy canopy;
    private final CanopyParameters parameters;
    private final CanopyParameters.Stock stock;
    private final double season;
    private final FruitingWood carried;
    private final List<Axis> axes;
    private final List<SmallWoodArrangement.Told> told;
    private final int frame;
    private final double[] counted;
    private final double[] fed;
    private final LeafRoom leaf;
    private final double betweenArms;

    /**
     * For one tree.
     *
     * @param axes the tree's axes; laterals are added at the end
     * @param told what the counts tell of each axis of its measured frame, first in the list
     */
    FruitingLaterals(Setting setting, List<Axis> axes, List<SmallWoodArrangement.Told> told) {
        this.setting = setting;
        this.canopy = setting.species().canopy();
        this.parameters = setting.parameters().canopy();
        this.stock = parameters.stocks().get(setting.cultivar().stock());
        this.season = canopy.seasonShoot() * stock.shoots();
        this.carried = FruitingWood.of(setting);
        this.axes = axes;
        this.told = told;
        this.frame = told.size();
        this.counted = new double[frame];
        this.fed = new double[frame];
        double top =
                axes.stream().mapToDouble(axis -> axis.course().top()).max().orElse(0);
        this.leaf = new LeafRoom(setting.place(), top);
        this.betweenArms = betweenArms(setting.system());
    }

    /** Between the tied arms of a wall its trunk is kept to laterals that do not reach from one to the next, metres. */
    private static double betweenArms(TrainingSystem system) {
        double least = Double.POSITIVE_INFINITY;
        List<TrainingSystem.Tier> tiers = system.tiers();
        for (int t = 1; system.tied() && t < tiers.size(); t++) {
            least = Math.min(least, tiers.get(t).height() - tiers.get(t - 1).height());
        }
        return least;
    }

    /**
     * Adds the laterals.
     *
     * @param covered whether the counts of a limb cover all that stands on it, so that nothing is missing there
     */
    void add(Predicate<Axis> covered) {
        if (canopy.leafPerSection() <= 0) {
            return;
        }
        layOutWhatIsThere();
        feed();
        double[] wanted = new double[frame];
        double sum = 0;
        for (int i = 0; i < frame; i++) {
            Axis host = axes.get(i);
            if (bears(host) && !covered.test(host)) {
                wanted[i] = missing(i) * told.get(i).abundance();
                sum += wanted[i];
            }
        }
        if (sum <= 0) {
            return;
        }
        double fits = Math.min(1, Math.max(0, canopy.densityMost() * room() - counted()) / sum);
        for (int i = 0; i < frame; i++) {
            if (wanted[i] * fits > LEAST_LEAF) {
                clothe(axes.get(i), wanted[i] * fits, flowering(i));
            }
        }
    }

    private static boolean bears(Axis host) {
        return !host.is(Condition.DEAD) && host.role() != Role.SUCKER;
    }

    private double counted() {
        double sum = 0;
        for (double one : counted) {
            sum += one;
        }
        return sum;
    }

    private void layOutWhatIsThere() {
        Map<String, Integer> indexOf = new HashMap<>();
        for (int i = 0; i < frame; i++) {
            indexOf.put(axes.get(i).id(), i);
        }
        for (Axis axis : axes) {
            if (axis.leafArea() > 0) {
                counted[indexOf.get(axis.limb())] += axis.leafArea();
                leaf.add(axis.course().at(axis.length()), axis.leafArea());
            }
        }
    }

    /** What each limb with all that grows from it feeds, m²; the trunk the whole tree. */
    private void feed() {
        double sections = 0;
        double lost = 0;
        for (int i = 1; i < frame; i++) {
            Axis limb = axes.get(i);
            if (limb.parent() == 0 && limb.role() != Role.SUCKER) {
                double section = Units.section(limb.baseDiameter());
                sections += bears(limb) ? section : 0;
                lost += bears(limb) ? 0 : section;
            }
        }
        // what dead limbs fed is gone
        double alive = sections + lost <= 0 ? 1 : sections / (sections + lost);
        double whole = alive * FruitingWood.byTrunk(setting);
        double perSection = FruitingWood.byTrunk(setting) / setting.trunkSection();
        CanopyParameters.Sharing sharing = parameters.sharing();
        double against = sections <= 0 ? 1 : setting.trunkSection() / sections;
        double factor = Math.max(
                sharing.bounds().get(0),
                Math.min(sharing.bounds().get(1), against > 1 ? Math.pow(against, sharing.power()) : against));
        fed[0] = whole;
        for (int i = 1; i < frame; i++) {
            fed[i] = bears(axes.get(i))
                    ? perSection * factor * Units.section(axes.get(i).baseDiameter())
                    : 0;
        }
    }

    /** What a frame axis feeds beside its measured children and what was counted on it, m². */
    private double missing(int host) {
        double own = fed[host] - counted[host];
        for (int i = 1; i < frame; i++) {
            own -= axes.get(i).parent() == host ? Math.max(fed[i], counted[i]) : 0;
        }
        if (host > 0) {
            return Math.max(0, own);
        }
        CanopyParameters.Sharing sharing = parameters.sharing();
        boolean clean =
                setting.leaf() < sharing.trunkFromLeaf() || setting.system().topped();
        return clean ? 0 : Math.max(0, Math.min(own, sharing.trunkMost() * fed[0]));
    }

    private double room() {
        for (int i = 0; i < frame; i++) {
            Axis host = axes.get(i);
            for (double s = 0; bears(host) && s <= host.length(); s += 0.2) {
                leaf.open(host.course().at(s), 0.85 * Math.max(0, longest(host, s)) + 0.6 * season + 0.05);
            }
        }
        return leaf.volume();
    }

    /** The longest lateral at a place of a limb, metres; none on wood of one year. */
    private double longest(Axis host, double at) {
        int age = host.ageAt(at);
        if (age <= 1) {
            return 0;
        }
        Species.Lateral shape = canopy.lateral();
        double along = at / Math.max(1e-9, host.length());
        double byLimb = shape.reach() * host.length() * (1 - 0.45 * along) + 0.1;
        double byAge = 0.15 + 0.6 * season * (age - 1);
        double free = stock.reach() * Math.min(shape.most(), Math.min(byAge, byLimb));
        return host.kind() == AxisKind.TRUNK ? Math.min(free, betweenArms) : free;
    }

    /** Flower buds against the usual: as counted on the axis, else as counted on the others. */
    private double flowering(int host) {
        return told.get(host)
                .flowering()
                .orElseGet(() -> told.stream()
                        .flatMap(one -> one.flowering().stream())
                        .mapToDouble(Double::doubleValue)
                        .average()
                        .orElse(1));
    }

    private void clothe(Axis host, double wanted, double flowering) {
        double every = canopy.lateral().everyCm() / 100;
        double start = host.kind() == AxisKind.TRUNK ? lowestLimb() : Math.min(0.15 * host.length(), 0.35);
        double end = host.length() - host.lastGrowth();
        List<double[]> places = new ArrayList<>();
        double metres = 0;
        for (double s = start + every / 2; s < end; s += every) {
            double length = longest(host, s);
            if (length >= SHORTEST) {
                places.add(new double[] {s, length});
                metres += length + branching(length);
            }
        }
        double full = metres * canopy.leafPerLateralMetre();
        if (full <= 0) {
            return;
        }
        double share = wanted / full;
        double fuller = Math.max(1, Math.min(FULLEST, share));
        double owed = 0.5;
        double turn = Math.floorMod(host.id().hashCode(), 360);
        int number = 0;
        for (double[] place : places) {
            owed += Math.min(1, share);
            turn += parameters.turnDeg();
            if (owed >= 1) {
                owed -= 1;
                double area = canopy.leafPerLateralMetre() * fuller * (place[1] + branching(place[1]));
                lateral(host, place[0], place[1], area, flowering, turn, number++);
            }
        }
    }

    /** Side branches a lateral of a length carries, metres. */
    private double branching(double length) {
        CanopyParameters.Second second = parameters.second();
        double sum = 0;
        double every = second.everyCm() / 100;
        for (double s = second.from() - every / 2; length > second.from() && s < length - every / 2; s += every) {
            sum += Math.min(second.most(), 0.1 + 0.5 * (length - s));
        }
        return sum;
    }

    private double lowestLimb() {
        double lowest = Double.MAX_VALUE;
        for (int i = 1; i < frame; i++) {
            if (axes.get(i).parent() == 0 && bears(axes.get(i))) {
                lowest = Math.min(lowest, axes.get(i).at());
            }
        }
        return lowest == Double.MAX_VALUE ? axes.get(0).length() / 2 : lowest;
    }

    private void lateral(Axis host, double at, double length, double area, double flowering, double turn, int number) {
        Course best = null;
        double least = Double.MAX_VALUE;
        Vec foot = host.course().at(at);
        Vec along = host.course().directionAt(at);
        for (int t = 0; t < parameters.turnsTried(); t++) {
            Course course = course(foot, along, length, turn + t * parameters.turnDeg());
            Vec tip = course.point(STEPS);
            Vec beyond = tip.plus(course.directionAt(length).times(season / 2));
            double there = leaf.about(course.at(length / 2)) + leaf.about(tip) + leaf.about(beyond);
            boolean underground = tip.z() < 0.2;
            if (!underground && there < least) {
                least = there;
                best = course;
            }
        }
        if (best == null) {
            return;
        }
        double base = Math.min(
                0.6 * host.diameterAt(at),
                Math.max(0.004, Math.sqrt(4 / Math.PI * area * setting.trunkSection() / Math.max(1e-9, fed[0]))));
        double[] diameters = new double[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
            diameters[i] = base + (Math.min(base, 0.003) - base) * i / STEPS;
        }
        int age = Math.max(2, Math.min(host.ageAt(at), 2 + (int) Math.round(length / Math.max(0.05, season))));
        Axis lateral = new Axis(
                axes.size(),
                host.id() + "/fruiting/" + number,
                host.id(),
                AxisKind.FRUITING_LATERAL,
                Role.LATERAL,
                host.index(),
                at,
                best,
                diameters,
                age,
                0,
                Set.of(),
                "",
                Provenance.ESTIMATED,
                null,
                null,
                area,
                area * carried.sites(),
                area * carried.flowerBuds() * flowering);
        axes.add(lateral);
        for (LateralTwigs.Twig twig : LateralTwigs.of(lateral, setting)) {
            Vec middle = twig.from().plus(twig.to()).times(0.5);
            leaf.add(middle, area * twig.share());
        }
    }

    /** A lateral's line: at an even angle to its limb, falling towards its end. */
    private Course course(Vec foot, Vec along, double length, double turnDeg) {
        Vec side = along.cross(Vec.UP);
        side = side.length() < 0.05 ? new Vec(1, 0, 0) : side.unit();
        Vec upper = side.cross(along).unit();
        double around = Units.fromDegrees(turnDeg);
        double angle = Units.fromDegrees(parameters.angleDeg());
        Vec out = upper.times(Math.cos(around)).plus(side.times(Math.sin(around)));
        Vec heading = along.times(Math.cos(angle)).plus(out.times(Math.sin(angle)));
        List<Vec> line = new ArrayList<>();
        line.add(foot);
        Vec at = foot;
        for (int i = 0; i < STEPS; i++) {
            double fall = 2 * canopy.lateral().fall() * (i + 0.5) / STEPS;
            at = at.plus(heading.plus(Vec.UP.times(-fall)).unit().times(length / STEPS));
            line.add(at);
        }
        return new Course(line);
    }
}
