package umbel.counted;

import static umbel.survey.SurveyTable.Column.flag;
import static umbel.survey.SurveyTable.Column.number;
import static umbel.survey.SurveyTable.Column.placing;
import static umbel.survey.SurveyTable.Column.text;
import static umbel.survey.SurveyTable.Column.words;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import umbel.format.TypedNumber;
import umbel.survey.InvalidSurvey;
import umbel.survey.SurveyTable;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Bushes, cane rows and vines as a table; see {@link SurveyTable}. A row is one cane of a bush ({@code cane}), one class of a cane
 * row's canes ({@code fruited}, {@code new}, {@code current}), one arm or one cane of a vine ({@code arm}, {@code vine-cane}), as
 * the column {@code part} says. Several counts along a row are numbered in the column {@code sample}. Ranges are those of
 * {@code umbel-count/1}.
 */
public final class CountCsv {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String PART = "part";
    private static final String SAMPLE = "sample";
    private static final String SAMPLE_LENGTH = "sample_m";
    private static final String CANE = "cane";
    private static final String ARM = "arm";
    private static final String VINE_CANE = "vine-cane";
    private static final List<String> CLASSES = List.of("fruited", "new", "current");
    private static final int MOST_SAMPLES = 100;

    private static final SurveyTable TABLE = new SurveyTable(new SurveyTable.Layout(
            CountSurvey.FORMAT,
            "kind",
            "plant",
            List.of("kind", PART),
            List.of(
                    text("label", "plant.label"),
                    text("kind", "plant.kind"),
                    number("leaf", "plant.leaf"),
                    text("system", "plant.system"),
                    text("cultivar", "plant.cultivar.name"),
                    text("habit", "plant.cultivar.habit"),
                    text("set", "plant.cultivar.set"),
                    text("vigour", "plant.cultivar.vigour"),
                    number("in_row_m", "plant.spacing_m.inRow"),
                    number("between_rows_m", "plant.spacing_m.betweenRows"),
                    number("row_bearing_deg", "plant.rowBearing_deg"),
                    number("latitude_deg", "site.latitude_deg"),
                    number("elevation_m", "site.elevation_m"),
                    text("surveyed_on", "surveyedOn"),
                    number("crop_last_kg", "cropLast_kg"),
                    number("row_length_m", "row.length_m"),
                    number("row_width_cm", "row.width_cm"),
                    number("top_wire_cm", "row.topWire_cm"),
                    number("plants", "row.plants"),
                    number("row_crop_last_kg", "row.cropLast_kg"),
                    text("pruned_as", "vine.prunedAs"),
                    text("wood", "vine.wood"),
                    number("pruning_weight_kg", "vine.pruningWeight_kg"),
                    text("weight_is", "vine.weightIs"),
                    number("nodes_last", "vine.nodesLast"),
                    number("shoots_last", "vine.shootsLast"),
                    number("vine_crop_last_kg", "vine.cropLast_kg"),
                    number("buds_cut", "vine.budSample.n"),
                    number("buds_dead", "vine.budSample.dead"),
                    number("canopies", "vine.canopies"),
                    number("nodes_base", "vine.nodeFormula.base"),
                    number("nodes_per_weight", "vine.nodeFormula.perWeight"),
                    number("canopy_m2", "vine.canopy_m2"),
                    number("fruit_per_m2", "vine.fruitPerM2"),
                    text("sex", "vine.sex")),
            List.of(
                    placing(PART),
                    placing(SAMPLE),
                    placing(SAMPLE_LENGTH),
                    text("id", "id"),
                    number("count", "count"),
                    number("age_y", "age_y"),
                    number("diameter_mm", "diameter_mm"),
                    number("height_cm", "height_cm"),
                    text("attitude", "attitude"),
                    text("place", "place"),
                    number("bearing_deg", "bearing_deg"),
                    words("condition", "condition"),
                    text("disease", "disease"),
                    flag("twiggy", "twiggy"),
                    number("flower_buds", "flowerBuds"),
                    number("upright_shoot_cm", "upright_shoot_cm"),
                    words("rubs", "rubs"),
                    number("weak", "weak"),
                    number("outside", "outside"),
                    number("diseased", "diseased"),
                    number("rooting", "rooting"),
                    number("laterals", "laterals.count"),
                    number("lateral_cm", "laterals.length_cm"),
                    number("low_laterals", "laterals.low"),
                    text("arm", "arm"),
                    number("at_cm", "at_cm"),
                    number("nodes", "nodes"),
                    number("length_cm", "length_cm"),
                    flag("lit", "lit"),
                    number("positions", "positions"),
                    number("blind", "blind"),
                    number("spur_height_cm", "spurHeight_cm")),
            new PlantParts()));

    private CountCsv() {}

    /** The columns, in the order they are written. */
    public static List<String> columns() {
        return TABLE.columns();
    }

    /** Whether a table's heading is one of counted plants. */
    public static boolean isCounts(List<String> heading) {
        return heading.contains(PART) || heading.contains("kind");
    }

