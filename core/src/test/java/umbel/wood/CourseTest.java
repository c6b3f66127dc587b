package umbel.wood;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CourseTest {

    private static final double TINY = 1e-12;

    private final Course bent = new Course(List.of(new Vec(0, 0, 0), new Vec(3, 0, 0), new Vec(3, 4, 0)));

    @Test
    void lengthIsWalkedAlongTheLine() {
        assertThat(bent.length()).isEqualTo(7);
        assertThat(bent.along(1)).isEqualTo(3);
    }

    @Test
    void aPlaceIsFoundByItsDistance() {
        assertThat(bent.at(5)).isEqualTo(new Vec(3, 2, 0));
        assertThat(bent.at(-1)).isEqualTo(new Vec(0, 0, 0));
        assertThat(bent.at(99)).isEqualTo(new Vec(3, 4, 0));
        assertThat(bent.directionAt(1)).isEqualTo(new Vec(1, 0, 0));
        assertThat(bent.directionAt(4)).isEqualTo(new Vec(0, 1, 0));
    }

    @Test
    void aCutKeepsTheLowerPart() {
        assertThat(bent.upTo(5).length()).isEqualTo(5);
        assertThat(bent.upTo(2).length()).isEqualTo(2);
        assertThat(bent.upTo(7)).isSameAs(bent);
    }

    @Test
    void turningKeepsLengthAndPivot() {
        Course turned = bent.turned(new Vec(0, 0, 0), new Vec(0, 0, 1), Math.PI / 2);
        assertThat(turned.length()).isCloseTo(7, within(TINY));
        assertThat(turned.at(3).y()).isCloseTo(3, within(TINY));
        assertThat(turned.point(0)).isEqualTo(new Vec(0, 0, 0));
    }

    @Test
    void oneePointIsNoLine() {
        assertThatThrownBy(() -> new Course(List.of(new Vec(0, 0, 0)))).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0, 0, 0, 1",
        "0, 90, 0, 1, 0",
        "90, 90, 1, 0, 0",
        "180, 90, 0, -1, 0",
        "270, 45, -0.70710678, 0, 0.70710678"
    })
    void bearingsRunFromNorthByEast(double bearing, double inclination, double x, double y, double z) {
        Vec heading = Vec.heading(Math.toRadians(bearing), Math.toRadians(inclination));
        assertThat(heading.x()).isCloseTo(x, within(1e-8));
        assertThat(heading.y()).isCloseTo(y, within(1e-8));
        assertThat(heading.z()).isCloseTo(z, within(1e-8));
        assertThat(Math.toDegrees(heading.inclination())).isCloseTo(inclination, within(1e-6));
        if (inclination > 0) {
            assertThat(Math.toDegrees(heading.bearing())).isCloseTo(bearing, within(1e-6));
        }
    }

    @Test
    void anglesBetweenDirections() {
        assertThat(new Vec(1, 0, 0).angleTo(new Vec(0, 5, 0))).isCloseTo(Math.PI / 2, within(TINY));
        assertThat(new Vec(1, 0, 0).cross(new Vec(0, 1, 0))).isEqualTo(new Vec(0, 0, 1));
        assertThat(new Vec(0, 0, 0).unit()).isEqualTo(Vec.UP);
    }

    @Test
    void unitsMeetInOnePlace() {
        assertThat(Units.fromCm(250)).isEqualTo(2.5);
        assertThat(Units.toMm(0.048)).isCloseTo(48, within(1e-9));
        assertThat(Units.section(2)).isCloseTo(Math.PI, within(TINY));
        assertThat(Units.toCm2(Units.section(0.048))).isCloseTo(18.0956, within(1e-3));
        assertThat(Units.round(2.34567, 2)).isEqualTo(2.35);
    }
}
