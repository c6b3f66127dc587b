package umbel.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;

/** Where fruit can form, by kind of tree. */
class FruitingSiteTest {

    @Test
    void everySpurIsOneSiteAtItsTip() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 60, 40, 200, 6, Surveys.spurs(12, 2))
                .tree();
        List<FruitingSite> spurs = on(tree, AxisKind.SPUR);
        assertThat(spurs).hasSize(12);
        for (FruitingSite site : spurs) {
            assertThat(site.weight()).isEqualTo(1);
            assertThat(site.place())
                    .isEqualTo(site.axis().course().at(site.axis().length()));
        }
    }

    @Test
    void aPeachShootFruitsAlongItsLengthAndAnAppleShootAtItsTipAtMost() {
        Tree peach = Surveys.peach()
                .limb("1", "trunk", "scaffold", 50, 0, 45, 40, 200, 5, Surveys.shoots("pencil", "side", 1, 48))
                .tree();
        List<FruitingSite> along = on(peach, AxisKind.SHOOT);
        assertThat(along).as("three places stand for the whole shoot").hasSize(3);
        assertThat(along.stream().mapToDouble(FruitingSite::weight).sum())
                .as("one site every 12 cm")
                .isCloseTo(4, within(1e-9));
        Tree apple = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 60, 40, 200, 6, Surveys.shoots("pencil", "side", 1, 48))
                .tree();
        List<FruitingSite> tip = on(apple, AxisKind.SHOOT);
        assertThat(tip).hasSize(1);
        assertThat(tip.get(0).weight()).isLessThan(0.5);
    }

    @Test
    void sitesHoldAllTheFlowerBudsOfTheLimb() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 60, 40, 200, 6, Surveys.spurs(20, 3))
                .tree();
        double onSites = FruitingSite.of(tree).stream()
                .filter(site -> site.axis().limb().equals("1"))
                .mapToDouble(FruitingSite::flowerBuds)
                .sum();
        double onWood = tree.axes().stream()
                .filter(axis -> axis.limb().equals("1"))
                .mapToDouble(Axis::flowerBuds)
                .sum();
        assertThat(onSites).isCloseTo(onWood, within(1e-9)).isPositive();
    }

    private static List<FruitingSite> on(Tree tree, AxisKind kind) {
        return FruitingSite.of(tree).stream()
                .filter(site -> site.axis().limb().equals("1") && site.axis().kind() == kind)
                .toList();
    }
}
