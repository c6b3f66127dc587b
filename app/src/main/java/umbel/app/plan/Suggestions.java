package umbel.app.plan;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.http.NotFound;
import umbel.app.http.StaleVersion;
import umbel.app.orchard.OrchardTree;
import umbel.app.people.Person;
import umbel.app.people.PersonRepository;
import umbel.app.survey.SurveyEntry;
import umbel.assess.Mark;
import umbel.text.Statement;

/** What advisers mark: kept beside what the grower decided, and never in its place. */
@Service
class Suggestions {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final long NONE_YET = -1;

    private final SuggestionRepository suggestions;
    private final PersonRepository people;
    private final Clock clock;

    Suggestions(SuggestionRepository suggestions, PersonRepository people, Clock clock) {
        this.suggestions = suggestions;
        this.people = people;
        this.clock = clock;
    }

    /**
     * A suggestion that waits to be accepted or refused.
     *
     * @param by name of the person who made it
     */
    public record OpenSuggestion(long id, String by, Instant at, List<Mark> marks) {}

    /** What an adviser suggests on a survey of a tree; nothing where they suggested nothing yet. */
    @Transactional(readOnly = true)
    public TreeDecisions.Current of(long treeId, SurveyEntry survey, String adviser) {
        return suggestions
                .findByTreeIdAndSurveyIdAndSuggestedByAndState(treeId, survey.id(), adviser, Suggestion.OPEN)
                .map(one -> new TreeDecisions.Current(read(one), one.version(), false))
                .orElse(new TreeDecisions.Current(Decisions.none(), NONE_YET, false));
    }

    /** The suggestions on a survey of a tree that hold a mark. */
    @Transactional(readOnly = true)
    public List<OpenSuggestion> open(long treeId, SurveyEntry survey) {
        return suggestions.findByTreeIdAndSurveyIdAndStateOrderByIdAsc(treeId, survey.id(), Suggestion.OPEN).stream()
                .map(one -> new OpenSuggestion(
                        one.id(),
                        nameOf(one.suggestedBy()),
                        one.suggestedAt(),
                        read(one).marks()))
                .filter(one -> !one.marks().isEmpty())
                .toList();
    }

    /**
     * Keeps what an adviser suggests in the place of what they suggested before.
     *
     * @throws StaleVersion where they changed it in another window
     */
    @Transactional
    public long keep(OrchardTree tree, SurveyEntry survey, String adviser, Decisions decisions, long version) {
        Suggestion before = suggestions
                .findByTreeIdAndSurveyIdAndSuggestedByAndState(tree.id(), survey.id(), adviser, Suggestion.OPEN)
                .orElse(null);
        if ((before == null ? NONE_YET : before.version()) != version) {
            throw new StaleVersion(Statement.of("problem.suggestion-changed"));
        }
        Suggestion kept = before == null ? new Suggestion(tree, survey, adviser) : before;
        kept.suggest(JSON.writeValueAsString(decisions), clock.instant());
        return suggestions.saveAndFlush(kept).version();
    }

    /** Closes a suggestion. */
    @Transactional
    public void close(long id, boolean accepted) {
        Suggestion suggestion = suggestions.findById(id).orElseThrow(() -> new NotFound("suggestion", id));
        suggestion.close(accepted ? "accepted" : "refused");
        suggestions.saveAndFlush(suggestion);
    }

    /** The name of whoever signs in so; the login itself where their account is gone. */
    private String nameOf(String login) {
        return people.findByAccountLogin(login).map(Person::name).orElse(login);
    }

    private static Decisions read(Suggestion suggestion) {
        return JSON.readValue(suggestion.document(), Decisions.class);
    }
}
