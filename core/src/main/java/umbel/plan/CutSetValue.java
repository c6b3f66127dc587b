package umbel.plan;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import umbel.crop.CropReading;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.knowledge.PlanParameters;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;
import umbel.light.FruitingSite;
import umbel.light.LightModel;
import umbel.light.LightReading;
import umbel.reading.Finding;
import umbel.reading.TreeReader;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;
import umbel.wood.Tree;

/**
 * What a tree has for the grower after a set of operations: light, crop, structure, height and young wood, less work and
 * what the tree will answer to the loss. Each term stands by itself, so that one appraisal serves any weights. See
 * docs/model/plan.md.
 *
 * @param evenness mean over fruiting sites of how well lit each is, 0…1
 * @param crop fruits its flower buds can bear in light enough to size and colour, against the target, up to one
 * @param capacity lit fruiting wood against what was found
 * @param withinReach lit fruiting wood a person on the ground reaches, of all that is lit
 * @param young how young the fruiting wood is for its kind
 * @param faults findings, each by its cost and how sure and how far past its line it is
 * @param missing main limbs short of the system's least number, as a share of it
 * @param tooHigh height over the limit, against the limit or what was over it as found
 * @param minutes of all cuts
 * @param wound live section laid open, of the trunk's own
 * @param woodShare share of small wood taken in all
 * @param standing which of the faults the tree was found with still stand
 */
record CutSetValue(
        double evenness,
        double crop,
        double capacity,
        double withinReach,
        double young,
        double faults,
        double missing,
        double tooHigh,
        double minutes,
        double wound,
        double woodShare,
        BitSet standing) {

    /** What the cut tree is worth by a wish's weights and limits; only differences between appraisals of one tree mean anything. */
    double worth(PlanRequest request) {
        PlanParameters.Worth worth = request.parameters().worth();
        Goals goals = request.goals();
        double share = woodShare / Math.max(0.05, request.limits().woodShare());
        return goals.light() * worth.light() * evenness
                + goals.crop() * (worth.crop() * crop + worth.capacity() * capacity)
                + goals.height() * worth.withinReach() * withinReach
                + goals.renewal() * worth.renewal() * young
                - goals.structure() * (worth.structure() * faults + worth.frame() * missing)
                - goals.height() * worth.height() * tooHigh
                - goals.labour() * minutes / worth.labourMinutes()
                - worth.wound() * wound
                - worth.cutting() * share * share;
    }

    /** What does not change between appraisals of one tree. */
    record Ground(Tree found, double cropTarget, double litFound, int stride, RemainingFaults faults) {

        private static final int SITES_LOOKED_AT = 300;

        static Ground of(Tree found, List<Finding> findings, PlanParameters parameters) {
            int stride = Math.max(1, FruitingSite.of(found).size() / SITES_LOOKED_AT);
            LightReading light = LightModel.readCoarse(found, stride);
            double lit = 0;
            for (int s = 0; s < light.light().length; s++) {
                lit += light.sites().get(s).weight()
                        * parameters.worth().lightRamp().at(light.light()[s]);
            }
            return new Ground(found, CropReading.target(found), lit, stride, new RemainingFaults(findings));
        }
    }

    static CutSetValue of(Ground ground, CutTree cut, PlanRequest request) {
        Tree left = cut.left();
        LightReading light = LightModel.readCoarse(left, ground.stride());
        double total = 0;
        double lit = 0;
        double fresh = 0;
        double low = 0;
        for (int s = 0; s < light.light().length; s++) {
            FruitingSite site = light.sites().get(s);
            double ramp = request.parameters().worth().lightRamp().at(light.light()[s]);
            total += site.weight();
            lit += site.weight() * ramp;
            low += site.place().z() <= request.limits().reach() ? site.weight() * ramp : 0;
            fresh += site.weight() * freshness(site.axis(), left.setting().species());
        }
        CropReading crop = CropReading.of(left, light, ground.cropTarget());
        double coloured = crop.expectedFruits() * crop.firstClassShare();
        double spare = request.parameters().worth().spareCrop();
        Work work = Work.of(cut, request);
        List<Finding> findings = TreeReader.findings(
                left, request.school(), light, request.limits().reach());
        return new CutSetValue(
                total == 0 ? 0 : lit / total,
                ground.cropTarget() == 0 ? 1 : Math.min(1, coloured / (ground.cropTarget() * spare)),
                ground.litFound() == 0 ? 1 : Math.min(1.3, lit / ground.litFound()),
                lit == 0 ? 0 : low / lit,
                total == 0 ? 0 : fresh / total,
                findings.stream()
                        .mapToDouble(
                                finding -> FaultCost.of(ground.faults().assured(finding), left, request.parameters()))
                        .sum(),
                missing(left),
                tooHigh(ground, left, request),
                work.minutes(),
                work.wound() / left.setting().trunkSection(),
                cut.woodShare(),
                ground.faults().among(findings));
    }

    /** How young a site's wood is for its species, by what such wood bears at its best. */
    private static double freshness(Axis axis, Species species) {
        if (axis.kind() == AxisKind.SPUR) {
            double best = species.bearing().flowerPerSpurByAge().stream()
                    .mapToDouble(Double::doubleValue)
                    .max()
                    .orElse(1);
            return species.bearing().perSpur(axis.age()) / best;
        }
        return axis.kind() == AxisKind.SHOOT
                        && !CropReading.isGood(axis, species.smallWood().ideal())
                ? 0.4
                : 1;
    }

    /** Main limbs short of the least number of the system, for permanent frames. */
    private static double missing(Tree left) {
        TrainingSystem.Scaffolds wanted = left.setting().system().scaffolds();
        long mains = left.limbs().stream()
                .filter(limb -> limb.parent() == 0 && limb.age() >= 2 && limb.role() != Role.SUCKER)
                .count();
        int least = wanted.count().get(0);
        return least == 0 ? 0 : Math.max(0, least - mains) / (double) least;
    }

    /**
     * Height over the limit, summed over leader and main limbs so that each one lowered counts: as a share of the limit, or on a
     * tree that is far over it of what was over it as found.
     */
    private static double tooHigh(Ground ground, Tree left, PlanRequest request) {
        double limit = left.setting().workableHeight(request.limits().reach());
        return above(left, limit) / Math.max(limit, above(ground.found(), limit));
    }

    /** Of the leader, and of each main limb with all that stands on it, what is over the limit. */
    private static double above(Tree tree, double limit) {
        int[] main = new int[tree.axes().size()];
        double[] over = new double[main.length];
        for (Axis axis : tree.axes()) {
            int a = axis.index();
            main[a] = axis.parent() <= 0 ? a : main[axis.parent()];
            if (axis.isFrame() && axis.role() != Role.SUCKER) {
                over[main[a]] = Math.max(over[main[a]], axis.course().top() - limit);
            }
        }
        return Arrays.stream(over).sum();
    }

    /** Minutes of all cuts, and the section of live wood they lay open, m². */
    private record Work(double minutes, double wound) {

        static Work of(CutTree cut, PlanRequest request) {
            double minutes = 0;
            double wound = 0;
            for (Effect effect : Effect.ofAll(cut, request.limits().reach())) {
                minutes += effect.minutes();
                wound += effect.wound();
            }
            return new Work(minutes, wound);
        }
    }
}
