package umbel.app.planning;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import umbel.app.UmbelSettings;

/** Tells one version of what plans from another: the rules and the computation of the core, and the farm's own knowledge. */
@Component
class ProgramDigest {

    private static final List<String> CORE = List.of("classpath*:umbel/**/*.class", "classpath*:knowledge/**/*.*");
    private static final String NOT_CORE = "/umbel/app/";

    private final String digest;

    ProgramDigest(UmbelSettings settings) {
        try {
            MessageDigest sum = MessageDigest.getInstance("SHA-256");
            SortedMap<String, Resource> parts = new TreeMap<>();
            PathMatchingResourcePatternResolver all = new PathMatchingResourcePatternResolver();
            for (String pattern : CORE) {
                for (Resource one : all.getResources(pattern)) {
                    String where = one.getURL().getPath();
                    if (!where.contains(NOT_CORE) && !where.contains("test-classes")) {
                        parts.put(where, one);
                    }
                }
            }
            for (Resource one : parts.values()) {
                try (InputStream in = one.getInputStream()) {
                    sum.update(in.readAllBytes());
                }
            }
            addOwn(settings.knowledge(), sum);
            digest = HexFormat.of().formatHex(sum.digest());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void addOwn(Path folder, MessageDigest sum) throws IOException {
        if (folder == null || !Files.isDirectory(folder)) {
            return;
        }
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                sum.update(Files.readAllBytes(file));
            }
        }
    }

    /** A text that is another one for another version. */
    String text() {
        return digest;
    }
}
