package umbel.app.farm;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** The farms of this installation. Whoever asks for one must have a role in it, which is not looked at here. */
public interface FarmRepository extends JpaRepository<Farm, Long> {

    Optional<Farm> findByCode(String code);

    Optional<Farm> findFirstByOrderByIdAsc();

    List<Farm> findAllByOrderByIdAsc();
}
