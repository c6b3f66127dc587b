package umbel.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Stubs;
import umbel.cut.Target;
import umbel.cut.TargetAxes;
import umbel.knowledge.CutParameters;
import umbel.knowledge.School;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;
import umbel.reading.Stage;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Condition;
import umbel.wood.Role;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * What is done every year to wood that bears, so that none of it grows too old: a share of the limbs renewed, weak ones out,
 * uprights on arms cut to spurs, and where a kind bears on last year's shoots, a share of those.
 */
final class YearlyRenewal {

    private static final double LEAST_UPRIGHT = 0.08;
    private static final double ABOVE_EACH_OTHER = Math.toRadians(40);
    private static final int LEAST_AGE = 3;

    private final Tree tree;
    private final Species species;
    private final Stubs stubs;
    private final School.Preferences school;

    YearlyRenewal(Tree tree, Stubs stubs, School.Preferences school) {
        this.school = school;
        this.tree = tree;
        this.species = tree.setting().species();
        this.stubs = stubs;
    }

    /**
     * The oldest and thickest share of the limbs; by stub only under open sky, and where the sky is shut by a limb above, that
     * one in its stead.
     */
    List<Operation> share(TrainingSystem.Act act, List<Axis> mains) {
        int count = (int) Math.round(mains.size() * act.share() * school.renewalFactor());
        List<Operation> renewals = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        mains.stream()
                .filter(limb -> limb.age() >= LEAST_AGE)
                .sorted(Comparator.comparingDouble((Axis limb) -> limb.age()
                                + 2 * limb.baseDiameter() / tree.trunk().diameterAt(limb.at()))
                        .reversed())
                .forEach(limb -> {
                    Optional<Operation> cut = renewed(limb, act.cut(), mains);
                    if (cut.isPresent()
                            && renewals.size() < count
                            && taken.add(cut.get().onLimb())) {
                        renewals.add(cut.get());
                    }
                });
        return renewals;
    }

    private Optional<Operation> renewed(Axis limb, String cut, List<Axis> mains) {
        if (!OperationKind.RENEW_STUB.word().equals(cut)) {
            return Optional.of(Operation.whole(OperationKind.of(cut).orElse(OperationKind.REMOVE), limb));
        }
        Optional<Operation> stub = stubs.of(limb);
        return stub.isPresent() ? stub : above(limb, mains).flatMap(shading -> renewed(shading, cut, mains));
    }

    /** The next limb straight above another. */
    private static Optional<Axis> above(Axis limb, List<Axis> mains) {
        return mains.stream()
                .filter(other -> other.at() > limb.at() && other.age() >= LEAST_AGE - 1)
                .filter(other -> apart(limb, other) <= ABOVE_EACH_OTHER)
                .min(Comparator.comparingDouble(Axis::at));
    }

    private static double apart(Axis one, Axis other) {
        double between = Math.abs(one.bearing() - other.bearing());
        return Math.min(between, 2 * Math.PI - between);
    }

    /** Limbs thinner than is worth keeping and those that hang, thinnest first; of a cultivar that sets lightly only some. */
    List<Operation> weakOut(TrainingSystem.Act act, List<Axis> mains) {
        double thin = Units.fromMm(act.thin());
        double hangs = Units.fromDegrees(tree.setting().system().limbs().hangAngleDeg());
        List<Axis> weak = mains.stream()
                .filter(limb -> limb.age() >= 2)
                .filter(limb -> limb.baseDiameter() < thin || leanOf(limb) > hangs)
                .sorted(Comparator.comparingDouble(Axis::baseDiameter))
                .toList();
        double share = act.bySet() == null
                ? 1
                : act.bySet().get(setOf(tree.setting().cultivar().setFactor()));
        return weak.stream()
                .limit(Math.round(weak.size() * share))
                .map(limb -> Operation.remove(limb))
                .toList();
    }

    private static double leanOf(Axis limb) {
        return limb.course().at(limb.length()).minus(limb.course().point(0)).inclination();
    }

    private static String setOf(double factor) {
        return factor > 1 ? "heavy" : factor < 1 ? "light" : "moderate";
    }

    /** Uprights and side shoots on the arms, each time they have made a hand's width; a kind that bears on shoots has no spurs to make. */
    List<Operation> shortSpur() {
        if (species.smallWood().renewsOneYearWood()) {
            return List.of();
        }
        double at = Units.fromCm(places().shortSpurCm());
        Stream<Operation> counted = groups(Attitude.UP).stream()
                .filter(group ->
                        TargetAxes.of(tree, group).stream().anyMatch(shoot -> shoot.length() > at + LEAST_UPRIGHT))
                .map(group -> Operation.cutAt(OperationKind.SHORT_SPUR, group.target(), at));
        Stream<Operation> measured = tree.limbs().stream()
                .filter(limb -> isSideShoot(limb) && !isOutward(limb) && isTooLong(limb))
                .map(limb -> Operation.cutAt(limb.age() <= 1 ? OperationKind.HEAD : OperationKind.SHORTEN, limb, at));
        return Stream.concat(counted, measured).toList();
    }

