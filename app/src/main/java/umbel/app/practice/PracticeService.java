package umbel.app.practice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.ThreadLocalRandom;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import umbel.app.cache.ComputedCache;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.app.plan.DecidedTrees;
import umbel.app.plan.TargetShape;
import umbel.app.plan.TreeAnswers;
import umbel.app.plan.TreeMarking;
import umbel.app.reader.Reader;
import umbel.app.survey.StandDrawing;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.assess.Mark;
import umbel.assess.StepText;
import umbel.cut.ImpossibleCut;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.SafetyLimits;
import umbel.growth.Forecast;
import umbel.knowledge.Knowledge;
import umbel.knowledge.NotSupported;
import umbel.knowledge.PracticeParameters;
import umbel.plan.Limits;
import umbel.plan.Step;
import umbel.plant.SurveyedTree;
import umbel.practice.Examination;
import umbel.practice.Examiner;
import umbel.practice.Exercise;
import umbel.practice.ExerciseMaker;
import umbel.practice.Fault;
import umbel.reading.Finding;
import umbel.reading.Severity;
import umbel.survey.InvalidSurvey;
import umbel.survey.Survey;
import umbel.wood.Axis;
import umbel.wood.Units;

/** Makes exercises and marks answers; keeps nothing but what it worked out. */
@Service
class PracticeService {

    private static final int KEPT = 24;
    private static final int YEARS = 3;
    private static final String OWN = "tree-";

    private final Assessor assessor;
    private final Knowledge knowledge;
    private final TreeMarking marking;
    private final DecidedTrees trees;
    private final ComputedCache<String, Examiner> examiners = ComputedCache.atMost(KEPT);

    PracticeService(Assessor assessor, Knowledge knowledge, TreeMarking marking, DecidedTrees trees) {
        this.assessor = assessor;
        this.knowledge = knowledge;
        this.marking = marking;
        this.trees = trees;
    }

    PracticeAnswers.PracticeChoices choices() {
        return new PracticeAnswers.PracticeChoices(
                knowledge.practice().levels().stream()
                        .map(PracticeParameters.Level::name)
                        .toList(),
                knowledge.practice().species().stream()
                        .distinct()
                        .map(knowledge::species)
                        .map(kind -> new PracticeAnswers.PracticeKind(
                                kind.id(),
                                Reader.speech().knowledge(kind.name()),
                                kind.systems().stream()
                                        .map(system -> new PracticeAnswers.PracticeChoice(
                                                system,
                                                Reader.speech()
                                                        .knowledge(knowledge
                                                                .system(system)
                                                                .name())))
                                        .toList()))
                        .toList(),
                Arrays.stream(Fault.values())
                        .map(fault -> new PracticeAnswers.PracticeFaultChoice(
                                fault.word(), ruleName(fault.rule()), fault.rule()))
                        .toList());
    }

    PracticeAnswers.PracticeMade make(PracticeAnswers.PracticeWish wish) {
        Fault fault = wish.fault() == null
                ? null
                : Fault.of(wish.fault())
                        .orElseThrow(() -> new NotSupported("fault", "There is no fault '" + wish.fault() + "'."));
        long seed = wish.seed() == null ? ThreadLocalRandom.current().nextLong(1_000_000_000L) : wish.seed();
        return new ExerciseMaker(knowledge)
                .make(new ExerciseMaker.Wish(wish.level(), wish.species(), wish.system(), fault), seed)
                .map(exercise -> new PracticeAnswers.PracticeMade(exercise.code()))
                .orElseThrow(() -> new Refused(
                        HttpStatus.CONFLICT,
                        "No such tree",
                        "No tree of this kind and system shows this fault. Choose another fault, kind or system."));
    }

