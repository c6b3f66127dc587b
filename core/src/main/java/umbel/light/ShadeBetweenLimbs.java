package umbel.light;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import umbel.wood.Axis;
import umbel.wood.Role;
import umbel.wood.Tree;

/**
 * What each measured limb, with all that grows from it, takes from the fruiting sites of the others: found by reading the
 * tree again without it. Cost: one glance for each limb.
 */
public final class ShadeBetweenLimbs {

    private static final double LEAST = 0.005;

    private ShadeBetweenLimbs() {}

    /**
     * One limb's shade.
     *
     * @param limb its id
     * @param fromTree light the rest of the tree's sites would gain without it, as their mean, share of open sky
     * @param fromLimbs the same for each other limb it shades, by limb id, most first
     */
    public record Shade(String limb, double fromTree, Map<String, Double> fromLimbs) {}

    /** Every limb's shade, the one that takes most first: where a window would open most. */
    public static List<Shade> of(Tree tree) {
        Map<String, double[]> before = bySite(tree);
        List<Shade> shades = new ArrayList<>();
        for (Axis limb : tree.limbs()) {
            if (limb.role() == Role.SUCKER) {
                continue;
            }
            shades.add(shadeOf(tree, limb, before));
        }
        shades.sort(Comparator.comparingDouble(Shade::fromTree).reversed());
        return shades;
    }

    private static Shade shadeOf(Tree tree, Axis limb, Map<String, double[]> before) {
        double[] kept = new double[tree.axes().size()];
        for (Axis axis : tree.axes()) {
            boolean goes = axis.index() >= limb.index() && tree.growsFrom(axis, limb);
            kept[axis.index()] = goes ? 0 : axis.length();
        }
        LightReading after = LightModel.readCoarse(tree.cutTo(kept), 1);
        Map<String, double[]> gains = new LinkedHashMap<>();
        double gain = 0;
        double all = 0;
        Map<String, Integer> place = new LinkedHashMap<>();
        for (int s = 0; s < after.light().length; s++) {
            FruitingSite site = after.sites().get(s);
            int i = place.merge(site.axis().id(), 1, Integer::sum) - 1;
            double more = (after.light()[s] - before.get(site.axis().id())[i]) * site.weight();
            double[] sum = gains.computeIfAbsent(site.axis().limb(), id -> new double[2]);
            sum[0] += more;
            sum[1] += site.weight();
            gain += more;
            all += site.weight();
        }
        Map<String, Double> from = new LinkedHashMap<>();
        gains.entrySet().stream()
                .map(entry -> Map.entry(entry.getKey(), entry.getValue()[0] / entry.getValue()[1]))
                .filter(entry -> entry.getValue() >= LEAST)
                .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
                .forEach(entry -> from.put(entry.getKey(), entry.getValue()));
        return new Shade(limb.id(), all == 0 ? 0 : gain / all, from);
    }

    private static Map<String, double[]> bySite(Tree tree) {
        LightReading reading = LightModel.readCoarse(tree, 1);
        Map<String, List<Double>> lists = new LinkedHashMap<>();
        for (int s = 0; s < reading.light().length; s++) {
            lists.computeIfAbsent(reading.sites().get(s).axis().id(), id -> new ArrayList<>())
                    .add(reading.light()[s]);
        }
        Map<String, double[]> by = new LinkedHashMap<>();
        lists.forEach((id, list) ->
                by.put(id, list.stream().mapToDouble(Double::doubleValue).toArray()));
        return by;
    }
}
