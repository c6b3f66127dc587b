package umbel.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SkyPixelsTest {

    /** A picture with a share of sky, leaf and sky each with noise of their own. */
    private static int[] picture(double sky, long seed) {
        Random random = new Random(seed);
        return IntStream.range(0, 40_000)
                .map(i -> i < sky * 40_000
                        ? rgb(190, 205, 225 + 12 * random.nextGaussian())
                        : rgb(60, 95, 50 + 18 * random.nextGaussian()))
                .toArray();
    }

    private static int rgb(int red, int green, double blue) {
        return red << 16 | green << 8 | (int) Math.max(0, Math.min(255, blue));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.05, 0.2, 0.5, 0.8, 0.95})
    void theShareOfSkyIsFound(double sky) {
        assertThat(SkyPixels.share(picture(sky, 4))).isCloseTo(sky, within(0.005));
    }

    @Test
    void leafAloneHasNoSkyAndSkyAloneIsAllSky() {
        assertThat(SkyPixels.share(picture(0, 1))).isZero();
        assertThat(SkyPixels.share(picture(1, 1))).isEqualTo(1);
        assertThatThrownBy(() -> SkyPixels.share(new int[0])).isInstanceOf(IllegalArgumentException.class);
    }
}
