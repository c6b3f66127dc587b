package umbel.app.log;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Everything that was ever recorded. */
public interface RecordRepository extends JpaRepository<WorkRecord, Long> {

    List<WorkRecord> findByTreeIdOrderByDoneOnDescIdDesc(Long treeId);

    /** The trees that were worked on since a day. */
    @Query("select distinct r.tree.id from WorkRecord r where r.doneOn >= :since")
    List<Long> findTreesDone(LocalDate since);

    /** The visit a phone or window has already sent under this id. */
    Optional<WorkRecord> findByClientId(String clientId);
}
