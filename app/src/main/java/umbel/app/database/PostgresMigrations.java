package umbel.app.database;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** The migrations in the words of PostgreSQL: the same files, but for the name of the type that holds long texts. */
final class PostgresMigrations {

    private static final String MIGRATIONS = "classpath:db/migration/*.sql";
    private static final Pattern LONG_TEXT = Pattern.compile("\\b(?:character large object|clob)\\b");
    private static final String POSTGRES_TEXT = "text";

    private PostgresMigrations() {}

    /** Writes them into a folder of their own, which goes when the program ends. */
    static Path folder() {
        try {
            Path folder = Files.createTempDirectory("umbel-migrations");
            folder.toFile().deleteOnExit();
            for (Resource migration : new PathMatchingResourcePatternResolver().getResources(MIGRATIONS)) {
                Path file = folder.resolve(String.valueOf(migration.getFilename()));
                Files.writeString(file, inPostgres(migration.getContentAsString(StandardCharsets.UTF_8)));
                file.toFile().deleteOnExit();
            }
            return folder;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A migration in PostgreSQL's words. */
    static String inPostgres(String migration) {
        return LONG_TEXT.matcher(migration).replaceAll(POSTGRES_TEXT);
    }
}
