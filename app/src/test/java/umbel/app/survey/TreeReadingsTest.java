package umbel.app.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import umbel.app.orchard.Block;
import umbel.app.orchard.OrchardTree;
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

    private static final long BLOCK = 7;
    private static final LocalDate DAY = LocalDate.of(2026, 1, 15);

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

    /** The trunks of a block are looked through again once anything in it has changed, and not for each of its trees. */
    @Test
    void aBlockIsLookedThroughOnceAsLongAsNothingInItChanges() {
        SurveyRepository surveys = mock(SurveyRepository.class);
        BlockState states = mock(BlockState.class);
        Block block = mock(Block.class);
        when(block.id()).thenReturn(BLOCK);
        List<SurveyEntry> entries = LongStream.rangeClosed(1, 3)
                .mapToObj(id -> standing(entry(id), id, block))
                .toList();
        List<SurveyLine> lines = entries.stream()
                .map(one -> new SurveyLine(one.id(), DAY, "umbel-survey/1", one.id(), BLOCK, "", 1, 1))
                .toList();
        when(surveys.tellNewestOfBlock(BLOCK)).thenReturn(lines);
        when(surveys.documents(any())).thenCallRealMethod();
        List<SurveyDocument> documents = entries.stream()
                .map(one -> new SurveyDocument(one.id(), one.id(), DAY, "umbel-survey/1", one.document()))
                .toList();
        when(surveys.tellDocuments(any())).thenReturn(documents);
        TreeReadings looking = new TreeReadings(
                new Assessor(Knowledge.shipped()),
                surveys,
                Knowledge.shipped(),
                (blockId, day) -> Optional.empty(),
                one -> MeasuredFactors.NONE,
                states);

        when(states.now(BLOCK)).thenReturn("before");
        double trunk = SurveyReader.read(entries.get(0).document()).trunk().diameterMm();
        for (SurveyEntry one : entries) {
            assertThat(looking.lookAroundNow(one).rowMedianSection())
                    .isCloseTo(Math.PI / 4 * trunk * trunk / 1e6, within(1e-9));
        }
        verify(surveys, times(1)).tellNewestOfBlock(BLOCK);

        when(states.lately(BLOCK)).thenReturn("after");
        looking.neighboursOf(entries.get(0));
        verify(surveys, times(2)).tellNewestOfBlock(BLOCK);
    }

    private static SurveyEntry standing(SurveyEntry entry, long id, Block block) {
        OrchardTree tree = mock(OrchardTree.class);
        when(tree.id()).thenReturn(id);
        when(tree.block()).thenReturn(block);
        when(entry.tree()).thenReturn(tree);
        when(entry.surveyedOn()).thenReturn(DAY);
        return entry;
    }

    private static SurveyEntry entry(long id, Fault... faults) {
        SurveyEntry entry = mock(SurveyEntry.class);
        when(entry.id()).thenReturn(id);
        when(entry.document()).thenReturn(SurveyReader.write(PracticeTree.survey("tall-spindle", 4, 9, faults)));
        return entry;
    }
}
