package umbel.app.demo;

import java.time.Clock;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import org.springframework.stereotype.Component;
import umbel.app.harvest.Picking;
import umbel.app.harvest.PickingRepository;
import umbel.app.orchard.Block;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.growth.InitialState;
import umbel.growth.Season;
import umbel.knowledge.Knowledge;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.practice.SurveyYearEarlier;
import umbel.practice.SurveyYearLater;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Plants invented trees in blocks of the demo and surveys them, some a year ago as well. */
@Component
class DemoSurveys {

    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final PickingRepository pickings;
    private final Knowledge knowledge;
    private final Clock clock = Clock.systemDefaultZone();

    DemoSurveys(TreeRepository trees, SurveyRepository surveys, PickingRepository pickings, Knowledge knowledge) {
        this.trees = trees;
        this.surveys = surveys;
        this.pickings = pickings;
        this.knowledge = knowledge;
    }

    /** A tree planted in its place and surveyed these days. */
    SurveyEntry survey(Block block, int row, int place, int leaf, long seed, String cultivar, Fault... faults) {
        OrchardTree tree = trees.save(new OrchardTree(block, row, place));
        return save(tree, block, PracticeTree.survey(block.species(), block.system(), leaf, seed, faults), cultivar);
    }

    /** A tree surveyed last year as well, as it would have been then. */
    void surveyBefore(Block block, int row, int place, int leaf, long seed, String cultivar, Fault... faults) {
        SurveyEntry now = survey(block, row, place, leaf, seed, cultivar, faults);
        Survey before = SurveyYearEarlier.of(SurveyReader.read(now.document()));
        surveys.save(new SurveyEntry(
                now.tree(), now.surveyedOn().minusYears(1), SurveyReader.write(before), clock.instant()));
    }

    /** A tree surveyed last year as well, and its fruit counted; what grew since grew by the model, and was measured in haste. */
    void surveyAYearOn(
            Block block, MonthDay picking, int row, int place, int leaf, long seed, String cultivar, Fault... faults) {
        OrchardTree tree = trees.save(new OrchardTree(block, row, place));
        Survey made = PracticeTree.survey(block.species(), block.system(), leaf, seed, faults);
        Survey before = SurveyYearEarlier.of(inBlock(tree, block, made, cultivar));
        Tree stood = TreeBuilder.build(before, knowledge, 1);
        Season.Year season = Season.grow(InitialState.of(stood, seed), Season.Work.NONE);
        for (Survey one :
                List.of(before, SurveyYearLater.of(before, season.after().tree(), seed))) {
            surveys.save(new SurveyEntry(tree, one.surveyedOn(), SurveyReader.write(one), clock.instant()));
        }
        pickings.save(new Picking(
                block,
                tree,
                "harvest",
                picking.atYear(before.surveyedOn().getYear() + 1),
                null,
                (int) Math.round(season.fruits()),
                false,
                "Counted on the tree.",
                clock.instant()));
    }

    private SurveyEntry save(OrchardTree tree, Block block, Survey made, String cultivar) {
        Survey own = inBlock(tree, block, made, cultivar);
        return surveys.save(new SurveyEntry(tree, own.surveyedOn(), SurveyReader.write(own), clock.instant()));
    }

    /** An invented survey as one of a tree of this block, made these days. */
    private Survey inBlock(OrchardTree tree, Block block, Survey made, String cultivar) {
        Survey.TreeFacts facts = made.tree();
        String habit = cultivar.equals("Merrow Late") ? "tip" : "standard";
        LocalDate day = LocalDate.now(clock).minusDays(3);
        return new Survey(
                Survey.FORMAT,
                new Survey.TreeFacts(
                        tree.label(),
                        facts.species(),
                        facts.leaf(),
                        facts.system(),
                        new Survey.Cultivar(cultivar, habit, "moderate", "moderate"),
                        new Survey.Rootstock("", block.stock()),
                        facts.spacing(),
                        block.rowBearingDeg()),
                Survey.Site.level(block.holding().latitudeDeg(), block.holding().elevationM()),
                day,
                made.trunk(),
                made.limbs());
    }
}
