package umbel.app.archive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.IntConsumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.UmbelSettings;
import umbel.app.farm.Farm;
import umbel.app.farm.Farms;
import umbel.app.http.Refused;
import umbel.app.job.JobService;
import umbel.app.job.WholeWork.EndedJob;
import umbel.app.job.WholeWork.Impossible;
import umbel.app.job.WholeWork.RunningJob;
import umbel.app.people.FarmFounding;

/** Taking an archive in as a job: taken up by another node, stopped, failed; with farms and database stood in for. */
class TakingInTest {

    private static final long FARM = 7;
    private static final String GIVEN = "{\"file\":\"farm-1.zip\"}";
    private static final String BEGUN = "{\"farm\":7,\"rows\":null,\"problem\":null}";

    @TempDir
    private Path data;

    private final ArchiveReader reader = mock(ArchiveReader.class);
    private final Farms farms = mock(Farms.class);
    private final FarmFounding founding = mock(FarmFounding.class);
    private final JobService jobs = mock(JobService.class);
    private final RunningJob job = mock(RunningJob.class);
    private TakingIn takingIn;
    private Path file;

    @BeforeEach
    void anArchiveThatWasSent() throws Exception {
        UmbelSettings settings =
                new UmbelSettings(data, false, null, null, null, null, null, null, 0, Duration.ZERO, null, 0);
        takingIn = new TakingIn(
                reader,
                farms,
                founding,
                jobs,
                new TransactionTemplate(mock(PlatformTransactionManager.class)),
                settings);
        file = Files.createDirectories(data.resolve("uploads")).resolve("farm-1.zip");
        Files.writeString(file, "an archive");
        Farm farm = mock(Farm.class);
        when(farm.id()).thenReturn(FARM);
        when(farms.add("Alder")).thenReturn(farm);
        when(reader.about(any()))
                .thenReturn(new FarmArchive.About("umbel-farm/1", "Alder", "", 22, Map.of("tree", 3L), 2));
        when(job.given()).thenReturn(GIVEN);
        when(job.who()).thenReturn("ines");
    }

    @Test
    void aFarmIsBegunOnceAndFilledWithTheEndOfTheJob() throws Exception {
        Runnable keep = takingIn.of(job);
        verify(farms).add("Alder");
        verify(job).found(BEGUN);
        verify(founding).settle(FARM, "ines");
        verify(reader, never()).read(any(), anyLong(), any());
        when(reader.read(eq(file), eq(FARM), any())).thenReturn(Map.of("tree", 3L));
        keep.run();
        verify(job).found("{\"farm\":7,\"rows\":{\"tree\":3},\"problem\":null}");
    }

    @Test
    void aNodeThatTakesItUpGoesOnWithTheSameFarm() throws Exception {
        when(job.outcome()).thenReturn(BEGUN);
        takingIn.of(job).run();
        verify(farms, never()).add(any());
        verify(reader).read(eq(file), eq(FARM), any());
    }

    @Test
    void whoeverStopsItIsHeardWhileItReads() throws Exception {
        when(reader.read(any(), anyLong(), any())).thenAnswer(call -> {
            call.getArgument(2, IntConsumer.class).accept(500);
            when(job.cancelled()).thenReturn(true);
            call.getArgument(2, IntConsumer.class).accept(501);
            throw new AssertionError("it went on");
        });
        Runnable keep = takingIn.of(job);
        assertThatThrownBy(keep::run).isInstanceOf(CancellationException.class);
        verify(job).report(500);
    }

    @Test
    void aBrokenArchiveMakesItImpossible() throws Exception {
        when(reader.read(any(), anyLong(), any())).thenThrow(new NotAnArchive("problem.archive-broken"));
        Runnable keep = takingIn.of(job);
        assertThatThrownBy(keep::run)
                .isInstanceOf(Impossible.class)
                .hasMessage("{\"farm\":7,\"rows\":null,\"problem\":\"problem.archive-broken\"}");
    }

    @Test
    void theFileGoesInAnyCaseAndTheFarmWhereNothingCameIntoIt() {
        takingIn.clear(new EndedJob(GIVEN, BEGUN, true));
        verify(founding, never()).undo(anyLong());
        assertThat(file).doesNotExist();
        takingIn.clear(new EndedJob(GIVEN, BEGUN, false));
        verify(founding).undo(FARM);
        takingIn.clear(new EndedJob(GIVEN, null, false));
    }

    @Test
    void ofTwoAtATimeTheSecondIsRefusedAndItsFileGoes() throws IOException {
        when(jobs.beginWhole(any(), any(), eq(5), any(), any())).thenReturn(Optional.empty());
        assertThatThrownBy(() -> takingIn.begin(new ByteArrayInputStream(new byte[3]), "ines"))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Another archive");
        verify(jobs).beginWhole(any(), any(), anyInt(), any(), any());
        try (var files = Files.list(data.resolve("uploads"))) {
            assertThat(files).containsExactly(file);
        }
    }
}
