package umbel.growth;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.Function;
import umbel.growth.Grove.Specimen;

/**
 * Prints how far every saying comes out of the model, for docs/model/growth.md, and draws the ratios: {@code java …
 * umbel.growth.LawReport 6 "" docs/model/laws.svg}.
 */
final class LawReport {

    private static final String[] KINDS = {"apple", "peach", "cherry-sweet"};
    private static final String[] COLOURS = {"#7e4a38", "#b5651d", "#7a1f3d"};
    private static final StringBuilder ROWS = new StringBuilder();
    private static int rows;

    private LawReport() {}

    /** Arguments: seeds for each kind of tree; words of the sayings wanted, between semicolons; where to draw. */
    public static void main(String[] args) throws IOException {
        int seeds = args.length == 0 ? 6 : Integer.parseInt(args[0]);
        String only = args.length > 1 ? args[1] : "";
        List<Specimen> bearing = Grove.bearing(seeds);
        List<Specimen> young = Grove.young(seeds);
        line(only, "removal lengthens tips, bearing", bearing, CuttingLaws::sameTipsAfterRemoval, true, 1);
        line(only, "removal lengthens tips, young", young, CuttingLaws::sameTipsAfterRemoval, true, 1);
        line(only, "wood after removal, 3 years", bearing, CuttingLaws::woodAfterRemoval, false, 1);
        line(only, "heading > thinning, shoots near", bearing, CuttingLaws::headingAgainstThinning, true, 0);
        line(only, "hard > tipping, length", bearing, CuttingLaws::hardAgainstTipping, true, 1);
        line(only, "hard > tipping, length, young", young, CuttingLaws::hardAgainstTipping, true, 1);
        line(only, "answers to a hard heading", bearing, one -> CuttingLaws.numberOfAnswers(one, 0.5), true, 1.9);
        line(only, "answers to a hard heading, young", young, one -> CuttingLaws.numberOfAnswers(one, 0.5), true, 1.9);
        line(only, "answers to a tip", bearing, one -> CuttingLaws.numberOfAnswers(one, 0.15), true, 0.9);
        line(only, "bending: tip, young", young, BearingLaws::tipAfterBending, false, 1);
        line(only, "bending: tip, bearing", bearing, BearingLaws::tipAfterBending, false, 1);
        line(only, "bending: flowers, young", young, BearingLaws::flowersAfterBending, true, 1);
        line(only, "bending: flowers, bearing", bearing, BearingLaws::flowersAfterBending, true, 1);
        line(only, "heavy crop: bloom", bearing, BearingLaws::bloomAfterHeavyCrop, false, 1);
        line(only, "heavy crop: growth", bearing, BearingLaws::growthAfterHeavyCrop, false, 1);
        line(only, "shade: flowers a spur", bearing, BearingLaws::flowersInShade, false, 0.6);
        line(only, "shade: survival", bearing, BearingLaws::survivalInShade, false, 0.9);
        line(only, "unpruned: out", bearing, BearingLaws::fruitMovesOut, true, 1);
        line(only, "unpruned: up", bearing, BearingLaws::fruitMovesUp, true, 1);
        line(only, "unpruned: near frame", bearing, BearingLaws::fruitNearFrame, false, 1);
        line(only, "weak stock: wood", young, BearingLaws::weakAgainstStrong, false, 0.8);
        line(only, "weak stock: wood, full size", young, BearingLaws::weakAtFullSize, false, 0.8);
        line(only, "weak stock: flowers per section", young, BearingLaws::earlierOnWeak, true, 1);
        line(only, "leaf index after ten", bearing, BearingLaws::leafIndexAfterTen, false, 4);
        line(only, "height after ten", bearing, BearingLaws::heightAfterTen, false, 1.2);
        line(only, "summer against winter, next growth", bearing, CuttingLaws::regrowthAfterSummer, false, 1);
        line(only, "summer, same season", bearing, CuttingLaws::regrowthInTheSameSummer, false, 1);
        line(only, "late against dormant, growth", bearing, CuttingLaws::growthAfterLateCuts, false, 1);
        line(only, "snowball unthinned, swing", bearing, BearingLaws::onAndOff, true, 0.3);
        line(only, "snowball thinned, swing", bearing, BearingLaws::onAndOffThinned, false, 0.3);
        line(only, "level > upright", bearing, BearingLaws::levelAgainstUpright, true, 1);
        line(only, "one large wound > small", bearing, CuttingLaws::oneLargeWound, true, 1);
        line(only, "renovation staged: crop", bearing, CuttingLaws::stagedCrop, true, 1);
        line(only, "renovation staged: sprouts", bearing, CuttingLaws::stagedSprouts, false, 1);
        line(only, "tipping loses sites", young, CuttingLaws::lostByTipping, true, 0.25);
        line(only, "extension, bearing (m)", bearing, BearingLaws::extension, true, 0.2);
        line(only, "extension, young (m)", young, BearingLaws::extension, true, 0.3);
        if (args.length > 2) {
            Files.writeString(Path.of(args[2]), drawing());
        }
    }

