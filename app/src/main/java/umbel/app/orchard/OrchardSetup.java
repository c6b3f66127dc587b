package umbel.app.orchard;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import umbel.app.farm.Farms;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.knowledge.Knowledge;
import umbel.text.Statement;
import umbel.text.Value;

/** Sets up holdings, blocks and trees, corrects them, and deletes those on which nothing depends. */
@Service
public class OrchardSetup {

    private final Farms farms;
    private final HoldingRepository holdings;
    private final BlockRepository blocks;
    private final TreeRepository trees;
    private final List<TreeRecords> dependents;
    private final Knowledge knowledge;
    private final Clock clock;

    OrchardSetup(
            Farms farms,
            HoldingRepository holdings,
            BlockRepository blocks,
            TreeRepository trees,
            List<TreeRecords> dependents,
            Knowledge knowledge,
            Clock clock) {
        this.farms = farms;
        this.holdings = holdings;
        this.blocks = blocks;
        this.trees = trees;
        this.dependents = dependents;
        this.knowledge = knowledge;
        this.clock = clock;
    }

    @Transactional
    public long addHolding(SetupEntries.HoldingEntry entry) {
        checkZone(entry);
        farms.nameFirst(entry.name().strip());
        return holdings.saveAndFlush(
                        new Holding(entry.name().strip(), entry.latitudeDeg(), entry.elevationM()).in(entry.zone()))
                .id();
    }

    @Transactional(readOnly = true)
    public SetupEntries.HoldingLine holding(long id) {
        return line(holdingOf(id));
    }

    @Transactional
    public SetupEntries.HoldingLine correctHolding(long id, SetupEntries.HoldingEntry entry) {
        checkZone(entry);
        Holding holding = holdingOf(id);
        holding.correct(entry.name().strip(), entry.latitudeDeg(), entry.elevationM());
        holding.in(entry.zone());
        return line(holdings.saveAndFlush(holding));
    }

