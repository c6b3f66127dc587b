package umbel.app.orchard;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import umbel.app.http.NotFound;

/** The blocks of all holdings. */
public interface BlockRepository extends JpaRepository<Block, Long> {

    /**
     * A block.
     *
     * @throws NotFound where there is none of that number
     */
    default Block existing(long id) {
        return findById(id).orElseThrow(() -> new NotFound("block", id));
    }

    List<Block> findAllByOrderById();
}
