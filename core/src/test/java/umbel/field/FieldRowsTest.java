package umbel.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Fields whose rows can be counted by hand, and what holds in any field. */
class FieldRowsTest {

    private static List<List<Double>> ring(double... numbers) {
        List<List<Double>> corners = new ArrayList<>();
        for (int i = 0; i < numbers.length; i += 2) {
            corners.add(List.of(numbers[i], numbers[i + 1]));
        }
        return corners;
    }

    /** Turned clockwise about the origin, degrees. */
    private static List<List<Double>> turned(List<List<Double>> ring, double degrees) {
        double angle = Math.toRadians(degrees);
        return ring.stream()
                .map(corner -> List.of(
                        corner.get(0) * Math.cos(angle) + corner.get(1) * Math.sin(angle) + 40,
                        -corner.get(0) * Math.sin(angle) + corner.get(1) * Math.cos(angle) - 7))
                .toList();
    }

    private static FieldRows north(double headland, double inRow, double between, List<List<Double>> edge) {
        return FieldRows.of(FieldOutline.of(List.of(edge)), 0, headland, inRow, between);
    }

    @ParameterizedTest
    @CsvSource({
        // wide, deep, headland, in the row, between rows: rows, trees in each
        "100, 100, 8, 1, 3.5, 28, 84",
        "100, 100, 0, 5, 6, 16, 20",
        "60, 200, 10, 2, 4, 15, 90",
        "7, 50, 0, 1, 3.5, 2, 50",
        "3, 50, 0, 1, 3.5, 0, 0"
    })
    void aRectangleTakesWholeRowsOfWholeTrees(
            double wide, double deep, double headland, double inRow, double between, int rows, int trees) {
        FieldRows field = north(headland, inRow, between, ring(0, 0, wide, 0, wide, deep, 0, deep));
        assertThat(field.lines()).isEqualTo(rows);
        assertThat(field.trees()).isEqualTo(rows * trees);
        assertThat(field.length()).isCloseTo(rows * trees * inRow, within(1e-6));
        assertThat(field.rows()).allSatisfy(row -> assertThat(row.trees()).isEqualTo(trees));
    }

    /** Ten rows of a hundred metres and ten of fifty. */
    @Test
    void theShortArmOfAnAngleHasShortRows() {
        FieldRows field = north(0, 2, 5, ring(0, 0, 100, 0, 100, 50, 50, 50, 50, 100, 0, 100));
        assertThat(field.trees()).isEqualTo(10 * 50 + 10 * 25);
        assertThat(field.lines()).isEqualTo(20);
    }

    /** A pond of twenty metres: four whole rows, and two that stop before it and go on behind it. */
    @Test
    void whatIsLeftOutInterruptsTheRowsItLiesIn() {
        FieldRows field = FieldRows.of(
                FieldOutline.of(List.of(ring(0, 0, 60, 0, 60, 100, 0, 100), ring(20, 40, 40, 40, 40, 60, 20, 60))),
                0,
                0,
                5,
                10);
        assertThat(field.trees()).isEqualTo(4 * 20 + 4 * 8);
        assertThat(field.lines()).isEqualTo(6);
        assertThat(field.rows()).hasSize(8);
        assertThat(field.rows().stream().filter(row -> row.number() == 3)).hasSize(2);
    }

    @ParameterizedTest
    @ValueSource(doubles = {17, 90, 133, 200, 359})
    void aFieldThatIsTurnedWithItsRowsHoldsTheSame(double degrees) {
        List<List<Double>> edge = ring(0, 0, 90, 10, 120, 80, 30, 110);
        FieldRows plain = north(6, 1.5, 4, edge);
        FieldRows other =
                FieldRows.of(FieldOutline.of(List.of(turned(edge, degrees))), Math.toRadians(degrees), 6, 1.5, 4);
        assertThat(other.trees()).isEqualTo(plain.trees());
        assertThat(other.lines()).isEqualTo(plain.lines());
    }

