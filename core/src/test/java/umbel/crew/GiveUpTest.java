package umbel.crew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Where hours are missing, the work whose hours lose least is left first; held to every other way of leaving as much. */
class GiveUpTest {

    @Test
    void theHoursThatLoseLeastGoFirstAndTheLastBlockInPart() {
        List<GiveUp.Work> works =
                List.of(new GiveUp.Work(1, 20, 5), new GiveUp.Work(2, 30, 1), new GiveUp.Work(3, 10, 2));
        List<GiveUp.Left> left = GiveUp.of(works, 36);
        assertThat(left).containsExactly(new GiveUp.Left(2, 30, true), new GiveUp.Left(3, 6, false));
        assertThat(GiveUp.loss(works, left)).isEqualTo(30 + 12);
        assertThat(GiveUp.of(works, 0)).isEmpty();
        assertThat(GiveUp.of(works, 1000)).hasSize(3).allMatch(GiveUp.Left::whole);
    }

    @Test
    void noOtherWayOfSavingTheHoursLosesLess() {
        Random random = new Random(5);
        for (int draw = 0; draw < 200; draw++) {
            List<GiveUp.Work> works = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                works.add(new GiveUp.Work(i, random.nextInt(8), random.nextInt(10)));
            }
            double all = works.stream().mapToDouble(GiveUp.Work::hours).sum();
            int wanted = random.nextInt((int) all + 1);
            List<GiveUp.Left> left = GiveUp.of(works, wanted);
            assertThat(left.stream().mapToDouble(GiveUp.Left::hours).sum()).isCloseTo(wanted, within(1e-9));
            assertThat(GiveUp.loss(works, left)).isCloseTo(cheapest(works, 0, wanted), within(1e-9));
        }
    }

    /** The least loss by trying every whole number of hours of every block. */
    private static double cheapest(List<GiveUp.Work> works, int from, int hours) {
        if (from == works.size()) {
            return hours == 0 ? 0 : Double.POSITIVE_INFINITY;
        }
        GiveUp.Work work = works.get(from);
        double best = Double.POSITIVE_INFINITY;
        for (int left = 0; left <= Math.min(hours, work.hours()); left++) {
            best = Math.min(best, left * work.lossPerHour() + cheapest(works, from + 1, hours - left));
        }
        return best;
    }
}
