package umbel.survey;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import umbel.format.FieldError;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Documents of an open format as a table: one part of a plant a row, several plants one after another. The columns of the plant
 * are filled in its first row and left empty in the others; a row whose first column is filled begins the next plant. A table is
 * turned into the open format, whose reader checks it.
 *
 * <p>Numbers are written with a decimal comma or point; columns of another name are read where it is told what they hold. How
 * columns and lines are parted, see {@link TableText}.
 */
public final class SurveyTable {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int MOST_ROWS = 200_000;

    /** Nobody mends more of them before trying again. */
    private static final int ENOUGH_ERRORS = 100;

    private final Layout layout;

    /** A table laid out as told. */
    public SurveyTable(Layout layout) {
        this.layout = layout;
    }

    /**
     * How a format is laid out as a table.
     *
     * @param format name of the open format
     * @param begins column that begins a plant where it is filled
     * @param plant what a plant is called in messages, as {@code tree}
     * @param needed columns that must be there
     * @param head columns of the plant
     * @param part columns of its parts; the first names the part
     * @param parts where parts stand in a document
     */
    public record Layout(
            String format,
            String begins,
            String plant,
            List<String> needed,
            List<Column> head,
            List<Column> part,
            Parts parts) {}

    /** A column, the field it holds as {@code tree.spacing_m.inRow}, and how its cells are read. */
    public record Column(String name, String path, Cell cell) {

        public static Column text(String name, String path) {
            return new Column(name, path, TableCells.TEXT);
        }

        public static Column number(String name, String path) {
            return new Column(name, path, TableCells.NUMBER);
        }

        /** Several words in one cell. */
        public static Column words(String name, String path) {
            return new Column(name, path, TableCells.WORDS);
        }

        /** A column that {@link Parts} read themselves, to know where a row belongs. */
        public static Column placing(String name) {
            return new Column(name, name, TableCells.PLACING);
        }

        /** Yes or no. */
        public static Column flag(String name, String path) {
            return new Column(name, path, TableCells.FLAG);
        }
    }

    /** How a cell is read and written. */
    public interface Cell {

        /**
         * Puts a cell's value into an object.
         *
         * @return what is wrong with it; empty where nothing is
         */
        Optional<Statement> read(ObjectNode into, String field, String value);

        /** A value as it is written. */
        String write(JsonNode value);
    }

    /** Where the parts of a plant stand in a document. */
    public interface Parts {

        /** Prepares a new document. */
        default void begin(ObjectNode document) {}

        /** A new part for a row, in the list it belongs to. */
        Place add(ObjectNode document, UnaryOperator<String> cell);

        /** The parts of a document, each with the fields that its columns tell. */
        Stream<JsonNode> of(JsonNode document);
    }

    /** A part, and its path in the document as {@code limbs[3]}; where it has none, the column at fault and what is wrong. */
    public record Place(ObjectNode part, String path, String column, Statement error) {

        public static Place at(ObjectNode part, String path) {
            return new Place(part, path, null, null);
        }

        public static Place nowhere(String column, Statement error) {
            return new Place(null, "", column, error);
        }
    }

    /** One plant as a document of the open format, and where each of its fields stood in the table. */
    private static final class Read {

        private final ObjectNode document = JSON.createObjectNode();
        private final List<String> paths = new ArrayList<>();
        private final List<Integer> lines = new ArrayList<>();
        private final Layout layout;
        private final int firstLine;

        private Read(Layout layout, int firstLine) {
            this.layout = layout;
            this.firstLine = firstLine;
            document.put("format", layout.format());
            layout.parts().begin(document);
        }

        /** The cell a field of the document came from, as {@code line 7, angle_deg}. */
        String cellOf(String field) {
            for (int i = 0; i < paths.size(); i++) {
                String path = paths.get(i);
                if (field.equals(path) || field.startsWith(path + ".")) {
                    String inside =
                            field.equals(path) ? layout.part().get(0).path() : field.substring(path.length() + 1);
                    return cell(lines.get(i), columnOf(layout.part(), inside));
                }
            }
            return cell(firstLine, columnOf(layout.head(), field));
        }

        private static String columnOf(List<Column> columns, String field) {
            return columns.stream()
                    .filter(column -> field.startsWith(column.path()))
                    .map(Column::name)
                    .findFirst()
                    .orElse(field);
        }

        private void add(CSVRecord row, int line, boolean begins, List<FieldError> errors) {
            if (begins) {
                layout.head().forEach(column -> put(document, row, column, line, errors));
            }
            Column named = layout.part().get(0);
            if (told(row, named.name()).isEmpty()) {
                return;
            }
            Place place = layout.parts().add(document, column -> told(row, column));
            if (place.part() == null) {
                errors.add(new FieldError(cell(line, place.column()), place.error()));
                return;
            }
            paths.add(place.path());
            lines.add(line);
            layout.part().forEach(column -> put(place.part(), row, column, line, errors));
        }

        private static void put(ObjectNode into, CSVRecord row, Column column, int line, List<FieldError> errors) {
            String value = told(row, column.name());
            if (value.isEmpty()) {
                return;
            }
            int dot = column.path().lastIndexOf('.');
            ObjectNode parent = dot < 0
                    ? into
                    : into.withObject("/" + column.path().substring(0, dot).replace('.', '/'));
            column.cell()
                    .read(parent, column.path().substring(dot + 1), value)
                    .ifPresent(wrong -> errors.add(new FieldError(cell(line, column.name()), wrong)));
        }
    }

    private static String told(CSVRecord row, String column) {
        return row.isMapped(column) && row.isSet(column) ? row.get(column) : "";
    }

