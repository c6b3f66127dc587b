package umbel.field;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;
import umbel.compute.Cancellation;

/**
 * A field filled with rows. Each row has half an alley free on either side over its whole length and the headland free at its ends, inside
 * the field and clear of what is left out; trees stand evenly in it, half their distance from its ends. A stretch shorter than
 * one headland is not planted: turning before it takes more than it bears. Where the first row lies is chosen so that most trees have room.
 */
public final class FieldRows {

    /** Places tried for the first row, evenly over the distance between rows. */
    private static final int PLACES = 12;
    /** With more rows than this the first place does: the others would gain less than one row in so many. */
    private static final int MANY_ROWS = 400;
    /** Rows may touch an edge to within this, metres. */
    private static final double TOUCH = 1e-3;

    private static final double SLIVER = 1e-6;

    /**
     * One stretch of a row, between what interrupts it.
     *
     * @param number of its row, from 1 on the left of the rows' direction; stretches of one line share it
     * @param from where its first tree stands, east and north, metres
     * @param to where its last tree stands
     * @param length of the stretch with half a place beyond both end trees, metres
     */
    public record Row(int number, double[] from, double[] to, int trees, double length) {

        /** Where its trees stand, from the first on, east and north, metres. */
        public List<double[]> places() {
            List<double[]> places = new ArrayList<>(trees);
            for (int i = 0; i < trees; i++) {
                double share = trees == 1 ? 0 : (double) i / (trees - 1);
                places.add(new double[] {from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])});
            }
            return places;
        }
    }

    private final List<Row> rows;

    private FieldRows(List<Row> rows) {
        this.rows = rows;
    }

    /**
     * Fills a field.
     *
     * @param bearing of the rows, radians from north
     * @param headland left free at both ends of each stretch, metres
     * @param inRow between trees, metres
     * @param between rows, metres
     */
    public static FieldRows of(FieldOutline outline, double bearing, double headland, double inRow, double between) {
        // rows run along x
        Geometry turned =
                AffineTransformation.rotationInstance(bearing - Math.PI / 2).transform(outline.polygon());
        Envelope around = turned.getEnvelopeInternal();
        int tried = around.getHeight() / between > MANY_ROWS ? 1 : PLACES;
        List<List<Row>> best = new ArrayList<>();
        for (int place = 0; place < tried; place++) {
            List<Row> rows = new ArrayList<>();
            double first = around.getMaxY() - between / 2 - between * place / tried;
            for (double y = first; y - between / 2 >= around.getMinY() - TOUCH; y -= between) {
                Cancellation.check();
                int number = rows.isEmpty() ? 1 : rows.get(rows.size() - 1).number() + 1;
                for (double[] free : free(turned, around, y, between)) {
                    stretch(rows, number, free[0] + headland, free[1] - headland, headland, y, bearing, inRow);
                }
            }
            if (best.isEmpty() || trees(rows) > trees(best.get(0))) {
                best.clear();
            }
            if (best.isEmpty() || trees(rows) == trees(best.get(0))) {
                best.add(rows);
            }
        }
        // of places as good as each other the middle one: what is left over lies on both sides
        return new FieldRows(best.get((best.size() - 1) / 2));
    }

    private static int trees(List<Row> rows) {
        return rows.stream().mapToInt(Row::trees).sum();
    }

    /** Where along a line a whole alley's width lies in the field. */
    private static List<double[]> free(Geometry field, Envelope around, double y, double between) {
        double half = between / 2 - TOUCH;
        Envelope alley = new Envelope(around.getMinX() - 1, around.getMaxX() + 1, y - half, y + half);
        Geometry outside = field.getFactory().toGeometry(alley).difference(field);
        List<double[]> blocked = new ArrayList<>();
        for (int i = 0; i < outside.getNumGeometries(); i++) {
            Geometry part = outside.getGeometryN(i);
            if (part.getArea() > SLIVER) {
                Envelope covers = part.getEnvelopeInternal();
                blocked.add(new double[] {covers.getMinX(), covers.getMaxX()});
            }
        }
        blocked.sort(Comparator.comparingDouble(one -> one[0]));
        List<double[]> free = new ArrayList<>();
        double from = around.getMinX();
        for (double[] one : blocked) {
            if (one[0] > from) {
                free.add(new double[] {from, one[0]});
            }
            from = Math.max(from, one[1]);
        }
        if (around.getMaxX() > from) {
            free.add(new double[] {from, around.getMaxX()});
        }
        return free;
    }

    private static void stretch(
            List<Row> rows, int number, double from, double to, double least, double y, double bearing, double inRow) {
        int trees = (int) Math.floor((to - from + TOUCH) / inRow);
        if (trees < 1 || trees * inRow < least - TOUCH) {
            return;
        }
        double middle = (from + to) / 2;
        double reach = (trees - 1) * inRow / 2;
        rows.add(new Row(
                number, back(middle - reach, y, bearing), back(middle + reach, y, bearing), trees, trees * inRow));
    }

    /** East and north of a place along and left of the rows' direction. */
    private static double[] back(double along, double left, double bearing) {
        Coordinate at = AffineTransformation.rotationInstance(Math.PI / 2 - bearing)
                .transform(new Coordinate(along, left), new Coordinate());
        return new double[] {at.x, at.y};
    }

    /** Its stretches of rows, from left to right of their direction. */
    public List<Row> rows() {
        return rows;
    }

    /** All trees. */
    public int trees() {
        return trees(rows);
    }

    /** Lines that trees stand in, interrupted or not. */
    public int lines() {
        return (int) rows.stream().mapToInt(Row::number).distinct().count();
    }

    /** Metres of row. */
    public double length() {
        return rows.stream().mapToDouble(Row::length).sum();
    }
}
