package umbel.app.survey;

import java.util.Collection;
import java.util.List;
import org.springframework.stereotype.Component;
import umbel.app.farm.FarmCount;
import umbel.app.farm.FarmFigure;

/** How many trees were surveyed. */
@Component
class SurveyedFigure implements FarmFigure {

    private final SurveyRepository surveyRepository;

    SurveyedFigure(SurveyRepository surveyRepository) {
        this.surveyRepository = surveyRepository;
    }

    @Override
    public Kind kind() {
        return Kind.SURVEYED;
    }

    @Override
    public List<FarmCount> of(Collection<Long> farms) {
        return surveyRepository.countSurveyedTrees(farms);
    }
}
