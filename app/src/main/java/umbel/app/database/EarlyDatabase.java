package umbel.app.database;

import com.zaxxer.hikari.HikariDataSource;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.flywaydb.core.Flyway;
import org.springframework.aot.AotDetector;
import org.springframework.boot.context.event.ApplicationFailedEvent;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.context.properties.bind.Bindable;
import org.springframework.boot.context.properties.bind.Binder;
import org.springframework.boot.hibernate.autoconfigure.HibernateProperties;
import org.springframework.boot.hibernate.autoconfigure.HibernateSettings;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.boot.jpa.autoconfigure.JpaProperties;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ApplicationListener;
import org.springframework.context.aot.AbstractAotProcessor;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.core.task.support.TaskExecutorAdapter;
import org.springframework.orm.jpa.vendor.HibernateJpaVendorAdapter;

/**
 * Opens the database, brings its tables up to date and makes Hibernate ready in a thread of its own, from the moment the settings
 * are known. Putting the rest of the program together takes as long, and needs none of it before the end.
 */
public final class EarlyDatabase implements ApplicationContextInitializer<GenericApplicationContext> {

    private static final String SOURCE = "dataSource";
    private static final String MIGRATIONS = "flyway";
    private static final String MANAGERS = "entityManagerFactory";

    /** The parts it makes, by name. */
    static final Map<String, Class<?>> MADE =
            Map.of(SOURCE, HikariDataSource.class, MIGRATIONS, Flyway.class, MANAGERS, EarlyEntityManagers.class);

    private static final String ENTITIES = "umbel.app";
    private static final String VALIDATE = "validate";

    @Override
    public void initialize(GenericApplicationContext program) {
        if (Boolean.getBoolean(AbstractAotProcessor.AOT_PROCESSING)) {
            // the program is built, not started: what is worked out need only know that these will be there
            MADE.forEach((name, type) -> program.registerBean(name, type));
            return;
        }
        if (AotDetector.useGeneratedArtifacts()) {
            program.getDefaultListableBeanFactory().setAutowireCandidateResolver(new LateRepositories());
        }
        Binder settings = Binder.get(program.getEnvironment());
        HikariDataSource source = source(settings);
        Map<String, Object> hibernate = hibernate(settings, DatabaseKind.isPostgres(source.getJdbcUrl()));
        ExecutorService beside = Executors.newSingleThreadExecutor(EarlyDatabase::thread);
        CompletableFuture<EarlyEntityManagers> managers =
                CompletableFuture.supplyAsync(() -> begun(source, hibernate, beside), beside);

        program.registerBean(SOURCE, HikariDataSource.class, () -> source);
        program.registerBean(MIGRATIONS, Flyway.class, () -> managers.join().migrated());
        program.registerBean(
                MANAGERS,
                EarlyEntityManagers.class,
                managers::join,
                definition -> definition.setDependsOn(SOURCE)); // which is therefore closed after it
        program.addApplicationListener((ApplicationListener<ApplicationFailedEvent>) failed -> source.close());
        program.addApplicationListener(
                (ApplicationListener<ApplicationReadyEvent>) ready -> prepareQuestions(managers.join()));
    }

    private static HikariDataSource source(Binder settings) {
        HikariDataSource source = settings.bindOrCreate("spring.datasource", DataSourceProperties.class)
                .initializeDataSourceBuilder()
                .type(HikariDataSource.class)
                .build();
        settings.bind("spring.datasource.hikari", Bindable.ofInstance(source));
        return source;
    }

    /** Finds what is kept in tables and lets the rest follow in the same thread, which ends after it. */
    private static EarlyEntityManagers begun(
            HikariDataSource source, Map<String, Object> hibernate, ExecutorService beside) {
        EarlyEntityManagers managers = new EarlyEntityManagers(source);
        managers.setPackagesToScan(ENTITIES);
        managers.setJpaVendorAdapter(new HibernateJpaVendorAdapter());
        managers.setJpaPropertyMap(hibernate);
        managers.setBootstrapExecutor(new TaskExecutorAdapter(beside));
        managers.begin();
        beside.shutdown();
        return managers;
    }

    /** Nobody waits for it: whoever asks one of them before it was taken apart has that done alone. */
    private static void prepareQuestions(EarlyEntityManagers managers) {
        Thread questions = thread(() -> Questions.prepare(managers.getNativeEntityManagerFactory(), ENTITIES));
        questions.setPriority(Thread.MIN_PRIORITY);
        questions.start();
    }

    private static Map<String, Object> hibernate(Binder settings, boolean postgres) {
        JpaProperties jpa = settings.bindOrCreate("spring.jpa", JpaProperties.class);
        HibernateProperties hibernate = settings.bindOrCreate("spring.jpa.hibernate", HibernateProperties.class);
        Map<String, Object> all = hibernate.determineHibernateProperties(
                jpa.getProperties(), new HibernateSettings().ddlAuto(() -> VALIDATE));
        if (postgres) {
            all.put("hibernate.dialect", PostgresDialect.class.getName());
        }
        return all;
    }

    private static Thread thread(Runnable work) {
        Thread thread = new Thread(work, "database");
        thread.setDaemon(true);
        return thread;
    }
}
