package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Options;
import umbel.cut.Stubs;
import umbel.cut.Target;
import umbel.knowledge.PlanParameters;
import umbel.knowledge.ReadingParameters;
import umbel.knowledge.School;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;
import umbel.wood.Tree;

/** What remedies are chosen by: the tree, the school, the time of year, and the ways of taking a limb that rules share. */
public final class RemedyContext {

    private final Tree tree;
    private final School school;
    private final boolean inLeaf;
    private final PlanParameters.Lowering lowering;
    private final boolean comesDownFar;
    private final Stubs stubs;

    /**
     * Remedies for a tree.
     *
     * @param findings of the tree
     * @param inLeaf whether the work is done in leaf, when soft shoots come off by hand
     * @param lowering how tall trees come down
     */
    public RemedyContext(
            Tree tree,
            List<Finding> findings,
            School school,
            boolean inLeaf,
            PlanParameters.Lowering lowering,
            Stubs stubs) {
        this.tree = tree;
        this.school = school;
        this.inLeaf = inLeaf;
        this.lowering = lowering;
        this.stubs = stubs;
        this.comesDownFar = findings.stream()
                .anyMatch(finding -> finding.rule() instanceof OverHeight
                        && finding.value() > lowering.renewFrom() * finding.threshold());
    }

    Tree tree() {
        return tree;
    }

    /** Numbers of the rules that hold for every school. */
    ReadingParameters parameters() {
        return tree.setting().parameters().reading();
    }

    /** Whether a limb is so old that it grows anew from a low stub where its tree comes down far. */
    boolean isOldScaffold(Axis limb) {
        return limb.age() >= parameters().oldScaffoldY();
    }

    /** Whether the work is done in leaf, while buds open and soft shoots grow. */
    boolean isInLeaf() {
        return inLeaf;
    }

    School school() {
        return school;
    }

    PlanParameters.Lowering lowering() {
        return lowering;
    }

    Stubs stubs() {
        return stubs;
    }

    /** A limb that a finding names. */
    Axis limb(Finding finding, int i) {
        return tree.find(finding.targets().get(i).limb()).orElseThrow();
    }

    /** The limbs that a finding names. */
    List<Axis> limbs(Finding finding) {
        return finding.targets().stream()
                .map(target -> tree.find(target.limb()).orElseThrow())
                .toList();
    }

    /**
     * The usual cut that takes a whole limb: by hand while it is a soft shoot in leaf; back to a stub when it is an old scaffold of a
     * tree that is to come down far, so that it grows anew from low.
     */
    Operation wholeOf(Axis limb) {
        Optional<Operation> stub = comesDownFar
                        && limb.parent() == 0
                        && isOldScaffold(limb)
                        && limb.conditions().isEmpty()
                ? stubs.of(limb)
                : Optional.empty();
        if (stub.isPresent()) {
            return stub.get();
        }
        boolean soft = inLeaf && Options.isSoft(tree, limb);
        return soft ? Operation.whole(OperationKind.RUB, limb) : Operation.remove(limb);
    }

    /** One of two limbs, or the first of them back: whichever the tree loses least by. */
    List<Operation> oneOfTwo(Finding finding) {
        Axis first = limb(finding, 0);
        Axis second = limb(finding, 1);
        List<Operation> operations = new ArrayList<>();
        operations.add(wholeOf(first));
        operations.add(wholeOf(second));
        operations.addAll(reductions(first));
        Options.shortening(tree, first).ifPresent(operations::add);
        return operations;
    }

    /** A limb that stands where none is wanted: off, or shortened; shoots of that kind off. */
    List<Operation> strayOff(Finding finding) {
        Target target = finding.first();
        if (target.isSmallWood()) {
            return List.of(Operation.remove(target));
        }
        Axis limb = limb(finding, 0);
        List<Operation> operations = new ArrayList<>();
        operations.add(wholeOf(limb));
        Options.shortening(tree, limb).ifPresent(operations::add);
        return operations;
    }

    /** Each limb back to the side branch that lies inside, shortened, or as a whole where limbs are renewed. */
    List<Operation> backInside(Finding finding) {
        List<Operation> operations = new ArrayList<>();
        for (Axis limb : limbs(finding)) {
            operations.addAll(reductions(limb));
            Options.shortening(tree, limb).ifPresent(operations::add);
            if (!tree.setting().system().scaffolds().permanent() || limb.role() != Role.SCAFFOLD) {
                operations.add(renewal(limb));
            }
        }
        return operations;
    }

    /** The system's way of taking a limb that is to be grown anew. */
    Operation renewal(Axis limb) {
        boolean onTrunk = tree.axis(limb.parent()).kind() == AxisKind.TRUNK;
        String way = tree.setting().system().thickLimbCut();
        if (onTrunk && way.equals(OperationKind.RENEW_BEVEL.word())) {
            return Operation.whole(OperationKind.RENEW_BEVEL, limb);
        }
        return onTrunk && way.equals(OperationKind.RENEW_STUB.word())
                ? stubs.of(limb).orElse(Operation.remove(limb))
                : Operation.remove(limb);
    }

    /** A limb bent to where its system wants it, flatter or steeper by the school; empty where it does not bend. */
    Optional<Operation> bend(Axis limb) {
        return Options.bend(tree, limb, school.preferences().scaffoldLeanDeg());
    }

    List<Operation> reductions(Axis limb) {
        return Options.sideBranches(tree, limb).stream()
                .limit(parameters().reductions())
                .map(branch -> reduce(limb, branch))
                .toList();
    }

    static Operation reduce(Axis limb, Axis branch) {
        return Operation.reduce(OperationKind.REDUCE, limb, branch, Options.pastUnion(limb, branch));
    }
}
