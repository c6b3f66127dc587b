package umbel.growth;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.growth.Grove.Specimen;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Envelope;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/**
 * The sayings of the trade as measurements on paired futures of one tree. Each gives a ratio for a tree (done against not
 * done, the way the saying words it), or nothing where the tree has no place to try it.
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

    /** Winter removal of a good part of the shoots: the tips that stay, cut tree against uncut. */
    static OptionalDouble sameTipsAfterRemoval(Specimen one) {
        Stand stand = one.stand();
        List<Operation> cuts = thinnedOut(stand.tree());
        return cuts.isEmpty()
                ? OptionalDouble.empty()
                : sameTips(
                        Season.grow(stand, Season.Work.NONE).after(),
                        Season.grow(stand, Season.Work.dormant(cuts)).after(),
                        stand.tree());
    }

    /** The same removal, without a crop in that year so that the cut is seen for itself: wood of the tree three years on. */
    static OptionalDouble woodAfterRemoval(Specimen one) {
        Stand stand = one.stand();
        List<Operation> cuts = thinnedOut(stand.tree());
        if (cuts.isEmpty()) {
            return OptionalDouble.empty();
        }
        Stand uncut = Season.grow(stand, DEFLOWERED).after();
        Stand cut =
                Season.grow(stand, new Season.Work(cuts, List.of(), true, true)).after();
        return ratio(Carbon.wood(on(cut, 2).tree()), Carbon.wood(on(uncut, 2).tree()));
    }

    /** Removal in leaf instead of in winter: new length the year after, summer against winter. */
    static OptionalDouble regrowthAfterSummer(Specimen one) {
        Stand stand = one.stand();
        List<Operation> cuts = thinnedOut(stand.tree());
        if (cuts.isEmpty()) {
            return OptionalDouble.empty();
        }
        Stand summer = Season.grow(stand, new Season.Work(List.of(), shootsOut(stand, cuts), true, false))
                .after();
        Stand grown = Season.grow(stand, Season.Work.NONE).after();
        Season.Year afterSummer = Season.grow(summer, Season.Work.NONE);
        Season.Year afterWinter = Season.grow(grown, Season.Work.dormant(shootsOut(stand, cuts)));
        return ratio(afterSummer.newLength(), afterWinter.newLength());
    }

    private static List<Operation> shootsOut(Stand stand, List<Operation> cuts) {
        Tree grown = Season.grow(stand, Season.Work.NONE).after().tree();
        List<Operation> there = new ArrayList<>();
        for (Axis limb : grown.limbs()) {
            Operation all = Operation.remove(limb.id() + "/shoots");
            if (!Target.of(grown, all).isEmpty()) {
                there.add(all);
            }
        }
        return there;
    }

    /** A strong end headed by half, against a side shoot of like mass thinned out: new shoots near the cut, more than uncut. */
    static OptionalDouble headingAgainstThinning(Specimen one) {
        Stand stand = one.stand();
        Tree tree = stand.tree();
        Optional<Axis> end = strongEnd(tree);
        if (end.isEmpty()) {
            return OptionalDouble.empty();
        }
        Axis limb = end.get();
        double at = limb.length() - limb.lastGrowth() / 2;
        double mass = limb.volume(at, limb.length());
        Optional<Operation> thinning = oneShootOut(tree, limb, mass);
        if (thinning.isEmpty()) {
            return OptionalDouble.empty();
        }
        Stand headed = Season.grow(
                        stand, Season.Work.dormant(List.of(Operation.cutAt(OperationKind.HEAD, limb.id(), at))))
                .after();
        Stand thinned =
                Season.grow(stand, Season.Work.dormant(List.of(thinning.get()))).after();
        Tree free = Season.grow(stand, Season.Work.NONE).after().tree();
        double cut = Target.of(tree, thinning.get()).get(0).at();
        double byHeading = below(newShoots(headed.tree(), tree, limb.id(), at), limb, at)
                - below(newShoots(free, tree, limb.id(), at), limb, at);
        double byThinning = newShoots(thinned.tree(), tree, limb.id(), cut).size()
                - newShoots(free, tree, limb.id(), cut).size();
        return OptionalDouble.of(byHeading - byThinning);
    }

    /** Shoots that do not stand on the part of the limb that heading takes. */
    private static double below(List<Axis> shoots, Axis limb, double at) {
        Vec end = limb.course().at(at);
        Vec along = limb.course().directionAt(at);
        return shoots.stream()
                .filter(shoot -> shoot.course().point(0).minus(end).dot(along) <= 0.01)
                .count();
    }

    /** One side shoot of a limb out, of the group whose worst is nearest to a mass. */
    private static Optional<Operation> oneShootOut(Tree tree, Axis limb, double mass) {
        return tree.smallWoodOn(limb.id()).stream()
                .filter(axis -> axis.kind() == AxisKind.SHOOT)
                .map(axis -> limb.id() + "/shoots/" + axis.attitude().word())
                .distinct()
                .map(group -> Operation.thin(
                        group, Target.of(tree, Operation.remove(group)).size() - 1))
                .filter(one -> one.keep() > 0)
                .filter(one -> Target.of(tree, one).get(0).parent() == limb.index())
                .min(Comparator.comparingDouble(one -> {
                    Axis shoot = Target.of(tree, one).get(0);
                    return Math.abs(shoot.volume(0, shoot.length()) - mass);
                }));
    }

    /** An end cut by three fifths against one tipped by an eighth: length of the longest shoot that answers. */
    static OptionalDouble hardAgainstTipping(Specimen one) {
        Stand stand = one.stand();
        Optional<Axis> end = strongEnd(stand.tree());
        if (end.isEmpty()) {
            return OptionalDouble.empty();
        }
        double hard = longest(answers(stand, end.get(), 0.6));
        double tip = longest(answers(stand, end.get(), 0.125));
        return tip <= 0 || hard <= 0 ? OptionalDouble.empty() : OptionalDouble.of(hard / tip);
    }

    /** How many long shoots answer within 30 cm below a cut that takes a share of the end. */
    static OptionalDouble numberOfAnswers(Specimen one, double share) {
        Stand stand = one.stand();
        Optional<Axis> end = strongEnd(stand.tree());
        return end.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(answers(stand, end.get(), share).size());
    }

    private static List<Axis> answers(Stand stand, Axis limb, double share) {
        double at = limb.length() - limb.lastGrowth() * share;
        Stand headed = Season.grow(
                        stand, Season.Work.dormant(List.of(Operation.cutAt(OperationKind.HEAD, limb.id(), at))))
                .after();
        return newShoots(headed.tree(), stand.tree(), limb.id(), at);
    }

    /** A limb brought to level: growth of its tip, bent against not. */
    static OptionalDouble tipAfterBending(Specimen one) {
        Stand stand = one.stand();
        Optional<Axis> limb = toBend(stand.tree());
        if (limb.isEmpty()) {
            return OptionalDouble.empty();
        }
        String id = limb.get().id();
        double free = grownOf(Season.grow(stand, Season.Work.NONE).after().tree(), id);
        double bent = grownOf(
                Season.grow(stand, Season.Work.dormant(List.of(level(id))))
                        .after()
                        .tree(),
                id);
        return ratio(bent, free);
    }

    /** The same limb: flower buds of three springs, bent against not. */
    static OptionalDouble flowersAfterBending(Specimen one) {
        Stand stand = one.stand();
        Optional<Axis> limb = toBend(stand.tree());
        if (limb.isEmpty()) {
            return OptionalDouble.empty();
        }
        String id = limb.get().id();
        return ratio(
                flowersOver(stand, Season.Work.dormant(List.of(level(id))), id),
                flowersOver(stand, Season.Work.NONE, id));
    }

    private static double flowersOver(Stand start, Season.Work first, String limb) {
        double sum = 0;
        Stand stand = start;
        for (int year = 0; year < 3; year++) {
            stand = Season.grow(stand, year == 0 ? first : Season.Work.NONE).after();
            sum += flowersOn(stand.tree(), limb);
        }
        return sum;
    }

    /** Everything left hanging against nothing: next spring's flower buds. */
    static OptionalDouble bloomAfterHeavyCrop(Specimen one) {
        Stand stand = snowball(one.stand());
        return ratio(
                flowers(Season.grow(stand, UNTHINNED).after().tree()),
                flowers(Season.grow(stand, DEFLOWERED).after().tree()));
    }

    /** Everything left hanging against nothing: new length the year after. */
    static OptionalDouble growthAfterHeavyCrop(Specimen one) {
        Stand stand = snowball(one.stand());
        return ratio(
                Season.grow(Season.grow(stand, UNTHINNED).after(), Season.Work.NONE)
                        .newLength(),
                Season.grow(Season.grow(stand, DEFLOWERED).after(), Season.Work.NONE)
                        .newLength());
    }

    /** A snowball bloom never thinned: swing between years over six of them, as the biennial bearing index 0…1. */
    static OptionalDouble onAndOff(Specimen one) {
        return swing(snowball(one.stand()), UNTHINNED);
    }

    /** The same tree thinned by hand. */
    static OptionalDouble onAndOffThinned(Specimen one) {
        return swing(snowball(one.stand()), Season.Work.NONE);
    }

    private static OptionalDouble swing(Stand start, Season.Work work) {
        Stand stand = start;
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
        Stand next = on(one.stand(), 2);
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
        Stand first = on(one.stand(), 2);
        Set<String> later = new HashSet<>();
        on(first, 2).tree().axes().forEach(axis -> later.add(axis.id()));
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
        Stand stand = on(one.stand(), 1);
        return ratio(centre(on(stand, 6).tree(), false), centre(stand.tree(), false));
    }

    /** The same: how high they stand. */
    static OptionalDouble fruitMovesUp(Specimen one) {
        Stand stand = on(one.stand(), 1);
        return ratio(centre(on(stand, 6).tree(), true), centre(stand.tree(), true));
    }

    /** Never pruned: share of flower buds within half the reach of the tree as found, after six years against before. */
    static OptionalDouble fruitNearFrame(Specimen one) {
        Stand stand = on(one.stand(), 1);
        double half = Envelope.of(stand.tree()).alongRow() / 4;
        return ratio(near(on(stand, 6).tree(), half), near(stand.tree(), half));
    }

    /** On the weakest stock against seedling: wood after five years from the same start. */
    static OptionalDouble weakAgainstStrong(Specimen one) {
        return ratio(
                Carbon.wood(grownOn(one, "very-dwarfing", 5).tree()),
                Carbon.wood(grownOn(one, "seedling", 5).tree()));
    }

    /** On the weakest stock against seedling: flower buds on a metre of tree wood's leaf, after three years. */
    static OptionalDouble earlierOnWeak(Specimen one) {
        Stand weak = grownOn(one, "very-dwarfing", 3);
        Stand strong = grownOn(one, "seedling", 3);
        return ratio(
                flowers(weak.tree()) / weak.tree().setting().trunkSection(),
                flowers(strong.tree()) / strong.tree().setting().trunkSection());
    }

    private static Stand grownOn(Specimen one, String stock, int years) {
        Stand stand = one.onStock(stock).stand();
        return on(stand.with(new Temper(1, 1, stand.temper().flowering())), years);
    }

    /** Leaf area over the ground after ten unpruned years. */
    static OptionalDouble leafIndexAfterTen(Specimen one) {
        Tree tree = on(one.stand(), 10).tree();
        double ground = tree.setting().inRow() * tree.setting().betweenRows();
        return OptionalDouble.of(new Leafage(tree).all() / ground);
    }

    /** Height after ten unpruned years against the seedling tree's full height. */
    static OptionalDouble heightAfterTen(Specimen one) {
        Tree tree = on(one.stand(), 10).tree();
        return OptionalDouble.of(tree.top() / tree.setting().species().growing().seedlingHeight());
    }

    /** Level wood against upright in like light: flower buds on a metre of wood two years old and more. */
    static OptionalDouble levelAgainstUpright(Specimen one) {
        Stand stand = on(one.stand(), 3);
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

    /** One thick limb out against small wood of the same section: shoots from dormant buds. */
    static OptionalDouble oneLargeWound(Specimen one) {
        Stand stand = one.stand();
        Tree tree = stand.tree();
        Optional<Axis> big = tree.limbs().stream()
                .filter(limb -> limb.parent() == 0)
                .max(Comparator.comparingDouble(Axis::baseDiameter));
        if (big.isEmpty()) {
            return OptionalDouble.empty();
        }
        double section = Units.section(big.get().baseDiameter());
        List<Operation> small = new ArrayList<>();
        double sum = 0;
        for (Axis limb : tree.limbs()) {
            for (String attitude : List.of("up", "side", "out", "down", "in")) {
                Operation group = Operation.remove(limb.id() + "/shoots/" + attitude);
                double here = Target.of(tree, group).stream()
                        .mapToDouble(shoot -> Units.section(shoot.baseDiameter()))
                        .sum();
                if (here > 0 && sum < section) {
                    small.add(group);
                    sum += here;
                }
            }
        }
        if (sum < 0.8 * section) {
            return OptionalDouble.empty();
        }
        double byLarge = Season.grow(
                        stand,
                        Season.Work.dormant(List.of(Operation.remove(big.get().id()))))
                .woken();
        double bySmall = Season.grow(stand, Season.Work.dormant(small)).woken();
        return OptionalDouble.of((byLarge + 0.01) / (bySmall + 0.01));
    }

    /** Three main limbs out over three winters against all in one: fruits of five seasons. */
    static OptionalDouble stagedCrop(Specimen one) {
        return staged(one, false);
    }

    /** The same: shoots from dormant buds over five seasons. */
    static OptionalDouble stagedSprouts(Specimen one) {
        return staged(one, true);
    }

    private static OptionalDouble staged(Specimen one, boolean sprouts) {
        Stand stand = one.stand();
        List<Axis> mains = stand.tree().limbsOn(stand.tree().trunk()).stream()
                .sorted(Comparator.comparingDouble(Axis::baseDiameter).reversed())
                .limit(3)
                .toList();
        if (mains.size() < 3 || stand.tree().limbsOn(stand.tree().trunk()).size() < 5) {
            return OptionalDouble.empty();
        }
        List<Operation> cuts =
                mains.stream().map(limb -> Operation.remove(limb.id())).toList();
        List<Season.Work> atOnce = new ArrayList<>();
        List<Season.Work> byAndBy = new ArrayList<>();
        for (int year = 0; year < 5; year++) {
            atOnce.add(Season.Work.dormant(year == 0 ? cuts : List.of()));
            byAndBy.add(Season.Work.dormant(year < 3 ? List.of(cuts.get(year)) : List.of()));
        }
        return ratio(overYears(stand, byAndBy, sprouts) + 0.01, overYears(stand, atOnce, sprouts) + 0.01);
    }

    private static double overYears(Stand start, List<Season.Work> works, boolean sprouts) {
        Stand stand = start;
        double sum = 0;
        for (Season.Work work : works) {
            Season.Year year = Season.grow(stand, work);
            sum += sprouts ? year.woken() : year.fruits();
            stand = year.after();
        }
        return sum;
    }

    /** A sweet cherry's ends tipped by a fifth: share of the later flower buds those ends would have borne that is lost. */
    static OptionalDouble lostByTipping(Specimen one) {
        Stand stand = one.stand();
        List<Operation> tips = new ArrayList<>();
        for (Axis limb : stand.tree().limbs()) {
            if (limb.lastGrowth() >= 0.3) {
                tips.add(Operation.cutAt(OperationKind.TIP, limb.id(), limb.length() - 0.2 * limb.lastGrowth()));
            }
        }
        if (tips.isEmpty()) {
            return OptionalDouble.empty();
        }
        double free = onThatWood(stand, Season.Work.NONE, tips);
        double tipped = onThatWood(stand, Season.Work.dormant(tips), tips);
        return free <= 0 ? OptionalDouble.empty() : OptionalDouble.of(1 - tipped / free);
    }

    /** Flowering sites after two seasons on the wood that was one year old. */
    private static double onThatWood(Stand start, Season.Work first, List<Operation> tips) {
        Tree later = Season.grow(Season.grow(start, first).after(), Season.Work.NONE)
                .after()
                .tree();
        double sum = 0;
        for (Operation tip : tips) {
            Axis was = start.tree().find(tip.limb()).orElseThrow();
            Optional<Axis> now = later.find(tip.limb());
            if (now.isPresent()) {
                for (Axis spur : later.axes()) {
                    boolean there = spur.kind() == AxisKind.SPUR
                            && spur.parent() == now.get().index()
                            && spur.at() >= was.length() - was.lastGrowth()
                            && spur.at() <= was.length();
                    sum += there ? 1 : 0;
                }
            }
        }
        return sum;
    }

    /** Mean growth of main limbs' ends over the next two seasons, metres. */
    static OptionalDouble extension(Specimen one) {
        Tree tree = Season.grow(one.stand(), Season.Work.dormant(thinnedOut(one.tree())))
                .after()
                .tree();
        return tree.limbs().stream()
                .filter(limb -> limb.parent() == 0 && limb.lastGrowth() > 0)
                .mapToDouble(Axis::lastGrowth)
                .average();
    }

    static final Season.Work UNTHINNED = new Season.Work(List.of(), List.of(), false, false);
    static final Season.Work DEFLOWERED = new Season.Work(List.of(), List.of(), true, true);

    /** The stand with three times its flower buds, as after an empty year. */
    private static Stand snowball(Stand stand) {
        List<Axis> axes = new ArrayList<>();
        for (Axis axis : stand.tree().axes()) {
            axes.add(axis.bearing(axis.flowerBuds() * 3));
        }
        return new Stand(
                new Tree(stand.tree().setting(), axes),
                stand.year(),
                stand.light(),
                stand.reserve(),
                stand.assimilated(),
                stand.temper(),
                stand.seed());
    }

    static Stand on(Stand start, int years) {
        Stand stand = start;
        for (int year = 0; year < years; year++) {
            stand = Season.grow(stand, Season.Work.NONE).after();
        }
        return stand;
    }

    private static Operation level(String limb) {
        return Operation.bend(limb, Math.PI / 2);
    }

    /** Shoots of one limb after another, uprights first, until a third of the leaf-bearing wood is off. */
    private static List<Operation> thinnedOut(Tree tree) {
        List<Operation> cuts = new ArrayList<>();
        for (String attitude : List.of("up", "in", "down", "side", "out")) {
            for (Axis limb : tree.limbs()) {
                Operation group = Operation.remove(limb.id() + "/shoots/" + attitude);
                if (!Target.of(tree, group).isEmpty()) {
                    cuts.add(group);
                    if (CutTree.of(tree, cuts).woodShare() >= 0.33) {
                        return cuts;
                    }
                }
            }
        }
        return cuts;
    }

    private static OptionalDouble sameTips(Stand uncut, Stand cut, Tree found) {
        double a = 0;
        double b = 0;
        for (Axis axis : found.axes()) {
            Optional<Axis> one = uncut.tree().find(axis.id());
            Optional<Axis> other = cut.tree().find(axis.id());
            if (axis.kind() != AxisKind.SPUR && one.isPresent() && other.isPresent()) {
                a += one.get().lastGrowth();
                b += other.get().lastGrowth();
            }
        }
        return ratio(b, a);
    }

    private static Optional<Axis> strongEnd(Tree tree) {
        return tree.limbs().stream()
                .filter(limb -> limb.lastGrowth() >= 0.3 && limb.conditions().isEmpty())
                .max(Comparator.comparingDouble(Axis::lastGrowth));
    }

    private static Optional<Axis> toBend(Tree tree) {
        return tree.limbs().stream()
                .filter(limb -> limb.parent() == 0 && limb.lastGrowth() >= 0.2)
                .filter(limb -> Units.toDegrees(limb.baseInclination()) < 62)
                .min(Comparator.comparingDouble(Axis::baseInclination));
    }

    private static List<Axis> newShoots(Tree after, Tree before, String limb, double at) {
        Axis host = after.find(limb).orElseThrow();
        Vec place = host.course().at(at);
        return after.axes().stream()
                .filter(axis -> axis.kind() == AxisKind.SHOOT && axis.limb().equals(limb))
                .filter(axis -> before.find(axis.id()).isEmpty())
                .filter(axis -> axis.course().point(0).minus(place).length() <= 0.3)
                .toList();
    }

    private static double longest(List<Axis> shoots) {
        return shoots.stream().mapToDouble(Axis::length).max().orElse(0);
    }

    private static double grownOf(Tree tree, String limb) {
        return tree.find(limb).map(Axis::lastGrowth).orElse(0.0);
    }

    private static double flowers(Tree tree) {
        return tree.axes().stream().mapToDouble(Axis::flowerBuds).sum();
    }

    private static double flowersOn(Tree tree, String limb) {
        return tree.axes().stream()
                .filter(axis -> axis.limb().equals(limb))
                .mapToDouble(Axis::flowerBuds)
                .sum();
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

    private static OptionalDouble ratio(double a, double b) {
        return b <= 1e-9 ? OptionalDouble.empty() : OptionalDouble.of(a / b);
    }
}
