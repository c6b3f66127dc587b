package umbel.app.log;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Everything that was ever recorded. */
public interface RecordRepository extends JpaRepository<WorkRecord, Long> {

    List<WorkRecord> findByTreeIdOrderByDoneOnDescIdDesc(Long treeId);

    /** A block and how many of its trees were worked on. */
    interface TreesDone {

        Long getBlock();

        int getTrees();
    }

    /** How many of each block's trees were worked on since a day; blocks without any are left out. */
    @Query("select r.tree.block.id as block, cast(count(distinct r.tree.id) as int) as trees from WorkRecord r"
            + " where r.doneOn >= :since group by r.tree.block.id")
    List<TreesDone> countTreesDone(LocalDate since);

    /** The visit a phone or window has already sent under this id. */
    Optional<WorkRecord> findByClientId(String clientId);
}
