package umbel.survey;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import umbel.format.TableCell;
import umbel.format.TypedNumber;
import umbel.text.Statement;
import umbel.text.Value;

/** How the cells of survey tables are read and written. */
enum TableCells implements SurveyTable.Cell {
    PLACING {
        @Override
        public Optional<Statement> read(ObjectNode into, String field, String value) {
            return Optional.empty();
        }
    },
    TEXT {
        @Override
        public Optional<Statement> read(ObjectNode into, String field, String value) {
            into.put(field, TableCell.plain(value));
            return Optional.empty();
        }
    },
    NUMBER {
        @Override
        public Optional<Statement> read(ObjectNode into, String field, String value) {
            OptionalDouble typed = TypedNumber.read(value);
            if (typed.isEmpty()) {
                return Optional.of(Statement.of("problem.not-a-number").with("value", Value.name(value)));
            }
            double number = typed.getAsDouble();
            if (number == Math.rint(number) && Math.abs(number) < MOST_WHOLE) {
                into.put(field, (long) number);
            } else {
                into.put(field, number);
            }
            return Optional.empty();
        }
    },
    WORDS {
        @Override
        public Optional<Statement> read(ObjectNode into, String field, String value) {
            ArrayNode list = into.putArray(field);
            Arrays.stream(value.split("[;, ]+")).forEach(list::add);
            return Optional.empty();
        }

        @Override
        public String write(JsonNode value) {
            List<String> words = new ArrayList<>();
            value.forEach(word -> words.add(word.asString()));
            return String.join(";", words);
        }
    },
    FLAG {
        @Override
        public Optional<Statement> read(ObjectNode into, String field, String value) {
            if (!value.equals(YES) && !value.equals(NO)) {
                return Optional.of(Statement.of("problem.one-of").with("values", Value.name(YES + ", " + NO)));
            }
            into.put(field, value.equals(YES));
            return Optional.empty();
        }

        @Override
        public String write(JsonNode value) {
            return value.isBoolean() ? (value.asBoolean() ? YES : NO) : "";
        }
    };

    private static final double MOST_WHOLE = 1e9;
    private static final String YES = "yes";
    private static final String NO = "no";

    @Override
    public String write(JsonNode value) {
        return plainText(value);
    }

    /** A text or number as it is written in a cell. */
    static String plainText(JsonNode value) {
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
