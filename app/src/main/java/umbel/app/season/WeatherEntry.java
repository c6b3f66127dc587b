package umbel.app.season;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.LocalDate;
import umbel.app.farm.OfOneFarm;
import umbel.app.orchard.Holding;
import umbel.season.Weather;

/** One imported day of weather. */
@Entity
@Table(name = "weather_day")
class WeatherEntry extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private Holding holding;

    private LocalDate toldFor;

    @Column(name = "min_c")
    private double min;

    @Column(name = "max_c")
    private double max;

    @Column(name = "rain_mm")
    private double rain;

    @Column(name = "wind_m_per_s")
    private double wind;

    private String kind;

    protected WeatherEntry() {}

    WeatherEntry(Holding holding, Weather.Day day) {
        this.holding = holding;
        this.toldFor = day.date();
        tell(day);
    }

    void tell(Weather.Day day) {
        min = day.min();
        max = day.max();
        rain = day.rain();
        wind = day.wind();
        kind = day.kind().name();
    }

    LocalDate toldFor() {
        return toldFor;
    }

    Weather.Day day() {
        return new Weather.Day(toldFor, min, max, rain, wind, Weather.Kind.valueOf(kind));
    }
}
