package umbel.growth;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.growth.GrowingPoint.Kind;
import umbel.knowledge.GrowthParameters;
import umbel.knowledge.Species;
import umbel.light.LightField;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.FruitingWood;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * Every place of a cut tree that may grow: tips, buds on last season's wood, spurs, and dormant buds that a wound may
 * wake; with side axes between them, on each axis from its end to its origin.
 *
 * <p>What leads to a place was made for the leaf it carried before the cuts: pipes are read from the tree as found.
 */
final class GrowingPoints {

    private static final double GOLDEN_ANGLE = Math.PI * (3 - Math.sqrt(5));
    private static final int MOST_WOKEN = 12;
    private static final double WORTH_WAKING = 0.5;
    private static final double BY_THE_WOUND = 0.12;
    private static final double PIPES_FOR_A_BUD = 1e-5;
    /** Points this near to each other, metres, are at one place. */
    private static final double NO_DISTANCE = 1e-9;

    private final CutTree cut;
    private final Tree left;
    private final LeafArea carried;
    private final LightField field;
    private final Species.Growth species;
    private final GrowthParameters parameters;
    private final Wounds wounds;
    private final GrowthTraits traits;
    private final KeyedDraws draws;
    private final FruitingWood carriedByLaterals;
    private final List<List<GrowingPoint>> byAxis = new ArrayList<>();
    private final double[] fadingToOrigin;

    /**
     * Gathers the growing points.
     *
     * @param carried leaf of the tree as found
     * @param field light of the season that ended
     * @param traits what the tree itself tells of how it grows
     */
    GrowingPoints(CutTree cut, LeafArea carried, LightField field, GrowthTraits traits, KeyedDraws draws) {
        this.cut = cut;
        this.left = cut.left();
        this.carried = carried;
        this.field = field;
        this.species = left.setting().species().growth();
        this.parameters = left.setting().parameters().growth();
        this.traits = traits;
        this.draws = draws;
        this.carriedByLaterals = FruitingWood.of(left.setting());
        this.wounds = new Wounds(cut, carried);
        int[] foundOf = foundOf(cut);
        LeafArea sides = new LeafArea(left);
        for (Axis axis : left.axes()) {
            boolean bears = axis.kind() != AxisKind.SPUR && !axis.isUnmeasured() && LeafArea.grows(axis);
            byAxis.add(bears ? gather(axis, foundOf, sides) : List.of());
        }
        fadingToOrigin = new double[byAxis.size()];
        for (int a = 0; a < fadingToOrigin.length; a++) {
            fadingToOrigin[a] = fade(byAxis.get(a));
        }
    }

    /** Inhibition fades with the distance along an axis: tells each of its points how far, and what share of it comes to the origin. */
    private double fade(List<GrowingPoint> along) {
        double rate = 1 / species.inhibition().reach();
        double from = along.isEmpty() ? 0 : along.get(0).at;
        for (GrowingPoint point : along) {
            boolean apart = from - point.at > NO_DISTANCE;
            point.fading = apart ? Math.exp(-(from - point.at) * rate) : 1;
            from = apart ? point.at : from;
        }
        return Math.exp(-from * rate);
    }

    /**
     * The points that a cut in leaf sets free: buds of this season's growth below a heading, and dormant ones about a wound. Ends
     * and spurs that have closed for the year stay closed.
     */
    static GrowingPoints aboutWounds(CutTree cut, LightField field, GrowthTraits traits, KeyedDraws draws) {
        GrowingPoints points = new GrowingPoints(cut, new LeafArea(cut.found()), field, traits, draws);
        int[] foundOf = foundOf(cut);
        for (int a = 0; a < points.byAxis.size(); a++) {
            Axis axis = points.left.axis(a);
            boolean headed = cut.found().axis(foundOf[a]).length() > axis.length() + 1e-9;
            List<GrowingPoint> free = points.byAxis.get(a).stream()
                    .filter(point ->
                            point.kind == Kind.SIDE || point.kind == Kind.DORMANT || point.kind == Kind.BUD && headed)
                    .toList();
            points.byAxis.set(a, free);
            points.fadingToOrigin[a] = points.fade(free);
        }
        return points;
    }

