package umbel.growth;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import umbel.compute.Cancellation;
import umbel.growth.GrowingPoint.Fate;
import umbel.growth.GrowingPoint.Kind;
import umbel.knowledge.GrowthParameters;
import umbel.knowledge.Species;
import umbel.wood.Tree;

/**
 * Shares what a tree has laid up among its growing points: strength is told from the ends towards the root, held down by
 * what grows beyond; flow is shared from the root to the ends, at each fork by strength and by the pipes there are
 * (after Borchert and Honda, 1984). Points that get too little to grow long stay short, or do not open; then what they
 * leave is shared again, with the bar raised by and by.
 */
final class CarbonAllocation {

    /** Mass of a shoot goes with its length to this power. */
    static final double MASS_BY_LENGTH = 1.4;

    /** Share of its strength by which what stays short holds others back. */
    private static final double LITTLE = 0.3;

    private static final double[] BARS = {0.3, 0.5, 0.7, 0.85, 1, 1};

    private final GrowingPoints points;
    private final Tree left;
    private final Species.Growth species;
    private final GrowthParameters parameters;
    private final KeyedDraws draws;
    private final double[] demandOf;
    private final double[] inhibitionOf;
    private final double[] flowInto;

    CarbonAllocation(GrowingPoints points, KeyedDraws draws) {
        this.points = points;
        this.left = points.left();
        this.species = left.setting().species().growth();
        this.parameters = left.setting().parameters().growth();
        this.draws = draws;
        int count = left.axes().size();
        demandOf = new double[count];
        inhibitionOf = new double[count];
        flowInto = new double[count];
    }

    /**
     * Shares an amount and settles every point's fate.
     *
     * @param amount dry mass, kilograms
     */
    void share(double amount) {
        Cancellation.check();
        for (int a = 0; a < flowInto.length; a++) {
            for (GrowingPoint point : points.on(a)) {
                point.fate = Fate.LONG;
            }
        }
        boolean settled = false;
        for (double bar : BARS) {
            if (!settled) {
                flow(amount);
            }
            settled = !settle(bar);
        }
        if (!settled) {
            flow(amount);
        }
    }

    private void flow(double amount) {
        for (int a = flowInto.length - 1; a >= 0; a--) {
            tellStrength(points.on(a), a);
        }
        flowInto[0] = amount;
        for (int a = 0; a < flowInto.length; a++) {
            shareAlong(points.on(a), flowInto[a]);
        }
    }

    /** From the end of an axis to its origin: each point's strength under what grows beyond it. */
    private void tellStrength(List<GrowingPoint> along, int a) {
        double demand = 0;
        double inhibition = 0;
        for (int i = 0; i < along.size(); i++) {
            GrowingPoint point = along.get(i);
            inhibition *= point.fading;
            point.demandBeyond = demand;
            if (point.kind == Kind.SIDE) {
                point.demand =
                        demandOf[point.axis] / (1 + species.inhibition().control() * inhibition * point.inhibitedBy);
                inhibition += inhibitionOf[point.axis];
            } else if (point.kind == Kind.CLUSTER) {
                double held = species.inhibition().strength() * inhibition * point.inhibitedBy;
                point.demand = point.shortStrength + point.longStrength / (1 + held);
                inhibition += LITTLE * point.demand;
            } else {
                point.inhibition = inhibition * point.inhibitedBy;
                point.demand = strength(point);
                // what is held back to a short life holds nothing else back much
                inhibition +=
                        point.fate == Fate.LONG && point.kind != Kind.DORMANT ? point.demand : LITTLE * point.demand;
            }
            demand += point.demand;
        }
        demandOf[a] = demand;
        inhibitionOf[a] = inhibition * points.fadingToOrigin(a);
    }

    private double strength(GrowingPoint point) {
        return switch (point.fate) {
            case LONG -> point.longStrength / (1 + species.inhibition().strength() * point.inhibition);
            case SHORT -> point.shortStrength;
            case BLIND -> 0;
        };
    }

    /** From the origin of an axis to its end: at each point flow goes there or on. */
    private void shareAlong(List<GrowingPoint> along, double into) {
        double flow = into;
        double byDemand = 1 - parameters.sinks().pipes();
        for (int i = along.size() - 1; i >= 0; i--) {
            GrowingPoint point = along.get(i);
            double share = 0;
            if (point.demand > 0) {
                share = point.demandBeyond <= 0
                        ? 1
                        : part(point.demand, point.demandBeyond, point.pipePower, point.pipeBeyondPower, byDemand);
            }
            point.flow = flow * share;
            flow -= point.flow;
            if (point.kind == Kind.SIDE) {
                flowInto[point.axis] = point.flow;
            }
        }
    }

