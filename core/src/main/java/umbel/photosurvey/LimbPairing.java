package umbel.photosurvey;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jgrapht.alg.matching.KuhnMunkresMinimalWeightBipartitePerfectMatching;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;
import umbel.knowledge.PhotographParameters;
import umbel.photosurvey.PhotoSurveyRequest.Pair;
import umbel.wood.Units;
import umbel.wood.Vec;

/**
 * Which limb of the first picture is which of the second: the assignment of least cost, trunk limbs first and then those on limbs
 * already paired. What a person has said stands. See docs/model/photographs.md.
 */
final class LimbPairing {

    private static final double NEVER = 1e6;

    /**
     * A limb found in both pictures.
     *
     * @param bearer the pair it stands on; null for the trunk
     * @param sure whether nothing else comes near it
     * @param others limbs of the second picture that come near, the best first
     */
    record Paired(Traced first, Traced second, Paired bearer, boolean sure, List<String> others) {}

    private final Camera one;
    private final Camera two;
    private final double px;
    private final PhotographParameters.Pairing costs;
    private final Map<String, String> said = new HashMap<>();
    private final Set<String> saidSecond = new HashSet<>();
    private final List<Paired> found = new ArrayList<>();

    private LimbPairing(Camera one, Camera two, double px, List<Pair> told, PhotographParameters.Pairing costs) {
        this.one = one;
        this.two = two;
        this.px = px;
        this.costs = costs;
        told.forEach(pair -> {
            said.put(pair.first(), pair.second());
            saidSecond.add(pair.second());
        });
    }

    /**
     * The pairs.
     *
     * @param px one-sigma error of a touch, pixels
     * @param told pairs a person has said
     */
    static List<Paired> of(
            Camera one,
            List<Traced> first,
            Camera two,
            List<Traced> second,
            double px,
            List<Pair> told,
            PhotographParameters.Pairing costs) {
        LimbPairing pairing = new LimbPairing(one, two, px, told, costs);
        pairing.level(
                null,
                first.stream().filter(limb -> limb.trace().isOnTrunk()).toList(),
                second.stream().filter(limb -> limb.trace().isOnTrunk()).toList());
        for (int i = 0; i < pairing.found.size(); i++) {
            Paired bearer = pairing.found.get(i);
            pairing.level(bearer, on(bearer.first(), first), on(bearer.second(), second));
        }
        return pairing.found;
    }

    private static List<Traced> on(Traced bearer, List<Traced> limbs) {
        return limbs.stream()
                .filter(limb -> limb.trace().parent().equals(bearer.id()))
                .toList();
    }

    private void level(Paired bearer, List<Traced> first, List<Traced> second) {
        if (first.isEmpty() || second.isEmpty()) {
            return;
        }
        double[][] cost = new double[first.size()][second.size()];
        for (int i = 0; i < first.size(); i++) {
            for (int j = 0; j < second.size(); j++) {
                cost[i][j] = cost(bearer, first.get(i), second.get(j));
            }
        }
        int[] partner = assigned(cost);
        for (int i = 0; i < first.size(); i++) {
            if (partner[i] >= 0) {
                found.add(new Paired(
                        first.get(i),
                        second.get(partner[i]),
                        bearer,
                        said.containsKey(first.get(i).id()) || isSure(cost, i, partner[i]),
                        others(cost[i], second)));
            }
        }
    }

    private List<String> others(double[] row, List<Traced> second) {
        double best = Double.MAX_VALUE;
        for (double one : row) {
            best = Math.min(best, one);
        }
        double most = Math.min(costs.alone(), best + 2 * costs.sure());
        List<Integer> near = new ArrayList<>();
        for (int j = 0; j < row.length; j++) {
            if (row[j] <= most) {
                near.add(j);
            }
        }
        near.sort((a, b) -> Double.compare(row[a], row[b]));
        return near.stream().map(j -> second.get(j).id()).toList();
    }

    /** Whether neither limb has another partner, or none, at nearly the same cost. */
    private boolean isSure(double[][] cost, int i, int j) {
        double next = costs.alone();
        for (int other = 0; other < cost[i].length; other++) {
            if (other != j) {
                next = Math.min(next, cost[i][other]);
            }
        }
        for (int other = 0; other < cost.length; other++) {
            if (other != i) {
                next = Math.min(next, cost[other][j]);
            }
        }
        return next - cost[i][j] > costs.sure();
    }

