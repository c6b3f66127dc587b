package umbel.survey;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import umbel.format.FieldError;
import umbel.format.TableCell;
import umbel.format.TypedNumber;

/**
 * Surveys as a table: one limb a row, several trees one after another. The columns of the tree are filled in its first row
 * and left empty in the others; a row that names a species begins the next tree. Ranges are those of
 * {@code umbel-survey/1}: a table is turned into that format and read by {@link SurveyReader}.
 *
 * <p>Shoots are written {@code class/attitude:count} or {@code class/attitude:countxlength_cm}, parted by semicolons or upright
 * strokes. Columns may be parted by commas, semicolons or tabs, numbers written with a decimal comma or point, lines ended
 * either way; a byte order mark is passed over. Columns of another name are read where it is told what they hold.
 */
public final class SurveyCsv {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int MOST_ROWS = 200_000;
    private static final String PASSED_OVER = "passed-over-";
    private static final Pattern SHOOTS = Pattern.compile("([a-z]+)(?:/([a-z]+))?:(\\d+)(?:x(\\d+(?:[.,]\\d+)?))?");

    /** Where each column stands in the open format; {@code #} marks numbers, {@code !} what is read specially. */
    private static final Map<String, String> TREE = new LinkedHashMap<>();

    private static final Map<String, String> LIMB = new LinkedHashMap<>();

    static {
        TREE.put("label", "tree.label");
        TREE.put("species", "tree.species");
        TREE.put("leaf", "#tree.leaf");
        TREE.put("system", "tree.system");
        TREE.put("cultivar", "tree.cultivar.name");
        TREE.put("habit", "tree.cultivar.habit");
        TREE.put("set", "tree.cultivar.set");
        TREE.put("vigour", "tree.cultivar.vigour");
        TREE.put("rootstock", "tree.rootstock.name");
        TREE.put("rootstock_class", "tree.rootstock.class");
        TREE.put("in_row_m", "#tree.spacing_m.inRow");
        TREE.put("between_rows_m", "#tree.spacing_m.betweenRows");
        TREE.put("row_bearing_deg", "#tree.rowBearing_deg");
        TREE.put("latitude_deg", "#site.latitude_deg");
        TREE.put("elevation_m", "#site.elevation_m");
        TREE.put("slope_deg", "#site.slope_deg");
        TREE.put("uphill_deg", "#site.uphill_deg");
        TREE.put("net_share", "#site.netShare");
        TREE.put("surveyed_on", "surveyedOn");
        TREE.put("trunk_diameter_mm", "#trunk.diameter_mm");
        TREE.put("trunk_diameter_at_cm", "#trunk.diameterAt_cm");
        TREE.put("trunk_height_cm", "#trunk.height_cm");
        TREE.put("union_at_cm", "#trunk.unionAt_cm");
        TREE.put("leader_growth_cm", "#trunk.lastGrowth_cm");
        LIMB.put("id", "id");
        LIMB.put("parent", "parent");
        LIMB.put("role", "role");
        LIMB.put("at_cm", "#at_cm");
        LIMB.put("bearing_deg", "#bearing_deg");
        LIMB.put("angle_deg", "#angle_deg");
        LIMB.put("tip_angle_deg", "#tipAngle_deg");
        LIMB.put("diameter_mm", "#diameter_mm");
        LIMB.put("length_cm", "#length_cm");
        LIMB.put("age_y", "#age_y");
        LIMB.put("last_growth_cm", "#lastGrowth_cm");
        LIMB.put("condition", "!condition");
        LIMB.put("disease", "disease");
        LIMB.put("shoots", "!wood.shoots");
        LIMB.put("spurs", "#wood.spurs.count");
        LIMB.put("spur_age_y", "#wood.spurs.age_y");
        LIMB.put("flower_buds", "#wood.flowerBuds");
        LIMB.put("note", "note");
    }

    private SurveyCsv() {}

    /** The columns, in the order they are written. */
    public static List<String> columns() {
        List<String> columns = new ArrayList<>(TREE.keySet());
        columns.addAll(LIMB.keySet());
        return columns;
    }

