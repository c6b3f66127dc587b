package umbel.app;

import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalTime;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.util.unit.DataSize;

/**
 * The program's own settings.
 *
 * @param data folder of the database and all else that is kept
 * @param demo whether to fill an empty data folder with the demo holding
 * @param largestBody largest request body accepted
 * @param largestBackup largest backup accepted for restoring
 * @param scheduleQuiet how long work and weather must have been quiet before the crew's schedule is made again
 * @param bodyTime how long a request may take to send its body
 * @param leastDisk room on the disk below which nothing is saved any more
 * @param knowledge folder of the holding's own species, systems, schools, cultivars and rootstocks; need not exist
 * @param jobThreads how many trees this node does at once in the background; 0 takes as many as there are processors
 * @param prepareAfter how long after a start plans that somebody may soon ask for are worked out in the background; negative for never
 * @param night when what is done every night begins, by the machine's clock
 * @param backupsKept how many backups stay in the data folder; where it is 0, none is made by night and all that are asked for stay
 */
@ConfigurationProperties("umbel")
public record UmbelSettings(
        Path data,
        boolean demo,
        DataSize largestBody,
        Path knowledge,
        Duration scheduleQuiet,
        Duration bodyTime,
        DataSize leastDisk,
        DataSize largestBackup,
        int jobThreads,
        Duration prepareAfter,
        @DateTimeFormat(iso = DateTimeFormat.ISO.TIME) LocalTime night,
        int backupsKept) {}
