package umbel.app.visit;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import umbel.assess.Assessment;

/** What is told of recorded visits. */
public final class VisitAnswers {

    private VisitAnswers() {}

    /**
     * A recorded visit.
     *
     * @param afterwards what was looked after when the last cut was made; null where nobody said
     * @param worked whether anything was done
     * @param correctedBy the entry that corrects it
     * @param outcomePending whether what it came to is still being worked out
     * @param alsoBy other visits that count and say to have done one of its steps as well
     */
    public record RecordLine(
            long id,
            LocalDate doneOn,
            String who,
            double minutes,
            String note,
            List<VisitEntry.DoneStep> steps,
            Long corrects,
            Long correctedBy,
            LocalDate surveyedOn,
            Instant savedAt,
            String tools,
            List<String> afterwards,
            boolean worked,
            List<OtherVisit> alsoBy,
            boolean outcomePending,
            VisitOutcome outcome) {}

    /** Another visit to the same tree: whose it was, and which steps were done. */
    public record OtherVisit(long id, LocalDate doneOn, String who, List<String> done) {}

    /** A visit as it was saved, and the visits to the tree that its sheet knew nothing of. */
    public record SavedVisit(RecordLine record, List<OtherVisit> meanwhile) {}

    /**
     * What a visit came to.
     *
     * @param before the tree as surveyed
     * @param planned with all that was planned
     * @param after with what was done
     */
    public record VisitOutcome(
            Assessment.TotalsAnswer before, Assessment.TotalsAnswer planned, Assessment.TotalsAnswer after) {}
}
