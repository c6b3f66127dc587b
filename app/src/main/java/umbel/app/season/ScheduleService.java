package umbel.app.season;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.UmbelSettings;
import umbel.app.farm.FarmScope;
import umbel.app.farm.Farms;
import umbel.app.http.DiskRoom;
import umbel.app.http.NotFound;
import umbel.app.job.JobProgress;
import umbel.app.job.JobService;
import umbel.app.job.WholeWork;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.ScheduleInputChanged;
import umbel.app.people.Person;
import umbel.app.people.PersonRepository;
import umbel.app.people.SignedIn;
import umbel.app.reader.Reader;
import umbel.crew.BlockWork;
import umbel.crew.Conflicts;
import umbel.crew.CrewMember;
import umbel.crew.CrewSchedule;
import umbel.crew.Scheduler;
import umbel.crew.WorkPackage;
import umbel.season.DayAdvice;
import umbel.text.Statement;

/**
 * The crew's schedule: made in the background from what is left to do, kept, checked whenever it is looked at, and changed by
 * hand. What was put by hand is never moved.
 */
@Service
public class ScheduleService implements WholeWork {

    private static final Logger LOG = LoggerFactory.getLogger(ScheduleService.class);
    private static final String KIND = "schedule";
    private static final int SECONDS = 6;
    private static final int SECONDS_AGAIN = 3;
    private static final int HORIZON_DAYS = 330;

