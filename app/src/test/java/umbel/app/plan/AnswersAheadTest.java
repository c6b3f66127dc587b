package umbel.app.plan;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import umbel.app.answer.KeptAnswers;
import umbel.app.survey.SurveyEntry;
import umbel.text.Speech;
import umbel.text.UnitSystem;

/** Answering ahead never keeps a tree from being planned, and stops where there is no more room. */
class AnswersAheadTest {

    private static final long TREE = 12;

    private final KeptAnswers kept = mock(KeptAnswers.class);
    private final TreeDecisions decided = mock(TreeDecisions.class);
    private final TreePageService pages = mock(TreePageService.class);
    private final PlanService plans = mock(PlanService.class);
    private final SurveyEntry survey = mock(SurveyEntry.class, RETURNS_DEEP_STUBS);
    private final AnswersAhead ahead = new AnswersAhead(kept, decided, pages, plans);

    @BeforeEach
    void aTreeWithRoom() {
        when(survey.tree().id()).thenReturn(TREE);
        when(kept.hasRoomAhead()).thenReturn(true);
        when(kept.speeches()).thenReturn(List.of(Speech.english(), Speech.of("es", UnitSystem.METRIC)));
        when(decided.on(TREE, survey)).thenReturn(new TreeDecisions.Current(Decisions.none(), -1, false));
    }

    @Test
    void everyLanguageIsAnswered() {
        ahead.of(survey);
        verify(pages, times(2)).shown(survey, Decisions.none());
        verify(plans, times(2)).firstPlan(survey, Decisions.none());
    }

    @Test
    void marksThatCannotBeDoneAnyMoreAreLeftToWhoeverOpensTheTree() {
        when(plans.firstPlan(survey, Decisions.none())).thenThrow(new IllegalStateException("limb 3 is gone"));
        ahead.of(survey);
        verify(plans).firstPlan(survey, Decisions.none());
    }

    @Test
    void withoutRoomNothingIsWorkedOut() {
        when(kept.hasRoomAhead()).thenReturn(false);
        ahead.of(survey);
        verify(pages, never()).shown(any(), any());
    }
}
