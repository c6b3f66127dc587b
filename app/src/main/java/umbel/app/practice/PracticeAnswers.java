package umbel.app.practice;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import umbel.app.plan.TreeAnswers;
import umbel.app.survey.StandDrawing;
import umbel.assess.Assessment;
import umbel.assess.Mark;

/** What practice is sent and sends. */
public final class PracticeAnswers {

    /** Marks that an answer may have. */
    private static final int MOST_MARKS = 300;

    private PracticeAnswers() {}

    /** A thing to choose, by its id and its name in the reader's language. */
    public record PracticeChoice(String id, String name) {}

    /** A kind of tree and the systems it is kept in. */
    public record PracticeKind(String id, String name, List<PracticeChoice> systems) {}

    /** A fault that trees can be made with, and the rule that finds it. */
    public record PracticeFaultChoice(String id, String name, String rule) {}

    /** What exercises can be made of. */
    public record PracticeChoices(List<String> levels, List<PracticeKind> kinds, List<PracticeFaultChoice> faults) {}

    /**
     * What exercise is wished for; everything may be null.
     *
     * @param likeBlock a block whose kind, system and age the tree has, whatever else is wished for
     * @param seed the same wish and seed make the same exercise; null for one that nobody has seen
     */
    public record PracticeWish(String level, String species, String system, String fault, Long likeBlock, Long seed) {}

    /** The code of an exercise that was made. */
    public record PracticeMade(String code) {}

    /**
     * The tree of an exercise, without what is wrong with it.
     *
     * @param own whether it is a tree of the holding and not a made-up one
     * @param label of a tree of the holding; empty for a made-up one
     * @param faults how many things are wrong that somebody would act on
     * @param needsAVisit whether anything needs doing at all
     * @param together operations that go together on one limb, by operation
     */
    public record PracticeTreePage(
            String code,
            boolean own,
            String label,
            String speciesName,
            String systemName,
            int leaf,
            StandDrawing drawing,
            List<TreeAnswers.LimbLine> limbs,
            double woodShare,
            int bigCuts,
            double reachM,
            int faults,
            boolean needsAVisit,
            Map<String, List<String>> together) {}

    /** What somebody has marked. */
    public record PracticeMarks(@Size(max = MOST_MARKS) List<Mark> marks) {

        public PracticeMarks {
            marks = marks == null ? List.of() : List.copyOf(marks);
        }
    }

    /**
     * What an exercise needs where there is no signal.
     *
     * @param alone by limb, each thing that could be done to it, as if it were the only mark
     */
    public record PracticeKit(PracticeTreePage page, Map<String, List<TreeAnswers.UnderMarks>> alone) {}

    /**
     * What is asked for a hint.
     *
     * @param degree 1 names what kind of fault is still there, 2 its limb too, 3 the step
     */
    public record HintAsked(@Size(max = MOST_MARKS) List<Mark> marks, int degree) {

        public HintAsked {
            marks = marks == null ? List.of() : List.copyOf(marks);
        }
    }

    /** A hint; an empty text where nothing is missing. */
    public record PracticeHint(String text, List<String> limbs) {}

    /**
     * An answer to be marked.
     *
     * @param pointed limbs at which something was said to be wrong
     */
    public record PracticeEntry(
            @Size(max = MOST_MARKS) List<Mark> marks,
            @Size(max = MOST_MARKS) List<String> pointed) {

        public PracticeEntry {
            marks = marks == null ? List.of() : List.copyOf(marks);
            pointed = pointed == null ? List.of() : List.copyOf(pointed);
        }
    }

    /** A fault of the tree and what became of it: cleared, left or brought; whether its limb was pointed at. */
    public record PracticeFault(
            String rule, String name, List<String> limbs, String reason, String fate, boolean seen) {}

    /**
     * A step and what it brings.
     *
     * @param gain share of what the program's plan gains
     * @param does helps, hardly-matters or harms
     * @param reason the program's own, where it has one
     */
    public record PracticeStep(Mark mark, String title, String place, double gain, String does, String reason) {}

