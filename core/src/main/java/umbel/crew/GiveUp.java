package umbel.crew;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Which work to leave when there are not hands or days enough. What is lost with an hour of a block's work is the same for each of its
 * hours, so that the least is lost by leaving the blocks with the least loss an hour first, the last of them in part (Dantzig 1957).
 */
public final class GiveUp {

    private GiveUp() {}

    /**
     * The work of a block as it could be left.
     *
     * @param hours left to do, not negative
     * @param lossPerHour what is lost with an hour of it, in any unit that is the same for all blocks, not negative
     */
    public record Work(long blockId, double hours, double lossPerHour) {}

    /**
     * What to leave of a block's work.
     *
     * @param hours to leave, more than none
     * @param whole whether that is all of it
     */
    public record Left(long blockId, double hours, boolean whole) {}

    /**
     * What to leave so that so many hours are saved with the least loss; all there is where that is not enough.
     *
     * @param hours to save, not negative
     */
    public static List<Left> of(List<Work> works, double hours) {
        List<Left> left = new ArrayList<>();
        double open = hours;
        List<Work> byLoss = works.stream()
                .filter(work -> work.hours() > 0)
                .sorted(Comparator.comparingDouble(Work::lossPerHour).thenComparingLong(Work::blockId))
                .toList();
        for (Work work : byLoss) {
            if (open <= 0) {
                break;
            }
            double taken = Math.min(open, work.hours());
            left.add(new Left(work.blockId(), taken, taken >= work.hours()));
            open -= taken;
        }
        return left;
    }

    /** What is lost with it. */
    public static double loss(List<Work> works, List<Left> left) {
        return left.stream()
                .mapToDouble(one -> one.hours()
                        * works.stream()
                                .filter(work -> work.blockId() == one.blockId())
                                .mapToDouble(Work::lossPerHour)
                                .findFirst()
                                .orElse(0))
                .sum();
    }
}
