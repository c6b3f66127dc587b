package umbel.app.season;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Component;
import umbel.app.orchard.Holding;
import umbel.knowledge.Knowledge;
import umbel.season.SimulatedStation;
import umbel.season.Weather;
import umbel.season.WeatherService;

/**
 * The weather of each holding. Behind the port stands the shipped station, which is simulated; days that were imported stand
 * over its own. A real service would be another {@link WeatherService} here.
 */
@Component
class WeatherStations {

    private final WeatherRepository imported;
    private final Knowledge knowledge;
    private final Cache<Key, Weather> kept = Caffeine.newBuilder()
            .maximumSize(60)
            .expireAfterWrite(Duration.ofMinutes(10))
            .build();

    private record Key(long holding, LocalDate from, LocalDate to, LocalDate today) {}

    WeatherStations(WeatherRepository imported, Knowledge knowledge) {
        this.imported = imported;
        this.knowledge = knowledge;
    }

    /** A holding's weather as known on a day. */
    Weather tell(Holding holding, LocalDate from, LocalDate to, LocalDate today) {
        return kept.get(new Key(holding.id(), from, to, today), key -> gather(holding, from, to, today));
    }

    /** Forgets what was gathered, once a holding's imported days have changed. */
    void changed() {
        kept.invalidateAll();
    }

    private Weather gather(Holding holding, LocalDate from, LocalDate to, LocalDate today) {
        List<Weather.Day> own = imported.findByHoldingIdAndToldForBetween(holding.id(), from, to).stream()
                .map(WeatherEntry::day)
                .filter(day ->
                        day.kind() == Weather.Kind.OBSERVED || !day.date().isBefore(today))
                .toList();
        return station(holding).tell(from, to, today).with(own);
    }

    private WeatherService station(Holding holding) {
        return new SimulatedStation(
                holding.latitudeDeg(),
                holding.elevationM(),
                holding.id(),
                knowledge.parameters().season().calendar().forecastDays());
    }
}
