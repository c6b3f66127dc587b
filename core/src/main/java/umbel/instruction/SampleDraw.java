package umbel.instruction;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Which trees of a block to survey: every so-manieth along its rows, walked up one and down the next, from a random start. Ends of
 * rows stand otherwise than the trees between and are passed over, and the step never falls into step with the rows.
 */
public final class SampleDraw {

    private SampleDraw() {}

    /** A place in a row, both from 1. */
    public record Place(int row, int place) {}

    /**
     * Places to survey, in the order they are walked to.
     *
     * @param rows places in each row
     * @param wanted how many; fewer where the block has fewer
     */
    public static List<Place> of(List<Integer> rows, int wanted, long seed) {
        List<Place> walk = new ArrayList<>();
        for (int row = 1; row <= rows.size(); row++) {
            int places = rows.get(row - 1);
            boolean hasMiddle = places > 2;
            int first = hasMiddle ? 2 : 1;
            int last = hasMiddle ? places - 1 : places;
            for (int i = first; i <= last; i++) {
                walk.add(new Place(row, row % 2 == 1 ? i : last - (i - first)));
            }
        }
        int count = Math.min(wanted, walk.size());
        if (count == 0) {
            return List.of();
        }
        int step = Math.max(1, walk.size() / count);
        int inARow = rows.stream().mapToInt(Integer::intValue).max().orElse(1) - 2;
        if (step > 1 && inARow > 1 && step % inARow == 0) {
            step--;
        }
        int start = new SplittableRandom(seed).nextInt(Math.max(1, walk.size() - step * (count - 1)));
        List<Place> drawn = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            drawn.add(walk.get(start + i * step));
        }
        return drawn;
    }
}
