package umbel.counted;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;

/**
 * Which canes of a vine stay and with how many nodes: the best of each side in turn, until the nodes wanted are there; then a
 * renewal spur a side.
 */
final class VineChoice {

    private static final String HEAD = "head";

    private final CountedKind.Vine kind;
    private final CountingParameters.Vine numbers;
    private final boolean spurs;

    /**
     * What was chosen.
     *
     * @param kept canes and the nodes they keep
     * @param renewal canes cut to renewal spurs
     * @param away the others
     * @param nodes nodes left, those of renewal spurs not counted
     */
    record Chosen(
            Map<CountSurvey.VineCane, Integer> kept,
            List<CountSurvey.VineCane> renewal,
            List<CountSurvey.VineCane> away,
            int nodes) {}

    VineChoice(CountedKind.Vine kind, CountingParameters.Vine numbers, boolean spurs) {
        this.kind = kind;
        this.numbers = numbers;
        this.spurs = spurs;
    }

    /** Chooses among canes, those on arms that go left out. */
    Chosen of(List<CountSurvey.VineCane> canes, int target) {
        Map<String, List<CountSurvey.VineCane>> sides = new LinkedHashMap<>();
        canes.stream()
                .filter(cane -> !BushCane.isUnsound(cane.condition(), cane.disease()))
                .sorted(bestFirst())
                .forEach(cane -> sides.computeIfAbsent(sideOf(cane), key -> new ArrayList<>())
                        .add(cane));
        int each = spurs ? kind.spurNodes() : kind.caneNodes();
        Map<CountSurvey.VineCane, Integer> kept = new LinkedHashMap<>();
        int nodes = 0;
        boolean more = true;
        while (nodes < target && more && (spurs || target - nodes > longer(kept, each))) {
            more = false;
            for (List<CountSurvey.VineCane> side : sides.values()) {
                if (nodes < target && !side.isEmpty()) {
                    CountSurvey.VineCane cane = side.remove(0);
                    int here = Math.max(1, Math.min(Math.min(cane.nodes(), each), target - nodes));
                    kept.put(cane, here);
                    nodes += here;
                    more = true;
                }
            }
        }
        nodes = lengthen(kept, nodes, target, spurs ? each : Integer.MAX_VALUE);
        List<CountSurvey.VineCane> rest =
                canes.stream().filter(cane -> !kept.containsKey(cane)).toList();
        List<CountSurvey.VineCane> renewal = spurs ? List.of() : renewalSpurs(kept, rest);
        return new Chosen(
                kept,
                renewal,
                rest.stream().filter(cane -> !renewal.contains(cane)).toList(),
                nodes);
    }

    /** Nodes that kept canes can take instead of one more cane: up to half of one. */
    private static int longer(Map<CountSurvey.VineCane, Integer> kept, int each) {
        int room = kept.entrySet().stream()
                .mapToInt(one -> one.getKey().nodes() - one.getValue())
                .sum();
        return Math.min(room, each / 2);
    }

    /** Gives kept canes more of their own nodes until the number is reached. */
    private static int lengthen(Map<CountSurvey.VineCane, Integer> kept, int nodes, int target, int most) {
        int now = nodes;
        for (Map.Entry<CountSurvey.VineCane, Integer> one : kept.entrySet()) {
            int room = Math.min(one.getKey().nodes(), most) - one.getValue();
            int add = Math.max(0, Math.min(room, target - now));
            one.setValue(one.getValue() + add);
            now += add;
        }
        return now;
    }

    /** One renewal spur a side, from a cane near the head that is not kept as a cane. */
    private List<CountSurvey.VineCane> renewalSpurs(
            Map<CountSurvey.VineCane, Integer> kept, List<CountSurvey.VineCane> rest) {
        Set<String> wanted = new HashSet<>();
        kept.keySet().forEach(cane -> wanted.add(sideOf(cane)));
        Map<String, CountSurvey.VineCane> chosen = new LinkedHashMap<>();
        rest.stream()
                .filter(cane -> !BushCane.isUnsound(cane.condition(), cane.disease()))
                .filter(cane -> fromHead(cane) <= kind.cane().farNear())
                .filter(cane -> wanted.contains(sideOf(cane)))
                .sorted(Comparator.comparingDouble(VineChoice::fromHead).thenComparing(CountSurvey.VineCane::id))
                .forEach(cane -> chosen.putIfAbsent(sideOf(cane), cane));
        return new ArrayList<>(chosen.values());
    }

    /** Lit, of good thickness, near the head, sound. */
    private Comparator<CountSurvey.VineCane> bestFirst() {
        CountedKind.GoodCane good = kind.cane();
        double middle = (good.least() + good.most()) / 2;
        return Comparator.comparingDouble((CountSurvey.VineCane cane) -> -points(cane))
                .thenComparingDouble(VineChoice::fromHead)
                .thenComparingDouble(cane -> cane.diameterMm() == null ? 0 : Math.abs(cane.diameterMm() - middle))
                .thenComparing(CountSurvey.VineCane::id);
    }

    private double points(CountSurvey.VineCane cane) {
        CountingParameters.Keep of = numbers.keep();
        CountedKind.GoodCane good = kind.cane();
        double points = Boolean.FALSE.equals(cane.lit()) ? 0 : of.lit();
        if (cane.diameterMm() != null) {
            double mm = cane.diameterMm();
            points += mm >= good.least() && mm <= good.most()
                    ? of.good()
                    : isWithin(mm, numbers.fairMm()) ? of.fair() : 0;
        }
        double from = fromHead(cane);
        points += spurs ? 0 : from <= good.near() ? of.near() : from <= good.farNear() ? of.far() : 0;
        if (cane.lengthCm() != null) {
            points += isWithin(cane.lengthCm() / cane.nodes(), numbers.internodeCm()) ? of.internode() : 0;
        }
        points += cane.nodes() >= (spurs ? kind.spurNodes() : kind.caneNodes()) ? of.nodes() : 0;
        return points;
    }

    private static boolean isWithin(double value, CountingParameters.Bounds bounds) {
        return value >= bounds.least() && value <= bounds.most();
    }

    private static String sideOf(CountSurvey.VineCane cane) {
        return cane.arm() == null ? HEAD : cane.arm();
    }

    /** How far from the head a cane stands, cm; 0 where it was not told. */
    static double fromHead(CountSurvey.VineCane cane) {
        return cane.atCm() == null ? 0 : cane.atCm();
    }
}
