package umbel.growth;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.cut.TargetAxes;
import umbel.growth.Grove.Specimen;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/** What the parameters says of cuts: how the tree answers removal, heading, tipping, large wounds, all at once or in stages. */
final class CuttingLaws {

    private CuttingLaws() {}

    /** Winter removal of a good part of the shoots: the tips that stay, cut tree against uncut. */
    static OptionalDouble sameTipsAfterRemoval(Specimen one) {
        TreeState stand = one.stand();
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
        TreeState stand = one.stand();
        List<Operation> cuts = thinnedOut(stand.tree());
        if (cuts.isEmpty()) {
            return OptionalDouble.empty();
        }
        TreeState uncut = Season.grow(stand, Laws.DEFLOWERED).after();
        TreeState cut = Season.grow(stand, new Season.Work(cuts, Moment.DORMANT, List.of(), true, true))
                .after();
        return Laws.ratio(
                Carbon.wood(Laws.on(cut, 2).tree()),
                Carbon.wood(Laws.on(uncut, 2).tree()));
    }

    /** Removal in leaf instead of in winter: new length the year after, summer against winter. */
    static OptionalDouble regrowthAfterSummer(Specimen one) {
        TreeState stand = one.stand();
        List<Operation> cuts = thinnedOut(stand.tree());
        if (cuts.isEmpty()) {
            return OptionalDouble.empty();
        }
        TreeState summer =
                Season.grow(stand, Season.Work.inLeaf(shootsOut(stand, cuts))).after();
        TreeState grown = Season.grow(stand, Season.Work.NONE).after();
        Season.Year afterSummer = Season.grow(summer, Season.Work.NONE);
        Season.Year afterWinter = Season.grow(grown, Season.Work.dormant(shootsOut(stand, cuts)));
        return Laws.ratio(afterSummer.newLength(), afterWinter.newLength());
    }

    /** The same wood taken in leaf and in winter: what grows in the season of the cut, after it. */
    static OptionalDouble regrowthInTheSameSummer(Specimen one) {
        TreeState stand = one.stand();
        List<Operation> cuts = thinnedOut(stand.tree());
        if (cuts.isEmpty()) {
            return OptionalDouble.empty();
        }
        List<Operation> out = shootsOut(stand, cuts);
        TreeState grown = Season.grow(stand, Season.Work.NONE).after();
        return Laws.ratio(
                Season.grow(stand, Season.Work.inLeaf(out)).regrown(),
                Season.grow(grown, Season.Work.dormant(out)).newLength());
    }

    /** The same cuts about bloom and in deep dormancy: new length of the season after. */
    static OptionalDouble growthAfterLateCuts(Specimen one) {
        TreeState stand = one.stand();
        List<Operation> cuts = thinnedOut(stand.tree());
        return cuts.isEmpty()
                ? OptionalDouble.empty()
                : Laws.ratio(
                        Season.grow(stand, Season.Work.at(Moment.BLOOM, cuts)).newLength(),
                        Season.grow(stand, Season.Work.dormant(cuts)).newLength());
    }

    private static List<Operation> shootsOut(TreeState stand, List<Operation> cuts) {
        Tree grown = Season.grow(stand, Season.Work.NONE).after().tree();
        List<Operation> there = new ArrayList<>();
        for (Axis limb : grown.limbs()) {
            Operation all = Operation.remove(Target.shoots(limb.id()));
            if (!TargetAxes.of(grown, all).isEmpty()) {
                there.add(all);
            }
        }
        return there;
    }

