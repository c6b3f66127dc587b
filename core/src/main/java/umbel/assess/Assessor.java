package umbel.assess;

import static umbel.assess.FormatWords.cm;
import static umbel.assess.FormatWords.round;
import static umbel.assess.FormatWords.word;

import java.util.List;
import java.util.Map;
import java.util.Set;
import umbel.crop.HarvestLoad;
import umbel.cut.Operation;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.light.LightReading;
import umbel.light.LightSummary;
import umbel.plan.Goals;
import umbel.plan.Limits;
import umbel.plan.Plan;
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.reading.Finding;
import umbel.reading.FindingConfidence;
import umbel.reading.Neighbours;
import umbel.reading.TreeReader;
import umbel.reading.YoungTree;
import umbel.survey.InvalidSurvey;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;
import umbel.wood.Units;

/** Reads a survey, plans for it and puts the answer into the open format's names and units. */
public final class Assessor {

    private static final long USUAL_SEED = 1;

    private final Knowledge knowledge;
    private final Speech speech;
    private final PlanTelling telling;

    /** An assessor that answers in English and metric units. */
    public Assessor(Knowledge knowledge) {
        this(knowledge, Speech.english());
    }

    private Assessor(Knowledge knowledge, Speech speech) {
        this.knowledge = knowledge;
        this.speech = speech;
        this.telling = new PlanTelling(knowledge, speech);
    }

    /** The same, answering in another language or other units. */
    public Assessor in(Speech other) {
        return new Assessor(knowledge, other);
    }

    /** How it tells plans. */
    public PlanTelling telling() {
        return telling;
    }

    /** The tree of a request. */
    public Tree tree(AssessRequest request) {
        return TreeBuilder.build(request.survey(), knowledge, seed(request));
    }

    /** The seed of a request's small wood and of the seasons it is grown through. */
    public static long seed(AssessRequest request) {
        return request.seed() == null ? USUAL_SEED : request.seed();
    }

    /** The school a request asks for. */
    public School school(AssessRequest request) {
        return knowledge.school(
                request.school() == null ? School.USUAL : request.school(),
                request.schoolLines() == null ? Map.of() : request.schoolLines());
    }

    /** The limits a request asks for, the usual ones where it is silent. */
    public Limits limits(AssessRequest request, Tree tree) {
        AssessRequest.LimitsAsked asked = request.limits();
        double reach =
                asked == null || asked.reachM() == null ? knowledge.parameters().reach() : asked.reachM();
        Limits usual = Limits.usual(tree.setting().species(), tree.setting().system(), school(request), reach);
        return asked == null
                ? usual
                : new Limits(
                        asked.woodShare() == null ? usual.woodShare() : asked.woodShare(),
                        asked.bigCuts() == null ? usual.bigCuts() : asked.bigCuts(),
                        reach,
                        asked.woodShare() != null);
    }

    /** When in its year a phase is; dormant where none is named. */
    public static Moment moment(String phase) {
        return phase == null ? Moment.DORMANT : Moment.of(phase);
    }

    /** The wish a request states, with what the grower has already taken and refused. */
    public PlanRequest planRequest(AssessRequest request, Tree tree, List<Operation> taken, Set<String> refused) {
        Map<String, Double> goals = request.goals() == null ? Map.of() : request.goals();
        School school = school(request);
        return new PlanRequest(
                school,
                knowledge.plan(),
                Goals.of(goals, knowledge.plan().usual().goals()),
                limits(request, tree),
                VisitMoment.of(request, tree).moment(),
                request.years() == null ? school.preferences().winters() : request.years(),
                taken,
                refused);
    }

