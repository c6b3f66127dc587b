package umbel.app.season;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The schedule as it stands. */
public interface ScheduledWorkRepository extends JpaRepository<ScheduledWork, Long> {

    List<ScheduledWork> findByPlannedOnGreaterThanEqualOrderByPlannedOnAscIdAsc(LocalDate from);

    boolean existsByBlockId(Long block);

    void deleteByPlannedOnGreaterThanEqual(LocalDate from);
}
