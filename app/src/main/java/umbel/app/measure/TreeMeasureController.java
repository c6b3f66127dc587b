package umbel.app.measure;

import jakarta.validation.Valid;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.computing.Computing;
import umbel.app.photo.PhotoFiles;
import umbel.light.SkyPixels;
import umbel.wood.Units;

/** Measurements on trees besides their surveys: prunings weighed, sky photographed, and what was picked against what was expected. */
@RestController
@RequestMapping("/api")
class TreeMeasureController {

    private final TreeMeasureService measures;
    private final Computing computing;

    TreeMeasureController(TreeMeasureService measures, Computing computing) {
        this.measures = measures;
        this.computing = computing;
    }

    /** A tree's measurements against what was expected. */
    @GetMapping("/trees/{id}/measures")
    TreeMeasureAnswers.MeasuresOfTree measures(@PathVariable long id) {
        return computing.answer(Computing.Lane.QUICK, () -> measures.of(id));
    }

    /** Keeps a measurement, and what is expected of it. */
    @PostMapping("/trees/{id}/measures")
    @ResponseStatus(HttpStatus.CREATED)
    TreeMeasureAnswers.MeasureLine keepMeasure(
            @PathVariable long id, @RequestBody @Valid TreeMeasureAnswers.MeasureSent sent) {
        return computing.answer(Computing.Lane.QUICK, () -> measures.keep(id, sent));
    }

    /** Deletes a measurement that was wrong. */
    @DeleteMapping("/trees/{id}/measures/{measure}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteMeasure(@PathVariable long id, @PathVariable long measure) {
        measures.delete(id, measure);
    }

    /** The share of sky in a photograph taken straight up, a JPEG or PNG; keeps nothing. */
    @PostMapping(
            value = "/measures/sky",
            consumes = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
    TreeMeasureAnswers.SkyShare skyShare(@RequestBody byte[] picture) {
        return computing.answer(
                Computing.Lane.QUICK,
                () -> new TreeMeasureAnswers.SkyShare(Units.round(SkyPixels.share(PhotoFiles.middle(picture)), 3)));
    }
}
