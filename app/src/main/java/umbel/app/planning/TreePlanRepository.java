package umbel.app.planning;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import umbel.app.farm.FarmCount;

/** The plans of trees as they were last worked out. */
interface TreePlanRepository extends JpaRepository<TreePlan, Long> {

    Optional<TreePlan> findByTreeId(long tree);

    @Query("select p from TreePlan p where p.treeId in (select t.id from OrchardTree t where t.block.id = :block)")
    List<TreePlan> findOfBlock(long block);

    /** How many plans of trees that stand in some farms leave doubts. */
    @Query(
            "select new umbel.app.farm.FarmCount(p.farm, count(p)) from TreePlan p where p.farm in :farms and p.doubts > 0"
                    + " and exists (select 1 from OrchardTree t where t.id = p.treeId and t.archived = false"
                    + " and t.block.archived = false) group by p.farm")
    List<FarmCount> countDoubtful(Collection<Long> farms);
}