    private static String cell(int line, String column) {
        return "line " + line + ", " + column;
    }

    /** The columns, in the order they are written. */
    public List<String> columns() {
        return Stream.concat(layout.head().stream(), layout.part().stream())
                .map(Column::name)
                .toList();
    }

    /** Documents as a table with a heading row. */
    public String write(List<JsonNode> documents) {
        StringBuilder out = new StringBuilder();
        try {
            write(documents.stream(), out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /**
     * Writes documents as a table with a heading row, one after the other.
     *
     * @param documents taken as they are written, so that they need not be in memory together
     */
    public void write(Stream<JsonNode> documents, Appendable out) throws IOException {
        CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180);
        printer.printRecord(columns());
        for (JsonNode document : (Iterable<JsonNode>) documents::iterator) {
            List<JsonNode> parts = layout.parts().of(document).toList();
            for (int i = 0; i < Math.max(1, parts.size()); i++) {
                List<String> row = new ArrayList<>();
                for (Column column : layout.head()) {
                    row.add(i == 0 ? column.cell().write(at(document, column.path())) : "");
                }
                for (Column column : layout.part()) {
                    row.add(parts.isEmpty() ? "" : column.cell().write(at(parts.get(i), column.path())));
                }
                printer.printRecord(row);
            }
        }
    }

    private static JsonNode at(JsonNode node, String path) {
        return node.at("/" + path.replace('.', '/'));
    }

    /**
     * Reads a table, plant by plant, so that what the rows told need not be in memory together.
     *
     * @param names what columns hold: our name by theirs, empty for a column to be passed over
     * @param reader of the open format
     * @param each gets every plant that is whole, in their order
     * @throws InvalidSurvey naming each faulty cell as {@code line 7, angle_deg}, up to some hundred, after which no more is read; what was
     *     read is not to be used when anything is wrong
     */
    public <T> void read(String text, Map<String, String> names, Function<JsonNode, T> reader, Consumer<T> each) {
        List<FieldError> errors = new ArrayList<>();
        boolean none = true;
        try (CSVParser parser = parser(text, names)) {
            checkColumns(parser.getHeaderNames(), errors);
            if (!errors.isEmpty()) {
                throw new InvalidSurvey(errors);
            }
            Plants plants = new Plants(parser, errors);
            for (Read one = plants.next(); one != null && errors.size() < ENOUGH_ERRORS; one = plants.next()) {
                none = false;
                T plant;
                try {
                    plant = reader.apply(one.document);
                } catch (InvalidSurvey e) {
                    for (FieldError error : e.errors()) {
                        errors.add(new FieldError(one.cellOf(error.field()), error.what()));
                    }
                    continue;
                }
                each.accept(plant);
            }
        } catch (IOException e) {
            throw TableText.isNone(e);
        }
        if (none && errors.isEmpty()) {
            errors.add(new FieldError(
                    "", Statement.of("problem.table-empty").with("plant", Value.choice(layout.plant()))));
        }
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
    }

    /** Reads a table into a list; see {@link #read(String, Map, Function, Consumer)}. */
    public <T> List<T> read(String text, Map<String, String> names, Function<JsonNode, T> reader) {
        List<T> plants = new ArrayList<>();
        read(text, names, reader, plants::add);
        return plants;
    }

    private static CSVParser parser(String text, Map<String, String> names) throws IOException {
        try {
            return new TableText(text).rows(names);
        } catch (UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            throw TableText.isNone(e);
        }
    }

    /** The plants of a table, each read when its rows have ended. */
    private final class Plants {

        private final CSVParser parser;
        private final Iterator<CSVRecord> rows;
        private final List<FieldError> errors;
        private Read begun;
        private int count;

        private Plants(CSVParser parser, List<FieldError> errors) {
            this.parser = parser;
            this.rows = parser.iterator();
            this.errors = errors;
        }

        /** The next one; null after the last. */
        Read next() {
            Read ended = null;
            try {
                while (ended == null && rows.hasNext()) {
                    ended = take(rows.next());
                }
            } catch (UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
                throw TableText.isNone(e);
            }
            if (ended == null) {
                ended = begun;
                begun = null;
            }
            return ended;
        }

        /** Takes a row; where it begins a plant, the one before has ended. */
        private Read take(CSVRecord row) {
            if (++count > MOST_ROWS) {
                throw new InvalidSurvey(List.of(new FieldError(
                        "", Statement.of("problem.too-many-rows").with("most", Value.count(MOST_ROWS)))));
            }
            int line = (int) parser.getCurrentLineNumber();
            boolean begins = !told(row, layout.begins()).isEmpty();
            if (begun == null && !begins) {
                throw new InvalidSurvey(List.of(new FieldError(
                        cell(line, layout.begins()),
                        Statement.of("problem.first-row-unnamed")
                                .with("plant", Value.choice(layout.plant()))
                                .with("column", Value.name(layout.begins())))));
            }
            Read ended = null;
            if (begins) {
                ended = begun;
                begun = new Read(layout, line);
            }
            begun.add(row, line, begins, errors);
            return ended;
        }
    }

    private void checkColumns(List<String> names, List<FieldError> errors) {
        List<String> known = columns();
        for (String name : names) {
            if (!known.contains(name) && !TableText.isPassedOver(name)) {
                errors.add(new FieldError(
                        "line 1", Statement.of("problem.no-such-column").with("column", Value.name(name))));
            }
        }
        for (String needed : layout.needed()) {
            if (!names.contains(needed)) {
                errors.add(new FieldError(
                        "line 1", Statement.of("problem.column-missing").with("column", Value.name(needed))));
            }
        }
    }
}
