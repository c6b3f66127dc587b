package umbel.growth;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.growth.Grove.Specimen;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Envelope;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/** What the parameters says of bearing: bending, crop and thinning, shade, unpruned years, stock. */
final class BearingLaws {

    private BearingLaws() {}

    /** A limb brought to level: growth of its tip, bent against not. */
    static OptionalDouble tipAfterBending(Specimen one) {
        TreeState stand = one.stand();
        Optional<Axis> limb = toBend(stand.tree());
        if (limb.isEmpty()) {
            return OptionalDouble.empty();
        }
        String id = limb.get().id();
        double free = Laws.grownOf(Season.grow(stand, Season.Work.NONE).after().tree(), id);
        double bent = Laws.grownOf(
                Season.grow(stand, Season.Work.dormant(List.of(level(id))))
                        .after()
                        .tree(),
                id);
        return Laws.ratio(bent, free);
    }

    /** The same limb: flower buds of three springs, bent against not. */
    static OptionalDouble flowersAfterBending(Specimen one) {
        TreeState stand = one.stand();
        Optional<Axis> limb = toBend(stand.tree());
        if (limb.isEmpty()) {
            return OptionalDouble.empty();
        }
        String id = limb.get().id();
        return Laws.ratio(
                flowersOver(stand, Season.Work.dormant(List.of(level(id))), id),
                flowersOver(stand, Season.Work.NONE, id));
    }

    private static double flowersOver(TreeState start, Season.Work first, String limb) {
        double sum = 0;
        TreeState stand = start;
        for (int year = 0; year < 3; year++) {
            stand = Season.grow(stand, year == 0 ? first : Season.Work.NONE).after();
            sum += Laws.flowersOn(stand.tree(), limb);
        }
        return sum;
    }

    /** Everything left hanging against nothing: next spring's flower buds. */
    static OptionalDouble bloomAfterHeavyCrop(Specimen one) {
        TreeState stand = Laws.snowball(one.stand());
        return Laws.ratio(
                Laws.flowers(Season.grow(stand, Laws.UNTHINNED).after().tree()),
                Laws.flowers(Season.grow(stand, Laws.DEFLOWERED).after().tree()));
    }

    /** Everything left hanging against nothing: new length the year after. */
    static OptionalDouble growthAfterHeavyCrop(Specimen one) {
        TreeState stand = Laws.snowball(one.stand());
        return Laws.ratio(
                Season.grow(Season.grow(stand, Laws.UNTHINNED).after(), Season.Work.NONE)
                        .newLength(),
                Season.grow(Season.grow(stand, Laws.DEFLOWERED).after(), Season.Work.NONE)
                        .newLength());
    }

    /** A snowball bloom never thinned: swing between years over six of them, as the biennial bearing index 0…1. */
    static OptionalDouble onAndOff(Specimen one) {
        return swing(Laws.snowball(one.stand()), Laws.UNTHINNED);
    }

    /** The same tree thinned by hand. */
    static OptionalDouble onAndOffThinned(Specimen one) {
        return swing(Laws.snowball(one.stand()), Season.Work.NONE);
    }

    private static OptionalDouble swing(TreeState start, Season.Work work) {
        TreeState stand = start;
        double before = -1;
        double sum = 0;
        int pairs = 0;
        for (int year = 0; year < 6; year++) {
            Season.Year next = Season.grow(stand, work);
            if (before >= 0 && before + next.fruits() > 0) {
                sum += Math.abs(next.fruits() - before) / (next.fruits() + before);
                pairs++;
            }
            before = next.fruits();
            stand = next.after();
        }
        return pairs == 0 ? OptionalDouble.empty() : OptionalDouble.of(sum / pairs);
    }

    /** Flower buds on a spur that stood under 30 % of light, against one over 50 %. */
    static OptionalDouble flowersInShade(Specimen one) {
        TreeState next = Laws.on(one.stand(), 2);
        double[] dark = new double[2];
        double[] lit = new double[2];
        for (Axis axis : next.tree().axes()) {
            if (axis.kind() == AxisKind.SPUR) {
                double light = next.light().at(axis.course().at(axis.length()));
                double[] to = light < 0.3 ? dark : light > 0.5 ? lit : null;
                if (to != null) {
                    to[0] += axis.flowerBuds();
                    to[1]++;
                }
            }
        }
        return dark[1] < 10 || lit[1] < 10 || lit[0] <= 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(dark[0] / dark[1] / (lit[0] / lit[1]));
    }

    /** Spurs alive after two more years that stood under 30 % of light, against those over 50 %. */
    static OptionalDouble survivalInShade(Specimen one) {
        TreeState first = Laws.on(one.stand(), 2);
        Set<String> later = new HashSet<>();
        Laws.on(first, 2).tree().axes().forEach(axis -> later.add(axis.id()));
        double[] dark = new double[2];
        double[] lit = new double[2];
        for (Axis axis : first.tree().axes()) {
            if (axis.kind() == AxisKind.SPUR) {
                double light = first.light().at(axis.course().at(axis.length()));
                double[] to = light < 0.3 ? dark : light > 0.5 ? lit : null;
                if (to != null) {
                    to[0] += later.contains(axis.id()) ? 1 : 0;
                    to[1]++;
                }
            }
        }
        return dark[1] < 10 || lit[1] < 10 || lit[0] <= 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(dark[0] / dark[1] / (lit[0] / lit[1]));
    }

    /** Never pruned for six years: how far from the trunk flower buds stand on average, after against before. */
    static OptionalDouble fruitMovesOut(Specimen one) {
        TreeState stand = Laws.on(one.stand(), 1);
        return Laws.ratio(centre(Laws.on(stand, 6).tree(), false), centre(stand.tree(), false));
    }

