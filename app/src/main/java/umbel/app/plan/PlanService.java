package umbel.app.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import umbel.app.http.NotFound;
import umbel.app.learning.LearningService;
import umbel.app.log.RecordRepository;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.survey.StandDrawing;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.assess.AssessRequest;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.assess.Mark;
import umbel.assess.PhaseTiming;
import umbel.assess.SchoolComparison;
import umbel.assess.StepText;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.ImpossibleCut;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Options;
import umbel.cut.SafetyLimits;
import umbel.cut.Target;
import umbel.cut.TargetAxes;
import umbel.growth.BlockCalibration;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.knowledge.SchoolLines;
import umbel.plan.Limits;
import umbel.plan.Plan;
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.plan.Planning;
import umbel.plan.Totals;
import umbel.plant.Plant;
import umbel.plant.SurveyedTree;
import umbel.reading.TreeReader;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Units;

/** Joins a saved tree with the core's reading, cutting and planning. */
@Service
public class PlanService {

    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final TreeDecisions decided;
    private final Suggestions suggestions;
    private final RecordRepository records;
    private final TreeReadings readings;
    private final Assessor assessor;
    private final LearningService learning;
    private final PlanCache keeper;
    private final Knowledge knowledge;

    public PlanService(
            TreeRepository trees,
            SurveyRepository surveys,
            TreeDecisions decided,
            Suggestions suggestions,
            RecordRepository records,
            TreeReadings readings,
            Assessor assessor,
            LearningService learning,
            PlanCache keeper,
            Knowledge knowledge) {
        this.trees = trees;
        this.surveys = surveys;
        this.decided = decided;
        this.suggestions = suggestions;
        this.records = records;
        this.readings = readings;
        this.assessor = assessor;
        this.learning = learning;
        this.keeper = keeper;
        this.knowledge = knowledge;
    }

    @Transactional(readOnly = true)
    public TreeAnswers.TreePage page(long treeId, Viewer viewer) {
        OrchardTree tree = tree(treeId);
        SurveyEntry survey = newest(treeId);
        TreeDecisions.Current current =
                viewer.adviser() ? suggestions.of(treeId, survey, viewer.name()) : decided.on(treeId, survey);
        SurveyedTree read = read(survey, current.decisions());
        Limits limits = assessor.limits(request(read, current.decisions()), read.tree());
        return new TreeAnswers.TreePage(
                name(tree, survey, read),
                StandDrawing.of(read.tree(), read.reading().light()),
                TargetShape.of(read.tree().setting()),
                assessor.reading(read.tree(), sure(survey, read), read.school()),
                new TreeAnswers.LimitsInForce(
                        limits.woodShare(),
                        limits.bigCuts(),
                        limits.reach(),
                        Units.round(
                                limits.reach() * read.tree().setting().system().reachFactor(), 2)),
                LimbTable.of(read),
                current.decisions(),
                current.version(),
                current.outdated(),
                viewer.adviser() ? List.of() : suggestions(treeId, survey, read),
                records.findLastThatCounts(treeId, survey.id(), survey.surveyedOn())
                        .map(visit -> visit.doneOn().toString())
                        .orElse(""),
                OperationKind.together());
    }

    /** The plans for a tree, each with the seasons after it. */
    @Transactional(readOnly = true)
    public TreeAnswers.Plans plans(long treeId, Decisions decisions) {
        SurveyEntry survey = newest(treeId);
        Asked asked = asked(survey, decisions);
        List<Plan> plans = asked.planning().all();
        return new TreeAnswers.Plans(
                assessor.plans(plans),
                assessor.inOneWinter(plans),
                stops(survey.tree(), plans),
                PhaseTiming.of(asked.read().tree(), decisions.moment()),
                Assessor.measureNext(readings.certaintyOf(survey, asked.read())));
    }

