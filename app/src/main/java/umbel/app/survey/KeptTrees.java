package umbel.app.survey;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import umbel.app.http.Refused;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.OrchardSetup;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.SetupEntries;
import umbel.app.orchard.TreeRepository;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Setting;

/** Keeps a tree that was looked at before it had a place: its survey, with the tree and, where there is none, the block and holding. */
@Service
public class KeptTrees {

    private static final int ROW = 1;

    private final OrchardSetup setup;
    private final BlockRepository blocks;
    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final Assessor assessor;
    private final Clock clock;

    KeptTrees(
            OrchardSetup setup,
            BlockRepository blocks,
            TreeRepository trees,
            SurveyRepository surveys,
            Assessor assessor,
            Clock clock) {
        this.setup = setup;
        this.blocks = blocks;
        this.trees = trees;
        this.surveys = surveys;
        this.assessor = assessor;
        this.clock = clock;
    }

    /**
     * Where a tree is to stand that is kept: at a free place of a block, or as the first tree of a new block, whose holding may be
     * new too.
     *
     * @param place in a block there is; null for a new block
     * @param block a new block; null where there is a place
     */
    public record WhereKept(
            @Valid SetupEntries.TreeEntry place, @Valid NewBlock block) {}

    /**
     * A block that is begun with one tree and is laid out as the tree's survey says.
     *
     * @param holdingId the holding it belongs to; null for a new one
     * @param holding a new holding; null where there is one
     */
    public record NewBlock(
            @NotBlank @Size(max = 110) String name,

            Long holdingId,

            @Valid SetupEntries.HoldingEntry holding) {}

    /** A tree that was kept, by its id and the name it has now. */
    public record KeptTree(long treeId, String label) {}

    /**
     * Keeps a survey and all that it needs, or nothing of it.
     *
     * @throws Refused where it is said neither or both ways where the tree stands, or a surveyed tree stands there
     * @throws umbel.survey.InvalidSurvey where the survey cannot be taken
     */
    @Transactional
    public KeptTree keep(Survey survey, @NotNull WhereKept where) {
        Setting setting = assessor.tree(AssessRequest.of(survey)).setting();
        if ((where.place() == null) == (where.block() == null)) {
            throw new Refused(HttpStatus.BAD_REQUEST, Statement.of("problem.place-or-block"));
        }
        OrchardTree tree = where.place() != null ? at(where.place()) : first(where.block(), setting, survey);
        LocalDate day = SurveyDay.of(survey.surveyedOn(), tree.block().holding(), clock);
        surveys.save(new SurveyEntry(tree, day, SurveyReader.write(survey), clock.instant()));
        return new KeptTree(tree.id(), tree.label());
    }

    private OrchardTree at(SetupEntries.TreeEntry place) {
        Block block = block(place.blockId());
        block.requirePlace(place.row(), place.place());
        OrchardTree tree = trees.findByBlockIdAndRowNoAndPlaceNo(block.id(), place.row(), place.place())
                .orElseGet(() -> trees.save(new OrchardTree(block, place.row(), place.place())));
        if (tree.archived() || !surveys.findAllOfTree(tree.id()).isEmpty()) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    Statement.of("problem.place-taken")
                            .with("tree", Value.name(tree.label()))
                            .with("archived", Value.choice(tree.archived() ? "yes" : "no")));
        }
        return tree;
    }

    private OrchardTree first(NewBlock asked, Setting setting, Survey survey) {
        if ((asked.holdingId() == null) == (asked.holding() == null)) {
            throw new Refused(HttpStatus.BAD_REQUEST, Statement.of("problem.holding-or-new"));
        }
        long holding = asked.holdingId() != null ? asked.holdingId() : setup.addHolding(asked.holding());
        Setting.Place place = setting.place();
        String cultivar =
                survey.tree().cultivar() == null ? "" : survey.tree().cultivar().name();
        long id = setup.addBlock(new SetupEntries.BlockEntry(
                holding,
                asked.name(),
                setting.species().id(),
                setting.system().id(),
                cultivar,
                setting.cultivar().stock(),
                LocalDate.now(clock).getYear() - setting.leaf(),
                1,
                place.inRow(),
                place.betweenRows(),
                bearingDeg(place),
                0,
                0,
                null,
                ROW,
                1));
        return trees.save(new OrchardTree(block(id), ROW, 1));
    }

    private static double bearingDeg(Setting.Place place) {
        double degrees = Math.toDegrees(place.rowBearing()) % 360;
        return degrees < 0 ? degrees + 360 : degrees;
    }

    private Block block(long id) {
        return blocks.existing(id);
    }
}
