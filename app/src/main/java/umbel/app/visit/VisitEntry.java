package umbel.app.visit;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
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
 * @param afterwards what was looked after when the last cut was made; null where nobody says
 */
public record VisitEntry(
        @NotNull LocalDate doneOn,

        @NotBlank @Size(max = 120) String who,

        @DecimalMin(value = "0") @DecimalMax(value = "1440") double minutes,

        @Size(max = 2000) String note,

        @NotNull @Size(max = 300) List<@NotNull @Valid DoneStep> steps,

        Long corrects,

        @Size(max = 200) String tools,

        @Size(max = 40) String clientId,

        Long surveyId,
        Long knownVisit,

        @Size(max = 5)
        List<@NotNull @Pattern(regexp = "wounds|bark|tools|diseased-prunings|prunings") String> afterwards) {

    /**
     * One step as it went.
     *
     * @param mark what was planned
     * @param title in words
     * @param outcome as-planned, changed, skipped, added at the tree, or left for whoever comes next
     * @param reason why it was changed, skipped or added
     */
    public record DoneStep(
            @NotNull Mark mark,

            @NotBlank @Size(max = 200) String title,

            @NotBlank String outcome,

            @Size(max = 500) String reason) {

        /** How it went; empty where the word is none of the known ones. */
        Optional<StepOutcome> how() {
            return StepOutcome.of(outcome);
        }
    }
}
