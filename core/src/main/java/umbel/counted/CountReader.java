package umbel.counted;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.format.FieldError;
import umbel.format.FormatCheck;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Reads {@code umbel-count/1}. Shape and ranges come from {@code formats/umbel-count-1.schema.json}; what a schema cannot say is
 * checked here. All faults are reported together.
 */
public final class CountReader {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final FormatCheck FORMAT = new FormatCheck("umbel-count-1");
    private static final int MOST_CANES = 400;

    private CountReader() {}

    /** Whether a document says that it is a counted plant. */
    public static boolean isCount(JsonNode document) {
        return document != null
                && document.isObject()
                && CountSurvey.FORMAT.equals(document.path("format").asString(""));
    }

    /**
     * Reads a counted plant from a parsed document.
     *
     * @throws InvalidSurvey naming each faulty field
     */
    public static CountSurvey read(JsonNode document) {
        if (document == null || !document.isObject()) {
            throw new InvalidSurvey(List.of(FieldError.of("", "problem.count-not-object")));
        }
        List<FieldError> errors = new ArrayList<>(FORMAT.check(document));
        FormatCheck.checkDay(document, "surveyedOn", errors);
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
        CountSurvey survey;
        try {
            survey = JSON.treeToValue(document, CountSurvey.class);
        } catch (JacksonException e) {
            throw new InvalidSurvey(List.of(new FieldError(
                    "", Statement.of("problem.not-readable").with("reason", Value.name(e.getOriginalMessage())))));
        }
        checkForm(survey, errors);
        if (survey.canes() != null) {
            checkBush(survey.canes(), errors);
        }
        if (survey.row() != null) {
            checkRow(survey.row(), errors);
        }
        if (survey.vine() != null) {
            checkVine(survey.vine(), errors);
        }
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
        return survey;
    }

    /** Writes a counted plant back as its open format. */
    public static String write(CountSurvey survey) {
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(survey);
    }

    private static void checkForm(CountSurvey survey, List<FieldError> errors) {
        int forms = (survey.canes() == null ? 0 : 1) + (survey.row() == null ? 0 : 1) + (survey.vine() == null ? 0 : 1);
        if (forms != 1) {
            errors.add(FieldError.of("", "problem.one-form"));
        }
    }

    private static void checkBush(List<CountSurvey.BushCane> canes, List<FieldError> errors) {
        Set<String> ids = new HashSet<>();
        int all = 0;
        for (int i = 0; i < canes.size(); i++) {
            CountSurvey.BushCane cane = canes.get(i);
            checkId(cane.id(), ids, "canes[" + i + "].id", errors);
            all += cane.many();
        }
        if (all > MOST_CANES) {
            errors.add(new FieldError(
                    "canes",
                    Statement.of("problem.too-many-canes")
                            .with("count", Value.count(all))
                            .with("most", Value.count(MOST_CANES))));
        }
        for (int i = 0; i < canes.size(); i++) {
            List<String> rubs =
                    canes.get(i).rubs() == null ? List.of() : canes.get(i).rubs();
            for (String other : rubs) {
                if (!ids.contains(other)) {
                    errors.add(new FieldError(
                            "canes[" + i + "].rubs",
                            Statement.of("problem.no-such-cane").with("cane", Value.name(other))));
                }
            }
        }
    }

    private static void checkRow(CountSurvey.Row row, List<FieldError> errors) {
        boolean section = row.canes() != null;
        boolean samples = row.samples() != null && !row.samples().isEmpty();
        if (section == samples) {
            errors.add(FieldError.of("row", "problem.row-canes-or-samples"));
        }
        if (section && row.lengthM() == null) {
            errors.add(FieldError.of("row.length_m", "problem.missing"));
        }
        if (section) {
            checkClasses(row.canes(), "row.canes", errors);
        }
        for (int i = 0; samples && i < row.samples().size(); i++) {
            checkClasses(row.samples().get(i).canes(), "row.samples[" + i + "].canes", errors);
        }
    }

    private static void checkClasses(List<CountSurvey.RowCanes> classes, String path, List<FieldError> errors) {
        for (int i = 0; i < classes.size(); i++) {
            CountSurvey.RowCanes one = classes.get(i);
            int parts = or0(one.weak()) + or0(one.outside());
            if (parts > one.count()) {
                errors.add(FieldError.of(path + "[" + i + "].weak", "problem.more-weak-than-canes"));
            }
            if (or0(one.diseased()) > one.count()) {
                errors.add(FieldError.of(path + "[" + i + "].diseased", "problem.more-than-canes"));
            }
        }
    }

    private static void checkVine(CountSurvey.Vine vine, List<FieldError> errors) {
        Set<String> ids = new HashSet<>();
        List<CountSurvey.Arm> arms = vine.arms() == null ? List.of() : vine.arms();
        for (int i = 0; i < arms.size(); i++) {
            checkId(arms.get(i).id(), ids, "vine.arms[" + i + "].id", errors);
        }
        Set<String> known = Set.copyOf(ids);
        List<CountSurvey.VineCane> canes = vine.canes() == null ? List.of() : vine.canes();
        for (int i = 0; i < canes.size(); i++) {
            CountSurvey.VineCane cane = canes.get(i);
            checkId(cane.id(), ids, "vine.canes[" + i + "].id", errors);
            if (cane.arm() != null && !known.contains(cane.arm())) {
                errors.add(new FieldError(
                        "vine.canes[" + i + "].arm",
                        Statement.of("problem.no-such-arm").with("arm", Value.name(cane.arm()))));
            }
        }
        if (vine.budSample() != null
                && vine.budSample().dead() > vine.budSample().n()) {
            errors.add(FieldError.of("vine.budSample.dead", "problem.more-dead-buds"));
        }
    }

    private static void checkId(String id, Set<String> ids, String path, List<FieldError> errors) {
        if (!ids.add(id)) {
            errors.add(new FieldError(path, Statement.of("problem.name-twice").with("name", Value.name(id))));
        }
    }

    private static int or0(Integer count) {
        return count == null ? 0 : count;
    }
}
