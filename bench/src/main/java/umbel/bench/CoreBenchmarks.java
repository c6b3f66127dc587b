package umbel.bench;

import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;
import umbel.assess.AssessRequest;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.growth.Forecast;
import umbel.growth.InitialState;
import umbel.growth.Season;
import umbel.growth.TreeState;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.plan.Plan;
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.plan.Totals;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.reading.Finding;
import umbel.reading.FindingConfidence;
import umbel.reading.Neighbours;
import umbel.reading.TreeReader;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.wood.Tree;

/** How long the core takes for a tree of about 300, of about 800 and of about 2 000 axes. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class CoreBenchmarks {

    private static final double REACH = 2.4;
    private static final Map<String, String> NAMES = Map.of(
            "surveyToReading", "survey to full reading",
            "oneMark", "re-evaluation after one mark",
            "certainty", "how sure: sixty readings with errors drawn",
            "plans", "assess: reading and four plans",
            "alternatives", "plan with its alternatives and their years",
            "rethink", "a step taken to the new plan",
            "threeYears", "three grown years");
    private static final Map<String, String> AIMS = Map.of(
            "surveyToReading/300", "aim 15 ms",
            "surveyToReading/2000", "aim 50 ms",
            "certainty/2000", "aim 600 ms",
            "alternatives/800", "aim 1000 ms",
            "rethink/800", "aim 400 ms",
            "threeYears/800", "aim 400 ms",
            "threeYears/2000", "aim 1000 ms",
            "oneMark/300", "aim 15 ms",
            "oneMark/2000", "aim 15 ms");

    /** About how many axes the tree has. */
    @Param({"300", "800", "2000"})
    public int axes;

    private final Assessor assessor = new Assessor(Knowledge.shipped());
    private final School school = Knowledge.shipped().school("classic");
    private String json;
    private AssessRequest request;
    private Tree tree;
    private TreeReader.Reading reading;
    private List<Operation> mark;
    private PlanRequest planRequest;
    private PlanRequest taken;
    private TreeState stand;

    @Setup
    public void grow() {
        Survey survey = axes < 500
                ? PracticeTree.survey("modified-central-leader", 9, 3, Fault.TIGHT_CROTCH, Fault.WATER_SPROUTS)
                : axes < 1000
                        ? PracticeTree.survey("apple", "central-leader", 11, 2, Fault.TIGHT_CROTCH, Fault.WATER_SPROUTS)
                        : PracticeTree.survey(
                                "central-leader",
                                24,
                                3,
                                Fault.STACKED_LIMBS,
                                Fault.RIVAL_LEADER,
                                Fault.WATER_SPROUTS,
                                Fault.HANGERS);
        json = SurveyReader.write(survey);
        request = AssessRequest.of(survey);
        tree = assessor.tree(request);
        reading = TreeReader.read(tree, school, REACH);
        mark = List.of(Operation.remove(tree.limbs().get(3)));
        planRequest = assessor.planRequest(request, tree, List.of(), Set.of());
        taken = assessor.planRequest(request, tree, mark, Set.of());
        stand = InitialState.of(tree, 1);
    }

    /** Survey text in, tree, light and findings out. */
    @Benchmark
    public TreeReader.Reading surveyToReading() {
        Tree built = assessor.tree(AssessRequest.of(SurveyReader.read(json)));
        return TreeReader.read(built, school, REACH);
    }

    /** What one more mark does: the tree that is left, its light, its findings, the gauges. */
    @Benchmark
    public List<Finding> oneMark() {
        CutTree cut = CutTree.of(tree, mark);
        Totals.Sum sum = Totals.read(cut, reading.crop(), reading.lines(), REACH);
        return TreeReader.findings(cut.left(), school, sum.light(), REACH);
    }

    /** The survey read again sixty times with measuring errors drawn. */
    @Benchmark
    public FindingConfidence.Answer certainty() {
        return assessor.certainty(request, REACH, Neighbours.NONE, reading);
    }

    /** The whole answer of the assess address. */
    @Benchmark
    public Assessment plans() {
        return assessor.assess(request);
    }

    /** The recommended plan, a gentler, a firmer and none, each with three seasons after it. */
    @Benchmark
    public List<Plan> alternatives() {
        return Planner.plans(tree, reading, planRequest, 1);
    }

    /** The recommended plan thought again around a step that was taken. */
    @Benchmark
    public Plan rethink() {
        return Planner.recommended(tree, reading, taken, 1);
    }

    /** Three seasons of the tree left alone, the middle course. */
    @Benchmark
    public List<Forecast.Figures> threeYears() {
        return Forecast.middle(
                stand, Collections.nCopies(3, Season.Work.NONE), reading.lines().fruit());
    }

    public static void main(String[] args) throws RunnerException {
        BlockOfTrees.measure();
        Collection<RunResult> results = new Runner(new OptionsBuilder()
                        .include(CoreBenchmarks.class.getSimpleName())
                        .verbosity(VerboseMode.SILENT)
                        .build())
                .run();
        System.out.printf(
                Locale.ROOT,
                "%s, Java %s, %d cores%n",
                System.getProperty("os.name"),
                System.getProperty("java.version"),
                Runtime.getRuntime().availableProcessors());
        for (RunResult result : results) {
            String method = result.getPrimaryResult().getLabel();
            String size = result.getParams().getParam("axes");
            double median = result.getPrimaryResult().getStatistics().getPercentile(50);
            double high = result.getPrimaryResult().getStatistics().getPercentile(95);
            System.out.printf(
                    Locale.ROOT,
                    "%-58s %5.1f ms   %s (95 %%: %.1f ms)%n",
                    NAMES.get(method) + ", about " + size + " axes",
                    median,
                    AIMS.getOrDefault(method + "/" + size, ""),
                    high);
        }
    }
}
