package umbel.app.instruction;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PastOrPresent;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import umbel.instruction.BlockInstruction.Range;

/** What the page of a block's instruction is told, and what it tells. */
final class InstructionAnswers {

    private InstructionAnswers() {}

    /**
     * A block's instruction as it stands.
     *
     * @param instruction the newest one; null while there is none
     * @param search how the search for one stands; null where none was begun
     * @param sample which trees to survey, and how many are
     */
    public record InstructionPage(
            long blockId, String block, int trees, Instruction instruction, SearchState search, TreesToSurvey sample) {}

    /**
     * What is said, and what it brings.
     *
     * @param always what holds besides the sentences
     * @param crewAlways the same in every crew language
     * @param tooUnlike whether the trees are too unlike for one instruction
     * @param share of the gain of the trees' own plans, on trees it was not found on; null with one tree
     * @param missedByAll forms that everybody misses
     */
    public record Instruction(
            long id,
            LocalDate madeOn,
            String madeBy,
            boolean inUse,
            String always,
            Map<String, String> crewAlways,
            List<InstructionSentence> sentences,
            Double share,
            boolean tooUnlike,
            int agreeing,
            List<InstructedTree> trees,
            Range minutes,
            Range cuts,
            double plannedMinutes,
            double tiesATree,
            boolean enough,
            InstructionOutcome before,
            InstructionOutcome after,
            InstructionOutcome planned,
            List<CheckLine> checks,
            List<String> missedByAll) {}

    /** One sentence: its form, what it says in every crew language, and its picture. */
    public record InstructionSentence(String form, String text, Map<String, String> crew, String figure) {}

    /** A tree of the sample; {@code share} is null where its own plan gains nothing. */
    public record InstructedTree(
            long treeId, String tree, Double share, boolean agrees, int otherwise, double minutes) {}

    /** Shade and crop, shares. */
    public record InstructionOutcome(double shade, double crop) {}

    /** How far a search is: waiting, running, done, cancelled or failed. */
    public record SearchState(String state, int done, int total) {}

    /**
     * Which trees tell enough.
     *
     * @param wanted how many to survey
     * @param least how many at least
     * @param surveyed how many are
     * @param places where to go next, in walking order; those that are surveyed are left out
     */
    public record TreesToSurvey(int wanted, int least, int surveyed, List<SamplePlace> places) {}

    /** A place of the block. */
    public record SamplePlace(int row, int place, String label) {}

    /** A person's finished trees as looked at, and what they tell: go-on, good or again. */
    public record CheckLine(
            long id,
            LocalDate checkedOn,
            String who,
            Integer row,
            int trees,
            Map<String, Integer> faults,
            String verdict) {}

    /** Finished trees that were looked at. */
    public record CheckSent(
            @NotNull @PastOrPresent LocalDate checkedOn,

            @NotBlank @Size(max = 80) String who,

            @Min(value = 1) @Max(value = 10_000) Integer row,

            @Min(value = 1) @Max(value = 500) int trees,

            @NotNull @Size(max = 12) Map<String, @NotNull @Min(value = 0) @Max(value = 10_000) Integer> faults) {}

    /** Whether the block is worked by it. */
    public record UseSent(boolean use) {}
}
