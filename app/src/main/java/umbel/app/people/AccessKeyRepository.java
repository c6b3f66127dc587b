package umbel.app.people;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** Keys of other programs. */
interface AccessKeyRepository extends JpaRepository<AccessKey, Long> {

    Optional<AccessKey> findByKeyHashAndRevokedFalse(String hash);

    /** Notes that a key was used; touches nothing else of it, so that revoking it at the same moment holds. */
    @Modifying
    @Transactional
    @Query("update AccessKey k set k.lastUsed = :now where k.id = :id and k.revoked = false")
    int used(long id, Instant now);

    /** Makes a key worthless. */
    @Modifying
    @Query("update AccessKey k set k.revoked = true where k.id = :id")
    int revoke(long id);

    List<AccessKey> findAllByOrderByIdAsc();
}
