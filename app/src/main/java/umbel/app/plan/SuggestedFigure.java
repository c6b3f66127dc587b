package umbel.app.plan;

import java.util.Collection;
import java.util.List;
import org.springframework.stereotype.Component;
import umbel.app.farm.FarmCount;
import umbel.app.farm.FarmFigure;

/** How many suggestions wait for an answer. */
@Component
class SuggestedFigure implements FarmFigure {

    private final SuggestionRepository suggestionRepository;

    SuggestedFigure(SuggestionRepository suggestionRepository) {
        this.suggestionRepository = suggestionRepository;
    }

    @Override
    public Kind kind() {
        return Kind.SUGGESTED;
    }

    @Override
    public List<FarmCount> of(Collection<Long> farms) {
        return suggestionRepository.countOpen(farms);
    }
}
