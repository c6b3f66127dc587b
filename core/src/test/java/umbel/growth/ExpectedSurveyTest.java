package umbel.growth;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class ExpectedSurveyTest {

    private static final LocalDate DAY = LocalDate.of(2027, 12, 1);
    private static final Survey LAST = PracticeTree.survey("central-leader", 6, 5);

    private static Tree built(Survey survey) {
        return TreeBuilder.build(survey, Knowledge.shipped(), 1);
    }

    @Test
    void withoutASeasonOnlyWhatWasCutIsMissing() {
        String gone = LAST.limbs().get(0).id();
        Tree left = CutTree.of(built(LAST), List.of(Operation.remove(Target.parse(gone))))
                .left();
        Survey next = ExpectedSurvey.of(LAST, left, false, DAY);
        assertThat(next.limbs())
                .noneMatch(limb -> limb.id().equals(gone) || limb.parent().equals(gone));
        assertThat(next.limbs()).allMatch(limb -> LAST.limbs().contains(limb));
        assertThat(next.tree().leaf()).isEqualTo(LAST.tree().leaf());
        assertThat(next.surveyedOn()).isEqualTo(DAY);
    }

    @Test
    void aSeasonMakesTheFrameOlderThickerAndLonger() {
        Tree grown = Forecast.middle(InitialState.of(built(LAST), 1), List.of(Season.Work.NONE), 0.3)
                .get(0)
                .tree();
        Survey next = ExpectedSurvey.of(LAST, grown, true, DAY);
        assertThat(next.tree().leaf()).isEqualTo(LAST.tree().leaf() + 1);
        assertThat(next.trunk().diameterMm())
                .isGreaterThanOrEqualTo(LAST.trunk().diameterMm());
        assertThat(next.limbs()).hasSameSizeAs(LAST.limbs());
        int longer = 0;
        for (int i = 0; i < next.limbs().size(); i++) {
            Survey.LimbMeasure before = LAST.limbs().get(i);
            Survey.LimbMeasure now = next.limbs().get(i);
            assertThat(now.diameterMm()).isGreaterThanOrEqualTo(before.diameterMm() - 1);
            assertThat(now.wood()).as("to be counted anew").isNull();
            longer += now.lengthCm() > before.lengthCm() + 5 ? 1 : 0;
        }
        assertThat(longer).isGreaterThan(LAST.limbs().size() / 2);
    }

    @Test
    void whatIsExpectedIsASurveyThatCanBeSaved() {
        Tree grown = Forecast.middle(InitialState.of(built(LAST), 1), List.of(Season.Work.NONE), 0.3)
                .get(0)
                .tree();
        Survey next = ExpectedSurvey.of(LAST, grown, true, DAY);
        assertThat(SurveyReader.read(SurveyReader.write(next))).isEqualTo(next);
        assertThat(built(next).limbs()).hasSameSizeAs(next.limbs());
    }
}
