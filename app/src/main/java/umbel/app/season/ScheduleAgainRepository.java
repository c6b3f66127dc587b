package umbel.app.season;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Why schedules were made again. */
interface ScheduleAgainRepository extends JpaRepository<ScheduleAgain, Long> {

    /** That of the farm this thread works for. */
    Optional<ScheduleAgain> findFirstByOrderById();
}
