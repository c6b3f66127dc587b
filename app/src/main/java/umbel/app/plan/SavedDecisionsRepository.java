package umbel.app.plan;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Work decided and not yet done. */
public interface SavedDecisionsRepository extends JpaRepository<SavedDecisions, Long> {

    Optional<SavedDecisions> findByTreeId(Long treeId);

    /** What is decided on the trees of the farm, as it is kept. */
    @Query("select new umbel.app.plan.DecidedLine(w.tree.id, w.surveyId, w.document) from SavedDecisions w")
    List<DecidedLine> tellAll();

    List<SavedDecisions> findByTreeBlockIdOrderByTreeRowNoAscTreePlaceNoAsc(Long blockId);
}
