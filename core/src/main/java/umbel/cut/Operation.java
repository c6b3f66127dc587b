package umbel.cut;

import umbel.wood.Axis;

/**
 * One thing to do to one limb, or to what stands on it.
 *
 * @param target what it is aimed at
 * @param at distance from the limb's origin to the cut, metres; 0 at the union
 * @param toLimb the side branch a reduction ends on, else empty
 * @param toAngle inclination to bend to, radians from vertical; NaN unless bending
 * @param keep how many of a group to leave, best placed first; 0 takes them all
 */
public record Operation(OperationKind kind, Target target, double at, String toLimb, double toAngle, int keep) {

    /** Takes a limb off at its union. */
    public static Operation remove(Axis limb) {
        return remove(Target.of(limb));
    }

    /** Takes a limb off at its union, or all of a group. */
    public static Operation remove(Target target) {
        return whole(OperationKind.REMOVE, target);
    }

    /** An operation that takes its whole target. */
    public static Operation whole(OperationKind kind, Target target) {
        return new Operation(kind, target, 0, "", Double.NaN, 0);
    }

    /** An operation that takes a whole limb. */
    public static Operation whole(OperationKind kind, Axis limb) {
        return whole(kind, Target.of(limb));
    }

    /** Thins a group of shoots to the best placed {@code keep}. */
    public static Operation thin(Target group, int keep) {
        return new Operation(OperationKind.REMOVE, group, 0, "", Double.NaN, keep);
    }

    /** The same, and of those that stay the long ones shortened to {@code at} metres. */
    public static Operation thin(Target group, int keep, double at) {
        return new Operation(OperationKind.REMOVE, group, at, "", Double.NaN, keep);
    }

    /** Whether shoots are thinned and the long ones of those that stay are shortened. */
    public boolean shortensWhatStays() {
        return kind == OperationKind.REMOVE && keep > 0 && at > 0 && onGroup();
    }

    /** Spurs of a limb thinned to the youngest {@code keep}. */
    public static Operation thinSpurs(String limb, int keep) {
        return new Operation(OperationKind.THIN_SPURS, new Target.Spurs(limb), 0, "", Double.NaN, keep);
    }

    /** A cut partway along a limb, {@code at} metres from its origin; or of a group to that length. */
    public static Operation cutAt(OperationKind kind, Target target, double at) {
        return new Operation(kind, target, at, "", Double.NaN, 0);
    }

    /** A cut partway along a limb, {@code at} metres from its origin. */
    public static Operation cutAt(OperationKind kind, Axis limb, double at) {
        return cutAt(kind, Target.of(limb), at);
    }

    /** A cut back to a side branch. */
    public static Operation reduce(OperationKind kind, Axis limb, Axis branch, double at) {
        return reduce(kind, Target.of(limb), branch.id(), at);
    }

    /** A cut back to a side branch, by its id. */
    public static Operation reduce(OperationKind kind, Target limb, String branch, double at) {
        return new Operation(kind, limb, at, branch, Double.NaN, 0);
    }

    /** A bend to an inclination in radians from vertical. */
    public static Operation bend(Axis limb, double toAngle) {
        return bend(Target.of(limb), toAngle);
    }

    /** A bend to an inclination in radians from vertical. */
    public static Operation bend(Target limb, double toAngle) {
        return new Operation(OperationKind.BEND, limb, 0, "", toAngle, 0);
    }

    /**
     * Buds of a limb's last growth rubbed out: all nearer its origin than {@code from}, and of those beyond all but
     * {@code keep}, left at even distances.
     */
    public static Operation chooseBuds(String limb, double from, int keep) {
        return new Operation(OperationKind.RUB, new Target.Buds(limb), from, "", Double.NaN, keep);
    }

    /** Whether buds are rubbed and no wood is cut. */
    public boolean onBuds() {
        return kind == OperationKind.RUB && target instanceof Target.Buds;
    }

    /** Whether the target stands on a limb and is none itself. */
    public boolean onGroup() {
        return !target.isLimb();
    }

    /**
     * The limb that is to grow on from the cut, and is not to be taken by the winters after it: the side branch cut back to, or
     * the one renewed from a stub; else empty.
     */
    public String growsOnFrom() {
        return kind == OperationKind.RENEW_STUB ? target.limb() : toLimb;
    }

    /** The measured limb the target is, or stands on. */
    public String onLimb() {
        return target.limb();
    }
}
