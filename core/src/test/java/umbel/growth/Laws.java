package umbel.growth;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Function;
import umbel.growth.Grove.Specimen;
import umbel.wood.Axis;
import umbel.wood.Tree;

/**
 * How the sayings of the parameters are tried: each is a measurement on paired futures of one tree and gives a ratio (done against
 * not done, the way the saying words it), or nothing where the tree has no place to try it. {@link CuttingLaws} and
 * {@link BearingLaws} hold the sayings.
 */
final class Laws {

    private Laws() {}

    /** What came of a saying over many trees: the middle ratio, and the share of trees on which it holds. */
    record Outcome(String species, int trees, double median, double share) {
        @Override
        public String toString() {
            return String.format(Locale.ROOT, "%s %.2f %.0f%% n%d", species, median, share * 100, trees);
        }
    }

    /** Tries a saying: it holds on a tree when the ratio is over (or under) the bound. */
    static List<Outcome> tried(
            List<Specimen> grove, Function<Specimen, OptionalDouble> saying, boolean over, double bound) {
        Map<String, List<Double>> bySpecies = new LinkedHashMap<>();
        for (Specimen one : grove) {
            OptionalDouble ratio = saying.apply(one);
            if (ratio.isPresent()) {
                bySpecies
                        .computeIfAbsent(one.species(), key -> new ArrayList<>())
                        .add(ratio.getAsDouble());
            }
        }
        List<Outcome> outcomes = new ArrayList<>();
        bySpecies.forEach((species, ratios) -> {
            Collections.sort(ratios);
            long holds = ratios.stream()
                    .filter(ratio -> over ? ratio > bound : ratio < bound)
                    .count();
            outcomes.add(
                    new Outcome(species, ratios.size(), ratios.get(ratios.size() / 2), holds / (double) ratios.size()));
        });
        return outcomes;
    }

    static final Season.Work UNTHINNED = new Season.Work(List.of(), Moment.DORMANT, List.of(), false, false);

    static final Season.Work DEFLOWERED = new Season.Work(List.of(), Moment.DORMANT, List.of(), true, true);

    static TreeState on(TreeState start, int years) {
        TreeState stand = start;
        for (int year = 0; year < years; year++) {
            stand = Season.grow(stand, Season.Work.NONE).after();
        }
        return stand;
    }

    static OptionalDouble ratio(double a, double b) {
        return b <= 1e-9 ? OptionalDouble.empty() : OptionalDouble.of(a / b);
    }

    static double flowers(Tree tree) {
        return tree.axes().stream().mapToDouble(Axis::flowerBuds).sum();
    }

    static double flowersOn(Tree tree, String limb) {
        return tree.axes().stream()
                .filter(axis -> axis.limb().equals(limb))
                .mapToDouble(Axis::flowerBuds)
                .sum();
    }

    static double grownOf(Tree tree, String limb) {
        return tree.find(limb).map(Axis::lastGrowth).orElse(0.0);
    }

    /** The stand with three times its flower buds, as after an empty year. */
    static TreeState snowball(TreeState stand) {
        List<Axis> axes = new ArrayList<>();
        for (Axis axis : stand.tree().axes()) {
            axes.add(axis.bearing(axis.flowerBuds() * 3));
        }
        return new TreeState(
                new Tree(stand.tree().setting(), axes),
                stand.year(),
                stand.light(),
                stand.reserve(),
                stand.assimilated(),
                stand.traits(),
                stand.seed(),
                stand.brighter());
    }
}
