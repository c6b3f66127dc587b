package umbel.app.plan;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import umbel.app.farm.FarmCount;

/** What advisers suggested. */
interface SuggestionRepository extends JpaRepository<Suggestion, Long> {

    Optional<Suggestion> findByTreeIdAndSurveyIdAndSuggestedByAndState(
            Long tree, Long survey, String suggestedBy, String state);

    List<Suggestion> findByTreeIdAndSurveyIdAndStateOrderByIdAsc(Long tree, Long survey, String state);

    /** How many of some farms wait for an answer. */
    @Query("select new umbel.app.farm.FarmCount(s.farm, count(s)) from Suggestion s where s.farm in :farms"
            + " and s.state = 'open' group by s.farm")
    List<FarmCount> countOpen(Collection<Long> farms);
}
