package umbel.app.management;

import java.util.Locale;
import java.util.regex.Pattern;
import org.springframework.boot.autoconfigure.AutoConfigurationImportFilter;
import org.springframework.boot.autoconfigure.AutoConfigurationMetadata;
import org.springframework.context.EnvironmentAware;
import org.springframework.core.env.Environment;

/**
 * Leaves out everything that health and figures are made of where {@code management.server.port} is negative, which is usual: it
 * would make every start a third longer for nothing.
 */
public final class ManagementWhenWanted implements AutoConfigurationImportFilter, EnvironmentAware {

    private static final Pattern MANAGEMENT =
            Pattern.compile("org\\.springframework\\.boot\\..*(actuate|health|metrics|micrometer|observation).*");

    private boolean wanted;

    @Override
    public void setEnvironment(Environment environment) {
        wanted = isWanted(environment);
    }

    /** Whether these settings ask for health and figures. */
    public static boolean isWanted(Environment settings) {
        return settings.getProperty("management.server.port", Integer.class, -1) >= 0;
    }

    @Override
    public boolean[] match(String[] classes, AutoConfigurationMetadata metadata) {
        boolean[] taken = new boolean[classes.length];
        for (int i = 0; i < classes.length; i++) {
            taken[i] = wanted
                    || classes[i] == null
                    || !MANAGEMENT.matcher(classes[i].toLowerCase(Locale.ROOT)).matches();
        }
        return taken;
    }
}
