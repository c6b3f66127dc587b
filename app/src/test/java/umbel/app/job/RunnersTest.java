package umbel.app.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.ArgumentMatchers.isNull;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.util.ReflectionTestUtils;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.SimpleTransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.farm.FarmScope;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;

/** How jobs are done and ended, with the database stood in for. */
class RunnersTest {

    private static final long FARM = 4;
    private static final long JOB = 9;

    private final JobRepository jobs = mock(JobRepository.class);
    private final JobPartRepository parts = mock(JobPartRepository.class);
    private final SurveyRepository surveys = mock(SurveyRepository.class);
    private final PlatformTransactionManager database = mock(PlatformTransactionManager.class);
    private final TransactionTemplate transactions = new TransactionTemplate(database);

    @BeforeEach
    void oneJob() {
        Job job = Job.inOnePiece("slow", 3L, "Ines", Instant.EPOCH, 1, "given");
        ReflectionTestUtils.setField(job, "id", JOB);
        ReflectionTestUtils.setField(job, "farm", FARM);
        when(jobs.findById(JOB)).thenReturn(Optional.of(job));
        when(jobs.endWhole(eq(JOB), any(), any())).thenReturn(1);
        when(database.getTransaction(any())).thenAnswer(call -> new SimpleTransactionStatus());
    }

    private JobRunner runner(JobWork... works) {
        return new JobRunner(jobs, parts, surveys, transactions, Clock.systemUTC(), List.of(works));
    }

    private void run(WholeWork work) {
        FarmScope.run(FARM, () -> new WholeRunner(jobs, transactions, Clock.systemUTC(), List.of(work)).run(JOB));
    }

    /** A tree of a job whose work gives this or fails. */
    private static JobWork work(Runnable doing, boolean[] kept) {
        return new JobWork() {
            @Override
            public String kind() {
                return "slow";
            }

            @Override
            public Outcome of(SurveyEntry survey) {
                doing.run();
                return new Outcome("found", () -> kept[0] = true);
            }
        };
    }

    private void oneTreeWaits() {
        JobPart part = mock(JobPart.class);
        when(part.id()).thenReturn(77L);
        when(part.surveyId()).thenReturn(5L);
        Job job = jobs.findById(JOB).orElseThrow();
        when(part.job()).thenReturn(job);
        when(parts.findNext(anyInt(), any())).thenReturn(List.of(part)).thenReturn(List.of());
        when(surveys.findById(5L)).thenReturn(Optional.of(mock(SurveyEntry.class)));
    }

    @Test
    void aJobWhoseLastTreeAKilledNodeDidIsEndedByWhoeverFindsNothingLeft() {
        when(parts.findNext(anyInt(), any())).thenReturn(List.of());
        assertThat(runner().slice(0, "node", () -> false)).isFalse();
        verify(jobs).endThoseDone(any());
    }

    @Test
    void aTreeIsKeptOnlyByTheNodeThatEndsIt() {
        oneTreeWaits();
        boolean[] kept = {false};
        when(parts.end(eq(77L), eq(JobPart.DONE), eq("found"), eq("node"), any()))
                .thenReturn(0);
        runner(work(() -> {}, kept)).slice(0, "node", () -> false);
        assertThat(kept[0]).as("another node ended it meanwhile").isFalse();
        oneTreeWaits();
        when(parts.end(eq(77L), eq(JobPart.DONE), eq("found"), eq("node"), any()))
                .thenReturn(1);
        runner(work(() -> {}, kept)).slice(0, "node", () -> false);
        assertThat(kept[0]).isTrue();
    }

    @Test
    void aTreeThatCannotBeDoneDoesNotHoldTheOthersUp() {
        oneTreeWaits();
        when(parts.end(anyLong(), any(), any(), any(), any())).thenReturn(1);
        JobWork failing = work(
                () -> {
                    throw new IllegalStateException("as wanted");
                },
                new boolean[1]);
        assertThat(runner(failing).slice(0, "node", () -> false)).isFalse();
        verify(parts).end(eq(77L), eq(JobPart.FAILED), isNull(), eq("node"), any());
    }

