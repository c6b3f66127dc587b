package umbel.app.exchange;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import umbel.app.computing.Computing;
import umbel.app.reader.Reader;
import umbel.assess.AssessRequest;
import umbel.assess.Assessment;
import umbel.assess.Assessor;

/** Reads and plans for a survey that other software sends; keeps nothing. */
@RestController
@RequestMapping("/api/assess")
class AssessController {

    private final Assessor assessor;
    private final Computing computing;

    AssessController(Assessor assessor, Computing computing) {
        this.computing = computing;
        this.assessor = assessor;
    }

    /** Reading, plans and timing of one survey. */
    @PostMapping
    Assessment assess(
            @RequestBody(content = @Content(schema = @Schema(implementation = AssessRequest.class)))
                    @org.springframework.web.bind.annotation.RequestBody
                    JsonNode body) {
        computing.requireRoom(Computing.Lane.OUTSIDE);
        AssessRequest request = AssessRequest.read(body);
        return computing.answer(
                Computing.Lane.OUTSIDE, () -> assessor.in(Reader.speech()).assess(request));
    }
}