    /** Middle ratios of every saying on a doubling scale, 1 in the middle. */
    private static String drawing() {
        StringBuilder svg = new StringBuilder(String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 760 %d\" font-family=\"sans-serif\" font-size=\"12\">%n",
                60 + 20 * rows));
        for (int power = -3; power <= 3; power++) {
            double x = at(Math.pow(2, power));
            svg.append(String.format(
                    Locale.ROOT,
                    "<line x1=\"%.0f\" x2=\"%.0f\" y1=\"30\" y2=\"%d\" stroke=\"%s\"/><text x=\"%.0f\" y=\"22\" text-anchor=\"middle\">%s</text>%n",
                    x,
                    x,
                    40 + 20 * rows,
                    power == 0 ? "#241f1c" : "#ddd6cc",
                    x,
                    power < 0 ? "1/" + (1 << -power) : String.valueOf(1 << power)));
        }
        svg.append(ROWS);
        for (int k = 0; k < KINDS.length; k++) {
            svg.append(String.format(
                    Locale.ROOT,
                    "<circle cx=\"%d\" cy=\"%d\" r=\"4.5\" fill=\"%s\"/><text x=\"%d\" y=\"%d\">%s</text>%n",
                    20 + 120 * k,
                    50 + 20 * rows,
                    COLOURS[k],
                    30 + 120 * k,
                    54 + 20 * rows,
                    KINDS[k]));
        }
        return svg.append("</svg>\n").toString();
    }

    private static double at(double ratio) {
        double held = Math.max(0.11, Math.min(9, ratio));
        return 510 + 70 * Math.log(held) / Math.log(2);
    }

    private static void draw(String name, List<Laws.Outcome> outcomes) {
        int y = 44 + 20 * rows++;
        ROWS.append(String.format(
                Locale.ROOT,
                "<text x=\"8\" y=\"%d\">%s</text>%n",
                y + 4,
                name.replace("<", "&lt;").replace(">", "&gt;")));
        for (Laws.Outcome outcome : outcomes) {
            for (int k = 0; k < KINDS.length; k++) {
                if (KINDS[k].equals(outcome.species())) {
                    ROWS.append(String.format(
                            Locale.ROOT,
                            "<circle cx=\"%.1f\" cy=\"%d\" r=\"4.5\" fill=\"%s\" fill-opacity=\"0.85\"/>%n",
                            at(outcome.median()),
                            y,
                            COLOURS[k]));
                }
            }
        }
    }

    private static void line(
            String only,
            String name,
            List<Specimen> grove,
            Function<Specimen, OptionalDouble> saying,
            boolean over,
            double bound) {
        if (!java.util.Arrays.stream(only.split(";")).anyMatch(name::contains)) {
            return;
        }
        List<Laws.Outcome> outcomes = Laws.tried(grove, saying, over, bound);
        draw(name, outcomes);
        System.out.printf(Locale.ROOT, "%-36s %s %.2f  %s%n", name, over ? ">" : "<", bound, outcomes);
    }
}
