package umbel.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.LightParameters;

class SkyTest {

    private static final LightParameters SETTINGS =
            Knowledge.shipped().parameters().light();

    @ParameterizedTest
    @ValueSource(doubles = {-41, -10, 0, 23, 47.6, 60})
    void allTheLightIsSharedOut(double latitude) {
        Sky sky = Sky.season(46, Math.toRadians(latitude), 0, SETTINGS);
        assertThat(total(sky)).isCloseTo(1, within(1e-12));
        for (int m = 0; m < sky.size(); m++) {
            double[] d = sky.direction(m);
            assertThat(d[0] * d[0] + d[1] * d[1] + d[2] * d[2]).isCloseTo(1, within(1e-12));
            assertThat(d[2]).isPositive();
            assertThat(sky.weight(m)).isPositive();
        }
    }

    @Test
    void morningsAndAfternoonsBalance() {
        Sky sky = Sky.season(400, Math.toRadians(47), 0, SETTINGS);
        assertThat(mean(sky, 1)).as("east against west").isCloseTo(0, within(0.01));
    }

    @ParameterizedTest
    @CsvSource({"47, -1", "-41, 1"})
    void theSunStandsOnTheEquatorsSide(double latitude, double side) {
        // rows run north, so the box's x axis points north
        Sky sky = Sky.season(400, Math.toRadians(latitude), 0, SETTINGS);
        assertThat(mean(sky, 0) * side).isGreaterThan(0.02);
    }

    @Test
    void theHigherTheLatitudeTheLowerTheSun() {
        assertThat(meanHeight(20)).isGreaterThan(meanHeight(47));
        assertThat(meanHeight(47)).isGreaterThan(meanHeight(62));
    }

    @Test
    void turningTheRowTurnsTheSky() {
        double[] north = Sky.toRow(0, 1, 0, 0);
        assertThat(north[0]).as("along a north row").isCloseTo(1, within(1e-12));
        double[] eastRow = Sky.toRow(0, 1, 0, Math.PI / 2);
        assertThat(eastRow[0]).isCloseTo(0, within(1e-12));
        assertThat(Math.abs(eastRow[1])).isCloseTo(1, within(1e-12));
        double[] along = Sky.toRow(Math.sin(0.4), Math.cos(0.4), 0, 0.4);
        assertThat(along[0]).isCloseTo(1, within(1e-12));
    }

    @Test
    void aUniformSkyIsTheSameAllRound() {
        Sky sky = Sky.uniform(200);
        assertThat(mean(sky, 0)).isCloseTo(0, within(0.01));
        assertThat(mean(sky, 1)).isCloseTo(0, within(0.01));
    }

    private static double meanHeight(double latitude) {
        Sky sky = Sky.season(200, Math.toRadians(latitude), 0, SETTINGS);
        return mean(sky, 2);
    }

    private static double mean(Sky sky, int axis) {
        double sum = 0;
        for (int m = 0; m < sky.size(); m++) {
            sum += sky.weight(m) * sky.direction(m)[axis];
        }
        return sum;
    }

    private static double total(Sky sky) {
        double sum = 0;
        for (int m = 0; m < sky.size(); m++) {
            sum += sky.weight(m);
        }
        return sum;
    }
}
