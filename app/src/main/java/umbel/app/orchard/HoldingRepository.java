package umbel.app.orchard;

import org.springframework.data.jpa.repository.JpaRepository;

/** The holdings kept here. */
public interface HoldingRepository extends JpaRepository<Holding, Long> {}
