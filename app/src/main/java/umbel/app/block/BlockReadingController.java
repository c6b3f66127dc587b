package umbel.app.block;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A whole block read in the background. */
@RestController
@RequestMapping("/api")
class BlockReadingController {

    private final BlockReadingService readings;

    BlockReadingController(BlockReadingService readings) {
        this.readings = readings;
    }

    /** Begins reading every surveyed tree of a block. */
    @PostMapping("/blocks/{id}/reading")
    @ResponseStatus(HttpStatus.ACCEPTED)
    BlockReadingService.Progress begin(@PathVariable long id) {
        return readings.begin(id);
    }

    /** How far a reading has come, and what it told once done. */
    @GetMapping("/readings/{job}")
    BlockReadingService.Progress progress(@PathVariable long job) {
        return readings.progress(job);
    }

    /** Stops a reading. */
    @DeleteMapping("/readings/{job}")
    BlockReadingService.Progress cancel(@PathVariable long job) {
        return readings.cancel(job);
    }
}
