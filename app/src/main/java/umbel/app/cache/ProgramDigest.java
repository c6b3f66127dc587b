package umbel.app.cache;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.net.URL;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import umbel.app.UmbelSettings;
import umbel.knowledge.Knowledge;

/**
 * Tells one version of what reads and plans trees from another: the core with its knowledge, and the knowledge of the installation's own.
 * What was worked out by another version is worked out anew.
 */
@Component
public class ProgramDigest {

    private final String digest;

    ProgramDigest(UmbelSettings settings) {
        try {
            MessageDigest sum = MessageDigest.getInstance("SHA-256");
            addCore(sum);
            addFolder(settings.knowledge(), sum);
            digest = HexFormat.of().formatHex(sum.digest());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (NoSuchAlgorithmException | URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The core's own file, or its folder where it was not packed. */
    private static void addCore(MessageDigest sum) throws IOException, URISyntaxException {
        URL core = Knowledge.class.getProtectionDomain().getCodeSource().getLocation();
        if (core.getProtocol().equals("file") && Files.isDirectory(Path.of(core.toURI()))) {
            addFolder(Path.of(core.toURI()), sum);
            return;
        }
        try (InputStream in = core.openStream()) {
            sum.update(in.readAllBytes());
        }
    }

    private static void addFolder(Path folder, MessageDigest sum) throws IOException {
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
    public String text() {
        return digest;
    }
}
