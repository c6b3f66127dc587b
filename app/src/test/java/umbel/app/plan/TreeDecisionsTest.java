package umbel.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.AdditionalAnswers;
import umbel.app.http.StaleVersion;
import umbel.app.orchard.OrchardTree;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.assess.Mark;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.growth.Moment;

/** What is decided on a tree: kept by version, left behind by a newer survey, lessened by what was done. */
class TreeDecisionsTest {

    private static final long TREE = 7;
    private static final Mark ONE = Mark.of(Operation.remove(Target.parse("1")));
    private static final Mark TWO = Mark.of(Operation.remove(Target.parse("2")));

    private final SavedDecisionsRepository works = mock(SavedDecisionsRepository.class);
    private final SurveyRepository surveys = mock(SurveyRepository.class);
    private final OrchardTree tree = mock(OrchardTree.class);
    private final SurveyEntry old = survey(1);
    private final SurveyEntry newer = survey(2);
    private final TreeDecisions decided = new TreeDecisions(works, surveys);

    private static SurveyEntry survey(long id) {
        SurveyEntry survey = mock(SurveyEntry.class);
        when(survey.id()).thenReturn(id);
        return survey;
    }

    private static Decisions marks(Mark... marks) {
        return new Decisions(List.of(marks), List.of("remove@9"), "gentle", null, null, Moment.BLOOM, 4, null);
    }

    @BeforeEach
    void aTreeWithNothingDecided() {
        when(tree.id()).thenReturn(TREE);
        when(works.findByTreeId(TREE)).thenReturn(Optional.empty());
        when(works.saveAndFlush(any())).then(AdditionalAnswers.returnsFirstArg());
    }

    /** What was saved last stands from now on. */
    private SavedDecisions saved(SurveyEntry survey, Decisions decisions) {
        SavedDecisions work = new SavedDecisions(tree);
        when(works.saveAndFlush(any())).then(call -> {
            when(works.findByTreeId(TREE)).thenReturn(Optional.of(call.getArgument(0)));
            return call.getArgument(0);
        });
        when(works.findByTreeId(TREE)).thenReturn(Optional.of(work));
        decided.keep(tree, survey, decisions, work.version());
        return work;
    }

    @Test
    void nothingIsDecidedOnATreeNobodyLookedAt() {
        TreeDecisions.Current current = decided.on(TREE, old);
        assertThat(current.decisions()).isEqualTo(Decisions.none());
        assertThat(current.version()).isEqualTo(-1);
        assertThat(current.outdated()).isFalse();
    }

    @Test
    void whatWasKeptIsThereAgain() {
        saved(old, marks(ONE, TWO));
        assertThat(decided.on(TREE, old).decisions()).isEqualTo(marks(ONE, TWO));
        assertThat(decided.on(TREE, old).outdated()).isFalse();
    }

    @Test
    void theFirstToDecideTellsThatNothingStoodBefore() {
        decided.keep(tree, old, marks(ONE), -1);
        verify(works).saveAndFlush(any());
        assertThatThrownBy(() -> decided.keep(tree, old, marks(ONE), 4)).isInstanceOf(StaleVersion.class);
    }

    @Test
    void aStaleVersionChangesNothing() {
        SavedDecisions work = saved(old, marks(ONE));
        String before = work.document();
        assertThatThrownBy(() -> decided.keep(tree, old, marks(TWO), work.version() + 1))
                .isInstanceOf(StaleVersion.class)
                .hasMessageContaining("another window");
        assertThat(work.document()).isEqualTo(before);
    }

    @Test
    void aNewerSurveyLeavesDecisionsBehind() {
        SavedDecisions work = saved(old, marks(ONE));
        TreeDecisions.Current current = decided.on(TREE, newer);
        assertThat(current.decisions()).isEqualTo(Decisions.none());
        assertThat(current.outdated()).isTrue();
        when(surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(TREE)).thenReturn(Optional.of(newer));
        assertThat(decided.on(work)).isEqualTo(Decisions.none());
        when(surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(TREE)).thenReturn(Optional.of(old));
        assertThat(decided.on(work)).isEqualTo(marks(ONE));
    }

    @Test
    void afterPartOfTheWorkTheRestStandsAndWhatWasRefusedStaysRefused() {
        saved(old, marks(ONE, TWO));
        decided.settle(TREE, old.id(), List.of(ONE));
        assertThat(decided.on(TREE, old).decisions()).isEqualTo(marks(TWO));
    }

    @Test
    void aMarkMadeAfterTheSheetStays() {
        Mark elsewhere = Mark.of(Operation.cutAt(OperationKind.HEAD, Target.parse("1"), 0.5));
        saved(old, marks(ONE, elsewhere));
        decided.settle(
                TREE, old.id(), List.of(ONE, Mark.of(Operation.cutAt(OperationKind.HEAD, Target.parse("1"), 0.9))));
        assertThat(decided.on(TREE, old).decisions()).isEqualTo(marks(elsewhere));
    }

    @Test
    void aVisitThatGoesByAnOlderSurveySettlesNothingDecidedOnTheNewerOne() {
        saved(newer, marks(ONE));
        decided.settle(TREE, old.id(), List.of(ONE));
        assertThat(decided.on(TREE, newer).decisions()).isEqualTo(marks(ONE));
    }

    @Test
    void whatACorrectedVisitLeftUndoneIsMarkedAgainOnce() {
        saved(old, marks(ONE));
        decided.markAgain(tree, old.id(), List.of(ONE, TWO));
        assertThat(decided.on(TREE, old).decisions()).isEqualTo(marks(ONE, TWO));
        decided.markAgain(tree, newer.id(), List.of(Mark.of(Operation.remove(Target.parse("3")))));
        assertThat(decided.on(TREE, old).decisions()).isEqualTo(marks(ONE, TWO));
    }

    @Test
    void whereNothingWasDecidedNothingIsLeft() {
        decided.settle(TREE, old.id(), List.of(ONE));
        verify(works, never()).saveAndFlush(any());
        verify(works, never()).delete(any());
    }

    @Test
    void doneIsForgotten() {
        SavedDecisions work = saved(old, marks(ONE));
        decided.settle(TREE, old.id(), List.of(ONE));
        verify(works).delete(work);
    }
}
