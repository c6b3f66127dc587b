package umbel.app.job;

import java.time.Instant;
import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The trees of jobs. */
interface JobPartRepository extends JpaRepository<JobPart, Long> {

    /** What is to be done next in a lane, the oldest job first. */
    @Query("select p from JobPart p where p.lane = :lane and p.state = 'waiting' and p.job.state = 'running'"
            + " order by p.job.id, p.id")
    List<JobPart> findNext(int lane, Limit most);

    /** The lanes in which something waits. */
    @Query("select distinct new umbel.app.job.LaneWaiting(p.farm, p.lane) from JobPart p"
            + " where p.state = 'waiting' and p.job.state = 'running'")
    List<LaneWaiting> findLanesWaiting();

    long countByJobIdAndState(long job, String state);

    List<JobPart> findByJobIdAndStateOrderByIdAsc(long job, String state);

    /** Ends one; 0 where another node ended it meanwhile, or its job was cancelled. */
    @Modifying
    @Query("update JobPart p set p.state = :state, p.result = :result, p.doneBy = :node, p.doneAt = :now"
            + " where p.id = :id and p.state = 'waiting'")
    int end(long id, String state, String result, String node, Instant now);

    @Modifying
    @Query("delete from JobPart p where p.job.id in :jobs")
    int deleteByJobs(List<Long> jobs);
}
