package umbel.instruction;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import umbel.instruction.SampleDraw.Place;

class SampleDrawTest {

    @Test
    void treesAreSpreadAlongTheRowsAndEndsArePassedOver() {
        List<Place> drawn = SampleDraw.of(Collections.nCopies(14, 100), 8, 3);
        assertThat(drawn).hasSize(8).doesNotHaveDuplicates();
        assertThat(drawn).allSatisfy(one -> assertThat(one.place()).isBetween(2, 99));
        assertThat(drawn.stream().map(Place::row).distinct().count()).isGreaterThanOrEqualTo(7);
    }

    @Test
    void noPlaceAlongTheRowIsPreferred() {
        Map<Integer, Integer> byQuarter = new HashMap<>();
        for (int seed = 0; seed < 400; seed++) {
            SampleDraw.of(Collections.nCopies(10, 42), 8, seed)
                    .forEach(one -> byQuarter.merge((one.place() - 2) / 10, 1, Integer::sum));
        }
        assertThat(byQuarter.values()).allSatisfy(count -> assertThat(count).isBetween(640, 960));
    }

    @Test
    void aSmallBlockGivesWhatItHas() {
        assertThat(SampleDraw.of(List.of(3, 4), 8, 1))
                .containsExactly(new Place(1, 2), new Place(2, 3), new Place(2, 2));
        assertThat(SampleDraw.of(List.of(1), 8, 1)).containsExactly(new Place(1, 1));
        assertThat(SampleDraw.of(List.of(), 8, 1)).isEmpty();
    }

    @Test
    void theSameSeedDrawsTheSameTrees() {
        assertThat(SampleDraw.of(List.of(30, 30), 5, 9)).isEqualTo(SampleDraw.of(List.of(30, 30), 5, 9));
    }
}
