package umbel.app.harvest;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Everything that was picked and thinned. */
public interface PickingRepository extends JpaRepository<Picking, Long> {

    List<Picking> findByBlockIdOrderByPickedOnDescIdDesc(Long block);

    boolean existsByTreeId(Long tree);

    boolean existsByBlockId(Long block);

    /** What one tree bore, newest first. */
    List<Picking> findByTreeIdOrderByPickedOnDescIdDesc(Long tree);

    /** What one tree bore between two days. */
    List<Picking> findByTreeIdAndKindAndPickedOnBetween(Long tree, String kind, LocalDate from, LocalDate to);

    /** A year's crop: kilograms picked and fruits thinned off; what single trees bore is part of the block's own figures. */
    interface YearOfPicking {
        int getYear();

        Double getKg();

        Long getThinned();
    }

    /** The crop of a block, year by year. */
    @Query("select year(p.pickedOn) as year, sum(case when p.kind = 'harvest' then p.kg end) as kg,"
            + " sum(case when p.kind = 'thinning' then p.fruits end) as thinned"
            + " from Picking p where p.block.id = :block and p.tree is null"
            + " group by year(p.pickedOn) order by year(p.pickedOn)")
    List<YearOfPicking> cropByYear(long block);

    /** The day a block's harvest ended last. */
    Optional<Picking> findFirstByBlockIdAndKindAndLastOneTrueOrderByPickedOnDesc(Long block, String kind);
}
