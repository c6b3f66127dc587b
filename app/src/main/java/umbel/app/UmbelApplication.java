package umbel.app;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import org.flywaydb.core.api.FlywayException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.aot.AotDetector;
import org.springframework.boot.LazyInitializationExcludeFilter;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.context.ApplicationListener;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.aot.AbstractAotProcessor;
import org.springframework.core.SpringProperties;
import org.springframework.core.env.Environment;
import org.springframework.data.jpa.repository.config.EnableJpaRepositories;
import org.springframework.data.repository.config.BootstrapMode;
import org.springframework.util.ClassUtils;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerAdapter;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import umbel.app.backup.BackupFile;
import umbel.app.backup.NotABackup;
import umbel.app.backup.RestoreReport;
import umbel.app.database.DataMove;
import umbel.app.database.PlainQueries;
import umbel.app.management.ManagementWhenWanted;
import umbel.assess.Assessor;
import umbel.assess.CountedAssessor;
import umbel.knowledge.Knowledge;

/** The program round the core: keeps trees, surveys, work and records, and serves the interface. */
@SpringBootApplication
@EnableConfigurationProperties(UmbelSettings.class)
// what asks the database is made when it is first used
@EnableJpaRepositories(bootstrapMode = BootstrapMode.LAZY, queryEnhancerSelector = PlainQueries.class)
public class UmbelApplication {

    private static final String WORKED_OUT = "__ApplicationContextInitializer";
    private static final Logger LOG = LoggerFactory.getLogger(UmbelApplication.class);

    /**
     * Starts the program; {@code restore FILE DATA} puts a backup in the place of a data folder's content instead, and
     * {@code move FROM TO} moves all data from one database into another, by their addresses.
     */
    public static void main(String[] args) throws IOException {
        if (args.length == 3 && args[0].equals("restore")) {
            restore(Path.of(args[1]), Path.of(args[2]));
            return;
        }
        if (args.length == 3 && args[0].equals("move")) {
            move(args[1], args[2]);
            return;
        }
        if (!isBeingBuilt()) {
            takeStagedBackup();
            readKnowledgeBeside();
        }
        run(args);
    }

    /** Whether the build has this run as far as it needs to work out what the program is put together from; no data are touched. */
    private static boolean isBeingBuilt() {
        return Boolean.getBoolean(AbstractAotProcessor.AOT_PROCESSING);
    }

    private static void takeStagedBackup() throws IOException {
        String data = System.getenv("UMBEL_DATA");
        if (BackupFile.takeStaged(Path.of(data == null ? "data" : data))) {
            LOG.info(
                    "The backup that was laid ready has taken the place of the data; what was there is kept beside it.");
        }
    }

    /**
     * Puts the program together and starts it, from what the build has worked out for the usual settings. With health and figures
     * there is more to it, which is worked out at the start.
     *
     * @param args settings as {@code --name=value}
     */
    public static ConfigurableApplicationContext run(String... args) {
        SpringApplication program = new SpringApplication(UmbelApplication.class);
        program.setMainApplicationClass(UmbelApplication.class); // whoever starts it: what was worked out has its name
        program.addListeners((ApplicationListener<ApplicationEnvironmentPreparedEvent>)
                known -> takeWhatTheBuildWorkedOut(known.getEnvironment()));
        return program.run(args);
    }

    private static void takeWhatTheBuildWorkedOut(Environment settings) {
        boolean there = ClassUtils.isPresent(UmbelApplication.class.getName() + WORKED_OUT, null);
        boolean fits = there && !isBeingBuilt() && !ManagementWhenWanted.isWanted(settings);
        SpringProperties.setProperty(AotDetector.AOT_ENABLED, String.valueOf(fits));
    }

    /** Reads the knowledge that ships while the program round it starts: whoever asks for it first waits for the rest of that. */
    private static void readKnowledgeBeside() {
        Thread reading = new Thread(Knowledge::shipped, "knowledge");
        reading.setDaemon(true);
        reading.start();
    }

    private static void restore(Path file, Path data) throws IOException {
        try {
            RestoreReport report = BackupFile.restore(file, data);
            System.out.println("Restored into " + data + ": " + report.trees() + " trees, " + report.surveys()
                    + " surveys, " + report.records() + " visits. What was there is kept beside it.");
        } catch (NotABackup e) {
            System.err.println("Not restored. " + e.getMessage());
            System.exit(1);
        }
    }

    private static void move(String from, String to) {
        String user = System.getenv().getOrDefault("UMBEL_DATABASE_USER", "umbel");
        String password = System.getenv().getOrDefault("UMBEL_DATABASE_PASSWORD", "");
        try {
            DataMove.Moved moved = DataMove.between(
                    DataMove.Address.of(from, user, password), DataMove.Address.of(to, user, password));
            moved.rows().forEach((table, rows) -> System.out.println(table + " " + rows));
            System.out.println(moved.all() + " rows moved; rows, sums and lengths agree.");
        } catch (SQLException | IllegalStateException | FlywayException e) {
            System.err.println("Not moved. " + e.getMessage());
            System.exit(1);
        }
    }

    @Bean
    Knowledge knowledge(UmbelSettings settings) {
        return Knowledge.with(settings.knowledge());
    }

    /** The first answer needs these whatever is asked: they are made while the database is still being made ready. */
    @Bean
    static LazyInitializationExcludeFilter neededByTheFirstAnswer() {
        return LazyInitializationExcludeFilter.forBeanTypes(
                RequestMappingHandlerMapping.class, RequestMappingHandlerAdapter.class);
    }

    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }

    @Bean
    Assessor assessor(Knowledge knowledge) {
        return new Assessor(knowledge);
    }

    @Bean
    CountedAssessor countedAssessor(Knowledge knowledge) {
        return new CountedAssessor(knowledge);
    }
}
