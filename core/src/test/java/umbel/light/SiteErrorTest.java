package umbel.light;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;
import umbel.practice.PracticeTree;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.LateralTwigs;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;
import umbel.wood.Vec;

/**
 * The error at single sites against a reference that shares neither grid nor rays: leaves in cells of 2.5 cm, each of 500
 * directions marched cell by cell. The leaves' spread about the wood is the same on both sides; it is an assumption of the
 * model, not part of this error.
 */
class SiteErrorTest {

    private static final double FINE = 0.025;
    private static final int DIRECTIONS = 300;
    private static final int SITES = 50;
    /** Metres that a cluster's outside lies beside and above its middle. */
    private static final double OUTSIDE = 0.15;
    /** Pieces that a slice of wood is laid out in over its thickness. */
    private static final int THICK = 12;
    /** Area of the pieces a leaf cloud is scattered in, m²: many a leaf, so that chance clumps do not count. */
    private static final double LEAF = 0.0002;

    @ParameterizedTest
    @CsvSource({"tall-spindle, 6", "open-centre, 6", "slender-axe, 5"})
    void sitesAreRightToFiveHundredthsAndBetterOnFinerGrids(String system, int leaf) {
        Tree tree = TreeBuilder.build(PracticeTree.survey(system, leaf, 3), Knowledge.shipped(), 1);
        List<FruitingSite> all = FruitingSite.of(tree);
        List<FruitingSite> some = new ArrayList<>();
        for (int i = 0; i < all.size(); i += Math.max(1, all.size() / SITES)) {
            some.add(all.get(i));
        }
        double[] reference = reference(tree, some);
        double fine = rms(reference, LightModel.read(tree, some, 0.075, 96).light());
        double middle = rms(reference, LightModel.read(tree, some, 0.15, 96).light());
        double coarse = rms(reference, LightModel.read(tree, some, 0.25, 96).light());
        assertThat(fine).as("7.5 cm").isLessThan(0.05);
        assertThat(LightModel.read(tree, some, 0.075, 46).light())
                .satisfies(light -> assertThat(rms(reference, light)).isLessThan(0.05));
        assertThat(fine).isLessThan(middle);
        assertThat(middle).isLessThan(coarse);
    }

    private static double[] reference(Tree tree, List<FruitingSite> sites) {
        Setting setting = tree.setting();
        CanopyGrid grid = cloud(tree);
        Sky sky = Sky.season(
                DIRECTIONS, setting.place().latitude(), setting.place().rowBearing(), setting.light());
        double[] light = new double[sites.size()];
        for (int s = 0; s < light.length; s++) {
            double[] at = Sky.toRow(
                    sites.get(s).place().x(),
                    sites.get(s).place().y(),
                    sites.get(s).place().z(),
                    setting.place().rowBearing());
            for (double turn = 0; turn < 360; turn += 120) {
                double here = 0;
                for (int m = 0; m < sky.size(); m++) {
                    double depth = RayMarch.depth(
                            grid,
                            at[0] + setting.place().inRow() / 2 + OUTSIDE * Math.cos(Math.toRadians(turn)),
                            at[1] + setting.place().betweenRows() / 2 + OUTSIDE * Math.sin(Math.toRadians(turn)),
                            at[2] + OUTSIDE,
                            sky.direction(m));
                    here += sky.weight(m) * Math.exp(-depth);
                }
                light[s] = Math.max(light[s], here);
            }
        }
        return light;
    }

    /**
     * Every leaf scattered at random through a ball about its wood, of the model's mean square distance (a ball of radius R
     * has 3/5 R²); wood as thin cylinders. Placed here, not by the model's own filler.
     */
    private static CanopyGrid cloud(Tree tree) {
        Setting setting = tree.setting();
        double ball = setting.species().canopy().spreadCm() / 100 * Math.sqrt(5.0 / 3);
        CanopyGrid grid =
                new CanopyGrid(setting.place().inRow(), setting.place().betweenRows(), tree.top() + 0.5, FINE, 0.5);
        SplittableRandom random = new SplittableRandom(11);
        for (Axis axis : tree.axes()) {
            if (axis.kind() == AxisKind.FRUITING_LATERAL) {
                for (LateralTwigs.Twig twig : LateralTwigs.of(axis, setting)) {
                    scatter(grid, setting, random, twig.from(), twig.to(), axis.leafArea() * twig.share(), ball);
                }
            } else if (axis.kind() == AxisKind.SPUR) {
                Vec end = axis.course().at(axis.length());
                scatter(grid, setting, random, end, end, axis.leafArea(), ball);
            } else {
                onShoot(grid, setting, random, axis, ball);
            }
            if (axis.kind() != AxisKind.SPUR) {
                int pieces = Math.max(1, (int) Math.ceil(axis.length() / FINE));
                for (int i = 0; i < pieces; i++) {
                    double along = axis.length() * (i + 0.5) / pieces;
                    double bark = Math.PI * axis.diameterAt(along) * axis.length() / pieces;
                    for (int k = 0; k < THICK; k++) {
                        Vec off = inBall(random).times(axis.diameterAt(along) / 2);
                        put(grid, setting, axis.course().at(along).plus(off), bark / 2 / THICK);
                    }
                }
            }
        }
        return grid;
    }

    /** Half along what grew last season, half along what grows from its end in the coming one. */
    private static void onShoot(CanopyGrid grid, Setting setting, SplittableRandom random, Axis axis, double ball) {
        double start = axis.kind() == AxisKind.SHOOT ? 0 : axis.length() - axis.lastGrowth();
        double span = axis.length() - start;
        int pieces = 8;
        for (int i = 0; i < pieces; i++) {
            Vec from = axis.course().at(start + span * i / pieces);
            Vec to = axis.course().at(start + span * (i + 1) / pieces);
            scatter(grid, setting, random, from, to, axis.leafArea() / 2 / pieces, ball);
        }
        Species.Canopy canopy = setting.species().canopy();
        double season = canopy.seasonShoot()
                * setting.parameters()
                        .canopy()
                        .stocks()
                        .get(setting.cultivar().stock())
                        .shoots();
        Vec end = axis.course().at(axis.length());
        Vec way = axis.course()
                .directionAt(axis.length())
                .plus(Vec.UP.times(canopy.rise()))
                .unit();
        Vec beyond = end.plus(way.times(Math.min(0.7 * span, 1.3 * season)));
        scatter(grid, setting, random, end, beyond, axis.leafArea() / 2, ball);
    }

    private static void scatter(
            CanopyGrid grid, Setting setting, SplittableRandom random, Vec from, Vec to, double area, double ball) {
        int leaves = (int) Math.ceil(area / LEAF);
        for (int i = 0; i < leaves; i++) {
            Vec at = from.plus(to.minus(from).times((i + 0.5) / leaves));
            put(grid, setting, at.plus(inBall(random).times(ball)), area / leaves);
        }
    }

    private static Vec inBall(SplittableRandom random) {
        while (true) {
            Vec v = new Vec(2 * random.nextDouble() - 1, 2 * random.nextDouble() - 1, 2 * random.nextDouble() - 1);
            if (v.length() <= 1) {
                return v;
            }
        }
    }

    private static void put(CanopyGrid grid, Setting setting, Vec at, double area) {
        double[] row = Sky.toRow(at.x(), at.y(), at.z(), setting.place().rowBearing());
        grid.deposit(
                row[0] + setting.place().inRow() / 2, row[1] + setting.place().betweenRows() / 2, row[2], area);
    }

    private static double rms(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += (a[i] - b[i]) * (a[i] - b[i]);
        }
        return Math.sqrt(sum / a.length);
    }
}
