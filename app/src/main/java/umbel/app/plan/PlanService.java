package umbel.app.plan;

import java.util.HashSet;
import java.util.List;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import umbel.app.answer.AnswerKind;
import umbel.app.answer.KeptAnswers;
import umbel.app.answer.Written;
import umbel.app.learning.LearningService;
import umbel.app.orchard.OrchardTree;
import umbel.app.reader.Reader;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.TreeReadings;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.assess.PhaseTiming;
import umbel.assess.SchoolComparison;
import umbel.crop.CropReading;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.SafetyLimits;
import umbel.growth.BlockCalibration;
import umbel.knowledge.Knowledge;
import umbel.light.LightModel;
import umbel.light.LightSummary;
import umbel.plan.Plan;
import umbel.plan.PlanRequest;
import umbel.plan.Planning;
import umbel.plan.Step;
import umbel.plant.SurveyedTree;
import umbel.reading.FindingConfidence;
import umbel.reading.TreeReader;

/** Plans for a saved tree, alone and beside those of another school. */
@Service
class PlanService {

    private final DecidedTrees trees;
    private final TreeReadings readings;
    private final LearningService learning;
    private final Assessor assessor;
    private final PlanCache plans;
    private final KeptAnswers kept;
    private final Knowledge knowledge;

    PlanService(
            DecidedTrees trees,
            TreeReadings readings,
            LearningService learning,
            Assessor assessor,
            PlanCache plans,
            KeptAnswers kept,
            Knowledge knowledge) {
        this.trees = trees;
        this.readings = readings;
        this.learning = learning;
        this.assessor = assessor;
        this.plans = plans;
        this.kept = kept;
        this.knowledge = knowledge;
    }

    /** The plans for a tree, each with the seasons after it. */
    Written<TreeAnswers.Plans> plans(long treeId, Decisions decisions) {
        SurveyEntry survey = trees.survey(treeId);
        return kept.of(survey, AnswerKind.PLANS, decisions, () -> plans(survey, decisions));
    }

    private TreeAnswers.Plans plans(SurveyEntry survey, Decisions decisions) {
        Asked asked = asked(survey, decisions);
        List<Plan> plans = ask(asked, Planning::all);
        return new TreeAnswers.Plans(
                assessor.in(Reader.speech()).telling().plans(plans),
                assessor.in(Reader.speech()).telling().inOneWinter(plans),
                stops(survey.tree(), plans),
                PhaseTiming.of(asked.read().tree(), decisions.moment(), Reader.speech()),
                assessor.in(Reader.speech()).measureNext(asked.certainty()));
    }

    /** The recommended plan alone, without the seasons after it: there in half the time. */
    Written<TreeAnswers.FirstPlan> firstPlan(long treeId, Decisions decisions) {
        return firstPlan(trees.survey(treeId), decisions);
    }

    /** The same for a survey. */
    Written<TreeAnswers.FirstPlan> firstPlan(SurveyEntry survey, Decisions decisions) {
        return kept.of(survey, AnswerKind.FIRST_PLAN, decisions, () -> planFirst(survey, decisions));
    }

    private TreeAnswers.FirstPlan planFirst(SurveyEntry survey, Decisions decisions) {
        Asked asked = asked(survey, decisions);
        Plan plan = ask(asked, Planning::recommended);
        return new TreeAnswers.FirstPlan(
                assessor.in(Reader.speech()).telling().plan(plan),
                stops(survey.tree(), List.of(plan)),
                PhaseTiming.of(asked.read().tree(), decisions.moment(), Reader.speech()));
    }

    /** The recommended plan of a survey on which nothing is decided yet, beside the tree as it stands. */
    record Recommended(Plan plan, LightSummary light, CropReading crop, int doubts) {}

    /** The same, with how the tree goes on under that plan and left alone. */
    record GrownOn(Recommended recommended, Planning.Course course) {}

    /** What the plan of a survey depends on, on which nothing is decided yet, as its block is known at this moment. */
    String basis(SurveyEntry survey) {
        return new PlanCache.Key(
                        survey.id(),
                        Decisions.none(),
                        learning.of(survey.tree().block()),
                        readings.lookAroundNow(survey))
                .toString();
    }

