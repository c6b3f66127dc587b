package umbel.app.survey;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import umbel.app.orchard.Holding;
import umbel.format.FieldError;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;
import umbel.text.Value;

/** The day a survey counts for. */
public final class SurveyDay {

    private static final LocalDate EARLIEST = LocalDate.of(1900, 1, 1);

    private SurveyDay() {}

    /**
     * The day a survey says it was made, or today where it says none; days are the holding's own.
     *
     * @throws InvalidSurvey where it lies in the future: every later survey would be taken for an older one
     */
    public static LocalDate of(LocalDate surveyedOn, Holding holding, Clock clock) {
        LocalDate today = LocalDate.now(clock.withZone(holding.timeZone()));
        LocalDate day = surveyedOn == null ? today : surveyedOn;
        if (day.isAfter(today)) {
            throw new InvalidSurvey(List.of(new FieldError(
                    "surveyedOn", Statement.of("problem.day-in-future").with("today", new Value.Day(today)))));
        }
        if (day.isBefore(EARLIEST)) {
            throw new InvalidSurvey(List.of(FieldError.of("surveyedOn", "problem.day-too-early")));
        }
        return day;
    }
}
