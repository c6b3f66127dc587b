package umbel.wood;

import java.util.BitSet;

/**
 * Where leaf stands already, and what room there is for more, in coarse cells of the ground a tree has: it stands among its
 * like, so that what reaches over its boundary meets what its neighbour sends back.
 */
final class LeafRoom {

    private static final double CELL = 0.20;

    private final Setting.Place place;
    private final double sin;
    private final double cos;
    private final int nx;
    private final int ny;
    private final int nz;
    private final float[] leaf;
    private final BitSet room = new BitSet();

    LeafRoom(Setting.Place place, double top) {
        this.place = place;
        sin = Math.sin(place.rowBearing());
        cos = Math.cos(place.rowBearing());
        nx = Math.max(1, (int) Math.round(place.inRow() / CELL));
        ny = Math.max(1, (int) Math.round(place.betweenRows() / CELL));
        nz = (int) Math.ceil((top + 1) / CELL);
        leaf = new float[nx * ny * nz];
    }

    /** Adds leaf about a place, m². */
    void add(Vec at, double area) {
        leaf[cell(at)] += (float) area;
    }

    /** Leaf about a place, m²: in its cell, and half of that in the cells beside. */
    double about(Vec at) {
        double sum = leaf[cell(at)];
        sum += (leaf[cell(at.plus(new Vec(CELL, 0, 0)))]
                        + leaf[cell(at.plus(new Vec(-CELL, 0, 0)))]
                        + leaf[cell(at.plus(new Vec(0, CELL, 0)))]
                        + leaf[cell(at.plus(new Vec(0, -CELL, 0)))]
                        + leaf[cell(at.plus(new Vec(0, 0, CELL)))]
                        + leaf[cell(at.plus(new Vec(0, 0, -CELL)))])
                / 2;
        return sum;
    }

    /** Counts the room within a distance of a place. */
    void open(Vec at, double within) {
        int reach = (int) Math.ceil(within / CELL);
        for (int i = -reach; i <= reach; i++) {
            for (int j = -reach; j <= reach; j++) {
                for (int l = -reach; l <= reach; l++) {
                    Vec away = new Vec(i * CELL, j * CELL, l * CELL);
                    if (away.length() <= within && at.z() + away.z() >= 0) {
                        room.set(cell(at.plus(away)));
                    }
                }
            }
        }
    }

    /** Room counted so far, m³. */
    double volume() {
        return room.cardinality() * place.inRow() / nx * place.betweenRows() / ny * CELL;
    }

    private int cell(Vec at) {
        double along = at.x() * sin + at.y() * cos;
        double across = at.x() * cos - at.y() * sin;
        int i = Math.floorMod((int) Math.floor(along / place.inRow() * nx), nx);
        int j = Math.floorMod((int) Math.floor(across / place.betweenRows() * ny), ny);
        int l = Math.max(0, Math.min(nz - 1, (int) Math.floor(at.z() / CELL)));
        return (l * ny + j) * nx + i;
    }
}
