package umbel.wood;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import umbel.survey.Surveys;

class EnvelopeTest {

    /** Level limbs in a row that runs north: north is ahead, east to the right. */
    @Test
    void reachesAreTakenInTheRowsAxes() {
        Envelope envelope = Envelope.of(Surveys.apple()
                .trunk(90, 260)
                .scaffold("north", 100, 0, 90, 30, 150)
                .scaffold("east", 120, 90, 90, 30, 80)
                .tree());
        assertThat(envelope.ahead()).isCloseTo(1.5, within(0.03));
        assertThat(envelope.right()).isCloseTo(0.8, within(0.03));
        assertThat(envelope.height()).isCloseTo(2.6, within(0.35));
        assertThat(envelope.alongRow()).isGreaterThanOrEqualTo(envelope.ahead());
        assertThat(envelope.left()).isLessThan(0.6);
    }

    @Test
    void rootstockShootsDoNotCount() {
        Envelope with = Envelope.of(Surveys.apple()
                .scaffold("1", 100, 0, 60, 30, 100)
                .limb("s", "trunk", "sucker", 3, 180, 80, 8, 300, 1, null)
                .tree());
        assertThat(with.behind()).isLessThan(1);
    }
}