    PracticeAnswers.PracticeTreePage page(String code) {
        Examiner examiner = examiner(code);
        SurveyedTree read = examiner.tree();
        Limits limits = assessor.limits(read.request(), read.tree());
        return new PracticeAnswers.PracticeTreePage(
                code,
                code.startsWith(OWN),
                code.startsWith(OWN) ? read.facts().label() : "",
                Reader.speech()
                        .knowledge(read.tree().setting().species().names().one()),
                Reader.speech().knowledge(read.tree().setting().system().name()),
                read.tree().setting().leaf(),
                StandDrawing.of(read.tree(), read.reading().light()),
                TargetShape.of(read.tree().setting()),
                marking.limbs(read),
                limits.woodShare(),
                limits.bigCuts(),
                limits.reach(),
                (int) acting(read).stream().count(),
                examiner.needsAVisit(),
                OperationKind.together());
    }

    PracticeAnswers.PracticeMarked marked(String code, List<Mark> marks) {
        SurveyedTree read = examiner(code).tree();
        TreeAnswers.Marked marked = marking.marked(
                read, assessor.limits(read.request(), read.tree()), operations(marks), SafetyLimits.none());
        return new PracticeAnswers.PracticeMarked(marked.totals(), marked.cuts(), marked.moved(), marked.effects());
    }

    List<TreeAnswers.Option> options(String code, String limb, List<Mark> marks) {
        SurveyedTree read = examiner(code).tree();
        return marking.options(read, assessor.limits(read.request(), read.tree()), limb, operations(marks), false);
    }

    PracticeAnswers.PracticeHint hint(String code, List<Mark> marks, int degree) {
        Examiner examiner = examiner(code);
        Examination.Marked marked = examiner.mark(operations(marks)).marked();
        if (marked.missed().isEmpty()) {
            return new PracticeAnswers.PracticeHint("", List.of());
        }
        Operation missed = marked.missed().get(0).operation();
        Step step = examiner.planned().stream()
                .filter(one -> one.operation().equals(missed))
                .findFirst()
                .orElseThrow();
        List<String> limbs = degree < 2 ? List.of() : List.of(missed.onLimb());
        String text = degree >= 3
                ? title(examiner.tree(), missed)
                : step.rules().isEmpty() ? "" : ruleName(step.rules().get(0).id());
        return new PracticeAnswers.PracticeHint(text, limbs);
    }

    PracticeAnswers.PracticeVerdict verdict(String code, List<Mark> marks, List<String> pointed) {
        Examiner examiner = examiner(code);
        List<Operation> answer = operations(marks);
        Examiner.Verdict verdict = examiner.mark(answer);
        Examination.Marked marked = verdict.marked();
        List<Operation> planned =
                examiner.planned().stream().map(Step::operation).toList();
        Set<String> seen = new HashSet<>(pointed);
        List<PracticeAnswers.PracticeFault> faults = new ArrayList<>();
        faults.addAll(faults(examiner, marked.cleared(), "cleared", seen));
        faults.addAll(faults(examiner, marked.left(), "left", seen));
        faults.addAll(faults(examiner, marked.brought(), "brought", seen));
        return new PracticeAnswers.PracticeVerdict(
                Units.round(marked.mark(), 3),
                knowledge.practice().pass(),
                marked.passed(),
                marked.withinLimits(),
                Reader.speech().knowledge(verdict.school().name()),
                marked.next() == null ? null : step(examiner, marked.next()),
                faults,
                marked.steps().stream().map(one -> step(examiner, one)).toList(),
                marked.missed().stream().map(one -> step(examiner, one)).toList(),
                examiner.planned().stream()
                        .map(one -> step(examiner, new Examination.Brought(one.operation(), 0, Examination.Does.HELPS)))
                        .toList(),
                Units.round(marked.minutes(), 1),
                Units.round(examiner.mark(planned).marked().minutes(), 1),
                years(examiner, answer),
                years(examiner, planned),
                years(examiner, List.of()));
    }

    private List<PracticeAnswers.PracticeFault> faults(
            Examiner examiner, List<Finding> findings, String fate, Set<String> pointed) {
        SurveyedTree read = examiner.tree();
        return assessor.in(Reader.speech()).findings(read.tree(), read.school(), findings).stream()
                .map(one -> {
                    List<String> limbs = limbsOf(one);
                    return new PracticeAnswers.PracticeFault(
                            one.rule(),
                            ruleName(one.rule()),
                            limbs,
                            one.reason(),
                            fate,
                            limbs.stream().anyMatch(pointed::contains));
                })
                .toList();
    }

