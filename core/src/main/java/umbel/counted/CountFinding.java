package umbel.counted;

import java.util.List;
import umbel.reading.Severity;
import umbel.text.Statement;

/**
 * One thing a practised eye would point at on a bush, a row or a vine.
 *
 * @param rule what is wrong
 * @param of canes, arms or classes it speaks of
 * @param measure what was measured
 * @param value what it came to
 * @param threshold where the line is drawn
 * @param unit of both; empty for shares and counts
 * @param confidence how likely it holds, 0…1
 * @param line the line of knowledge it is judged by, as {@code kind.oldAfter}
 */
public record CountFinding(
        CountRule rule,
        List<String> of,
        Statement measure,
        double value,
        double threshold,
        String unit,
        Severity severity,
        double confidence,
        Statement reason,
        String line) {

    /** Under this a finding is only watched. */
    static final double SURE_ENOUGH = 0.45;

    public CountFinding {
        of = List.copyOf(of);
        severity = confidence < SURE_ENOUGH ? Severity.WATCH : severity;
    }
}
