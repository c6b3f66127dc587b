package umbel.plant;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import umbel.aftercare.AfterTask;
import umbel.aftercare.Aftercare;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.assess.CrewText;
import umbel.assess.Mark;
import umbel.assess.PlanTelling;
import umbel.assess.StepText;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.ImpossibleCut;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.drawing.SheetSvg;
import umbel.growth.BlockCalibration;
import umbel.growth.Comparison;
import umbel.growth.ExpectedSurvey;
import umbel.growth.Forecast;
import umbel.growth.InitialState;
import umbel.growth.Season;
import umbel.knowledge.Caution;
import umbel.knowledge.LearningParameters;
import umbel.knowledge.School;
import umbel.light.GapFraction;
import umbel.light.LightModel;
import umbel.light.LightReading;
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.plan.Totals;
import umbel.reading.Neighbours;
import umbel.reading.TreeReader;
import umbel.season.FollowUp;
import umbel.season.FollowUps;
import umbel.season.Phenology;
import umbel.survey.Survey;
import umbel.topwork.Topwork;
import umbel.wood.Setting;
import umbel.wood.Tree;

/** A tree surveyed limb by limb, built and read once. */
public final class SurveyedTree implements Plant {

    private final Assessor assessor;
    private final AssessRequest request;
    private final Tree tree;
    private final School school;
    private final double reach;
    private final Neighbours neighbours;
    private final TreeReader.Reading reading;

    private SurveyedTree(Assessor assessor, AssessRequest request, Neighbours neighbours) {
        this.assessor = assessor;
        this.request = request;
        this.neighbours = neighbours;
        this.school = assessor.school(request);
        this.tree = neighbours.applied(assessor.tree(request));
        this.reach = assessor.limits(request, tree).reach();
        this.reading = TreeReader.read(tree, school, reach, neighbours);
    }

    /**
     * Builds and reads the tree of a request; some hundredths of a second.
     *
     * @throws umbel.knowledge.NotSupported when no knowledge covers species, system or school
     * @throws umbel.survey.InvalidSurvey when no tree can be made of the survey
     */
    public static SurveyedTree read(Assessor assessor, AssessRequest request, Neighbours neighbours) {
        return new SurveyedTree(assessor, request, neighbours);
    }

    /** What was asked: the survey, the school, the reach. */
    public AssessRequest request() {
        return request;
    }

    /** The tree of wood. */
    public Tree tree() {
        return tree;
    }

    /** The school it was read by. */
    public School school() {
        return school;
    }

    /** What is known of the trees around it and of its past. */
    public Neighbours neighbours() {
        return neighbours;
    }

    /** Its light, crop and findings. */
    public TreeReader.Reading reading() {
        return reading;
    }

    @Override
    public PlantFacts facts() {
        Setting setting = tree.setting();
        return new PlantFacts(
                setting.label(),
                setting.species().names().one(),
                setting.system().name(),
                setting.leaf(),
                tree.top(),
                tree.limbs().stream()
                        .map(limb -> new PlantFacts.Part(limb.id(), limb.baseDiameter(), limb.length()))
                        .toList(),
                setting.cultivar().fruitMass(),
                request.survey().surveyedOn());
    }

    @Override
    public List<PlantFinding> findings() {
        return reading.findings().stream()
                .map(finding -> new PlantFinding(finding.rule().id(), finding.severity(), finding.reason()))
                .toList();
    }

    @Override
    public double shade() {
        return reading.underFruitLight();
    }

    @Override
    public boolean isShaded() {
        return shade()
                > school.thresholds()
                        .shadedMost(tree.setting().species(), tree.setting().system());
    }

    @Override
    public Visit visit(List<Mark> marks) {
        List<Operation> operations = operations(marks);
        List<Effect> effects = Effect.ofAll(CutTree.of(tree, operations), reach);
        List<Visit.Step> steps = new ArrayList<>();
        for (int i = 0; i < operations.size(); i++) {
            steps.add(new Visit.Step(Mark.of(operations.get(i)), effects.get(i)));
        }
        double look = steps.isEmpty() ? 0 : tree.setting().system().work().lookMinutes();
        return new Visit(steps, look);
    }

    @Override
    public VisitTotals totals(List<Mark> marks) {
        List<Operation> operations = operations(marks).stream()
                .filter(operation -> operation.kind() != OperationKind.WATCH)
                .toList();
        Totals totals = Totals.of(CutTree.of(tree, operations), reading.crop(), reading.lines(), reach);
        return new VisitTotals(
                PlanTelling.totals(totals),
                totals.crop().expectedFruits() > totals.crop().targetFruits());
    }

    @Override
    public List<Mark> inOrder(List<Mark> marks) {
        if (marks.isEmpty()) {
            return List.of();
        }
        PlanRequest asked = assessor.planRequest(request, tree, operations(marks), Set.of());
        return Planner.marked(tree, reading, asked).steps().stream()
                .map(step -> Mark.of(step.operation()))
                .toList();
    }

