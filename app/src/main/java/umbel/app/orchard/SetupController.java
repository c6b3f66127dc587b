package umbel.app.orchard;

import jakarta.validation.Valid;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Sets up and corrects what there is: holdings, their blocks, and where each tree stands. */
@RestController
@RequestMapping("/api")
class SetupController {

    private final OrchardSetup setup;

    SetupController(OrchardSetup setup) {
        this.setup = setup;
    }

    /** Adds a holding. */
    @PostMapping("/holdings")
    @ResponseStatus(HttpStatus.CREATED)
    SetupEntries.SetUp addHolding(@RequestBody @Valid SetupEntries.HoldingEntry entry) {
        return new SetupEntries.SetUp(setup.addHolding(entry));
    }

    /** A holding as it stands. */
    @GetMapping("/holdings/{id}")
    SetupEntries.HoldingLine holding(@PathVariable long id) {
        return setup.holding(id);
    }

    /** Corrects a holding. */
    @PutMapping("/holdings/{id}")
    SetupEntries.HoldingLine correctHolding(
            @PathVariable long id, @RequestBody @Valid SetupEntries.HoldingEntry entry) {
        return setup.correctHolding(id, entry);
    }

    /** Deletes a holding without blocks. */
    @DeleteMapping("/holdings/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteHolding(@PathVariable long id) {
        setup.deleteHolding(id);
    }

    /** Adds a block. Kind and system must be known. */
    @PostMapping("/blocks")
    @ResponseStatus(HttpStatus.CREATED)
    SetupEntries.SetUp addBlock(@RequestBody @Valid SetupEntries.BlockEntry entry) {
        return new SetupEntries.SetUp(setup.addBlock(entry));
    }

    /** Corrects a block; its trees are named anew where it is renamed. */
    @PutMapping("/blocks/{id}")
    SetupEntries.SetUp correctBlock(@PathVariable long id, @RequestBody @Valid SetupEntries.BlockEntry entry) {
        return new SetupEntries.SetUp(setup.correctBlock(id, entry));
    }

    /** Archives a block, or takes it up again. */
    @PutMapping("/blocks/{id}/archived")
    SetupEntries.Archived archiveBlock(@PathVariable long id, @RequestBody SetupEntries.Archived asked) {
        return new SetupEntries.Archived(setup.archiveBlock(id, asked.archived()));
    }

    /** Deletes a block on whose trees nothing depends. */
    @DeleteMapping("/blocks/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteBlock(@PathVariable long id) {
        setup.deleteBlock(id);
    }

    /** A tree's place, and whether it may be deleted. */
    @GetMapping("/trees/{id}/setup")
    SetupEntries.TreeSetUp tree(@PathVariable long id) {
        return setup.tree(id);
    }

    /** Moves a tree to another place; its surveys and records go with it. */
    @PutMapping("/trees/{id}/place")
    SetupEntries.TreeSetUp moveTree(@PathVariable long id, @RequestBody @Valid SetupEntries.TreeEntry entry) {
        return setup.moveTree(id, entry);
    }

    /** Archives a tree, or takes it up again. */
    @PutMapping("/trees/{id}/archived")
    SetupEntries.TreeSetUp archiveTree(@PathVariable long id, @RequestBody SetupEntries.Archived asked) {
        return setup.archiveTree(id, asked.archived());
    }

    /** Deletes a tree nobody surveyed or worked on. */
    @DeleteMapping("/trees/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteTree(@PathVariable long id) {
        setup.deleteTree(id);
    }
}
