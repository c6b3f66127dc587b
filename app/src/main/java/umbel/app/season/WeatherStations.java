package umbel.app.season;

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

    WeatherStations(WeatherRepository imported, Knowledge knowledge) {
        this.imported = imported;
        this.knowledge = knowledge;
    }

    /** A holding's weather as known on a day. */
    Weather tell(Holding holding, LocalDate from, LocalDate to, LocalDate today) {
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
                knowledge.trade().calendar().forecastDays());
    }
}
