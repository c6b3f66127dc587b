package umbel.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SimulatedStationTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 12, 31);

    private static List<Weather.Day> year(double latitude, long seed) {
        return new SimulatedStation(latitude, 400, seed, 10)
                .tell(LocalDate.of(2026, 1, 1), TODAY, TODAY)
                .between(LocalDate.of(2026, 1, 1), TODAY);
    }

    private static double mean(List<Weather.Day> days, int month) {
        return days.stream()
                .filter(day -> day.date().getMonthValue() == month)
                .mapToDouble(Weather.Day::mean)
                .average()
                .orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void ayearIsPlausibleForATemperateValley(long seed) {
        List<Weather.Day> days = year(47.6, seed);
        assertThat(mean(days, 1)).isBetween(-5.0, 4.0);
        assertThat(mean(days, 7)).isBetween(15.0, 23.0);
        double rain = days.stream().mapToDouble(Weather.Day::rain).sum();
        assertThat(rain).as("mm a year").isBetween(350.0, 1400.0);
        assertThat(days.stream().filter(day -> day.rain() >= 1).count())
                .as("wet days")
                .isBetween(60L, 180L);
        assertThat(days.stream().filter(day -> day.min() < 0).count())
                .as("frosts")
                .isBetween(40L, 160L);
        assertThat(days).allSatisfy(day -> assertThat(day.min()).isLessThan(day.max()));
    }

    @Test
    void overManyYearsTheDaysAverageToWhatIsUsual() {
        SimulatedStation station = new SimulatedStation(47.6, 400, 4, 10);
        LocalDate from = LocalDate.of(1996, 1, 1);
        double told = station.tell(from, TODAY, TODAY).between(from, TODAY).stream()
                .mapToDouble(Weather.Day::mean)
                .average()
                .orElseThrow();
        double usual = station.tell(from, TODAY, from.minusDays(60)).between(from, TODAY).stream()
                .mapToDouble(Weather.Day::mean)
                .average()
                .orElseThrow();
        assertThat(told).isCloseTo(usual, org.assertj.core.api.Assertions.within(0.2));
    }

    @Test
    void theOtherHemisphereIsHalfAYearApart() {
        List<Weather.Day> days = year(-41, 3);
        assertThat(mean(days, 1)).isGreaterThan(mean(days, 7) + 8);
    }

    @Test
    void aDayIsTheSameWhicheverSpanIsAskedFor() {
        SimulatedStation station = new SimulatedStation(47.6, 400, 9, 10);
        LocalDate day = LocalDate.of(2026, 3, 9);
        assertThat(station.tell(day, day, TODAY).on(day))
                .isEqualTo(
                        station.tell(day.minusDays(90), day.plusDays(90), TODAY).on(day));
    }

    @Test
    void nearForecastsComeTrueMoreOftenThanFarOnes() {
        SimulatedStation station = new SimulatedStation(47.6, 400, 11, 10);
        double near = 0;
        double far = 0;
        for (int i = 0; i < 200; i++) {
            LocalDate day = LocalDate.of(2026, 1, 1).plusDays(i);
            double truth = station.tell(day, day, day).on(day).orElseThrow().mean();
            near += Math.abs(truth - told(station, day, 1));
            far += Math.abs(truth - told(station, day, 9));
        }
        assertThat(near / 200).isLessThan(1.0);
        assertThat(far).isGreaterThan(2 * near);
    }

    private static double told(SimulatedStation station, LocalDate day, int ahead) {
        return station.tell(day, day, day.minusDays(ahead))
                .on(day)
                .orElseThrow()
                .mean();
    }

    @Test
    void beyondTheForecastOnlyTheUsualIsTold() {
        SimulatedStation station = new SimulatedStation(47.6, 400, 11, 10);
        Weather weather = station.tell(TODAY, TODAY.plusDays(30), TODAY);
        assertThat(weather.on(TODAY).orElseThrow().kind()).isEqualTo(Weather.Kind.OBSERVED);
        assertThat(weather.on(TODAY.plusDays(10)).orElseThrow().kind()).isEqualTo(Weather.Kind.FORECAST);
        assertThat(weather.on(TODAY.plusDays(11)).orElseThrow().kind()).isEqualTo(Weather.Kind.USUAL);
    }
}