    /** By casting a ray and not by the geometry the rows are laid with: half an alley beside every tree, a headland at the ends. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void everyTreeHasItsRoomInAnyField(long seed) {
        Random random = new Random(seed);
        List<List<Double>> edge = star(random);
        double bearing = random.nextDouble() * Math.PI;
        double between = 3 + 3 * random.nextDouble();
        double headland = 10 * random.nextDouble();
        FieldRows field = FieldRows.of(FieldOutline.of(List.of(edge)), bearing, headland, 1.2, between);
        assertThat(field.trees()).isPositive();
        double[] along = {Math.sin(bearing), Math.cos(bearing)};
        for (FieldRows.Row row : field.rows()) {
            assertThat(row.places()).hasSize(row.trees());
            for (double[] tree : row.places()) {
                for (double side = -1; side <= 1; side += 0.25) {
                    double off = side * (between / 2 - 0.01);
                    assertThat(inside(edge, tree[0] + off * along[1], tree[1] - off * along[0]))
                            .as("beside a tree of row %d", row.number())
                            .isTrue();
                }
            }
            double beyond = headland + 0.6 - 0.01;
            assertThat(inside(edge, row.from()[0] - beyond * along[0], row.from()[1] - beyond * along[1]))
                    .isTrue();
            assertThat(inside(edge, row.to()[0] + beyond * along[0], row.to()[1] + beyond * along[1]))
                    .isTrue();
        }
        double hectares = FieldOutline.of(List.of(edge)).areaHa();
        assertThat(field.trees() * 1.2 * between).isLessThan(hectares * 10_000);
    }

    /** Rows to the north on a field of 23 m: five of 4 m, 1.5 m left on either side, the first in the west. */
    @Test
    void whatIsLeftOverLiesOnBothSidesAndTheFirstRowOnTheLeft() {
        FieldRows field = north(0, 1, 4, ring(0, 0, 23, 0, 23, 50, 0, 50));
        assertThat(field.lines()).isEqualTo(5);
        double first = field.rows().get(0).from()[0];
        double last = field.rows().get(4).from()[0];
        assertThat(first).isLessThan(last);
        assertThat(first - 2).isCloseTo(23 - last - 2, within(0.4));
        assertThat(field.rows().get(0).from()[1])
                .as("its first tree in the south")
                .isCloseTo(0.5, within(0.01));
    }

    /** A triangle's point would take rows of a tree or two. */
    @Test
    void aStretchShorterThanAHeadlandIsNotPlanted() {
        List<List<Double>> triangle = ring(0, 0, 100, 0, 0, 100);
        for (double headland : new double[] {2, 6, 10}) {
            FieldRows field = north(headland, 1, 3.5, triangle);
            assertThat(field.trees()).isPositive();
            assertThat(field.rows()).allSatisfy(row -> assertThat(row.length()).isGreaterThanOrEqualTo(headland));
        }
    }

    @Test
    void aWiderHeadlandNeverMakesRoom() {
        List<List<Double>> edge = star(new Random(9));
        int before = Integer.MAX_VALUE;
        for (double headland = 0; headland < 15; headland += 2.5) {
            int trees = north(headland, 1, 3.5, edge).trees();
            assertThat(trees).isLessThanOrEqualTo(before);
            before = trees;
        }
    }

    /** A field of twelve corners about a middle, each at a distance of its own. */
    private static List<List<Double>> star(Random random) {
        double[] numbers = new double[24];
        for (int i = 0; i < 12; i++) {
            double far = 50 + 60 * random.nextDouble();
            numbers[2 * i] = far * Math.cos(Math.PI * i / 6);
            numbers[2 * i + 1] = far * Math.sin(Math.PI * i / 6);
        }
        return ring(numbers);
    }

    private static boolean inside(List<List<Double>> ring, double x, double y) {
        boolean inside = false;
        for (int i = 0, j = ring.size() - 1; i < ring.size(); j = i++) {
            double xi = ring.get(i).get(0);
            double yi = ring.get(i).get(1);
            double xj = ring.get(j).get(0);
            double yj = ring.get(j).get(1);
            if (yi > y != yj > y && x < (xj - xi) * (y - yi) / (yj - yi) + xi) {
                inside = !inside;
            }
        }
        return inside;
    }
}
