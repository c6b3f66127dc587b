package umbel.app.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The jobs of a farm. */
interface JobRepository extends JpaRepository<Job, Long> {

    /** The last job of a kind about a block; null asks for those about the whole farm. */
    @Query("select j from Job j where j.kind = :kind and (j.blockId = :block or j.blockId is null and :block is null)"
            + " order by j.id desc limit 1")
    Optional<Job> findLast(String kind, Long block);

    @Query("select j from Job j where j.whole = true and j.state in ('running', 'ending')")
    List<Job> findWholeUnderWay();

    @Query("select j.state from Job j where j.id = :id")
    Optional<String> findState(long id);

    @Modifying
    @Query("update Job j set j.done = :done where j.id = :id")
    int report(long id, int done);

    @Modifying
    @Query("update Job j set j.outcome = :outcome where j.id = :id")
    int found(long id, String outcome);

    /** Jobs that ended before a moment, and what they were given lies about still. */
    @Query("select j from Job j where j.given is not null and j.endedAt < :before")
    List<Job> findToClear(Instant before);

    /** The farms of jobs that have ended, and what they were given lies about still. */
    @Query("select distinct j.farm from Job j where j.given is not null and j.endedAt is not null")
    List<Long> findFarmsToClear();

    @Modifying
    @Query("update Job j set j.given = null where j.id = :id")
    int cleared(long id);

    /** Asks a job to end and keep what it has found. */
    @Modifying
    @Query("update Job j set j.state = 'ending' where j.id = :id and j.state = 'running'")
    int askToEnd(long id);

    /** Ends a job that is done in one piece; 0 where it was cancelled, or another node ended it meanwhile. */
    @Modifying
    @Query(
            "update Job j set j.state = :state, j.endedAt = :now, j.done = case when :state = 'done' then j.total else j.done end"
                    + " where j.id = :id and j.state in ('running', 'ending')")
    int endWhole(long id, String state, Instant now);

    @Modifying
    @Query(
            "update Job j set j.state = 'cancelled', j.endedAt = :now where j.id = :id and j.state in ('running', 'ending')")
    int cancel(long id, Instant now);

    /** Ends the jobs of the farm none of whose trees waits any more, whichever node did the last of them. */
    @Modifying
    @Query("update Job j set j.state = 'done', j.endedAt = :now where j.state = 'running' and j.whole = false"
            + " and not exists (select 1 from JobPart p where p.job.id = j.id and p.state = 'waiting')")
    int endThoseDone(Instant now);

    @Query("select j.id from Job j where j.endedAt < :before")
    List<Long> findEndedBefore(Instant before);
}
