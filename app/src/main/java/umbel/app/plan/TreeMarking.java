package umbel.app.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import umbel.app.http.NotFound;
import umbel.app.reader.Reader;
import umbel.assess.Assessor;
import umbel.assess.Mark;
import umbel.assess.PlanTelling;
import umbel.assess.StepText;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.Options;
import umbel.cut.SafetyLimits;
import umbel.cut.Target;
import umbel.cut.TargetAxes;
import umbel.knowledge.Knowledge;
import umbel.plan.Limits;
import umbel.plan.Totals;
import umbel.plant.SurveyedTree;
import umbel.reading.TreeReader;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Units;

/** What marks do to a tree that was read, saved or not, and what could be marked besides. */
@Component
public class TreeMarking {

    private final Assessor assessor;
    private final Knowledge knowledge;

    TreeMarking(Assessor assessor, Knowledge knowledge) {
        this.assessor = assessor;
        this.knowledge = knowledge;
    }

    /** The measured limbs of a tree in the order of its survey. */
    public List<TreeAnswers.LimbLine> limbs(SurveyedTree read) {
        return LimbTable.of(read);
    }

    /** The tree under its marks, without what is still wrong with it. */
    public TreeAnswers.UnderMarks underMarks(SurveyedTree read, Limits limits, List<Operation> operations) {
        CutTree cut = CutTree.of(read.tree(), operations);
        return new TreeAnswers.UnderMarks(
                PlanTelling.totals(
                        Totals.of(cut, read.reading().crop(), read.reading().lines(), limits.reach())),
                CutAnswers.cuts(cut),
                CutAnswers.moved(cut),
                effects(cut, limits.reach(), SafetyLimits.none()));
    }

    /** The tree under its marks, read anew. */
    public TreeAnswers.Marked marked(
            SurveyedTree read, Limits limits, List<Operation> operations, SafetyLimits safety) {
        CutTree cut = CutTree.of(read.tree(), operations);
        Totals.Sum sum = Totals.read(cut, read.reading().crop(), read.reading().lines(), limits.reach());
        return new TreeAnswers.Marked(
                PlanTelling.totals(sum.totals()),
                CutAnswers.cuts(cut),
                CutAnswers.moved(cut),
                effects(cut, limits.reach(), safety),
                assessor.in(Reader.speech())
                        .findings(
                                read.tree(),
                                read.school(),
                                TreeReader.findings(
                                        cut.left(), read.school(), sum.light(), limits.reach(), read.neighbours())),
                AfterLine.of(read.afterwards(cut, sum.light()), Reader.speech()::say));
    }

    /**
     * What could be done to a limb beside what is marked on others.
     *
     * @throws NotFound where the tree has no such limb
     */
    public List<TreeAnswers.Option> options(
            SurveyedTree read, Limits limits, String limbId, List<Operation> marked, boolean summer) {
        Tree tree = read.tree();
        List<Operation> possible = possible(tree, limbId, summer);
        List<Operation> others = marked.stream()
                .filter(operation -> !operation.target().path().equals(limbId))
                .toList();
        Totals before = Totals.of(
                CutTree.of(tree, others), read.reading().crop(), read.reading().lines(), limits.reach());
        return possible.stream()
                .map(operation -> option(read, limits, others, operation, before))
                .toList();
    }

    /**
     * The operations that are possible on a limb and on its groups of shoots.
     *
     * @throws NotFound where the tree has no such limb
     */
    public static List<Operation> possible(Tree tree, String limbId, boolean summer) {
        Axis limb = tree.find(limbId).filter(Axis::isFrame).orElseThrow(() -> new NotFound("limb", limbId));
        return Stream.concat(
                        Options.on(tree, limb, summer).stream(),
                        groupsOn(tree, limb).stream().map(Operation::remove))
                .toList();
    }

    private TreeAnswers.Option option(
            SurveyedTree read, Limits limits, List<Operation> others, Operation operation, Totals before) {
        List<Operation> all = new ArrayList<>(others);
        all.add(operation);
        CutTree cut = CutTree.of(read.tree(), all);
        Effect effect = Effect.of(cut, all.size() - 1, limits.reach());
        Totals after = Totals.of(cut, read.reading().crop(), read.reading().lines(), limits.reach());
        StepText text = assessor.in(Reader.speech()).telling().text();
        return new TreeAnswers.Option(
                Mark.of(operation),
                text.title(read.tree(), operation),
                text.place(read.tree(), operation),
                text.numbers(effect),
                text.answer(operation, effect),
                Units.round(effect.woodShare(), 3),
                Units.round(effect.flowerShare(), 3),
                Units.round(before.light().underFruitLight(), 3),
                Units.round(after.light().underFruitLight(), 3));
    }

    private static List<Target> groupsOn(Tree tree, Axis limb) {
        return Stream.of(Attitude.UP, Attitude.IN, Attitude.DOWN)
                .map(attitude -> Target.shoots(limb.id(), attitude))
                .filter(group -> !TargetAxes.of(tree, group).isEmpty())
                .toList();
    }

    private List<TreeAnswers.Effects> effects(CutTree cut, double reach, SafetyLimits limits) {
        StepText text = assessor.in(Reader.speech()).telling().text();
        List<TreeAnswers.Effects> effects = new ArrayList<>();
        List<Effect> all = Effect.ofAll(cut, reach);
        for (int i = 0; i < all.size(); i++) {
            Operation operation = cut.operations().get(i);
            Effect effect = all.get(i);
            effects.add(new TreeAnswers.Effects(
                    Mark.of(operation),
                    text.title(cut.found(), operation),
                    text.place(cut.found(), operation),
                    text.numbers(effect),
                    text.answer(operation, effect),
                    Units.round(effect.minutes(), 2),
                    Units.round(effect.woodShare(), 3),
                    Units.round(effect.sprouts(), 1),
                    CutAnswers.flag(cut, operation),
                    assessor.in(Reader.speech()).telling().trainingOf(cut.found(), operation),
                    StepText.cautions(cut.found(), operation, effect, knowledge.cautions()).stream()
                            .map(Reader.speech()::knowledge)
                            .toList(),
                    limits.stop(effect, knowledge.parameters().cutting().tools())));
        }
        return effects;
    }
}