    private final SeasonService season;
    private final ScheduledWorkRepository placed;
    private final ScheduleAgainRepository again;
    private final BlockRepository blocks;
    private final PersonRepository people;
    private final JobService jobs;
    private final Farms farms;
    private final TransactionTemplate transactions;
    private final DiskRoom disk;
    private final Duration quiet;
    private final ScheduledExecutorService worker = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "schedule");
        thread.setDaemon(true);
        return thread;
    });
    private final Map<Long, Making> makings = new ConcurrentHashMap<>();

    /** How the making of a farm's schedule stands. */
    private static final class Making {

        private ScheduledFuture<?> waiting;
        private LocalDate lookedOn;
    }

    private Making making() {
        return makings.computeIfAbsent(FarmScope.current(), farm -> new Making());
    }

    ScheduleService(
            SeasonService season,
            ScheduledWorkRepository placed,
            ScheduleAgainRepository again,
            BlockRepository blocks,
            PersonRepository people,
            JobService jobs,
            Farms farms,
            TransactionTemplate transactions,
            DiskRoom disk,
            UmbelSettings settings) {
        this.disk = disk;
        this.season = season;
        this.placed = placed;
        this.again = again;
        this.blocks = blocks;
        this.people = people;
        this.jobs = jobs;
        this.farms = farms;
        this.transactions = transactions;
        this.quiet = settings.scheduleQuiet();
    }

    @PreDestroy
    void end() {
        worker.shutdownNow();
    }

    /** Begins to make it; nothing happens while it is being made. */
    ScheduleAnswers.SchedulePage begin() {
        jobs.beginWhole(KIND, null, 1, SignedIn.name());
        return page();
    }

    /** What it rests on has changed: it is made again once that has been quiet for a while, if it was ever made. */
    @TransactionalEventListener(fallbackExecution = true)
    public void changed(ScheduleInputChanged what) {
        Making now = making();
        synchronized (now) {
            if (now.waiting != null) {
                now.waiting.cancel(false);
            }
            now.waiting = worker.schedule(
                    FarmScope.carried(() -> makeAgain(what.because())), quiet.toMillis(), TimeUnit.MILLISECONDS);
        }
    }

    private void makeAgain(Statement because) {
        try {
            boolean toBeMade = Boolean.TRUE.equals(transactions.execute(status -> noteReason(because)));
            if (toBeMade) {
                jobs.beginWhole(KIND, null, 1, "");
            }
        } catch (RuntimeException e) {
            LOG.warn("The schedule could not be made again.", e);
        }
    }

    /** Notes why the schedule is made again and how it is now; false where there is none. */
    private boolean noteReason(Statement because) {
        List<ScheduleAgain.Place> before = places();
        if (before.isEmpty()) {
            return false;
        }
        ScheduleAgain note = again.findFirstByOrderById().orElse(null);
        if (note == null) {
            note = new ScheduleAgain(because, before);
        } else {
            note.begin(because, before);
        }
        again.saveAndFlush(note);
        return true;
    }

    private List<ScheduleAgain.Place> places() {
        return lines().stream()
                .map(one -> new ScheduleAgain.Place(one.blockId(), one.kind(), one.personId(), one.date()))
                .toList();
    }

    private List<ScheduleAnswers.PlacedLine> lines() {
        return placed
                .findByPlannedOnGreaterThanEqualOrderByPlannedOnAscIdAsc(
                        season.today().plusDays(1))
                .stream()
                .map(ScheduleAnswers.PlacedLine::of)
                .toList();
    }

    /** On the first look of a day: yesterday's work is done or not, and the forecast is another. */
    private void noteTheDay() {
        LocalDate today = season.today();
        Making now = making();
        synchronized (now) {
            boolean another = now.lookedOn != null && !now.lookedOn.equals(today);
            now.lookedOn = today;
            if (another) {
                changed(new ScheduleInputChanged(Statement.of("schedule-again.day"), null));
            }
        }
    }

    /** Ends the search early; the best found so far is kept. */
    void stop() {
        jobs.askToEnd(KIND, null);
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public Runnable of(RunningJob job) {
        if (diskFull()) {
            throw new IllegalStateException("The disk is full.");
        }
        boolean byItself = Boolean.TRUE.equals(transactions.execute(status ->
                again.findFirstByOrderById().filter(ScheduleAgain::isToBeMade).isPresent()));
        make(job, byItself ? SECONDS_AGAIN : SECONDS);
        return () -> again.findFirstByOrderById()
                .filter(ScheduleAgain::isToBeMade)
                .ifPresent(note -> note.made(places(), Instant.now()));
    }

    private void make(RunningJob job, int seconds) {
        AtomicInteger betterments = new AtomicInteger();
        Basis basis = transactions.execute(status -> basis());
        CrewSchedule draft = Scheduler.draft(basis.works(), basis.crew(), basis.placings());
        CrewSchedule best =
                Scheduler.solve(draft, seconds, job::toEnd, better -> job.report(betterments.incrementAndGet()));
        if (!job.cancelled() && !keepUnlessPinned(best, basis)) {
            LOG.info("Work was put somewhere by hand meanwhile: the schedule is made again round it.");
            make(job, SECONDS_AGAIN);
        }
    }

    private boolean diskFull() {
        try {
            return disk.full();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Keeps what was found, unless something was put somewhere or let go by hand since it was begun. */
    private boolean keepUnlessPinned(CrewSchedule best, Basis basis) {
        return Boolean.TRUE.equals(transactions.execute(status -> {
            farms.hold();
            LocalDate from = season.today().plusDays(1);
            if (!pins(placings(from)).equals(pins(basis.placings()))) {
                return false;
            }
            keep(best);
            return true;
        }));
    }

    private static Set<Scheduler.Placing> pins(List<Scheduler.Placing> placings) {
        return placings.stream().filter(Scheduler.Placing::pinned).collect(Collectors.toSet());
    }

    private List<Scheduler.Placing> placings(LocalDate from) {
        return placed.findByPlannedOnGreaterThanEqualOrderByPlannedOnAscIdAsc(from).stream()
                .map(ScheduledWork::asPlacing)
                .toList();
    }

    private record Basis(List<BlockWork> works, List<CrewMember> crew, List<Scheduler.Placing> placings) {}

    private Basis basis() {
        LocalDate from = season.today().plusDays(1);
        List<SeasonService.BlockStatus> statuses = season.statuses(from, from.plusDays(HORIZON_DAYS), new HashMap<>());
        return new Basis(
                statuses.stream().map(one -> work(one, from)).toList(),
                people.findByCrewTrueAndActiveTrueOrderByNameAsc().stream()
                        .map(Person::asMember)
                        .toList(),
                placings(from));
    }

    private static BlockWork work(SeasonService.BlockStatus one, LocalDate from) {
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
                one.facts().traits().bloomRank(),
                one.facts().leaf(),
                days);
    }

    private void keep(CrewSchedule best) {
        placed.deleteByPlannedOnGreaterThanEqual(season.today().plusDays(1));
        placed.flush();
        record Key(long block, String kind, long person, LocalDate date, boolean pinned) {}
        Map<Key, Integer> minutes = new HashMap<>();
        Map<Key, WorkPackage> one = new HashMap<>();
        for (WorkPackage workPackage : best.workPackages()) {
            if (workPackage.shift() != null) {
                Key key = new Key(
                        workPackage.block().blockId(),
                        workPackage.kind().name(),
                        workPackage.shift().member().id(),
                        workPackage.shift().date(),
                        workPackage.pinned());
                minutes.merge(key, workPackage.minutes(), Integer::sum);
                one.put(key, workPackage);
            }
        }
        List<ScheduledWork> all = new ArrayList<>();
        minutes.forEach((key, sum) -> all.add(new ScheduledWork(
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
        noteTheDay();
        Basis basis = basis();
        CrewSchedule as = Scheduler.asPlaced(basis.works(), basis.crew(), basis.placings());
        Optional<JobProgress> job = jobs.last(KIND, null);
        boolean running = job.filter(JobProgress::underWay).isPresent();
        boolean failed = job.filter(one -> one.state().equals("failed")).isPresent();
        return new ScheduleAnswers.SchedulePage(
                running ? "running" : failed ? "failed" : "idle",
                running
                        ? (int) Duration.between(job.get().startedAt(), Instant.now())
                                .toSeconds()
                        : 0,
                SECONDS,
                job.map(JobProgress::done).orElse(0),
                failed
                        ? Reader.speech()
                                .say(Statement.of(
                                        diskFull() ? "problem.schedule-disk-full" : "problem.schedule-failed"))
                        : "",
                again.findFirstByOrderById()
                        .map(note -> note.told(Reader.speech()::say))
                        .orElse(null),
                lines(),
                waits(basis),
                Conflicts.of(as, basis.works(), basis.crew()).stream()
                        .map(one -> new ScheduleAnswers.ConflictLine(
                                one.kind(), one.blockId(), Reader.speech().say(one.text())))
                        .toList());
    }

    /** Which blocks could be begun earlier than they are, and why they wait. */
    private static List<ScheduleAnswers.WaitLine> waits(Basis basis) {
        Map<Long, LocalDate> first = new HashMap<>();
        basis.placings().forEach(one -> first.merge(one.blockId(), one.date(), (a, b) -> a.isBefore(b) ? a : b));
        List<ScheduleAnswers.WaitLine> waits = new ArrayList<>();
        for (BlockWork work : basis.works()) {
            LocalDate planned = first.get(work.blockId());
            LocalDate possible = work.days().entrySet().stream()
                    .filter(day -> day.getValue() != DayAdvice.Verdict.NOT)
                    .map(Map.Entry::getKey)
                    .findFirst()
                    .orElse(null);
            if (planned == null || possible == null || !possible.isBefore(planned)) {
                continue;
            }
            DayAdvice.Verdict then = work.days().getOrDefault(planned, DayAdvice.Verdict.NOT);
            LocalDate suits = work.days().entrySet().stream()
                    .filter(day -> day.getValue().compareTo(then) >= 0)
                    .map(Map.Entry::getKey)
                    .findFirst()
                    .orElse(planned);
            DayAdvice.Verdict before = work.days().headMap(suits).values().stream()
                    .max(Comparator.naturalOrder())
                    .orElse(DayAdvice.Verdict.NOT);
            waits.add(new ScheduleAnswers.WaitLine(
                    work.blockId(),
                    work.name(),
                    possible,
                    planned,
                    possible.isBefore(suits) ? "better-days" : "hands-taken",
                    then.word(),
                    suits,
                    before.word()));
        }
        return waits;
    }

    /** Puts a piece of work onto somebody's day by hand, and tells what comes of it. */
    public ScheduleAnswers.SchedulePage move(long id, long personId, LocalDate date) {
        return changeByHand(
                id,
                work -> work.pin(people.findById(personId).orElseThrow(() -> new NotFound("person", personId)), date));
    }

    /** Gives a piece that was put by hand back to the schedule. */
    public ScheduleAnswers.SchedulePage letGo(long id) {
        return changeByHand(id, ScheduledWork::letGo);
    }

    private ScheduleAnswers.SchedulePage changeByHand(long id, Consumer<ScheduledWork> change) {
        transactions.executeWithoutResult(status -> {
            farms.hold();
            ScheduledWork work = find(id);
            change.accept(work);
            placed.saveAndFlush(work);
        });
        return transactions.execute(status -> page());
    }

    private ScheduledWork find(long id) {
        return placed.findById(id).orElseThrow(() -> new NotFound("pieceOfWork", id));
    }
}
