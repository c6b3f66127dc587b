package umbel.plant;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import umbel.aftercare.AfterTask;
import umbel.aftercare.Aftercare;
import umbel.assess.Assessment;
import umbel.assess.CrewText;
import umbel.assess.Mark;
import umbel.counted.CountComparison;
import umbel.counted.CountLearned;
import umbel.counted.CountOperation;
import umbel.counted.CountOutcome;
import umbel.counted.CountPlan;
import umbel.counted.CountReading;
import umbel.counted.CountStep;
import umbel.counted.CountSurvey;
import umbel.counted.Counted;
import umbel.counted.ExpectedCount;
import umbel.cut.Effect;
import umbel.cut.ImpossibleCut;
import umbel.drawing.CountedSvg;
import umbel.growth.BlockCalibration;
import umbel.growth.Comparison;
import umbel.growth.Moment;
import umbel.knowledge.Caution;
import umbel.knowledge.CountingParameters;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.season.FollowUp;
import umbel.season.Phenology;
import umbel.survey.Survey;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;
import umbel.work.Tool;

/** A plant of which canes, nodes or buds are counted instead of limbs measured: a bush, a stretch of a cane row, a vine. */
public final class CountedPlant implements Plant {

    /** Its crop is told in kilograms, as if every fruit weighed one. */
    private static final double ONE_KILOGRAM = 1;

    private final CountSurvey survey;
    private final Counted counted;
    private final Knowledge knowledge;
    private final List<CountStep> proposed;

    private CountedPlant(CountSurvey survey, Knowledge knowledge, CountLearned learned) {
        this.survey = survey;
        this.knowledge = knowledge;
        this.counted = Counted.of(survey, knowledge, learned);
        List<CountStep> all = new ArrayList<>();
        for (Moment moment : Moment.values()) {
            counted.plans(moment).forEach(plan -> all.addAll(plan.steps()));
        }
        this.proposed = List.copyOf(all);
    }

    /**
     * Reads what was counted.
     *
     * @throws umbel.knowledge.NotSupported when no knowledge covers its kind
     * @throws umbel.survey.InvalidSurvey when no plant of its kind can be made of it
     */
    public static CountedPlant read(CountSurvey survey, Knowledge knowledge) {
        return new CountedPlant(survey, knowledge, CountLearned.NOTHING);
    }

    /** The same plant, foretold by what its place has shown. */
    public CountedPlant with(CountLearned learned) {
        return learned.equals(CountLearned.NOTHING) ? this : new CountedPlant(survey, knowledge, learned);
    }

    /** What was counted. */
    public CountSurvey survey() {
        return survey;
    }

    /** The plant as it is counted and planned for. */
    public Counted counted() {
        return counted;
    }

    @Override
    public PlantFacts facts() {
        CountSurvey.PlantFacts plant = survey.plant();
        return new PlantFacts(
                plant.label() == null ? "" : plant.label(),
                counted.kind().names().one(),
                plant.system() == null ? counted.kind().systems().get(0) : plant.system(),
                plant.leaf() == null ? 0 : plant.leaf(),
                parts().stream().mapToDouble(PlantFacts.Part::length).max().orElse(0),
                parts(),
                ONE_KILOGRAM,
                survey.surveyedOn());
    }

    /** How many canes were counted on it. */
    public int canes() {
        if (survey.canes() != null) {
            return survey.canes().stream().mapToInt(CountSurvey.BushCane::many).sum();
        }
        if (survey.vine() != null) {
            return survey.vine().canes() == null ? 0 : survey.vine().canes().size();
        }
        return (int) counted.reading().canes().groups().stream()
                .mapToDouble(CountReading.Group::count)
                .sum();
    }

    @Override
    public double places(double inRowM) {
        return survey.row() == null ? 1 : survey.row().countedM() / inRowM;
    }

    private List<PlantFacts.Part> parts() {
        List<PlantFacts.Part> parts = new ArrayList<>();
        if (survey.canes() != null) {
            survey.canes().forEach(cane -> parts.add(part(cane.id(), cane.diameterMm(), cane.heightCm())));
        }
        if (survey.vine() != null && survey.vine().canes() != null) {
            survey.vine().canes().forEach(cane -> parts.add(part(cane.id(), cane.diameterMm(), cane.lengthCm())));
        }
        if (survey.row() != null && survey.row().canes() != null) {
            survey.row()
                    .canes()
                    .forEach(canes -> parts.add(part("canes/" + canes.cane(), canes.diameterMm(), canes.heightCm())));
        }
        return parts;
    }

