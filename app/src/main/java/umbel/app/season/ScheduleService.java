package umbel.app.season;

import jakarta.annotation.PreDestroy;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.http.NotFound;
import umbel.app.orchard.BlockRepository;
import umbel.app.people.Person;
import umbel.app.people.PersonRepository;
import umbel.crew.BlockWork;
import umbel.crew.Chunk;
import umbel.crew.Conflicts;
import umbel.crew.CrewMember;
import umbel.crew.CrewSchedule;
import umbel.crew.Scheduler;
import umbel.season.DayAdvice;

/**
 * The crew's schedule: made in the background from what is left to do, kept, checked whenever it is looked at, and changed by
 * hand. What was put by hand is never moved.
 */
@Service
public class ScheduleService {

    private static final Logger LOG = LoggerFactory.getLogger(ScheduleService.class);
    private static final int SECONDS = 7;
    private static final int HORIZON_DAYS = 330;

    private final SeasonService season;
    private final PlacedWorkRepository placed;
    private final BlockRepository blocks;
    private final PersonRepository people;
    private final TransactionTemplate transactions;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "schedule");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicBoolean stop = new AtomicBoolean();
    private volatile Run run = new Run("idle", null, 0, "");

    /** How the making of the schedule stands: idle, running or failed. */
    private record Run(String state, Instant since, int betterments, String trouble) {}

    ScheduleService(
            SeasonService season,
            PlacedWorkRepository placed,
            BlockRepository blocks,
            PersonRepository people,
            TransactionTemplate transactions) {
        this.season = season;
        this.placed = placed;
        this.blocks = blocks;
        this.people = people;
        this.transactions = transactions;
    }

    @PreDestroy
    void end() {
        stop.set(true);
        worker.shutdownNow();
    }

    /** Begins to make it; nothing happens while it is being made. */
    ScheduleAnswers.SchedulePage begin() {
        synchronized (this) {
            if (!run.state().equals("running")) {
                stop.set(false);
                run = new Run("running", Instant.now(), 0, "");
                worker.submit(this::make);
            }
        }
        return page();
    }

    /** Ends the search early; the best found so far is kept. */
    void stop() {
        stop.set(true);
    }

    private void make() {
        try {
            Basis basis = transactions.execute(status -> basis());
            CrewSchedule draft = Scheduler.draft(basis.works(), basis.crew(), basis.placings());
            CrewSchedule best = Scheduler.solve(
                    draft,
                    SECONDS,
                    stop::get,
                    better -> run = new Run("running", run.since(), run.betterments() + 1, ""));
            transactions.executeWithoutResult(status -> keep(best));
            run = new Run("idle", null, run.betterments(), "");
        } catch (RuntimeException e) {
            LOG.warn("The schedule could not be made.", e);
            run = new Run("failed", null, 0, "The schedule could not be made. Try again; the log tells more.");
        }
    }

    private record Basis(List<BlockWork> works, List<CrewMember> crew, List<Scheduler.Placing> placings) {}

    private Basis basis() {
        LocalDate from = season.today().plusDays(1);
        List<SeasonService.Standing> standings = season.standings(from, from.plusDays(HORIZON_DAYS), new HashMap<>());
        return new Basis(
                standings.stream().map(one -> work(one, from)).toList(),
                people.findByActiveTrueOrderByNameAsc().stream()
                        .map(Person::asMember)
                        .toList(),
                placed.findByDoneOnGreaterThanEqualOrderByDoneOnAscIdAsc(from).stream()
                        .map(PlacedWork::asPlacing)
                        .toList());
    }

    private static BlockWork work(SeasonService.Standing one, LocalDate from) {
        LocalDate end = one.waiting(from).windowEnd();
        TreeMap<LocalDate, DayAdvice.Verdict> days = new TreeMap<>();
        for (DayAdvice day : one.days()) {
            if (end != null && !day.date().isAfter(end) && day.forMainWork()) {
                days.put(day.date(), day.verdict());
            }
        }
        return new BlockWork(
                one.block().id(),
                one.block().name(),
                one.hours(),
                one.facts().species().growing().bloomRank(),
                one.facts().leaf(),
                days);
    }

    private void keep(CrewSchedule best) {
        placed.deleteByDoneOnGreaterThanEqual(season.today().plusDays(1));
        placed.flush();
        record Key(long block, String kind, long person, LocalDate date, boolean pinned) {}
        Map<Key, Integer> minutes = new HashMap<>();
        Map<Key, Chunk> one = new HashMap<>();
        for (Chunk chunk : best.chunks()) {
            if (chunk.shift() != null) {
                Key key = new Key(
                        chunk.block().blockId(),
                        chunk.kind().name(),
                        chunk.shift().member().id(),
                        chunk.shift().date(),
                        chunk.pinned());
                minutes.merge(key, chunk.minutes(), Integer::sum);
                one.put(key, chunk);
            }
        }
        List<PlacedWork> all = new ArrayList<>();
        minutes.forEach((key, sum) -> all.add(new PlacedWork(
                blocks.getReferenceById(key.block()),
                one.get(key).kind(),
                people.getReferenceById(key.person()),
                key.date(),
                sum,
                key.pinned())));
        placed.saveAll(all);
    }

    /** The schedule from tomorrow on, and what it breaks or leaves undone. */
    @Transactional(readOnly = true)
    public ScheduleAnswers.SchedulePage page() {
        Basis basis = basis();
        CrewSchedule as = Scheduler.asPlaced(basis.works(), basis.crew(), basis.placings());
        List<PlacedWork> rows = placed.findByDoneOnGreaterThanEqualOrderByDoneOnAscIdAsc(
                season.today().plusDays(1));
        Run now = run;
        return new ScheduleAnswers.SchedulePage(
                now.state(),
                now.since() == null
                        ? 0
                        : (int) java.time.Duration.between(now.since(), Instant.now())
                                .toSeconds(),
                SECONDS,
                now.betterments(),
                now.trouble(),
                rows.stream().map(ScheduleAnswers.PlacedLine::of).toList(),
                Conflicts.of(as, basis.works(), basis.crew()).stream()
                        .map(one -> new ScheduleAnswers.ConflictLine(one.kind(), one.blockId(), one.text()))
                        .toList());
    }

    /** Puts a piece of work onto somebody's day by hand, and tells what comes of it. */
    @Transactional
    public ScheduleAnswers.SchedulePage move(long id, long personId, LocalDate date) {
        PlacedWork work = find(id);
        work.pin(people.findById(personId).orElseThrow(() -> new NotFound("person", personId)), date);
        placed.saveAndFlush(work);
        return page();
    }

    /** Gives a piece that was put by hand back to the schedule. */
    @Transactional
    public ScheduleAnswers.SchedulePage letGo(long id) {
        PlacedWork work = find(id);
        work.letGo();
        placed.saveAndFlush(work);
        return page();
    }

    private PlacedWork find(long id) {
        return placed.findById(id).orElseThrow(() -> new NotFound("piece of work", id));
    }
}
