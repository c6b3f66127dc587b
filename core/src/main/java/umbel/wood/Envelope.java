package umbel.wood;

/**
 * The room a tree takes: how far its wood reaches from the trunk's line in its row's axes, and how high.
 *
 * @param height of the highest wood, metres
 * @param ahead reach along the row towards its bearing, metres
 * @param behind reach along the row the other way, metres
 * @param left reach across the row to the left of its bearing, metres
 * @param right reach across the row to the right, metres
 */
public record Envelope(double height, double ahead, double behind, double left, double right) {

    /** The envelope of a tree's wood; rootstock shoots and what nobody measured left out. */
    public static Envelope of(Tree tree) {
        double sin = Math.sin(tree.setting().place().rowBearing());
        double cos = Math.cos(tree.setting().place().rowBearing());
        double height = 0;
        double ahead = 0;
        double behind = 0;
        double left = 0;
        double right = 0;
        for (Axis axis : tree.axes()) {
            if (axis.role() == Role.SUCKER || axis.isUnmeasured()) {
                continue;
            }
            height = Math.max(height, axis.course().top());
            for (int i = 0; i < axis.course().size(); i++) {
                Vec at = axis.course().point(i);
                double along = at.x() * sin + at.y() * cos;
                double across = at.x() * cos - at.y() * sin;
                ahead = Math.max(ahead, along);
                behind = Math.max(behind, -along);
                right = Math.max(right, across);
                left = Math.max(left, -across);
            }
        }
        return new Envelope(height, ahead, behind, left, right);
    }

    /** Width along the row, metres. */
    public double alongRow() {
        return ahead + behind;
    }

    /** Width across the row, metres. */
    public double acrossRow() {
        return left + right;
    }
}