    /** Plans a survey as if nothing were decided on it. */
    Recommended recommended(SurveyEntry survey) {
        Asked asked = asked(survey, Decisions.none());
        return recommended(asked, ask(asked, Planning::recommended));
    }

    /** Plans a survey as if nothing were decided on it, and grows its tree on. */
    GrownOn grownOn(SurveyEntry survey) {
        Asked asked = asked(survey, Decisions.none());
        Planning.Course course = ask(asked, Planning::course);
        return new GrownOn(recommended(asked, asked.planning().recommended()), course);
    }

    private static Recommended recommended(Asked asked, Plan plan) {
        return new Recommended(
                plan,
                LightSummary.of(asked.sure().light(), asked.sure().lines()),
                asked.sure().crop(),
                asked.certainty().measureNext().size());
    }

    /** The tree under its school and under another: both plans, and which cuts differ because of which setting. */
    TreeAnswers.Beside beside(long treeId, Decisions decisions, Decisions otherwise) {
        SurveyEntry survey = trees.survey(treeId);
        Asked mine = asked(survey, decisions.marking(List.of()));
        Asked theirs = asked(survey, otherwise);
        return new TreeAnswers.Beside(
                Reader.speech().knowledge(mine.planRequest().school().name()),
                Reader.speech().knowledge(theirs.planRequest().school().name()),
                assessor.in(Reader.speech())
                        .telling()
                        .plans(ask(mine, Planning::all))
                        .get(0),
                assessor.in(Reader.speech())
                        .telling()
                        .plans(ask(theirs, Planning::all))
                        .get(0),
                SchoolComparison.of(mine.read().tree(), mine.view(), theirs.view(), Reader.speech()),
                mine.afterwards(),
                theirs.afterwards());
    }

    /** Asks a planning, and has the room it takes then counted again. */
    private <A> A ask(Asked asked, Function<Planning, A> question) {
        try {
            return question.apply(asked.planning());
        } finally {
            plans.weighAgain(asked.key());
        }
    }

    /** The steps past what the holding lets its people do. */
    private List<String> stops(OrchardTree tree, List<Plan> plans) {
        SafetyLimits limits = tree.safetyLimits();
        return plans.stream()
                .flatMap(plan -> plan.steps().stream())
                .filter(step -> limits.stop(
                        step.effect(), knowledge.parameters().cutting().tools()))
                .map(step -> PlanRequest.key(step.operation()))
                .distinct()
                .toList();
    }

    /** A tree read and wished for, with the planning that answers it. */
    private record Asked(
            SurveyedTree read,
            FindingConfidence.Answer certainty,
            TreeReader.Reading sure,
            PlanRequest planRequest,
            PlanCache.Key key,
            Planning planning) {

        /** What is done after the last cut of the recommended plan. */
        List<AfterLine> afterwards() {
            List<Operation> now = planning.all().get(0).steps().stream()
                    .filter(step -> step.year() == 0)
                    .map(Step::operation)
                    .toList();
            CutTree cut = CutTree.of(read.tree(), now);
            return AfterLine.of(read.afterwards(cut, LightModel.read(cut.left())), Reader.speech()::say);
        }

        SchoolComparison.View view() {
            return new SchoolComparison.View(
                    planRequest.school(),
                    planRequest.limits(),
                    sure.findings(),
                    planning.all().get(0));
        }
    }

    private Asked asked(SurveyEntry survey, Decisions decisions) {
        SurveyedTree read = trees.read(survey, decisions);
        AssessRequest request = trees.request(read, decisions);
        BlockCalibration learned = learning.of(survey.tree().block());
        PlanRequest planRequest = assessor.planRequest(
                        request, read.tree(), DecidedTrees.operations(decisions), new HashSet<>(decisions.refused()))
                .knowing(learned);
        FindingConfidence.Answer certainty = readings.certaintyOf(survey, read);
        TreeReader.Reading sure = read.reading().withFindings(certainty.findings());
        PlanCache.Key key = new PlanCache.Key(survey.id(), decisions, learned, read.neighbours());
        return new Asked(
                read,
                certainty,
                sure,
                planRequest,
                key,
                plans.of(key, read.tree(), sure, planRequest, Assessor.seed(request)));
    }
}