    /** What grows out from the plane of the arms: shoots, and limbs that were surveyed by themselves. */
    List<Operation> outward() {
        Stream<Operation> limbs = tree.limbs().stream().filter(this::isOutward).map(limb -> Operation.remove(limb));
        return Stream.concat(groups(Attitude.OUT).stream(), limbs).toList();
    }

    private boolean isOutward(Axis limb) {
        if (!isSideShoot(limb) || limb.parent() == 0) {
            return false;
        }
        double turned = Units.toDegrees(limb.course()
                .directionAt(0)
                .level()
                .angleTo(tree.axis(limb.parent()).course().directionAt(0).level()));
        return Math.min(turned, 180 - turned) > places().outTurnedDeg()
                && Units.toDegrees(limb.baseInclination()) > places().outLeansDeg();
    }

    private CutParameters.Places places() {
        return tree.setting().parameters().cutting().places();
    }

    /** Whether a side shoot is longer than one that makes spurs, or an old one longer than its spurs reach. */
    private boolean isTooLong(Axis limb) {
        double most = limb.age() < LEAST_AGE ? 2 * places().shortSpurCm() : places().spurReachCm();
        return limb.length() > Units.fromCm(most) + LEAST_UPRIGHT;
    }

    /** Whether a limb is a side shoot of an arm, or of a rod that bears along its stem, which was surveyed by itself. */
    private boolean isSideShoot(Axis limb) {
        boolean onRod = limb.parent() == 0
                && tree.setting().system().scaffolds().count().get(0) == 0;
        boolean onArm = limb.parent() > 0 && tree.axis(limb.parent()).role() == Role.SCAFFOLD;
        boolean fruiting = limb.role() != Role.SCAFFOLD && limb.role() != Role.LEADER && limb.role() != Role.SUCKER;
        return (onRod || onArm)
                && fruiting
                && limb.conditions().isEmpty()
                && limb.baseDiameter()
                        <= Units.fromMm(
                                tree.setting().parameters().cutting().tools().handPrunerMm());
    }

    /** The shoots of one attitude, limb by limb. */
    List<Operation> groups(Attitude attitude) {
        return tree.limbs().stream()
                .filter(limb -> !limb.is(Condition.DEAD))
                .filter(limb -> tree.smallWoodOn(limb.id()).stream()
                        .anyMatch(axis -> axis.kind() == AxisKind.SHOOT && axis.attitude() == attitude))
                .map(limb -> Operation.remove(Target.shoots(limb.id(), attitude)))
                .toList();
    }

    /**
     * Last year's shoots thinned on every limb, where the kind bears on them: thin, rank, upright, hanging and far-out ones
     * first, and where there is room no more left than can be lit.
     *
     * @param part of the share that the kind renews in a year, 0…1: less where this winter has no room for all
     */
    List<Candidate> oneYearWood(double part) {
        List<Candidate> thinnings = new ArrayList<>();
        if (!species.smallWood().renewsOneYearWood()
                || tree.setting().leaf() < tree.setting().bearingLeaf()) {
            return thinnings;
        }
        double share = part * species.renewal().shareAYear();
        for (Axis limb : tree.limbs()) {
            Target group = Target.shoots(limb.id());
            int count = limb.is(Condition.DEAD) ? 0 : TargetAxes.of(tree, group).size();
            int keep = (int) Math.max(1, Math.round(count * (1 - share)));
            if (part >= 1) {
                keep = Math.min(keep, (int) Math.ceil(species.smallWood().shootsPerMetreMost() * limb.length()));
            }
            if (keep < count) {
                thinnings.add(Candidate.bySystem(thinned(group, keep), Stage.RENEWAL, why()));
            }
        }
        return thinnings;
    }

    /** Well-sized shoots are chosen first; only what stays too long is shortened, where the school does so. */
    private Operation thinned(Target group, int keep) {
        Operation shortening = Operation.thin(group, keep, Units.fromCm(places().longShootToCm()));
        return school.shortenLongShoots()
                        && !TargetAxes.longOnes(tree, shortening).isEmpty()
                ? shortening
                : Operation.thin(group, keep);
    }

    private List<Statement> why() {
        return List.of(Statement.of("step.one-year-wood")
                .with("kind", new Value.Words(species.name()))
                .with("share", Value.share(species.renewal().shareAYear())));
    }
}