    private static PlantFacts.Part part(String id, Double diameterMm, Double lengthCm) {
        return new PlantFacts.Part(
                id, diameterMm == null ? 0 : Units.fromMm(diameterMm), lengthCm == null ? 0 : Units.fromCm(lengthCm));
    }

    @Override
    public List<PlantFinding> findings() {
        return counted.reading().findings().stream()
                .map(finding -> new PlantFinding(finding.rule().id(), finding.severity(), finding.reason()))
                .toList();
    }

    @Override
    public double shade() {
        return counted.reading().light() == null
                ? 0
                : 1 - counted.reading().light().base();
    }

    @Override
    public boolean isShaded() {
        return counted.reading().light() != null
                && counted.reading().light().base()
                        < knowledge.counting().bush().closed().light();
    }

    @Override
    public Visit visit(List<Mark> marks) {
        List<Visit.Step> steps = new ArrayList<>();
        for (Mark mark : marks) {
            steps.add(new Visit.Step(mark, effect(operation(mark))));
        }
        return new Visit(
                steps, steps.isEmpty() ? 0 : knowledge.counting().work().look());
    }

    @Override
    public VisitTotals totals(List<Mark> marks) {
        List<CountOperation> operations =
                marks.stream().map(CountedPlant::operation).toList();
        CountOutcome after = counted.after(operations);
        CountOutcome alone = counted.after(List.of());
        CountPlan.Season now = after.seasons().get(0);
        Visit visit = visit(marks);
        Assessment.LightAnswer light = new Assessment.LightAnswer(0, 0, 0, 0, 0, 0, 0, 0);
        double aloneNow = alone.seasons().get(0).crop();
        return new VisitTotals(
                new Assessment.TotalsAnswer(
                        Units.round(
                                visit.steps().stream()
                                        .mapToDouble(step -> step.effect().woodShare())
                                        .sum(),
                                3),
                        0,
                        operations.stream().mapToInt(CountOperation::count).sum(),
                        Units.round(visit.minutes(), 1),
                        0,
                        light,
                        0,
                        0,
                        aloneNow < 0.01 ? 1 : Units.round(now.crop() / aloneNow, 3),
                        null,
                        null,
                        0,
                        counted.reading().flowerBuds(),
                        0,
                        0,
                        new Assessment.CropAnswer(0, 0, 0, 0, 0, 0, Units.round(now.crop(), 1), 0),
                        0),
                false);
    }

    @Override
    public List<Mark> inOrder(List<Mark> marks) {
        marks.forEach(CountedPlant::operation);
        return marks.stream().sorted(Comparator.comparingInt(this::place)).toList();
    }

    /** Where a mark comes among the steps that were proposed; what nobody proposed comes last. */
    private int place(Mark mark) {
        CountOperation operation = operation(mark);
        for (int i = 0; i < proposed.size(); i++) {
            CountOperation other = proposed.get(i).operation();
            if (other.kind() == operation.kind() && other.target().equals(operation.target())) {
                return i;
            }
        }
        return proposed.size();
    }

    @Override
    public String title(Mark mark, CrewText words) {
        CountOperation operation = operation(mark);
        String target = operation.target();
        int slash = target.indexOf('/');
        String named = slash < 0
                ? target
                : words.say("count." + target.substring(slash + 1).replace('/', '.'));
        String form = slash >= 0 ? ".group" : operation.count() > 1 ? ".several" : "";
        return words.say(CrewText.statement("count." + operation.kind().word() + form)
                .with("what", Value.name(named))
                .with("at", Value.centimetres(operation.atCm()))
                .with("stays", Value.count(operation.keepCount() + operation.nodes()))
                .with("gone", Value.count(operation.count())));
    }

    @Override
    public boolean hasHeight(Visit.Step step) {
        return false;
    }

    @Override
    public List<String> cautions(Visit.Step step, List<Caution> known) {
        return known.stream()
                .filter(caution ->
                        caution.when() == Caution.When.SAW && step.effect().tool() == Tool.SAW)
                .map(Caution::text)
                .toList();
    }

    /** Canes leave no wounds to look after: tools and prunings alone, by the usual school, since no other is chosen for such plants. */
    @Override
    public List<AfterTask> afterwards(List<Mark> marks) {
        boolean cuts = visit(marks).steps().stream()
                .anyMatch(step -> step.effect().cuts() > 0 && step.effect().tool() != Tool.TIE);
        return cuts ? Aftercare.ofCanes(survey.diseases(), knowledge.school(School.USUAL)) : List.of();
    }

