package umbel.app.job;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.ExecutionContext;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.Priority;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.CustomTask;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import com.github.kagkarlsson.scheduler.task.schedule.Schedules;
import jakarta.annotation.PreDestroy;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import umbel.app.UmbelSettings;
import umbel.app.computing.BackgroundThreads;
import umbel.app.farm.Farm;
import umbel.app.farm.FarmScope;
import umbel.app.farm.Farms;

/**
 * Has every lane of every farm in which something waits worked on by one node at a time, in turns: a lane that had its turn goes to
 * the end of the queue. The queue is in the database; what a node that is gone was at is taken up by another.
 */
@Component
@Lazy(false)
class JobScheduler {

    private static final Duration LOOK_EVERY = Duration.ofSeconds(3);
    private static final Duration SIGN_OF_LIFE = Duration.ofSeconds(4);
    private static final int SIGNS_MISSED = 4;
    private static final Duration WAIT_AT_THE_END = Duration.ofSeconds(20);
    private static final Duration WATCH_EVERY = Duration.ofSeconds(20);
    private static final Duration AGAIN_AFTER = Duration.ofSeconds(15);
    private static final int NAME_LENGTH = 40;

    /** Looked up when there is work: what works on trees need not be there at the start. */
    private final ObjectProvider<JobRunner> runner;

    private final JobService jobs;
    private final ObjectProvider<WholeRunner> wholeRunner;
    private final JobRepository all;
    private final JobPartRepository parts;
    private final Farms farms;
    private final ObjectProvider<NightWork> nightWorks;
    private final ObjectProvider<Unfinished> unfinished;
    private final BackgroundThreads threads =
            new BackgroundThreads("job", Runtime.getRuntime().availableProcessors());
    private final String node = nodeName();
    private final CustomTask<Void> lanes = Tasks.custom("job-lane", Void.class)
            .onFailure(new FailureHandler.OnFailureRetryLater<>(AGAIN_AFTER))
            .execute(this::lane);
    private final CustomTask<Void> wholes = Tasks.custom("whole-job", Void.class)
            .onFailure(new FailureHandler.OnFailureRetryLater<>(AGAIN_AFTER))
            .execute(this::whole);
    private final Scheduler scheduler;

    JobScheduler(
            DataSource database,
            ObjectProvider<JobRunner> runner,
            JobService jobs,
            ObjectProvider<WholeRunner> wholeRunner,
            JobRepository all,
            JobPartRepository parts,
            Farms farms,
            ObjectProvider<NightWork> nightWorks,
            ObjectProvider<Unfinished> unfinished,
            UmbelSettings settings) {
        this.runner = runner;
        this.jobs = jobs;
        this.wholeRunner = wholeRunner;
        this.all = all;
        this.parts = parts;
        this.farms = farms;
        this.nightWorks = nightWorks;
        this.unfinished = unfinished;
        RecurringTask<Void> watch = Tasks.recurring("watch", FixedDelay.of(WATCH_EVERY))
                .execute((instance, context) -> FarmScope.acrossFarms(this::lookAfterAll));
        RecurringTask<Void> night = Tasks.recurring("night", Schedules.daily(settings.night()))
                .execute((instance, context) ->
                        farms.all().forEach(farm -> FarmScope.run(farm.id(), () -> night(farm))));
        scheduler = Scheduler.create(database, lanes, wholes)
                .startTasks(watch, night)
                .schedulerName(new SchedulerName.Fixed(node))
                .threads(settings.jobThreads() > 0 ? settings.jobThreads() : usualThreads())
                .pollingInterval(LOOK_EVERY)
                .heartbeatInterval(SIGN_OF_LIFE)
                .missedHeartbeatsLimit(SIGNS_MISSED)
                .shutdownMaxWait(WAIT_AT_THE_END)
                .enableImmediateExecution()
                .enablePriority()
                .build();
    }

    /** As many as there are processors: one tree alone does not keep them busy, and whoever waits for an answer comes first. */
    private static int usualThreads() {
        return Runtime.getRuntime().availableProcessors();
    }

    private static String nodeName() {
        String host;
        try {
            host = InetAddress.getLocalHost().getHostName();
        } catch (UnknownHostException e) {
            host = "node";
        }
        String name = host.substring(0, Math.min(host.length(), NAME_LENGTH));
        return name + "-" + UUID.randomUUID().toString().substring(0, 8);
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        scheduler.start();
    }

    @PreDestroy
    void end() {
        scheduler.stop();
        threads.close();
    }

    /** Wakes what was begun, once that is written. */
    @TransactionalEventListener(fallbackExecution = true)
    public void begun(JobService.WorkWaits what) {
        FarmScope.in(what.farm(), this::wake);
    }

    /** Puts every lane in which something waits, and every job in one piece, into the queue, where it is not yet. */
    private int wake() {
        List<LaneWaiting> waiting = parts.findLanesWaiting();
        for (LaneWaiting one : waiting) {
            scheduler.scheduleIfNotExists(lanes.instance(one.farm() + ":" + one.lane()), Instant.now());
        }
        List<Job> whole = all.findWholeUnderWay();
        for (Job job : whole) {
            // somebody waits for these: they come before the trees, which are many
            scheduler.scheduleIfNotExists(
                    new TaskInstance.Builder<Void>(wholes.getName(), job.farm() + ":" + job.id())
                            .priority(Priority.HIGH)
                            .build(),
                    Instant.now());
        }
        return waiting.size() + whole.size();
    }

    private int lookAfterAll() {
        unfinished.forEach(Unfinished::resume);
        clearThoseLeft();
        return wake();
    }

    private void clearThoseLeft() {
        List<Long> left = all.findFarmsToClear();
        for (long farm : left) {
            FarmScope.run(farm, () -> wholeRunner.getObject().clearThoseLeft());
        }
    }

    private CompletionHandler<Void> lane(TaskInstance<Void> instance, ExecutionContext context) {
        String[] which = instance.getId().split(":");
        long farm = Long.parseLong(which[0]);
        int lane = Integer.parseInt(which[1]);
        boolean more = FarmScope.in(
                farm,
                () -> threads.call(() -> runner.getObject()
                        .slice(lane, node, () -> context.getSchedulerState().isShuttingDown())));
        return (done, queue) -> {
            if (more) {
                queue.reschedule(done, Instant.now());
            } else {
                queue.remove();
            }
        };
    }

    private CompletionHandler<Void> whole(TaskInstance<Void> instance, ExecutionContext context) {
        String[] which = instance.getId().split(":");
        FarmScope.in(
                Long.parseLong(which[0]),
                () -> threads.call(() -> {
                    wholeRunner.getObject().run(Long.parseLong(which[1]));
                    return null;
                }));
        return (done, queue) -> queue.remove();
    }

    private void night(Farm farm) {
        jobs.forgetOld();
        nightWorks.forEach(work -> work.begin(farm));
    }
}
