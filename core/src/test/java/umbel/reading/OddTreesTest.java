package umbel.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.assess.AssessRequest;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.survey.Surveys;

/** Odd but legal trees are read and planned without failure or nonsense. */
class OddTreesTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final Assessor ASSESSOR = new Assessor(KNOWLEDGE);

    static Stream<Arguments> everyKindInEachOfItsSystems() {
        return KNOWLEDGE.allSpecies().stream()
                .flatMap(species -> species.systems().stream().map(system -> Arguments.of(species.id(), system)));
    }

    private static Assessment assess(Survey survey) {
        return ASSESSOR.assess(AssessRequest.of(SurveyReader.read(SurveyReader.write(survey))));
    }

    private static void isSane(Assessment answer) {
        Assessment.ReadingAnswer reading = answer.reading();
        assertThat(reading.light().under30()).isBetween(0.0, 1.0);
        assertThat(reading.light().interception()).isBetween(0.0, 1.0);
        assertThat(reading.crop().expectedFruits()).isFinite().isNotNegative();
        assertThat(reading.findings()).allSatisfy(one -> {
            assertThat(one.value()).isFinite();
            assertThat(one.confidence()).isBetween(0.0, 1.0);
            assertThat(one.reason()).doesNotContain("NaN").doesNotContain("Infinity");
        });
        assertThat(reading.harvest()).allSatisfy(one -> {
            assertThat(one.tipAtHarvestCm()).isFinite().isNotNegative();
            assertThat(one.breakRisk()).isBetween(0.0, 1.0);
        });
        assertThat(answer.plans()).hasSize(4);
        assertThat(answer.plans().get(0).totals().woodShare()).isBetween(0.0, 1.0);
    }

    @Test
    void aTreeWithoutLimbs() {
        Assessment whip = assess(Surveys.apple().leaf(0).trunk(14, 120).survey());
        isSane(whip);
        assertThat(whip.reading().findings()).isEmpty();
        isSane(assess(Surveys.peach().trunk(90, 70).survey()));
    }

    @Test
    void aTreeWithOneLimb() {
        isSane(assess(Surveys.apple().scaffold("1", 80, 0, 55, 30, 120).survey()));
    }

    @Test
    void aDeadTree() {
        Assessment dead = assess(Surveys.apple()
                .scaffold("1", 80, 0, 55, 30, 120)
                .noted("dead", null)
                .limb("2", "trunk", "scaffold", 100, 120, 55, 30, 120, 8, null)
                .noted("dead", null)
                .survey());
        isSane(dead);
        assertThat(dead.reading().findings())
                .extracting(Assessment.FindingAnswer::rule)
                .contains("unsound-wood");
        assertThat(dead.reading().crop().expectedFruits()).isLessThan(60);
    }

    @Test
    void aWideEspalierTenCentimetresDeep() {
        Surveys wall =
                Surveys.apple().kind("pear").as("espalier").trunk(70, 190).spacing(4, 2.5);
        for (int tier = 0; tier < 3; tier++) {
            wall.limb("e" + tier, "trunk", "scaffold", 50 + 45 * tier, 0, 90, 24, 200, 7, Surveys.spurs(40, 3));
            wall.limb("w" + tier, "trunk", "scaffold", 50 + 45 * tier, 180, 90, 24, 200, 7, Surveys.spurs(40, 3));
        }
        Assessment answer = assess(wall.survey());
        isSane(answer);
        assertThat(answer.reading().findings())
                .extracting(Assessment.FindingAnswer::rule)
                .doesNotContain("bare-sector", "stacked-limbs", "lop-sided", "hanger");
    }

    @Test
    void aTwelveMetreMango() {
        Surveys tree = Surveys.apple()
                .kind("mango")
                .as("open-centre")
                .trunk(480, 200)
                .spacing(10, 10)
                .at(12.0)
                .leaf(28);
        for (int i = 0; i < 6; i++) {
            tree.limb("m" + i, "trunk", "scaffold", 120 + 12 * i, 60 * i, 35, 190, 1100, 25, null);
        }
        Assessment answer = assess(tree.survey());
        isSane(answer);
        assertThat(answer.reading().findings())
                .extracting(Assessment.FindingAnswer::rule)
                .contains("over-height");
    }

    @ParameterizedTest
    @MethodSource("everyKindInEachOfItsSystems")
    void everyKindOfTreeIsReadInEachOfItsSystems(String species, String system) {
        for (int leaf : new int[] {0, 2, 9}) {
            Survey survey = PracticeTree.survey(species, system, leaf, 3);
            Survey read = SurveyReader.read(SurveyReader.write(survey));
            var tree = umbel.wood.TreeBuilder.build(read, KNOWLEDGE, 1);
            TreeReader.Reading reading = TreeReader.read(tree, KNOWLEDGE.school("classic"), 2.4);
            assertThat(reading.light().shareUnder(0.3)).isBetween(0.0, 1.0);
            assertThat(reading.findings()).allMatch(one -> Double.isFinite(one.value()));
        }
    }

    @Test
    void everyKindKnowsItsTimes() {
        for (Species species : KNOWLEDGE.allSpecies()) {
            assertThat(species.phases().values())
                    .anyMatch(rule -> !rule.verdict().equals("not"));
        }
    }
}
