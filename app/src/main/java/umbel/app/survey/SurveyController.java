package umbel.app.survey;

import io.swagger.v3.oas.annotations.Hidden;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.net.URI;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import umbel.app.computing.Computing;
import umbel.app.http.NotFound;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.ScheduleInputChanged;
import umbel.app.orchard.TreeRepository;
import umbel.assess.AssessRequest;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.counted.CountReader;
import umbel.counted.CountSurvey;
import umbel.counted.Counted;
import umbel.drawing.CountedSvg;
import umbel.knowledge.Knowledge;
import umbel.light.LightModel;
import umbel.light.LightReading;
import umbel.light.LightSummary;
import umbel.practice.TypicalTree;
import umbel.reading.SurveyQuery;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Tree;

/** Surveys: drawn while they are entered, saved, listed and given back as the open format. */
@RestController
@RequestMapping("/api")
class SurveyController {

    private static final int MOST_LEAF = 99;

    private final SurveyRepository surveys;
    private final TreeRepository trees;
    private final Assessor assessor;
    private final TreeReadings readings;
    private final Knowledge knowledge;
    private final Computing computing;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    SurveyController(
            SurveyRepository surveys,
            TreeRepository trees,
            Assessor assessor,
            TreeReadings readings,
            Knowledge knowledge,
            Computing computing,
            Clock clock,
            ApplicationEventPublisher events) {
        this.clock = clock;
        this.computing = computing;
        this.events = events;
        this.surveys = surveys;
        this.trees = trees;
        this.assessor = assessor;
        this.readings = readings;
        this.knowledge = knowledge;
    }

    /**
     * A survey as it would be drawn.
     *
     * @param light shares of fruiting sites in shade
     * @param estimated survey fields that were filled by estimates
     * @param queries what is legal but odd about measures and counts
     */
    public record Preview(
            StandDrawing drawing, Assessment.LightAnswer light, List<String> estimated, List<Query> queries) {}

    /** A question about a limb. */
    public record Query(String limb, String text) {}

    /**
     * A saved survey in a tree's history.
     *
     * @param limbs measured on a tree, or canes counted on a bush, a row or a vine
     * @param withdrawnBy empty while it counts
     */
    public record SurveyLine(long id, LocalDate surveyedOn, Instant savedAt, int limbs, String withdrawnBy) {}

    /** Whether a survey is withdrawn. */
    public record Withdrawal(boolean withdrawn) {}

