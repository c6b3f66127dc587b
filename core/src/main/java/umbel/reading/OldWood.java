package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;
import umbel.wood.Setting;
import umbel.wood.Tree;

/** Spurs or limbs past the age at which they bear well. */
final class OldWood extends Rule {

    private static final int MOST_LIMBS = 5;

    OldWood() {
        super("old-wood", Subject.TREE, Stage.RENEWAL);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        List<Finding> found = new ArrayList<>();
        readSpurs(context, found);
        readLimbs(context, found);
        return found;
    }

    private void readSpurs(RuleContext context, List<Finding> found) {
        double most = context.tree().setting().species().renewal().spurAgeMost();
        int all = 0;
        int old = 0;
        Map<String, Integer> oldOn = new HashMap<>();
        for (Axis axis : context.tree().axes()) {
            if (axis.kind() == AxisKind.SPUR) {
                all++;
                if (axis.age() > most) {
                    old++;
                    oldOn.merge(axis.limb(), 1, Integer::sum);
                }
            }
        }
        double limit = context.school().oldShareMost();
        double share = all == 0 ? 0 : old / (double) all;
        if (all < context.parameters().smallWood().oldSpursFrom() || share <= limit) {
            return;
        }
        List<String> limbs = oldOn.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .limit(MOST_LIMBS)
                .map(Map.Entry::getKey)
                .toList();
        found.add(finding(
                context,
                limbs,
                Statement.of("measure.old-spurs").with("years", Value.count(Math.round(most))),
                share,
                Statement.of("finding.old-wood.spurs")
                        .with("share", Value.share(share))
                        .with("years", Value.count(Math.round(most)))
                        .with("limbs", Value.limbs(limbs))
                        .with(
                                "renewal",
                                Value.share(context.tree()
                                        .setting()
                                        .species()
                                        .renewal()
                                        .shareAYear()))));
    }

    private void readLimbs(RuleContext context, List<Finding> found) {
        Setting setting = context.tree().setting();
        Integer bySystem = setting.system().scaffolds().renewedAfter();
        Double bySpecies = setting.species().renewal().limbAgeMost();
        if (bySystem == null && bySpecies == null) {
            return;
        }
        double most = bySystem == null ? bySpecies : bySystem;
        List<Axis> mains = context.mains();
        List<Axis> old = mains.stream()
                .filter(limb -> limb.age() > most)
                .sorted(Comparator.comparingInt(Axis::age).reversed())
                .toList();
        double share = mains.isEmpty() ? 0 : old.size() / (double) mains.size();
        if (share <= context.school().oldShareMost()) {
            return;
        }
        found.add(finding(
                context,
                old.stream().limit(MOST_LIMBS).map(Axis::id).toList(),
                Statement.of("measure.old-limbs").with("years", Value.count(Math.round(most))),
                share,
                Statement.of("finding.old-wood.limbs")
                        .with("old", Value.number(old.size(), 0))
                        .with("all", Value.number(mains.size(), 0))
                        .with("years", Value.count(Math.round(most)))
                        .with("limb", Value.limb(old.get(0).id()))));
    }

    private Finding finding(
            RuleContext context, List<String> limbs, Statement measure, double share, Statement reason) {
        double limit = context.school().oldShareMost();
        return new Finding(
                this,
                limbs.stream().map(Target::limb).toList(),
                measure,
                share,
                limit,
                "",
                context.severity(share, limit),
                ThresholdConfidence.above(share, limit, context.errors().countShare()),
                reason);
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.oldShareMost";
    }

    /** The oldest limbs renewed, as many as the species renews in a year; where spurs are old, those thinned. */
    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        Tree tree = context.tree();
        long mains = tree.limbsOn(tree.trunk()).size();
        long share = Math.max(
                1, Math.round(mains * tree.setting().species().renewal().shareAYear()));
        boolean renews = !tree.setting().system().scaffolds().permanent();
        List<Operation> operations = new ArrayList<>(context.limbs(finding).stream()
                .limit(share)
                .filter(limb -> limb.kind() == AxisKind.LIMB && (renews || limb.role() != Role.SCAFFOLD))
                .map(context::renewal)
                .toList());
        context.limbs(finding).forEach(limb -> youngSpurs(tree, limb.id()).ifPresent(operations::add));
        return operations;
    }

    /** A limb's spurs thinned to those not past their age, where that leaves some and takes some. */
    private static Optional<Operation> youngSpurs(Tree tree, String limb) {
        double most = tree.setting().species().renewal().spurAgeMost();
        List<Axis> spurs = tree.smallWoodOn(limb).stream()
                .filter(axis -> axis.kind() == AxisKind.SPUR)
                .toList();
        int young = (int) spurs.stream().filter(axis -> axis.age() <= most).count();
        int keep = Math.max(young, spurs.size() / 2);
        return keep > 0 && keep < spurs.size() ? Optional.of(Operation.thinSpurs(limb, keep)) : Optional.empty();
    }
}
