package umbel.app.survey;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;

/** Keeps a tree that was looked at before it had a place. */
@RestController
@RequestMapping("/api/survey")
class KeptTreeController {

    private final KeptTrees kept;

    KeptTreeController(KeptTrees kept) {
        this.kept = kept;
    }

    /**
     * A looked-at tree to keep.
     *
     * @param survey in the open format
     */
    public record ToKeep(
            @Schema(implementation = Survey.class) @NotNull JsonNode survey,
            @Valid @NotNull KeptTrees.WhereKept where) {}

    /** Keeps the survey of a tree, at a free place or as the first tree of a new block. */
    @PostMapping("/kept")
    @ResponseStatus(HttpStatus.CREATED)
    KeptTrees.KeptTree keepLooked(@RequestBody @Valid ToKeep asked) {
        return kept.keep(SurveyReader.read(asked.survey()), asked.where());
    }
}
