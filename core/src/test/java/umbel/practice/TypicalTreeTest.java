package umbel.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.NotSupported;
import umbel.survey.Survey;
import umbel.wood.TreeBuilder;

/** A survey to begin from has limbs where such a tree has them, and the size of the tree before you. */
class TypicalTreeTest {

    @ParameterizedTest
    @ValueSource(strings = {"apple", "pear", "peach", "cherry-sweet", "plum-european", "walnut", "citrus", "fig"})
    void everyKindInItsUsualSystemCanBeBuilt(String species) {
        String system = Knowledge.shipped().species(species).systems().get(0);
        for (int leaf : new int[] {2, 5, 12, 30}) {
            Survey survey = TypicalTree.of(species, system, leaf, null, null);
            assertThat(survey.limbs()).as("%s leaf %d", species, leaf).isNotEmpty();
            assertThat(TreeBuilder.build(survey, Knowledge.shipped(), 1).limbs())
                    .hasSameSizeAs(survey.limbs());
        }
    }

    @Test
    void itTakesTheHeightAndTrunkThatWereMeasured() {
        Survey usual = TypicalTree.of("apple", "tall-spindle", 6, null, null);
        Survey small = TypicalTree.of(
                "apple",
                "tall-spindle",
                6,
                usual.trunk().diameterMm() / 2,
                usual.trunk().heightCm() * 0.8);
        assertThat(small.trunk().heightCm()).isEqualTo(usual.trunk().heightCm() * 0.8);
        assertThat(small.limbs()).hasSameSizeAs(usual.limbs());
        for (int i = 0; i < usual.limbs().size(); i++) {
            assertThat(small.limbs().get(i).lengthCm())
                    .isCloseTo(usual.limbs().get(i).lengthCm() * 0.8, within(0.51));
            assertThat(small.limbs().get(i).diameterMm())
                    .isCloseTo(Math.max(3, usual.limbs().get(i).diameterMm() / 2), within(0.51));
        }
    }

    @Test
    void whatNobodyKnowsIsRefused() {
        assertThatThrownBy(() -> TypicalTree.of("dragon-fruit", "tall-spindle", 5, null, null))
                .isInstanceOf(NotSupported.class);
    }
}
