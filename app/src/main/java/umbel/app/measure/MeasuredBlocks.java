package umbel.app.measure;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Component;
import umbel.app.orchard.Block;
import umbel.app.orchard.TreeRecords;
import umbel.app.survey.BlockMeasures;
import umbel.growth.Comparison;
import umbel.knowledge.Knowledge;
import umbel.reading.MeasuredFactors;

/** What measurements mean to the rest of the program: they correct the readings of their block, and keep a tree from being deleted. */
@Component
class MeasuredBlocks implements BlockMeasures, TreeRecords {

    private static final LocalDate EVER = LocalDate.of(1900, 1, 1);

    private final TreeMeasureRepository measures;
    private final Knowledge knowledge;

    MeasuredBlocks(TreeMeasureRepository measures, Knowledge knowledge) {
        this.measures = measures;
        this.knowledge = knowledge;
    }

    @Override
    public MeasuredFactors of(Block block) {
        LocalDate since = block.learningSince() == null ? EVER : block.learningSince();
        List<Comparison> compared = measures.findByTreeBlockIdAndMeasuredOnAfter(block.id(), since).stream()
                .map(TreeMeasure::against)
                .filter(Objects::nonNull)
                .map(one -> new Comparison(List.of(one)))
                .toList();
        return compared.isEmpty()
                ? MeasuredFactors.NONE
                : MeasuredFactors.of(compared, knowledge.parameters().learning());
    }

    @Override
    public boolean hasAny(long treeId) {
        return measures.existsByTreeId(treeId);
    }

    @Override
    public boolean hasAnyOfBlock(long blockId) {
        return false;
    }
}
