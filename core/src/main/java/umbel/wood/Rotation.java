package umbel.wood;

/** A rotation in space, as the images of the three axes. */
public final class Rotation {

    /** No turn at all. */
    public static final Rotation NONE = new Rotation(new Vec(1, 0, 0), new Vec(0, 1, 0), new Vec(0, 0, 1));

    private final Vec x;
    private final Vec y;
    private final Vec z;

    private Rotation(Vec x, Vec y, Vec z) {
        this.x = x;
        this.y = y;
        this.z = z;
    }

    /** A turn that brings a stem down towards the level direction (east, north), by radians. */
    public static Rotation down(double east, double north, double angle) {
        Vec hinge = Vec.UP.cross(new Vec(east, north, 0)).unit();
        return new Rotation(NONE.x.turned(hinge, angle), NONE.y.turned(hinge, angle), NONE.z.turned(hinge, angle));
    }

    /** The turned vector. */
    public Vec of(Vec v) {
        return x.times(v.x()).plus(y.times(v.y())).plus(z.times(v.z()));
    }

    /** This turn made after another. */
    public Rotation after(Rotation first) {
        return new Rotation(of(first.x), of(first.y), of(first.z));
    }
}
