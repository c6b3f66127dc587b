package umbel.app.sheets;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.log.RecordRepository;
import umbel.app.orchard.Block;
import umbel.app.orchard.Holding;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.plan.AfterLine;
import umbel.app.plan.DecidedTrees;
import umbel.app.plan.MarkedLabour;
import umbel.app.plan.SavedDecisionsRepository;
import umbel.assess.Mark;
import umbel.counted.CountReader;
import umbel.crew.WorkKind;
import umbel.cut.SafetyLimits;
import umbel.knowledge.Knowledge;
import umbel.plant.CountedPlant;
import umbel.plant.Plant;

/** A sheet of a plant that is no tree: what the sheet asks of a plant is all it needs. */
class SheetOfACountedPlantTest {

    private static final long PLACE = 7;
    private static final Plant BUSH = CountedPlant.read(
            CountReader.read(JsonMapper.builder()
                    .build()
                    .readTree("{\"format\":\"umbel-count/1\",\"plant\":{\"kind\":\"blueberry\",\"leaf\":9},\"canes\":["
                            + "{\"id\":\"c1\",\"age_y\":2,\"count\":9},{\"id\":\"c2\",\"age_y\":8,\"diameter_mm\":26,"
                            + "\"height_cm\":160}]}")),
            Knowledge.shipped());
    private static final Mark OLD_CANE = new Mark("remove", "c2", null, null, null, null);

    @Test
    void itsCanesAreTheStepsAndThePartsOfTheSheet() {
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
        when(places.existing(PLACE)).thenReturn(place);
        DecidedTrees plans = mock(DecidedTrees.class);
        when(plans.plant(PLACE)).thenReturn(BUSH);
        when(plans.newestSurvey(PLACE)).thenReturn(3L);
        when(plans.markedInOrder(PLACE)).thenReturn(List.of(OLD_CANE));
        SheetService sheets = new SheetService(
                places,
                mock(SavedDecisionsRepository.class),
                mock(RecordRepository.class),
                plans,
                mock(MarkedLabour.class),
                Knowledge.shipped());

        FieldSheet sheet = sheets.of(PLACE);

        assertThat(sheet.kind().get("en")).isEqualTo("blueberry, bush");
        assertThat(sheet.kind().get("es")).isEqualTo("arándano, arbusto");
        assertThat(sheet.afterwards().get("en")).extracting(AfterLine::kind).containsExactly("tools", "prunings");
        assertThat(sheet.steps()).hasSize(1);
        assertThat(sheet.steps().get(0).mark()).isEqualTo(OLD_CANE);
        assertThat(sheet.steps().get(0).title().get("en")).isEqualTo("Out at the ground: cane c2");
        assertThat(sheet.steps().get(0).title().get("es")).isEqualTo("Fuera al ras: caña c2");
        assertThat(sheet.minutes()).isEqualTo(1.6);
        assertThat(sheet.limbs()).extracting(FieldSheet.FieldLimb::id).containsExactly("c1", "c2");
        assertThat(sheet.south()).contains("data-cane=\"c2\"");
    }

    @Test
    void itsWorkIsCountedByWhoMayDoIt() {
        assertThat(BUSH.visit(List.of(OLD_CANE)).minutesByKind())
                .containsOnlyKeys(WorkKind.DETAIL)
                .containsEntry(WorkKind.DETAIL, 1.6);
        assertThat(BUSH.visit(List.of()).minutesByKind().getOrDefault(WorkKind.DETAIL, 0.0))
                .isZero();
    }
}
