package umbel.light;

import java.util.List;
import umbel.knowledge.Trade;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
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
        return read(tree, cell, small ? settings.directions().small() : settings.directions().large());
    }

    /** A quick reading for comparing many choices: coarse grid, few directions; compare only with its like. */
    public static LightReading glance(Tree tree) {
        Trade.Directions directions = tree.setting().trade().light().directions();
        return read(tree, directions.searchCellCm() / 100, directions.search());
    }

    private static LightReading read(Tree tree, double cell, int directions) {
        Setting setting = tree.setting();
        CanopyGrid grid = new CanopyGrid(
                setting.inRow(), setting.betweenRows(), tree.top(), cell, setting.trade().light().extinction());
        fill(grid, tree, cell);
        List<Site> sites = Site.of(tree);
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

    /** Places the leaves and the wood of every axis; always in the order of the axes, so equal trees give equal bits. */
    static void fill(CanopyGrid grid, Tree tree, double cell) {
        Setting setting = tree.setting();
        double every = 0.8 * cell;
        double reach = setting.trade().light().leafSpreadCm() / 100;
        for (Axis axis : tree.axes()) {
            if (axis.leafArea() > 0) {
                depositLeaves(grid, setting, axis, every, reach);
            }
            if (axis.kind() != AxisKind.SPUR) {
                depositWood(grid, setting, axis, every);
            }
        }
    }

    private static void depositLeaves(CanopyGrid grid, Setting setting, Axis axis, double every, double reach) {
        double start = axis.kind().isSmallWood() ? 0 : axis.length() - axis.lastGrowth();
        double span = axis.length() - start;
        int points = axis.kind() == AxisKind.SPUR ? 1 : Math.max(1, (int) Math.ceil(span / every));
        for (int i = 0; i < points; i++) {
            double at = axis.kind() == AxisKind.SPUR ? axis.length() : start + span * (i + 0.5) / points;
            Vec place = axis.course().at(at);
            if (axis.kind() == AxisKind.SPUR) {
                place = place.plus(axis.course().directionAt(at).times(reach / 2));
            }
            deposit(grid, setting, place, axis.leafArea() / points);
        }
    }

    private static void depositWood(CanopyGrid grid, Setting setting, Axis axis, double every) {
        int points = Math.max(1, (int) Math.ceil(axis.length() / every));
        double piece = axis.length() / points;
        for (int i = 0; i < points; i++) {
            double at = (i + 0.5) * piece;
            double leafEquivalent = Math.PI * axis.diameterAt(at) * piece / 2;
            deposit(grid, setting, axis.course().at(at), leafEquivalent);
        }
    }

    private static void deposit(CanopyGrid grid, Setting setting, Vec place, double area) {
        double[] at = inBox(setting, place);
        grid.deposit(at[0], at[1], at[2], area);
    }

    /** Row axes with the trunk in the middle of the box. */
    private static double[] inBox(Setting setting, Vec place) {
        double[] at = Sky.toRow(place.x(), place.y(), place.z(), setting.rowBearing());
        at[0] += setting.inRow() / 2;
        at[1] += setting.betweenRows() / 2;
        return at;
    }
}
