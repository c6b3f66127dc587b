package umbel.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.text.Speech;
import umbel.text.Statement;

class FieldOutlineTest {

    private static List<List<Double>> ring(Double... numbers) {
        List<List<Double>> corners = new ArrayList<>();
        for (int i = 0; i < numbers.length; i += 2) {
            corners.add(Arrays.asList(numbers[i], numbers[i + 1]));
        }
        return corners;
    }

    private static final List<List<Double>> FIELD = ring(0.0, 0.0, 200.0, 0.0, 200.0, 100.0, 0.0, 100.0);

    @Test
    void areaIsWithoutWhatIsLeftOut() {
        assertThat(FieldOutline.of(List.of(FIELD)).areaHa()).isCloseTo(2, within(1e-9));
        FieldOutline pond = FieldOutline.of(List.of(FIELD, ring(50.0, 50.0, 100.0, 50.0, 100.0, 70.0, 50.0, 70.0)));
        assertThat(pond.areaHa()).isCloseTo(1.9, within(1e-9));
        assertThat(pond.rings()).hasSize(2);
        assertThat(pond.rings().get(0).get(0)).isEqualTo(pond.rings().get(0).get(4));
        assertThat(FieldOutline.of(pond.rings()).areaHa()).isEqualTo(pond.areaHa());
        assertThat(FieldOutline.square(1).areaHa()).isCloseTo(1, within(1e-9));
    }

    @Test
    void theLongestSideTellsTheDirectionOfTheRows() {
        assertThat(FieldOutline.of(List.of(FIELD)).longestSide()).isCloseTo(Math.PI / 2, within(1e-9));
        assertThat(Math.toDegrees(FieldOutline.of(List.of(ring(0.0, 0.0, 80.0, 80.0, 70.0, 90.0, -10.0, 10.0)))
                        .longestSide()))
                .isCloseTo(45, within(1e-6));
    }

    @Test
    void whatIsNoFieldIsSaid() {
        List<List<Double>> bow = ring(0.0, 0.0, 100.0, 100.0, 100.0, 0.0, 0.0, 100.0);
        List<List<Double>> many = new ArrayList<>();
        for (int i = 0; i < 1001; i++) {
            many.add(List.of(100 * Math.cos(i), 100 * Math.sin(i)));
        }
        assertThat(FieldOutline.fault(List.of(FIELD))).isEmpty();
        assertThat(said(List.of())).contains("three different corners");
        assertThat(said(List.of(ring(0.0, 0.0, 9.0, 0.0)))).contains("three different corners");
        assertThat(said(List.of(ring(0.0, 0.0, 9.0, 0.0, 9.0, null)))).contains("three different corners");
        assertThat(said(List.of(ring(0.0, 0.0, 9.0, 0.0, 9.0, Double.NaN)))).contains("three different corners");
        assertThat(said(List.of(ring(0.0, 0.0, 90.0, 0.0, 0.0, 0.0, 90.0, 0.0))))
                .contains("three different corners");
        assertThat(said(List.of(many))).contains("1,000 corners");
        assertThat(said(List.of(ring(0.0, 0.0, 6000.0, 0.0, 0.0, 100.0)))).contains("at most 5,000 m across");
        assertThat(said(List.of(bow))).contains("cross");
        assertThat(said(List.of(ring(0.0, 0.0, 9.0, 0.0, 9.0, 9.0)))).contains("10.0 m by 10.0 m");
        assertThat(said(List.of(FIELD, ring(300.0, 0.0, 400.0, 0.0, 400.0, 50.0))))
                .contains("cross");
    }

    private static String said(List<List<List<Double>>> rings) {
        Statement fault = FieldOutline.fault(rings).orElseThrow();
        return Speech.english().say(fault);
    }

    /** A degree of latitude is 111.3 km, one of longitude at 60° half of it. */
    @Test
    void degreesAreLaidOnAPlane() {
        GroundPlane plane = new GroundPlane(10, 60);
        assertThat(plane.metres(10, 60)).containsExactly(0, 0);
        assertThat(plane.metres(10.01, 60.01)[0]).isCloseTo(556.6, within(0.1));
        assertThat(plane.metres(10.01, 60.01)[1]).isCloseTo(1113.2, within(0.1));
    }
}
