package umbel.app.orchard;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The blocks of all holdings. */
public interface BlockRepository extends JpaRepository<Block, Long> {

    List<Block> findAllByOrderById();
}
