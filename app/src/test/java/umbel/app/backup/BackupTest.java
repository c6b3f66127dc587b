package umbel.app.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.function.Supplier;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.test.util.ReflectionTestUtils;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerAdapter;
import umbel.app.RunningUmbel;
import umbel.app.UmbelApplication;
import umbel.app.farm.FarmScope;
import umbel.app.orchard.BlockRepository;
import umbel.app.survey.SurveyRepository;

@ExtendWith(RunningUmbel.class)
class BackupTest {

    private final RunningUmbel umbel;

    BackupTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void aBackupTakenWhileRunningStartsAsTheSameHolding(@TempDir Path elsewhere) throws Exception {
        byte[] zip = umbel.bytes("/api/backup");
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                if (entry.getName().equals("umbel.mv.db")) {
                    Files.copy(in, elsewhere.resolve("umbel.mv.db"));
                }
            }
        }
        try (ConfigurableApplicationContext restored =
                UmbelApplication.run("--server.port=0", "--server.shutdown=immediate", "--UMBEL_DATA=" + elsewhere)) {
            assertThat(count(() -> restored.getBean(BlockRepository.class).count()))
                    .isEqualTo(count(() -> umbel.part(BlockRepository.class).count()))
                    .isPositive();
            assertThat(count(() -> restored.getBean(SurveyRepository.class).count()))
                    .isEqualTo(umbel.surveys());
        }
    }

    @Test
    void oneThatTakesLongIsSentToItsEnd() {
        RequestMappingHandlerAdapter answers = umbel.part(RequestMappingHandlerAdapter.class);
        assertThat((Long) ReflectionTestUtils.getField(answers, "asyncRequestTimeout"))
                .as("milliseconds after which an answer that is being sent is given up")
                .isGreaterThan(Duration.ofHours(1).toMillis());
    }

    private static long count(Supplier<Long> rows) {
        return FarmScope.acrossFarms(rows);
    }
}
