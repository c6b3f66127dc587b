package umbel.app.plan;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import umbel.app.computing.Computing;
import umbel.app.computing.Computing.Lane;
import umbel.counted.CountReader;
import umbel.counted.CountSurvey;
import umbel.wood.Units;

/** Bushes, cane rows and vines: what is wrong, what to do, and what each mark does. */
@RestController
@RequestMapping("/api/plants")
class CountedController {

    private final CountedService plants;
    private final Computing computing;

    CountedController(CountedService plants, Computing computing) {
        this.plants = plants;
        this.computing = computing;
    }

    /** The plant drawn, read and planned for, with what was decided so far. */
    @GetMapping("/{id}")
    CountedAnswers.PlantPage page(@PathVariable long id) {
        Viewer viewer = Viewer.here();
        return computing.answer(Lane.QUICK, () -> plants.page(id, viewer));
    }

    /** The plant planned for at another time of its year. */
    @PostMapping("/{id}/plans")
    CountedAnswers.PlantLooked plans(@PathVariable long id, @Valid @RequestBody Decisions decisions) {
        return computing.answer(Lane.QUICK, () -> plants.plans(id, decisions));
    }

    /**
     * What the marks so far do; {@code turned} says how far the plant is turned before the viewer, degrees, and {@code season}
     * when in its year it is drawn: bare, bloom, summer or harvest.
     */
    @PostMapping("/{id}/marks")
    CountedAnswers.PlantMarked marks(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") double turned,
            @RequestParam(defaultValue = "bare") String season,
            @Valid @RequestBody Decisions decisions) {
        return computing.answer(Lane.QUICK, () -> plants.marked(id, decisions, Units.fromDegrees(turned), season));
    }

    /** A counted plant read and planned for while it is entered; keeps nothing. */
    @PostMapping("/preview")
    CountedAnswers.PlantLooked preview(
            @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            content = @Content(schema = @Schema(implementation = CountSurvey.class)))
                    @RequestBody
                    JsonNode body) {
        CountSurvey survey = CountReader.read(body);
        return computing.answer(Lane.QUICK, () -> plants.look(survey, Decisions.none()));
    }
}
