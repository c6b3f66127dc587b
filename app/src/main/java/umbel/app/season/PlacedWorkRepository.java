package umbel.app.season;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The schedule as it stands. */
public interface PlacedWorkRepository extends JpaRepository<PlacedWork, Long> {

    List<PlacedWork> findByDoneOnGreaterThanEqualOrderByDoneOnAscIdAsc(LocalDate from);

    boolean existsByBlockId(Long block);

    void deleteByDoneOnGreaterThanEqual(LocalDate from);
}
