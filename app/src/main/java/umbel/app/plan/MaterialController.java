package umbel.app.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.TreeRepository;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.knowledge.Knowledge;
import umbel.training.Material;
import umbel.training.Training;
import umbel.wood.Tree;
import umbel.wood.Units;

/** What has to be carried along to bend the limbs that are marked to be bent: of a tree, of a block row by row. */
@RestController
class MaterialController {

    private final TreeRepository trees;
    private final BlockRepository blocks;
    private final SavedDecisionsRepository works;
    private final DecidedTrees surveyed;
    private final TreeDecisions decided;
    private final Knowledge knowledge;

    MaterialController(
            TreeRepository trees,
            BlockRepository blocks,
            SavedDecisionsRepository works,
            DecidedTrees surveyed,
            TreeDecisions decided,
            Knowledge knowledge) {
        this.trees = trees;
        this.blocks = blocks;
        this.works = works;
        this.surveyed = surveyed;
        this.decided = decided;
        this.knowledge = knowledge;
    }

    /**
     * One line of a list.
     *
     * @param device clip, spreader, tie-down, tie-to-trunk, wire-tie, weight or tie-up
     * @param lengthCm each is cut to; 0 where length does not matter
     * @param massKg of a weight, else 0
     */
    record MaterialLine(String device, double lengthCm, double massKg, int count) {}

    /** The list of one row; row 0 is the whole. */
    record MaterialOfRow(int row, int trees, List<MaterialLine> lines, int anchors) {}

    /** A tree's list. */
    @GetMapping("/api/trees/{id}/material")
    @Transactional(readOnly = true)
    MaterialOfRow ofTree(@PathVariable long id) {
        trees.existing(id);
        List<Training> bends = works.findByTreeId(id).map(this::bends).orElse(List.of());
        return list(0, bends.isEmpty() ? 0 : 1, bends);
    }

    /** A block's list: the whole first, then each row that needs something. */
    @GetMapping("/api/blocks/{id}/material")
    @Transactional(readOnly = true)
    List<MaterialOfRow> ofBlock(@PathVariable long id) {
        blocks.existing(id);
        TreeMap<Integer, List<Training>> byRow = new TreeMap<>();
        TreeMap<Integer, Integer> bent = new TreeMap<>();
        for (SavedDecisions work : works.findByTreeBlockIdOrderByTreeRowNoAscTreePlaceNoAsc(id)) {
            List<Training> bends = bends(work);
            if (!bends.isEmpty()) {
                byRow.computeIfAbsent(work.tree().rowNo(), row -> new ArrayList<>())
                        .addAll(bends);
                bent.merge(work.tree().rowNo(), 1, Integer::sum);
            }
        }
        List<MaterialOfRow> rows = new ArrayList<>();
        List<Training> all = byRow.values().stream().flatMap(List::stream).toList();
        rows.add(list(0, bent.values().stream().mapToInt(Integer::intValue).sum(), all));
        byRow.forEach((row, bends) -> rows.add(list(row, bent.get(row), bends)));
        return rows;
    }

    private List<Training> bends(SavedDecisions work) {
        Tree tree = surveyed.newestReading(work.tree().id()).tree();
        return DecidedTrees.operations(decided.on(work)).stream()
                .filter(operation -> operation.kind() == OperationKind.BEND)
                .filter(operation -> tree.find(operation.onLimb()).isPresent())
                .map((Operation bend) ->
                        Training.of(tree, tree.find(bend.onLimb()).orElseThrow(), bend.toAngle()))
                .toList();
    }

    private MaterialOfRow list(int row, int trees, List<Training> bends) {
        return new MaterialOfRow(
                row,
                trees,
                Material.list(bends, knowledge.parameters().training()).stream()
                        .map(one -> new MaterialLine(
                                one.device().word(), Units.round(Units.toCm(one.length()), 0), one.mass(), one.count()))
                        .toList(),
                Material.anchors(bends));
    }
}
