package umbel.app.log;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Everything that was ever recorded. */
public interface RecordRepository extends JpaRepository<WorkRecord, Long> {

    List<WorkRecord> findByTreeIdOrderByDoneOnDescIdDesc(Long treeId);

    /** The last visit to a tree that goes by a survey, no earlier than a day: one from before it is in what was measured. */
    Optional<WorkRecord> findFirstByTreeIdAndSurveyIdAndDoneOnGreaterThanEqualOrderByDoneOnDescIdDesc(
            Long treeId, Long surveyId, LocalDate from);

    /** The trees that were worked on since a day. */
    @Query("select distinct r.tree.id from WorkRecord r where r.doneOn >= :since")
    List<Long> findTreesDone(LocalDate since);

    /** A year's work: visits that were not corrected later, and the mean light before and after them. */
    interface YearOfWork {
        int getYear();

        long getVisits();

        long getTrees();

        double getMinutes();

        Double getShadeBefore();

        Double getShadeAfter();
    }

    /** The work of a block, year by year. */
    @Query("select year(r.doneOn) as year, count(r) as visits, count(distinct r.tree.id) as trees,"
            + " sum(r.minutes) as minutes, avg(r.shadeBefore) as shadeBefore, avg(r.shadeAfter) as shadeAfter"
            + " from WorkRecord r where r.tree.block.id = :block"
            + " and not exists (select 1 from WorkRecord c where c.correctsId = r.id)"
            + " group by year(r.doneOn) order by year(r.doneOn)")
    List<YearOfWork> workByYear(long block);

    /** The visit a phone or window has already sent under this id. */
    Optional<WorkRecord> findByClientId(String clientId);
}
