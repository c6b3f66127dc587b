package umbel.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Agreement between people, against figures worked out elsewhere. */
class AgreementTest {

    private static List<Map<Integer, Integer>> table(int[]... rows) {
        List<Map<Integer, Integer>> table = new ArrayList<>();
        for (int[] row : rows) {
            Map<Integer, Integer> counts = new HashMap<>();
            for (int i = 0; i < row.length; i++) {
                counts.put(i, row[i]);
            }
            table.add(counts);
        }
        return table;
    }

    /** The usual textbook table of fourteen raters, ten subjects and five categories: 0.210. */
    @Test
    void fourteenRatersOfTheTextbook() {
        assertThat(Agreement.kappa(table(
                        new int[] {0, 0, 0, 0, 14},
                        new int[] {0, 2, 6, 4, 2},
                        new int[] {0, 0, 3, 5, 6},
                        new int[] {0, 3, 9, 2, 0},
                        new int[] {2, 2, 8, 1, 1},
                        new int[] {7, 7, 0, 0, 0},
                        new int[] {3, 2, 6, 3, 0},
                        new int[] {2, 5, 3, 2, 2},
                        new int[] {6, 5, 2, 1, 0},
                        new int[] {0, 2, 2, 3, 7})))
                .isCloseTo(0.210, within(5e-4));
    }

    @Test
    void allAlikeIsOne() {
        assertThat(Agreement.kappa(table(new int[] {3, 0}, new int[] {0, 3}, new int[] {3, 0})))
                .isCloseTo(1, within(1e-12));
    }

    /** Two people, one limb each way: they agree on half, chance gives a half: none beyond chance. */
    @Test
    void asMuchAsChanceIsNought() {
        assertThat(Agreement.kappa(table(new int[] {2, 0}, new int[] {0, 2}, new int[] {1, 1}, new int[] {1, 1})))
                .isCloseTo(0, within(1e-12));
    }

    @Test
    void whereNothingCanBeSaidNothingIs() {
        assertThat(Agreement.kappa(List.<Map<Integer, Integer>>of())).isNaN();
        assertThat(Agreement.kappa(table(new int[] {1, 0}))).isNaN();
        assertThat(Agreement.kappa(table(new int[] {4, 0}, new int[] {4, 0}))).isNaN();
        assertThatThrownBy(() -> Agreement.kappa(table(new int[] {2, 0}, new int[] {3, 0})))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
