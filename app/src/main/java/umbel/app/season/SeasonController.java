package umbel.app.season;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.MediaType;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.http.FieldProblem;
import umbel.app.http.NotFound;
import umbel.app.orchard.Holding;
import umbel.app.orchard.HoldingRepository;
import umbel.app.orchard.ScheduleInputChanged;
import umbel.season.Weather;
import umbel.season.WeatherCsv;
import umbel.text.Statement;

/** When to cut what: the year's days by block, one day's order, and the weather behind them. */
@RestController
@RequestMapping("/api")
class SeasonController {

    private final SeasonService season;
    private final WeatherRepository weather;
    private final WeatherStations stations;
    private final HoldingRepository holdings;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    SeasonController(
            SeasonService season,
            WeatherRepository weather,
            WeatherStations stations,
            HoldingRepository holdings,
            Clock clock,
            ApplicationEventPublisher events) {
        this.events = events;
        this.season = season;
        this.weather = weather;
        this.stations = stations;
        this.holdings = holdings;
        this.clock = clock;
    }

    /**
     * What an imported table of weather holds.
     *
     * @param written whether it was kept, or only looked at
     */
    public record WeatherImport(
            int days, LocalDate from, LocalDate to, int forecastDays, boolean written, List<FieldProblem> errors) {}

    /** Every block's year of days. */
    @GetMapping("/season")
    SeasonAnswers.SeasonPage page() {
        return season.page();
    }

    /** Where to go on a day, and why not elsewhere. */
    @GetMapping("/season/days/{date}")
    SeasonAnswers.DayPage day(@PathVariable LocalDate date) {
        return season.day(date);
    }

    /** A holding's weather of the last year and the forecast, as a table. */
    @GetMapping(value = "/holdings/{id}/weather.csv", produces = "text/csv")
    @Transactional(readOnly = true)
    String table(@PathVariable long id) {
        LocalDate today = LocalDate.now(clock);
        List<Weather.Day> days = stations
                .tell(holding(id), today.minusYears(1), today.plusDays(30), today)
                .between(today.minusYears(1), today.plusDays(30))
                .stream()
                .filter(Weather.Day::told)
                .toList();
        return WeatherCsv.write(days);
    }

    /** Takes in a table of weather; without {@code write} only tells what it holds. */
    @PostMapping(value = "/holdings/{id}/weather", consumes = MediaType.TEXT_PLAIN_VALUE)
    @Transactional
    WeatherImport take(
            @PathVariable long id, @RequestParam(defaultValue = "false") boolean write, @RequestBody String table) {
        Holding holding = holding(id);
        WeatherCsv.Read read = WeatherCsv.read(table);
        boolean written = write && read.errors().isEmpty() && !read.days().isEmpty();
        List<LocalDate> dates =
                read.days().stream().map(Weather.Day::date).sorted().toList();
        if (written) {
            Map<LocalDate, WeatherEntry> kept = new HashMap<>();
            weather.findByHoldingIdAndToldForBetween(holding.id(), dates.get(0), dates.get(dates.size() - 1))
                    .forEach(entry -> kept.put(entry.toldFor(), entry));
            read.days()
                    .forEach(day -> kept.computeIfAbsent(
                                    day.date(), date -> weather.save(new WeatherEntry(holding, day)))
                            .tell(day));
            afterCommit();
        }
        return new WeatherImport(
                dates.size(),
                dates.isEmpty() ? null : dates.get(0),
                dates.isEmpty() ? null : dates.get(dates.size() - 1),
                (int) read.days().stream()
                        .filter(day -> day.kind() == Weather.Kind.FORECAST)
                        .count(),
                written,
                FieldProblem.of(read.errors()));
    }

    /** Forgets what was imported: the station's own weather counts again. */
    @DeleteMapping("/holdings/{id}/weather")
    @Transactional
    void forget(@PathVariable long id) {
        weather.deleteByHoldingId(holding(id).id());
        afterCommit();
    }

    /** What was gathered before is forgotten once the change is kept, so that nobody gathers the old days again. */
    private void afterCommit() {
        events.publishEvent(new ScheduleInputChanged(Statement.of("schedule-again.weather"), null));
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                stations.changed();
            }
        });
    }

    private Holding holding(long id) {
        return holdings.findById(id).orElseThrow(() -> new NotFound("holding", id));
    }
}
