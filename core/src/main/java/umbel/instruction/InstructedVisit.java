package umbel.instruction;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Options;
import umbel.cut.Target;
import umbel.knowledge.InstructionParameters;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Condition;
import umbel.wood.Role;
import umbel.wood.ShootClass;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * What a crew that follows an instruction does to one tree: sentence after sentence, a limb touched once. Only what can be seen and
 * gauged in the row counts; light cannot.
 */
final class InstructedVisit {

    private static final double AS_LONG = 1e-9;

    private final Tree tree;
    private final InstructionParameters numbers;
    private final List<Operation> done = new ArrayList<>();
    private final Set<String> touched = new HashSet<>();
    private final Set<String> gone = new HashSet<>();

    private InstructedVisit(Tree tree, InstructionParameters numbers) {
        this.tree = tree;
        this.numbers = numbers;
    }

    /** The operations on a tree, in the order of the sentences; those that always hold come first. */
    static List<Operation> of(Tree tree, List<Sentence> sentences, InstructionParameters numbers) {
        InstructedVisit visit = new InstructedVisit(tree, numbers);
        visit.always(sentences);
        sentences.stream().sorted(Comparator.comparing(Sentence::form)).forEach(visit::follow);
        return CutTree.possible(tree, visit.done);
    }

    /** Unsound wood, shoots from below the union and strong uprights are off whatever else is said. */
    private void always(List<Sentence> sentences) {
        for (Axis limb : tree.limbs()) {
            boolean unsound = limb.is(Condition.DEAD, Condition.BROKEN, Condition.DISEASED, Condition.SPLITTING);
            if (unsound || limb.role() == Role.SUCKER || limb.role() == Role.WATER_SPROUT) {
                off(limb);
            }
        }
        if (sentences.stream().noneMatch(one -> one.form() == Sentence.Form.UPRIGHTS)) {
            for (Axis limb : tree.limbs()) {
                uprights(limb, Optional.of(ShootClass.STRONG), 0);
            }
        }
    }

    private void follow(Sentence sentence) {
        switch (sentence.form()) {
            case SECOND_LEADER -> mains().filter(this::isLeaderLike).forEach(this::off);
            case UPRIGHTS ->
                tree.limbs().forEach(limb -> uprights(limb, Optional.empty(), Units.fromCm(sentence.gauge())));
            case STEEP_OFF -> take(sentence, limb -> angle(limb) <= sentence.gauge(), limb -> angle(limb));
            case THICK ->
                take(
                        sentence,
                        limb -> millimetres(limb) >= sentence.gauge() && Units.toCm(limb.at()) >= numbers.notUnderCm(),
                        limb -> -millimetres(limb));
            case THICK_TOP ->
                take(
                        sentence,
                        limb -> millimetres(limb) >= sentence.gauge()
                                && Units.toCm(tree.top() - height(limb)) <= numbers.topCm(),
                        limb -> -millimetres(limb));
            case HANGING ->
                tree.limbs().stream()
                        .filter(limb -> isFree(limb) && hangs(limb, sentence.gauge()))
                        .forEach(this::off);
            case CLOSE ->
                take(sentence, limb -> gapBelow(limb) < Units.fromCm(sentence.gauge()), limb -> gapBelow(limb));
            case STEEP_BENT -> bend(sentence);
            case REACH -> mains().filter(this::isFree).forEach(limb -> shorten(limb, Units.fromCm(sentence.gauge())));
            case SHOOTS -> tree.limbs().forEach(limb -> thin(limb, (int) sentence.gauge()));
            case HEIGHT -> lower(Units.fromCm(sentence.gauge()));
        }
    }

    /** Limbs on the trunk. */
    private Stream<Axis> mains() {
        return tree.limbsOn(tree.trunk()).stream().filter(limb -> limb.kind() == AxisKind.LIMB);
    }

    private boolean isFree(Axis limb) {
        return !touched.contains(limb.id()) && !stoodOn(limb);
    }

    /** Whether what it stands on is gone. */
    private boolean stoodOn(Axis limb) {
        Axis on = limb;
        while (on.parent() > 0) {
            on = tree.axis(on.parent());
            if (gone.contains(on.id())) {
                return true;
            }
        }
        return false;
    }