    @Transactional
    public void deleteHolding(long id) {
        Holding holding = holdingOf(id);
        if (blocksOf(holding) > 0) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    Statement.of("problem.holding-has-blocks").with("name", Value.name(holding.name())));
        }
        holdings.delete(holding);
    }

    @Transactional
    public long addBlock(SetupEntries.BlockEntry entry) {
        Holding holding = holdingOf(entry.holdingId());
        check(entry, holding, null);
        Block block = new Block(
                holding,
                entry.name().strip(),
                entry.species(),
                entry.system(),
                text(entry.cultivar()),
                entry.stock(),
                entry.plantedYear(),
                entry.treeCount(),
                entry.inRowM(),
                entry.betweenRowsM(),
                entry.rowBearingDeg(),
                text(entry.note()));
        return blocks.saveAndFlush(block.rows(layout(entry)).at(entry.eastM(), entry.northM()))
                .id();
    }

    @Transactional
    public long correctBlock(long id, SetupEntries.BlockEntry entry) {
        Block block = blockOf(id);
        check(entry, block.holding(), block);
        RowLayout layout = layout(entry);
        List<OrchardTree> standing = trees.findByBlockIdOrderByRowNoAscPlaceNoAsc(id);
        standing.stream()
                .filter(tree -> !layout.has(tree.rowNo(), tree.placeNo()))
                .findFirst()
                .ifPresent(tree -> {
                    throw new Refused(
                            HttpStatus.CONFLICT,
                            Statement.of("problem.tree-outside")
                                    .with("tree", Value.name(tree.label()))
                                    .with("rows", Value.count(layout.rows()))
                                    .with("places", Value.count(layout.places())));
                });
        block.correct(
                entry.name().strip(),
                entry.species(),
                entry.system(),
                text(entry.cultivar()),
                entry.stock(),
                text(entry.note()));
        block.correctPlanting(entry.plantedYear(), entry.treeCount(), entry.inRowM(), entry.betweenRowsM());
        block.rows(layout).at(entry.eastM(), entry.northM()).laidOut(entry.rowBearingDeg(), entry.betweenRowsM());
        standing.forEach(OrchardTree::nameByPlace);
        return blocks.saveAndFlush(block).id();
    }

    @Transactional
    public boolean archiveBlock(long id, boolean away) {
        Block block = blockOf(id);
        block.archive(away);
        return blocks.saveAndFlush(block).archived();
    }

    @Transactional
    public void deleteBlock(long id) {
        Block block = blockOf(id);
        List<OrchardTree> own = trees.findByBlockIdOrderByRowNoAscPlaceNoAsc(id);
        Optional<OrchardTree> kept =
                own.stream().filter(tree -> hasRecords(tree.id())).findFirst();
        if (kept.isPresent()) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    Statement.of("problem.tree-of-block-has-records")
                            .with("name", Value.name(kept.get().label())));
        }
        if (dependents.stream().anyMatch(one -> one.hasAnyOfBlock(id))) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    Statement.of("problem.block-has-harvests").with("name", Value.name(block.name())));
        }
        trees.deleteAll(own);
        blocks.delete(block);
    }

    @Transactional(readOnly = true)
    public SetupEntries.TreeSetUp tree(long id) {
        return line(treeOf(id));
    }

    @Transactional
    public SetupEntries.TreeSetUp moveTree(long id, SetupEntries.TreeEntry entry) {
        OrchardTree tree = treeOf(id);
        Block to = blockOf(entry.blockId());
        to.requirePlace(entry.row(), entry.place());
        trees.findByBlockIdAndRowNoAndPlaceNo(to.id(), entry.row(), entry.place())
                .filter(other -> !other.id().equals(id))
                .ifPresent(other -> {
                    throw new Refused(
                            HttpStatus.CONFLICT,
                            Statement.of("problem.place-taken")
                                    .with("tree", Value.name(other.label()))
                                    .with("archived", Value.choice(other.archived() ? "yes" : "no")));
                });
        tree.move(to, entry.row(), entry.place());
        return line(trees.saveAndFlush(tree));
    }

    @Transactional
    public SetupEntries.TreeSetUp archiveTree(long id, boolean away) {
        OrchardTree tree = treeOf(id);
        tree.archive(away);
        return line(trees.saveAndFlush(tree));
    }

    @Transactional
    public void deleteTree(long id) {
        OrchardTree tree = treeOf(id);
        if (hasRecords(id)) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    Statement.of("problem.tree-has-records").with("name", Value.name(tree.label())));
        }
        trees.delete(tree);
    }

    private void check(SetupEntries.BlockEntry entry, Holding holding, Block itself) {
        if (!knowledge.isCounted(entry.species())) {
            knowledge.species(entry.species());
            knowledge.system(entry.system());
        }
        int year = LocalDate.now(clock.withZone(holding.timeZone())).getYear();
        if (entry.plantedYear() > year + 1) {
            throw new Refused(HttpStatus.BAD_REQUEST, Statement.of("problem.planted-in-future"));
        }
        boolean taken = blocks.findAllByOrderById().stream()
                .filter(one -> itself == null || !one.id().equals(itself.id()))
                .anyMatch(one -> one.holding().id().equals(holding.id())
                        && one.name().equalsIgnoreCase(entry.name().strip()));
        if (taken) {
            throw new Refused(HttpStatus.CONFLICT, Statement.of("problem.block-name-taken"));
        }
        RowLayout layout = layout(entry);
        if ((long) layout.rows() * layout.places() < entry.treeCount()) {
            throw new Refused(
                    HttpStatus.BAD_REQUEST,
                    Statement.of("problem.too-few-places")
                            .with("rows", Value.count(layout.rows()))
                            .with("places", Value.count(layout.places()))
                            .with("trees", Value.count(entry.treeCount())));
        }
    }

    private static RowLayout layout(SetupEntries.BlockEntry entry) {
        RowLayout usual = RowLayout.estimated(entry.treeCount(), entry.inRowM(), entry.betweenRowsM());
        if (entry.rows() == null && entry.placesPerRow() == null) {
            return usual;
        }
        int rows = entry.rows() == null ? ceilDiv(entry.treeCount(), entry.placesPerRow()) : entry.rows();
        int places = entry.placesPerRow() == null ? ceilDiv(entry.treeCount(), rows) : entry.placesPerRow();
        return new RowLayout(rows, places);
    }

    private static int ceilDiv(int all, int by) {
        return (all + by - 1) / by;
    }

    private static void checkZone(SetupEntries.HoldingEntry entry) {
        try {
            entry.zone();
        } catch (DateTimeException e) {
            throw new Refused(HttpStatus.BAD_REQUEST, Statement.of("problem.no-such-time-zone"));
        }
    }

    private boolean hasRecords(long treeId) {
        return dependents.stream().anyMatch(one -> one.hasAny(treeId));
    }

    private static String text(String given) {
        return given == null ? "" : given.strip();
    }

    private long blocksOf(Holding holding) {
        return blocks.findAllByOrderById().stream()
                .filter(one -> one.holding().id().equals(holding.id()))
                .count();
    }

    private SetupEntries.HoldingLine line(Holding holding) {
        return new SetupEntries.HoldingLine(
                holding.id(),
                holding.name(),
                holding.latitudeDeg(),
                holding.elevationM(),
                holding.timeZone().getId(),
                (int) blocksOf(holding));
    }

    private SetupEntries.TreeSetUp line(OrchardTree tree) {
        return new SetupEntries.TreeSetUp(
                tree.id(),
                tree.label(),
                tree.block().id(),
                tree.rowNo(),
                tree.placeNo(),
                tree.archived(),
                !hasRecords(tree.id()));
    }

    private Holding holdingOf(long id) {
        return holdings.findById(id).orElseThrow(() -> new NotFound("holding", id));
    }

    private Block blockOf(long id) {
        return blocks.existing(id);
    }

    private OrchardTree treeOf(long id) {
        return trees.existing(id);
    }
}