    /** Draws a survey without saving it. */
    @PostMapping("/survey/preview")
    Preview preview(
            @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            content = @Content(schema = @Schema(implementation = Survey.class)))
                    @RequestBody
                    JsonNode body) {
        Survey survey = SurveyReader.read(body);
        return computing.answer(Computing.Lane.QUICK, () -> preview(survey));
    }

    /** A typical tree to begin a survey from, brought to a height and trunk where they were measured; keeps nothing. */
    @GetMapping("/survey/typical")
    Survey typical(
            @RequestParam String species,
            @RequestParam String system,
            @RequestParam int leaf,
            @RequestParam(required = false) Double trunkMm,
            @RequestParam(required = false) Double heightCm) {
        return TypicalTree.of(species, system, Math.max(1, Math.min(MOST_LEAF, leaf)), trunkMm, heightCm);
    }

    private Preview preview(Survey survey) {
        AssessRequest request = AssessRequest.of(survey);
        Tree tree = assessor.tree(request);
        LightReading light = LightModel.read(tree);
        return new Preview(
                StandDrawing.of(tree, light),
                Assessment.LightAnswer.of(LightSummary.of(
                        light, assessor.school(request).thresholds().lightLines())),
                tree.setting().estimated(),
                SurveyQuery.of(survey, tree).stream()
                        .map(query -> new Query(query.limb(), assessor.say(query.question())))
                        .toList());
    }

    /** Saves a new survey of a tree; the earlier ones stay. */
    @PostMapping("/trees/{id}/surveys")
    @Transactional
    ResponseEntity<SurveyLine> save(
            @PathVariable long id,
            @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            content = @Content(schema = @Schema(implementation = Survey.class)))
                    @RequestBody
                    JsonNode body) {
        OrchardTree tree = trees.existing(id);
        SurveyEntry entry = surveys.save(CountReader.isCount(body) ? counted(tree, body) : measured(tree, body));
        return ResponseEntity.created(URI.create("/api/surveys/" + entry.id())).body(line(entry));
    }

    private SurveyEntry measured(OrchardTree tree, JsonNode body) {
        Survey survey = SurveyReader.read(body);
        assessor.tree(AssessRequest.of(survey));
        LocalDate day = SurveyDay.of(survey.surveyedOn(), tree.block().holding(), clock);
        return new SurveyEntry(tree, day, SurveyReader.write(survey), clock.instant());
    }

    private SurveyEntry counted(OrchardTree tree, JsonNode body) {
        CountSurvey survey = CountReader.read(body);
        Counted.of(survey, knowledge);
        LocalDate day = SurveyDay.of(survey.surveyedOn(), tree.block().holding(), clock);
        return SurveyEntry.counted(tree, day, body.toString(), clock.instant());
    }

    /** A tree's surveys, newest first. */
    @GetMapping("/trees/{id}/surveys")
    @Transactional(readOnly = true)
    List<SurveyLine> list(@PathVariable long id) {
        trees.existing(id);
        return surveys.findAllOfTree(id).stream().map(this::line).toList();
    }

    /** Withdraws a survey that was wrong, or lets it count again; it is never deleted. */
    @PutMapping("/surveys/{id}/withdrawal")
    @Transactional
    SurveyLine withdraw(@PathVariable long id, @RequestBody Withdrawal asked) {
        SurveyEntry entry = entry(id);
        if (asked.withdrawn()) {
            entry.withdraw(
                    SecurityContextHolder.getContext().getAuthentication().getName(), clock.instant());
        } else {
            entry.restore();
        }
        surveys.saveAndFlush(entry);
        events.publishEvent(new ScheduleInputChanged(
                Statement.of("schedule-again.survey")
                        .with("tree", Value.name(entry.tree().label())),
                entry.tree().block().id()));
        return line(entry);
    }

    /** One saved survey in the open format. */
    @GetMapping("/surveys/{id}")
    @Transactional(readOnly = true)
    Survey one(@PathVariable long id) {
        return readings.of(entry(id)).request().survey();
    }

    /** One saved survey of a counted plant in the open format, with all that was posted. */
    @GetMapping("/surveys/{id}/count")
    @Transactional(readOnly = true)
    CountSurvey oneCounted(@PathVariable long id) {
        return readings.counted(entry(id)).survey();
    }

    /** A bush, a cane row or a vine drawn as it was counted then. */
    @Hidden
    @GetMapping(value = "/surveys/{id}/drawing.svg", produces = "image/svg+xml")
    @Transactional(readOnly = true)
    String countedDrawing(@PathVariable long id) {
        return CountedSvg.draw(oneCounted(id), List.of(), CountedSvg.Ink.SCREEN);
    }

    private SurveyEntry entry(long id) {
        return surveys.findById(id).orElseThrow(() -> new NotFound("survey", id));
    }

    /** The tree drawn as it was surveyed then. */
    @GetMapping("/surveys/{id}/drawing")
    @Transactional(readOnly = true)
    StandDrawing drawing(@PathVariable long id) {
        Survey survey = one(id);
        Tree tree = assessor.tree(AssessRequest.of(survey));
        return StandDrawing.of(tree, LightModel.readCoarse(tree, 1));
    }

    private SurveyLine line(SurveyEntry entry) {
        return new SurveyLine(
                entry.id(),
                entry.surveyedOn(),
                entry.savedAt(),
                entry.isCounted()
                        ? readings.counted(entry).canes()
                        : readings.plant(entry).facts().parts().size(),
                entry.withdrawn() ? entry.withdrawnBy() : "");
    }
}