    /** The same: how high they stand. */
    static OptionalDouble fruitMovesUp(Specimen one) {
        TreeState stand = Laws.on(one.stand(), 1);
        return Laws.ratio(centre(Laws.on(stand, 6).tree(), true), centre(stand.tree(), true));
    }

    /** Never pruned: share of flower buds within half the reach of the tree as found, after six years against before. */
    static OptionalDouble fruitNearFrame(Specimen one) {
        TreeState stand = Laws.on(one.stand(), 1);
        double half = Envelope.of(stand.tree()).alongRow() / 4;
        return Laws.ratio(near(Laws.on(stand, 6).tree(), half), near(stand.tree(), half));
    }

    /** On the weakest stock against seedling: wood grown in five years from the same start. */
    static OptionalDouble weakAgainstStrong(Specimen one) {
        double start = Carbon.wood(one.tree());
        return Laws.ratio(
                Carbon.wood(grownOn(one, "very-dwarfing", 5).tree()) - start,
                Carbon.wood(grownOn(one, "seedling", 5).tree()) - start);
    }

    /** All wood on the weakest stock against seedling after fifteen years, when both have their size. */
    static OptionalDouble weakAtFullSize(Specimen one) {
        return Laws.ratio(
                Carbon.wood(grownOn(one, "very-dwarfing", 15).tree()),
                Carbon.wood(grownOn(one, "seedling", 15).tree()));
    }

    /** On the weakest stock against seedling: flower buds on a metre of tree wood's leaf, after three years. */
    static OptionalDouble earlierOnWeak(Specimen one) {
        TreeState weak = grownOn(one, "very-dwarfing", 3);
        TreeState strong = grownOn(one, "seedling", 3);
        return Laws.ratio(
                Laws.flowers(weak.tree()) / weak.tree().setting().trunkSection(),
                Laws.flowers(strong.tree()) / strong.tree().setting().trunkSection());
    }

    private static TreeState grownOn(Specimen one, String stock, int years) {
        TreeState stand = one.onStock(stock).stand();
        return Laws.on(stand.with(stand.traits().ofUsualVigour()), years);
    }

    /** Leaf area over the ground after ten unpruned years. */
    static OptionalDouble leafIndexAfterTen(Specimen one) {
        Tree tree = Laws.on(one.stand(), 10).tree();
        double ground = tree.setting().place().ground();
        return OptionalDouble.of(new LeafArea(tree).all() / ground);
    }

    /** Height after ten unpruned years against the seedling tree's full height. */
    static OptionalDouble heightAfterTen(Specimen one) {
        Tree tree = Laws.on(one.stand(), 10).tree();
        return OptionalDouble.of(tree.top() / tree.setting().species().growing().seedlingHeight());
    }

    /** Level wood against upright in like light: flower buds on a metre of wood two years old and more. */
    static OptionalDouble levelAgainstUpright(Specimen one) {
        TreeState stand = Laws.on(one.stand(), 3);
        double[] level = new double[2];
        double[] upright = new double[2];
        Tree tree = stand.tree();
        for (Axis axis : tree.axes()) {
            if (axis.kind() != AxisKind.LATERAL || axis.age() < 3 || axis.age() > 5) {
                continue;
            }
            double light = stand.light().at(axis.course().at(axis.length() / 2));
            double lean = Units.toDegrees(axis.course()
                    .at(axis.length())
                    .minus(axis.course().point(0))
                    .inclination());
            double[] to = lean > 60 && lean < 100 ? level : lean < 35 ? upright : null;
            if (light > 0.4 && to != null) {
                for (Axis spur : tree.axes()) {
                    to[0] += spur.parent() == axis.index() ? spur.flowerBuds() : 0;
                }
                to[1] += axis.length();
            }
        }
        return level[1] < 1 || upright[1] < 1 || upright[0] <= 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(level[0] / level[1] / (upright[0] / upright[1]));
    }

    /** Growth of main limbs' ends in the next season, metres; of the leader where limbs are laid down to stay calm. */
    static OptionalDouble extension(Specimen one) {
        Tree tree = Season.grow(one.stand(), Season.Work.dormant(CuttingLaws.thinnedOut(one.tree())))
                .after()
                .tree();
        if (one.young() && !tree.setting().system().scaffolds().permanent()) {
            return OptionalDouble.of(tree.trunk().lastGrowth());
        }
        return tree.limbs().stream()
                .filter(limb -> limb.parent() == 0 && limb.lastGrowth() > 0)
                .mapToDouble(Axis::lastGrowth)
                .average();
    }

    private static Operation level(String limb) {
        return Operation.bend(Target.parse(limb), Math.PI / 2);
    }

    private static Optional<Axis> toBend(Tree tree) {
        return tree.limbs().stream()
                .filter(limb -> limb.parent() == 0 && limb.lastGrowth() >= 0.2)
                .filter(limb -> Units.toDegrees(limb.baseInclination()) < 62)
                .min(Comparator.comparingDouble(Axis::baseInclination));
    }

    private static double centre(Tree tree, boolean height) {
        double sum = 0;
        double weight = 0;
        for (Axis axis : tree.axes()) {
            Vec at = axis.course().at(axis.length());
            sum += axis.flowerBuds() * (height ? at.z() : at.level().length());
            weight += axis.flowerBuds();
        }
        return weight <= 0 ? 0 : sum / weight;
    }

    private static double near(Tree tree, double reach) {
        double close = 0;
        double all = 0;
        for (Axis axis : tree.axes()) {
            Vec at = axis.course().at(axis.length());
            all += axis.flowerBuds();
            close += at.level().length() < reach ? axis.flowerBuds() : 0;
        }
        return all <= 0 ? 0 : close / all;
    }
}
