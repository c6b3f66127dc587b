package umbel.app.season;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The schedule as it stands. */
interface PlacedWorkRepository extends JpaRepository<PlacedWork, Long> {

    List<PlacedWork> findByDoneOnGreaterThanEqualOrderByDoneOnAscIdAsc(LocalDate from);

    void deleteByDoneOnGreaterThanEqual(LocalDate from);
}
