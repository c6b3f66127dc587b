package umbel.counted;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;

/**
 * Crop of a vine by the nodes left, and the weight of its prunings the winter after; nodes wanted by that weight. See
 * docs/model/counted.md.
 */
final class VineSeasons {

    private final CountedKind.Vine kind;
    private final CountedKind.Wood wood;
    private final CountingParameters.Vine numbers;
    private final double most;
    private final double canopy;
    private final double fruitPerM2;
    private final double growth;

    /**
     * A vine in winter.
     *
     * @param weightKg of its prunings
     * @param ratio crop over prunings of the season before
     * @param canes canes that could be laid; where these are the measure
     */
    record State(double weightKg, double ratio, double canes) {}

    /**
     * @param most nodes there is room for
     * @param canopy m² of canopy; 0 where nodes follow from weight
     * @param growth factor on the weight of the prunings a season brings, as the place has shown it
     */
    VineSeasons(
            CountedKind.Vine kind,
            CountedKind.Wood wood,
            CountingParameters.Vine numbers,
            double most,
            double canopy,
            double fruitPerM2,
            double growth) {
        this.growth = growth;
        this.kind = kind;
        this.wood = wood;
        this.numbers = numbers;
        this.most = most;
        this.canopy = canopy;
        this.fruitPerM2 = fruitPerM2;
    }

    /** Nodes that this vine feeds, room left out of account. */
    double balanced(double weightKg) {
        if (byArea()) {
            CountedKind.FruitAim aim = kind.fruit();
            return canopy * fruitPerM2 / (kind.budbreak() * aim.flowering() * aim.perShoot() * aim.retained());
        }
        if (wood.base() == null) {
            return wood.nodesPerKg() * weightKg;
        }
        double units = weightKg / numbers.weightKg();
        return units < 1 ? wood.base() * units : wood.base() + wood.perWeight() * (units - 1);
    }

    /** Nodes wanted: what it feeds, as far as there is room. */
    double wanted(double weightKg) {
        return Math.min(most, balanced(weightKg));
    }

    /** Whether nodes follow from the canopy and not from weight. */
    boolean byArea() {
        return kind.fruit() != null;
    }

    /**
     * Seasons with so many nodes first, and balanced afterwards.
     *
     * @param later nodes in later winters as a multiple of what is wanted; or, where negative, always {@code first}
     */
    List<CountPlan.Season> seasons(State start, double first, double later, int count) {
        List<CountPlan.Season> seasons = new ArrayList<>();
        State state = start;
        double nodes = first;
        for (int i = 0; i < count; i++) {
            CountPlan.Season season = season(state, nodes);
            seasons.add(season);
            double ratio = state.weightKg() <= 0 ? 0 : season.crop() / state.weightKg();
            state = new State(
                    season.renewal(),
                    ratio,
                    Math.min(wantedCanes(), Math.round(state.canes() * numbers.replacement())));
            nodes = later < 0 ? first : byArea() ? state.canes() * kind.caneNodes() : later * wanted(state.weightKg());
        }
        return seasons;
    }

    /** Canes that carry the nodes wanted, where canes are laid. */
    double wantedCanes() {
        return Math.ceil(balanced(0) / kind.caneNodes());
    }

    private CountPlan.Season season(State state, double nodes) {
        if (byArea()) {
            CountedKind.FruitAim aim = kind.fruit();
            double crop = nodes * kind.budbreak() * aim.flowering() * aim.perShoot() * aim.retained() * aim.fruitKg();
            return new CountPlan.Season(crop, crop, state.weightKg(), 0);
        }
        double measure = Math.max(1e-6, wanted(state.weightKg()));
        double over = nodes / measure;
        double opened = kind.budbreak() / (1 + numbers.crowdedBuds() * Math.max(0, over - 1));
        double basal = numbers.basalShoots() * measure * Math.max(0, 1 - over);
        double shoots = opened * nodes + basal;
        double cluster =
                wood.clusterKg() * (shoots <= 0 ? 1 : numbers.cluster().at(kind.budbreak() * measure / shoots));
        double tired = Math.max(
                numbers.afterLoad().least(),
                Math.min(
                        1,
                        1
                                - numbers.afterLoad().slope()
                                        * Math.max(
                                                0, state.ratio() / wood.ratio().best() - 1)));
        double crop = Math.max(0, (shoots - (1 - numbers.basalBearing()) * basal) * wood.clusters() * tired * cluster);
        double ratio = state.weightKg() <= 0 ? 0 : crop / state.weightKg();
        CountingParameters.WeightNext next = numbers.weightNext();
        double change = 1
                + next.site() * (1 - state.weightKg() / wood.siteWeight())
                - next.load() * (ratio / wood.ratio().best() - 1);
        double weight = growth * state.weightKg() * Math.max(next.least(), Math.min(next.most(), change));
        double delay = numbers.delayDays() * Math.max(0, ratio / wood.ratio().best() - 1);
        double ripe = Math.min(1, wood.ratio().most() / Math.max(1e-9, ratio));
        return new CountPlan.Season(crop, crop * Math.min(1, ripe), weight, delay);
    }
}
