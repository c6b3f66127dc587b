package umbel.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

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

    private final long first;
    private final Day[] days;

    /** Weather of these days; the last one given for a date counts, days in between that are not given are not told. */
    public Weather(List<Day> given) {
        long from = Long.MAX_VALUE;
        long to = Long.MIN_VALUE;
        for (Day day : given) {
            from = Math.min(from, day.date().toEpochDay());
            to = Math.max(to, day.date().toEpochDay());
        }
        first = given.isEmpty() ? 0 : from;
        days = new Day[given.isEmpty() ? 0 : (int) (to - from + 1)];
        for (Day day : given) {
            days[(int) (day.date().toEpochDay() - first)] = day;
        }
    }

    /** The day's weather, if it is told at all. */
    public Optional<Day> on(LocalDate date) {
        return Optional.ofNullable(at(date.toEpochDay()));
    }

    private Day at(long day) {
        return day < first || day >= first + days.length ? null : days[(int) (day - first)];
    }

    /** All days in order, from and to included. */
    public List<Day> between(LocalDate from, LocalDate to) {
        List<Day> found = new ArrayList<>();
        for (long day = from.toEpochDay(); day <= to.toEpochDay(); day++) {
            Day one = at(day);
            if (one != null) {
                found.add(one);
            }
        }
        return found;
    }

    /** The coldest minimum of these days that is observed or forecast; empty when none is. */
    public Optional<Day> coldest(LocalDate from, LocalDate to) {
        Day coldest = null;
        for (long day = from.toEpochDay(); day <= to.toEpochDay(); day++) {
            Day one = at(day);
            if (one != null && one.told() && (coldest == null || one.min() < coldest.min())) {
                coldest = one;
            }
        }
        return Optional.ofNullable(coldest);
    }

    /** The same days with these over them. */
    public Weather with(List<Day> others) {
        List<Day> both = new ArrayList<>();
        for (Day day : days) {
            if (day != null) {
                both.add(day);
            }
        }
        both.addAll(others);
        return new Weather(both);
    }
}
