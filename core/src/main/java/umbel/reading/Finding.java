package umbel.reading;

import java.util.List;

/**
 * One thing a practised eye would point at.
 *
 * @param rule kebab-case rule id
 * @param stage where it comes in the order of work
 * @param limbs limbs (or groups of small wood) involved, the one to act on first
 * @param measure what was measured, in words
 * @param value what it came to
 * @param threshold where the school draws the line
 * @param unit of value and threshold, empty for shares and ratios
 * @param confidence how likely it holds, given what a quick survey can measure, 0…1
 * @param reason a sentence a grower would say
 */
public record Finding(
        String rule,
        Stage stage,
        List<String> limbs,
        String measure,
        double value,
        double threshold,
        String unit,
        Severity severity,
        double confidence,
        String reason) {

    public Finding {
        limbs = List.copyOf(limbs);
    }
}
