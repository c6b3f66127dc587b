package umbel.light;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import umbel.knowledge.CanopyParameters;
import umbel.knowledge.LightParameters;
import umbel.wood.Axis;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * Light at the fruiting sites of a tree in leaf, standing among copies of itself at the spacing. Beer–Lambert through a
 * grid of leaf area (see docs/model/light.md). On sloping ground the box leans with the slope; a net takes its share before
 * the tree does.
 */
public final class LightModel {

    private static final int OUTSIDE_PLACES = 3;
    private static final int LEAF_PLACES = 300;
    private static final int LEAF_PLACES_AT_A_GLANCE = 100;
    private static final double LEAF_OVER_WOOD = 0.4;

    private LightModel() {}

    /** The full reading: fine grid, directions by the size of the box. */
    public static LightReading read(Tree tree) {
        LightParameters settings = tree.setting().light();
        return read(tree, FruitingSite.of(tree), settings.cellCm() / 100, directions(tree));
    }

    /**
     * A quick reading for comparing many choices: coarse grid, few directions, and of a large tree only every so many
     * sites, always the same ones. Compare only with its like.
     *
     * @param stride reads one site in so many, each counting for all
     */
    public static LightReading readCoarse(Tree tree, int stride) {
        LightParameters.Directions directions = tree.setting().light().directions();
        List<FruitingSite> sites = FruitingSite.of(tree);
        if (stride > 1) {
            sites = sites.stream()
                    .filter(site -> Math.floorMod(site.axis().id().hashCode(), stride) == 0)
                    .map(site -> new FruitingSite(
                            site.axis(), site.place(), site.weight() * stride, site.flowerBuds() * stride))
                    .toList();
        }
        return read(tree, sites, directions.searchCellCm() / 100, directions.search(), LEAF_PLACES_AT_A_GLANCE);
    }

    /** Light at any places about a tree, as shares of open sky on the level; of no weight in a reading. */
    public static double[] at(Tree tree, List<Vec> places, LightResolution look) {
        LightParameters settings = tree.setting().light();
        LightParameters.Directions directions = settings.directions();
        return look == LightResolution.CLOSE
                ? sweep(tree, places, settings.cellCm() / 100, directions(tree)).light()
                : sweep(tree, places, directions.searchCellCm() / 100, directions.search())
                        .light();
    }

    static LightReading read(Tree tree, List<FruitingSite> sites, double cell, int directions) {
        return read(tree, sites, cell, directions, LEAF_PLACES);
    }

    private static LightReading read(Tree tree, List<FruitingSite> sites, double cell, int directions, int leafPlaces) {
        List<LeafPlace> leaves = LeafPlace.sample(tree, leafPlaces);
        List<Vec> places = new ArrayList<>(sites.size() + leaves.size());
        sites.forEach(site -> places.add(site.place()));
        leaves.forEach(leaf -> places.add(leaf.place()));
        PeriodicSweep.Result result = sweep(tree, places, cell, directions);
        double[] all = result.light();
        LeafLight leaf = new LeafLight(
                leaves.stream().mapToDouble(LeafPlace::area).toArray(),
                Arrays.copyOfRange(all, sites.size(), all.length));
        return new LightReading(
                sites,
                Arrays.copyOf(all, sites.size()),
                leaf,
                tree.leafArea() / tree.setting().place().ground(),
                result.caught());
    }

    /** Light outside the cluster at each place: the lightest of three about it, since no leaf is shaded by itself alone. */
    private static PeriodicSweep.Result sweep(Tree tree, List<Vec> places, double cell, int directions) {
        Setting setting = tree.setting();
        double[][] outside = outside(setting);
        double[] xs = new double[places.size() * outside.length];
        double[] ys = new double[xs.length];
        double[] zs = new double[xs.length];
        int n = 0;
        for (Vec place : places) {
            double[] at = inBox(setting, place);
            for (double[] away : outside) {
                xs[n] = at[0] + away[0];
                ys[n] = at[1] + away[1];
                zs[n++] = at[2] + away[2];
            }
        }
        PeriodicSweep.Result result = sweepInRow(tree, xs, ys, zs, cell, directions, true);
        return new PeriodicSweep.Result(lightest(result.light(), outside.length), result.ground(), result.caught());
    }

