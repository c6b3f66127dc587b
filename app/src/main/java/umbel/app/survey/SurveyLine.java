package umbel.app.survey;

import java.time.LocalDate;
import umbel.counted.CountSurvey;

/** A survey and where its tree stands, without what was measured: for lists, and to choose which to read. */
public record SurveyLine(
        Long id,
        LocalDate surveyedOn,
        String format,
        Long treeId,
        Long blockId,
        String label,
        Integer row,
        Integer place) {

    /** Whether canes were counted instead of limbs measured. */
    public boolean counted() {
        return format.equals(CountSurvey.FORMAT);
    }
}
