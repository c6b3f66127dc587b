package umbel.app;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.util.unit.DataSize;

/**
 * The program's own settings.
 *
 * @param demo whether to fill an empty data folder with the demo holding
 * @param largestBody largest request body accepted
 */
@ConfigurationProperties("umbel")
public record UmbelSettings(boolean demo, DataSize largestBody) {}
