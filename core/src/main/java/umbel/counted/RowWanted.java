package umbel.counted;

import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;

/**
 * What a row is brought to: how many canes stay, how high they are cut, and how sure their number is.
 *
 * @param topWireCm null where there is no trellis
 */
record RowWanted(CountedKind.Row row, CountingParameters numbers, RowCount count, Double topWireCm) {

    /** Canes that a plan keeps on the stretch: strong ones, and weak ones where strong ones are too few. */
    record Kept(int strong, int weak) {

        int all() {
            return strong + weak;
        }
    }

    /** Canes that a plan keeps. */
    Kept keptOf(String name) {
        int wanted = canes(perMetre(name));
        int strong = count.fresh().strong();
        if (strong < row.range().least() * count.length()) {
            int weak = Math.min(count.fresh().weak(), Math.max(0, canes(perMetre()) - strong));
            return new Kept(strong, weak);
        }
        boolean alike = strong <= wanted * (1 + numbers.row().alike());
        return new Kept(alike && !name.equals("firmer") ? strong : Math.min(strong, Math.max(wanted, 1)), 0);
    }

    /** Canes of so many a metre on the stretch. */
    int canes(double perMetre) {
        return (int) Math.round(perMetre * count.length());
    }

    /** Canes a metre that a plan leaves. */
    double perMetre(String name) {
        return switch (name) {
            case "gentler" -> row.range().most();
            case "firmer" -> row.range().least();
            default -> perMetre();
        };
    }

    /** Canes a metre that bear most, or as many as the plants carry. */
    double perMetre() {
        return row.perPlant() == null ? row.density().bestPerM() : row.perPlant() * count.plants() / count.length();
    }

    /** Whether canes are cut above a wire. */
    boolean aboveWire() {
        return row.tip().aboveWire() != null && topWireCm != null;
    }

    /** Height at which canes are cut, cm; 0 where they are left. */
    double topCm() {
        CountedKind.Tip tip = row.tip();
        double height = count.fresh().height();
        if (aboveWire()) {
            return topWireCm + tip.aboveWire();
        }
        return height <= tip.untouched() ? 0 : Math.ceil(Math.max(tip.least(), tip.share() * height));
    }

    /** How sure the number of canes is, 0…1, by how alike the counts are. */
    double sureOfNumber() {
        if (count.samples() < 2 || Double.isNaN(count.spread())) {
            return numbers.confidence().oneCount();
        }
        double mean = count.fresh().count() / count.length();
        double error = mean <= 0 ? 1 : numbers.sampling().z() * count.spread() / Math.sqrt(count.samples()) / mean;
        CountingParameters.Bounds sure = numbers.confidence().number();
        return Math.max(sure.least(), Math.min(sure.most(), 1 - error));
    }
}
