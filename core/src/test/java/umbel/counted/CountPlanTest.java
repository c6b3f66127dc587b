package umbel.counted;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;

class CountPlanTest {

    private static CountPlan bringing(double... marketable) {
        return new CountPlan(
                "recommended",
                List.of(),
                List.of(),
                0,
                DoubleStream.of(marketable)
                        .mapToObj(kg -> new CountPlan.Season(2 * kg, kg, 1, 0))
                        .toList(),
                List.of());
    }

    @Test
    void whatAPlanBringsOverAnotherIsAShareOfTheBetterOnesMarketableCrop() {
        assertThat(bringing(2, 4, 4).shareAbove(bringing(4, 2, 1))).isCloseTo(0.3, within(1e-9));
        assertThat(bringing(4, 2, 1).shareAbove(bringing(2, 4, 4))).isCloseTo(-0.3, within(1e-9));
        assertThat(bringing(0, 0).shareAbove(bringing(0, 0))).isZero();
    }

    /** An old bush that nobody prunes crops ever less: pruning it is worth something, and against itself a plan is worth nothing. */
    @Test
    void pruningAnOldBushIsWorthSomething() {
        Counted bush = Counted.of(
                Counts.survey(
                        "{'format':'umbel-count/1','plant':{'kind':'blueberry'},'canes':["
                                + "{'id':'a','age_y':9,'count':12},{'id':'b','age_y':3,'count':3},{'id':'c','age_y':1,'count':2}]}"),
                Knowledge.shipped());
        CountPlan recommended = bush.plan("recommended", Moment.DORMANT);
        assertThat(recommended.shareAbove(bush.plan("nothing", Moment.DORMANT))).isPositive();
        assertThat(recommended.shareAbove(recommended)).isZero();
    }
}
