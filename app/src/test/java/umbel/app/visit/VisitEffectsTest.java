package umbel.app.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.ArgumentMatchers.isNull;
import static org.mockito.Mockito.after;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.util.ReflectionTestUtils;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.farm.FarmScope;
import umbel.app.log.DueEffects;
import umbel.app.log.EffectsKept;
import umbel.app.log.RecordRepository;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.Block;
import umbel.app.orchard.Holding;
import umbel.app.orchard.OrchardTree;
import umbel.app.season.SeasonService;
import umbel.app.survey.BlockState;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.assess.Assessor;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.reading.MeasuredFactors;
import umbel.survey.SurveyReader;

/** What a visit came to is worked out after it was saved, once. */
class VisitEffectsTest {

    private static final long RECORD = 77;
    private static final int WAIT_MS = 20_000;

    private final RecordRepository records = mock(RecordRepository.class);
    private final SurveyRepository surveys = mock(SurveyRepository.class);
    private final SeasonService season = mock(SeasonService.class);
    private final OrchardTree tree = new OrchardTree(
            new Block(
                    new Holding("Test", 47, 400),
                    "North",
                    "apple",
                    "tall-spindle",
                    "",
                    "dwarfing",
                    2022,
                    10,
                    1,
                    3.5,
                    0,
                    ""),
            1,
            2);
    private final List<Object> events = new ArrayList<>();
    private VisitEffects effects;

    @BeforeEach
    void start() {
        Knowledge knowledge = Knowledge.shipped();
        effects = new VisitEffects(
                records,
                mock(FollowUpRepository.class),
                surveys,
                new TreeReadings(
                        new Assessor(knowledge),
                        surveys,
                        knowledge,
                        (blockId, day) -> Optional.empty(),
                        one -> MeasuredFactors.NONE,
                        mock(BlockState.class)),
                season,
                knowledge,
                Clock.systemUTC(),
                new TransactionTemplate(mock(PlatformTransactionManager.class)),
                events::add);
    }

    @AfterEach
    void end() {
        effects.end();
    }

    private void saved(String limb) {
        SurveyEntry survey = new SurveyEntry(
                tree,
                LocalDate.of(2026, 2, 1),
                SurveyReader.write(PracticeTree.survey("tall-spindle", 5, 7)),
                Instant.EPOCH);
        ReflectionTestUtils.setField(survey, "id", 3L);
        WorkRecord record = new WorkRecord(
                        tree,
                        survey.line(),
                        null,
                        LocalDate.of(2026, 3, 1),
                        "Ines",
                        5,
                        "",
                        "[{\"mark\":{\"operation\":\"remove\",\"limb\":\"" + limb
                                + "\"},\"title\":\"Off\",\"outcome\":\"as-planned\",\"reason\":\"\"}]",
                        Instant.EPOCH)
                .worked(true)
                .dueEffects();
        ReflectionTestUtils.setField(record, "id", RECORD);
        when(surveys.findById(3L)).thenReturn(Optional.of(survey));
        when(records.findById(RECORD)).thenReturn(Optional.of(record));
    }

    @Test
    void whatItCameToIsKept() {
        saved("2");
        when(records.keepEffects(anyLong(), any(), any(), any())).thenReturn(1);
        effects.workOut(RECORD);
        verify(records)
                .keepEffects(
                        eq(RECORD), argThat(text -> text.contains("woodShare")), any(Double.class), any(Double.class));
        verify(season).yearOf(any(), any());
        assertThat(events).as("sums over the years are made again").containsExactly(new EffectsKept(null));
    }

    @Test
    void nothingFollowsFromAVisitThatWasCorrectedMeanwhile() {
        saved("2");
        when(records.keepEffects(anyLong(), any(), any(), any())).thenReturn(0);
        effects.workOut(RECORD);
        verify(season, never()).yearOf(any(), any());
    }

    @Test
    void wherePartsAreMissingNothingIsToldAndItIsNotTriedForEver() {
        saved("no such limb");
        when(records.keepEffects(anyLong(), any(), any(), any())).thenReturn(1);
        effects.workOut(RECORD);
        verify(records).keepEffects(eq(RECORD), isNull(), isNull(), isNull());
        verify(season, never()).yearOf(any(), any());
    }

    @Test
    void whatAKilledNodeLeftIsGoneOnWithInTheFarmItBelongsTo() {
        saved("2");
        long[] farm = {0};
        when(records.keepEffects(anyLong(), any(), any(), any())).thenAnswer(call -> {
            farm[0] = FarmScope.current();
            return 1;
        });
        when(records.findEffectsDue(any(), any())).thenReturn(List.of(new DueEffects(12L, RECORD)));
        FarmScope.acrossFarms(() -> {
            effects.resume();
            return null;
        });
        verify(season, timeout(WAIT_MS)).yearOf(any(), any());
        assertThat(farm[0]).isEqualTo(12);
    }

    @Test
    void whatIsWorkedOutAlreadyIsLeftAlone() {
        when(records.findById(RECORD)).thenReturn(Optional.empty());
        FarmScope.run(12, () -> effects.saved(new VisitService.VisitSaved(RECORD)));
        verify(records, after(300).never()).keepEffects(anyLong(), any(), any(), any());
    }
}
