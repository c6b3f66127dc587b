package umbel.season;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import umbel.format.FieldError;
import umbel.text.Statement;
import umbel.text.Value;

/** Weather as a table: {@code date,min_C,max_C,rain_mm,wind_mPerS,kind}; kind may be missing and is then observed. */
public final class WeatherCsv {

    private static final String[] NUMBERS = {"min_C", "max_C", "rain_mm", "wind_mPerS"};
    private static final double[][] RANGES = {{-60, 45}, {-50, 58}, {0, 500}, {0, 80}};

    private WeatherCsv() {}

    /** What a table held: its good days, and what is wrong with the other lines. */
    public record Read(List<Weather.Day> days, List<FieldError> errors) {}

    /** Reads a table; nothing is guessed for a line that is wrong. */
    public static Read read(String text) {
        List<Weather.Day> days = new ArrayList<>();
        List<FieldError> errors = new ArrayList<>();
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setTrim(true)
                .setIgnoreSurroundingSpaces(true)
                .get();
        try (CSVParser lines = CSVParser.parse(new StringReader(text), format)) {
            for (String column : List.of("date", "min_C", "max_C", "rain_mm", "wind_mPerS")) {
                if (!lines.getHeaderMap().containsKey(column)) {
                    errors.add(new FieldError(
                            "line 1", Statement.of("problem.column-missing").with("column", Value.name(column))));
                }
            }
            if (errors.isEmpty()) {
                for (CSVRecord line : lines) {
                    read(line, days, errors);
                }
            }
        } catch (IOException | IllegalArgumentException | UncheckedIOException e) {
            errors.add(FieldError.of("line 1", "problem.not-weather"));
        }
        return new Read(List.copyOf(days), List.copyOf(errors));
    }

    private static void read(CSVRecord line, List<Weather.Day> days, List<FieldError> errors) {
        String at = "line " + (line.getRecordNumber() + 1);
        try {
            LocalDate date = LocalDate.parse(line.get("date"));
            double[] values = new double[NUMBERS.length];
            for (int i = 0; i < NUMBERS.length; i++) {
                values[i] = Double.parseDouble(line.get(NUMBERS[i]));
                if (!(values[i] >= RANGES[i][0] && values[i] <= RANGES[i][1])) {
                    errors.add(new FieldError(
                            at,
                            Statement.of("problem.column-between")
                                    .with("column", Value.name(NUMBERS[i]))
                                    .with("least", Value.name(String.valueOf(RANGES[i][0])))
                                    .with("most", Value.name(String.valueOf(RANGES[i][1])))));
                    return;
                }
            }
            if (values[0] > values[1]) {
                errors.add(FieldError.of(at, "problem.minimum-over-maximum"));
                return;
            }
            String kind = line.isMapped("kind") ? line.get("kind").toLowerCase(Locale.ROOT) : "observed";
            if (!kind.equals("observed") && !kind.equals("forecast")) {
                errors.add(FieldError.of(at, "problem.weather-kind"));
                return;
            }
            days.add(new Weather.Day(
                    date,
                    values[0],
                    values[1],
                    values[2],
                    values[3],
                    Weather.Kind.valueOf(kind.toUpperCase(Locale.ROOT))));
        } catch (DateTimeParseException e) {
            errors.add(FieldError.of(at, "problem.no-such-day"));
        } catch (IllegalArgumentException e) {
            errors.add(FieldError.of(at, "problem.number-missing"));
        }
    }

    /** Writes days as such a table. */
    public static String write(List<Weather.Day> days) {
        StringBuilder table = new StringBuilder("date,min_C,max_C,rain_mm,wind_mPerS,kind\n");
        for (Weather.Day day : days) {
            table.append(day.date())
                    .append(',')
                    .append(day.min())
                    .append(',')
                    .append(day.max())
                    .append(',')
                    .append(day.rain())
                    .append(',')
                    .append(day.wind())
                    .append(',')
                    .append(day.kind().name().toLowerCase(Locale.ROOT))
                    .append('\n');
        }
        return table.toString();
    }
}
