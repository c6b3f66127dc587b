package umbel.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import umbel.survey.Surveys;
import umbel.wood.Tree;
import umbel.wood.Units;

/** A new shoot goes the way its bud faces. */
class BudSideTest {

    @Test
    void aLimbIsHeadedToABudThatFacesOutward() {
        Tree tree = Surveys.apple().scaffold("1", 80, 90, 50, 20, 100).tree();
        BudSide bud = BudSide.of(tree, tree.find("1").orElseThrow());
        assertThat(bud.word()).isEqualTo("outward");
        assertThat(Units.toDegrees(bud.bearing())).isCloseTo(90, within(15.0));
    }

    @Test
    void aHangingLimbIsHeadedToAnUpwardBud() {
        Tree tree = Surveys.apple().scaffold("1", 80, 90, 110, 20, 100).tree();
        assertThat(BudSide.of(tree, tree.find("1").orElseThrow()).word()).isEqualTo("upward");
    }

    @Test
    void anUprightLeaderIsHeadedOverTheWidestGap() {
        Tree tree = Surveys.apple()
                .scaffold("1", 80, 0, 50, 20, 100)
                .scaffold("2", 95, 90, 50, 20, 100)
                .tree();
        BudSide bud = BudSide.of(tree, tree.trunk());
        assertThat(bud.word()).isEqualTo("gap");
        // between east and north the long way round
        assertThat(Units.toDegrees(bud.bearing())).isCloseTo(225, within(20.0));
    }
}
