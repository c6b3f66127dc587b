package umbel.app.survey;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Every survey ever saved. */
public interface SurveyRepository extends JpaRepository<SurveyEntry, Long> {

    Optional<SurveyEntry> findFirstByTreeIdOrderBySurveyedOnDescIdDesc(Long treeId);

    List<SurveyEntry> findByTreeIdOrderBySurveyedOnDescIdDesc(Long treeId);

    List<SurveyEntry> findByTreeBlockIdOrderBySurveyedOnAscIdAsc(Long block);

    /** The newest survey of every tree. */
    @Query("select s from SurveyEntry s where not exists (select 1 from SurveyEntry t where t.tree = s.tree"
            + " and (t.surveyedOn > s.surveyedOn or (t.surveyedOn = s.surveyedOn and t.id > s.id)))")
    List<SurveyEntry> findNewest();

    /** The newest survey of every tree of one block. */
    @Query("select s from SurveyEntry s where s.tree.block.id = :block and not exists (select 1 from SurveyEntry t"
            + " where t.tree = s.tree"
            + " and (t.surveyedOn > s.surveyedOn or (t.surveyedOn = s.surveyedOn and t.id > s.id)))"
            + " order by s.tree.rowNo, s.tree.placeNo")
    List<SurveyEntry> findNewestOfBlock(long block);
}
