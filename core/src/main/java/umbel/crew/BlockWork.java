package umbel.crew;

import java.time.LocalDate;
import java.util.Map;
import java.util.TreeMap;
import umbel.season.DayAdvice;

/**
 * What is left to do in a block, and the days it may be done on.
 *
 * @param hours by kind of work
 * @param bloomRank how early its kind blooms, 1 is earliest: tender ones come last
 * @param leaf years since planting: old trees come first
 * @param days what each day is worth; days missing here are not to be used
 */
public record BlockWork(
        long blockId,
        String name,
        Map<WorkKind, Double> hours,
        int bloomRank,
        int leaf,
        TreeMap<LocalDate, DayAdvice.Verdict> days) {

    /** Hours of all kinds. */
    public double allHours() {
        return hours.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    /** Whether anything may be cut that day. */
    public boolean open(LocalDate date) {
        return days.getOrDefault(date, DayAdvice.Verdict.NOT) != DayAdvice.Verdict.NOT;
    }
}
