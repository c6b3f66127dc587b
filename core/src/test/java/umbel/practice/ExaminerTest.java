package umbel.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import umbel.assess.Assessor;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.plan.Step;
import umbel.reading.Severity;
import umbel.survey.Survey;
import umbel.wood.Axis;

/** Marks are fair: what helps the tree passes, whoever thought of it, and what does not fails. */
class ExaminerTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final int TREES = Integer.getInteger("umbel.practice.trees", 12);
    private static final List<String> LEVELS = List.of("first", "usual", "hard");

    private static final List<Examiner> EXAMINERS =
            IntStream.range(0, TREES).mapToObj(ExaminerTest::examiner).toList();

    private static Examiner examiner(int seed) {
        return examiner(
                made(new ExerciseMaker.Wish(LEVELS.get(seed % LEVELS.size()), null, null, null, null), 100 + seed));
    }

    private static Exercise made(ExerciseMaker.Wish wish, long seed) {
        return new ExerciseMaker(KNOWLEDGE)
                .make(wish, seed, exercise -> examiner(exercise).needsAVisit())
                .orElseThrow();
    }

    private static Examiner examiner(Exercise exercise) {
        return new Examiner(new Assessor(KNOWLEDGE), KNOWLEDGE, exercise.survey());
    }

    private static List<Operation> planned(Examiner examiner) {
        return examiner.planned().stream().map(Step::operation).toList();
    }

    @Test
    void theProgramsOwnPlanPassesEverywhere() {
        for (Examiner examiner : EXAMINERS) {
            Examination.Marked marked = examiner.mark(planned(examiner)).marked();
            assertThat(marked.mark()).isEqualTo(1);
            assertThat(marked.passed()).isTrue();
            assertThat(marked.missed()).isEmpty();
        }
    }

    @Test
    void doingNothingFailsWhereThereIsSomethingToDo() {
        for (Examiner examiner : EXAMINERS) {
            assertThat(examiner.needsAVisit()).isTrue();
            Examination.Marked marked = examiner.mark(List.of()).marked();
            assertThat(marked.mark()).isZero();
            assertThat(marked.passed()).isFalse();
            assertThat(marked.cleared()).isEmpty();
            assertThat(marked.missed()).isNotEmpty();
        }
    }

    /** The plan for this pear gains next to nothing: whoever is to learn from it would pass without a cut. */
    @Test
    void aTreeThatNeedsNoVisitIsNoExercise() {
        Exercise idle = Exercise.of("pear_vertical-axis_8_168336462_36o").orElseThrow();
        assertThat(examiner(idle).needsAVisit()).isFalse();
        assertThat(examiner(idle).mark(List.of()).marked().passed()).isTrue();
        ExerciseMaker.Wish wish = new ExerciseMaker.Wish("first", "pear", null, null, null);
        assertThat(new ExerciseMaker(KNOWLEDGE).make(wish, 4, any -> true)).contains(idle);
        assertThat(examiner(made(wish, 4)).mark(List.of()).marked().passed()).isFalse();
    }

    /** As many limbs as the plan takes steps, drawn by lot and taken off at the base. */
    @Test
    void cutsAtRandomFail() {
        int passed = 0;
        for (int i = 0; i < EXAMINERS.size(); i++) {
            Examiner examiner = EXAMINERS.get(i);
            passed += examiner.mark(random(examiner, i)).marked().passed() ? 1 : 0;
        }
        assertThat(passed).isLessThanOrEqualTo(EXAMINERS.size() / 10);
    }

    private static List<Operation> random(Examiner examiner, int seed) {
        Random random = new Random(seed);
        List<Axis> limbs = new ArrayList<>(examiner.tree().tree().limbs());
        List<Operation> cuts = new ArrayList<>();
        int count = Math.max(3, planned(examiner).size());
        while (cuts.size() < count && !limbs.isEmpty()) {
            Axis limb = limbs.remove(random.nextInt(limbs.size()));
            if (limb.parent() >= 0) {
                cuts.add(Operation.remove(limb));
            }
        }
        return cuts;
    }

    /** Half of the sound limbs on the trunk come off besides, the thickest first: undoing that never lowers the mark. */
    @Test
    void undoingAHarmfulCutNeverLowersTheMark() {
        int passed = 0;
        for (Examiner examiner : EXAMINERS) {
            List<Operation> plan = planned(examiner);
            List<Operation> harm = examiner.tree().tree().limbs().stream()
                    .filter(limb -> limb.parent() == 0 && limb.conditions().isEmpty())
                    .filter(limb -> plan.stream().noneMatch(one -> one.onLimb().equals(limb.id())))
                    .sorted(Comparator.comparingDouble(Axis::baseDiameter).reversed())
                    .map(Operation::remove)
                    .toList();
            List<Operation> with = new ArrayList<>(plan);
            with.addAll(harm.subList(0, harm.size() / 2));
            Examination.Marked marked = examiner.mark(with).marked();
            if (with.size() > plan.size()) {
                assertThat(marked.mark()).isLessThanOrEqualTo(1);
                passed += marked.passed() ? 1 : 0;
            }
        }
        assertThat(passed).as("one limb too many of few may still pass").isLessThanOrEqualTo(TREES / 10);
    }

    @Test
    void whatOtherSchoolsDefendPasses() {
        for (Examiner examiner : EXAMINERS.subList(0, 3)) {
            for (School school : KNOWLEDGE.allSchools()) {
                if (!examiner.needsAVisit(school.id())) {
                    continue; // who sees nothing to do defends no cut
                }
                assertThat(examiner.mark(examiner.plannedBy(school.id()))
                                .marked()
                                .passed())
                        .as(school.id())
                        .isTrue();
            }
        }
    }

    @Test
    void onAFewTreesEveryStepOfThePlanIsSaidToHelpOrHardlyToMatter() {
        for (Examiner examiner : EXAMINERS.subList(0, 6)) {
            assertThat(examiner.mark(planned(examiner)).marked().steps())
                    .extracting(Examination.Brought::does)
                    .doesNotContain(Examination.Does.HARMS);
        }
    }

    @Test
    void whatIsOnlyWatchedChangesNothing() {
        Examiner examiner = EXAMINERS.get(0);
        Operation watch = Operation.whole(
                OperationKind.WATCH, examiner.tree().tree().limbs().get(0));
        assertThat(examiner.mark(List.of(watch)).marked().mark()).isZero();
    }

    /** Whoever reads the tree again sees every fault that it was made with. */
    @Test
    void whatTheMakerPromisesTheExaminerSees() {
        ExerciseMaker maker = new ExerciseMaker(KNOWLEDGE);
        for (String word : KNOWLEDGE.practice().drill().faults()) {
            Fault fault = Fault.of(word).orElseThrow();
            for (int seed = 0; seed < 8; seed++) {
                Exercise exercise = maker.alone(fault, seed).orElseThrow();
                assertThat(examiner(exercise).tree().reading().findings())
                        .as(exercise.code() + " " + fault)
                        .anyMatch(finding ->
                                finding.rule().id().equals(fault.rule()) && finding.severity() != Severity.WATCH);
            }
        }
    }

    @Test
    void theSameCodeIsTheSameTree() {
        Exercise made = made(new ExerciseMaker.Wish("usual", "apple", "tall-spindle", null, Fault.THICK_LIMB), 7);
        Exercise again = Exercise.of(made.code()).orElseThrow();
        assertThat(again).isEqualTo(made);
        assertThat(again.survey()).isEqualTo(made.survey());
        assertThat(made.faults()).contains(Fault.THICK_LIMB).hasSize(3);
    }

    @Test
    void noNameOfALimbTellsThatItWasPutIn() {
        Exercise exercise =
                new Exercise("apple", "tall-spindle", 7, 3, Set.of(Fault.SUCKERS, Fault.STACKED_LIMBS, Fault.HANGERS));
        List<Survey.LimbMeasure> limbs = exercise.survey().limbs();
        assertThat(limbs)
                .hasSameSizeAs(PracticeTree.survey(
                                "apple", "tall-spindle", 7, 3, exercise.faults().toArray(Fault[]::new))
                        .limbs());
        assertThat(limbs)
                .extracting(Survey.LimbMeasure::id)
                .doesNotHaveDuplicates()
                .allMatch(id -> id.matches("\\d+[a-z]*"));
        List<Survey.LimbMeasure> onTrunk =
                limbs.stream().filter(limb -> limb.parent().equals("trunk")).toList();
        assertThat(onTrunk).isSortedAccordingTo(Comparator.comparingDouble(Survey.LimbMeasure::atCm));
        assertThat(onTrunk.get(0).role()).isEqualTo("sucker");
    }

    @Test
    void whatIsNoCodeIsNoExercise() {
        assertThat(Exercise.of("apple_tall-spindle_5_1_zzzzzz")).isEmpty();
        assertThat(Exercise.of("../etc_x_1_1_1")).isEmpty();
        assertThat(Exercise.of("")).isEmpty();
    }
}
