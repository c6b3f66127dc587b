package umbel.app.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.app.harvest.PickingRepository;
import umbel.app.log.RecordRepository;
import umbel.app.orchard.Block;
import umbel.app.orchard.OrchardTree;
import umbel.app.survey.BlockState;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.knowledge.Knowledge;
import umbel.plant.PlantFacts;
import umbel.plant.SurveyedTree;
import umbel.survey.Survey;

/** Which seasons of a block's trees are looked at. */
class LearningServiceTest {

    private static final LocalDate FIRST = LocalDate.of(2020, 1, 1);

    private final SurveyRepository surveys = mock(SurveyRepository.class);
    private final TreeReadings readings = mock(TreeReadings.class);
    private final LearningService learning = new LearningService(
            surveys,
            mock(RecordRepository.class),
            mock(PickingRepository.class),
            readings,
            mock(BlockState.class),
            Knowledge.shipped());

    LearningServiceTest() {
        SurveyedTree plant = mock(SurveyedTree.class);
        when(plant.facts()).thenReturn(mock(PlantFacts.class));
        when(readings.plant(any())).thenReturn(plant);
        when(surveys.findWithTrees(any()))
                .thenAnswer(asked -> asked.<Collection<Long>>getArgument(0).stream()
                        .map(LearningServiceTest::entry)
                        .toList());
    }

    private static SurveyEntry entry(long id) {
        SurveyEntry entry = mock(SurveyEntry.class);
        when(entry.id()).thenReturn(id);
        when(entry.tree()).thenReturn(mock(OrchardTree.class));
        return entry;
    }

    /** Trees surveyed in two winters each, every tree a day after the one before; surveys 2n and 2n + 1 are of tree n. */
    private void surveyedTwice(int trees) {
        List<SurveyLine> lines = new ArrayList<>();
        for (long tree = 0; tree < trees; tree++) {
            LocalDate first = FIRST.plusDays(tree);
            lines.add(line(2 * tree + 1, tree, first.plusYears(1)));
            lines.add(line(2 * tree, tree, first));
        }
        when(surveys.tellAllOfBlock(0)).thenReturn(lines);
    }

    private static SurveyLine line(long id, long tree, LocalDate day) {
        return new SurveyLine(id, day, Survey.FORMAT, tree, 0L, "", 1, (int) tree);
    }

    private List<Long> laterSurveysChecked() {
        return learning.checked(mock(Block.class)).stream()
                .map(one -> one.later().id())
                .toList();
    }

    @Test
    void everySeasonOfAFewTreesIsChecked() {
        surveyedTwice(3);
        assertThat(laterSurveysChecked()).containsExactly(1L, 3L, 5L);
    }

    @Test
    void ofAThousandTreesTheLastSeasonsAreChecked() {
        int most = Knowledge.shipped().parameters().learning().seasonsMost();
        surveyedTwice(1_000);
        assertThat(laterSurveysChecked())
                .hasSize(most)
                .startsWith(2L * (1_000 - most) + 1)
                .endsWith(1_999L);
    }

    @Test
    void surveysOfOneWinterAreNoSeason() {
        when(surveys.tellAllOfBlock(0)).thenReturn(List.of(line(1, 0, FIRST.plusDays(40)), line(0, 0, FIRST)));
        assertThat(laterSurveysChecked()).isEmpty();
    }
}
