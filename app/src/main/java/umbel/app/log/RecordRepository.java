package umbel.app.log;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Everything that was ever recorded. */
public interface RecordRepository extends JpaRepository<WorkRecord, Long> {

    List<WorkRecord> findByTreeIdOrderByDoneOnDescIdDesc(Long treeId);

    /** How many of a block's trees were worked on since a day. */
    @Query("select count(distinct r.tree.id) from WorkRecord r where r.tree.block.id = :block and r.doneOn >= :since")
    int countTreesDone(long block, LocalDate since);

    /** The visit a phone or window has already sent under this id. */
    Optional<WorkRecord> findByClientId(String clientId);
}