    /** Where the outside of a cluster lies from its middle, row axes, metres: three places about it and a little above. */
    static double[][] outside(Setting setting) {
        CanopyParameters.Outside rule = setting.parameters().canopy().outside();
        double out = rule.outCm() / 100;
        double up = rule.upCm() / 100;
        double[][] away = new double[OUTSIDE_PLACES][];
        for (int i = 0; i < OUTSIDE_PLACES; i++) {
            double angle = 2 * Math.PI * i / OUTSIDE_PLACES;
            away[i] = new double[] {out * Math.cos(angle), out * Math.sin(angle), up};
        }
        return away;
    }

    static double[] lightest(double[] light, int of) {
        double[] best = new double[light.length / of];
        for (int i = 0; i < light.length; i++) {
            best[i / of] = Math.max(best[i / of], light[i]);
        }
        return best;
    }

    /**
     * Light at points given in row axes with the trunk in the middle of the box, heights over the ground.
     *
     * @param coming whether the tree is to be put in the leaf of the coming season; else it stands in leaf
     */
    static PeriodicSweep.Result sweepInRow(
            Tree tree, double[] xs, double[] ys, double[] zs, double cell, int directions, boolean coming) {
        Setting setting = tree.setting();
        Sky sky = SkyCache.season(directions, setting);
        PeriodicSweep.Result result = seen(tree, xs, ys, zs, cell, sky, coming);
        double through = 1 - setting.place().netShare();
        double[] light = result.light();
        for (int s = 0; s < light.length; s++) {
            light[s] *= through;
        }
        return new PeriodicSweep.Result(light, result.ground(), result.caught());
    }

    /** How much of a sky is seen from points given in row axes, without a net. */
    static PeriodicSweep.Result seen(
            Tree tree, double[] xs, double[] ys, double[] zs, double cell, Sky sky, boolean coming) {
        Setting setting = tree.setting();
        CanopyGrid grid = new CanopyGrid(
                setting.place().inRow(),
                setting.place().betweenRows(),
                topOverGround(tree) + LEAF_OVER_WOOD,
                cell,
                setting.light().extinction());
        CanopyFiller.fill(grid, tree, cell, coming);
        double[] rise = Sky.toRow(
                setting.place().slope().east(),
                setting.place().slope().north(),
                0,
                setting.place().rowBearing());
        return new PeriodicSweep(grid, xs, ys, zs).under(sky.overSlope(rise[0], rise[1]));
    }

    private static int directions(Tree tree) {
        Setting setting = tree.setting();
        LightParameters settings = setting.light();
        long cells = CanopyGrid.cells(
                setting.place().inRow(),
                setting.place().betweenRows(),
                topOverGround(tree) + LEAF_OVER_WOOD,
                settings.cellCm() / 100);
        boolean small = cells <= settings.largeBoxCells();
        return small ? settings.directions().small() : settings.directions().large();
    }

    /** Height of the highest wood over the ground beneath it, metres. */
    static double topOverGround(Tree tree) {
        Setting.Slope slope = tree.setting().place().slope();
        if (slope.rise() == 0) {
            return tree.top();
        }
        double top = 0;
        for (Axis axis : tree.axes()) {
            for (int i = 0; i < axis.course().size(); i++) {
                Vec at = axis.course().point(i);
                top = Math.max(top, at.z() - slope.east() * at.x() - slope.north() * at.y());
            }
        }
        return top;
    }

    /** Row axes with the trunk in the middle of the box, heights over the ground beneath. */
    static double[] inBox(Setting setting, Vec place) {
        double[] at = Sky.toRow(place.x(), place.y(), place.z(), setting.place().rowBearing());
        at[0] += setting.place().inRow() / 2;
        at[1] += setting.place().betweenRows() / 2;
        at[2] -= setting.place().slope().east() * place.x()
                + setting.place().slope().north() * place.y();
        return at;
    }
}
