package umbel.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.format.FieldError;
import umbel.format.FormatCheck;

/**
 * Reads {@code umbel-survey/1}. Shape and ranges come from the published JSON Schema
 * ({@code formats/umbel-survey-1.schema.json}), the one place that states them; what a schema cannot say (parents that
 * exist, no cycles, a limb that starts on its parent) is checked here. All faults are reported together.
 */
public final class SurveyReader {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final FormatCheck FORMAT = new FormatCheck("umbel-survey-1");
    private static final int MOST_SMALL_WOOD = 20_000;
    private static final int MOST_DEPTH = 12;

    private SurveyReader() {}

    /**
     * Reads a survey from JSON text.
     *
     * @throws InvalidSurvey naming each faulty field
     */
    public static Survey read(String json) {
        try {
            return read(JSON.readTree(json));
        } catch (JacksonException e) {
            throw new InvalidSurvey(List.of(new FieldError("", "This is not JSON: " + e.getOriginalMessage())));
        }
    }

    /**
     * Reads a survey from a parsed document.
     *
     * @throws InvalidSurvey naming each faulty field
     */
    public static Survey read(JsonNode document) {
        if (document == null || !document.isObject()) {
            throw new InvalidSurvey(List.of(new FieldError("", "A survey is a JSON object.")));
        }
        List<FieldError> errors = new ArrayList<>(FORMAT.check(document));
        FormatCheck.checkDay(document, "surveyedOn", errors);
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
        Survey survey;
        try {
            survey = JSON.treeToValue(document, Survey.class);
        } catch (JacksonException e) {
            throw new InvalidSurvey(
                    List.of(new FieldError("", "The survey cannot be read: " + e.getOriginalMessage())));
        }
        checkFrame(survey, errors);
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
        return survey;
    }

    /** Writes a survey back as its open format. */
    public static String write(Survey survey) {
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(survey);
    }

    private static void checkFrame(Survey survey, List<FieldError> errors) {
        Map<String, Survey.LimbMeasure> byId = new HashMap<>();
        List<Survey.LimbMeasure> limbs = survey.limbs();
        int smallWood = 0;
        for (int i = 0; i < limbs.size(); i++) {
            Survey.LimbMeasure limb = limbs.get(i);
            if (limb.id().equals(Survey.TRUNK)) {
                errors.add(new FieldError("limbs[" + i + "].id", "The id 'trunk' is kept for the trunk itself."));
            } else if (byId.putIfAbsent(limb.id(), limb) != null) {
                errors.add(
                        new FieldError("limbs[" + i + "].id", "Another limb already has the id '" + limb.id() + "'."));
            }
            smallWood += countOf(limb.wood());
        }
        if (smallWood > MOST_SMALL_WOOD) {
            errors.add(new FieldError(
                    "limbs",
                    "Shoots and spurs add up to " + smallWood + "; at most " + MOST_SMALL_WOOD
                            + " can be read on one tree."));
        }
        for (int i = 0; i < limbs.size(); i++) {
            checkOrigin(survey, limbs.get(i), byId, "limbs[" + i + "]", errors);
        }
        checkUnion(survey.trunk(), errors);
    }

    private static void checkOrigin(
            Survey survey,
            Survey.LimbMeasure limb,
            Map<String, Survey.LimbMeasure> byId,
            String path,
            List<FieldError> errors) {
        if (limb.ageY() != null && limb.lastGrowthCm() != null && limb.lastGrowthCm() > limb.lengthCm()) {
            errors.add(new FieldError(path + ".lastGrowth_cm", "Last year's growth is longer than the limb."));
        }
        double parentLength;
        if (limb.parent().equals(Survey.TRUNK)) {
            parentLength = survey.trunk().heightCm();
        } else if (byId.containsKey(limb.parent())) {
            parentLength = byId.get(limb.parent()).lengthCm();
            Set<String> seen = new HashSet<>();
            String at = limb.id();
            while (byId.containsKey(at)) {
                if (!seen.add(at)) {
                    errors.add(new FieldError(
                            path + ".parent",
                            "Limb '" + limb.id() + "' grows from itself by way of '" + limb.parent()
                                    + "'; parents must lead to the trunk."));
                    return;
                }
                at = byId.get(at).parent();
            }
            if (seen.size() > MOST_DEPTH) {
                errors.add(new FieldError(
                        path + ".parent",
                        "Limb '" + limb.id() + "' is limb on limb " + seen.size() + " deep; at most " + MOST_DEPTH
                                + " can be read."));
                return;
            }
        } else {
            errors.add(new FieldError(path + ".parent", "There is no limb '" + limb.parent() + "' to grow from."));
            return;
        }
        if (limb.atCm() > parentLength) {
            errors.add(new FieldError(
                    path + ".at_cm",
                    String.format(
                            Locale.ROOT,
                            "The limb starts at %.0f cm, beyond the end of its parent '%s' at %.0f cm.",
                            limb.atCm(),
                            limb.parent(),
                            parentLength)));
        }
    }

    private static void checkUnion(Survey.TrunkMeasure trunk, List<FieldError> errors) {
        if (trunk.unionAtCm() != null && trunk.unionAtCm() >= trunk.heightCm()) {
            errors.add(new FieldError("trunk.unionAt_cm", "The union lies above the trunk's top."));
        }
        if (trunk.diameterAtCm() != null && trunk.diameterAtCm() >= trunk.heightCm()) {
            errors.add(new FieldError("trunk.diameterAt_cm", "The diameter was taken above the trunk's top."));
        }
    }

    private static int countOf(Survey.SmallWood wood) {
        if (wood == null) {
            return 0;
        }
        int count = wood.spurs() == null ? 0 : wood.spurs().count();
        if (wood.shoots() != null) {
            count += wood.shoots().stream().mapToInt(Survey.ShootCount::count).sum();
        }
        return count;
    }
}
