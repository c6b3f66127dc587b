package umbel.app.block;

import java.util.List;
import java.util.function.BiFunction;
import umbel.app.reader.Reader;
import umbel.reading.BlockReading;
import umbel.text.Statement;

/**
 * A block's reading as it is told.
 *
 * @param trees trees read
 * @param medianSection median trunk cross-section, m²; 0 where no tree was read
 */
public record BlockAnswer(
        int trees, double medianSection, List<Common> common, List<Outlier> outliers, List<Evenness> evenness) {

    /** A rule that several trees break: how many, of how many, how many of them call for action. */
    public record Common(String rule, int trees, double share, int act, String example) {}

    /** A tree unlike the rest. */
    public record Outlier(long id, String label, String kind, String reason) {}

    /** How even the trees are by one measure: its mean, and the coefficient of variation. */
    public record Evenness(String measure, String unit, double mean, double variation) {}

    /**
     * The answer to whoever asks.
     *
     * @param reason why a rule holds on a tree, in words
     */
    static BlockAnswer of(BlockReading reading, BiFunction<Long, String, String> reason) {
        return new BlockAnswer(
                reading.trees(),
                reading.medianSection(),
                reading.common().stream()
                        .map(one -> new Common(
                                one.rule(),
                                one.trees(),
                                one.share(),
                                one.act(),
                                reason.apply(one.example(), one.rule())))
                        .toList(),
                reading.outliers().stream()
                        .map(one -> new Outlier(
                                one.id(),
                                one.label(),
                                one.kind(),
                                Reader.speech().say(one.reason())))
                        .toList(),
                reading.evenness().stream()
                        .map(one -> new Evenness(
                                Reader.speech().say(Statement.of(one.measure())),
                                one.unit(),
                                one.mean(),
                                one.variation()))
                        .toList());
    }
}
