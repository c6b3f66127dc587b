package umbel.wood;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A limb's line walked along, held to a plain walk from point to point. */
class CourseLawsTest {

    private static List<Vec> zigzag(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Vec> points = new ArrayList<>();
        Vec at = new Vec(0, 0, 0.6);
        points.add(at);
        int count = 2 + random.nextInt(12);
        for (int i = 1; i < count; i++) {
            at = at.plus(
                    new Vec(random.nextDouble(-0.3, 0.3), random.nextDouble(-0.3, 0.3), random.nextDouble(-0.2, 0.3)));
            points.add(at);
        }
        return points;
    }

    /** Where a walker is after a distance, going straight from point to point. */
    private static Vec walked(List<Vec> points, double distance) {
        double left = Math.max(0, distance);
        for (int i = 1; i < points.size(); i++) {
            Vec step = points.get(i).minus(points.get(i - 1));
            if (left <= step.length() || i == points.size() - 1) {
                return points.get(i - 1).plus(step.times(Math.min(1, left / step.length())));
            }
            left -= step.length();
        }
        throw new IllegalStateException();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void everyDistanceIsWhereAWalkerWouldBe(long seed) {
        List<Vec> points = zigzag(seed);
        Course course = new Course(points);
        for (int n = -5; n <= 105; n++) {
            double distance = course.length() * n / 100;
            assertThat(course.at(distance).minus(walked(points, distance)).length())
                    .isLessThan(1e-9);
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void atEveryPointTheDistanceAndThePlaceAgree(long seed) {
        List<Vec> points = zigzag(seed);
        Course course = new Course(points);
        for (int i = 0; i < course.size(); i++) {
            assertThat(course.at(course.along(i)).minus(points.get(i)).length()).isLessThan(1e-9);
        }
        assertThat(course.top())
                .isEqualTo(points.stream().mapToDouble(Vec::z).max().orElseThrow());
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void whatIsKeptOfACutLineIsItsBeginning(long seed) {
        Course course = new Course(zigzag(seed));
        for (double share : new double[] {0.01, 0.3, 0.62, 0.99}) {
            double kept = share * course.length();
            Course left = course.upTo(kept);
            assertThat(left.length()).isCloseTo(kept, within(1e-9));
            assertThat(left.at(kept / 2).minus(course.at(kept / 2)).length()).isLessThan(1e-9);
            assertThat(left.top()).isLessThanOrEqualTo(course.top() + 1e-12);
        }
    }
}
