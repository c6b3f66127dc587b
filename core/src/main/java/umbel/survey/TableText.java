package umbel.survey;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import umbel.format.FieldError;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * A table as it came: columns parted by commas, semicolons or tabs, lines ended either way; a byte order mark is passed over.
 */
public final class TableText {

    private static final char BYTE_ORDER_MARK = '\uFEFF';
    private static final String PASSED_OVER = "passed-over-";

    private final String text;
    private final char delimiter;

    /** A table of this text. */
    public TableText(String text) {
        this.text = !text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK ? text.substring(1) : text;
        this.delimiter = delimiter(this.text);
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

    /**
     * Its heading as it stands.
     *
     * @throws InvalidSurvey when it is no table
     */
    public List<String> heading() {
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format().get())) {
            for (CSVRecord first : parser) {
                return first.toList();
            }
            return List.of();
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw isNone(e);
        }
    }

    /** Its rows, by the names of our columns; columns to be passed over get names of their own. */
    CSVParser rows(Map<String, String> names) throws IOException {
        List<String> heading = new ArrayList<>();
        for (String name : heading()) {
            String ours = names.getOrDefault(name, name);
            heading.add(ours.isEmpty() ? PASSED_OVER + heading.size() : ours);
        }
        return CSVParser.parse(
                new StringReader(text),
                format().setHeader(heading.toArray(String[]::new))
                        .setSkipHeaderRecord(true)
                        .setIgnoreEmptyLines(true)
                        .get());
    }

    private CSVFormat.Builder format() {
        return CSVFormat.RFC4180.builder().setDelimiter(delimiter).setTrim(true);
    }

    /** Whether a column is passed over. */
    static boolean isPassedOver(String column) {
        return column.startsWith(PASSED_OVER);
    }

    /** That a text is no table. */
    static InvalidSurvey isNone(Exception cause) {
        return new InvalidSurvey(List.of(new FieldError(
                "", Statement.of("problem.not-a-table").with("reason", Value.name(cause.getMessage())))));
    }
}
