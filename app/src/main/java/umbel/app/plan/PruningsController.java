package umbel.app.plan;

import java.util.List;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.survey.BlockMeasures;
import umbel.knowledge.Knowledge;
import umbel.wood.Units;

/** How much wood will lie in the rows of a block, by what is marked on its trees. */
@RestController
class PruningsController {

    private final BlockRepository blocks;
    private final SavedDecisionsRepository works;
    private final MarkedLabour marked;
    private final BlockMeasures measures;
    private final Knowledge knowledge;

    PruningsController(
            BlockRepository blocks,
            SavedDecisionsRepository works,
            MarkedLabour marked,
            BlockMeasures measures,
            Knowledge knowledge) {
        this.blocks = blocks;
        this.works = works;
        this.marked = marked;
        this.measures = measures;
        this.knowledge = knowledge;
    }

    /**
     * Prunings of a block.
     *
     * @param trees on which cuts are marked
     * @param kg of these trees together
     * @param kgATree mean of these trees
     * @param kgOfBlock if all trees of the block gave as much
     * @param loads trailer loads that is
     * @param loadKg fresh prunings on one trailer
     */
    record PruningsOfBlock(int trees, double kg, double kgATree, double kgOfBlock, double loads, double loadKg) {}

    /** The prunings of a block, weights corrected by what was weighed in it. */
    @GetMapping("/api/blocks/{id}/prunings")
    @Transactional(readOnly = true)
    PruningsOfBlock prunings(@PathVariable long id) {
        Block block = blocks.existing(id);
        List<Double> masses = works.findByTreeBlockIdOrderByTreeRowNoAscTreePlaceNoAsc(id).stream()
                .map(marked::mass)
                .filter(mass -> mass > 0)
                .toList();
        double factor = measures.of(block).prunings();
        double kg = factor * masses.stream().mapToDouble(Double::doubleValue).sum();
        double each = masses.isEmpty() ? 0 : kg / masses.size();
        double load = knowledge.parameters().aftercare().loadKg();
        return new PruningsOfBlock(
                masses.size(),
                Units.round(kg, 1),
                Units.round(each, 1),
                Units.round(each * block.treeCount(), 0),
                Units.round(each * block.treeCount() / load, 1),
                load);
    }
}
