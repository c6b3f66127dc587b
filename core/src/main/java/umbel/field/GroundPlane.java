package umbel.field;

/**
 * Degrees of longitude and latitude laid on a level plane, metres east and north of an origin. Good to a thousandth over a few
 * kilometres.
 */
public final class GroundPlane {

    private static final double METRES_A_DEGREE = 111_320;

    private final double longitude;
    private final double latitude;
    private final double eastADegree;

    /** A plane that touches the ground at an origin, degrees. */
    public GroundPlane(double longitude, double latitude) {
        this.longitude = longitude;
        this.latitude = latitude;
        this.eastADegree = METRES_A_DEGREE * Math.cos(Math.toRadians(latitude));
    }

    /** Metres east and north of the origin. */
    public double[] metres(double longitude, double latitude) {
        return new double[] {(longitude - this.longitude) * eastADegree, (latitude - this.latitude) * METRES_A_DEGREE};
    }
}