    /** A strong end headed by half, against a side shoot of like mass thinned out: new shoots near the cut, more than uncut. */
    static OptionalDouble headingAgainstThinning(Specimen one) {
        TreeState stand = one.stand();
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
        TreeState headed = Season.grow(
                        stand, Season.Work.dormant(List.of(Operation.cutAt(OperationKind.HEAD, limb, at))))
                .after();
        TreeState thinned =
                Season.grow(stand, Season.Work.dormant(List.of(thinning.get()))).after();
        Tree free = Season.grow(stand, Season.Work.NONE).after().tree();
        double cut = TargetAxes.of(tree, thinning.get()).get(0).at();
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
                        Target.parse(group),
                        TargetAxes.of(tree, Operation.remove(Target.parse(group)))
                                        .size()
                                - 1))
                .filter(one -> one.keep() > 0)
                .filter(one -> TargetAxes.of(tree, one).get(0).parent() == limb.index())
                .min(Comparator.comparingDouble(one -> {
                    Axis shoot = TargetAxes.of(tree, one).get(0);
                    return Math.abs(shoot.volume(0, shoot.length()) - mass);
                }));
    }

    /** An end cut by three fifths against one tipped by an eighth: length of the longest shoot that answers. */
    static OptionalDouble hardAgainstTipping(Specimen one) {
        TreeState stand = one.stand();
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
        TreeState stand = one.stand();
        Optional<Axis> end = strongEnd(stand.tree());
        return end.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(answers(stand, end.get(), share).size());
    }

    private static List<Axis> answers(TreeState stand, Axis limb, double share) {
        double at = limb.length() - limb.lastGrowth() * share;
        TreeState headed = Season.grow(
                        stand, Season.Work.dormant(List.of(Operation.cutAt(OperationKind.HEAD, limb, at))))
                .after();
        return newShoots(headed.tree(), stand.tree(), limb.id(), at);
    }

    /** One thick limb out against small wood of the same section: shoots from dormant buds. */
    static OptionalDouble oneLargeWound(Specimen one) {
        TreeState stand = one.stand();
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
                Operation group = Operation.remove(Target.parse(limb.id() + "/shoots/" + attitude));
                double here = TargetAxes.of(tree, group).stream()
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
                        Season.Work.dormant(
                                List.of(Operation.remove(Target.parse(big.get().id())))))
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
        TreeState stand = one.stand();
        List<Axis> mains = stand.tree().limbsOn(stand.tree().trunk()).stream()
                .sorted(Comparator.comparingDouble(Axis::baseDiameter).reversed())
                .limit(3)
                .toList();
        if (mains.size() < 3 || stand.tree().limbsOn(stand.tree().trunk()).size() < 5) {
            return OptionalDouble.empty();
        }
        List<Operation> cuts =
                mains.stream().map(limb -> Operation.remove(limb)).toList();
        List<Season.Work> atOnce = new ArrayList<>();
        List<Season.Work> byAndBy = new ArrayList<>();
        for (int year = 0; year < 5; year++) {
            atOnce.add(Season.Work.dormant(year == 0 ? cuts : List.of()));
            byAndBy.add(Season.Work.dormant(year < 3 ? List.of(cuts.get(year)) : List.of()));
        }
        return Laws.ratio(overYears(stand, byAndBy, sprouts) + 0.01, overYears(stand, atOnce, sprouts) + 0.01);
    }

    private static double overYears(TreeState start, List<Season.Work> works, boolean sprouts) {
        TreeState stand = start;
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
        TreeState stand = one.stand();
        List<Operation> tips = new ArrayList<>();
        for (Axis limb : stand.tree().limbs()) {
            if (limb.lastGrowth() >= 0.3) {
                tips.add(Operation.cutAt(OperationKind.TIP, limb, limb.length() - 0.2 * limb.lastGrowth()));
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
    private static double onThatWood(TreeState start, Season.Work first, List<Operation> tips) {
        Tree later = Season.grow(Season.grow(start, first).after(), Season.Work.NONE)
                .after()
                .tree();
        double sum = 0;
        for (Operation tip : tips) {
            Axis was = start.tree().find(tip.onLimb()).orElseThrow();
            Optional<Axis> now = later.find(tip.onLimb());
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

    /** Shoots of one limb after another, uprights first, until a third of the leaf-bearing wood is off. */
    static List<Operation> thinnedOut(Tree tree) {
        List<Operation> cuts = new ArrayList<>();
        for (String attitude : List.of("up", "in", "down", "side", "out")) {
            for (Axis limb : tree.limbs()) {
                Operation group = Operation.remove(Target.parse(limb.id() + "/shoots/" + attitude));
                if (!TargetAxes.of(tree, group).isEmpty()) {
                    cuts.add(group);
                    if (CutTree.of(tree, cuts).woodShare() >= 0.33) {
                        return cuts;
                    }
                }
            }
        }
        return cuts;
    }

    private static OptionalDouble sameTips(TreeState uncut, TreeState cut, Tree found) {
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
        return Laws.ratio(b, a);
    }

    private static Optional<Axis> strongEnd(Tree tree) {
        return tree.limbs().stream()
                .filter(limb -> limb.lastGrowth() >= 0.3 && limb.conditions().isEmpty())
                .max(Comparator.comparingDouble(Axis::lastGrowth));
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
}
