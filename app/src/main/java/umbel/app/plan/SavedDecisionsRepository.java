package umbel.app.plan;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Work decided and not yet done. */
public interface SavedDecisionsRepository extends JpaRepository<SavedDecisions, Long> {

    Optional<SavedDecisions> findByTreeId(Long treeId);

    List<SavedDecisions> findByTreeBlockIdOrderByTreeRowNoAscTreePlaceNoAsc(Long blockId);
}
