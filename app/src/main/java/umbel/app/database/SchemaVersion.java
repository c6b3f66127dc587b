package umbel.app.database;

import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.springframework.stereotype.Component;

/** The version of the tables this program works with. */
@Component
public class SchemaVersion {

    private final Flyway flyway;

    SchemaVersion(Flyway flyway) {
        this.flyway = flyway;
    }

    /** The number of the newest migration that was applied. */
    public int current() {
        MigrationInfo newest = flyway.info().current();
        return newest == null ? 0 : Integer.parseInt(newest.getVersion().getVersion());
    }
}
