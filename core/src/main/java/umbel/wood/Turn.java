package umbel.wood;

/** A rotation in space, as the images of the three axes. */
public final class Turn {

    /** No turn at all. */
    public static final Turn NONE = new Turn(new Vec(1, 0, 0), new Vec(0, 1, 0), new Vec(0, 0, 1));

    private final Vec x;
    private final Vec y;
    private final Vec z;

    private Turn(Vec x, Vec y, Vec z) {
        this.x = x;
        this.y = y;
        this.z = z;
    }

    /** A turn that brings a stem down towards the level direction (east, north), by radians. */
    public static Turn down(double east, double north, double angle) {
        Vec hinge = Vec.UP.cross(new Vec(east, north, 0)).unit();
        return new Turn(NONE.x.turned(hinge, angle), NONE.y.turned(hinge, angle), NONE.z.turned(hinge, angle));
    }

    /** The turned vector. */
    public Vec of(Vec v) {
        return x.times(v.x()).plus(y.times(v.y())).plus(z.times(v.z()));
    }

    /** This turn made after another. */
    public Turn after(Turn first) {
        return new Turn(of(first.x), of(first.y), of(first.z));
    }
}
