package umbel.app.holding;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The holding at a glance: its blocks, its surveyed trees, what each needs. */
@RestController
@RequestMapping("/api")
class HoldingController {

    private final HoldingService holding;

    HoldingController(HoldingService holding) {
        this.holding = holding;
    }

    /** A new tree to survey, at its place in a block. */
    public record NewTree(
            long blockId,

            @Min(value = 1) @Max(value = 9999) int row,

            @Min(value = 1) @Max(value = 9999) int place) {}

    /** Blocks and trees with what each needs. */
    @GetMapping("/holding")
    HoldingService.HoldingPage page() {
        return holding.page();
    }

    /** Finds the tree at a place, or begins one there. */
    @PostMapping("/trees")
    HoldingService.TreeAt treeAt(@RequestBody @Valid NewTree tree) {
        return holding.treeAt(tree.blockId(), tree.row(), tree.place());
    }

    /** Where a tree stands and what its block is. */
    @GetMapping("/trees/{id}/place")
    HoldingService.TreePlace place(@PathVariable long id) {
        return holding.place(id);
    }

    /** Species, systems, schools and purposes this program knows. */
    @GetMapping("/knowledge")
    HoldingService.Catalogue known() {
        return holding.known();
    }

    /** The blocks, for choosing one. */
    @GetMapping("/blocks")
    List<HoldingService.BlockLine> blocks() {
        return holding.blocks();
    }
}
