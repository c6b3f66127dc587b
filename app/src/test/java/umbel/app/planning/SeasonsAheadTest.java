package umbel.app.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.app.plan.PlanWorth.SeasonAhead;

class SeasonsAheadTest {

    private static final SeasonAhead SMALL = new SeasonAhead(4.0, 10, 8, 0.2, 0.4);
    private static final SeasonAhead LARGE = new SeasonAhead(10.0, 20, 12, 0.4, 0.5);

    @Test
    void aBlockGoesOnAsTheMeanOfItsTrees() {
        assertThat(SeasonsAhead.of(List.of(List.of(SMALL, LARGE), List.of(LARGE, LARGE))))
                .containsExactly(
                        new SeasonsAhead(1, 7.0, 15, 10, 0.3, 0.45), new SeasonsAhead(2, 10.0, 20, 12, 0.4, 0.5));
    }

    @Test
    void onlySeasonsAreToldThatAreKnownOfEveryTree() {
        assertThat(SeasonsAhead.of(List.of(List.of(SMALL, LARGE), List.of(LARGE))))
                .hasSize(1);
        assertThat(SeasonsAhead.of(List.of())).isEmpty();
    }

    @Test
    void aFigureThatOneTreeLacksIsNotTold() {
        SeasonAhead counted = new SeasonAhead(null, 5, 4, null, null);
        assertThat(SeasonsAhead.of(List.of(List.of(counted), List.of(SMALL))))
                .containsExactly(new SeasonsAhead(1, null, 7.5, 6, null, null));
    }
}