    @Test
    void aNodeThatIsStoppedBeginsNoOtherTree() {
        oneTreeWaits();
        assertThat(runner(work(() -> {}, new boolean[1])).slice(0, "node", () -> true))
                .as("more wait")
                .isTrue();
        verify(parts, never()).findNext(anyInt(), any());
    }

    /** Work in one piece. */
    private abstract static class Whole implements WholeWork {
        @Override
        public String kind() {
            return "slow";
        }
    }

    @Test
    void theStateOfAJobIsAskedInItsFarmFromAnyThread() {
        long[] farm = {0};
        when(jobs.findState(JOB)).thenAnswer(call -> {
            farm[0] = FarmScope.current();
            return Optional.of(Job.ENDING);
        });
        boolean[] end = {false};
        run(new Whole() {
            @Override
            public Runnable of(RunningJob job) {
                CompletableFuture.runAsync(
                                () -> end[0] = job.toEnd(),
                                CompletableFuture.delayedExecutor(600, TimeUnit.MILLISECONDS))
                        .join();
                return () -> {};
            }
        });
        assertThat(farm[0]).isEqualTo(FARM);
        assertThat(end[0]).isTrue();
        verify(jobs).endWhole(eq(JOB), eq(Job.DONE), any());
    }

    @Test
    void whatFailedInOnePieceIsToldAsFailedAndWhatWasCancelledKeepsNothing() {
        run(new Whole() {
            @Override
            public Runnable of(RunningJob job) {
                throw new IllegalStateException("as wanted");
            }
        });
        verify(jobs).endWhole(eq(JOB), eq(Job.FAILED), any());
        when(jobs.endWhole(eq(JOB), eq(Job.DONE), any())).thenReturn(0);
        verify(database, never()).commit(argThat(TransactionStatus::isRollbackOnly));
        run(new Whole() {
            @Override
            public Runnable of(RunningJob job) {
                return () -> verify(jobs, never()).endWhole(eq(JOB), eq(Job.DONE), any());
            }
        });
        verify(database).commit(argThat(TransactionStatus::isRollbackOnly));
    }

    @Test
    void whyWorkIsImpossibleIsToldAndWhatItWasGivenIsClearedAwayOnce() {
        List<WholeWork.EndedJob> cleared = new ArrayList<>();
        Job job = jobs.findById(JOB).orElseThrow();
        Whole work = new Whole() {
            @Override
            public Runnable of(RunningJob running) {
                assertThat(running.given()).isEqualTo("given");
                ReflectionTestUtils.setField(job, "state", Job.FAILED);
                ReflectionTestUtils.setField(job, "outcome", "why");
                ReflectionTestUtils.setField(job, "endedAt", Instant.EPOCH);
                return () -> {
                    throw new Impossible("why", new IllegalStateException("as wanted"));
                };
            }

            @Override
            public void clear(EndedJob ended) {
                cleared.add(ended);
                if (cleared.size() == 1) {
                    throw new IllegalStateException("not at the first time");
                }
            }
        };
        run(work);
        verify(jobs).endWhole(eq(JOB), eq(Job.FAILED), any());
        verify(jobs).found(JOB, "why");
        assertThat(cleared).containsExactly(new WholeWork.EndedJob("given", "why", false));
        verify(jobs, never()).cleared(JOB);

        when(jobs.findToClear(any())).thenReturn(List.of(job));
        WholeRunner other = new WholeRunner(jobs, transactions, Clock.systemUTC(), List.of(work));
        FarmScope.run(FARM, other::clearThoseLeft);
        assertThat(cleared).hasSize(2);
        verify(jobs).cleared(JOB);
    }

    @Test
    void howFarItHasComeIsToldApartFromWhatIsBeingKept() {
        run(new Whole() {
            @Override
            public Runnable of(RunningJob job) {
                return () -> job.report(3);
            }
        });
        verify(jobs).report(JOB, 3);
        verify(database)
                .getTransaction(
                        argThat(how -> how.getPropagationBehavior() == TransactionDefinition.PROPAGATION_REQUIRES_NEW));
    }
}