    /** Counted plants as a table with a heading row. */
    public static String write(List<CountSurvey> plants) {
        return TABLE.write(plants.stream().<JsonNode>map(JSON::valueToTree).toList());
    }

    /**
     * Writes counted plants as a table with a heading row.
     *
     * @param plants taken as they are written, so that thousands need not be in memory together
     */
    public static void write(Stream<CountSurvey> plants, Appendable out) throws IOException {
        TABLE.write(plants.map(JSON::valueToTree), out);
    }

    /**
     * Reads a table.
     *
     * @param names what columns hold: our name by theirs, empty for a column to be passed over
     * @throws InvalidSurvey naming each faulty cell as {@code line 7, age_y}; nothing is read when anything is wrong
     */
    public static List<CountSurvey> read(String text, Map<String, String> names) {
        return TABLE.read(text, names, CountReader::read);
    }

    /**
     * Reads a table plant by plant, so that thousands need not be in memory together.
     *
     * @param names what columns hold: our name by theirs, empty for a column to be passed over
     * @param each gets every plant in its turn; not to be used when the table is refused in the end
     * @throws InvalidSurvey naming each faulty cell as {@code line 7, age_y}
     */
    public static void read(String text, Map<String, String> names, Consumer<CountSurvey> each) {
        TABLE.read(text, names, CountReader::read, each);
    }

    /** Canes, classes of canes and arms, each in its own list. */
    private static final class PlantParts implements SurveyTable.Parts {

        @Override
        public SurveyTable.Place add(ObjectNode document, UnaryOperator<String> cell) {
            String part = cell.apply(PART);
            if (CLASSES.contains(part)) {
                return rowCanes(document, part, cell);
            }
            return switch (part) {
                case CANE -> in(document.withArray("/canes"), "canes");
                case ARM -> in(document.withArray("/vine/arms"), "vine.arms");
                case VINE_CANE -> in(document.withArray("/vine/canes"), "vine.canes");
                default ->
                    SurveyTable.Place.nowhere(
                            PART,
                            Statement.of("problem.one-of")
                                    .with(
                                            "values",
                                            Value.name(CANE + ", " + String.join(", ", CLASSES) + ", " + ARM + ", "
                                                    + VINE_CANE)));
            };
        }

        private static SurveyTable.Place rowCanes(ObjectNode document, String part, UnaryOperator<String> cell) {
            SurveyTable.Place place;
            if (cell.apply(SAMPLE).isEmpty()) {
                place = in(document.withArray("/row/canes"), "row.canes");
            } else {
                ArrayNode samples = document.withArray("/row/samples");
                int number = cell.apply(SAMPLE).matches("[1-9]\\d{0,2}") ? Integer.parseInt(cell.apply(SAMPLE)) : 0;
                if (number < 1 || number > Math.min(MOST_SAMPLES, samples.size() + 1)) {
                    return SurveyTable.Place.nowhere(SAMPLE, Statement.of("problem.samples-in-order"));
                }
                ObjectNode sample =
                        number > samples.size() ? samples.addObject() : (ObjectNode) samples.get(number - 1);
                OptionalDouble length = TypedNumber.read(cell.apply(SAMPLE_LENGTH));
                if (length.isEmpty() && !cell.apply(SAMPLE_LENGTH).isEmpty()) {
                    return SurveyTable.Place.nowhere(SAMPLE_LENGTH, Statement.of("problem.number-missing"));
                }
                length.ifPresent(metres -> sample.put("length_m", metres));
                place = in(sample.withArray("/canes"), "row.samples[" + (number - 1) + "].canes");
            }
            place.part().put("class", part);
            return place;
        }

        private static SurveyTable.Place in(ArrayNode list, String path) {
            return SurveyTable.Place.at(list.addObject(), path + "[" + (list.size() - 1) + "]");
        }

        @Override
        public Stream<JsonNode> of(JsonNode document) {
            Stream.Builder<JsonNode> parts = Stream.builder();
            document.path("canes").forEach(cane -> parts.add(named(cane, CANE)));
            JsonNode row = document.path("row");
            row.path("canes")
                    .forEach(canes -> parts.add(named(canes, canes.path("class").asString())));
            int number = 0;
            for (JsonNode sample : row.path("samples")) {
                number++;
                for (JsonNode canes : sample.path("canes")) {
                    ObjectNode part = named(canes, canes.path("class").asString());
                    part.put(SAMPLE, number);
                    if (sample.path("length_m").isNumber()) {
                        part.set(SAMPLE_LENGTH, sample.path("length_m"));
                    }
                    parts.add(part);
                }
            }
            document.path("vine").path("arms").forEach(arm -> parts.add(named(arm, ARM)));
            document.path("vine").path("canes").forEach(cane -> parts.add(named(cane, VINE_CANE)));
            return parts.build();
        }

        private static ObjectNode named(JsonNode part, String name) {
            ObjectNode copy = (ObjectNode) part.deepCopy();
            return copy.put(PART, name);
        }
    }
}
