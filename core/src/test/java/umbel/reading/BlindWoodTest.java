package umbel.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.assess.AssessRequest;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.TreeBuilder;

/** Bare older wood behind a running end is found, waits for late spring, and is cut then. */
class BlindWoodTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();

    private static final Survey.SmallWood BARE =
            new Survey.SmallWood(List.of(), new Survey.SpurCount(0, 1.0), null, "all");

    private static Survey apple(String species, double lastGrowth, Survey.SmallWood onTheLimb) {
        return Surveys.apple()
                .kind(species)
                .as("central-leader")
                .leaf(8)
                .trunk(75, 290)
                .limb("1", "trunk", "scaffold", 80, 0, 62, 30, 160, 6, Surveys.spurs(30, 3))
                .limb("2", "trunk", "scaffold", 90, 120, 62, 30, 160, 6, Surveys.spurs(30, 3))
                .limb("3", "trunk", "scaffold", 100, 240, 62, 30, 160, 6, Surveys.spurs(30, 3))
                .limb("4", "1", "lateral", 70, 60, 70, 14, 120, 5, onTheLimb)
                .lastGrowth(lastGrowth)
                .survey();
    }

    private static boolean isBlind(Survey survey) {
        return TreeReader.read(TreeBuilder.build(survey, KNOWLEDGE, 1), KNOWLEDGE.school("classic"), 2.4)
                .findings()
                .stream()
                .anyMatch(one -> one.rule().id().equals("blind-wood")
                        && one.first().limb().equals("4"));
    }

    @Test
    void bareOlderWoodBehindARunningEndIsBlind() {
        assertThat(isBlind(apple("apple", 30, BARE))).isTrue();
        assertThat(isBlind(apple("apple", 30, Surveys.spurs(12, 3))))
                .as("clothed")
                .isFalse();
        assertThat(isBlind(apple("apple", 0, BARE)))
                .as("its end no longer runs")
                .isFalse();
        assertThat(isBlind(apple("peach", 30, BARE)))
                .as("peaches do not break from old wood so")
                .isFalse();
    }

    @Test
    void inWinterItIsLeftWithTheReasonAndInLateSpringItIsCut() {
        Survey survey = apple("apple", 30, BARE);
        Assessment winter = new Assessor(KNOWLEDGE).assess(AssessRequest.of(survey));
        assertThat(cutsOfFour(winter)).isEmpty();
        assertThat(winter.plans().get(0).leftAlone())
                .filteredOn(one -> one.rule().equals("blind-wood"))
                .singleElement()
                .satisfies(one -> assertThat(one.why()).contains("late spring"));

        Assessment spring = new Assessor(KNOWLEDGE).assess(in(survey, Moment.EARLY_SUMMER));
        assertThat(cutsOfFour(spring)).containsExactly("shorten");
    }

    private static AssessRequest in(Survey survey, Moment moment) {
        return new AssessRequest(survey, moment.word(), null, null, null, null, null, null);
    }

    private static List<String> cutsOfFour(Assessment answer) {
        return answer.plans().get(0).steps().stream()
                .filter(step -> "4".equals(step.limb()))
                .filter(step -> !List.of("keep", "watch", "bend").contains(step.operation()))
                .map(step -> step.operation())
                .toList();
    }
}
