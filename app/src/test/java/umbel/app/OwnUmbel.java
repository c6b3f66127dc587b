package umbel.app;

import java.nio.file.Path;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** The program without the demo, on a free port and in a data folder of its own, for tests that begin with the first account. */
public final class OwnUmbel implements AutoCloseable {

    private final ConfigurableApplicationContext context;

    private OwnUmbel(ConfigurableApplicationContext context) {
        this.context = context;
    }

    /** Starts it. */
    public static OwnUmbel start(Path data) {
        return new OwnUmbel(
                UmbelApplication.run("--server.port=0", "--server.shutdown=immediate", "--UMBEL_DATA=" + data));
    }

    /** Where it answers. */
    public String url() {
        return "http://127.0.0.1:"
                + ((WebServerApplicationContext) context).getWebServer().getPort();
    }

    /** A part of the running program. */
    public <T> T part(Class<T> type) {
        return context.getBean(type);
    }

    /** A part of the running program of which there are several. */
    public <T> T part(String name, Class<T> type) {
        return context.getBean(name, type);
    }

    @Override
    public void close() {
        context.close();
    }
}
