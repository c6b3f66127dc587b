package umbel.app.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import umbel.assess.Assessor;
import umbel.knowledge.Knowledge;
import umbel.knowledge.NotSupported;
import umbel.plant.SurveyedTree;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.reading.MeasuredFactors;
import umbel.reading.Neighbours;
import umbel.survey.SurveyReader;

class TreeReadingsTest {

    private final TreeReadings readings = new TreeReadings(
            new Assessor(Knowledge.shipped()),
            mock(SurveyRepository.class),
            Knowledge.shipped(),
            (blockId, day) -> Optional.empty(),
            one -> MeasuredFactors.NONE,
            mock(BlockState.class));

    @Test
    void aSavedSurveyIsReadOnceForEachSchoolAndReach() {
        SurveyEntry entry = entry(1, Fault.TIGHT_CROTCH);
        SurveyedTree first = readings.of(entry);
        assertThat(readings.of(entry)).isSameAs(first);
        assertThat(readings.of(entry, "classic", Map.of(), null, Neighbours.NONE))
                .as("the usual school by name")
                .isSameAs(first);
        assertThat(readings.of(entry, "gentle", Map.of(), null, Neighbours.NONE))
                .isNotSameAs(first);
        assertThat(readings.of(entry, null, Map.of(), 1.5, Neighbours.NONE)).isNotSameAs(first);
    }

    @Test
    void differentSurveysAreDifferentTrees() {
        SurveyedTree plain = readings.of(entry(1));
        SurveyedTree tight = readings.of(entry(2, Fault.TIGHT_CROTCH));
        assertThat(plain.reading().findings())
                .extracting(finding -> finding.rule().id())
                .doesNotContain("tight-crotch");
        assertThat(tight.reading().findings())
                .extracting(finding -> finding.rule().id())
                .contains("tight-crotch");
    }

    @Test
    void reachMovesWhatIsTooHigh() {
        SurveyEntry entry = entry(3);
        assertThat(readings.of(entry, null, Map.of(), 1.2, Neighbours.NONE)
                        .reading()
                        .findings())
                .extracting(finding -> finding.rule().id())
                .contains("over-height");
        assertThat(readings.of(entry, null, Map.of(), 3.0, Neighbours.NONE)
                        .reading()
                        .findings())
                .extracting(finding -> finding.rule().id())
                .doesNotContain("over-height");
    }

    @Test
    void aSchoolNobodyKnowsIsRefused() {
        assertThatThrownBy(() -> readings.of(entry(4), "wild", Map.of(), null, Neighbours.NONE))
                .isInstanceOf(NotSupported.class);
    }

    private static SurveyEntry entry(long id, Fault... faults) {
        SurveyEntry entry = mock(SurveyEntry.class);
        when(entry.id()).thenReturn(id);
        when(entry.document()).thenReturn(SurveyReader.write(PracticeTree.survey("tall-spindle", 4, 9, faults)));
        return entry;
    }
}
