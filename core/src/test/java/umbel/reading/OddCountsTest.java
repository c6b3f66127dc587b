package umbel.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.TreeBuilder;

class OddCountsTest {

    @ParameterizedTest
    @CsvSource({
        "apple, tall-spindle, 4",
        "apple, central-leader, 15",
        "peach, open-centre, 6",
        "cherry-sweet, slender-axe, 6",
        "citrus, open-centre, 8",
        "apple, espalier, 8"
    })
    void aTreeCountedRightIsNotAskedAbout(String species, String system, int leaf) {
        for (int seed = 1; seed <= 5; seed++) {
            assertThat(asked(PracticeTree.survey(species, system, leaf, seed))).isEmpty();
        }
    }

    @Test
    void tenTimesTheSpursALimbCarriesAreAskedAbout() {
        // a limb of 20 mm has a section of 3.1 cm² and feeds about 1.1 m² of leaf; a spur carries some 120 cm²
        assertThat(asked(limb(Surveys.spurs(90, 3)))).isEmpty();
        assertThat(asked(limb(Surveys.spurs(1000, 3))))
                .extracting(SurveyQuery::limb)
                .containsExactly("1");
    }

    @Test
    void threeSpursAsAllThatAThickLimbBearsAreAskedAbout() {
        Survey.SmallWood few = new Survey.SmallWood(List.of(), new Survey.SpurCount(3, 3.0), null, "all");
        assertThat(asked(limb(few)))
                .extracting(query -> query.question().code())
                .containsExactly("count.few");
        Survey.SmallWood own = new Survey.SmallWood(List.of(), new Survey.SpurCount(3, 3.0), null, "own");
        assertThat(asked(limb(own)))
                .as("what its laterals bear was not counted")
                .isEmpty();
    }

    private static Survey limb(Survey.SmallWood wood) {
        return Surveys.apple()
                .leaf(9)
                .trunk(80, 300)
                .limb("1", "trunk", "scaffold", 80, 0, 60, 20, 120, 6, wood)
                .survey();
    }

    private static List<SurveyQuery> asked(Survey survey) {
        return OddCounts.of(survey, TreeBuilder.build(survey, Knowledge.shipped(), 1));
    }
}
