package umbel.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Options;
import umbel.cut.Stubs;
import umbel.cut.Target;
import umbel.knowledge.PlanParameters;
import umbel.knowledge.School;
import umbel.knowledge.TrainingSystem;
import umbel.reading.Stage;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Role;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * What a training system does to a tree of its age whether or not anything is wrong with it: the young tree's programme
 * from planting to filled space, and the yearly rule of the mature one. From the system's file, one act a line.
 */
final class TrainingProgramme {

    private static final double CLEARANCE = 0.10;
    private static final double STEEP = Math.toRadians(25);
    private static final double INTO_LAST_GROWTH = 0.05;
    private static final double MOST_HIGHER = 0.25;
    private static final int LEAST_FLOWERS = 2;
    private static final int MOST_TIPPED = 12;
    private static final double LEAST_END = 0.25;

    private final Tree tree;
    private final boolean summer;
    private final YearlyRenewal renewal;
    private final ScaffoldChoice scaffolds;
    private final PlanParameters.Frame frame;
    private final School.Preferences school;

    TrainingProgramme(Tree tree, boolean summer, Stubs stubs, PlanParameters parameters, School.Preferences school) {
        this.tree = tree;
        this.summer = summer;
        this.school = school;
        this.renewal = new YearlyRenewal(tree, stubs, school);
        this.frame = parameters.frame();
        this.scaffolds = new ScaffoldChoice(tree, parameters.scaffoldChoice());
    }

    /** What shapes the frame: taken before any fault is weighed. */
    List<Candidate> ofTheFrame() {
        return due(true);
    }

    /** What finishes the limbs that stay: taken once faults are dealt with. */
    List<Candidate> ofTheEnds() {
        return due(false);
    }

    /** The kind's yearly thinning of last season's shoots, or part of it; see {@link YearlyRenewal#oneYearWood(double)}. */
    List<Candidate> oneYearWood(double part) {
        return summer ? List.of() : renewal.oneYearWood(part);
    }

    /** The limbs the system's choice of scaffolds keeps, told so that nobody takes them for the others. */
    List<Candidate> kept() {
        List<Candidate> kept = new ArrayList<>();
        for (TrainingSystem.Act act : tree.setting().system().programme()) {
            if (act.act().equals("choose-scaffolds") && act.due(tree.setting().leaf(), summer)) {
                for (Axis limb : chosenScaffolds(act.keep())) {
                    Operation keep = Operation.whole(OperationKind.KEEP, limb);
                    kept.add(Candidate.bySystem(keep, stage(act), scaffoldReason(limb)));
                }
            }
        }
        return kept;
    }

    private List<Statement> scaffoldReason(Axis limb) {
        return List.of(Statement.of("step.scaffold")
                .with("at", Value.length(limb.at()))
                .with("side", new Value.Bearing(limb.bearing()))
                .with("angle", new Value.Angle(limb.baseInclination()))
                .with("ratio", Value.number(limb.baseDiameter() / tree.trunk().diameterAt(limb.at()), 2)));
    }

    private List<Candidate> due(boolean frame) {
        List<Candidate> candidates = new ArrayList<>();
        TrainingSystem system = tree.setting().system();
        for (TrainingSystem.Act act : system.programme()) {
            if (act.due(tree.setting().leaf(), summer) && isOfTheFrame(act) == frame) {
                for (Operation operation : operations(act)) {
                    candidates.add(Candidate.bySystem(operation, stage(act), reason(act, operation)));
                }
            }
        }
        return candidates;
    }

    private static boolean isOfTheFrame(TrainingSystem.Act act) {
        return switch (act.act()) {
            case "strip", "head-whip", "clear-low", "choose-scaffolds", "centre-out", "choose-buds" -> true;
            default -> false;
        };
    }

    private static Stage stage(TrainingSystem.Act act) {
        return switch (act.act()) {
            case "strip", "head-whip", "clear-low", "choose-scaffolds", "centre-out", "head-leader", "choose-buds" ->
                Stage.FRAME;
            case "outward-off", "weak-out" -> Stage.UPRIGHTS;
            case "renew-share" -> Stage.RENEWAL;
            case "bend" -> Stage.TRAIN;
            case "deflower" -> Stage.CROP;
            default -> Stage.DETAIL;
        };
    }

