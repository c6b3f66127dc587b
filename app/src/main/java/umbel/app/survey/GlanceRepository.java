package umbel.app.survey;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Surveyed plants at a glance. */
interface GlanceRepository extends JpaRepository<GlanceEntry, Long> {

    List<GlanceEntry> findBySurveyIdIn(Collection<Long> surveys);
}
