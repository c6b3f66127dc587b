package umbel.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.knowledge.Knowledge;
import umbel.light.LightModel;
import umbel.light.LightResolution;
import umbel.practice.PracticeTree;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;
import umbel.wood.Units;
import umbel.wood.Vec;

/** Renewal stubs: short at the top, longer low, and only under open sky. */
class StubsTest {

    @Test
    void aStubAtTheTopIsTenCentimetresAndOneAtTheGroundTwentyEight() {
        Tree tree = Surveys.apple()
                .as("slender-axe")
                .trunk(60, 200)
                .scaffold("low", 2, 0, 90, 15, 100)
                .scaffold("high", 199, 90, 90, 15, 60)
                .tree();
        assertThat(Units.toCm(Stubs.length(tree, tree.find("low").orElseThrow())))
                .isCloseTo(28, within(0.5));
        assertThat(Units.toCm(Stubs.length(tree, tree.find("high").orElseThrow())))
                .isCloseTo(10, within(0.5));
    }

    @Test
    void aLimbAloneUnderTheSkyIsStubbed() {
        Tree tree = Surveys.apple()
                .as("slender-axe")
                .trunk(60, 200)
                .scaffold("1", 80, 0, 90, 15, 100)
                .tree();
        Axis limb = tree.find("1").orElseThrow();
        Stubs stubs = new Stubs(tree, LightResolution.CLOSE);
        assertThat(stubs.lightAbove(limb).orElseThrow()).isGreaterThan(0.5);
        assertThat(stubs.of(limb).orElseThrow().kind()).isEqualTo(OperationKind.RENEW_STUB);
    }

    @Test
    void aLimbTooShortForAStubIsNot() {
        Tree tree = Surveys.apple()
                .as("slender-axe")
                .trunk(60, 200)
                .scaffold("1", 80, 0, 90, 8, 25)
                .tree();
        Axis limb = tree.find("1").orElseThrow();
        assertThat(new Stubs(tree, LightResolution.CLOSE).of(limb)).isEmpty();
    }

    @Test
    void aLimbOnAnotherLimbHasNoStubOfItsOwn() {
        Tree tree = TreeBuilder.build(PracticeTree.survey("central-leader", 14, 2), Knowledge.shipped(), 1);
        Axis side = tree.limbs().stream()
                .filter(limb -> limb.parent() != 0)
                .findFirst()
                .orElseThrow();
        assertThat(new Stubs(tree, LightResolution.CLOSE).lightAbove(side)).isEmpty();
    }

    @Test
    void anOldScaffoldsSkyIsReadWithItsOwnLimbGone() {
        Tree tree = TreeBuilder.build(PracticeTree.survey("central-leader", 24, 3), Knowledge.shipped(), 1);
        Stubs stubs = new Stubs(tree, LightResolution.CLOSE);
        int brighter = 0;
        int read = 0;
        for (Axis limb : tree.limbsOn(tree.trunk())) {
            if (stubs.lightAbove(limb).isEmpty() || limb.age() < 8) {
                continue;
            }
            Vec above = limb.course().at(Stubs.length(tree, limb)).plus(new Vec(0, 0, 0.25));
            double asItStands = LightModel.at(tree, List.of(above), LightResolution.CLOSE)[0];
            read++;
            brighter += stubs.lightAbove(limb).orElseThrow() > asItStands ? 1 : 0;
        }
        assertThat(read).isPositive();
        assertThat(brighter).isEqualTo(read);
    }

    @Test
    void aQuickLookIsNearACloseOne() {
        double off = 0;
        int stubs = 0;
        for (long seed = 1; seed <= 4; seed++) {
            Tree tree = TreeBuilder.build(PracticeTree.survey("slender-axe", 9, seed), Knowledge.shipped(), 1);
            Stubs close = new Stubs(tree, LightResolution.CLOSE);
            Stubs quick = new Stubs(tree, LightResolution.QUICK);
            for (Axis limb : tree.limbsOn(tree.trunk())) {
                if (close.lightAbove(limb).isPresent()) {
                    off += Math.abs(quick.lightAbove(limb).orElseThrow()
                            - close.lightAbove(limb).orElseThrow());
                    stubs++;
                }
            }
        }
        assertThat(stubs).isGreaterThan(20);
        assertThat(off / stubs).isLessThan(0.08);
    }

    @Test
    void aLimbRenewedFromAStubGrowsOnFromIt() {
        assertThat(Operation.cutAt(OperationKind.RENEW_STUB, Target.parse("4"), 0.2)
                        .growsOnFrom())
                .isEqualTo("4");
        assertThat(Operation.reduce(OperationKind.REDUCE, Target.parse("4"), "4b", 0.8)
                        .growsOnFrom())
                .isEqualTo("4b");
        assertThat(Operation.remove(Target.parse("4")).growsOnFrom()).isEmpty();
    }
}