    @Override
    public String title(Mark mark, CrewText words) {
        return words.title(mark.toOperation());
    }

    @Override
    public boolean hasHeight(Visit.Step step) {
        return step.effect().cuts() > 0 || !step.mark().toOperation().kind().cuts();
    }

    @Override
    public List<String> cautions(Visit.Step step, List<Caution> known) {
        return StepText.cautions(tree, step.mark().toOperation(), step.effect(), known);
    }

    @Override
    public List<AfterTask> afterwards(List<Mark> marks) {
        CutTree cut = CutTree.of(tree, operations(marks));
        return afterwards(cut, LightModel.read(cut.left()));
    }

    /** The same where the cut tree and its light are known. */
    public List<AfterTask> afterwards(CutTree cut, LightReading after) {
        return Aftercare.of(
                cut,
                Effect.ofAll(cut, reach),
                neighbours.measured().prunings(),
                reading.light(),
                after,
                school,
                tree.setting().parameters().aftercare());
    }

    /** The tree cut to a stump and grafted anew. */
    public Topwork topwork() {
        return Topwork.of(request.survey(), tree, reading.crop(), reach);
    }

    /** A tree's prunings weighed at a visit, against the wood that fell by these marks; marks that mean nothing here are passed over. */
    public Comparison weighed(List<Mark> done, double kg) {
        double expected = Effect.ofAll(CutTree.of(tree, possible(done)), reach).stream()
                .mapToDouble(Effect::mass)
                .sum();
        return Comparison.ofPrunings(expected, kg, learning());
    }

    /**
     * The sky photographed from under the tree in leaf, against that expected.
     *
     * @param done what was cut since the survey
     * @param gapFraction of the photograph, 0…1
     */
    public Comparison photographed(List<Mark> done, double gapFraction) {
        return Comparison.ofGapFraction(
                GapFraction.expected(CutTree.of(tree, possible(done)).left()), gapFraction, learning());
    }

    /**
     * What was picked of the tree in the season after the survey, against that expected.
     *
     * @param done what was cut since the survey
     */
    public Comparison picked(List<Mark> done, double kg) {
        Forecast.Range fruits = Forecast.of(
                        InitialState.of(tree, Assessor.seed(request)),
                        List.of(work(done)),
                        reading.lines().fruit())
                .years()
                .get(0)
                .fruits();
        double mass = tree.setting().cultivar().fruitMass();
        return Comparison.ofCrop(
                new Forecast.Range(fruits.low() * mass, fruits.middle() * mass, fruits.high() * mass), kg);
    }

    private LearningParameters learning() {
        return tree.setting().parameters().learning();
    }

    @Override
    public List<FollowUp> followUps(Visit done, VisitTotals after, LocalDate doneOn, Phenology year) {
        List<FollowUps.Done> steps = done.steps().stream()
                .map(step -> new FollowUps.Done(step.mark().toOperation(), step.effect()))
                .toList();
        return FollowUps.of(tree, steps, doneOn, year, after.overCrop());
    }

    @Override
    public Optional<Survey> expected(List<Mark> done, BlockCalibration learned, boolean seasonPassed, LocalDate today) {
        Season.Work work = work(done);
        Tree now = seasonPassed
                ? Forecast.middle(
                                learned.applied(InitialState.of(tree, Assessor.seed(request))),
                                List.of(work),
                                reading.lines().fruit())
                        .get(0)
                        .tree()
                : CutTree.of(tree, work.before()).left();
        return Optional.of(ExpectedSurvey.of(request.survey(), now, seasonPassed, today));
    }

    @Override
    public Comparison compare(List<Mark> done, Plant later, double fruits) {
        if (!(later instanceof SurveyedTree found)) {
            throw new IllegalArgumentException("A tree is compared with a tree.");
        }
        Forecast.Outlook foretold = Forecast.of(
                        InitialState.of(tree, Assessor.seed(request)),
                        List.of(work(done)),
                        reading.lines().fruit())
                .years()
                .get(0);
        Comparison seen = Comparison.of(foretold, found.tree);
        return fruits > 0 ? seen.withFruits(foretold.fruits(), fruits) : seen;
    }

    @Override
    public String sheet(List<Mark> marks, double from) {
        CutTree cut = CutTree.of(tree, operations(marks));
        return SheetSvg.draw(
                cut, from, cut.operations().stream().map(cut::placeOf).toList());
    }

    /** What was done before the season, as far as it can be made out on this tree. */
    private Season.Work work(List<Mark> done) {
        return Season.Work.dormant(possible(done));
    }

    private List<Operation> possible(List<Mark> done) {
        List<Operation> operations = new ArrayList<>();
        for (Mark mark : done) {
            try {
                operations.add(mark.toOperation());
            } catch (ImpossibleCut e) {
                // an old mark that says nothing about this tree
            }
        }
        return CutTree.possible(tree, operations);
    }

    private static List<Operation> operations(List<Mark> marks) {
        return marks.stream().map(Mark::toOperation).toList();
    }
}
