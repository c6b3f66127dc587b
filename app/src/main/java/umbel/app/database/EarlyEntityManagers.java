package umbel.app.database;

import com.zaxxer.hikari.HikariDataSource;
import jakarta.persistence.EntityManagerFactory;
import jakarta.persistence.PersistenceException;
import java.util.concurrent.CompletableFuture;
import org.flywaydb.core.Flyway;
import org.springframework.orm.jpa.LocalContainerEntityManagerFactoryBean;

/** What the database is asked through: begun before the program that it belongs to, made ready once its tables are up to date. */
final class EarlyEntityManagers extends LocalContainerEntityManagerFactoryBean {

    private static final long serialVersionUID = 1L;

    private final transient HikariDataSource source;
    private final transient CompletableFuture<Flyway> migrated = new CompletableFuture<>();

    EarlyEntityManagers(HikariDataSource source) {
        this.source = source;
        setDataSource(source);
    }

    /** Begins to make it ready, in the thread it was given for that. */
    void begin() {
        super.afterPropertiesSet();
    }

    /** It has begun already when the program takes it in. */
    @Override
    public void afterPropertiesSet() {}

    @Override
    protected EntityManagerFactory createNativeEntityManagerFactory() throws PersistenceException {
        try {
            migrated.complete(DatabaseKind.migrated(source));
        } catch (RuntimeException e) {
            migrated.completeExceptionally(e);
            throw e;
        }
        return super.createNativeEntityManagerFactory();
    }

    /** What brought the tables up to date, once it has. */
    Flyway migrated() {
        return migrated.join();
    }
}
