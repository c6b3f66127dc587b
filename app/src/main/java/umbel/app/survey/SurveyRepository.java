package umbel.app.survey;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import umbel.app.farm.FarmCount;

/** Every survey ever saved. All questions but {@link #findAllOfTree} leave out those that were withdrawn. */
public interface SurveyRepository extends JpaRepository<SurveyEntry, Long> {

    /** Surveys s of trees t in blocks b, without what was measured; conditions follow. */
    String LINE =
            "select new umbel.app.survey.SurveyLine(s.id, s.surveyedOn, s.format, t.id, b.id, t.label, t.rowNo, t.placeNo)"
                    + " from SurveyEntry s join s.tree t join t.block b";

    /** What was measured in surveys s; conditions follow. */
    String DOCUMENT =
            "select new umbel.app.survey.SurveyDocument(s.id, s.tree.id, s.surveyedOn, s.format, s.document) from SurveyEntry s";

    /** Surveys taken from the database at once. */
    int A_PORTION = 200;

    /** Condition that a survey s is the newest of its tree. */
    String NONE_NEWER = " and not exists (select 1 from SurveyEntry n where n.tree = s.tree and n.withdrawnAt is null"
            + " and (n.surveyedOn > s.surveyedOn or (n.surveyedOn = s.surveyedOn and n.id > s.id)))";

    /** The tree's surveys, newest first. */
    @Query("select s from SurveyEntry s where s.tree.id = :tree and s.withdrawnAt is null"
            + " order by s.surveyedOn desc, s.id desc")
    List<SurveyEntry> findByTreeIdOrderBySurveyedOnDescIdDesc(Long tree);

    /** The tree's newest survey. */
    @Query("select s from SurveyEntry s where s.tree.id = :tree and s.withdrawnAt is null"
            + " order by s.surveyedOn desc, s.id desc limit 1")
    Optional<SurveyEntry> findFirstByTreeIdOrderBySurveyedOnDescIdDesc(Long tree);

    /** The tree's surveys, withdrawn ones among them, newest first. */
    @Query("select s from SurveyEntry s where s.tree.id = :tree order by s.surveyedOn desc, s.id desc")
    List<SurveyEntry> findAllOfTree(long tree);

    /** The numbers of all surveys of a block's trees, those that stand no more among them, oldest first. */
    @Query("select s.id from SurveyEntry s where s.tree.block.id = :block and s.withdrawnAt is null"
            + " order by s.surveyedOn, s.id")
    List<Long> numbersOfBlock(Long block);

    /** Whether a tree was ever surveyed, withdrawn surveys among them. */
    boolean existsByTreeId(Long tree);

    /** The newest survey of every tree that stands. */
    @Query("select s from SurveyEntry s where s.withdrawnAt is null and s.tree.archived = false"
            + " and s.tree.block.archived = false"
            + NONE_NEWER)
    List<SurveyEntry> findNewest();

    /** The newest survey of every tree that stands, without what was measured, by block, row and place. */
    @Query(LINE
            + " where s.withdrawnAt is null and t.archived = false"
            + " and b.archived = false"
            + NONE_NEWER
            + " order by b.id, t.rowNo, t.placeNo")
    List<SurveyLine> tellNewest();

    /** The newest survey of every tree that stands in one block, without what was measured, by row and place. */
    @Query(LINE
            + " where b.id = :block and s.withdrawnAt is null and t.archived = false"
            + NONE_NEWER
            + " order by t.rowNo, t.placeNo")
    List<SurveyLine> tellNewestOfBlock(long block);

    /** All surveys of the trees that stand in one block, without what was measured, by tree and the newest of each first. */
    @Query(LINE
            + " where b.id = :block and s.withdrawnAt is null and t.archived = false"
            + " order by t.rowNo, t.placeNo, t.id, s.surveyedOn desc, s.id desc")
    List<SurveyLine> tellAllOfBlock(long block);

    /** The newest survey of a tree, without what was measured. */
    @Query(LINE + " where t.id = :tree and s.withdrawnAt is null" + " order by s.surveyedOn desc, s.id desc limit 1")
    Optional<SurveyLine> tellNewestOfTree(long tree);

    /** A survey, withdrawn or not, without what was measured. */
    @Query(LINE + " where s.id = :id")
    Optional<SurveyLine> tell(long id);

    /** What was measured in some surveys, in no order; {@link #documents} takes thousands. */
    @Query(DOCUMENT + " where s.id in :ids")
    List<SurveyDocument> tellDocuments(Collection<Long> ids);

    /** What was ever measured on some trees, in no order. */
    @Query(DOCUMENT + " where s.tree.id in :trees and s.withdrawnAt is null")
    List<SurveyDocument> tellDocumentsOfTrees(Collection<Long> trees);

    /**
     * What was measured in some surveys, in the order of their numbers as told. They are taken from the database a portion at a time while the
     * stream is read: those of a large block have no room in memory together.
     */
    default Stream<SurveyDocument> documents(List<Long> ids) {
        return portions(ids).flatMap(portion -> {
            Map<Long, SurveyDocument> told =
                    tellDocuments(portion).stream().collect(Collectors.toMap(SurveyDocument::id, Function.identity()));
            return portion.stream().map(told::get).filter(Objects::nonNull);
        });
    }

    /** Numbers in portions that a question may ask for at once. */
    static Stream<List<Long>> portions(List<Long> ids) {
        return IntStream.iterate(0, from -> from < ids.size(), from -> from + A_PORTION)
                .mapToObj(from -> ids.subList(from, Math.min(ids.size(), from + A_PORTION)));
    }

    /** Surveys by their numbers, with their trees, in no order. */
    @Query(
            "select s from SurveyEntry s join fetch s.tree t join fetch t.block b join fetch b.holding where s.id in :ids")
    List<SurveyEntry> findWithTrees(Collection<Long> ids);

    /** The newest surveys of trees that stand, of a kind and system by their blocks, the last surveyed first. */
    @Query("select s from SurveyEntry s where s.withdrawnAt is null and s.tree.archived = false"
            + " and s.tree.block.archived = false and s.tree.block.species = :species and s.tree.block.system = :system"
            + NONE_NEWER
            + " order by s.surveyedOn desc, s.id desc limit :most")
    List<SurveyEntry> findNewestOfKind(String species, String system, int most);

    /** The newest surveys of the first trees of a block, by row and place: as many as are wanted of those that are. */
    default List<SurveyEntry> firstNewestOfBlock(long block, Predicate<SurveyLine> wanted, int most) {
        return findInOrder(tellNewestOfBlock(block).stream()
                .filter(wanted)
                .limit(most)
                .map(SurveyLine::id)
                .toList());
    }

    /** Some few surveys with their trees, in the order of their numbers as told. */
    default List<SurveyEntry> findInOrder(List<Long> ids) {
        return ids.isEmpty()
                ? List.of()
                : findWithTrees(ids).stream()
                        .sorted(Comparator.comparing(survey -> ids.indexOf(survey.id())))
                        .toList();
    }

    /** How many trees that stand were surveyed in some farms. */
    @Query("select new umbel.app.farm.FarmCount(s.farm, count(distinct s.tree.id)) from SurveyEntry s"
            + " where s.farm in :farms and s.withdrawnAt is null and s.tree.archived = false"
            + " and s.tree.block.archived = false group by s.farm")
    List<FarmCount> countSurveyedTrees(Collection<Long> farms);
}
