package umbel.app;

import java.nio.file.Path;
import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.util.unit.DataSize;

/**
 * The program's own settings.
 *
 * @param demo whether to fill an empty data folder with the demo holding
 * @param largestBody largest request body accepted
 * @param scheduleQuiet how long work and weather must have been quiet before the crew's schedule is made again
 * @param knowledge folder of the holding's own species, systems, schools, cultivars and rootstocks; need not exist
 */
@ConfigurationProperties("umbel")
public record UmbelSettings(boolean demo, DataSize largestBody, Path knowledge, Duration scheduleQuiet) {}