    /** What speaks against two traces being one limb. */
    private double cost(Paired bearer, Traced a, Traced b) {
        if (said.containsKey(a.id()) || saidSecond.contains(b.id())) {
            return Objects.equals(said.get(a.id()), b.id()) && said.containsKey(a.id()) ? 0 : NEVER;
        }
        Vec base = Sight.triangulated(one, a.base(), two, b.base());
        Vec tip = Sight.triangulated(one, a.tip(), two, b.tip());
        double points = missed(tip, a.tip(), b.tip());
        if (a.bend() != null && b.bend() != null) {
            points += missed(Sight.triangulated(one, a.bend(), two, b.bend()), a.bend(), b.bend());
        }
        double sum = Math.min(costs.mostOfPoints(), points);
        if (bearer == null) {
            double apart = one.heightOnTrunk(a.base()) - two.heightOnTrunk(b.base());
            double error = 1.2 * px * (one.distance() / one.focal() + two.distance() / two.focal()) / 2
                    + costs.baseMm() / 1000;
            sum += apart * apart / (2 * error * error);
        } else {
            sum += Math.min(costs.mostOfPoints(), missed(base, a.base(), b.base()));
        }
        if (fromBearer(bearer, base) > Units.fromCm(costs.farCm())) {
            sum += costs.farCost();
        }
        if (Math.max(base.level().length(), tip.level().length()) > costs.reachM()) {
            sum += costs.outOfReachCost();
        }
        return sum;
    }

    /** Squared residuals of a point in both pictures, each against the error of a touch and of the camera's place. */
    private double missed(Vec point, Camera.Point inOne, Camera.Point inTwo) {
        double first = one.project(point).distanceTo(inOne);
        double second = two.project(point).distanceTo(inTwo);
        return (first * first + second * second) / (2 * (px * px + costs.pointPx() * costs.pointPx()));
    }

    private double fromBearer(Paired bearer, Vec base) {
        if (bearer == null) {
            return base.level().length();
        }
        return PolyLine.distance(base, line(bearer));
    }

    private List<Vec> line(Paired pair) {
        List<Vec> points = new ArrayList<>();
        points.add(
                Sight.triangulated(one, pair.first().base(), two, pair.second().base()));
        if (pair.first().bend() != null && pair.second().bend() != null) {
            points.add(Sight.triangulated(
                    one, pair.first().bend(), two, pair.second().bend()));
        }
        points.add(
                Sight.triangulated(one, pair.first().tip(), two, pair.second().tip()));
        return points;
    }

    /** For each row its column in the assignment of least cost, -1 for none; a row or column alone costs half of {@code alone}. */
    private int[] assigned(double[][] cost) {
        int rows = cost.length;
        int columns = cost[0].length;
        SimpleWeightedGraph<Integer, DefaultWeightedEdge> graph = new SimpleWeightedGraph<>(DefaultWeightedEdge.class);
        Set<Integer> left = new HashSet<>();
        Set<Integer> right = new HashSet<>();
        int size = rows + columns;
        for (int i = 0; i < size; i++) {
            graph.addVertex(i);
            graph.addVertex(size + i);
            left.add(i);
            right.add(size + i);
        }
        for (int i = 0; i < size; i++) {
            for (int j = 0; j < size; j++) {
                double weight = i < rows && j < columns ? cost[i][j] : i < rows || j < columns ? costs.alone() / 2 : 0;
                graph.setEdgeWeight(graph.addEdge(i, size + j), weight);
            }
        }
        int[] partner = new int[rows];
        Arrays.fill(partner, -1);
        for (DefaultWeightedEdge edge :
                new KuhnMunkresMinimalWeightBipartitePerfectMatching<>(graph, left, right).getMatching()) {
            int i = Math.min(graph.getEdgeSource(edge), graph.getEdgeTarget(edge));
            int j = Math.max(graph.getEdgeSource(edge), graph.getEdgeTarget(edge)) - size;
            if (i < rows && j < columns && cost[i][j] < NEVER) {
                partner[i] = j;
            }
        }
        return partner;
    }
}
