package umbel.app.cropcount;

import jakarta.validation.Valid;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.computing.Computing;

/** Counts of flowers and fruits on marked limbs of a block. */
@RestController
@RequestMapping("/api/blocks/{id}/crop-counts")
class CropCountController {

    private final CropCountService counts;
    private final Computing computing;

    CropCountController(CropCountService counts, Computing computing) {
        this.counts = counts;
        this.computing = computing;
    }

    /** What limbs say that were counted so far; keeps nothing. */
    @PostMapping("/preview")
    CropCountAnswers.CropCountAnswer previewCropCount(
            @PathVariable long id, @RequestBody @Valid CropCountAnswers.CountAsked asked) {
        return computing.answer(Computing.Lane.QUICK, () -> counts.preview(id, asked));
    }

    /** Keeps a count. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    CropCountAnswers.CropCountLine keepCropCount(
            @PathVariable long id, @RequestBody @Valid CropCountAnswers.CountSent sent) {
        return counts.keep(
                id, sent, SecurityContextHolder.getContext().getAuthentication().getName());
    }

    /** A block's counts, newest first. */
    @GetMapping
    List<CropCountAnswers.CropCountLine> cropCounts(@PathVariable long id) {
        return counts.list(id);
    }

    /** Deletes a count that was wrong. */
    @DeleteMapping("/{count}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteCropCount(@PathVariable long id, @PathVariable long count) {
        counts.delete(id, count);
    }
}
