package umbel.app.people;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The trail of changes. */
interface AuditRepository extends JpaRepository<AuditLine, Long> {

    List<AuditLine> findTop200ByOrderByIdDesc();
}