    /** Share of the inhibition at the innermost point of an axis that is felt at its origin. */
    double fadingToOrigin(int axis) {
        return fadingToOrigin[axis];
    }

    /** The points of an axis of the cut tree, from its end to its origin. */
    List<GrowingPoint> on(int axis) {
        return byAxis.get(axis);
    }

    Tree left() {
        return left;
    }

    /** Whether a weak bud that opens becomes a spur, or fades within the season: as many do as the tree's own spurs tell. */
    boolean becomesSpur(GrowingPoint weak) {
        return !weak.isWeakBud() || draws.even(weak.key, 11) < traits.spurring();
    }

    private static int[] foundOf(CutTree cut) {
        int[] of = new int[cut.left().axes().size()];
        int n = 0;
        for (Axis axis : cut.found().axes()) {
            if (cut.kept(axis) > 0) {
                of[n++] = axis.index();
            }
        }
        return of;
    }

    private List<GrowingPoint> gather(Axis axis, int[] foundOf, LeafArea sides) {
        int a = axis.index();
        Axis found = cut.found().axis(foundOf[a]);
        boolean headed = axis.length() < found.length() - 1e-9;
        List<GrowingPoint> points = new ArrayList<>();
        for (int n = 0; n < sides.childCount(a); n++) {
            Axis child = left.axis(sides.child(a, n));
            if (LeafArea.grows(child)) {
                Kind kind = switch (child.kind()) {
                    case SPUR -> Kind.SPUR;
                    case FRUITING_LATERAL -> Kind.CLUSTER;
                    default -> Kind.SIDE;
                };
                double pipe = carried.of(foundOf[child.index()]);
                points.add(new GrowingPoint(kind, a, child.index(), child.id().hashCode(), child.at(), pipe, 1));
            }
        }
        if (found.lastGrowth() > 0) {
            addBuds(axis, found, headed, points);
        }
        double openEnd = headed && points.size() < 4 ? species.collarBuds() : 0;
        for (Wounds.Wound wound : wounds.on(found.index())) {
            addDormant(axis, wound, wound.whole() ? 0 : openEnd, points);
        }
        points.sort(Comparator.comparingDouble((GrowingPoint point) -> point.at).reversed());
        for (GrowingPoint point : points) {
            describe(point, axis, found);
        }
        return points;
    }

    /** Live buds along last season's growth, crowded towards its tip as the species does, and the tip itself. */
    private void addBuds(Axis axis, Axis found, boolean headed, List<GrowingPoint> points) {
        double grown = found.lastGrowth();
        double start = found.length() - grown;
        int nodes = (int) Math.max(1, Math.round(grown * 1000 / species.nodeGapMm()));
        int id = found.id().hashCode();
        List<Double> places = new ArrayList<>();
        List<Integer> numbers = new ArrayList<>();
        for (int n = 0; n < nodes; n++) {
            if (draws.even(id, 40_000 + n) < species.liveBuds().at((n + 0.5) / nodes)) {
                places.add(start + grown * (1 - Math.pow(1 - (n + 0.5) / nodes, 1 / species.nodeCrowding())));
                numbers.add(n);
            }
        }
        double share = found.leafArea() / (places.size() + parameters.sinks().tipPipes());
        boolean[] rubbed = rubbed(found, places);
        for (int i = 0; i < places.size(); i++) {
            if (places.get(i) < axis.length() && !rubbed[i]) {
                points.add(new GrowingPoint(
                        Kind.BUD, axis.index(), -1, 31 * id + numbers.get(i), places.get(i), share, 1));
            }
        }
        if (!headed) {
            points.add(new GrowingPoint(
                    Kind.TIP,
                    axis.index(),
                    -1,
                    id,
                    axis.length(),
                    parameters.sinks().tipPipes() * share,
                    1));
        }
    }

