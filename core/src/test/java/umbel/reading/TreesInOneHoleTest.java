package umbel.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.assess.AssessRequest;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.knowledge.Knowledge;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Several trees in one hole, surveyed as one: told apart from rootstock shoots, forks and rivals, the sunny one kept lowest. */
class TreesInOneHoleTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();

    /** Three plums in a hole: the trunk, one to the south of it, one to the north. */
    private static Survey three(String system, String role, double south, double north, double latitude) {
        return Surveys.apple()
                .kind("plum-european")
                .as(system)
                .leaf(5)
                .at(latitude)
                .spacing(1.5, 3)
                .trunk(42, 190)
                .limb("2", "trunk", role, 5, 180, 12, 40, south, 5, null)
                .limb("3", "trunk", role, 5, 0, 12, 38, north, 5, null)
                .limb("2a", "2", "lateral", 110, 90, 55, 16, 60, 3, null)
                .limb("2b", "2", "lateral", 150, 270, 55, 14, 50, 3, null)
                .limb("3a", "3", "lateral", 110, 90, 55, 15, 60, 3, null)
                .survey();
    }

    private static List<Finding> findings(Survey survey) {
        Tree tree = TreeBuilder.build(survey, KNOWLEDGE, 1);
        return TreeReader.read(tree, KNOWLEDGE.school("classic"), 2.4).findings();
    }

    private static List<String> rules(Survey survey, String limb) {
        return findings(survey).stream()
                .filter(one ->
                        one.targets().stream().anyMatch(target -> target.limb().equals(limb)))
                .map(one -> one.rule().id())
                .toList();
    }

    @ParameterizedTest
    @ValueSource(strings = {"leader", "unknown"})
    void betweenTreesNothingIsACrotchARivalOrARootstockShoot(String role) {
        for (String limb : List.of("2", "3")) {
            assertThat(rules(three("hedge", role, 185, 190, 45), limb))
                    .doesNotContain("root-sucker", "tight-crotch", "rival-leader", "limb-too-thick", "crowded-origin");
        }
    }

    @Test
    void aLeaderFromTheGroundIsATreeOfItsOwnInAnySystemAndAShootIsNot() {
        assertThat(rules(three("modified-central-leader", "leader", 185, 190, 45), "2"))
                .doesNotContain("root-sucker", "rival-leader", "tight-crotch");
        assertThat(rules(three("modified-central-leader", "unknown", 185, 190, 45), "2"))
                .contains("root-sucker");
        assertThat(rules(three("hedge", "sucker", 185, 190, 45), "2")).contains("root-sucker");
    }

    @Test
    void theOneOnTheSunnySideIsKeptLowest() {
        assertThat(rules(three("hedge", "leader", 240, 190, 45), "2")).contains("sunny-side-high");
        assertThat(rules(three("hedge", "leader", 185, 240, 45), "2"))
                .as("lower than the others")
                .doesNotContain("sunny-side-high");
        assertThat(rules(three("hedge", "leader", 185, 240, 45), "3"))
                .as("tall on the shaded side")
                .doesNotContain("sunny-side-high");
        assertThat(rules(three("hedge", "leader", 185, 240, -38), "3"))
                .as("on the southern half of the earth the sun stands north")
                .contains("sunny-side-high");
        assertThat(rules(three("hedge", "leader", 240, 190, 3), "2"))
                .as("on the equator no side is the sunny one")
                .doesNotContain("sunny-side-high");
    }

    @Test
    void thePlanLowersTheSunnyOneAndTakesNoTree() {
        Assessment answer = new Assessor(KNOWLEDGE).assess(AssessRequest.of(three("hedge", "leader", 250, 190, 45)));
        var steps = answer.plans().get(0).steps();
        assertThat(steps)
                .filteredOn(step -> List.of("2", "3").contains(step.limb()))
                .extracting(step -> step.operation())
                .isNotEmpty()
                .doesNotContain("remove", "renew-stub", "renew-bevel");
        assertThat(steps)
                .anyMatch(step ->
                        "2".equals(step.limb()) && List.of("reduce", "shorten").contains(step.operation()));
    }
}
