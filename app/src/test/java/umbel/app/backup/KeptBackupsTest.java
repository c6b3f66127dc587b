package umbel.app.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.ArgumentMatchers.isNull;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.util.unit.DataSize;
import umbel.app.UmbelSettings;
import umbel.app.farm.Farm;
import umbel.app.farm.Farms;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.app.job.JobService;
import umbel.app.job.WholeWork.RunningJob;

/** Backups in the data folder, with what is written stood in for. */
class KeptBackupsTest {

    private static final long FIRST = 1;
    private static final int MOST = 2;

    @TempDir
    private Path data;

    private final BackupWriter writer = mock(BackupWriter.class);
    private final JobService jobs = mock(JobService.class);
    private final Farms farms = mock(Farms.class);
    private final RunningJob job = mock(RunningJob.class);
    private final Farm first = mock(Farm.class);
    private Instant now = Instant.parse("2026-11-30T02:00:00Z");

    @BeforeEach
    void aProgramWithItsOwnFile() throws IOException {
        when(farms.numberOfFirst()).thenReturn(FIRST);
        when(first.id()).thenReturn(FIRST);
        when(writer.applies()).thenReturn(true);
        when(writer.parts()).thenReturn(4);
        when(writer.size()).thenReturn(1000L);
        doAnswer(call -> {
                    call.getArgument(0, OutputStream.class).write(now.toString().getBytes());
                    call.getArgument(1, Runnable.class).run();
                    return null;
                })
                .when(writer)
                .write(any(), any());
    }

    private KeptBackups backups(int most) {
        Clock clock = mock(Clock.class);
        when(clock.instant()).thenAnswer(call -> now);
        when(clock.getZone()).thenReturn(ZoneId.of("UTC"));
        UmbelSettings settings = new UmbelSettings(
                data, false, null, null, null, null, DataSize.ofMegabytes(1), null, 0, Duration.ZERO, null, most);
        return new KeptBackups(writer, jobs, farms, settings, clock);
    }

    private static List<String> names(KeptBackups backups) {
        return backups.all().stream().map(KeptBackups.KeptBackup::name).toList();
    }

    @Test
    void theNewestStayAndAreToldFirst() throws IOException {
        KeptBackups backups = backups(MOST);
        assertThat(backups.all()).isEmpty();
        for (int night = 0; night < 3; night++) {
            backups.of(job).run();
            now = now.plus(Duration.ofDays(1));
        }
        assertThat(names(backups)).containsExactly("umbel-20261202-020000.zip", "umbel-20261201-020000.zip");
        assertThat(backups.file("umbel-20261202-020000.zip")).hasContent("2026-12-02T02:00:00Z");
    }

    @Test
    void whereNoneIsMadeByNightAllThatWereAskedForStay() throws IOException {
        for (int day = 0; day < 3; day++) {
            backups(0).of(job).run();
            now = now.plus(Duration.ofDays(1));
        }
        assertThat(backups(0).all()).hasSize(3);
    }

    @Test
    void oneThatIsStoppedLeavesNothingAndTakesNoneAway() throws IOException {
        KeptBackups backups = backups(1);
        backups.of(job).run();
        now = now.plus(Duration.ofDays(1));
        when(job.cancelled()).thenReturn(true);
        assertThatThrownBy(() -> backups.of(job)).isInstanceOf(CancellationException.class);
        try (var files = Files.list(data.resolve("backups"))) {
            assertThat(files.map(Path::getFileName).map(Path::toString)).containsExactly("umbel-20261130-020000.zip");
        }
    }

    @Test
    void whatAKilledProgramLeftIsTakenAway() throws IOException {
        Files.createDirectories(data.resolve("backups"));
        Files.writeString(data.resolve("backups/umbel-20261129-020000.zip.part"), "half");
        KeptBackups backups = backups(MOST);
        assertThat(backups.all()).isEmpty();
        backups.of(job).run();
        assertThat(data.resolve("backups/umbel-20261129-020000.zip.part")).doesNotExist();
    }

    @Test
    void oneIsBegunEveryNightOnceForTheWholeInstallation() {
        KeptBackups backups = backups(MOST);
        backups.begin(first);
        verify(jobs).beginWhole(eq("backup"), isNull(), eq(4), eq("night"));
        Farm second = mock(Farm.class);
        when(second.id()).thenReturn(FIRST + 1);
        backups.begin(second);
        backups(0).begin(first);
        when(writer.applies()).thenReturn(false);
        backups.begin(first);
        verify(jobs).beginWhole(any(), any(), anyInt(), any());
    }

    @Test
    void withoutRoomNoneIsBegunAndTheNightGoesOn() throws IOException {
        when(writer.size()).thenReturn(Long.MAX_VALUE / 4);
        KeptBackups backups = backups(MOST);
        assertThatThrownBy(() -> backups.begin("Ines"))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("A backup needs");
        backups.begin(first);
        verify(jobs, never()).beginWhole(any(), any(), anyInt(), any());
    }

    @Test
    void noOtherFileIsGivenOut() throws IOException {
        Files.createDirectories(data.resolve("backups"));
        Files.writeString(data.resolve("umbel.mv.db"), "the data");
        Files.writeString(data.resolve("backups/umbel-20261129-020000.zip.part"), "half");
        for (String name : List.of(
                "../umbel.mv.db",
                "umbel-20261129-020000.zip.part",
                "umbel-20261129-020000.zip",
                "",
                ".",
                "umbel.mv.db")) {
            assertThatThrownBy(() -> backups(MOST).file(name)).as(name).isInstanceOf(NotFound.class);
        }
    }
}
