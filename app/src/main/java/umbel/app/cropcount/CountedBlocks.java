package umbel.app.cropcount;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Component;
import umbel.app.orchard.TreeRecords;
import umbel.app.survey.SeasonCounts;
import umbel.knowledge.Knowledge;

/** What counts of a block mean to the rest of the program: they correct its trees' readings, and keep it from being deleted. */
@Component
class CountedBlocks implements SeasonCounts, TreeRecords {

    private final CropCountRepository counts;
    private final Knowledge knowledge;

    CountedBlocks(CropCountRepository counts, Knowledge knowledge) {
        this.counts = counts;
        this.knowledge = knowledge;
    }

    @Override
    public Optional<Counted> after(long blockId, LocalDate surveyedOn) {
        return counts.findFirstByBlockIdAndCountedOnAfterAndCountedOnBeforeOrderByCountedOnDescIdDesc(
                        blockId,
                        surveyedOn,
                        surveyedOn.plusDays(knowledge.parameters().learning().seasonDays()))
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
