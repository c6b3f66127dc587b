package umbel.plant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import umbel.assess.Mark;
import umbel.crew.WorkKind;
import umbel.cut.Effect;
import umbel.work.Tool;

/** Sums of a visit, worked out by hand from steps whose minutes are given. */
class VisitTest {

    private static Visit.Step step(Tool tool, boolean ladder, double minutes) {
        Effect effect = new Effect(
                tool, 1, 0.02, ladder ? 3 : 1, false, false, false, 0.5, 0.1, 0.1, 0.001, ladder, minutes, 1);
        return new Visit.Step(new Mark("remove", "1", null, null, null, null), effect);
    }

    private static final Visit DAY = new Visit(
            List.of(
                    step(Tool.SAW, false, 4),
                    step(Tool.SAW, true, 6),
                    step(Tool.HAND_PRUNER, true, 2.5),
                    step(Tool.HAND_PRUNER, false, 1)),
            1.5);

    @Test
    void minutesAddUpWithTheLook() {
        assertThat(DAY.minutes()).isEqualTo(15, within(1e-9));
        assertThat(DAY.ladderMinutes()).isEqualTo(8.5, within(1e-9));
        assertThat(DAY.sawMinutes()).isEqualTo(10, within(1e-9));
    }

    @Test
    void aSawOnALadderIsWorkForTheSawAndLookingIsDetail() {
        assertThat(DAY.minutesByKind())
                .isEqualTo(Map.of(WorkKind.SAW, 10.0, WorkKind.LADDER, 2.5, WorkKind.DETAIL, 2.5));
        assertThat(DAY.minutesByKind().values().stream().mapToDouble(m -> m).sum())
                .as("no minute is lost or counted twice")
                .isEqualTo(DAY.minutes(), within(1e-9));
    }

    @Test
    void whereNothingIsDoneNobodyIsNeeded() {
        assertThat(new Visit(List.of(), 0).minutesByKind()).isEmpty();
    }
}
