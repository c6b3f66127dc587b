package umbel.app.instruction;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface WorkCheckRepository extends JpaRepository<WorkCheckEntry, Long> {

    List<WorkCheckEntry> findByInstructionIdOrderByIdDesc(long instructionId);
}
