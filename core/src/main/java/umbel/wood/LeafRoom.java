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

    /** Counts the room within a distance of a place: column by column, each from its lowest to its highest cell. */
    void open(Vec at, double within) {
        int reach = (int) Math.ceil(within / CELL);
        double along = along(at);
        double across = across(at);
        double within2 = within * within / (CELL * CELL);
        int middle = (int) Math.floor(at.z() / CELL);
        int[] cellsAcross = new int[2 * reach + 1];
        for (int j = -reach; j <= reach; j++) {
            cellsAcross[j + reach] = cellAcross(across + j * CELL);
        }
        for (int i = -reach; i <= reach; i++) {
            int cellAlong = cellAlong(along + i * CELL);
            for (int j = -reach; j <= reach; j++) {
                double left = within2 - i * i - j * j;
                if (left < 0) {
                    continue;
                }
                int half = (int) Math.sqrt(left);
                int from = Math.max(0, Math.min(nz - 1, middle - half));
                int to = Math.max(0, Math.min(nz - 1, middle + half));
                int column = column(cellAlong, cellsAcross[j + reach]);
                room.set(column + from, column + to + 1);
            }
        }
    }

    /** Room counted so far, m³. */
    double volume() {
        return room.cardinality() * place.inRow() / nx * place.betweenRows() / ny * CELL;
    }

    private int cell(Vec at) {
        int l = Math.max(0, Math.min(nz - 1, (int) Math.floor(at.z() / CELL)));
        return column(cellAlong(along(at)), cellAcross(across(at))) + l;
    }

    private int column(int i, int j) {
        return (j * nx + i) * nz;
    }

    private double along(Vec at) {
        return at.x() * sin + at.y() * cos;
    }

    private double across(Vec at) {
        return at.x() * cos - at.y() * sin;
    }

    private int cellAlong(double along) {
        return wrapped((int) Math.floor(along / place.inRow() * nx), nx);
    }

    private int cellAcross(double across) {
        return wrapped((int) Math.floor(across / place.betweenRows() * ny), ny);
    }

    /** Into 0…count−1; most places lie in the box or beside it, and a division is slow. */
    private static int wrapped(int i, int count) {
        int near = i < 0 ? i + count : i >= count ? i - count : i;
        return near >= 0 && near < count ? near : Math.floorMod(i, count);
    }
}
