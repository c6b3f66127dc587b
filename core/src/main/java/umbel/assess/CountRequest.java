package umbel.assess;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.counted.CountReader;
import umbel.counted.CountSurvey;
import umbel.format.FieldError;
import umbel.survey.InvalidSurvey;

/**
 * What is asked of a counted plant; everything but the survey may be null and has a default.
 *
 * @param phase season's phase; dormant by default
 * @param on day of the visit
 */
public record CountRequest(CountSurvey survey, String phase, LocalDate on) {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private record Rest(String phase, LocalDate on) {}

    /** The plain request: a counted plant, in dormancy. */
    public static CountRequest of(CountSurvey survey) {
        return new CountRequest(survey, null, null);
    }

    /** Whether a request is about a counted plant. */
    public static boolean isOne(JsonNode document) {
        return document != null && CountReader.isCount(document.get("survey"));
    }

    /**
     * Reads a request from a parsed document.
     *
     * @throws InvalidSurvey naming each faulty field; fields of the survey as {@code survey.canes[3].age_y}
     */
    public static CountRequest read(JsonNode document) {
        List<FieldError> errors = new ArrayList<>(AssessRequest.check(document));
        CountSurvey survey = null;
        try {
            survey = CountReader.read(document.get("survey"));
        } catch (InvalidSurvey e) {
            e.errors().forEach(error -> errors.add(error.under("survey")));
        }
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
        Rest rest = JSON.treeToValue(document, Rest.class);
        return new CountRequest(survey, rest.phase(), rest.on());
    }
}
