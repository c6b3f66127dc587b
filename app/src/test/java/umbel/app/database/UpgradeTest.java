package umbel.app.database;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import umbel.app.OwnUmbel;
import umbel.app.people.Visitor;

/** The data of a release before farms were kept apart, opened by this one. */
class UpgradeTest {

    private static final String LAST_BEFORE = "18";
    private static final String PASSWORD = "eleven pears";

    @Test
    void whatWasKeptBelongsToTheFirstFarmAndWhoSignedInStillDoes(@TempDir Path data) throws Exception {
        String url = "jdbc:h2:file:" + data.resolve("umbel");
        Flyway.configure()
                .dataSource(url, "umbel", "")
                .locations("classpath:db/migration")
                .target(LAST_BEFORE)
                .load()
                .migrate();
        asKeptBefore(url);
        try (OwnUmbel umbel = OwnUmbel.start(data)) {
            Visitor grower = new Visitor(umbel::url).signIn("old grower", PASSWORD);
            assertThat(grower.json("/api/session").path("role").asString()).isEqualTo("grower");
            assertThat(grower.json("/api/session").path("keeper").asBoolean())
                    .as("the founder keeps the installation")
                    .isTrue();
            assertThat(grower.json("/api/farms").at("/0/name").asString()).isEqualTo("Old Bank");
            assertThat(grower.json("/api/blocks").at("/0/name").asString()).isEqualTo("Kept");
            assertThat(grower.json("/api/crew").at("/0/name").asString()).isEqualTo("Cuts Only");
            assertThat(grower.json("/api/audit").at("/0/path").asString()).isNotEmpty();
            assertThat(grower.status("GET", "/api/settings/public-address", "")).isEqualTo(200);
        }
    }

    private static void asKeptBefore(String url) throws SQLException {
        String hash = PasswordEncoderFactories.createDelegatingPasswordEncoder().encode(PASSWORD);
        try (Connection database = DriverManager.getConnection(url, "umbel", "");
                Statement add = database.createStatement()) {
            add.execute("insert into holding (name, latitude_deg, elevation_m) values ('Old Bank', 47, 300)");
            add.execute(
                    "insert into block (holding_id, name, species, system, cultivar, stock, planted_year, tree_count,"
                            + " in_row_m, between_rows_m, row_bearing_deg, note) values (1, 'Kept', 'apple', 'tall-spindle', '',"
                            + " 'dwarfing', 2019, 40, 1, 3.5, 0, '')");
            add.execute(
                    "insert into person (name, language, hours_a_day, saw, ladder, weekdays, active, version, login,"
                            + " password_hash, role, founder, crew) values ('Old Grower', 'es', 7, true, true, '12345', true, 0,"
                            + " 'old grower', '" + hash + "', 'grower', true, false)");
            add.execute("insert into person (name, language, hours_a_day, saw, ladder, weekdays, active, version)"
                    + " values ('Cuts Only', 'en', 7, true, true, '12345', true, 0)");
            add.execute(
                    "insert into audit_line (at, who, method, path, status) values (current_timestamp, 'old grower',"
                            + " 'POST', '/api/blocks', 201)");
        }
    }
}
