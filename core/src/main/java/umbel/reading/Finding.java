package umbel.reading;

import java.util.List;
import umbel.cut.Target;
import umbel.text.Statement;

/**
 * One thing a practised eye would point at.
 *
 * @param rule the rule that found it
 * @param stage where it comes in the order of work
 * @param targets limbs (or groups of small wood) involved, the one to act on first
 * @param measure what was measured
 * @param value what it came to
 * @param threshold where the school draws the line
 * @param unit of value and threshold, empty for shares and ratios
 * @param confidence how likely it holds, given what a quick survey can measure, 0…1
 * @param reason what a grower would say
 * @param judgedBy the line of knowledge the threshold comes from, as {@code school.limbRatio}
 */
public record Finding(
        Rule rule,
        Stage stage,
        List<Target> targets,
        Statement measure,
        double value,
        double threshold,
        String unit,
        Severity severity,
        double confidence,
        Statement reason,
        String judgedBy) {

    public Finding {
        targets = List.copyOf(targets);
    }

    /** The one to act on first; only where {@link #targets} is not empty. */
    public Target first() {
        return targets.get(0);
    }

    /** The open format's names of what is involved. */
    public List<String> paths() {
        return targets.stream().map(Target::path).toList();
    }

    /** A finding at its rule's usual stage. */
    Finding(
            Rule rule,
            List<Target> targets,
            Statement measure,
            double value,
            double threshold,
            String unit,
            Severity severity,
            double confidence,
            Statement reason) {
        this(rule, rule.stage(), targets, measure, value, threshold, unit, severity, confidence, reason);
    }

    /** A finding at a stage of its own, whose line of knowledge its rule tells afterwards. */
    Finding(
            Rule rule,
            Stage stage,
            List<Target> targets,
            Statement measure,
            double value,
            double threshold,
            String unit,
            Severity severity,
            double confidence,
            Statement reason) {
        this(rule, stage, targets, measure, value, threshold, unit, severity, confidence, reason, "");
    }

    Finding judgedBy(String line) {
        return new Finding(rule, stage, targets, measure, value, threshold, unit, severity, confidence, reason, line);
    }

    /** The same finding, this sure. */
    public Finding withConfidence(double sure) {
        return new Finding(rule, stage, targets, measure, value, threshold, unit, severity, sure, reason, judgedBy);
    }
}
