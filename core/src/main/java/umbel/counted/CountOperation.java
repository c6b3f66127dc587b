package umbel.counted;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * One thing done to a counted plant.
 *
 * @param target a cane or an arm by its id, or a class as {@code canes/fruited}
 * @param atCm height above the ground that stays (head, tip), or length that stays (shorten); 0 where it does not matter
 * @param keepCount canes that stay (thin), or flower buds (deflower); 0 where it does not matter
 * @param perMetre canes that stay a metre of row; 0 where it does not matter
 * @param nodes nodes that stay; 0 where it does not matter
 * @param count canes or side branches it is done to
 */
public record CountOperation(
        Kind kind, String target, double atCm, int keepCount, double perMetre, int nodes, int count) {

    /** What can be done. */
    public enum Kind {
        REMOVE,
        KEEP,
        HEAD,
        TIP,
        SHORTEN,
        THIN,
        MOW,
        TIE,
        LAY,
        DEFLOWER,
        KEEP_NODES,
        RENEW_ARM;

        /** The operation of a word of the open format. */
        public static Optional<Kind> of(String word) {
            return Arrays.stream(values())
                    .filter(kind -> kind.word().equals(word))
                    .findFirst();
        }

        /** By operation, those that may be done to the same canes beside it: thinning, tipping, shortening and tying. */
        public static Map<String, List<String>> together() {
            List<Kind> same = List.of(THIN, TIP, SHORTEN, TIE, LAY);
            Map<String, List<String>> together = new TreeMap<>();
            for (Kind kind : values()) {
                together.put(
                        kind.word(),
                        same.contains(kind)
                                ? same.stream()
                                        .filter(other -> other != kind)
                                        .map(Kind::word)
                                        .toList()
                                : List.of());
            }
            return together;
        }

        /** The word of the open format. */
        public String word() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /** Takes canes off at the ground. */
    static CountOperation remove(String target, int count) {
        return new CountOperation(Kind.REMOVE, target, 0, 0, 0, 0, count);
    }

    /** Cuts canes to a height. */
    static CountOperation head(String target, double atCm) {
        return new CountOperation(Kind.HEAD, target, atCm, 0, 0, 0, 1);
    }

    /** Takes the tips of canes, leaving a height. */
    static CountOperation tip(String target, double atCm, int count) {
        return new CountOperation(Kind.TIP, target, atCm, 0, 0, 0, count);
    }

    /** Cuts side branches to a length. */
    static CountOperation shorten(String target, double toCm, int count) {
        return new CountOperation(Kind.SHORTEN, target, toCm, 0, 0, 0, count);
    }

    /** Leaves so many canes on the stretch described. */
    static CountOperation thin(String target, int keep, double perMetre, int away) {
        return new CountOperation(Kind.THIN, target, 0, keep, perMetre, 0, away);
    }

    /** Takes all flower buds but so many. */
    static CountOperation deflower(String target, int keep, int away) {
        return new CountOperation(Kind.DEFLOWER, target, 0, keep, 0, 0, away);
    }

    /** Leaves a cane with so many nodes. */
    static CountOperation keepNodes(String cane, int nodes) {
        return new CountOperation(Kind.KEEP_NODES, cane, 0, 0, 0, nodes, 1);
    }

    /** Anything that needs a target and a number of canes only. */
    static CountOperation of(Kind kind, String target, int count) {
        return new CountOperation(kind, target, 0, 0, 0, 0, count);
    }
}