    /** Which of the buds at these places were rubbed out. */
    private boolean[] rubbed(Axis axis, List<Double> places) {
        boolean[] rubbed = new boolean[places.size()];
        for (Operation operation : cut.operations()) {
            if (!operation.onBuds() || !operation.onLimb().equals(axis.id())) {
                continue;
            }
            double from = Math.max(operation.at(), axis.length() - axis.lastGrowth());
            for (int i = 0; i < rubbed.length; i++) {
                rubbed[i] |= operation.keep() > 0 || places.get(i) < operation.at();
            }
            for (int k = 0; k < operation.keep(); k++) {
                double wanted = from + (axis.length() - from) * (k + 0.5) / operation.keep();
                IntStream.range(0, rubbed.length)
                        .filter(i -> places.get(i) >= operation.at())
                        .boxed()
                        .min(Comparator.comparingDouble(i -> Math.abs(places.get(i) - wanted)))
                        .ifPresent(i -> rubbed[i] = false);
            }
        }
        return rubbed;
    }

    /** Dormant buds a wound may wake: those of the collar, and those within reach of the pipes it left without leaf. */
    private void addDormant(Axis axis, Wounds.Wound wound, double openEnd, List<GrowingPoint> points) {
        double pipesOf = Math.sqrt(4 * 2.5e-4 * wound.orphaned() / Math.PI);
        double old = Math.max(0, axis.length() - axis.lastGrowth());
        double reach = Math.min(6 * pipesOf, old);
        double latent = reach
                * 1000
                / species.nodeGapMm()
                * Math.pow(species.latentSurvival(), axis.ageAt(Math.min(wound.at(), old)));
        double thick = Math.min(100, Math.pow(wound.diameter() * 100, 2));
        double number = (wound.whole() ? 0.10 * species.collarBuds() * thick : 0) + openEnd + latent;
        if (wound.orphaned() <= 0 || number < WORTH_WAKING) {
            return;
        }
        int woken = (int) Math.min(MOST_WOKEN, Math.ceil(number));
        for (int n = 0; n < woken; n++) {
            double place = wound.at() - Math.min(reach, BY_THE_WOUND) * draws.even(wound.key(), 100 + n);
            double held = Math.max(0, Math.min(axis.length(), place));
            points.add(new GrowingPoint(
                    Kind.DORMANT,
                    axis.index(),
                    -1,
                    wound.key() + 7 * n,
                    held,
                    wound.orphaned() / woken,
                    number / woken));
        }
    }

    private void describe(GrowingPoint point, Axis axis, Axis found) {
        double beyond = carried.beyond(found.index(), point.at);
        point.pipePower = Math.pow(
                Math.max(PIPES_FOR_A_BUD, point.pipe), parameters.sinks().pipes());
        point.pipeBeyondPower =
                Math.pow(Math.max(PIPES_FOR_A_BUD, beyond), parameters.sinks().pipes());
        Vec stem = axis.course().directionAt(point.at);
        point.inhibitedBy = 0.75 + 0.25 * Math.max(0, stem.z());
        if (point.kind == Kind.SIDE) {
            return;
        }
        if (point.kind == Kind.CLUSTER) {
            describeLateral(point, left.axis(point.axis));
            return;
        }
        point.heading = point.kind == Kind.TIP
                ? stem
                : point.kind == Kind.SPUR
                        ? left.axis(point.axis).course().directionAt(0)
                        : headingOfBud(point, stem, axis);
        double lit = Math.max(0.01, field.at(axis.course().at(point.at)));
        double up = point.kind == Kind.TIP ? stem.z() : (stem.z() + point.heading.z()) / 2;
        double raised = raised(up);
        if (point.kind == Kind.TIP) {
            // how it leaned last season shows already in what it grew then, by half
            raised /=
                    Math.sqrt(raised(found.course().directionAt(found.length()).z()));
        }
        double own = switch (point.kind) {
            case TIP ->
                parameters.sinks().tipVigour().of(found.lastGrowth())
                        * traits.ends().getOrDefault(found.id(), 1.0);
            case BUD -> species.strength().bud();
            case SPUR -> species.strength().spur();
            case DORMANT -> species.strength().dormant() * traits.waking() * point.number;
            case SIDE, CLUSTER -> 0;
        };
        double byLight = Math.pow(lit, parameters.sinks().light())
                * byHeight(axis.course().at(point.at).z());
        double noise = draws.around(parameters.sinks().noise(), point.key, 1);
        // dormant buds lie in the bark: neither their stem's lean nor their own matters before they wake
        point.longStrength = own * byLight * noise * (point.kind == Kind.DORMANT ? 1 : raised);
        point.shortStrength = parameters.sinks().shortBud() * species.strength().spur() * byLight * noise;
    }

