package umbel.wood;

/** A point or direction: x metres east, y metres north, z metres up. */
public record Vec(double x, double y, double z) {

    /** Straight up. */
    public static final Vec UP = new Vec(0, 0, 1);

    /**
     * The unit direction of a stem.
     *
     * @param bearing radians from north, clockwise
     * @param inclination radians from vertical up
     */
    public static Vec heading(double bearing, double inclination) {
        double level = Math.sin(inclination);
        return new Vec(level * Math.sin(bearing), level * Math.cos(bearing), Math.cos(inclination));
    }

    public Vec plus(Vec other) {
        return new Vec(x + other.x, y + other.y, z + other.z);
    }

    public Vec minus(Vec other) {
        return new Vec(x - other.x, y - other.y, z - other.z);
    }

    public Vec times(double factor) {
        return new Vec(x * factor, y * factor, z * factor);
    }

    public double dot(Vec other) {
        return x * other.x + y * other.y + z * other.z;
    }

    public Vec cross(Vec other) {
        return new Vec(y * other.z - z * other.y, z * other.x - x * other.z, x * other.y - y * other.x);
    }

    public double length() {
        return Math.sqrt(dot(this));
    }

    /** This direction with length one; up when it has none. */
    public Vec unit() {
        double length = length();
        return length < 1e-12 ? UP : times(1 / length);
    }

    /** The part in the level plane. */
    public Vec level() {
        return new Vec(x, y, 0);
    }

    /** Inclination from vertical up, radians 0…π. */
    public double inclination() {
        return Math.acos(Math.max(-1, Math.min(1, unit().z)));
    }

    /** Bearing from north, radians 0…2π. */
    public double bearing() {
        double angle = Math.atan2(x, y);
        return angle < 0 ? angle + 2 * Math.PI : angle;
    }

    /** The angle between two directions, radians 0…π. */
    public double angleTo(Vec other) {
        return Math.acos(Math.max(-1, Math.min(1, unit().dot(other.unit()))));
    }

    /** This vector turned about a unit axis (Rodrigues' rotation), right-handed, by radians. */
    public Vec turned(Vec axis, double angle) {
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        return times(cos).plus(axis.cross(this).times(sin)).plus(axis.times(axis.dot(this) * (1 - cos)));
    }
}