    private static double part(double here, double beyond, double pipe, double pipeBeyond, double power) {
        double ratio = Math.pow(here / beyond, power) * pipe / pipeBeyond;
        return ratio / (1 + ratio);
    }

    /** Lowers the fate of what gets too little; whether there was any. */
    private boolean settle(double bar) {
        boolean changed = false;
        Species.Least least = species.least();
        double threshold = species.inhibition().threshold();
        for (int a = 0; a < flowInto.length; a++) {
            for (GrowingPoint point : points.on(a)) {
                double grams = point.flow * 1000;
                switch (point.kind) {
                    case SIDE, CLUSTER -> {}
                    case DORMANT -> {
                        if (grams < bar * least.sprout() * (0.7 + 0.6 * draws.even(point.key, 9))) {
                            changed |= point.fate != Fate.BLIND;
                            point.fate = Fate.BLIND;
                        }
                    }
                    default -> {
                        double worn =
                                point.kind == Kind.SPUR ? parameters.sinks().wornSpur() : 1;
                        if (point.fate == Fate.LONG
                                && grams < bar * worn * least.shoot() * (1 + threshold * point.inhibition)) {
                            point.fate = Fate.SHORT;
                            changed = true;
                        } else if (point.fate == Fate.SHORT && grams < bar * least.bud()) {
                            point.fate = Fate.BLIND;
                            changed = true;
                        }
                    }
                }
            }
        }
        return changed;
    }

    /**
     * Length of shoot a point's share makes, metres: mass goes with length to the power 1.4, and no shoot outgrows the
     * species' longest.
     */
    static double length(double flow, Species.Growth species) {
        double wanted = Math.pow(Math.max(0, flow) * 1000 / species.extensionCostG(), 1 / MASS_BY_LENGTH);
        return species.extensionMost() * (1 - Math.exp(-wanted / species.extensionMost()));
    }

    /** Length of all long growth at what its points now get, metres. */
    double lengthInAll() {
        double sum = 0;
        for (int a = 0; a < flowInto.length; a++) {
            for (GrowingPoint point : points.on(a)) {
                sum += point.growsLong() ? length(point.flow, species) : 0;
            }
        }
        return sum;
    }

    /** Weak buds of last season's wood that open into no more than a rosette. */
    int weakBuds() {
        int weak = 0;
        for (int a = 0; a < flowInto.length; a++) {
            for (GrowingPoint point : points.on(a)) {
                weak += point.isWeakBud() ? 1 : 0;
            }
        }
        return weak;
    }

    /** Leaf of all other points at what they now get, m². */
    double leafBesideWeakBuds() {
        var wood = left.setting().species().wood();
        double leaf = 0;
        for (int a = 0; a < flowInto.length; a++) {
            for (GrowingPoint point : points.on(a)) {
                if (point.kind == Kind.CLUSTER) {
                    leaf += points.leafOf(point);
                } else if (point.growsLong()) {
                    leaf += wood.leafPerShootMetre() * length(point.flow, species);
                } else if (point.opens() && !point.isWeakBud()) {
                    leaf += wood.leafPerSpur();
                }
            }
        }
        return leaf;
    }

    /** What flows to the fruiting laterals, kilograms. */
    double intoLaterals() {
        double sum = 0;
        for (int a = 0; a < flowInto.length; a++) {
            for (GrowingPoint point : points.on(a)) {
                sum += point.kind == Kind.CLUSTER ? point.flow : 0;
            }
        }
        return sum;
    }

    /** Length each end grows at what it now gets, metres, by axis id. */
    Map<String, Double> lengthsOfTips() {
        Map<String, Double> lengths = new HashMap<>();
        for (int a = 0; a < flowInto.length; a++) {
            for (GrowingPoint point : points.on(a)) {
                if (point.kind == Kind.TIP) {
                    lengths.put(left.axis(a).id(), point.growsLong() ? length(point.flow, species) : 0);
                }
            }
        }
        return lengths;
    }

    /** What flowed to points that could not spend it, kilograms. */
    double unspent() {
        double spare = 0;
        double needed = species.least().bud() / 1000;
        for (int a = 0; a < flowInto.length; a++) {
            for (GrowingPoint point : points.on(a)) {
                if (point.isSingle() && point.fate == Fate.SHORT) {
                    spare += Math.max(0, point.flow - needed);
                }
            }
        }
        return spare;
    }
}
