package umbel.app.log;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Everything that was ever recorded. */
public interface RecordRepository extends JpaRepository<WorkRecord, Long> {

    List<WorkRecord> findByTreeIdOrderByDoneOnDescIdDesc(Long treeId);
}
