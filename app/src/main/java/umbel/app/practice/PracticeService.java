package umbel.app.practice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
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
import umbel.growth.Forecast;
import umbel.knowledge.Knowledge;
import umbel.knowledge.PracticeParameters;
import umbel.plan.Limits;
import umbel.plan.Step;
import umbel.plant.SurveyedTree;
import umbel.practice.Examination;
import umbel.practice.Examiner;
import umbel.practice.Fault;
import umbel.reading.Finding;
import umbel.reading.Severity;
import umbel.wood.Units;

/** What exercises tell: their trees, what marks do, hints, and answers marked. */
@Service
class PracticeService {

    private static final int YEARS = 3;
    private static final int LIMB_TOLD = 2;
    private static final int ALL_TOLD = 3;

    private final Assessor assessor;
    private final Knowledge knowledge;
    private final TreeMarking marking;
    private final PracticeTrees trees;

    PracticeService(Assessor assessor, Knowledge knowledge, TreeMarking marking, PracticeTrees trees) {
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

    PracticeAnswers.PracticeTreePage page(String code) {
        Examiner examiner = trees.examiner(code);
        SurveyedTree read = examiner.tree();
        Limits limits = assessor.limits(read.request(), read.tree());
        return new PracticeAnswers.PracticeTreePage(
                code,
                OwnTreeCode.isOne(code),
                OwnTreeCode.isOne(code) ? read.facts().label() : "",
                Reader.speech()
                        .knowledge(read.tree().setting().species().names().one()),
                Reader.speech().knowledge(read.tree().setting().system().name()),
                read.tree().setting().leaf(),
                StandDrawing.of(read.tree(), read.reading().light()),
                marking.limbs(read),
                limits.woodShare(),
                limits.bigCuts(),
                limits.reach(),
                (int) acting(read).stream().count(),
                examiner.needsAVisit(),
                OperationKind.together());
    }

    /** An exercise to be taken where there is no signal. */
    PracticeAnswers.PracticeKit kit(String code) {
        SurveyedTree read = trees.examiner(code).tree();
        Limits limits = assessor.limits(read.request(), read.tree());
        Map<String, List<TreeAnswers.UnderMarks>> alone = new LinkedHashMap<>();
        marking.limbs(read)
                .forEach(limb -> alone.put(
                        limb.id(),
                        TreeMarking.possible(read.tree(), limb.id(), false).stream()
                                .map(operation -> marking.underMarks(read, limits, List.of(operation)))
                                .toList()));
        return new PracticeAnswers.PracticeKit(page(code), alone);
    }

    TreeAnswers.UnderMarks underMarks(String code, List<Mark> marks) {
        SurveyedTree read = trees.examiner(code).tree();
        return marking.underMarks(read, assessor.limits(read.request(), read.tree()), operations(marks));
    }

    List<TreeAnswers.Option> options(String code, String limb, List<Mark> marks) {
        SurveyedTree read = trees.examiner(code).tree();
        return marking.options(read, assessor.limits(read.request(), read.tree()), limb, operations(marks), false);
    }

    PracticeAnswers.PracticeHint hint(String code, List<Mark> marks, int degree) {
        Examiner examiner = trees.examiner(code);
        Examination.Marked marked = examiner.mark(operations(marks)).marked();
        if (marked.missed().isEmpty()) {
            return new PracticeAnswers.PracticeHint("", List.of());
        }
        Operation missed = marked.missed().get(0).operation();
        String rule = examiner.planned().stream()
                .filter(one -> one.operation().equals(missed) && !one.rules().isEmpty())
                .findFirst()
                .map(one -> ruleName(one.rules().get(0).id()))
                .orElse("");
        // work that answers no fault can only be named itself
        boolean told = degree >= ALL_TOLD || rule.isEmpty();
        return new PracticeAnswers.PracticeHint(
                told ? title(examiner.tree(), missed) : rule,
                degree < LIMB_TOLD ? List.of() : List.of(missed.onLimb()));
    }

    PracticeAnswers.PracticeVerdict verdict(String code, List<Mark> marks, List<String> pointed) {
        Examiner examiner = trees.examiner(code);
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
                Units.round(examiner.plannedMinutes(), 1),
                years(examiner, answer),
                years(examiner, planned),
                years(examiner, List.of()));
    }

    /** Trees with one fault each that is seen on a limb. */
    List<PracticeAnswers.DrillTree> drill() {
        List<PracticeAnswers.DrillTree> drill = new ArrayList<>();
        for (Fault fault : trees.drillFaults()) {
            drill.add(
                    new PracticeAnswers.DrillTree(trees.drillTree(fault).code(), fault.rule(), ruleName(fault.rule())));
        }
        return drill;
    }

    /** A tree with the limbs that show a rule's fault, as it is read. */
    PracticeAnswers.DrillPage drillPage(String code, String rule) {
        SurveyedTree read = trees.examiner(code).tree();
        List<Finding> told = acting(read).stream()
                .filter(one -> one.rule().id().equals(rule))
                .toList();
        List<Assessment.FindingAnswer> answers =
                assessor.in(Reader.speech()).findings(read.tree(), read.school(), told);
        return new PracticeAnswers.DrillPage(
                page(code),
                answers.stream()
                        .flatMap(one -> limbsOf(one).stream())
                        .distinct()
                        .toList(),
                answers.isEmpty() ? "" : answers.get(0).reason());
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

    /** What a rule is called, in the reader's language. */
    String ruleName(String rule) {
        return Reader.speech().knowledge(knowledge.plan().rules().get(rule).name());
    }

    private static List<Operation> operations(List<Mark> marks) {
        List<Operation> operations = new ArrayList<>();
        for (int i = 0; i < marks.size(); i++) {
            try {
                operations.add(marks.get(i).toOperation());
            } catch (ImpossibleCut e) {
                throw new ImpossibleCut("marks[" + i + "]." + e.field(), e.what());
            }
        }
        return operations;
    }
}
