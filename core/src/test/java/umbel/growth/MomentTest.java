package umbel.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import umbel.knowledge.GrowthParameters;
import umbel.knowledge.Knowledge;

class MomentTest {

    private static final GrowthParameters PARAMETERS =
            Knowledge.shipped().parameters().growth();

    @Test
    void theWordsAreThePhasesOfTheOpenFormat() {
        assertThat(Stream.of(Moment.values()).map(Moment::word))
                .containsExactly("dormant", "delayed-dormant", "bloom", "early-summer", "summer", "after-harvest");
    }

    @ParameterizedTest
    @EnumSource(Moment.class)
    void everyMomentIsFoundByItsWordAndHasItsCost(Moment moment) {
        assertThat(Moment.of(moment.word())).isEqualTo(moment);
        assertThat(moment.in(PARAMETERS).moved()).isBetween(0.0, 1.0);
        assertThat(moment.in(PARAMETERS).left()).isBetween(0.0, 1.0);
    }

    @Test
    void anotherWordIsRefused() {
        assertThatThrownBy(() -> Moment.of("midsummer")).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void theLaterInSpringTheMoreOfTheReserveIsInTheShoots() {
        List<Double> moved = Stream.of(Moment.DORMANT, Moment.DELAYED_DORMANT, Moment.BLOOM, Moment.EARLY_SUMMER)
                .map(moment -> moment.in(PARAMETERS).moved())
                .toList();
        assertThat(moved).isSorted().doesNotHaveDuplicates().startsWith(0.0).endsWith(1.0);
    }

    @Test
    void theLaterInLeafTheLessOfTheSeasonIsStillToCome() {
        Map<Moment, Double> left = Map.of(
                Moment.EARLY_SUMMER, Moment.EARLY_SUMMER.in(PARAMETERS).left(),
                Moment.SUMMER, Moment.SUMMER.in(PARAMETERS).left(),
                Moment.AFTER_HARVEST, Moment.AFTER_HARVEST.in(PARAMETERS).left());
        assertThat(left.get(Moment.EARLY_SUMMER)).isGreaterThan(left.get(Moment.SUMMER));
        assertThat(left.get(Moment.SUMMER)).isGreaterThan(left.get(Moment.AFTER_HARVEST));
        assertThat(Moment.DORMANT.in(PARAMETERS).left()).isZero();
    }

    @Test
    void onlyWhileSoftShootsGrowIsItSummerWork() {
        assertThat(Stream.of(Moment.values()).filter(Moment::isSummer))
                .containsExactly(Moment.EARLY_SUMMER, Moment.SUMMER);
    }
}
