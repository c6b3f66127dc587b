package umbel.app.archive;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import umbel.app.farm.Farm;
import umbel.app.farm.Farms;
import umbel.app.http.Refused;
import umbel.app.job.JobProgress;
import umbel.app.people.SignedIn;
import umbel.app.reader.Reader;
import umbel.text.Statement;

/** Takes a farm out whole, and in again somewhere else. */
@RestController
@RequestMapping("/api/farms")
class ArchiveController {

    private static final Logger LOG = LoggerFactory.getLogger(ArchiveController.class);

    private final ArchiveWriter writer;
    private final TakingIn takingIn;
    private final Farms farms;
    private final Clock clock;

    ArchiveController(ArchiveWriter writer, TakingIn takingIn, Farms farms, Clock clock) {
        this.writer = writer;
        this.takingIn = takingIn;
        this.farms = farms;
        this.clock = clock;
    }

    /**
     * An archive that is taken in.
     *
     * @param job its number
     * @param state running, done, failed or cancelled
     * @param done rows and pictures read
     * @param total rows and pictures in all
     * @param code stands for the new farm in addresses; empty until it is done
     * @param name of the farm
     * @param rows how many came into each table
     * @param problem why it was not taken in; empty where it was
     */
    public record ArchiveTaken(
            long job,
            String state,
            int done,
            int total,
            String code,
            String name,
            Map<String, Long> rows,
            String problem) {}

    /**
     * The archive that was taken in last by whoever works in this farm.
     *
     * @param last null where none was
     */
    public record LastArchive(ArchiveTaken last) {}

    /** The farm this is asked in, as an archive. */
    @GetMapping(value = "/this/archive", produces = "application/zip")
    ResponseEntity<StreamingResponseBody> archive() {
        Farm farm = farms.current();
        String name = "umbel-farm-" + LocalDate.now(clock) + ".zip";
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(out -> writer.write(farm, out));
    }

    /** Begins to take an archive in as a new farm, of which whoever asks becomes the grower. */
    @Hidden
    @PostMapping(value = "/archive", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.ACCEPTED)
    ArchiveTaken takeIn(HttpServletRequest request) throws IOException {
        try {
            return told(takingIn.begin(request.getInputStream(), SignedIn.name()));
        } catch (NotAnArchive e) {
            LOG.info("An archive was refused.", e);
            throw new Refused(HttpStatus.BAD_REQUEST, e.why());
        }
    }

    /** How far the last one has come. */
    @GetMapping("/archive")
    LastArchive lastTakenIn() {
        return new LastArchive(takingIn.last().map(ArchiveController::told).orElse(null));
    }

    /** How far one has come. */
    @GetMapping("/archive/{number}")
    ArchiveTaken takenIn(@PathVariable long number) {
        return told(takingIn.state(number));
    }

    /** Stops it; nothing of it stays. */
    @DeleteMapping("/archive/{number}")
    ArchiveTaken stopTakingIn(@PathVariable long number) {
        return told(takingIn.cancel(number));
    }

    private static ArchiveTaken told(TakingIn.State state) {
        JobProgress job = state.job();
        Farm farm = state.farm();
        String problem = state.outcome() == null ? null : state.outcome().problem();
        return new ArchiveTaken(
                job.job(),
                job.state(),
                job.done(),
                job.total(),
                farm == null ? "" : farm.code(),
                farm == null ? "" : farm.name(),
                farm == null ? Map.of() : state.outcome().rows(),
                problem == null ? "" : Reader.speech().say(Statement.of(problem)));
    }
}
