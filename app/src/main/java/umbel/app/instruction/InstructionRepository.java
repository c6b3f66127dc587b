package umbel.app.instruction;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface InstructionRepository extends JpaRepository<InstructionEntry, Long> {

    Optional<InstructionEntry> findFirstByBlockIdOrderByIdDesc(long blockId);

    List<InstructionEntry> findByBlockIdAndInUseTrue(long blockId);

    List<InstructionEntry> findByInUseTrue();
}