    /** The works of the kind's own year that come after this one. */
    @Override
    public List<FollowUp> followUps(Visit done, VisitTotals after, LocalDate doneOn, Phenology year) {
        return CountedFollowUps.of(survey, counted.kind(), done, doneOn);
    }

    /**
     * The next count as it is expected, for whoever counts to confirm or correct.
     *
     * @param done what was done since this count; what means nothing on this plant is passed over
     * @param seasonPassed whether a season of growth lies between
     */
    public CountSurvey expectedCount(List<Mark> done, boolean seasonPassed, LocalDate today) {
        return ExpectedCount.of(survey, counted, known(done), seasonPassed, today);
    }

    /** The operations of marks; what cannot be done on a counted plant is passed over. */
    private static List<CountOperation> known(List<Mark> marks) {
        List<CountOperation> known = new ArrayList<>();
        for (Mark mark : marks) {
            try {
                known.add(operation(mark));
            } catch (ImpossibleCut e) {
                // a mark of another form of plant: it took nothing from this one
                continue;
            }
        }
        return known;
    }

    @Override
    public Optional<Survey> expected(List<Mark> done, BlockCalibration learned, boolean seasonPassed, LocalDate today) {
        return Optional.empty();
    }

    @Override
    public Comparison compare(List<Mark> done, Plant later, double fruits) {
        return CountComparison.of(
                counted,
                survey,
                known(done),
                ((CountedPlant) later).survey,
                knowledge.counting().forecast().spread(),
                fruits);
    }

    @Override
    public String sheet(List<Mark> marks, double from) {
        return CountedSvg.draw(
                survey, marks.stream().map(CountedPlant::operation).toList(), CountedSvg.Ink.PAPER, from - Math.PI);
    }

    /**
     * The operation a mark says on a counted plant.
     *
     * @throws ImpossibleCut when it names none
     */
    public static CountOperation operation(Mark mark) {
        CountOperation.Kind kind = CountOperation.Kind.of(mark.operation() == null ? "" : mark.operation())
                .orElseThrow(() -> new ImpossibleCut(
                        "operation",
                        Statement.of("problem.no-such-operation").with("operation", Value.name(mark.operation()))));
        if (mark.limb() == null || mark.limb().isBlank()) {
            throw new ImpossibleCut("limb", Statement.of("problem.cane-missing"));
        }
        int keep = mark.keep() == null ? 0 : Math.max(0, mark.keep());
        boolean nodes = kind == CountOperation.Kind.KEEP_NODES;
        return new CountOperation(
                kind,
                mark.limb(),
                mark.atCm() == null ? 0 : mark.atCm(),
                nodes ? 0 : keep,
                0,
                nodes ? keep : 0,
                mark.count() == null ? 1 : Math.max(1, mark.count()));
    }

    /** The mark that says an operation. */
    public static Mark mark(CountOperation operation) {
        int keep = operation.keepCount() + operation.nodes();
        return new Mark(
                operation.kind().word(),
                operation.target(),
                operation.atCm() > 0 ? operation.atCm() : null,
                null,
                null,
                keep > 0 ? keep : null,
                operation.count() > 1 ? operation.count() : null);
    }

    /** What an operation takes: as it was proposed, or as one cut a cane. */
    private Effect effect(CountOperation operation) {
        CountStep step = proposed.stream()
                .filter(one -> one.operation().kind() == operation.kind()
                        && one.operation().target().equals(operation.target()))
                .findFirst()
                .orElse(null);
        double diameter = step == null ? 0 : Units.fromMm(step.diameterMm());
        CountingParameters.Work work = knowledge.counting().work();
        double each = step == null
                ? work.thinCane()
                : step.minutes() / Math.max(1, step.operation().count());
        Tool tool = operation.kind() == CountOperation.Kind.TIE || operation.kind() == CountOperation.Kind.LAY
                ? Tool.TIE
                : Tool.forCut(diameter, knowledge.parameters().cutting().tools());
        return new Effect(
                tool,
                operation.count(),
                diameter,
                0,
                tool == Tool.SAW,
                false,
                false,
                0,
                step == null ? 0 : step.share(),
                0,
                0,
                false,
                each * operation.count(),
                0);
    }
}
