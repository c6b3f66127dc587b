package umbel.app.visit;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import umbel.app.log.StepOutcome;
import umbel.assess.Mark;

/**
 * A visit to be recorded. Without a step it is a report: what was seen stands in the note.
 *
 * @param corrects the entry it corrects; null where it is a visit of its own
 * @param surveyId the survey its sheet was made from; null takes the newest
 * @param knownVisit the newest visit its sheet knew of; those after it are told in the answer
 */
public record VisitEntry(
        @NotNull(message = "Say on which day it was done.") LocalDate doneOn,

        @NotBlank(message = "Say who did it.") @Size(max = 120, message = "At most 120 characters.")
        String who,

        @DecimalMin(value = "0", message = "Minutes cannot be negative.")
        @DecimalMax(value = "1440", message = "More minutes than a day has.")
        double minutes,

        @Size(max = 2000, message = "At most 2000 characters.")
        String note,

        @NotNull(message = "Say which steps.") @Size(max = 300, message = "At most 300 steps.")
        List<@NotNull(message = "Say what the step was.") @Valid DoneStep> steps,

        Long corrects,

        @Size(max = 200, message = "At most 200 characters.")
        String tools,

        @Size(max = 40, message = "At most 40 characters.") String clientId,

        Long surveyId,
        Long knownVisit) {

    /**
     * One step as it went.
     *
     * @param mark what was planned
     * @param title in words
     * @param outcome as-planned, changed, skipped, added at the tree, or left for whoever comes next
     * @param reason why it was changed, skipped or added
     */
    public record DoneStep(
            @NotNull(message = "Say which step.") Mark mark,

            @NotBlank(message = "Say what the step was.") @Size(max = 200)
            String title,

            @NotBlank(message = "Say how it went.") String outcome,

            @Size(max = 500, message = "At most 500 characters.")
            String reason) {

        /** How it went; empty where the word is none of the known ones. */
        Optional<StepOutcome> how() {
            return StepOutcome.of(outcome);
        }
    }
}