    /** Surveys as a table with a heading row. */
    public static String write(List<Survey> surveys) {
        StringBuilder out = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
            printer.printRecord(columns());
            for (Survey survey : surveys) {
                JsonNode node = JSON.valueToTree(survey);
                List<JsonNode> limbs = new ArrayList<>();
                node.path("limbs").forEach(limbs::add);
                for (int i = 0; i < Math.max(1, limbs.size()); i++) {
                    List<String> row = new ArrayList<>();
                    for (String path : TREE.values()) {
                        row.add(i == 0 ? text(at(node, path)) : "");
                    }
                    for (String path : LIMB.values()) {
                        row.add(limbs.isEmpty() ? "" : cell(limbs.get(i), path));
                    }
                    printer.printRecord(row);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
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
        List<FieldError> errors = new ArrayList<>();
        List<Survey> surveys = new ArrayList<>();
        String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
        char delimiter = delimiter(plain);
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter)
                .setHeader(heading(plain, delimiter, names))
                .setSkipHeaderRecord(true)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(plain), format)) {
            checkColumns(parser, errors);
            if (!errors.isEmpty()) {
                throw new InvalidSurvey(errors);
            }
            Table tree = null;
            int rows = 0;
            for (CSVRecord row : parser) {
                if (++rows > MOST_ROWS) {
                    throw new InvalidSurvey(List.of(new FieldError("", "At most " + MOST_ROWS + " rows can be read.")));
                }
                boolean begins = row.isSet("species") && !row.get("species").isEmpty();
                if (tree == null && !begins) {
                    throw new InvalidSurvey(List.of(new FieldError(
                            "line " + parser.getCurrentLineNumber() + ", species",
                            "The first row of a tree names its species.")));
                }
                if (begins) {
                    finish(tree, surveys, errors);
                    tree = new Table((int) parser.getCurrentLineNumber());
                }
                tree.add(row, (int) parser.getCurrentLineNumber(), begins, errors);
            }
            finish(tree, surveys, errors);
        } catch (IOException | UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            throw new InvalidSurvey(List.of(new FieldError("", "This is not a table of surveys: " + e.getMessage())));
        }
        if (surveys.isEmpty() && errors.isEmpty()) {
            errors.add(new FieldError("", "The table holds no tree."));
        }
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
        return surveys;
    }

    /** The sign between columns: the one the heading has most of. */
    private static char delimiter(String text) {
        String heading = text.lines().findFirst().orElse("");
        char best = ',';
        long most = 0;
        for (char one : new char[] {',', ';', '\t'}) {
            long count = heading.chars().filter(sign -> sign == one).count();
            if (count > most) {
                best = one;
                most = count;
            }
        }
        return best;
    }

    /** The heading of a table as it stands. */
    public static List<String> headingOf(String text) {
        String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
        return List.of(heading(plain, delimiter(plain), Map.of()));
    }

    /** The heading with our names in the place of theirs; columns to be passed over get names of their own. */
    private static String[] heading(String text, char delimiter, Map<String, String> names) {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter)
                .setTrim(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<String> heading = new ArrayList<>();
            for (CSVRecord first : parser) {
                for (String name : first) {
                    String ours = names.getOrDefault(name, name);
                    heading.add(ours.isEmpty() ? PASSED_OVER + heading.size() : ours);
                }
                break;
            }
            return heading.toArray(String[]::new);
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw new InvalidSurvey(List.of(new FieldError("", "This is not a table of surveys: " + e.getMessage())));
        }
    }

    private static void checkColumns(CSVParser parser, List<FieldError> errors) {
        List<String> names = parser.getHeaderNames();
        for (String name : names) {
            if (!TREE.containsKey(name) && !LIMB.containsKey(name) && !name.startsWith(PASSED_OVER)) {
                errors.add(new FieldError("line 1", "There is no column '" + name + "' in a survey table."));
            }
        }
        for (String needed : List.of("species", "trunk_diameter_mm", "trunk_height_cm", "id", "parent", "at_cm")) {
            if (!names.contains(needed)) {
                errors.add(new FieldError("line 1", "The column '" + needed + "' is missing."));
            }
        }
    }

    private static void finish(Table tree, List<Survey> surveys, List<FieldError> errors) {
        if (tree == null) {
            return;
        }
        try {
            surveys.add(SurveyReader.read(tree.document));
        } catch (InvalidSurvey e) {
            e.errors().forEach(error -> errors.add(new FieldError(tree.cellOf(error.field()), error.message())));
        }
    }

    /** One tree's rows as they are read. */
    private static final class Table {

        private static final Pattern IN_LIMB = Pattern.compile("limbs\\[(\\d+)](?:\\.(.*))?");

        private final ObjectNode document = JSON.createObjectNode();
        private final ArrayNode limbs = document.putArray("limbs");
        private final List<Integer> lines = new ArrayList<>();
        private final int firstLine;

        Table(int firstLine) {
            this.firstLine = firstLine;
            document.put("format", Survey.FORMAT);
        }

        void add(CSVRecord row, int line, boolean begins, List<FieldError> errors) {
            if (begins) {
                TREE.forEach((column, path) -> put(document, row, column, path, line, errors));
            }
            if (!row.isSet("id") || row.get("id").isEmpty()) {
                return;
            }
            ObjectNode limb = limbs.addObject();
            lines.add(line);
            LIMB.forEach((column, path) -> put(limb, row, column, path, line, errors));
        }

        private static void put(
                ObjectNode into, CSVRecord row, String column, String path, int line, List<FieldError> errors) {
            String value = row.isMapped(column) && row.isSet(column) ? row.get(column) : "";
            if (value.isEmpty()) {
                return;
            }
            String plain = path.replaceFirst("^[#!]", "");
            int dot = plain.lastIndexOf('.');
            ObjectNode parent = dot < 0
                    ? into
                    : into.withObject("/" + plain.substring(0, dot).replace('.', '/'));
            String name = plain.substring(dot + 1);
            if (path.startsWith("#")) {
                OptionalDouble typed = TypedNumber.read(value);
                if (typed.isEmpty()) {
                    errors.add(new FieldError("line " + line + ", " + column, "'" + value + "' is not a number."));
                    return;
                }
                double number = typed.getAsDouble();
                if (number == Math.rint(number) && Math.abs(number) < 1e9) {
                    parent.put(name, (long) number);
                } else {
                    parent.put(name, number);
                }
            } else if (column.equals("condition")) {
                ArrayNode list = parent.putArray(name);
                for (String one : value.split("[;, ]+")) {
                    list.add(one);
                }
            } else if (column.equals("shoots")) {
                shoots(parent.putArray(name), value, line, errors);
            } else {
                parent.put(name, TableCell.plain(value));
            }
        }

        private static void shoots(ArrayNode into, String value, int line, List<FieldError> errors) {
            for (String one : value.split("\\s*[;|]\\s*")) {
                Matcher match = SHOOTS.matcher(one.toLowerCase(Locale.ROOT));
                if (!match.matches()) {
                    errors.add(new FieldError(
                            "line " + line + ", shoots",
                            "'" + one + "' is not written as class/attitude:count or class/attitude:countxlength."));
                    continue;
                }
                ObjectNode group = into.addObject();
                group.put("class", match.group(1));
                if (match.group(2) != null) {
                    group.put("attitude", match.group(2));
                }
                group.put("count", Integer.parseInt(match.group(3)));
                if (match.group(4) != null) {
                    group.put("length_cm", Double.parseDouble(match.group(4).replace(',', '.')));
                }
            }
        }

        /** The cell a field of the open format came from. */
        String cellOf(String field) {
            Matcher match = IN_LIMB.matcher(field);
            if (match.matches()) {
                int line = lines.get(Integer.parseInt(match.group(1)));
                String inside = match.group(2) == null ? "id" : match.group(2);
                return "line " + line + ", " + columnOf(LIMB, inside);
            }
            return "line " + firstLine + ", " + columnOf(TREE, field);
        }

        private static String columnOf(Map<String, String> columns, String field) {
            return columns.entrySet().stream()
                    .filter(entry -> field.startsWith(entry.getValue().replaceFirst("^[#!]", "")))
                    .map(Map.Entry::getKey)
                    .findFirst()
                    .orElse(field);
        }
    }

    private static String cell(JsonNode limb, String path) {
        JsonNode value = at(limb, path);
        if (path.equals("!condition")) {
            List<String> words = new ArrayList<>();
            value.forEach(word -> words.add(word.asString()));
            return String.join(";", words);
        }
        if (path.equals("!wood.shoots")) {
            List<String> groups = new ArrayList<>();
            value.forEach(group -> groups.add(group.path("class").asString()
                    + (group.path("attitude").isString()
                            ? "/" + group.path("attitude").asString()
                            : "")
                    + ":" + group.path("count").asInt()
                    + (group.path("length_cm").isNumber() ? "x" + text(group.path("length_cm")) : "")));
            return String.join(";", groups);
        }
        return text(value);
    }

    private static JsonNode at(JsonNode node, String path) {
        return node.at("/" + path.replaceFirst("^[#!]", "").replace('.', '/'));
    }

    private static String text(JsonNode value) {
        if (value.isMissingNode() || value.isNull()) {
            return "";
        }
        if (value.isNumber()) {
            double number = value.asDouble();
            return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
        }
        return TableCell.safe(value.asString());
    }
}
