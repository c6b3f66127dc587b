package umbel.app.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.after;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.InOrder;
import org.springframework.beans.factory.ObjectProvider;
import umbel.app.UmbelSettings;
import umbel.app.farm.FarmScope;
import umbel.app.farm.Farms;
import umbel.app.plan.AnswersAhead;
import umbel.app.plan.PlanWorth;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;
import umbel.survey.Survey;

/** What is worked out after a start, before anybody asks. */
class PreparationTest {

    private static final long FARM = 7;
    private static final int WAIT_MS = 10_000;

    private final Farms farms = mock(Farms.class);
    private final TreePlanning planning = mock(TreePlanning.class);
    private final PlanWorth worths = mock(PlanWorth.class);
    private final AnswersAhead ahead = mock(AnswersAhead.class);
    private final SurveyRepository surveys = mock(SurveyRepository.class);
    private final SurveyEntry first = survey(31);
    private final SurveyEntry second = survey(12);
    private Preparation preparation;

    private static SurveyEntry survey(long id) {
        SurveyEntry survey = mock(SurveyEntry.class);
        when(survey.id()).thenReturn(id);
        return survey;
    }

    private static SurveyLine line(long id) {
        return new SurveyLine(id, LocalDate.EPOCH, Survey.FORMAT, id, 1L, "North 1-" + id, 1, (int) id);
    }

    @SuppressWarnings("unchecked")
    private static <T> ObjectProvider<T> provider(T part) {
        ObjectProvider<T> provider = mock(ObjectProvider.class);
        when(provider.getObject()).thenReturn(part);
        return provider;
    }

    @BeforeEach
    void twoTrees() {
        when(farms.numberOfFirst()).thenReturn(FARM);
        when(surveys.tellNewest()).thenReturn(List.of(line(31), line(12)));
        when(surveys.findWithTrees(any())).thenReturn(List.of(second, first));
        when(surveys.findInOrder(any())).thenCallRealMethod();
    }

    @AfterEach
    void end() {
        preparation.end();
    }

    private void begin(boolean demo, Duration after) {
        preparation = new Preparation(
                new UmbelSettings(null, demo, null, null, null, null, null, null, 0, after, null, 0),
                farms,
                provider(planning),
                provider(worths),
                provider(ahead),
                surveys);
        preparation.begin();
    }

    @Test
    void theFirstTreesOfTheListsArePlannedInTheirOrderForTheFirstFarm() {
        long[] farm = {0};
        when(worths.of(first)).thenAnswer(call -> {
            farm[0] = FarmScope.current();
            return null;
        });
        begin(false, Duration.ZERO);
        verify(ahead, timeout(WAIT_MS)).of(second);
        InOrder order = inOrder(worths, ahead);
        order.verify(worths).of(first);
        order.verify(ahead).of(first);
        order.verify(worths).of(second);
        verify(planning, after(100).never()).beginChanged();
        assertThat(farm[0]).isEqualTo(FARM);
    }

    @Test
    void withTheDemoAllItsPlansAreKept() {
        begin(true, Duration.ZERO);
        verify(planning, timeout(WAIT_MS)).beginChanged();
    }

    @Test
    void itCanBeTurnedOff() {
        begin(true, Duration.ofSeconds(-1));
        verify(surveys, after(200).never()).tellNewest();
        verify(worths, never()).of(any());
    }

    @Test
    void whereThereIsNothingYetNothingIsRead() {
        when(surveys.tellNewest()).thenReturn(List.of());
        begin(false, Duration.ZERO);
        verify(surveys, timeout(WAIT_MS)).tellNewest();
        verify(surveys, after(100).never()).findWithTrees(any());
    }
}
