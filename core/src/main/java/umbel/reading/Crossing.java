package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Course;
import umbel.wood.Role;
import umbel.wood.Units;
import umbel.wood.Vec;

/** Two limbs that touch or will within a year: closest distance less than their radii and a little clearance. */
final class Crossing extends Rule {

    Crossing() {
        super("crossing", Subject.PAIR, Stage.FRAME, Trait.OUTWEIGHS_A_SPARE_LIMB_ABOUT_A_LEADER);
    }

    /** Limbs from one place are close there by nature; only what lies this far out on both counts. */
    @Override
    public List<Finding> read(RuleContext context) {
        double fromOrigin = Units.fromCm(context.parameters().frame().crossingFromCm());
        List<Axis> limbs = context.limbs().stream()
                .filter(limb -> limb.role() != Role.SUCKER && limb.length() > fromOrigin)
                .toList();
        double clearance = context.school().crossingClearanceCm();
        double[][][] outer = new double[limbs.size()][][];
        double[][] boxes = new double[limbs.size()][];
        for (int i = 0; i < boxes.length; i++) {
            outer[i] = outerPoints(limbs.get(i), fromOrigin);
            boxes[i] = box(limbs.get(i), Units.fromCm(clearance));
        }
        List<Finding> found = new ArrayList<>();
        for (int i = 0; i < limbs.size(); i++) {
            for (int j = i + 1; j < limbs.size(); j++) {
                Axis a = limbs.get(i);
                Axis b = limbs.get(j);
                if (apart(boxes[i], boxes[j]) || a.parent() == b.index() || b.parent() == a.index()) {
                    continue;
                }
                double gap = Units.toCm(closest(a, outer[i], b, outer[j], Units.fromCm(clearance)));
                if (gap >= clearance) {
                    continue;
                }
                Axis worse = worse(context, a, b);
                Axis better = worse == a ? b : a;
                double error = 100
                        * Math.min(a.length(), b.length())
                        * Math.toRadians(context.errors().angleDeg())
                        * 0.5;
                found.add(new Finding(
                        this,
                        List.of(Target.of(worse), Target.of(better)),
                        Statement.of("measure.clearance"),
                        gap,
                        clearance,
                        "cm",
                        gap < 0.5 ? Severity.ACT : Severity.CONSIDER,
                        ThresholdConfidence.below(gap, clearance, error),
                        Statement.of("finding.crossing")
                                .with("touch", Value.choice(gap < 0.5 ? "yes" : "no"))
                                .with("limbs", Value.limbs(List.of(worse.id(), better.id())))
                                .with("gap", Value.centimetres(Math.max(0, gap)))));
            }
        }
        found.sort(Comparator.comparingDouble(Finding::value));
        return found;
    }

    /** The thinner and worse lit of two crossing limbs, and always the unsound one. */
    private static Axis worse(RuleContext context, Axis a, Axis b) {
        return keep(context, a) <= keep(context, b) ? a : b;
    }

    private static double keep(RuleContext context, Axis limb) {
        return limb.conditions().isEmpty() ? limb.baseDiameter() * (0.3 + context.lightOn(limb)) : -1;
    }

    /** A limb's points beyond its origin as plain numbers: x, y, z, half thickness plus the piece before it. */
    private static double[][] outerPoints(Axis limb, double fromOrigin) {
        Course course = limb.course();
        int first = 1;
        while (first < course.size() && course.along(first) < fromOrigin) {
            first++;
        }
        double[][] points = new double[4][course.size() - first];
        for (int i = first; i < course.size(); i++) {
            Vec p = course.point(i);
            points[0][i - first] = p.x();
            points[1][i - first] = p.y();
            points[2][i - first] = p.z();
            points[3][i - first] = limb.diameters()[i] / 2 + course.along(i) - course.along(i - 1);
        }
        return points;
    }

    /** Least distance between the barks of two limbs beyond their origins, metres; pieces further apart than matters are passed over. */
    private static double closest(Axis a, double[][] outerA, Axis b, double[][] outerB, double matters) {
        double least = Double.MAX_VALUE;
        int skippedA = a.course().size() - outerA[0].length;
        int skippedB = b.course().size() - outerB[0].length;
        for (int i = 0; i < outerA[0].length; i++) {
            for (int j = 0; j < outerB[0].length; j++) {
                double dx = outerA[0][i] - outerB[0][j];
                double dy = outerA[1][i] - outerB[1][j];
                double dz = outerA[2][i] - outerB[2][j];
                double near = matters + outerA[3][i] + outerB[3][j];
                if (dx * dx + dy * dy + dz * dz > near * near) {
                    continue;
                }
                int p = i + skippedA;
                int q = j + skippedB;
                double distance = between(
                        a.course().point(p - 1),
                        a.course().point(p),
                        b.course().point(q - 1),
                        b.course().point(q));
                least = Math.min(least, distance - (a.diameters()[p] + b.diameters()[q]) / 2);
            }
        }
        return least;
    }

    /** Distance between two straight pieces (Ericson 2005, closest points of two segments). */
    private static double between(Vec p1, Vec q1, Vec p2, Vec q2) {
        Vec d1 = q1.minus(p1);
        Vec d2 = q2.minus(p2);
        Vec r = p1.minus(p2);
        double a = Math.max(1e-12, d1.dot(d1));
        double e = Math.max(1e-12, d2.dot(d2));
        double f = d2.dot(r);
        double c = d1.dot(r);
        double b = d1.dot(d2);
        double denominator = a * e - b * b;
        double s = denominator > 1e-12 ? clamp((b * f - c * e) / denominator) : 0;
        double t = clamp((b * s + f) / e);
        s = clamp((b * t - c) / a);
        return p1.plus(d1.times(s)).minus(p2.plus(d2.times(t))).length();
    }

    private static double clamp(double value) {
        return Math.max(0, Math.min(1, value));
    }

    private static double[] box(Axis limb, double margin) {
        double pad = margin + limb.baseDiameter() / 2;
        double[] box = {1e9, 1e9, 1e9, -1e9, -1e9, -1e9};
        for (int i = 0; i < limb.course().size(); i++) {
            Vec p = limb.course().point(i);
            double[] at = {p.x(), p.y(), p.z()};
            for (int k = 0; k < 3; k++) {
                box[k] = Math.min(box[k], at[k] - pad);
                box[k + 3] = Math.max(box[k + 3], at[k] + pad);
            }
        }
        return box;
    }

    private static boolean apart(double[] a, double[] b) {
        for (int k = 0; k < 3; k++) {
            if (a[k] > b[k + 3] || b[k] > a[k + 3]) {
                return true;
            }
        }
        return false;
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.crossingClearance_cm";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return context.oneOfTwo(finding);
    }
}
