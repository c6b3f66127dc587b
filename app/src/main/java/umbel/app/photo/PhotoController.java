package umbel.app.photo;

import jakarta.validation.Valid;
import java.net.URI;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Takes photographs of a tree in and shows them. */
@RestController
@RequestMapping("/api/trees/{id}/photos")
class PhotoController {

    private static final Duration UNCHANGED = Duration.ofDays(365);

    private final PhotoService photos;

    PhotoController(PhotoService photos) {
        this.photos = photos;
    }

    /**
     * A photograph as listed.
     *
     * @param moment before or after the work, or seen where it belongs to none
     * @param recordId the recorded visit it was taken on; null where there is none, or it has not arrived
     * @param width pixels
     * @param height pixels
     */
    record PhotoLine(long id, LocalDate takenOn, String moment, Long recordId, String who, int width, int height) {}

    /** Keeps a JPEG or PNG; one sent again is kept once and answered with 200. */
    @PostMapping(consumes = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
    ResponseEntity<PhotoLine> keep(
            @PathVariable long id, @Valid @ModelAttribute PhotoEntry entry, @RequestBody byte[] picture) {
        PhotoService.Kept kept = photos.keep(id, entry, picture);
        PhotoLine line = line(kept.photo(), photos.visits(id).get(kept.photo().visit()));
        return kept.fresh()
                ? ResponseEntity.created(URI.create("/api/trees/" + id + "/photos/" + line.id()))
                        .body(line)
                : ResponseEntity.ok(line);
    }

    /** The tree's photographs, newest first. */
    @GetMapping
    List<PhotoLine> list(@PathVariable long id) {
        var visits = photos.visits(id);
        return photos.of(id).stream()
                .map(photo -> line(photo, visits.get(photo.visit())))
                .toList();
    }

    /** The picture itself. */
    @GetMapping(value = "/{photo}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<Resource> picture(@PathVariable long id, @PathVariable long photo) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(UNCHANGED).cachePrivate().immutable())
                .body(new FileSystemResource(photos.picture(id, photo)));
    }

    @DeleteMapping("/{photo}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long id, @PathVariable long photo) {
        photos.remove(id, photo);
    }

    private static PhotoLine line(TreePhoto photo, Long recordId) {
        return new PhotoLine(
                photo.id(), photo.takenOn(), photo.moment(), recordId, photo.who(), photo.width(), photo.height());
    }
}
