package umbel.app.visit;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import umbel.app.farm.FarmCount;

/** Everything there is to come back for. */
interface FollowUpRepository extends JpaRepository<FollowUpEntry, Long> {

    List<FollowUpEntry> findByDoneOnIsNullOrDoneOnGreaterThanEqualOrderByDueFromAscIdAsc(LocalDate doneSince);

    /** How much of some farms was to be come back for by a day. */
    @Query("select new umbel.app.farm.FarmCount(f.farm, count(f)) from FollowUpEntry f where f.farm in :farms"
            + " and f.doneOn is null and f.dueFrom <= :day and f.tree.archived = false group by f.farm")
    List<FarmCount> countDue(Collection<Long> farms, LocalDate day);

    /** How much of some farms should have been come back for before a day. */
    @Query("select new umbel.app.farm.FarmCount(f.farm, count(f)) from FollowUpEntry f where f.farm in :farms"
            + " and f.doneOn is null and f.dueTo < :day and f.tree.archived = false group by f.farm")
    List<FarmCount> countOverdue(Collection<Long> farms, LocalDate day);

    void deleteByRecordIdAndDoneOnIsNull(Long record);
}