    /** The recommended plan alone, without the seasons after it: there in half the time. */
    @Transactional(readOnly = true)
    public TreeAnswers.FirstPlan firstPlan(long treeId, Decisions decisions) {
        SurveyEntry survey = newest(treeId);
        Asked asked = asked(survey, decisions);
        Plan plan = asked.planning().recommended();
        return new TreeAnswers.FirstPlan(
                assessor.plan(plan),
                stops(survey.tree(), List.of(plan)),
                PhaseTiming.of(asked.read().tree(), decisions.moment()));
    }

    /** The steps past what the holding lets its people do. */
    private List<String> stops(OrchardTree tree, List<Plan> plans) {
        SafetyLimits limits = limits(tree);
        return plans.stream()
                .flatMap(plan -> plan.steps().stream())
                .filter(step -> limits.stop(
                        step.effect(), knowledge.parameters().cutting().tools()))
                .map(step -> PlanRequest.key(step.operation()))
                .distinct()
                .toList();
    }

    /** The tree under its school and under another: both plans, and which cuts differ because of which setting. */
    @Transactional(readOnly = true)
    public TreeAnswers.Beside beside(long treeId, Decisions decisions, String otherSchool) {
        SurveyEntry survey = newest(treeId);
        Asked mine = asked(survey, decisions.marking(List.of()));
        Asked theirs = asked(survey, decisions.underSchool(otherSchool));
        return new TreeAnswers.Beside(
                mine.planRequest().school().name(),
                theirs.planRequest().school().name(),
                assessor.plans(mine.planning().all()).get(0),
                assessor.plans(theirs.planning().all()).get(0),
                SchoolComparison.of(mine.read().tree(), mine.view(), theirs.view()));
    }

    /** A tree read and wished for, with the planning that answers it. */
    private record Asked(SurveyedTree read, TreeReader.Reading sure, PlanRequest planRequest, Planning planning) {

        SchoolComparison.View view() {
            return new SchoolComparison.View(
                    planRequest.school(),
                    planRequest.limits(),
                    sure.findings(),
                    planning.all().get(0));
        }
    }

    private Asked asked(SurveyEntry survey, Decisions decisions) {
        SurveyedTree read = read(survey, decisions);
        AssessRequest request = request(read, decisions);
        BlockCalibration learned = learning.of(survey.tree().block());
        PlanRequest planRequest = assessor.planRequest(
                        request, read.tree(), operations(decisions), new HashSet<>(decisions.refused()))
                .knowing(learned);
        TreeReader.Reading sure = sure(survey, read);
        PlanCache.Key key = new PlanCache.Key(survey.id(), decisions, learned, read.neighbours());
        return new Asked(
                read, sure, planRequest, keeper.of(key, read.tree(), sure, planRequest, Assessor.seed(request)));
    }

    @Transactional(readOnly = true)
    public TreeAnswers.Marked marked(long treeId, Decisions decisions) {
        SurveyEntry survey = newest(treeId);
        SurveyedTree read = read(survey, decisions);
        Limits limits = assessor.limits(request(read, decisions), read.tree());
        CutTree cut = CutTree.of(read.tree(), operations(decisions));
        Totals.Sum sum = Totals.read(cut, read.reading().crop(), read.reading().lines(), limits.reach());
        return new TreeAnswers.Marked(
                Assessor.totals(sum.totals()),
                CutAnswers.cuts(cut),
                CutAnswers.moved(cut),
                effects(cut, limits.reach(), limits(survey.tree())),
                assessor.findings(
                        read.tree(),
                        read.school(),
                        TreeReader.findings(
                                cut.left(), read.school(), sum.light(), limits.reach(), read.neighbours())));
    }

    /** What the trees of a tree's block have taught about forecasts. */
    @Transactional(readOnly = true)
    public BlockCalibration learned(long treeId) {
        return learning.of(tree(treeId).block());
    }

    /** Id of the newest survey of a tree. */
    @Transactional(readOnly = true)
    public long newestSurvey(long treeId) {
        return newest(treeId).id();
    }

    /** What is marked on a tree's newest survey, in the order of work; empty where nothing is. */
    @Transactional(readOnly = true)
    public List<Mark> markedInOrder(long treeId) {
        SurveyEntry survey = newest(treeId);
        Decisions decisions = decided.on(treeId, survey).decisions();
        return read(survey, decisions).inOrder(decisions.marks());
    }

