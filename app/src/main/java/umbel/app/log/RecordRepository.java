package umbel.app.log;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/**
 * Everything that was ever recorded. A visit <em>counts</em> when something was done at it and no later entry corrects it; only
 * such visits have effects.
 */
public interface RecordRepository extends JpaRepository<WorkRecord, Long> {

    List<WorkRecord> findByTreeIdOrderByDoneOnDescIdDesc(Long treeId);

    /** The last visit to a tree that counts and goes by a survey, no earlier than a day: one from before it is in what was measured. */
    @Query("select r from WorkRecord r where r.tree.id = :tree and r.surveyId = :survey and r.doneOn >= :from"
            + " and r.worked = true and not exists (select 1 from WorkRecord c where c.correctsId = r.id)"
            + " order by r.doneOn desc, r.id desc limit 1")
    Optional<WorkRecord> findLastThatCounts(long tree, long survey, LocalDate from);

    /** Who worked on the trees of some surveys and when, the last one first: visits that count, none from before the survey. */
    @Query(
            "select new umbel.app.log.LastWork(s.id, r.doneOn, r.who) from WorkRecord r join SurveyEntry s on s.id = r.surveyId"
                    + " where r.surveyId in :surveys and r.doneOn >= s.surveyedOn and r.worked = true"
                    + " and not exists (select 1 from WorkRecord c where c.correctsId = r.id)"
                    + " order by r.doneOn desc, r.id desc")
    List<LastWork> tellLastWork(Collection<Long> surveys);

    /** The trees with a visit since a day that counts. */
    @Query("select distinct r.tree.id from WorkRecord r where r.doneOn >= :since and r.worked = true"
            + " and not exists (select 1 from WorkRecord c where c.correctsId = r.id)")
    List<Long> findTreesDone(LocalDate since);

    boolean existsByTreeId(Long tree);

    /** The next visits in the order they were saved. */
    List<WorkRecord> findByIdGreaterThanOrderById(Long id, Limit most);

    /** The entry that corrects another. */
    Optional<WorkRecord> findFirstByCorrectsId(Long corrected);

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
    @Query("select year(r.doneOn) as year, count(r) as visits,"
            + " count(distinct case when r.worked = true then r.tree.id else null end) as trees,"
            + " sum(r.minutes) as minutes, avg(r.shadeBefore) as shadeBefore, avg(r.shadeAfter) as shadeAfter"
            + " from WorkRecord r where r.tree.block.id = :block"
            + " and not exists (select 1 from WorkRecord c where c.correctsId = r.id)"
            + " group by year(r.doneOn) order by year(r.doneOn)")
    List<YearOfWork> workByYear(long block);

    /**
     * Keeps what a visit came to; shares of the fruiting wood in shade before and after it are null where they cannot be told.
     *
     * @return 0 where that was kept already, or the visit was corrected meanwhile
     */
    @Modifying
    @Query(
            "update WorkRecord r set r.outcome = :outcome, r.shadeBefore = :before, r.shadeAfter = :after, r.effectsDue = false"
                    + " where r.id = :id and r.effectsDue = true")
    int keepEffects(long id, String outcome, Double before, Double after);

    /** Leaves it at what is known of a visit's effects; nobody tells anything more of them once this is written. */
    @Modifying
    @Query("update WorkRecord r set r.effectsDue = false where r.id = :id")
    void endEffects(long id);

    /** The oldest visits saved before a moment whose effects are still to be worked out. */
    @Query("select new umbel.app.log.DueEffects(r.farm, r.id) from WorkRecord r where r.effectsDue = true"
            + " and r.savedAt < :before order by r.savedAt")
    List<DueEffects> findEffectsDue(Instant before, Limit most);

    /** The visit a phone or window has already sent under this id. */
    Optional<WorkRecord> findByClientId(String clientId);
}
