package umbel.instruction;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import umbel.knowledge.InstructionParameters;

/**
 * Finished trees held against their block's instruction. A fault is a decision that is wrong beyond the tolerance of its gauge, or
 * work that was plainly left. Faults are counted until they tell: a sequential test by the line of
 * {@link InstructionParameters.Check}, which ends at its number of trees.
 */
public final class WorkCheck {

    private static final int SEVERAL_PEOPLE = 2;

    private WorkCheck() {}

    /** What the faults so far tell. */
    public enum Verdict {
        /** Too few trees to tell. */
        GO_ON,
        /** As it was meant. */
        GOOD,
        /** To be shown again. */
        AGAIN;

        /** Its word, as {@code go-on}. */
        public String word() {
            return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
        }
    }

    /**
     * One person's finished trees as they were looked at.
     *
     * @param trees how many
     * @param faults by sentence, those that always hold under {@code always}
     */
    public record Seen(String who, int trees, Map<String, Integer> faults) {

        /** All faults together. */
        public int all() {
            return faults.values().stream().mapToInt(Integer::intValue).sum();
        }
    }

    /** What so many faults on so many trees tell. */
    public static Verdict of(int trees, int faults, InstructionParameters.Check rules) {
        if (trees >= rules.trees()) {
            // as many faults a tree as are accepted on a full check
            double accepted = (double) rules.accept() / rules.trees();
            return faults <= accepted * trees ? Verdict.GOOD : Verdict.AGAIN;
        }
        if (faults <= rules.slope() * trees - rules.good()) {
            return Verdict.GOOD;
        }
        return faults >= rules.slope() * trees + rules.again() ? Verdict.AGAIN : Verdict.GO_ON;
    }

    /** Sentences that everybody misses: there the instruction is at fault, or how it was shown. */
    public static List<String> missedByAll(List<Seen> checks, InstructionParameters.Check rules) {
        Map<String, Map<String, Integer>> byPerson = new TreeMap<>();
        for (Seen seen : checks) {
            Map<String, Integer> own = byPerson.computeIfAbsent(seen.who(), who -> new TreeMap<>());
            seen.faults().forEach((sentence, count) -> own.merge(sentence, count, Integer::sum));
        }
        if (byPerson.size() < SEVERAL_PEOPLE) {
            return List.of();
        }
        Map<String, Integer> sums = new TreeMap<>();
        byPerson.values().forEach(own -> own.forEach((sentence, count) -> sums.merge(sentence, count, Integer::sum)));
        int all = sums.values().stream().mapToInt(Integer::intValue).sum();
        return sums.entrySet().stream()
                .filter(one -> one.getValue() > rules.missedByAll() * all)
                .filter(one -> byPerson.values().stream().allMatch(own -> own.getOrDefault(one.getKey(), 0) > 0))
                .map(Map.Entry::getKey)
                .toList();
    }
}