    /** The plant at a place, of whatever kind, as it was last surveyed and read under what is decided on it. */
    @Transactional(readOnly = true)
    public Plant plant(long treeId) {
        return newestReading(treeId);
    }

    /** The newest survey of a tree as it was read under what is decided on it. */
    @Transactional(readOnly = true)
    public SurveyedTree newestReading(long treeId) {
        SurveyEntry survey = newest(treeId);
        return read(survey, decided.on(treeId, survey).decisions());
    }

    private TreeReader.Reading sure(SurveyEntry survey, SurveyedTree read) {
        TreeReader.Reading reading = read.reading();
        return new TreeReader.Reading(
                reading.light(),
                reading.crop(),
                reading.lines(),
                readings.certaintyOf(survey, read).findings());
    }

    @Transactional(readOnly = true)
    public List<TreeAnswers.Option> options(long treeId, String limbId, Decisions decisions) {
        SurveyedTree read = read(newest(treeId), decisions);
        Limits limits = assessor.limits(request(read, decisions), read.tree());
        Tree tree = read.tree();
        Axis limb = tree.find(limbId).filter(Axis::isFrame).orElseThrow(() -> new NotFound("limb", limbId));
        List<Operation> others = operations(decisions).stream()
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

    @Transactional(readOnly = true)
    public List<Assessment.StepAnswer> sheet(long treeId, Decisions decisions) {
        SurveyedTree read = read(newest(treeId), decisions);
        PlanRequest planRequest = assessor.planRequest(
                request(read, decisions), read.tree(), operations(decisions), new HashSet<>(decisions.refused()));
        return Planner.marked(read.tree(), read.reading(), planRequest).steps().stream()
                .map(step -> assessor.step(step))
                .toList();
    }

    @Transactional
    public TreeAnswers.Kept keep(long treeId, TreeAnswers.Keep keep, Viewer viewer) {
        SurveyEntry survey = newest(treeId);
        SurveyedTree read = read(survey, keep.decisions());
        CutTree.of(read.tree(), operations(keep.decisions()));
        OrchardTree tree = tree(treeId);
        return new TreeAnswers.Kept(
                viewer.adviser()
                        ? suggestions.keep(tree, survey, viewer.name(), keep.decisions(), keep.version())
                        : decided.keep(tree, survey, keep.decisions(), keep.version()));
    }

    /**
     * Who looks at a tree.
     *
     * @param adviser whether what they mark is a suggestion
     */
    public record Viewer(String name, boolean adviser) {}

    private List<TreeAnswers.SuggestionLine> suggestions(long treeId, SurveyEntry survey, SurveyedTree read) {
        return suggestions.open(treeId, survey).stream()
                .map(one -> new TreeAnswers.SuggestionLine(
                        one.id(),
                        one.by(),
                        one.at(),
                        one.marks(),
                        one.marks().stream()
                                .map(mark -> StepText.title(read.tree(), mark.toOperation()))
                                .toList()))
                .toList();
    }

    private TreeAnswers.Option option(
            SurveyedTree read, Limits limits, List<Operation> others, Operation operation, Totals before) {
        List<Operation> all = new ArrayList<>(others);
        all.add(operation);
        CutTree cut = CutTree.of(read.tree(), all);
        Effect effect = Effect.of(cut, all.size() - 1, limits.reach());
        Totals after = Totals.of(cut, read.reading().crop(), read.reading().lines(), limits.reach());
        return new TreeAnswers.Option(
                Mark.of(operation),
                StepText.title(read.tree(), operation),
                StepText.place(read.tree(), operation),
                StepText.numbers(effect),
                StepText.answer(operation, effect),
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

    private static SafetyLimits limits(OrchardTree tree) {
        return tree.block().holding().limits(tree.block().nearPowerLines());
    }

    private List<TreeAnswers.Effects> effects(CutTree cut, double reach, SafetyLimits limits) {
        List<TreeAnswers.Effects> effects = new ArrayList<>();
        List<Effect> all = Effect.ofAll(cut, reach);
        for (int i = 0; i < all.size(); i++) {
            Operation operation = cut.operations().get(i);
            Effect effect = all.get(i);
            effects.add(new TreeAnswers.Effects(
                    Mark.of(operation),
                    StepText.title(cut.found(), operation),
                    StepText.place(cut.found(), operation),
                    StepText.numbers(effect),
                    StepText.answer(operation, effect),
                    Units.round(effect.minutes(), 2),
                    Units.round(effect.woodShare(), 3),
                    CutAnswers.flag(cut, operation),
                    Assessor.trainingOf(cut.found(), operation),
                    StepText.cautions(cut.found(), operation, effect, knowledge.cautions()),
                    limits.stop(effect, knowledge.parameters().cutting().tools())));
        }
        return effects;
    }

    private TreeAnswers.TreeName name(OrchardTree tree, SurveyEntry survey, SurveyedTree read) {
        List<Long> surveyed = surveys.findNewest().stream()
                .map(entry -> entry.tree().id())
                .sorted()
                .toList();
        int at = surveyed.indexOf(tree.id());
        return new TreeAnswers.TreeName(
                tree.id(),
                tree.label(),
                tree.block().id(),
                tree.block().name(),
                read.tree().setting().species().id(),
                read.tree().setting().species().names().one(),
                read.tree().setting().system().id(),
                read.tree().setting().system().name(),
                cultivarOf(read, tree),
                read.tree().setting().leaf(),
                survey.surveyedOn().toString(),
                survey.id(),
                read.tree().limbs().size(),
                at > 0 ? surveyed.get(at - 1) : null,
                at >= 0 && at + 1 < surveyed.size() ? surveyed.get(at + 1) : null);
    }

    private static String cultivarOf(SurveyedTree read, OrchardTree tree) {
        var cultivar = read.request().survey().tree().cultivar();
        boolean named =
                cultivar != null && cultivar.name() != null && !cultivar.name().isBlank();
        return named ? cultivar.name() : tree.block().cultivar();
    }

    private SurveyedTree read(SurveyEntry survey, Decisions decisions) {
        return readings.of(
                survey,
                decisions.school(),
                lines(decisions),
                decisions.hold() == null ? null : decisions.hold().reachM(),
                readings.neighboursOf(survey));
    }

    /** The school's own lines as the core wants them: yes and no are kept as 1 and 0. */
    private Map<String, Object> lines(Decisions decisions) {
        if (decisions.schoolLines().isEmpty()) {
            return Map.of();
        }
        Map<String, Object> usual = SchoolLines.of(knowledge.school(School.USUAL));
        Map<String, Object> lines = new HashMap<>();
        decisions
                .schoolLines()
                .forEach((line, value) ->
                        lines.put(line, usual.get(line) instanceof Boolean ? (Object) (value != 0) : (Object) value));
        return lines;
    }

    private AssessRequest request(SurveyedTree read, Decisions decisions) {
        Decisions.Hold hold = decisions.hold();
        return new AssessRequest(
                read.request().survey(),
                decisions.moment().word(),
                null,
                decisions.goals(),
                decisions.school(),
                hold == null ? null : new AssessRequest.LimitsAsked(hold.woodShare(), hold.bigCuts(), hold.reachM()),
                decisions.winters(),
                null,
                lines(decisions),
                null);
    }

    /** The operations that were marked. */
    static List<Operation> operations(Decisions decisions) {
        List<Operation> operations = new ArrayList<>();
        for (int i = 0; i < decisions.marks().size(); i++) {
            try {
                operations.add(decisions.marks().get(i).toOperation());
            } catch (ImpossibleCut e) {
                throw new ImpossibleCut("marks[" + i + "]." + e.field(), e.getMessage());
            }
        }
        return operations;
    }

    private OrchardTree tree(long id) {
        return trees.findById(id).orElseThrow(() -> new NotFound("tree", id));
    }

    private SurveyEntry newest(long treeId) {
        tree(treeId);
        return surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(treeId)
                .orElseThrow(() -> new NotFound("survey of tree", treeId));
    }
}
