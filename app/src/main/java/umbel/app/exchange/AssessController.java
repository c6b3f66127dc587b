package umbel.app.exchange;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import umbel.app.computing.Computing;
import umbel.app.reader.Reader;
import umbel.assess.AssessRequest;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.assess.CountAssessment;
import umbel.assess.CountRequest;
import umbel.assess.CountedAssessor;

/** Reads and plans for a survey that other software sends; keeps nothing. */
@RestController
@RequestMapping("/api/assess")
class AssessController {

    private final Assessor assessor;
    private final CountedAssessor counted;
    private final Computing computing;

    AssessController(Assessor assessor, CountedAssessor counted, Computing computing) {
        this.computing = computing;
        this.counted = counted;
        this.assessor = assessor;
    }

    /** Reading, plans and timing of one survey: of a tree, or of a counted plant. */
    @PostMapping
    @ApiResponse(
            responseCode = "200",
            content = @Content(schema = @Schema(oneOf = {Assessment.class, CountAssessment.class})))
    Object assess(
            @RequestBody(content = @Content(schema = @Schema(oneOf = {AssessRequest.class, CountRequest.class})))
                    @org.springframework.web.bind.annotation.RequestBody
                    JsonNode body) {
        computing.requireRoom(Computing.Lane.OUTSIDE);
        if (CountRequest.isOne(body)) {
            CountRequest request = CountRequest.read(body);
            return computing.answer(
                    Computing.Lane.OUTSIDE, () -> counted.in(Reader.speech()).assess(request));
        }
        AssessRequest request = AssessRequest.read(body);
        return computing.answer(
                Computing.Lane.OUTSIDE, () -> assessor.in(Reader.speech()).assess(request));
    }
}
