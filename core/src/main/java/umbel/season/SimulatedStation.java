package umbel.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * A weather station that is not there: plausible days for a latitude and height from a seed. A yearly wave, slow swings of
 * warm and cold spells, fronts that bring rain, wind and a fall in temperature after them, clear frosty nights between. Any
 * day is the same whichever span is asked for; forecasts lean more on what is usual the farther ahead they look, and are
 * revised from day to day as real ones are.
 */
public final class SimulatedStation implements WeatherService {

    private static final double FRONT_EVERY = 5.5;
    private static final double FORECAST_FADES = 6;

    /** What fronts and the days after them take from the temperature on average, given back on every day, °C. */
    private static final double FRONTS_TAKE = 0.5;

    private final double latitude;
    private final double elevation;
    private final long seed;
    private final int forecastDays;

    /**
     * A station.
     *
     * @param latitude degrees, south negative
     * @param elevation metres
     * @param forecastDays how far it looks ahead
     */
    public SimulatedStation(double latitude, double elevation, long seed, int forecastDays) {
        this.latitude = latitude;
        this.elevation = elevation;
        this.seed = seed;
        this.forecastDays = forecastDays;
    }

    @Override
    public Weather tell(LocalDate from, LocalDate to, LocalDate today) {
        List<Weather.Day> days = new ArrayList<>();
        for (LocalDate date = from; !date.isAfter(to); date = date.plusDays(1)) {
            long ahead = date.toEpochDay() - today.toEpochDay();
            days.add(ahead <= 0 ? actual(date) : ahead <= forecastDays ? forecast(date, today, ahead) : usual(date));
        }
        return new Weather(days);
    }

    private Weather.Day actual(LocalDate date) {
        long day = date.toEpochDay();
        double swing = 3.2 * wave(day, 11, 1) + 2.2 * wave(day, 4, 2);
        double front = front(day);
        double after = front(day - 1);
        double mean = usualMean(date) + FRONTS_TAKE + swing - 2.5 * after - 1.0 * front;
        double cloud = Math.max(front, 0.6 * after);
        double range = usualRange(date) * (1.15 - 0.75 * cloud) * (0.85 + 0.3 * unit(day, 3));
        double rain = front > 0.25 ? Math.round(10 * front * front * (6 + 26 * unit(day, 4))) / 10.0 : 0;
        double wind = 2 + 2.5 * unit(day, 5) + 8 * front * unit(day, 6);
        return new Weather.Day(
                date, tenth(mean - range / 2), tenth(mean + range / 2), rain, tenth(wind), Weather.Kind.OBSERVED);
    }

    private Weather.Day forecast(LocalDate date, LocalDate today, long ahead) {
        Weather.Day truth = actual(date);
        Weather.Day usual = usual(date);
        double sure = Math.exp(-(ahead - 1) / FORECAST_FADES);
        double error = (2 * unit(31 * date.toEpochDay() + today.toEpochDay(), 7) - 1) * 2.5 * (1 - sure);
        double rain = truth.rain() * (0.4 + 0.6 * sure)
                + (unit(17 * date.toEpochDay() + today.toEpochDay(), 8) > 0.88 + 0.12 * sure ? 3 : 0);
        return new Weather.Day(
                date,
                tenth(sure * truth.min() + (1 - sure) * usual.min() + error),
                tenth(sure * truth.max() + (1 - sure) * usual.max() + error),
                tenth(rain),
                tenth(sure * truth.wind() + (1 - sure) * usual.wind()),
                Weather.Kind.FORECAST);
    }

    private Weather.Day usual(LocalDate date) {
        double mean = usualMean(date);
        double half = usualRange(date) / 2;
        return new Weather.Day(date, tenth(mean - half), tenth(mean + half), 0, 3.5, Weather.Kind.USUAL);
    }

    private double usualMean(LocalDate date) {
        double yearly = 32 - 0.42 * Math.abs(latitude) - 0.0065 * elevation;
        double amplitude = 0.2 * Math.abs(latitude);
        return yearly - amplitude * wintriness(date);
    }

    private static double usualRange(double wintriness) {
        return 9.5 - 2.5 * wintriness;
    }

    private double usualRange(LocalDate date) {
        return usualRange(wintriness(date));
    }

    /** 1 in the third week of the local January, -1 half a year later. */
    private double wintriness(LocalDate date) {
        double turn = 2 * Math.PI * (date.getDayOfYear() - 20) / date.lengthOfYear();
        return latitude >= 0 ? Math.cos(turn) : -Math.cos(turn);
    }

    /** How much of a front lies over this day, 0…1. Each span of days has one, on a day of its own. */
    private double front(long day) {
        long span = (long) Math.floor(day / FRONT_EVERY);
        double most = 0;
        for (long one = span - 1; one <= span + 1; one++) {
            double at = (one + 0.15 + 0.7 * unit(one, 9)) * FRONT_EVERY;
            double strength = 0.3 + 0.7 * unit(one, 10);
            double width = 0.7 + 1.1 * unit(one, 11);
            most = Math.max(most, strength * Math.max(0, 1 - Math.abs(day + 0.5 - at) / width));
        }
        return most;
    }

    /** Smooth noise of this period in days, -1…1. */
    private double wave(long day, int period, int channel) {
        long step = Math.floorDiv(day, period);
        double part = (day - step * (double) period) / period;
        double smooth = part * part * (3 - 2 * part);
        double from = 2 * unit(step, 20 + channel) - 1;
        double to = 2 * unit(step + 1, 20 + channel) - 1;
        return from + (to - from) * smooth;
    }

    /** An even number of [0, 1) that depends on nothing but seed, channel and position. */
    private double unit(long position, int channel) {
        long mixed = seed * 0x9E3779B97F4A7C15L + position * 0xC2B2AE3D27D4EB4FL + channel * 0x165667B19E3779F9L;
        mixed = (mixed ^ (mixed >>> 30)) * 0xBF58476D1CE4E5B9L;
        mixed = (mixed ^ (mixed >>> 27)) * 0x94D049BB133111EBL;
        return ((mixed ^ (mixed >>> 31)) >>> 11) * 0x1.0p-53;
    }

    private static double tenth(double value) {
        return Math.round(10 * value) / 10.0;
    }
}
