package umbel.app.database;

import com.zaxxer.hikari.HikariDataSource;
import org.flywaydb.core.Flyway;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Which database the program keeps its data in, by its address: H2 in a file of its own, or PostgreSQL. */
@Component
public class DatabaseKind {

    private static final String POSTGRES = "jdbc:postgresql:";
    private static final String MIGRATIONS = "classpath:db/migration";

    private final boolean postgres;

    DatabaseKind(@Value("${spring.datasource.url}") String address) {
        this.postgres = isPostgres(address);
    }

    /** Whether an address is that of a PostgreSQL. */
    static boolean isPostgres(String address) {
        return address.startsWith(POSTGRES);
    }

    /** Whether the data lie in a file of the program's own. */
    public boolean isOwnFile() {
        return !postgres;
    }

    /** Brings the tables up to date, in the words of the database that keeps them. */
    static Flyway migrated(HikariDataSource source) {
        Flyway flyway = Flyway.configure()
                .dataSource(source)
                .locations(isPostgres(source.getJdbcUrl()) ? "filesystem:" + PostgresMigrations.folder() : MIGRATIONS)
                .loggers("slf4j")
                .load();
        flyway.migrate();
        return flyway;
    }
}
