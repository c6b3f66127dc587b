package umbel.app.archive;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
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
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import umbel.app.farm.Farm;
import umbel.app.farm.Farms;
import umbel.app.http.Refused;
import umbel.app.people.FarmFounding;

/** Takes a farm out whole, and in again somewhere else. */
@RestController
@RequestMapping("/api/farms")
class ArchiveController {

    private static final Logger LOG = LoggerFactory.getLogger(ArchiveController.class);

    private final ArchiveWriter writer;
    private final ArchiveReader reader;
    private final Farms farms;
    private final FarmFounding founding;
    private final Clock clock;

    ArchiveController(ArchiveWriter writer, ArchiveReader reader, Farms farms, FarmFounding founding, Clock clock) {
        this.writer = writer;
        this.reader = reader;
        this.farms = farms;
        this.founding = founding;
        this.clock = clock;
    }

    /**
     * A farm that was taken in.
     *
     * @param code stands for it in addresses
     * @param rows how many rows came into each table
     */
    public record TakenIn(String code, String name, Map<String, Long> rows) {}

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

    /** Takes an archive in as a new farm, of which whoever asks becomes the grower. */
    @Hidden
    @PostMapping(value = "/archive", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    TakenIn takeIn(HttpServletRequest request) throws IOException {
        Path upload = Files.createTempFile("umbel-farm", ".zip");
        try {
            Files.copy(request.getInputStream(), upload, StandardCopyOption.REPLACE_EXISTING);
            FarmArchive.About about = reader.about(upload);
            Farm farm = founding.add(about.name() == null ? "" : about.name());
            try {
                return new TakenIn(farm.code(), farm.name(), reader.read(upload, farm.id()));
            } catch (NotAnArchive e) {
                founding.undo(farm);
                throw e;
            }
        } catch (NotAnArchive e) {
            LOG.info("An archive was refused.", e);
            throw new Refused(HttpStatus.BAD_REQUEST, e.why());
        } finally {
            Files.deleteIfExists(upload);
        }
    }
}