    private void take(Sentence sentence, Predicate<Axis> which, ToDoubleFunction<Axis> first) {
        long most = sentence.most() == 0 ? Long.MAX_VALUE : sentence.most();
        mains().filter(this::isFree)
                .filter(which)
                .sorted(Comparator.comparingDouble(first).thenComparing(Axis::id))
                .limit(most)
                .toList()
                .forEach(this::off);
    }

    /** Off at its union: by a sloping cut where limbs come and go and this one is to come again. */
    private void off(Axis limb) {
        if (!touched.add(limb.id())) {
            return;
        }
        gone.add(limb.id());
        boolean renewed = !tree.setting().system().scaffolds().permanent()
                && limb.parent() == 0
                && limb.age() >= 2
                && limb.role() != Role.SUCKER;
        done.add(Operation.whole(renewed ? OperationKind.RENEW_BEVEL : OperationKind.REMOVE, limb));
    }

    private void uprights(Axis limb, Optional<ShootClass> strength, double least) {
        if (!isFree(limb)) {
            return;
        }
        Target.Shoots group = new Target.Shoots(limb.id(), Optional.of(Attitude.UP), strength);
        double longest = tree.smallWoodOn(limb.id()).stream()
                .filter(group::holds)
                .mapToDouble(Axis::length)
                .max()
                .orElse(-1);
        if (longest >= least - AS_LONG && longest >= 0) {
            done.add(Operation.remove(group));
        }
    }

    private void bend(Sentence sentence) {
        long most = sentence.most() == 0 ? Long.MAX_VALUE : sentence.most();
        mains().filter(this::isFree)
                .filter(limb -> angle(limb) <= sentence.gauge())
                .sorted(Comparator.comparingDouble(this::angle).thenComparing(Axis::id))
                .map(limb -> Options.bend(tree, limb))
                .flatMap(Optional::stream)
                .limit(most)
                .forEach(one -> {
                    touched.add(one.onLimb());
                    done.add(one);
                });
    }

    private void shorten(Axis limb, double to) {
        if (limb.length() > to + AS_LONG && touched.add(limb.id())) {
            done.add(Operation.cutAt(OperationKind.SHORTEN, limb, to));
        }
    }

    private void thin(Axis limb, int keep) {
        if (!isFree(limb)) {
            return;
        }
        Target.Shoots group = new Target.Shoots(limb.id(), Optional.of(Attitude.SIDE), Optional.empty());
        long there = tree.smallWoodOn(limb.id()).stream().filter(group::holds).count();
        if (there > keep) {
            done.add(Operation.thin(group, keep));
        }
    }

    /** The leader back to the side limb nearest below the height. */
    private void lower(double most) {
        if (tree.top() <= most || tree.trunk().course().top() <= most) {
            return;
        }
        mains().filter(this::isFree)
                .filter(limb -> height(limb) <= most && limb.course().top() <= most)
                .max(Comparator.comparingDouble(Axis::at))
                .filter(branch ->
                        Options.pastUnion(tree.trunk(), branch) < tree.trunk().length())
                .ifPresent(branch -> done.add(Operation.reduce(
                        OperationKind.LOWER_LEADER, tree.trunk(), branch, Options.pastUnion(tree.trunk(), branch))));
    }

    private boolean isLeaderLike(Axis limb) {
        return isFree(limb)
                && (limb.role() == Role.LEADER
                        || angle(limb) <= numbers.secondLeader().steepDeg()
                                && limb.baseDiameter()
                                        >= numbers.secondLeader().share()
                                                * tree.trunk().diameterAt(limb.at()));
    }

    private static boolean hangs(Axis limb, double fromDeg) {
        return Units.toDegrees(limb.course().directionAt(limb.length()).inclination()) >= fromDeg;
    }

    private double angle(Axis limb) {
        return Units.toDegrees(limb.baseInclination());
    }

    private static double millimetres(Axis limb) {
        return Units.toMm(limb.baseDiameter());
    }

    private static double height(Axis limb) {
        return limb.course().point(0).z();
    }

    /** How far below it the next limb on the same side stands, metres; infinite where none does. */
    private double gapBelow(Axis limb) {
        return mains().filter(other -> other != limb && !touched.contains(other.id()) && other.at() < limb.at())
                .filter(other -> turn(other, limb) <= numbers.sameSideDeg())
                .mapToDouble(other -> limb.at() - other.at())
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    private static double turn(Axis one, Axis other) {
        double turn = Math.abs(Units.toDegrees(one.bearing() - other.bearing())) % 360;
        return Math.min(turn, 360 - turn);
    }
}