    private List<Statement> reason(TrainingSystem.Act act, Operation operation) {
        boolean stub = operation.kind() == OperationKind.RENEW_STUB;
        return List.of(Statement.of("step.by-system")
                .with("why", new Value.Words(act.why()))
                .with("system", new Value.Words(tree.setting().system().name().toLowerCase(Locale.ROOT)))
                .with("leaf", Value.number(tree.setting().leaf(), 0))
                .with("stub", Value.choice(stub ? "yes" : "no"))
                .with("length", Value.length(operation.at()))
                .with("height", Value.reach(stub ? startOf(operation) : 0)));
    }

    private double startOf(Operation operation) {
        return tree.find(operation.onLimb()).orElseThrow().course().point(0).z();
    }

    private List<Operation> operations(TrainingSystem.Act act) {
        return switch (act.act()) {
            case "strip" ->
                mains().stream()
                        .filter(limb -> limb.age() <= 1)
                        .map(limb -> Operation.remove(limb))
                        .toList();
            case "head-whip" -> headWhip(Units.fromCm(act.at())).stream().toList();
            case "clear-low" ->
                mains().stream()
                        .filter(limb -> limb.role() != Role.SCAFFOLD && !isPartOfTheFrame(limb))
                        .filter(limb -> limb.course().point(0).z() < clearStem(act) - 1e-9)
                        .map(limb -> Operation.remove(limb))
                        .toList();
            case "choose-scaffolds" -> chooseScaffolds(act.keep());
            case "centre-out" -> centreOut();
            case "head-leader" ->
                school.headLeader()
                        ? headLeader(Units.fromCm(act.at())).stream().toList()
                        : List.of();
            case "head-ends" -> headEnds(act.share(), act.keep());
            case "tip-ends" -> ends(OperationKind.TIP, act.share(), strongest());
            case "bend" ->
                mains().stream()
                        .filter(this::leansWrong)
                        .map(limb -> Options.bend(tree, limb, school.scaffoldLeanDeg()))
                        .flatMap(Optional::stream)
                        .toList();
            case "deflower" ->
                flowers() < LEAST_FLOWERS ? List.of() : List.of(Operation.whole(OperationKind.DEFLOWER, Target.TRUNK));
            case "renew-share" -> renewal.share(act, mains());
            case "short-spur" -> renewal.shortSpur();
            case "outward-off" -> renewal.outward();
            case "weak-out" -> renewal.weakOut(act, mains());
            case "choose-buds" -> chooseBuds(act).stream().toList();
            default -> List.of();
        };
    }

    /** How high the stem is kept clear, metres: as the system says, or higher where the kind is worked under. */
    private double clearStem(TrainingSystem.Act act) {
        return Units.fromCm(
                Math.max(act.at(), tree.setting().species().hardness().clearStemCm()));
    }

    private List<Axis> mains() {
        return tree.limbs().stream()
                .filter(limb -> limb.parent() == 0)
                .filter(limb -> limb.role() != Role.SUCKER && limb.role() != Role.WATER_SPROUT)
                .filter(limb -> limb.at() >= tree.setting().unionAt())
                .filter(limb -> limb.conditions().isEmpty())
                .toList();
    }

    /** Whether a limb has been there so long, and grown so thick, that it carries the tree with the others. */
    private boolean isPartOfTheFrame(Axis limb) {
        return limb.age() >= frame.lowStaysY()
                && limb.baseDiameter() > frame.lowStaysShare() * tree.trunk().baseDiameter();
    }

    private boolean leansWrong(Axis limb) {
        List<Double> wanted = tree.setting().system().scaffolds().angleDeg();
        double angle = Units.toDegrees(limb.baseInclination()) - school.scaffoldLeanDeg();
        return angle < wanted.get(0) || angle > wanted.get(1) + frame.flatStaysDeg();
    }

    private double flowers() {
        return tree.axes().stream().mapToDouble(Axis::flowerBuds).sum();
    }

