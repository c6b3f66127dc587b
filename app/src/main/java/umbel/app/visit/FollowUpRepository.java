package umbel.app.visit;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Everything there is to come back for. */
interface FollowUpRepository extends JpaRepository<FollowUpEntry, Long> {

    List<FollowUpEntry> findByDoneOnIsNullOrDoneOnGreaterThanEqualOrderByDueFromAscIdAsc(LocalDate doneSince);

    void deleteByRecordIdAndDoneOnIsNull(Long record);
}
