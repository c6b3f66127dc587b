package umbel.app.cropcount;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Component;
import umbel.app.orchard.TreeRecords;
import umbel.app.survey.SeasonCounts;

/** What counts of a block mean to the rest of the program: they correct its trees' readings, and keep it from being deleted. */
@Component
class CountedBlocks implements SeasonCounts, TreeRecords {

    /** A survey foretells the season after it, and no later one. */
    private static final int SEASON_DAYS = 330;

    private final CropCountRepository counts;

    CountedBlocks(CropCountRepository counts) {
        this.counts = counts;
    }

    @Override
    public Optional<Counted> after(long blockId, LocalDate surveyedOn) {
        return counts.findFirstByBlockIdAndCountedOnAfterAndCountedOnBeforeOrderByCountedOnDescIdDesc(
                        blockId, surveyedOn, surveyedOn.plusDays(SEASON_DAYS))
                .map(entry -> new Counted(entry.countedOn(), entry.stage(), entry.factor()));
    }

    @Override
    public boolean hasAny(long treeId) {
        return false;
    }

    @Override
    public boolean hasAnyOfBlock(long blockId) {
        return counts.existsByBlockId(blockId);
    }
}
