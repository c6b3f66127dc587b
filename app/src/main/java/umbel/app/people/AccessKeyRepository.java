package umbel.app.people;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Keys of other programs. */
interface AccessKeyRepository extends JpaRepository<AccessKey, Long> {

    Optional<AccessKey> findByKeyHashAndRevokedFalse(String hash);

    List<AccessKey> findAllByOrderByIdAsc();
}
