package umbel.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.growth.Comparison;
import umbel.growth.Forecast;
import umbel.growth.InitialState;
import umbel.growth.Season;
import umbel.knowledge.Knowledge;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** A tree surveyed a year after another survey, once it has grown: it must read, and look like what was foretold. */
class SurveyYearLaterTest {

    private static Survey dated(Survey made) {
        return new Survey(
                made.format(), made.tree(), made.site(), LocalDate.of(2026, 1, 10), made.trunk(), made.limbs());
    }

    @ParameterizedTest
    @CsvSource({
        "apple,central-leader,10,1",
        "apple,tall-spindle,5,2",
        "cherry-sweet,slender-axe,6,401",
        "plum-japanese,open-centre,28,501",
        "pear,central-leader,8,4"
    })
    void whatGrewByTheModelIsMostlyFoundAsForetold(String kind, String system, int leaf, long seed) {
        Survey before = dated(PracticeTree.survey(kind, system, leaf, seed));
        Tree stood = TreeBuilder.build(before, Knowledge.shipped(), 1);
        Tree grown =
                Season.grow(InitialState.of(stood, 5), Season.Work.NONE).after().tree();
        Survey after = SurveyReader.read(SurveyReader.write(SurveyYearLater.of(before, grown, seed)));
        assertThat(after.surveyedOn()).isEqualTo(before.surveyedOn().plusYears(1));
        assertThat(after.trunk().diameterMm())
                .isGreaterThanOrEqualTo(before.trunk().diameterMm());
        Tree found = TreeBuilder.build(after, Knowledge.shipped(), 1);
        Forecast.Outlook foretold = Forecast.of(InitialState.of(stood, 1), List.of(Season.Work.NONE), 0.3)
                .years()
                .get(0);
        Comparison seen = Comparison.of(foretold, found);
        long right = seen.measures().stream().filter(Comparison.Measured::right).count();
        assertThat(right).as("%s", seen.measures()).isGreaterThanOrEqualTo(3);
    }
}
