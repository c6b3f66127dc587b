package umbel.season;

import java.time.LocalDate;

/** Whoever can tell a place's weather: a station, a file, or a forecasting service. */
public interface WeatherService {

    /**
     * The weather from one day to another, both included, as it is known on {@code today}: observed up to that day, forecast
     * for some days after it, and what is usual beyond.
     */
    Weather tell(LocalDate from, LocalDate to, LocalDate today);
}
