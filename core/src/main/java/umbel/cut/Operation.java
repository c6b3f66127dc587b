package umbel.cut;

/**
 * One thing to do to one limb.
 *
 * @param limb a measured limb, {@code trunk}, or a group of small wood such as {@code 4/shoots/up/strong}
 * @param at distance from the limb's origin to the cut, metres; 0 at the union
 * @param toLimb the side branch a reduction ends on, else empty
 * @param toAngle inclination to bend to, radians from vertical; NaN unless bending
 * @param keep how many of a group to leave, best placed first; 0 takes them all
 */
public record Operation(OperationKind kind, String limb, double at, String toLimb, double toAngle, int keep) {

    private static final String BUDS = "/buds";

    public static Operation remove(String limb) {
        return whole(OperationKind.REMOVE, limb);
    }

    /** An operation that takes its whole target. */
    public static Operation whole(OperationKind kind, String limb) {
        return new Operation(kind, limb, 0, "", Double.NaN, 0);
    }

    /** Thins a group of shoots to the best placed {@code keep}. */
    public static Operation thin(String group, int keep) {
        return new Operation(OperationKind.REMOVE, group, 0, "", Double.NaN, keep);
    }

    /** Spurs of a limb thinned to the youngest {@code keep}. */
    public static Operation thinSpurs(String limb, int keep) {
        return new Operation(OperationKind.THIN_SPURS, limb + "/spurs", 0, "", Double.NaN, keep);
    }

    /** A cut partway along a limb, {@code at} metres from its origin. */
    public static Operation cutAt(OperationKind kind, String limb, double at) {
        return new Operation(kind, limb, at, "", Double.NaN, 0);
    }

    /** A cut back to a side branch. */
    public static Operation reduce(OperationKind kind, String limb, String toLimb, double at) {
        return new Operation(kind, limb, at, toLimb, Double.NaN, 0);
    }

    /** A bend to an inclination in radians from vertical. */
    public static Operation bend(String limb, double toAngle) {
        return new Operation(OperationKind.BEND, limb, 0, "", toAngle, 0);
    }

    /**
     * Buds of a limb's last growth rubbed out: all nearer its origin than {@code from}, and of those beyond all but
     * {@code keep}, left at even distances.
     */
    public static Operation chooseBuds(String limb, double from, int keep) {
        return new Operation(OperationKind.RUB, limb + BUDS, from, "", Double.NaN, keep);
    }

    /** Whether buds are rubbed and no wood is cut. */
    public boolean onBuds() {
        return kind == OperationKind.RUB && limb.endsWith(BUDS);
    }

    /** Whether the target is a group of small wood and not a limb. */
    public boolean onGroup() {
        return limb.indexOf('/') >= 0;
    }

    /** The limb that is to grow on from the cut, and is not to be taken by the winters after it: the side branch cut back to, or the one renewed from a stub; else empty. */
    public String growsOnFrom() {
        return kind == OperationKind.RENEW_STUB ? limb : toLimb;
    }

    /** The measured limb the target is, or stands on. */
    public String onLimb() {
        int slash = limb.indexOf('/');
        return slash < 0 ? limb : limb.substring(0, slash);
    }
}
