package umbel.app.orchard;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** The trees of all blocks. */
public interface TreeRepository extends JpaRepository<OrchardTree, Long> {

    List<OrchardTree> findAllByOrderByBlockIdAscRowNoAscPlaceNoAsc();

    Optional<OrchardTree> findByBlockIdAndRowNoAndPlaceNo(Long blockId, int rowNo, int placeNo);

    List<OrchardTree> findByBlockIdOrderByRowNoAscPlaceNoAsc(Long blockId);
}
