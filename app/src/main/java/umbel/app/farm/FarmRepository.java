package umbel.app.farm;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

/** The farms of this installation. Whoever asks for one must have a role in it, which is not looked at here. */
public interface FarmRepository extends JpaRepository<Farm, Long> {

    Optional<Farm> findByCode(String code);

    Optional<Farm> findFirstByOrderByIdAsc();

    List<Farm> findAllByOrderByIdAsc();

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    Optional<Farm> findLockedById(long id);
}