    /**
     * The tree some seasons on.
     *
     * @param firstClass fruits that size and colour, a year, in the order of the years
     * @param shaded share of fruiting sites with too little light after these years
     * @param sprouts strong upright shoots in the first season
     */
    public record PracticeYears(List<Double> firstClass, double shaded, double sprouts) {}

    /**
     * A marked answer.
     *
     * @param mark share of what the program's plan gains
     * @param passMark from which it passes
     * @param school by whose lines it passed, or the usual one
     * @param next the one thing to do better; null where there is none
     * @param missed steps of the program that would have brought most
     * @param plan the program's own steps
     * @param minutes of the answer, and of the program's plan
     */
    public record PracticeVerdict(
            double mark,
            double passMark,
            boolean passed,
            boolean withinLimits,
            String school,
            PracticeStep next,
            List<PracticeFault> faults,
            List<PracticeStep> steps,
            List<PracticeStep> missed,
            List<PracticeStep> plan,
            double minutes,
            double planMinutes,
            PracticeYears answer,
            PracticeYears program,
            PracticeYears nothing) {}

    /** A tree on which one fault is to be found, quickly. */
    public record DrillTree(String code, String rule, String name) {}

    /**
     * A tree of a minute's drill with where its fault is: it can be answered without signal.
     *
     * @param limbs on which the fault is to be seen
     * @param reason what is wrong with the first of them
     */
    public record DrillPage(PracticeTreePage page, List<String> limbs, String reason) {}

    /**
     * A small drawing to be judged, with its answer: it can be answered without signal.
     *
     * @param drawing as SVG; empty where nothing is drawn
     * @param right place of the right one among the options
     */
    public record EyeQuestion(
            String skill, String name, String asks, String drawing, List<String> options, int right, String why) {}

    /** Whether somebody judged a drawing rightly. */
    public record EyeAnswer(@NotNull String skill, boolean right) {}

    /** A round of small drawings as it was answered. */
    public record EyeRound(@NotEmpty @Size(max = MOST_MARKS) List<@Valid EyeAnswer> answers) {}

    /**
     * How a skill stands.
     *
     * @param eye whether it is one of those that are trained on small drawings
     */
    public record PracticeSkill(
            String rule,
            String name,
            int box,
            int boxes,
            int shown,
            int known,
            String due,
            boolean dueNow,
            String fault,
            boolean eye) {}

    /** An exercise that was done. */
    public record PracticeDone(String code, String title, String doneOn, double mark, boolean passed) {}

    /** What somebody has practised. */
    public record PracticeProgress(List<PracticeSkill> skills, List<PracticeDone> last, int exercises, int passed) {}

    /** A person of the crew. */
    public record PracticePerson(String name, int exercises, int passed, double mean) {}

    /** A limb about which people differ: how many gave it each fate. */
    public record PracticeSplit(String limb, Map<String, Integer> fates) {}

    /**
     * A tree that several people did.
     *
     * @param agree well, fairly or little, by the kappa; null where nothing can be said
     * @param kappa agreement beyond chance about the fate of its limbs (Fleiss' kappa); null where nothing can be said
     */
    public record PracticeCommon(
            String code, String title, List<String> people, Double kappa, String agree, List<PracticeSplit> splits) {}

    /** How the crew practises. */
    public record PracticeCrew(List<PracticePerson> people, List<PracticeCommon> common) {}

    /**
     * What to do with one limb that was asked about.
     *
     * @param limb its name on the tree drawn
     * @param findings what speaks against it, the gravest first
     * @param step what is recommended; null to leave it as it is
     * @param options what could be done to it, and what each would do
     */
    public record LimbVerdict(
            String limb,
            StandDrawing drawing,
            List<Assessment.FindingAnswer> findings,
            Assessment.StepAnswer step,
            List<TreeAnswers.Option> options) {}
}
