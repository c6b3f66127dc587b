package umbel.app.harvest;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Everything that was picked and thinned. */
public interface PickingRepository extends JpaRepository<Picking, Long> {

    List<Picking> findByBlockIdOrderByPickedOnDescIdDesc(Long block);

    /** The day a block's harvest ended last. */
    Optional<Picking> findFirstByBlockIdAndKindAndLastOneTrueOrderByPickedOnDesc(Long block, String kind);
}
