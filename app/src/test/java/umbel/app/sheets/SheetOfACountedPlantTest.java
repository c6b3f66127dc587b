package umbel.app.sheets;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import umbel.app.log.RecordRepository;
import umbel.app.orchard.Block;
import umbel.app.orchard.Holding;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.plan.DecidedTrees;
import umbel.app.plan.MarkedLabour;
import umbel.app.plan.SavedDecisionsRepository;
import umbel.assess.Mark;
import umbel.crew.WorkKind;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.SafetyLimits;
import umbel.cut.Target;
import umbel.growth.BlockCalibration;
import umbel.growth.Comparison;
import umbel.knowledge.Caution;
import umbel.knowledge.Knowledge;
import umbel.plant.CountedPlant;
import umbel.plant.Plant;
import umbel.plant.PlantFacts;
import umbel.plant.Visit;
import umbel.plant.VisitTotals;
import umbel.reading.Finding;
import umbel.season.FollowUps;
import umbel.season.Phenology;
import umbel.survey.Survey;
import umbel.work.Tool;

/** A sheet is written for a plant of which canes are counted as for a tree: nothing in it asks for wood, cuts or light. */
class SheetOfACountedPlantTest {

    private static final long PLACE = 7;

    /** A bush of two canes of which one goes. */
    private static final class Bush implements CountedPlant {

        @Override
        public PlantFacts facts() {
            return new PlantFacts(
                    "",
                    "bush",
                    "Open bush",
                    6,
                    1.5,
                    List.of(new PlantFacts.Part("c1", 0.012, 1.1), new PlantFacts.Part("c2", 0.031, 1.4)),
                    1.8,
                    LocalDate.of(2026, 11, 2));
        }

        @Override
        public List<Finding> findings() {
            return List.of();
        }

        @Override
        public double shade() {
            return 0;
        }

        @Override
        public boolean isShaded() {
            return false;
        }

        @Override
        public Visit visit(List<Mark> marks) {
            return new Visit(
                    marks.stream()
                            .map(mark -> new Visit.Step(
                                    mark.toOperation(),
                                    new Effect(
                                            Tool.LOPPER,
                                            1,
                                            0.031,
                                            0.1,
                                            false,
                                            false,
                                            false,
                                            0.6,
                                            0.2,
                                            0.2,
                                            0.1,
                                            false,
                                            0.5,
                                            1)))
                            .toList(),
                    0.25);
        }

        @Override
        public VisitTotals totals(List<Mark> marks) {
            throw new UnsupportedOperationException();
        }

        @Override
        public List<Mark> inOrder(List<Mark> marks) {
            return marks;
        }

        @Override
        public List<String> cautions(Visit.Step step, List<Caution> known) {
            return List.of();
        }

        @Override
        public List<FollowUps.FollowUp> followUps(Visit done, VisitTotals after, LocalDate doneOn, Phenology year) {
            return List.of();
        }

        @Override
        public Survey expected(List<Mark> done, BlockCalibration learned, boolean seasonPassed, LocalDate today) {
            throw new UnsupportedOperationException();
        }

        @Override
        public Comparison compare(List<Mark> done, Plant later, double fruits) {
            throw new UnsupportedOperationException();
        }

        @Override
        public String sheet(List<Mark> marks, double from) {
            return "<svg data-canes=\"2\"/>";
        }
    }

    @Test
    void itsCanesAreTheStepsAndThePartsOfTheSheet() {
        Mark oldCane = Mark.of(Operation.remove(Target.limb("c2")));
        Holding holding = mock(Holding.class);
        Block block = mock(Block.class);
        OrchardTree place = mock(OrchardTree.class);
        when(holding.timeZone()).thenReturn(java.time.ZoneOffset.UTC);
        when(block.holding()).thenReturn(holding);
        when(block.name()).thenReturn("Blue Bank");
        when(place.block()).thenReturn(block);
        when(place.safetyLimits()).thenReturn(SafetyLimits.none());
        when(place.id()).thenReturn(PLACE);
        when(place.label()).thenReturn("Blue Bank 1-7");
        TreeRepository places = mock(TreeRepository.class);
        when(places.findById(PLACE)).thenReturn(Optional.of(place));
        DecidedTrees plans = mock(DecidedTrees.class);
        when(plans.plant(PLACE)).thenReturn(new Bush());
        when(plans.newestSurvey(PLACE)).thenReturn(3L);
        when(plans.markedInOrder(PLACE)).thenReturn(List.of(oldCane));
        SheetService sheets = new SheetService(
                places,
                mock(SavedDecisionsRepository.class),
                mock(RecordRepository.class),
                plans,
                mock(MarkedLabour.class),
                Knowledge.shipped());

        FieldSheet sheet = sheets.of(PLACE);

        assertThat(sheet.kind()).isEqualTo("bush, open bush");
        assertThat(sheet.steps()).hasSize(1);
        assertThat(sheet.steps().get(0).mark()).isEqualTo(oldCane);
        assertThat(sheet.steps().get(0).title().get("es")).contains("c2");
        assertThat(sheet.minutes()).isEqualTo(0.8);
        assertThat(sheet.limbs()).extracting(FieldSheet.FieldLimb::id).containsExactly("c1", "c2");
        assertThat(sheet.south()).contains("data-canes");
    }

    @Test
    void itsWorkIsCountedByWhoMayDoIt() {
        assertThat(new Bush()
                        .visit(List.of(Mark.of(Operation.remove(Target.limb("c2")))))
                        .minutesByKind())
                .containsOnlyKeys(WorkKind.DETAIL)
                .containsEntry(WorkKind.DETAIL, 0.75);
        assertThat(new Bush().visit(List.of()).minutesByKind().getOrDefault(WorkKind.DETAIL, 0.0))
                .isZero();
    }
}
