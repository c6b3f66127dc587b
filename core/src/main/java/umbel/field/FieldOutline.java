package umbel.field;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import umbel.text.Statement;
import umbel.text.Value;

/** The edge of a field, and of what is left out of it, in metres east and north of any zero. */
public final class FieldOutline {

    private static final GeometryFactory SHAPES = new GeometryFactory();
    private static final int LEAST_CORNERS = 3;
    private static final int MOST_CORNERS = 1000;
    private static final double LEAST_AREA = 100;
    private static final double MOST_SPAN = 5000;
    private static final double SQUARE_METRES_A_HECTARE = 10_000;

    private final Polygon polygon;

    private FieldOutline(Polygon polygon) {
        this.polygon = polygon;
    }

    /**
     * What is wrong with rings of corners; empty where they are an outline.
     *
     * @param rings the edge first, then what is left out; each corner east and north, metres; closed or not
     */
    public static Optional<Statement> fault(List<List<List<Double>>> rings) {
        if (rings.isEmpty() || rings.stream().anyMatch(FieldOutline::isNoRing)) {
            return wrong("corners");
        }
        if (rings.stream().mapToInt(List::size).sum() > MOST_CORNERS) {
            return wrong("many");
        }
        Polygon polygon = polygon(rings);
        Envelope around = polygon.getEnvelopeInternal();
        if (Math.max(around.getWidth(), around.getHeight()) > MOST_SPAN) {
            return wrong("large");
        }
        if (!polygon.isValid()) {
            return wrong("crossing");
        }
        return polygon.getArea() < LEAST_AREA ? wrong("small") : Optional.empty();
    }

    private static Optional<Statement> wrong(String why) {
        return Optional.of(Statement.of("problem.field-outline")
                .with("why", Value.choice(why))
                .with("corners", Value.count(MOST_CORNERS))
                .with("span", Value.reach(MOST_SPAN))
                .with("side", Value.reach(Math.sqrt(LEAST_AREA))));
    }

    private static boolean isNoRing(List<List<Double>> ring) {
        return ring == null
                || ring.size() < LEAST_CORNERS
                || ring.stream()
                        .anyMatch(corner -> corner == null
                                || corner.size() < 2
                                || corner.subList(0, 2).stream().anyMatch(one -> one == null || !Double.isFinite(one)))
                || ring.stream().map(corner -> corner.subList(0, 2)).distinct().count() < LEAST_CORNERS;
    }

    /** The outline that rings without {@link #fault} make. */
    public static FieldOutline of(List<List<List<Double>>> rings) {
        return new FieldOutline(polygon(rings));
    }

    /** A square field of an area, its first side to the north. */
    public static FieldOutline square(double areaHa) {
        double side = Math.sqrt(areaHa * SQUARE_METRES_A_HECTARE);
        return of(List.of(List.of(List.of(0.0, 0.0), List.of(side, 0.0), List.of(side, side), List.of(0.0, side))));
    }

    private static Polygon polygon(List<List<List<Double>>> rings) {
        LinearRing[] holes = rings.stream().skip(1).map(FieldOutline::ring).toArray(LinearRing[]::new);
        return SHAPES.createPolygon(ring(rings.get(0)), holes);
    }

    private static LinearRing ring(List<List<Double>> corners) {
        List<Coordinate> closed = new ArrayList<>();
        corners.forEach(corner -> closed.add(new Coordinate(corner.get(0), corner.get(1))));
        if (!closed.get(0).equals2D(closed.get(closed.size() - 1))) {
            closed.add(closed.get(0).copy());
        }
        return SHAPES.createLinearRing(closed.toArray(Coordinate[]::new));
    }

    /** Hectares, without what is left out. */
    public double areaHa() {
        return polygon.getArea() / SQUARE_METRES_A_HECTARE;
    }

    /** The direction of the longest side, radians from north, 0…π: rows along it turn least often. */
    public double longestSide() {
        Coordinate[] corners = polygon.getExteriorRing().getCoordinates();
        double longest = 0;
        double bearing = 0;
        for (int i = 1; i < corners.length; i++) {
            double length = corners[i].distance(corners[i - 1]);
            if (length > longest + 1e-6) {
                longest = length;
                bearing = Math.atan2(corners[i].x - corners[i - 1].x, corners[i].y - corners[i - 1].y);
            }
        }
        return (bearing + Math.PI) % Math.PI;
    }

    /** Its rings, each closed, corners east and north, metres. */
    public List<List<List<Double>>> rings() {
        List<List<List<Double>>> rings = new ArrayList<>();
        rings.add(corners(polygon.getExteriorRing()));
        for (int i = 0; i < polygon.getNumInteriorRing(); i++) {
            rings.add(corners(polygon.getInteriorRingN(i)));
        }
        return rings;
    }

    private static List<List<Double>> corners(LinearRing ring) {
        List<List<Double>> corners = new ArrayList<>();
        for (Coordinate corner : ring.getCoordinates()) {
            corners.add(List.of(corner.x, corner.y));
        }
        return corners;
    }

    Polygon polygon() {
        return polygon;
    }
}
