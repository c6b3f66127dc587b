package umbel.growth;

import umbel.wood.Vec;

/** One place that may grow, or a side axis with all its places; mutable while a spring is shared out. */
final class GrowingPoint {

    enum Kind {
        TIP,
        BUD,
        SPUR,
        DORMANT,
        /** A fruiting lateral nobody measured, with all that opens on it. */
        CLUSTER,
        SIDE
    }

    enum Fate {
        /** May still become a long shoot. */
        LONG,
        /** Opens, and stays short. */
        SHORT,
        /** Does not open. */
        BLIND
    }

    final Kind kind;
    /** Index of the axis it stands on. */
    final int host;
    /** Index of the spur or side axis, -1 for buds. */
    final int axis;
    /** Names it in draws and in the ids of what grows from it. */
    final int key;
    /** Distance from the host's origin, metres. */
    final double at;
    /** Leaf the pipes to it were made for, m². */
    final double pipe;
    /** How many like buds it stands for. */
    final double number;

    /** Direction of the bud. */
    Vec heading;
    /** Leaf of all that lies beyond it on its host, m², to the power flow takes of it; and its own. */
    double pipeBeyondPower;

    double pipePower;
    /** Strength as a long sink without inhibition, and as a short one. */
    double longStrength;

    double shortStrength;
    /** How far its stem's uprightness makes inhibition felt. */
    double inhibitedBy;

    /** Share of the inhibition at the next point outward on its axis that is felt here; 1 at the first. */
    double fading = 1;

    Fate fate = Fate.LONG;
    double inhibition;
    double demand;
    double demandBeyond;
    /** What it gets, kilograms. */
    double flow;

    GrowingPoint(Kind kind, int host, int axis, int key, double at, double pipe, double number) {
        this.kind = kind;
        this.host = host;
        this.axis = axis;
        this.key = key;
        this.at = at;
        this.pipe = pipe;
        this.number = number;
    }

    boolean growsLong() {
        return isSingle() && fate == Fate.LONG;
    }

    /** A bud of last season's wood that gets too little to make a shoot. */
    boolean isWeakBud() {
        return kind == Kind.BUD && fate == Fate.SHORT;
    }

    boolean opens() {
        return isSingle() && fate != Fate.BLIND;
    }

    /** Whether it is one bud, end or spur. */
    boolean isSingle() {
        return kind != Kind.SIDE && kind != Kind.CLUSTER;
    }
}
