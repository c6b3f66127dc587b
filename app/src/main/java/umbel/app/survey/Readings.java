package umbel.app.survey;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import org.springframework.stereotype.Component;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.knowledge.School;
import umbel.reading.TreeReader;
import umbel.survey.SurveyReader;
import umbel.wood.Tree;

/** Trees built and read from saved surveys, kept while they are looked at. Saved surveys never change, so these cannot go stale. */
@Component
public class Readings {

    private static final int MOST = 200;

    private final Assessor assessor;
    private final Cache<Key, ReadTree> kept =
            Caffeine.newBuilder().maximumSize(MOST).build();

    private record Key(long surveyId, String school, double reach) {}

    /** A saved survey's tree, and what was read on it. */
    public record ReadTree(AssessRequest request, Tree tree, School school, TreeReader.Reading reading) {}

    public Readings(Assessor assessor) {
        this.assessor = assessor;
    }

    /** The survey's tree, read by a school and for a reach; null takes the usual ones. */
    public ReadTree of(SurveyEntry survey, String school, Double reachM) {
        AssessRequest request = new AssessRequest(
                SurveyReader.read(survey.document()),
                null,
                null,
                null,
                school,
                reachM == null ? null : new AssessRequest.LimitsAsked(null, null, reachM),
                null,
                null);
        School judged = assessor.school(request);
        Tree built = assessor.tree(request);
        double reach = assessor.limits(request, built).reach();
        return kept.get(
                new Key(survey.id(), judged.id(), reach),
                key -> new ReadTree(request, built, judged, TreeReader.read(built, judged, reach)));
    }
}
