package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import umbel.knowledge.FirstYearsParameters;
import umbel.knowledge.TrainingSystem;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Condition;
import umbel.wood.Role;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * The mistakes of a tree's first years, while a snip or a peg still mends them: told earlier and more strictly than the
 * findings of a bearing tree. Bounds are in {@code parameters.yaml}, under {@code young}.
 */
public final class YoungTree {

    private final Tree tree;
    private final FirstYearsParameters rule;
    private final TrainingSystem system;
    private final List<Axis> mains;

    private YoungTree(Tree tree) {
        this.tree = tree;
        this.rule = tree.setting().parameters().firstYears();
        this.system = tree.setting().system();
        this.mains = tree.limbs().stream()
                .filter(limb ->
                        limb.parent() == 0 && limb.at() >= tree.setting().unionAt())
                .filter(limb -> limb.role() != Role.SUCKER && !limb.is(Condition.DEAD))
                .sorted(Comparator.comparingDouble(Axis::at))
                .toList();
    }

    /**
     * One mistake.
     *
     * @param mistake a word for it: two-leaders, one-origin, too-low, one-sided, choked-leader, nothing-tied-down, deep-union
     * @param limbs it is seen on
     * @param text what is wrong, in numbers, and what to do while it is easy
     */
    public record Warning(String mistake, List<String> limbs, Statement text) {}

    /** What to put right now; nothing for a tree past its first years. */
    public static List<Warning> of(Tree tree) {
        if (tree.setting().leaf() > tree.setting().parameters().firstYears().untilLeaf()) {
            return List.of();
        }
        YoungTree young = new YoungTree(tree);
        List<Warning> warnings = new ArrayList<>();
        young.twoLeaders().ifPresent(warnings::add);
        young.oneOrigin().ifPresent(warnings::add);
        young.tooLow().ifPresent(warnings::add);
        young.oneSided().ifPresent(warnings::add);
        young.chokedLeader().ifPresent(warnings::add);
        young.nothingTiedDown().ifPresent(warnings::add);
        young.deepUnion().ifPresent(warnings::add);
        return warnings;
    }

    private boolean hasALeader() {
        return system.leaders().get(1) == 1;
    }

    private Optional<Warning> twoLeaders() {
        if (!hasALeader()) {
            return Optional.empty();
        }
        return mains.stream()
                .filter(limb -> share(limb) >= rule.rivalShare() && RuleContext.lean(limb) < rule.rivalUprightDeg())
                .max(Comparator.comparingDouble(this::share))
                .map(limb -> warning(
                        "two-leaders",
                        List.of(limb),
                        Statement.of("early.two-leaders")
                                .with("limb", Value.limb(limb.id()))
                                .with("share", Value.share(share(limb)))));
    }

    /** Three limbs within one hand's grip of the trunk. */
    private Optional<Warning> oneOrigin() {
        for (int i = 0; i + 2 < mains.size(); i++) {
            double span = Units.toCm(mains.get(i + 2).at() - mains.get(i).at());
            if (span <= rule.originCm() && system.scaffolds().permanent()) {
                return Optional.of(warning(
                        "one-origin",
                        mains.subList(i, i + 3),
                        Statement.of("early.one-origin")
                                .with("limbs", limbs(mains.subList(i, i + 3)))
                                .with("span", Value.centimetres(Math.max(1, span)))));
            }
        }
        return Optional.empty();
    }

    /** Under the height at which the system's programme clears limbs. */
    private Optional<Warning> tooLow() {
        Optional<Double> clear = system.programme().stream()
                .filter(act -> act.act().equals("clear-low"))
                .map(act -> Units.fromCm(act.at()))
                .findFirst();
        if (clear.isEmpty()) {
            return Optional.empty();
        }
        List<Axis> low = mains.stream()
                .filter(limb -> limb.course().point(0).z() < clear.get() - 1e-9)
                .toList();
        return low.isEmpty()
                ? Optional.empty()
                : Optional.of(warning(
                        "too-low",
                        low,
                        Statement.of("early.too-low")
                                .with("limbs", limbs(low))
                                .with("count", Value.count(low.size()))
                                .with("height", Value.length(clear.get()))));
    }

    private Optional<Warning> oneSided() {
        if (mains.size() < 3 || system.isPlane()) {
            return Optional.empty();
        }
        double[] bearings = mains.stream()
                .mapToDouble(limb -> (Units.toDegrees(limb.bearing()) % 360 + 360) % 360)
                .sorted()
                .toArray();
        double gap = 0;
        double from = 0;
        for (int i = 0; i < bearings.length; i++) {
            double next = i + 1 == bearings.length ? bearings[0] + 360 : bearings[i + 1];
            if (next - bearings[i] > gap) {
                gap = next - bearings[i];
                from = bearings[i];
            }
        }
        return gap < rule.gapDeg()
                ? Optional.empty()
                : Optional.of(warning(
                        "one-sided",
                        List.of(),
                        Statement.of("early.one-sided")
                                .with("gap", Value.degrees(gap))
                                .with("side", new Value.Bearing(Units.fromDegrees((from + gap / 2) % 360)))));
    }

    private Optional<Warning> chokedLeader() {
        if (!hasALeader()) {
            return Optional.empty();
        }
        for (int i = 0; i < mains.size(); i++) {
            for (int j = i + 1; j < mains.size(); j++) {
                Axis one = mains.get(i);
                Axis other = mains.get(j);
                double between = Math.abs(Units.toDegrees(one.bearing() - other.bearing()) % 360);
                double opposite = Math.min(between, 360 - between);
                boolean chokes = Units.toCm(other.at() - one.at()) <= rule.originCm()
                        && opposite > rule.chokingOppositeDeg()
                        && Math.min(share(one), share(other)) >= rule.chokingShare();
                if (chokes) {
                    return Optional.of(warning(
                            "choked-leader",
                            List.of(one, other),
                            Statement.of("early.choked-leader")
                                    .with("limbs", limbs(List.of(one, other)))
                                    .with("share", Value.share(rule.chokingShare()))));
                }
            }
        }
        return Optional.empty();
    }

    private Optional<Warning> nothingTiedDown() {
        double steepest = system.scaffolds().angleDeg().get(0) - rule.steepDeg();
        List<Axis> steep = mains.stream()
                .filter(limb -> Units.toDegrees(limb.baseInclination()) < steepest)
                .toList();
        boolean most = steep.size() >= 2 && 2 * steep.size() > mains.size();
        return most
                ? Optional.of(warning(
                        "nothing-tied-down",
                        steep,
                        Statement.of("early.nothing-tied-down")
                                .with("limbs", limbs(steep))
                                .with("count", Value.count(steep.size()))
                                .with("angle", Value.degrees(rule.steepDeg()))))
                : Optional.empty();
    }

    private Optional<Warning> deepUnion() {
        double at = Units.toCm(tree.setting().unionAt());
        return at >= rule.unionCm()
                ? Optional.empty()
                : Optional.of(warning(
                        "deep-union",
                        List.of(),
                        Statement.of("early.deep-union").with("height", Value.centimetres(at))));
    }

    private double share(Axis limb) {
        return limb.baseDiameter()
                / tree.trunk()
                        .diameterAt(limb.at()
                                + Units.fromCm(
                                        tree.setting().parameters().reading().clearOfForkCm()));
    }

    private static Value limbs(List<Axis> limbs) {
        return Value.limbs(limbs.stream().map(Axis::id).toList());
    }

    private static Warning warning(String mistake, List<Axis> limbs, Statement text) {
        return new Warning(mistake, limbs.stream().map(Axis::id).toList(), text);
    }
}
