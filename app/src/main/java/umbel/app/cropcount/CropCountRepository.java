package umbel.app.cropcount;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Counts by block. */
interface CropCountRepository extends JpaRepository<CropCountEntry, Long> {

    List<CropCountEntry> findByBlockIdOrderByCountedOnDescIdDesc(Long blockId);

    Optional<CropCountEntry> findByClientId(String clientId);

    Optional<CropCountEntry> findFirstByBlockIdAndCountedOnAfterAndCountedOnBeforeOrderByCountedOnDescIdDesc(
            Long blockId, LocalDate after, LocalDate before);

    boolean existsByBlockId(Long blockId);
}
