package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.crop.HarvestLoad;
import umbel.cut.Operation;
import umbel.cut.Options;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Vec;

/** More wood and crop on one side of the trunk than on the other. */
final class LopSided extends Rule {

    private static final int MOST_LIMBS = 3;

    LopSided() {
        super("lop-sided", Subject.TREE, Stage.FRAME);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        List<Axis> mains = context.mains();
        if (mains.size() < 2) {
            return List.of();
        }
        boolean plane = context.tree().setting().system().isPlane();
        double x = 0;
        double y = 0;
        double all = 0;
        for (Axis limb : mains) {
            Vec out = limb.course().at(limb.length() * 0.5).level();
            double mass = massOf(context, limb);
            double[] at = plane ? new double[] {context.inRowAxes(out)[0], 0} : new double[] {out.x(), out.y()};
            x += mass * at[0];
            y += mass * at[1];
            all += mass * out.length();
        }
        double share = all == 0 ? 0 : Math.hypot(x, y) / all;
        double most = context.school().lopSidedShare();
        if (share <= most) {
            return List.of();
        }
        double bearing = plane
                ? context.tree().setting().place().rowBearing() + (x < 0 ? Math.PI : 0)
                : new Vec(x, y, 0).bearing();
        List<Axis> heavy = mains.stream()
                .filter(limb -> Math.cos(limb.bearing() - bearing) > 0.5)
                .sorted(Comparator.comparingDouble((Axis limb) -> massOf(context, limb))
                        .reversed())
                .limit(MOST_LIMBS)
                .toList();
        double error = share * context.errors().diameterShare() * 2;
        return List.of(new Finding(
                this,
                Target.all(heavy),
                Statement.of("measure.one-sided"),
                share,
                most,
                "",
                context.severity(share, most),
                ThresholdConfidence.above(share, most, error),
                Statement.of("finding.lop-sided")
                        .with("side", new Value.Bearing(bearing))
                        .with("share", Value.share(share))));
    }

    private static double massOf(RuleContext context, Axis limb) {
        HarvestLoad.LimbLoad load = context.load().on(limb.id());
        return load.mass();
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.lopSidedShare";
    }

    /** The heavy side lightened limb by limb; a main limb of a lasting frame is not taken for weight alone. */
    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        List<Operation> operations = new ArrayList<>();
        if (context.tree().setting().isFilling()) {
            return operations; // a tree that still fills its space is evened out by its programme
        }
        for (Axis limb : context.limbs(finding)) {
            operations.addAll(context.reductions(limb));
            Options.shortening(context.tree(), limb).ifPresent(operations::add);
        }
        return operations;
    }
}
