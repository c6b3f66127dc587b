package umbel.cut;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import umbel.survey.Surveys;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.Tree;

/** What a visit makes of each limb, as a crew would say it. */
class LimbFatesTest {

    private static final Tree TREE = Surveys.apple()
            .scaffold("1", 80, 0, 60, 42, 200)
            .scaffold("2", 110, 120, 30, 38, 190)
            .scaffold("3", 140, 240, 60, 34, 170)
            .tree();

    private static Axis limb(String id) {
        return TREE.find(id).orElseThrow();
    }

    @Test
    void offBentAndShorterAreToldApart() {
        Map<String, LimbFates.Fate> fates = LimbFates.of(List.of(
                Operation.remove(limb("1")),
                Operation.bend(limb("2"), 1.2),
                Operation.cutAt(OperationKind.SHORTEN, limb("3"), 1.1)));
        assertThat(fates)
                .containsExactlyInAnyOrderEntriesOf(
                        Map.of("1", LimbFates.Fate.OFF, "2", LimbFates.Fate.BENT, "3", LimbFates.Fate.SHORTER));
    }

    @Test
    void aStubOrABevelForRenewalTakesTheLimb() {
        assertThat(LimbFates.of(List.of(
                                Operation.whole(OperationKind.RENEW_BEVEL, limb("1")),
                                Operation.cutAt(OperationKind.RENEW_STUB, limb("2"), 0.1)))
                        .values())
                .containsOnly(LimbFates.Fate.OFF);
    }

    @Test
    void workOnShootsLeavesTheLimb() {
        assertThat(LimbFates.of(List.of(Operation.remove(Target.shoots("1", Attitude.UP)))))
                .isEmpty();
    }

    @Test
    void whatNobodyTouchedIsLeft() {
        Map<String, LimbFates.Fate> one = LimbFates.of(List.of(Operation.remove(limb("1"))));
        assertThat(LimbFates.count("1", List.of(one, Map.of())))
                .isEqualTo(Map.of(LimbFates.Fate.OFF, 1, LimbFates.Fate.LEFT, 1));
        assertThat(LimbFates.count("2", List.of(one, Map.of()))).isEqualTo(Map.of(LimbFates.Fate.LEFT, 2));
    }
}
