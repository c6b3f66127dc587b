package umbel.app.plan;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Work decided and not yet done. */
public interface WorkRepository extends JpaRepository<Work, Long> {

    Optional<Work> findByTreeId(Long treeId);

    List<Work> findByTreeBlockIdOrderByTreeRowNoAscTreePlaceNoAsc(Long blockId);
}
