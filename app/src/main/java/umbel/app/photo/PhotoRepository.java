package umbel.app.photo;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** The photographs of all trees. */
public interface PhotoRepository extends JpaRepository<TreePhoto, Long> {

    List<TreePhoto> findByTreeIdOrderByTakenOnDescIdDesc(long treeId);

    Optional<TreePhoto> findByIdAndTreeId(long id, long treeId);

    Optional<TreePhoto> findByClientId(String clientId);

    boolean existsByTreeId(long treeId);

    /** Asked across all farms: they share the file of a picture that is the same. */
    boolean existsByFile(String file);

    long countByTreeId(long treeId);
}
