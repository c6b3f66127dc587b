package umbel.app.database;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The migrations as a PostgreSQL is given them, whether one is there or not. */
class PostgresMigrationsTest {

    @Test
    void onlyTheTypeOfLongTextsHasAnotherName() {
        assertThat(PostgresMigrations.inPostgres("a character large object not null, b clob, clobber varchar(9)"))
                .isEqualTo("a text not null, b text, clobber varchar(9)");
    }

    @Test
    void everyMigrationIsThereAndNoneNamesATypeThatPostgresDoesNotKnow() throws IOException {
        List<String> shipped = names(Path.of("src/main/resources/db/migration"));
        Path folder = PostgresMigrations.folder();
        assertThat(names(folder)).isEqualTo(shipped).isNotEmpty();
        for (String name : shipped) {
            assertThat(Files.readString(folder.resolve(name)).toLowerCase(Locale.ROOT))
                    .as(name)
                    .doesNotContain("large object", "clob", "auto_increment", "merge into");
        }
    }

    private static List<String> names(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }
}
