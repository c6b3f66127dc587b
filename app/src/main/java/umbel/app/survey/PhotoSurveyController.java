package umbel.app.survey;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import umbel.app.computing.Computing;
import umbel.app.http.NotFound;
import umbel.app.reader.Reader;
import umbel.knowledge.Knowledge;
import umbel.photosurvey.PhotoFigures;
import umbel.photosurvey.PhotoSurvey;
import umbel.photosurvey.PhotoSurveyAnswer;
import umbel.photosurvey.PhotoSurveyReader;
import umbel.photosurvey.PhotoSurveyRequest;
import umbel.photosurvey.SamplePictures;

/** Measures a tree by what was touched in its photographs; the pictures themselves are not sent, and nothing is kept. */
@RestController
class PhotoSurveyController {

    private final Knowledge knowledge;
    private final Computing computing;
    private SamplePictures samples;

    PhotoSurveyController(Knowledge knowledge, Computing computing) {
        this.knowledge = knowledge;
        this.computing = computing;
    }

    /** What the survey is asked by. */
    @GetMapping("/api/survey/photographs")
    PhotoFigures figures() {
        return PhotoFigures.of(knowledge.photographs());
    }

    /** Directions, angles, lengths and places of the limbs touched, with their errors. */
    @PostMapping("/api/survey/photographs")
    PhotoSurveyAnswer measure(
            @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            content = @Content(schema = @Schema(implementation = PhotoSurveyRequest.class)))
                    @RequestBody
                    JsonNode body) {
        PhotoSurveyRequest request = PhotoSurveyReader.read(body, knowledge.photographs());
        return computing.answer(
                Computing.Lane.PLANS,
                () -> PhotoSurveyAnswer.of(PhotoSurvey.of(request, knowledge.photographs()), Reader.speech()));
    }

    /**
     * A sample picture to try it with.
     *
     * @param number 1 or 2
     */
    @GetMapping(path = "/api/survey/photographs/samples/{number}", produces = "image/svg+xml")
    String sample(@PathVariable int number) {
        if (number < 1 || number > SamplePictures.COUNT) {
            throw new NotFound("photo", number);
        }
        return samples().svg(number - 1);
    }

    /** Made when somebody first asks for them. */
    private synchronized SamplePictures samples() {
        if (samples == null) {
            samples = new SamplePictures(knowledge);
        }
        return samples;
    }
}
