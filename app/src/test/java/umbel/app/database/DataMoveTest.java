package umbel.app.database;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import umbel.app.RunningUmbel;
import umbel.app.database.DataMove.Address;

/** A whole holding moved into another database, and what must not be moved. */
@ExtendWith(RunningUmbel.class)
class DataMoveTest {

    private final RunningUmbel umbel;

    DataMoveTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private static Address h2(Path folder, String name) {
        return new Address("jdbc:h2:file:" + folder.resolve(name), "umbel", "");
    }

    /** The demo's own database, copied into a file: the running one may change meanwhile. */
    private Address demo(Path folder) throws SQLException {
        Address copy = h2(folder, "copy");
        try (Connection running = umbel.part(DataSource.class).getConnection();
                Statement ask = running.createStatement()) {
            ask.execute("script to '" + folder.resolve("demo.sql") + "'");
        }
        try (Connection file = copy.open();
                Statement ask = file.createStatement()) {
            ask.execute("runscript from '" + folder.resolve("demo.sql") + "'");
        }
        return copy;
    }

    private static Object ask(Address at, String query) throws SQLException {
        try (Connection database = at.open();
                Statement ask = database.createStatement();
                ResultSet row = ask.executeQuery(query)) {
            row.next();
            return row.getObject(1);
        }
    }

    private static long one(Address at, String query) throws SQLException {
        return ((Number) ask(at, query)).longValue();
    }

    /** A long text, which one of the databases hands out as an object of its own. */
    private static String text(Address at, String column, String table) throws SQLException {
        return String.valueOf(
                ask(at, "select cast(" + column + " as varchar) from " + table + " order by id desc limit 1"));
    }

    private static void alike(Address one, Address other) throws SQLException {
        for (String table : new String[] {"holding", "block", "tree", "survey", "work_record", "follow_up", "person"}) {
            assertThat(one(other, "select count(*) from " + table))
                    .as(table)
                    .isEqualTo(one(one, "select count(*) from " + table));
        }
        assertThat(text(other, "document", "survey"))
                .isEqualTo(text(one, "document", "survey"))
                .contains("umbel-");
    }

    @Test
    void allRowsArriveAndNewOnesAreNumberedOn(@TempDir Path folder) throws SQLException {
        Address from = demo(folder);
        Address to = h2(folder, "other");
        DataMove.Moved moved = DataMove.between(from, to);
        assertThat(moved.rows().get("survey")).isEqualTo(one(from, "select count(*) from survey"));
        assertThat(moved.all()).isGreaterThan(100);
        alike(from, to);
        try (Connection database = to.open();
                Statement add = database.createStatement()) {
            add.execute(
                    "insert into holding (name, latitude_deg, elevation_m, farm_id) values ('another', 50, 100, 1)");
        }
        assertThat(one(to, "select max(id) from holding")).isEqualTo(one(from, "select max(id) from holding") + 1);
    }

    @Test
    void whatHoldsDataAlreadyIsLeftAlone(@TempDir Path folder) throws SQLException {
        Address from = demo(folder);
        Address to = h2(folder, "other");
        DataMove.between(from, to);
        long before = one(to, "select count(*) from tree");
        assertThatThrownBy(() -> DataMove.between(from, to)).hasMessageContaining("holds data already");
        assertThat(one(to, "select count(*) from tree")).isEqualTo(before);
    }

    @Test
    void fromAFileThatIsNotThereNothingIsMade(@TempDir Path folder) {
        assertThatThrownBy(() -> DataMove.between(h2(folder, "none"), h2(folder, "other")))
                .isInstanceOf(SQLException.class);
        assertThat(folder).isEmptyDirectory();
    }

    /** On a real PostgreSQL where one was started for the tests: there, and back into a file. */
    @Test
    @EnabledIfEnvironmentVariable(named = Postgres.VARIABLE, matches = ".+")
    void toPostgresAndBack(@TempDir Path folder) throws SQLException {
        Address from = demo(folder);
        Address there = Postgres.fresh("moved");
        Address back = h2(folder, "back");
        DataMove.between(from, there);
        alike(from, there);
        DataMove.between(there, back);
        alike(from, back);
    }
}