    /** A lateral is as strong as its spurs and its shoots together. */
    private void describeLateral(GrowingPoint point, Axis lateral) {
        Vec middle = lateral.course().at(lateral.length() / 2);
        double byLight =
                Math.pow(Math.max(0.01, field.at(middle)), parameters.sinks().light()) * byHeight(middle.z());
        double spurs = carriedByLaterals.spurs() * lateral.leafArea();
        double shoots = carriedByLaterals.shootCount(lateral.leafArea());
        point.shortStrength = parameters.sinks().shortBud() * species.strength().spur() * byLight * spurs;
        point.longStrength = species.strength().bud() * byLight * shoots * raised(0);
    }

    /** Leaf that a fruiting lateral opens at what it gets, m². */
    double leafOf(GrowingPoint lateral) {
        double before = left.axis(lateral.axis).leafArea();
        if (before <= 0) {
            return 0;
        }
        double got = lateral.flow / (traits.clothing() * costOfLaterals() * before);
        GrowthParameters.Laterals rule = parameters.laterals();
        return before * Math.max(rule.bounds().get(0), Math.min(rule.bounds().get(1), Math.pow(got, rule.power())));
    }

    /** Dry mass a square metre of leaf on a fruiting lateral costs in spring, kilograms: rosettes and short shoots. */
    double costOfLaterals() {
        Species kind = left.setting().species();
        double rosettes = carriedByLaterals.spurs() * species.least().bud();
        double shoots = carriedByLaterals.shoots()
                / carriedByLaterals.seasonShoot()
                * species.extensionCostG()
                * Math.pow(carriedByLaterals.seasonShoot(), CarbonAllocation.MASS_BY_LENGTH);
        return kind.canopy().leafPerSection() <= 0 ? 0 : (rosettes + shoots) / 1000;
    }

    /** Strength of a sink by its lean, from hanging to upright (gravimorphism; Wareing and Nasr, 1961). */
    private double raised(double up) {
        return parameters.sinks().hanging()
                + (1 - parameters.sinks().hanging()) * Math.pow((1 + up) / 2, species.uprightness());
    }

    /** Water reaches high places less well (hydraulic limitation, Ryan and Yoder, 1997). */
    private double byHeight(double height) {
        double share = height / left.setting().heightOfStock();
        return 1 / (1 + Math.pow(share, parameters.sinks().heightPower()));
    }

    /** Buds stand round the stem by the golden angle, at the species' angle to it; woken ones come from the upper side. */
    private Vec headingOfBud(GrowingPoint point, Vec stem, Axis axis) {
        Vec side = stem.cross(Vec.UP).length() < 0.05
                ? new Vec(1, 0, 0)
                : stem.cross(Vec.UP).unit();
        double around = point.kind == Kind.DORMANT && Math.abs(stem.z()) < 0.8
                ? Math.PI * (draws.even(point.key, 5) - 0.5)
                : GOLDEN_ANGLE * point.key + 2 * Math.PI * draws.even(axis.id().hashCode(), 3);
        double angle = Math.toRadians(species.budAngleDeg());
        Vec upper = side.cross(stem).unit();
        Vec out = upper.times(Math.cos(around)).plus(side.times(Math.sin(around)));
        return stem.times(Math.cos(angle)).plus(out.times(Math.sin(angle))).unit();
    }
}
