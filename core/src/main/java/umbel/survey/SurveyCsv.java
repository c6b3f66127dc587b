package umbel.survey;

import static umbel.survey.SurveyTable.Column.number;
import static umbel.survey.SurveyTable.Column.text;
import static umbel.survey.SurveyTable.Column.words;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Tree surveys as a table, one limb a row; see {@link SurveyTable}. Ranges are those of {@code umbel-survey/1}. Shoots are written
 * {@code class/attitude:count} or {@code class/attitude:countxlength_cm}, parted by semicolons or upright strokes.
 */
public final class SurveyCsv {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String LIMBS = "limbs";
    private static final SurveyTable TABLE = new SurveyTable(new SurveyTable.Layout(
            Survey.FORMAT,
            "species",
            "tree",
            List.of("species", "trunk_diameter_mm", "trunk_height_cm", "id", "parent", "at_cm"),
            List.of(
                    text("label", "tree.label"),
                    text("species", "tree.species"),
                    number("leaf", "tree.leaf"),
                    text("system", "tree.system"),
                    text("cultivar", "tree.cultivar.name"),
                    text("habit", "tree.cultivar.habit"),
                    text("set", "tree.cultivar.set"),
                    text("vigour", "tree.cultivar.vigour"),
                    text("rootstock", "tree.rootstock.name"),
                    text("rootstock_class", "tree.rootstock.class"),
                    number("in_row_m", "tree.spacing_m.inRow"),
                    number("between_rows_m", "tree.spacing_m.betweenRows"),
                    number("row_bearing_deg", "tree.rowBearing_deg"),
                    number("latitude_deg", "site.latitude_deg"),
                    number("elevation_m", "site.elevation_m"),
                    number("slope_deg", "site.slope_deg"),
                    number("uphill_deg", "site.uphill_deg"),
                    number("net_share", "site.netShare"),
                    text("surveyed_on", "surveyedOn"),
                    number("trunk_diameter_mm", "trunk.diameter_mm"),
                    number("trunk_diameter_at_cm", "trunk.diameterAt_cm"),
                    number("trunk_height_cm", "trunk.height_cm"),
                    number("union_at_cm", "trunk.unionAt_cm"),
                    number("leader_growth_cm", "trunk.lastGrowth_cm")),
            List.of(
                    text("id", "id"),
                    text("parent", "parent"),
                    text("role", "role"),
                    number("at_cm", "at_cm"),
                    number("bearing_deg", "bearing_deg"),
                    number("angle_deg", "angle_deg"),
                    number("tip_angle_deg", "tipAngle_deg"),
                    number("diameter_mm", "diameter_mm"),
                    number("length_cm", "length_cm"),
                    number("age_y", "age_y"),
                    number("last_growth_cm", "lastGrowth_cm"),
                    words("condition", "condition"),
                    text("disease", "disease"),
                    new SurveyTable.Column("shoots", "wood.shoots", new Shoots()),
                    number("spurs", "wood.spurs.count"),
                    number("spur_age_y", "wood.spurs.age_y"),
                    number("flower_buds", "wood.flowerBuds"),
                    text("note", "note")),
            new Limbs()));

    private SurveyCsv() {}

    /** The columns, in the order they are written. */
    public static List<String> columns() {
        return TABLE.columns();
    }

    /** Surveys as a table with a heading row. */
    public static String write(List<Survey> surveys) {
        return TABLE.write(surveys.stream().<JsonNode>map(JSON::valueToTree).toList());
    }

    /**
     * Writes surveys as a table with a heading row.
     *
     * @param surveys taken as they are written, so that thousands need not be in memory together
     */
    public static void write(Stream<Survey> surveys, Appendable out) throws IOException {
        TABLE.write(surveys.map(JSON::valueToTree), out);
    }

    /**
     * Reads a table.
     *
     * @throws InvalidSurvey naming each faulty cell as {@code line 7, angle_deg}; nothing is read when anything is wrong
     */
    public static List<Survey> read(String text) {
        return read(text, Map.of());
    }

    /**
     * Reads a table with columns of other names.
     *
     * @param names what columns hold: our name by theirs, empty for a column to be passed over
     * @throws InvalidSurvey naming each faulty cell as {@code line 7, angle_deg}; nothing is read when anything is wrong
     */
    public static List<Survey> read(String text, Map<String, String> names) {
        return TABLE.read(text, names, SurveyReader::read);
    }

    /**
     * Reads a table tree by tree, so that thousands need not be in memory together.
     *
     * @param names what columns hold: our name by theirs, empty for a column to be passed over
     * @param each gets every tree in its turn; not to be used when the table is refused in the end
     * @throws InvalidSurvey naming each faulty cell as {@code line 7, angle_deg}
     */
    public static void read(String text, Map<String, String> names, Consumer<Survey> each) {
        TABLE.read(text, names, SurveyReader::read, each);
    }

    /** The limbs of a tree; every row is one. */
    private static final class Limbs implements SurveyTable.Parts {

        @Override
        public void begin(ObjectNode document) {
            document.putArray(LIMBS);
        }

        @Override
        public SurveyTable.Place add(ObjectNode document, UnaryOperator<String> cell) {
            ArrayNode limbs = (ArrayNode) document.get(LIMBS);
            return SurveyTable.Place.at(limbs.addObject(), LIMBS + "[" + (limbs.size() - 1) + "]");
        }

        @Override
        public Stream<JsonNode> of(JsonNode document) {
            return document.path(LIMBS).valueStream();
        }
    }

    /** Shoots by class and attitude. */
    private static final class Shoots implements SurveyTable.Cell {

        private static final Pattern GROUP = Pattern.compile("([a-z]+)(?:/([a-z]+))?:(\\d+)(?:x(\\d+(?:[.,]\\d+)?))?");

        @Override
        public Optional<Statement> read(ObjectNode into, String field, String value) {
            ArrayNode groups = into.putArray(field);
            for (String one : value.split("\\s*[;|]\\s*")) {
                Matcher match = GROUP.matcher(one.toLowerCase(Locale.ROOT));
                if (!match.matches()) {
                    return Optional.of(Statement.of("problem.not-shoots").with("value", Value.name(one)));
                }
                ObjectNode group = groups.addObject();
                group.put("class", match.group(1));
                if (match.group(2) != null) {
                    group.put("attitude", match.group(2));
                }
                group.put("count", Integer.parseInt(match.group(3)));
                if (match.group(4) != null) {
                    group.put("length_cm", Double.parseDouble(match.group(4).replace(',', '.')));
                }
            }
            return Optional.empty();
        }

        @Override
        public String write(JsonNode value) {
            List<String> groups = new ArrayList<>();
            value.forEach(group -> groups.add(group.path("class").asString()
                    + (group.path("attitude").isString()
                            ? "/" + group.path("attitude").asString()
                            : "")
                    + ":" + group.path("count").asInt()
                    + (group.path("length_cm").isNumber() ? "x" + TableCells.plainText(group.path("length_cm")) : "")));
            return String.join(";", groups);
        }
    }
}
