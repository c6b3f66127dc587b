package umbel.season;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Daily weather of one place, what was observed first, then what is forecast, then what is usual. */
public final class Weather {

    /** Where a day's figures come from. */
    public enum Kind {
        OBSERVED,
        FORECAST,
        USUAL
    }

    /**
     * One day.
     *
     * @param min lowest temperature, °C
     * @param max highest temperature, °C
     * @param rain mm
     * @param wind strongest mean wind, m/s
     */
    public record Day(LocalDate date, double min, double max, double rain, double wind, Kind kind) {

        /** Mean temperature, °C. */
        public double mean() {
            return (min + max) / 2;
        }

        /** Whether its own weather is known or forecast, not merely what is usual. */
        public boolean told() {
            return kind != Kind.USUAL;
        }
    }

    private final TreeMap<LocalDate, Day> days = new TreeMap<>();

    /** Weather of these days; the last one given for a date counts. */
    public Weather(List<Day> days) {
        days.forEach(day -> this.days.put(day.date(), day));
    }

    /** The day's weather, if it is told at all. */
    public Optional<Day> on(LocalDate date) {
        return Optional.ofNullable(days.get(date));
    }

    /** All days in order, from and to included. */
    public List<Day> between(LocalDate from, LocalDate to) {
        return List.copyOf(days.subMap(from, true, to, true).values());
    }

    /** First and last day. */
    public Map.Entry<LocalDate, LocalDate> span() {
        return Map.entry(days.firstKey(), days.lastKey());
    }

    /** The coldest minimum of these days; empty when none is told. */
    public Optional<Day> coldest(LocalDate from, LocalDate to) {
        return between(from, to).stream().filter(Day::told).min(Comparator.comparingDouble(Day::min));
    }

    /** The same days with these over them. */
    public Weather with(List<Day> others) {
        Weather both = new Weather(List.copyOf(days.values()));
        others.forEach(day -> both.days.put(day.date(), day));
        return both;
    }
}