    /** A whip that was never headed: no scaffolds of more than a year, and taller than the cut by a hand. */
    private Optional<Operation> headWhip(double at) {
        boolean built = mains().stream().anyMatch(limb -> limb.age() >= 2)
                || mains().size() >= tree.setting().system().scaffolds().count().get(0);
        return built || tree.trunk().length() < at + CLEARANCE
                ? Optional.empty()
                : Optional.of(Operation.cutAt(OperationKind.HEAD, Target.TRUNK, at));
    }

    /** The limbs that are not chosen go; nothing is chosen while there are no more than wanted. */
    private List<Operation> chooseScaffolds(int keep) {
        List<Axis> chosen = chosenScaffolds(keep);
        return chosen.isEmpty()
                ? List.of()
                : mains().stream()
                        .filter(limb -> !chosen.contains(limb))
                        .map(limb -> Operation.remove(limb))
                        .toList();
    }

    private List<Axis> chosenScaffolds(int keep) {
        return scaffolds.of(mains(), keep);
    }

    /** The leader of a vase, and what stands up in its middle. */
    private List<Operation> centreOut() {
        double highest = mains().stream().mapToDouble(Axis::at).max().orElse(0);
        boolean stands = tree.trunk().length() > highest + 0.3;
        return stands
                        && mains().size()
                                >= tree.setting().system().scaffolds().count().get(0)
                ? List.of(Operation.cutAt(OperationKind.SHORTEN, Target.TRUNK, highest + 0.02))
                : List.of();
    }

    /** The leader, once it stands well above the last limb, at a distance above it, in last season's wood. */
    private Optional<Operation> headLeader(double above) {
        double last = mains().stream()
                .filter(limb -> limb.age() >= 2 || limb.lastGrowth() > 0.3)
                .filter(limb -> limb.baseInclination() > STEEP)
                .mapToDouble(Axis::at)
                .max()
                .orElse(0);
        Axis leader = tree.trunk();
        double young = leader.length() - leader.lastGrowth() + INTO_LAST_GROWTH;
        double at = Math.max(last + above, young);
        boolean tall = leader.length() > at + CLEARANCE && at <= last + above + MOST_HIGHER;
        boolean full = leader.course().top() >= tree.setting().system().shape().height();
        return last > 0 && tall && !full
                ? Optional.of(Operation.cutAt(OperationKind.HEAD, Target.TRUNK, at))
                : Optional.empty();
    }

    /** Ends headed by a share: those of all main limbs, or of the longest few. */
    private List<Operation> headEnds(double share, Integer longest) {
        List<Axis> limbs = mains().stream()
                .sorted(Comparator.comparingDouble(Axis::length).reversed())
                .limit(longest == null ? 60 : longest)
                .toList();
        boolean outruns = longest == null
                || mains().size() > 1
                        && limbs.get(0).length()
                                > 1.15
                                        * mains().stream()
                                                .mapToDouble(Axis::length)
                                                .average()
                                                .orElse(0);
        return outruns ? ends(OperationKind.HEAD, share, limbs) : List.of();
    }

    /** The buds of the leader's last growth that are to make limbs: none low on the trunk, then one at each distance. */
    private Optional<Operation> chooseBuds(TrainingSystem.Act act) {
        Axis leader = tree.trunk();
        double low = Units.fromCm(act.at());
        double start = leader.length() - leader.lastGrowth();
        double from = start >= low ? 0 : low;
        int keep = (int) Math.floor((leader.length() - Math.max(start, low)) / Units.fromCm(act.gap()));
        return leader.lastGrowth() > LEAST_END && keep > 0
                ? Optional.of(Operation.chooseBuds(leader.id(), from, keep))
                : Optional.empty();
    }

    /** The main limbs with the longest ends, of those thick enough to be worth keeping. */
    private List<Axis> strongest() {
        double least = Units.fromMm(
                tree.setting().species().smallWood().ideal().diameterMm().get(1));
        return mains().stream()
                .filter(limb -> limb.baseDiameter() >= least)
                .sorted(Comparator.comparingDouble(Axis::lastGrowth).reversed())
                .limit(MOST_TIPPED)
                .toList();
    }

    private List<Operation> ends(OperationKind kind, double share, List<Axis> limbs) {
        return limbs.stream()
                .filter(limb -> limb.lastGrowth() >= LEAST_END)
                .map(limb -> Operation.cutAt(kind, limb, limb.length() - share * limb.lastGrowth()))
                .toList();
    }
}
