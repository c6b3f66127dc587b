package umbel.reading;

import java.util.List;
import java.util.stream.Stream;
import umbel.survey.Survey;
import umbel.text.Statement;
import umbel.wood.Tree;

/**
 * A question about a surveyed limb: what was entered is legal but odd, and asked about rather than refused.
 *
 * @param limb its id in the survey
 */
public record SurveyQuery(String limb, Statement question) {

    /**
     * All questions about a survey, those about measures before those about counts.
     *
     * @param tree built from it
     */
    public static List<SurveyQuery> of(Survey survey, Tree tree) {
        return Stream.concat(
                        OddMeasures.of(
                                survey, tree.setting().parameters().survey().measures())
                                .stream(),
                        OddCounts.of(survey, tree).stream())
                .toList();
    }
}
