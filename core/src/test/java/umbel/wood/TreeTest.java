package umbel.wood;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.survey.Surveys;

class TreeTest {

    private final Tree tree = Surveys.apple()
            .leaf(20)
            .trunk(100, 300)
            .limb("1", "trunk", "scaffold", 80, 0, 60, 40, 200, 6, Surveys.spurs(6, 2))
            .limb("1a", "1", "lateral", 100, 60, 70, 16, 60, 3, Surveys.spurs(3, 2))
            .limb("1b", "1a", "lateral", 30, 90, 70, 8, 30, 2, Surveys.bare())
            .scaffold("2", 100, 140, 55, 40, 150)
            .tree();

    @Test
    void limbsAreFoundByNameAndByWhatTheyStandOn() {
        assertThat(tree.find("1a")).isPresent();
        assertThat(tree.find("7")).isEmpty();
        assertThat(tree.limbsOn(tree.trunk())).extracting(Axis::id).containsExactly("1", "2");
        assertThat(tree.limbsOn(limb("1"))).extracting(Axis::id).containsExactly("1a");
        assertThat(tree.parentOf(limb("1a"))).contains(limb("1"));
        assertThat(tree.parentOf(tree.trunk())).isEmpty();
    }

    @Test
    void whatGrowsFromWhatIsKnownAtAnyRemove() {
        assertThat(tree.growsFrom(limb("1b"), limb("1"))).isTrue();
        assertThat(tree.growsFrom(limb("1b"), tree.trunk())).isTrue();
        assertThat(tree.growsFrom(limb("1"), limb("1b"))).isFalse();
        assertThat(tree.growsFrom(limb("2"), limb("1"))).isFalse();
        assertThat(tree.growsFrom(limb("2"), limb("2"))).isTrue();
    }

    @Test
    void theTopIsThatOfTheHighestWood() {
        assertThat(tree.top()).isGreaterThanOrEqualTo(3.0);
        assertThat(tree.topOf(limb("1b"))).isLessThan(tree.topOf(limb("1")) + 1e-9);
        assertThat(tree.topOf(tree.trunk())).isEqualTo(tree.top());
    }

    @Test
    void keepingEverythingKeepsEverything() {
        double[] kept = tree.axes().stream().mapToDouble(Axis::length).toArray();
        Tree same = tree.cutTo(kept);
        assertThat(same.axes()).hasSameSizeAs(tree.axes());
        for (int i = 0; i < kept.length; i++) {
            assertThat(same.axis(i).course()).isSameAs(tree.axis(i).course());
        }
    }

    @Test
    void whatIsLeftIsNumberedAnew() {
        double[] kept = tree.axes().stream().mapToDouble(Axis::length).toArray();
        for (Axis axis : tree.axes()) {
            if (tree.growsFrom(axis, limb("1a"))) {
                kept[axis.index()] = 0;
            }
        }
        Tree left = tree.cutTo(kept);
        assertThat(left.find("1b")).isEmpty();
        assertThat(left.axes().size())
                .isEqualTo((int) Arrays.stream(kept).filter(k -> k > 0).count());
        for (int i = 0; i < left.axes().size(); i++) {
            assertThat(left.axis(i).index()).isEqualTo(i);
            assertThat(left.axis(i).parent()).isLessThan(i);
        }
        Axis two = left.find("2").orElseThrow();
        assertThat(left.axis(two.parent()).id()).isEqualTo("trunk");
    }

    @ParameterizedTest
    @CsvSource({"200, 0, 0", "190, 0.33, 0.35", "185, 0.49, 0.51", "160, 1, 1", "50, 1, 1"})
    void aLimbsOwnLeafStandsOnItsLastGrowth(double keptCm, double low, double high) {
        // 30 cm grew last year, the usual extension of an apple
        assertThat(limb("1").shareBeyond(keptCm / 100)).isBetween(low, high);
    }

    @Test
    void aShootLosesLeafByLength() {
        Tree shoots = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 60, 40, 200, 6, Surveys.shoots("pencil", "side", 1, 40))
                .tree();
        Axis shoot = shoots.smallWoodOn("1").get(0);
        assertThat(shoot.shareBeyond(0.1)).isCloseTo(0.75, within(1e-9));
        assertThat(shoot.shareBeyond(0.4)).isZero();
    }

    @Test
    void thicknessIsReadBetweenThePoints() {
        Axis limb = limb("1");
        assertThat(limb.diameterAt(0)).isEqualTo(limb.baseDiameter());
        assertThat(limb.diameterAt(99)).isEqualTo(limb.diameters()[limb.diameters().length - 1]);
        double between = limb.diameterAt((limb.course().along(1) + limb.course().along(2)) / 2);
        assertThat(between).isCloseTo((limb.diameters()[1] + limb.diameters()[2]) / 2, within(1e-12));
    }

    @Test
    void wordsOfTheFormatAreReadBothWays() {
        for (Condition condition : Condition.values()) {
            assertThat(Condition.of(condition.word())).isEqualTo(condition);
        }
        for (Attitude attitude : Attitude.values()) {
            assertThat(Attitude.of(attitude.word())).isEqualTo(attitude);
        }
        for (ShootClass shootClass : ShootClass.values()) {
            assertThat(ShootClass.of(shootClass.word())).isEqualTo(shootClass);
        }
        assertThat(Role.of("water-sprout")).isEqualTo(Role.WATER_SPROUT);
        assertThat(Role.of(null)).isEqualTo(Role.UNKNOWN);
        assertThat(Attitude.of(null)).isEqualTo(Attitude.SIDE);
        assertThat(AxisKind.SPUR.isSmallWood()).isTrue();
        assertThat(AxisKind.LATERAL.isSmallWood()).isFalse();
    }

    private Axis limb(String id) {
        return tree.find(id).orElseThrow();
    }
}
