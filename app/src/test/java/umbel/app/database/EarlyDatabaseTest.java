package umbel.app.database;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import umbel.app.OwnUmbel;

class EarlyDatabaseTest {

    @TempDir
    Path data;

    /** The thread that makes the database ready is not the one that ends the start: what it met must reach that one. */
    @Test
    void dataOfSomebodyElseEndTheStartWithTheReasonAndAreLeftAlone() throws SQLException {
        String address = "jdbc:h2:file:" + data.resolve("umbel");
        try (Connection theirs = DriverManager.getConnection(address, "somebody", "else")) {
            theirs.createStatement().execute("create table theirs (a int)");
        }
        assertThatThrownBy(() -> OwnUmbel.start(data)).hasStackTraceContaining("Wrong user name or password");
        try (Connection again = DriverManager.getConnection(address, "somebody", "else")) {
            assertThat(again.getMetaData().getTables(null, "PUBLIC", null, null).next())
                    .isTrue();
            assertThat(again.getMetaData()
                            .getTables(null, "PUBLIC", "FLYWAY%", null)
                            .next())
                    .as("nothing was written")
                    .isFalse();
        }
    }
}
