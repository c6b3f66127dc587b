package umbel.app.plan;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** What advisers suggested. */
interface SuggestionRepository extends JpaRepository<Suggestion, Long> {

    Optional<Suggestion> findByTreeIdAndSurveyIdAndSuggestedByAndState(
            Long tree, Long survey, String suggestedBy, String state);

    List<Suggestion> findByTreeIdAndSurveyIdAndStateOrderByIdAsc(Long tree, Long survey, String state);
}
