package umbel.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import umbel.format.FieldError;

class WeatherCsvTest {

    private static final String HEAD = "date,min_C,max_C,rain_mm,wind_mPerS,kind\n";

    @Test
    void whatIsWrittenIsReadAgain() {
        var days = new SimulatedStation(47, 400, 1, 10)
                .tell(LocalDate.of(2026, 2, 1), LocalDate.of(2026, 2, 20), LocalDate.of(2026, 2, 15))
                .between(LocalDate.of(2026, 2, 1), LocalDate.of(2026, 2, 20));
        WeatherCsv.Read read = WeatherCsv.read(WeatherCsv.write(days));
        assertThat(read.errors()).isEmpty();
        assertThat(read.days()).isEqualTo(days);
    }

    @Test
    void eachFaultyLineIsNamedAndTheGoodOnesAreKept() {
        WeatherCsv.Read read = WeatherCsv.read(HEAD
                + "2026-02-01,-3,4,0,2,observed\n"
                + "1.2.2026,-3,4,0,2,observed\n"
                + "2026-02-03,9,4,0,2,observed\n"
                + "2026-02-04,-3,4,cold,2,observed\n"
                + "2026-02-05,-300,4,0,2,observed\n"
                + "2026-02-06,-3,4,0,2,guessed\n");
        assertThat(read.days()).extracting(Weather.Day::date).containsExactly(LocalDate.of(2026, 2, 1));
        assertThat(read.errors())
                .extracting(FieldError::field)
                .containsExactly("line 3", "line 4", "line 5", "line 6", "line 7");
    }

    @Test
    void aMissingColumnIsNamed() {
        assertThat(WeatherCsv.read("date,min_C,max_C\n2026-01-01,1,2\n").errors())
                .extracting(FieldError::toString)
                .containsExactly(
                        "line 1: The column “rain_mm” is missing.", "line 1: The column “wind_mPerS” is missing.");
    }
}
