package umbel.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.format.FieldError;
import umbel.format.FormatCheck;
import umbel.text.Statement;
import umbel.text.Value;

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
            throw new InvalidSurvey(List.of(new FieldError(
                    "", Statement.of("problem.not-json").with("reason", Value.name(e.getOriginalMessage())))));
        }
    }

    /**
     * Reads a survey from a parsed document.
     *
     * @throws InvalidSurvey naming each faulty field
     */
    public static Survey read(JsonNode document) {
        if (document == null || !document.isObject()) {
            throw new InvalidSurvey(List.of(FieldError.of("", "problem.survey-not-object")));
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
            throw new InvalidSurvey(List.of(new FieldError(
                    "", Statement.of("problem.not-readable").with("reason", Value.name(e.getOriginalMessage())))));
        }
        checkFrame(survey, errors);
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
        return survey;
    }

    /** Reads a survey that was checked when it was saved, in a fraction of the time; for answers about thousands. */
    public static Survey saved(String json) {
        return JSON.readValue(json, Survey.class);
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
                errors.add(FieldError.of("limbs[" + i + "].id", "problem.name-of-trunk"));
            } else if (byId.putIfAbsent(limb.id(), limb) != null) {
                errors.add(new FieldError(
                        "limbs[" + i + "].id",
                        Statement.of("problem.limb-twice").with("limb", Value.name(limb.id()))));
            }
            smallWood += countOf(limb.wood());
        }
        if (smallWood > MOST_SMALL_WOOD) {
            errors.add(new FieldError(
                    "limbs",
                    Statement.of("problem.too-much-small-wood")
                            .with("count", Value.count(smallWood))
                            .with("most", Value.count(MOST_SMALL_WOOD))));
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
            errors.add(FieldError.of(path + ".lastGrowth_cm", "problem.growth-over-length"));
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
                            Statement.of("problem.limb-on-itself")
                                    .with("limb", Value.name(limb.id()))
                                    .with("parent", Value.name(limb.parent()))));
                    return;
                }
                at = byId.get(at).parent();
            }
            if (seen.size() > MOST_DEPTH) {
                errors.add(new FieldError(
                        path + ".parent",
                        Statement.of("problem.limb-too-deep")
                                .with("limb", Value.name(limb.id()))
                                .with("depth", Value.count(seen.size()))
                                .with("most", Value.count(MOST_DEPTH))));
                return;
            }
        } else {
            errors.add(new FieldError(
                    path + ".parent",
                    Statement.of("problem.no-such-parent").with("parent", Value.name(limb.parent()))));
            return;
        }
        if (limb.atCm() > parentLength) {
            errors.add(new FieldError(
                    path + ".at_cm",
                    Statement.of("problem.beyond-parent")
                            .with("at", Value.centimetres(limb.atCm()))
                            .with("parent", Value.name(limb.parent()))
                            .with("end", Value.centimetres(parentLength))));
        }
    }

    private static void checkUnion(Survey.TrunkMeasure trunk, List<FieldError> errors) {
        if (trunk.unionAtCm() != null && trunk.unionAtCm() >= trunk.heightCm()) {
            errors.add(FieldError.of("trunk.unionAt_cm", "problem.union-above-top"));
        }
        if (trunk.diameterAtCm() != null && trunk.diameterAtCm() >= trunk.heightCm()) {
            errors.add(FieldError.of("trunk.diameterAt_cm", "problem.diameter-above-top"));
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
