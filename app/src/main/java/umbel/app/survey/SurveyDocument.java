package umbel.app.survey;

import java.time.LocalDate;
import umbel.counted.CountSurvey;

/** What was measured or counted in a survey, without the plant it is of: for answers about many of them. */
public record SurveyDocument(Long id, Long treeId, LocalDate surveyedOn, String format, String document) {

    /** Whether canes were counted instead of limbs measured. */
    public boolean counted() {
        return format.equals(CountSurvey.FORMAT);
    }
}
