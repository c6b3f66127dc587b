package umbel.app.measure;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Measurements by tree and block. */
interface TreeMeasureRepository extends JpaRepository<TreeMeasure, Long> {

    List<TreeMeasure> findByTreeIdOrderByMeasuredOnDescIdDesc(Long tree);

    List<TreeMeasure> findByTreeBlockIdAndMeasuredOnAfter(Long block, LocalDate after);

    boolean existsByTreeId(Long tree);
}
