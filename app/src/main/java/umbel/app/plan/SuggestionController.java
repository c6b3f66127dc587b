package umbel.app.plan;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Answers to what advisers suggest. */
@RestController
@RequestMapping("/api/suggestions")
class SuggestionController {

    private final Suggestions suggestions;

    SuggestionController(Suggestions suggestions) {
        this.suggestions = suggestions;
    }

    /** Accepts or refuses a suggestion. */
    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void answer(@PathVariable long id, @RequestBody TreeAnswers.SuggestionAnswer answer) {
        suggestions.close(id, answer.accepted());
    }
}
