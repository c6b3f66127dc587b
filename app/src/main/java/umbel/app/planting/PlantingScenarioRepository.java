package umbel.app.planting;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Kept comparisons, the newest first. */
interface PlantingScenarioRepository extends JpaRepository<PlantingScenario, Long> {

    List<PlantingScenario> findAllByOrderByIdDesc();
}
