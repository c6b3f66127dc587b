package umbel.app.orchard;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import umbel.app.http.NotFound;

/** The trees of all blocks. */
public interface TreeRepository extends JpaRepository<OrchardTree, Long> {

    /**
     * A tree.
     *
     * @throws NotFound where there is none of that number
     */
    default OrchardTree existing(long id) {
        return findById(id).orElseThrow(() -> new NotFound("tree", id));
    }

    List<OrchardTree> findAllByOrderByBlockIdAscRowNoAscPlaceNoAsc();

    Optional<OrchardTree> findByBlockIdAndRowNoAndPlaceNo(Long blockId, int rowNo, int placeNo);

    List<OrchardTree> findByBlockIdOrderByRowNoAscPlaceNoAsc(Long blockId);

    /** A block and how many of some trees stand in it. */
    interface InBlock {

        Long getBlock();

        int getTrees();
    }

    /** How many of these trees stand in each block. */
    @Query(
            "select t.block.id as block, cast(count(t) as int) as trees from OrchardTree t where t.id in :trees group by t.block.id")
    List<InBlock> countByBlock(List<Long> trees);
}
