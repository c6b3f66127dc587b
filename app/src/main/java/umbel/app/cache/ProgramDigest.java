package umbel.app.cache;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.net.URL;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.jar.JarFile;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import umbel.app.UmbelApplication;
import umbel.app.UmbelSettings;
import umbel.knowledge.Knowledge;

/**
 * Tells one version of the program from another, together with the knowledge of the installation's own. What was worked out by another
 * version is worked out anew.
 */
@Component
public class ProgramDigest {

    private final String core;
    private volatile String whole;

    ProgramDigest(UmbelSettings settings) {
        MessageDigest sum = sum();
        addCode(Knowledge.class, sum);
        addFolder(settings.knowledge(), sum);
        core = HexFormat.of().formatHex(sum.digest());
    }

    private static MessageDigest sum() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The file a class comes from, by the names and check sums of what is in it; or its folder where it was not packed. */
    private static void addCode(Class<?> from, MessageDigest sum) {
        try {
            URL code = from.getProtectionDomain().getCodeSource().getLocation();
            Path file = Path.of(code.toURI());
            if (Files.isDirectory(file)) {
                addFolder(file, sum);
                return;
            }
            try (JarFile packed = new JarFile(file.toFile())) {
                packed.stream()
                        .map(entry -> entry.getName() + " " + entry.getCrc() + "\n")
                        .forEach(entry -> sum.update(entry.getBytes(StandardCharsets.UTF_8)));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void addFolder(Path folder, MessageDigest sum) {
        if (folder == null || !Files.isDirectory(folder)) {
            return;
        }
        try (Stream<Path> all = Files.walk(folder)) {
            List<Path> files = all.filter(Files::isRegularFile).sorted().toList();
            for (Path file : files) {
                sum.update(Files.readAllBytes(file));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Another text for another version of what reads and plans trees: the core with its knowledge, and the installation's own. */
    public String text() {
        return core;
    }

    /** Another text for another version of the whole program. */
    public String whole() {
        if (whole == null) {
            MessageDigest sum = sum();
            sum.update(core.getBytes(StandardCharsets.UTF_8));
            addCode(UmbelApplication.class, sum);
            whole = HexFormat.of().formatHex(sum.digest());
        }
        return whole;
    }
}