    /**
     * The whole answer: reading, four plans, timing, what to measure next.
     *
     * @throws umbel.knowledge.NotSupported when no knowledge covers species, system or school
     */
    public Assessment assess(AssessRequest request) {
        Tree tree;
        try {
            tree = tree(request);
        } catch (InvalidSurvey e) {
            throw new InvalidSurvey(
                    e.errors().stream().map(error -> error.under("survey")).toList());
        }
        PlanRequest planRequest = planRequest(request, tree, List.of(), Set.of());
        Neighbours neighbours = neighbours(request);
        TreeReader.Reading first =
                TreeReader.read(tree, planRequest.school(), planRequest.limits().reach(), neighbours);
        FindingConfidence.Answer certainty =
                certainty(request, planRequest.limits().reach(), neighbours, first);
        TreeReader.Reading reading = first.withFindings(certainty.findings());
        List<Plan> plans = Planner.plans(tree, reading, planRequest, seed(request));
        return new Assessment(
                reading(tree, reading, planRequest.school()),
                telling.plans(plans),
                telling.inOneWinter(plans),
                VisitMoment.of(request, tree).timing(tree, speech),
                measureNext(certainty));
    }

    /** What a request tells of the trees around. */
    public static Neighbours neighbours(AssessRequest request) {
        Double median = request.block() == null ? null : request.block().trunkMedianMm();
        return median == null ? Neighbours.NONE : new Neighbours(Units.section(Units.fromMm(median)), null, 0);
    }

    /** How sure a reading is, by reading the survey again with measuring errors drawn. */
    public FindingConfidence.Answer certainty(
            AssessRequest request, double reach, Neighbours neighbours, TreeReader.Reading reading) {
        return FindingConfidence.of(
                request.survey(), knowledge, seed(request), school(request), reach, neighbours, reading.findings());
    }

    /** A reading in the format's words. */
    public Assessment.ReadingAnswer reading(Tree tree, TreeReader.Reading reading, School school) {
        LightReading light = reading.light();
        ThresholdSources sources = new ThresholdSources(knowledge, tree.setting(), school, speech);
        return new Assessment.ReadingAnswer(
                Assessment.LightAnswer.of(LightSummary.of(light, reading.lines())),
                Assessment.CropAnswer.of(reading.crop()),
                reading.findings().stream()
                        .map(finding -> finding(finding, sources))
                        .toList(),
                harvest(HarvestLoad.of(tree, light, reading.crop())),
                tree.setting().estimated(),
                YoungTree.of(tree).stream()
                        .map(one -> {
                            Telling telling = new Telling(speech);
                            return new Assessment.EarlyWarning(
                                    one.mistake(), one.limbs(), telling.say("text", one.text()), telling.statements());
                        })
                        .toList());
    }

    /** Limbs under their crop in the format's words. */
    public static List<Assessment.HarvestAnswer> harvest(HarvestLoad load) {
        return load.limbs().stream()
                .map(limb -> new Assessment.HarvestAnswer(
                        limb.limb(),
                        Units.round(limb.fruits(), 0),
                        Units.round(limb.fruitMass(), 1),
                        cm(limb.tipNow()),
                        cm(limb.tipAtHarvest()),
                        Units.round(Units.toDegrees(limb.droop()), 0),
                        round(limb.breakRisk())))
                .toList();
    }

    /** Findings in the format's words. */
    public List<Assessment.FindingAnswer> findings(Tree tree, School school, List<Finding> findings) {
        ThresholdSources sources = new ThresholdSources(knowledge, tree.setting(), school, speech);
        return findings.stream().map(finding -> finding(finding, sources)).toList();
    }

    private Assessment.FindingAnswer finding(Finding finding, ThresholdSources sources) {
        Telling telling = new Telling(speech);
        return new Assessment.FindingAnswer(
                finding.rule().id(),
                word(finding.stage()),
                finding.paths(),
                telling.say("measure", finding.measure()),
                round(finding.value()),
                round(finding.threshold()),
                finding.unit(),
                finding.severity().word(),
                round(finding.confidence()),
                telling.say("reason", finding.reason()),
                sources.of(finding),
                telling.statements());
    }

    /** A statement in this assessor's language and units. */
    public String say(Statement statement) {
        return speech.say(statement);
    }

    /** What to measure next in the format's words. */
    public List<Assessment.Measure> measureNext(FindingConfidence.Answer certainty) {
        return certainty.measureNext().stream()
                .map(one -> {
                    Telling telling = new Telling(speech);
                    return new Assessment.Measure(
                            one.limb(), one.what(), telling.say("why", one.why()), telling.statements());
                })
                .toList();
    }
}
