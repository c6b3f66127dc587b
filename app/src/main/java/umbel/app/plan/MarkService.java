package umbel.app.plan;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import umbel.app.http.NotFound;
import umbel.app.orchard.OrchardTree;
import umbel.app.reader.Reader;
import umbel.app.survey.SurveyEntry;
import umbel.assess.Assessment;
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
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.plan.Totals;
import umbel.plant.SurveyedTree;
import umbel.reading.TreeReader;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Units;

/** What marks on a tree do, what could be marked besides, and saving them. */
@Service
class MarkService {

    private final DecidedTrees trees;
    private final TreeDecisions decided;
    private final Suggestions suggestions;
    private final Assessor assessor;
    private final Knowledge knowledge;

    MarkService(
            DecidedTrees trees,
            TreeDecisions decided,
            Suggestions suggestions,
            Assessor assessor,
            Knowledge knowledge) {
        this.trees = trees;
        this.decided = decided;
        this.suggestions = suggestions;
        this.assessor = assessor;
        this.knowledge = knowledge;
    }

    TreeAnswers.Marked marked(long treeId, Decisions decisions) {
        SurveyEntry survey = trees.survey(treeId);
        SurveyedTree read = trees.read(survey, decisions);
        Limits limits = assessor.limits(trees.request(read, decisions), read.tree());
        CutTree cut = CutTree.of(read.tree(), DecidedTrees.operations(decisions));
        Totals.Sum sum = Totals.read(cut, read.reading().crop(), read.reading().lines(), limits.reach());
        return new TreeAnswers.Marked(
                PlanTelling.totals(sum.totals()),
                CutAnswers.cuts(cut),
                CutAnswers.moved(cut),
                effects(cut, limits.reach(), survey.tree().safetyLimits()),
                assessor.in(Reader.speech())
                        .findings(
                                read.tree(),
                                read.school(),
                                TreeReader.findings(
                                        cut.left(), read.school(), sum.light(), limits.reach(), read.neighbours())));
    }

    List<TreeAnswers.Option> options(long treeId, String limbId, Decisions decisions) {
        SurveyedTree read = trees.read(trees.survey(treeId), decisions);
        Limits limits = assessor.limits(trees.request(read, decisions), read.tree());
        Tree tree = read.tree();
        Axis limb = tree.find(limbId).filter(Axis::isFrame).orElseThrow(() -> new NotFound("limb", limbId));
        List<Operation> others = DecidedTrees.operations(decisions).stream()
                .filter(operation -> !operation.target().path().equals(limbId))
                .toList();
        Totals before = Totals.of(
                CutTree.of(tree, others), read.reading().crop(), read.reading().lines(), limits.reach());
        List<TreeAnswers.Option> options = new ArrayList<>();
        for (Operation operation : Options.on(tree, limb, decisions.moment().isSummer())) {
            options.add(option(read, limits, others, operation, before));
        }
        for (Target group : groupsOn(tree, limb)) {
            options.add(option(read, limits, others, Operation.remove(group), before));
        }
        return options;
    }

    List<Assessment.StepAnswer> sheet(long treeId, Decisions decisions) {
        SurveyedTree read = trees.read(trees.survey(treeId), decisions);
        PlanRequest planRequest = assessor.planRequest(
                trees.request(read, decisions),
                read.tree(),
                DecidedTrees.operations(decisions),
                new HashSet<>(decisions.refused()));
        return Planner.marked(read.tree(), read.reading(), planRequest).steps().stream()
                .map(assessor.in(Reader.speech()).telling()::step)
                .toList();
    }

    TreeAnswers.Kept keep(long treeId, TreeAnswers.Keep keep, Viewer viewer) {
        SurveyEntry survey = trees.survey(treeId);
        trees.check(survey, keep.decisions());
        OrchardTree tree = trees.tree(treeId);
        return new TreeAnswers.Kept(
                viewer.adviser()
                        ? suggestions.keep(tree, survey, viewer.name(), keep.decisions(), keep.version())
                        : decided.keep(tree, survey, keep.decisions(), keep.version()));
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
