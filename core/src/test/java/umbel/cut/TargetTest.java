package umbel.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.survey.Surveys;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.ShootClass;
import umbel.wood.Tree;

class TargetTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "4",
                "trunk",
                "4/shoots",
                "4/shoots/up",
                "4/shoots/up/strong",
                "4/shoots/strong",
                "4/spurs",
                "trunk/buds"
            })
    void whatIsReadIsWrittenTheSameWay(String path) {
        assertThat(Target.parse(path).path()).isEqualTo(path);
        assertThat(Target.parse(path).limb()).isEqualTo(path.split("/")[0]);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "/shoots",
                "4/",
                "4/leaves",
                "4/shoots/up/down",
                "4/shoots/sideways",
                "4/spurs/old",
                "4/shoots/up/strong/1"
            })
    void whatNamesNothingIsRefused(String path) {
        assertThatThrownBy(() -> Target.parse(path)).isInstanceOf(ImpossibleCut.class);
    }

    @Test
    void theOrderInWhichAGroupIsDescribedDoesNotMatter() {
        assertThat(Target.parse("4/shoots/strong/up"))
                .isEqualTo(Target.parse("4/shoots/up/strong"))
                .isEqualTo(Target.shoots("4", Attitude.UP, ShootClass.STRONG));
    }

    @ParameterizedTest
    @CsvSource({
        "4/shoots, 4/shoots/up, true",
        "4/shoots/up, 4/shoots/up/strong, true",
        "4/shoots/up, 4/shoots/strong, true",
        "4/shoots/up, 4/shoots/in, false",
        "4/shoots, 5/shoots, false",
        "4/shoots, 4/spurs, false",
        "4/spurs, 4/spurs, true",
        "4, 4/shoots, false"
    })
    void groupsOverlapWhereAShootCanBeInBoth(String one, String other, boolean overlap) {
        assertThat(Target.parse(one).overlaps(Target.parse(other))).isEqualTo(overlap);
        assertThat(Target.parse(other).overlaps(Target.parse(one))).isEqualTo(overlap);
    }

    @Test
    void aTargetFindsItsWoodOnATree() {
        Tree tree = Surveys.apple().scaffold("1", 80, 0, 55, 40, 200).tree();
        assertThat(TargetAxes.of(tree, Target.parse("1"))).extracting(Axis::id).containsExactly("1");
        assertThat(TargetAxes.of(tree, Target.parse("9"))).isEmpty();
        assertThat(TargetAxes.of(tree, Target.parse("1/shoots")))
                .hasSameElementsAs(tree.smallWoodOn("1").stream()
                        .filter(Target.shoots("1")::holds)
                        .toList());
        tree.smallWoodOn("1")
                .forEach(axis -> assertThat(Target.parse("1/shoots").holds(axis)
                                || Target.parse("1/spurs").holds(axis))
                        .isTrue());
    }
}