    private static List<String> limbsOf(Assessment.FindingAnswer finding) {
        return finding.limbs().stream()
                .map(path -> path.contains("/") ? path.substring(0, path.indexOf('/')) : path)
                .distinct()
                .toList();
    }

    private PracticeAnswers.PracticeStep step(Examiner examiner, Examination.Brought one) {
        SurveyedTree read = examiner.tree();
        StepText text = assessor.in(Reader.speech()).telling().text();
        return new PracticeAnswers.PracticeStep(
                Mark.of(one.operation()),
                text.title(read.tree(), one.operation()),
                text.place(read.tree(), one.operation()),
                Units.round(one.gain(), 3),
                one.does().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                examiner.planned().stream()
                        .filter(step -> step.operation().equals(one.operation()))
                        .findFirst()
                        .map(step -> assessor.in(Reader.speech())
                                .telling()
                                .step(step)
                                .reason())
                        .orElse(""));
    }

    private String title(SurveyedTree read, Operation operation) {
        return assessor.in(Reader.speech()).telling().text().title(read.tree(), operation);
    }

    private static PracticeAnswers.PracticeYears years(Examiner examiner, List<Operation> answer) {
        List<Forecast.Figures> years = examiner.after(answer, YEARS);
        return new PracticeAnswers.PracticeYears(
                years.stream().map(year -> Units.round(year.firstClass(), 0)).toList(),
                Units.round(years.get(YEARS - 1).underFruitLight(), 3),
                Units.round(years.get(0).sprouts(), 0));
    }

    private static List<Finding> acting(SurveyedTree read) {
        return read.reading().findings().stream()
                .filter(one -> one.severity() != Severity.WATCH)
                .toList();
    }

    /** What the tree of an exercise is called: kind, system and leaf, or its own name in the holding. */
    String title(String code) {
        return Exercise.of(code)
                .map(one -> Reader.speech()
                                .knowledge(knowledge.species(one.species()).name())
                        + ", "
                        + Reader.speech()
                                .knowledge(knowledge.system(one.system()).name())
                                .toLowerCase(Locale.ROOT)
                        + ", " + one.leaf())
                .orElseGet(() -> examiner(code).tree().facts().label());
    }

    /** The limbs of an exercise's tree. */
    List<String> limbsOf(String code) {
        return examiner(code).tree().tree().limbs().stream().map(Axis::id).toList();
    }

    /** What a rule is called, in the reader's language. */
    String ruleName(String rule) {
        return Reader.speech().knowledge(knowledge.plan().rules().get(rule).name());
    }

    private Examiner examiner(String code) {
        String key = code.startsWith(OWN) ? code + "@" + trees.newestSurvey(treeOf(code)) : code;
        return examiners.get(key, () -> {
            try {
                return new Examiner(assessor, knowledge, surveyOf(code));
            } catch (InvalidSurvey | NotSupported e) {
                throw new NotFound("exercise", code);
            }
        });
    }

    private Survey surveyOf(String code) {
        return code.startsWith(OWN)
                ? trees.newestReading(treeOf(code)).request().survey()
                : Exercise.of(code)
                        .orElseThrow(() -> new NotFound("exercise", code))
                        .survey();
    }

    private static long treeOf(String code) {
        try {
            return Long.parseLong(code.substring(OWN.length()));
        } catch (NumberFormatException e) {
            throw new NotFound("exercise", code);
        }
    }

    private static List<Operation> operations(List<Mark> marks) {
        List<Operation> operations = new ArrayList<>();
        for (int i = 0; i < marks.size(); i++) {
            try {
                operations.add(marks.get(i).toOperation());
            } catch (ImpossibleCut e) {
                throw new ImpossibleCut("marks[" + i + "]." + e.field(), e.getMessage());
            }
        }
        return operations;
    }
}
