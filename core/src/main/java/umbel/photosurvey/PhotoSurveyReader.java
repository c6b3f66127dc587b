package umbel.photosurvey;

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
import umbel.knowledge.PhotographParameters;
import umbel.photosurvey.PhotoSurveyRequest.Pair;
import umbel.photosurvey.PhotoSurveyRequest.Pixel;
import umbel.photosurvey.PhotoSurveyRequest.Trace;
import umbel.photosurvey.PhotoSurveyRequest.View;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Reads {@code umbel-photo-survey/1}. Shape and ranges come from {@code formats/umbel-photo-survey-1.schema.json}; what a schema
 * cannot say is checked here. All faults are reported together.
 */
public final class PhotoSurveyReader {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final FormatCheck FORMAT = new FormatCheck("umbel-photo-survey-1");

    private final List<FieldError> errors = new ArrayList<>();

    private PhotoSurveyReader() {}

    /**
     * Reads what was touched from a parsed document.
     *
     * @param parameters by which two pictures are too much alike
     * @throws InvalidSurvey naming each faulty field
     */
    public static PhotoSurveyRequest read(JsonNode document, PhotographParameters parameters) {
        if (document == null || !document.isObject()) {
            throw new InvalidSurvey(List.of(FieldError.of("", "problem.photo-survey-not-object")));
        }
        List<FieldError> shape = FORMAT.check(document);
        if (!shape.isEmpty()) {
            throw new InvalidSurvey(shape);
        }
        PhotoSurveyRequest request;
        try {
            request = JSON.treeToValue(document, PhotoSurveyRequest.class);
        } catch (JacksonException e) {
            throw new InvalidSurvey(List.of(new FieldError(
                    "", Statement.of("problem.not-readable").with("reason", Value.name(e.getOriginalMessage())))));
        }
        PhotoSurveyReader reader = new PhotoSurveyReader();
        reader.check(request);
        reader.apart(request, parameters.between());
        if (!reader.errors.isEmpty()) {
            throw new InvalidSurvey(reader.errors);
        }
        return request;
    }

    private void check(PhotoSurveyRequest request) {
        for (int i = 0; i < request.views().size(); i++) {
            View view = request.views().get(i);
            String at = "views[" + i + "]";
            inPicture(at + ".staff.foot", view.staff().foot(), view);
            inPicture(at + ".staff.head", view.staff().head(), view);
            if (view.staff().head().y() >= view.staff().foot().y()) {
                errors.add(FieldError.of(at + ".staff.head", "problem.staff-upside-down"));
            }
            inPicture(at + ".trunkTop", view.trunkTop(), view);
            limbs(at + ".limbs", view);
        }
        pairs(request);
    }

    /** Two pictures from the same side, or from opposite ones, tell no depth. */
    private void apart(PhotoSurveyRequest request, PhotographParameters.Between between) {
        if (request.views().size() < 2) {
            return;
        }
        double turn = Math.abs(Math.IEEEremainder(
                request.views().get(1).bearingDeg() - request.views().get(0).bearingDeg(), 180));
        if (turn < between.refusedDeg()) {
            errors.add(new FieldError(
                    "views[1].bearing_deg",
                    Statement.of("problem.pictures-alike").with("least", Value.degrees(between.refusedDeg()))));
        }
    }

    private void limbs(String at, View view) {
        Map<String, Trace> known = new HashMap<>();
        for (int i = 0; i < view.limbs().size(); i++) {
            Trace trace = view.limbs().get(i);
            String limb = at + "[" + i + "]";
            inPicture(limb + ".base", trace.base(), view);
            inPicture(limb + ".bend", trace.bend(), view);
            inPicture(limb + ".tip", trace.tip(), view);
            if (trace.id().equals(PhotoSurveyRequest.TRUNK)) {
                errors.add(FieldError.of(limb + ".id", "problem.name-of-trunk"));
            } else if (known.putIfAbsent(trace.id(), trace) != null) {
                errors.add(new FieldError(
                        limb + ".id", Statement.of("problem.limb-twice").with("limb", Value.name(trace.id()))));
            }
        }
        for (int i = 0; i < view.limbs().size(); i++) {
            origin(at + "[" + i + "].parent", view.limbs().get(i), known);
        }
    }

    private void origin(String at, Trace trace, Map<String, Trace> known) {
        Set<String> seen = new HashSet<>();
        Trace one = trace;
        while (!one.isOnTrunk()) {
            if (!known.containsKey(one.parent())) {
                errors.add(new FieldError(
                        at, Statement.of("problem.no-such-parent").with("parent", Value.name(one.parent()))));
                return;
            }
            if (!seen.add(one.id())) {
                errors.add(new FieldError(
                        at,
                        Statement.of("problem.limb-on-itself")
                                .with("limb", Value.name(trace.id()))
                                .with("parent", Value.name(trace.parent()))));
                return;
            }
            one = known.get(one.parent());
        }
    }

    private void pairs(PhotoSurveyRequest request) {
        if (!request.pairs().isEmpty() && request.views().size() < 2) {
            errors.add(FieldError.of("pairs", "problem.pairs-need-two-pictures"));
            return;
        }
        Set<String> first = new HashSet<>();
        Set<String> second = new HashSet<>();
        for (int i = 0; i < request.pairs().size(); i++) {
            Pair pair = request.pairs().get(i);
            paired("pairs[" + i + "].first", pair.first(), request.views().get(0), first);
            if (pair.second() != null) {
                paired("pairs[" + i + "].second", pair.second(), request.views().get(1), second);
            }
        }
    }

    private void paired(String at, String id, View view, Set<String> taken) {
        if (view.limbs().stream().noneMatch(trace -> trace.id().equals(id))) {
            errors.add(new FieldError(at, Statement.of("problem.no-such-limb").with("limb", Value.name(id))));
        } else if (!taken.add(id)) {
            errors.add(new FieldError(at, Statement.of("problem.limb-twice").with("limb", Value.name(id))));
        }
    }

    private void inPicture(String at, Pixel pixel, View view) {
        if (pixel != null && (pixel.x() > view.widthPx() || pixel.y() > view.heightPx())) {
            errors.add(FieldError.of(at, "problem.outside-picture"));
        }
    }
}
