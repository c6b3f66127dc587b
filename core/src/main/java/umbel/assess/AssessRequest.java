package umbel.assess;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.format.FieldError;
import umbel.format.FormatCheck;
import umbel.survey.InvalidSurvey;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;

/**
 * What is asked of a survey, as it travels in the open format; everything but the survey may be null and has a default.
 *
 * @param phase season's phase; dormant by default
 * @param on day of the visit
 * @param goals weights by goal name
 * @param school school id; classic by default
 * @param years winters to plan over, 1…5
 * @param seed of the small wood's arrangement
 * @param schoolLines lines of the school set otherwise, by name
 * @param block what is known of the trees around it
 */
public record AssessRequest(
        Survey survey,
        String phase,
        LocalDate on,
        Map<String, Double> goals,
        String school,
        LimitsAsked limits,
        Integer years,
        Long seed,
        Map<String, Object> schoolLines,
        BlockKnown block) {

    private static final FormatCheck FORMAT = new FormatCheck("umbel-assess-1");
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** Limits the grower sets himself; null parts are the usual ones. */
    public record LimitsAsked(
            Double woodShare,
            Integer bigCuts,
            @JsonProperty("reach_m") Double reachM) {}

    /** The trees around it: the median trunk diameter of the row or block; null when not known. */
    public record BlockKnown(@JsonProperty("trunkMedian_mm") Double trunkMedianMm) {}

    /** A request with the school as it stands, of a tree read for itself. */
    public AssessRequest(
            Survey survey,
            String phase,
            LocalDate on,
            Map<String, Double> goals,
            String school,
            LimitsAsked limits,
            Integer years,
            Long seed) {
        this(survey, phase, on, goals, school, limits, years, seed, null, null);
    }

    /** The plain request: a survey, everything else by default. */
    public static AssessRequest of(Survey survey) {
        return new AssessRequest(survey, null, null, null, null, null, null, null);
    }

    /**
     * Reads a request from a parsed document.
     *
     * @throws InvalidSurvey naming each faulty field; fields of the survey as {@code survey.limbs[3].angle_deg}
     */
    public static AssessRequest read(JsonNode document) {
        if (document == null || !document.isObject()) {
            throw new InvalidSurvey(List.of(FieldError.of("", "problem.request-not-object")));
        }
        List<FieldError> errors = new ArrayList<>(check(document));
        Survey survey = null;
        if (document.path("survey").isObject()) {
            try {
                survey = SurveyReader.read(document.get("survey"));
            } catch (InvalidSurvey e) {
                e.errors().forEach(error -> errors.add(error.under("survey")));
            }
        }
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
        AssessRequest rest = JSON.treeToValue(document, AssessRequest.class);
        return new AssessRequest(
                survey,
                rest.phase(),
                rest.on(),
                rest.goals(),
                rest.school(),
                rest.limits(),
                rest.years(),
                rest.seed(),
                rest.schoolLines(),
                rest.block());
    }

    /** What is wrong with a request, its survey left out of account. */
    static List<FieldError> check(JsonNode document) {
        List<FieldError> errors = new ArrayList<>(FORMAT.check(document));
        FormatCheck.checkDay(document, "on", errors);
        return errors;
    }
}
