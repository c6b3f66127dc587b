package umbel.app.planting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.computing.Computing;
import umbel.app.computing.Computing.Lane;
import umbel.app.http.GeoJson;
import umbel.app.reader.Reader;
import umbel.drawing.FieldSvg;
import umbel.field.FieldRows;
import umbel.format.FieldError;
import umbel.knowledge.Knowledge;
import umbel.planting.Materials;
import umbel.planting.PlantingCheck;
import umbel.planting.PlantingField;
import umbel.planting.PlantingRequest;
import umbel.survey.InvalidSurvey;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;

/** The field of a comparison filled with each option's rows, what is bought for it, and the plan to plant by; keeps nothing. */
@RestController
@RequestMapping("/api/plantings")
class FieldController {

    /** A plan lists every tree; more than these make no document that anybody could plant by. */
    private static final int MOST_TREES_OF_A_PLAN = 50_000;

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Knowledge knowledge;
    private final Computing computing;
    private final PlantingPlan plans;

    FieldController(Knowledge knowledge, Computing computing, PlantingPlan plans) {
        this.knowledge = knowledge;
        this.computing = computing;
        this.plans = plans;
    }

    /** The outline of a field from a GeoJSON document. */
    @PostMapping("/outline")
    FieldAnswers.FieldOutlineRead readOutline(@RequestBody Map<String, Object> document) {
        OutlineFile.Read read = OutlineFile.of(JSON.valueToTree(document));
        return new FieldAnswers.FieldOutlineRead(
                rounded(read.outline().rings()),
                Units.round(read.outline().areaHa(), 4),
                read.latitudeDeg() == null ? null : Double.valueOf(Units.round(read.latitudeDeg(), 4)),
                Units.round(Units.toDegrees(read.outline().longestSide()), 1));
    }

    /** The rows of each option on the field, with what is bought. */
    @PostMapping("/field")
    List<FieldAnswers.PlantedField> plantedField(@RequestBody PlantingRequest sent) {
        PlantingRequest request = PlantingCheck.complete(sent, knowledge);
        return computing.answer(
                Lane.QUICK,
                () -> request.options().stream()
                        .map(option -> planted(request, option))
                        .toList());
    }

    /** The planting plan of one option: edge, rows and every tree, in metres east and north of the outline's zero. */
    @PostMapping(value = "/plan.geojson", produces = "application/geo+json")
    Map<String, Object> plantingPlanAsGeoJson(
            @RequestBody PlantingRequest sent, @RequestParam(defaultValue = "0") int option) {
        PlantingRequest request = PlantingCheck.complete(sent, knowledge);
        PlantingRequest.Planting chosen = chosen(request, option);
        return computing.answer(Lane.PLANS, () -> {
            PlantingField field = PlantingField.of(request.site());
            return geoJson(field, planned(field, chosen));
        });
    }

    /** The planting plan of one option on paper. */
    @PostMapping(value = "/plan.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> plantingPlanAsPdf(
            @RequestBody PlantingRequest sent, @RequestParam(defaultValue = "0") int option) {
        PlantingRequest request = PlantingCheck.complete(sent, knowledge);
        PlantingRequest.Planting chosen = chosen(request, option);
        byte[] pdf = computing.answer(Lane.PLANS, () -> {
            FieldRows rows = planned(PlantingField.of(request.site()), chosen);
            return plans.pdf(request, chosen, rows, drawing(request, chosen, rows), materials(chosen, rows));
        });
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("planting-plan.pdf")
                                .build()
                                .toString())
                .body(pdf);
    }

    /** The rows of a plan, if they are not too many for one. */
    private static FieldRows planned(PlantingField field, PlantingRequest.Planting option) {
        FieldRows rows = field.rows(option);
        if (rows.trees() > MOST_TREES_OF_A_PLAN) {
            throw new InvalidSurvey(List.of(new FieldError(
                    "site",
                    Statement.of("problem.plan-too-large")
                            .with("trees", Value.count(rows.trees()))
                            .with("most", Value.count(MOST_TREES_OF_A_PLAN)))));
        }
        return rows;
    }

    private static PlantingRequest.Planting chosen(PlantingRequest request, int option) {
        if (option < 0 || option >= request.options().size()) {
            throw new InvalidSurvey(List.of(new FieldError(
                    "option",
                    Statement.of("problem.between")
                            .with("least", Value.name("0"))
                            .with(
                                    "most",
                                    Value.name(String.valueOf(request.options().size() - 1))))));
        }
        return request.options().get(option);
    }

    private FieldAnswers.PlantedField planted(PlantingRequest request, PlantingRequest.Planting option) {
        FieldRows rows = PlantingField.of(request.site()).rows(option);
        return new FieldAnswers.PlantedField(
                option.name(),
                rows.trees(),
                rows.lines(),
                Units.round(rows.length(), 1),
                Units.round(request.site().areaHa(), 4),
                Units.round(request.site().rowBearingDeg(), 1),
                drawing(request, option, rows),
                materials(option, rows));
    }

    private static String drawing(PlantingRequest request, PlantingRequest.Planting option, FieldRows rows) {
        var outline = PlantingField.of(request.site()).outline();
        Speech speech = Reader.speech();
        return FieldSvg.draw(
                outline,
                rows,
                option.spacing().inRow(),
                speech.say(Statement.of("planting-plan.bar").with("length", Value.reach(FieldSvg.bar(outline)))),
                speech.say(Statement.of("planting-plan.north")));
    }

    private List<FieldAnswers.PlantingMaterial> materials(PlantingRequest.Planting option, FieldRows rows) {
        return Materials.of(
                        rows,
                        knowledge.system(option.system()).structure(),
                        knowledge.planting().materials())
                .stream()
                .map(one -> new FieldAnswers.PlantingMaterial(
                        one.code(),
                        one.amount(),
                        one.metres() ? "m" : "each",
                        Reader.speech()
                                .say(Statement.of("planting-plan.material").with("what", Value.choice(one.code())))))
                .toList();
    }

    private static Map<String, Object> geoJson(PlantingField field, FieldRows rows) {
        List<Map<String, Object>> features = new ArrayList<>();
        features.add(GeoJson.feature("Polygon", rounded(field.outline().rings()), Map.of("kind", "field")));
        Map<Integer, Integer> counted = new LinkedHashMap<>();
        for (FieldRows.Row row : rows.rows()) {
            features.add(GeoJson.feature(
                    "LineString",
                    List.of(point(row.from()), point(row.to())),
                    Map.of("kind", "row", "row", row.number(), "trees", row.trees())));
            for (double[] tree : row.places()) {
                int number = counted.merge(row.number(), 1, Integer::sum);
                features.add(GeoJson.feature(
                        "Point", point(tree), Map.of("kind", "tree", "row", row.number(), "tree", number)));
            }
        }
        return GeoJson.inMetres("the outline", features);
    }

    private static List<Double> point(double[] at) {
        return List.of(Units.round(at[0], 2), Units.round(at[1], 2));
    }

    private static List<List<List<Double>>> rounded(List<List<List<Double>>> rings) {
        return rings.stream()
                .map(ring -> ring.stream()
                        .map(corner -> point(new double[] {corner.get(0), corner.get(1)}))
                        .toList())
                .toList();
    }
}
