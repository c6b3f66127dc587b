package umbel.app.planting;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.http.NotFound;
import umbel.app.people.SignedIn;
import umbel.knowledge.Knowledge;
import umbel.planting.PlantingCheck;
import umbel.planting.PlantingRequest;

/** Comparisons of plantings kept under a name. Saving never writes over another: who goes on from one keeps a new one. */
@RestController
@RequestMapping("/api/plantings/scenarios")
class ScenarioController {

    private final PlantingScenarioRepository scenarios;
    private final Knowledge knowledge;
    private final Clock clock;

    ScenarioController(PlantingScenarioRepository scenarios, Knowledge knowledge, Clock clock) {
        this.scenarios = scenarios;
        this.knowledge = knowledge;
        this.clock = clock;
    }

    /** What is kept, as a line of the list. */
    public record ScenarioLine(long id, String name, String savedBy, Instant savedAt, int options) {}

    /** A kept comparison. */
    public record Scenario(long id, String name, String savedBy, Instant savedAt, PlantingRequest request) {}

    /** A comparison to keep. */
    public record ScenarioSent(
            @NotBlank @Size(max = 80) String name, @NotNull PlantingRequest request) {}

    /** All that are kept, the newest first. */
    @GetMapping
    @Transactional(readOnly = true)
    public List<ScenarioLine> keptScenarios() {
        return scenarios.findAllByOrderByIdDesc().stream()
                .map(ScenarioController::line)
                .toList();
    }

    @GetMapping("/{id}")
    @Transactional(readOnly = true)
    public Scenario keptScenario(@PathVariable long id) {
        PlantingScenario one = found(id);
        return new Scenario(one.id(), one.name(), one.savedBy(), one.savedAt(), one.request());
    }

    /** Keeps one; it must be a comparison that can be made. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    public ScenarioLine keepScenario(@RequestBody @Valid ScenarioSent sent) {
        PlantingCheck.complete(sent.request(), knowledge);
        return line(scenarios.saveAndFlush(
                new PlantingScenario(sent.name().strip(), SignedIn.name(), clock.instant(), sent.request())));
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void deleteScenario(@PathVariable long id) {
        scenarios.delete(found(id));
    }

    private PlantingScenario found(long id) {
        return scenarios.findById(id).orElseThrow(() -> new NotFound("plantingScenario", id));
    }

    private static ScenarioLine line(PlantingScenario one) {
        return new ScenarioLine(
                one.id(),
                one.name(),
                one.savedBy(),
                one.savedAt(),
                one.request().options().size());
    }
}
