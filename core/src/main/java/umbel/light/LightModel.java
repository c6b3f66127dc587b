package umbel.light;

import java.util.List;
import umbel.knowledge.Trade;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * Light at the fruiting sites of a tree in leaf, standing among copies of itself at the spacing. Beer–Lambert through a
 * grid of leaf area (see docs/model/light.md).
 */
public final class LightModel {

    private LightModel() {}

    /** The full reading: fine grid, directions by the size of the box. */
    public static LightReading read(Tree tree) {
        Setting setting = tree.setting();
        Trade.LightSettings settings = setting.trade().light();
        double cell = settings.cellCm() / 100;
        long cells = CanopyGrid.cells(setting.inRow(), setting.betweenRows(), tree.top(), cell);
        boolean small = cells <= settings.largeBoxCells();
        return read(
                tree,
                Site.of(tree),
                cell,
                small ? settings.directions().small() : settings.directions().large());
    }

    /**
     * A quick reading for comparing many choices: coarse grid, few directions, and of a large tree only every so many
     * sites, always the same ones. Compare only with its like.
     *
     * @param stride reads one site in so many, each counting for all
     */
    public static LightReading glance(Tree tree, int stride) {
        Trade.Directions directions = tree.setting().trade().light().directions();
        List<Site> sites = Site.of(tree);
        if (stride > 1) {
            sites = sites.stream()
                    .filter(site -> Math.floorMod(site.axis().id().hashCode(), stride) == 0)
                    .map(site ->
                            new Site(site.axis(), site.place(), site.weight() * stride, site.flowerBuds() * stride))
                    .toList();
        }
        return read(tree, sites, directions.searchCellCm() / 100, directions.search());
    }

    private static LightReading read(Tree tree, List<Site> sites, double cell, int directions) {
        Setting setting = tree.setting();
        CanopyGrid grid = new CanopyGrid(
                setting.inRow(),
                setting.betweenRows(),
                tree.top(),
                cell,
                setting.trade().light().extinction());
        new CanopyFiller(grid, tree, cell).fill();
        double[] xs = new double[sites.size()];
        double[] ys = new double[xs.length];
        double[] zs = new double[xs.length];
        for (int s = 0; s < xs.length; s++) {
            double[] at = inBox(setting, sites.get(s).place());
            xs[s] = at[0];
            ys[s] = at[1];
            zs[s] = at[2];
        }
        Sky sky = SkyCache.season(directions, setting);
        PeriodicSweep.Result result = new PeriodicSweep(grid, xs, ys, zs).under(sky);
        return new LightReading(sites, result.light(), 1 - result.ground());
    }

    /** Row axes with the trunk in the middle of the box. */
    private static double[] inBox(Setting setting, Vec place) {
        double[] at = Sky.toRow(place.x(), place.y(), place.z(), setting.rowBearing());
        at[0] += setting.inRow() / 2;
        at[1] += setting.betweenRows() / 2;
        return at;
    }
}
