package umbel.app.sheets;

import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.farm.FarmScope;
import umbel.app.http.NotFound;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.people.OwnFarms;

/** Leads whoever reads a tree's tag to the farm it stands in, where they have a role there. */
@RestController
@RequestMapping("/api/tags")
class TagController {

    private final TreeRepository trees;
    private final OwnFarms own;

    TagController(TreeRepository trees, OwnFarms own) {
        this.trees = trees;
        this.own = own;
    }

    /** The code of the farm that a tree stands in. */
    public record TagPlace(String farm) {}

    /** Where a tree stands; not found too where whoever asks has no role in its farm. */
    @GetMapping("/{tree}")
    TagPlace place(@PathVariable long tree) {
        Optional<Long> farm = FarmScope.acrossFarms(() -> trees.findById(tree)).map(OrchardTree::farm);
        return farm.flatMap(own::of).map(one -> new TagPlace(one.code())).orElseThrow(() -> new NotFound("tree", tree));
    }
}
