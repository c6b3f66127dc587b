package umbel.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Options;
import umbel.cut.Target;
import umbel.knowledge.Knowledge;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class StepTextTest {

    private final Tree tree = Surveys.apple()
            .trunk(120, 420)
            .limb(
                    "1",
                    "trunk",
                    "scaffold",
                    80,
                    0,
                    60,
                    62,
                    220,
                    8,
                    new Survey.SmallWood(
                            List.of(
                                    new Survey.ShootCount("strong", "up", 2, 90.0),
                                    new Survey.ShootCount("matchstick", "in", 1, 15.0),
                                    new Survey.ShootCount("pencil", "down", 3, 30.0)),
                            new Survey.SpurCount(9, 2.0),
                            null))
            .limb("1a", "1", "lateral", 120, 60, 70, 24, 80, 4, Surveys.bare())
            .limb("2", "trunk", "scaffold", 100, 140, 30, 14, 90, 2, Surveys.bare())
            .limb("9", "trunk", "limb", 350, 220, 60, 26, 80, 5, Surveys.bare())
            .tree();

    @Test
    void groupsAreCountedAndSaidInWords() {
        assertThat(title(Operation.remove(Target.parse("1/shoots/up/strong"))))
                .isEqualTo("Take 2 strong upright shoots on limb 1");
        assertThat(title(Operation.remove(Target.parse("1/shoots/in")))).isEqualTo("Take 1 inward shoot on limb 1");
        assertThat(title(Operation.remove(Target.parse("1/shoots/down")))).isEqualTo("Take 3 hanging shoots on limb 1");
        assertThat(title(Operation.remove(Target.parse("1/shoots/matchstick"))))
                .isEqualTo("Take 1 thin shoot on limb 1");
        assertThat(title(Operation.remove(Target.parse("1/spurs")))).isEqualTo("Take 9 spurs on limb 1");
    }

    @Test
    void limbsAndLeaderAreNamed() {
        assertThat(title(Operation.remove(Target.parse("1")))).isEqualTo("Remove limb 1");
        assertThat(title(Operation.reduce(OperationKind.REDUCE, Target.parse("1"), "1a", 1.21)))
                .isEqualTo("Cut limb 1 back to limb 1a");
        assertThat(title(Operation.reduce(OperationKind.LOWER_LEADER, Target.parse("trunk"), "9", 3.52)))
                .isEqualTo("Lower the leader to limb 9");
        assertThat(title(Operation.cutAt(OperationKind.SHORTEN, Target.TRUNK, 3.6)))
                .isEqualTo("Shorten the leader to 360 cm");
        assertThat(title(Operation.whole(OperationKind.RUB, Target.parse("2")))).isEqualTo("Rub off limb 2");
    }

    @Test
    void placesGiveCentimetresAndTheWayToCut() {
        assertThat(StepText.english()
                        .place(tree, Operation.reduce(OperationKind.REDUCE, Target.parse("1"), "1a", 1.21)))
                .contains("121 cm")
                .contains("limb 1a");
        assertThat(StepText.english().place(tree, Operation.bend(Target.parse("2"), Math.toRadians(55))))
                .startsWith("From 30°")
                .contains("crotch");
        assertThat(StepText.english().place(tree, Operation.bend(Target.parse("2"), Math.toRadians(85))))
                .contains("in 2 steps");
        assertThat(StepText.english().place(tree, Operation.whole(OperationKind.RENEW_BEVEL, Target.parse("1"))))
                .contains("underside left long");
    }

    @Test
    void numbersTellToolStepsMassAndMinutes() {
        Effect thick = effect(Operation.remove(Target.parse("1")));
        assertThat(StepText.english().numbers(thick))
                .startsWith("62 mm, saw, three-step cut")
                .contains("kg falls")
                .endsWith("min");
        Effect shoots = effect(Operation.remove(Target.parse("1/shoots/up/strong")));
        assertThat(StepText.english().numbers(shoots))
                .contains("hand pruner")
                .doesNotContain("kg")
                .endsWith(" sec");
        Effect bend = effect(Operation.bend(Target.parse("2"), Math.toRadians(55)));
        assertThat(StepText.english().numbers(bend)).startsWith("tie or spreader");
    }

    @Test
    void theTreesAnswerIsToldWhereThereIsOne() {
        Operation heading = Operation.cutAt(OperationKind.HEAD, Target.parse("2"), 0.8);
        assertThat(StepText.english().answer(heading, effect(heading))).startsWith("About 3 sprouts");
        Operation shoots = Operation.remove(Target.parse("1/shoots/in"));
        assertThat(StepText.english().answer(shoots, effect(shoots))).isEmpty();
        Operation bevel = Operation.whole(OperationKind.RENEW_BEVEL, Target.parse("9"));
        assertThat(StepText.english().answer(bevel, effect(bevel))).contains("one flat shoot");
    }

    @Test
    void cautionsGoByCircumstance() {
        assertThat(cautions(Operation.remove(Target.parse("9")))).anyMatch(one -> one.contains("ladder"));
        assertThat(cautions(Operation.remove(Target.parse("1/shoots/in")))).isEmpty();
        assertThat(cautions(Operation.bend(Target.parse("2"), 1)))
                .hasSize(1)
                .first()
                .asString()
                .contains("tension");
    }

    @ParameterizedTest
    @ValueSource(strings = {"central-leader", "tall-spindle", "open-centre"})
    void everythingOfferedCanBeSaidWithoutLooseEnds(String system) {
        Tree practice = TreeBuilder.build(
                PracticeTree.survey(system, 9, 6, Fault.SUCKERS, Fault.CANKER, Fault.TIGHT_CROTCH, Fault.HANGERS),
                Knowledge.shipped(),
                1);
        for (Axis limb : practice.limbs()) {
            for (Operation operation : Options.on(practice, limb, false)) {
                String all = StepText.english().title(practice, operation) + " "
                        + StepText.english().place(practice, operation);
                assertThat(all)
                        .doesNotContain("null")
                        .doesNotContain("NaN")
                        .doesNotContain("%")
                        .doesNotContain("  ");
                assertThat(StepText.english().place(practice, operation)).endsWith(".");
                assertThat(StepText.english().title(practice, operation)).hasSizeLessThan(60);
            }
        }
    }

    @Test
    void numbersAreWrittenTheSameInEveryCountry() {
        Locale before = Locale.getDefault();
        try {
            Locale.setDefault(Locale.GERMANY);
            assertThat(title(Operation.cutAt(OperationKind.SHORTEN, Target.parse("1"), 1.255)))
                    .doesNotContain(",");
            assertThat(StepText.english().numbers(effect(Operation.remove(Target.parse("1")))))
                    .startsWith("62 mm");
        } finally {
            Locale.setDefault(before);
        }
    }

    private String title(Operation operation) {
        return StepText.english().title(tree, operation);
    }

    private Effect effect(Operation operation) {
        return Effect.of(CutTree.of(tree, List.of(operation)), 0, 2.4);
    }

    private List<String> cautions(Operation operation) {
        return StepText.cautions(
                tree, operation, effect(operation), Knowledge.shipped().cautions());
    }
}
