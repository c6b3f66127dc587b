package umbel.practice;

import java.util.Collections;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import umbel.survey.Survey;

/**
 * A made-up tree to practise on. Its code holds all of it, so the same code is the same tree everywhere.
 *
 * @param leaf years since planting
 * @param seed of the tree's making
 * @param faults built into it
 */
public record Exercise(String species, String system, int leaf, long seed, Set<Fault> faults) {

    private static final int RADIX = 36;
    private static final Pattern CODE =
            Pattern.compile("([a-z-]{1,40})_([a-z0-9-]{1,40})_(\\d{1,2})_(\\d{1,9})_([0-9a-z]{1,6})");

    public Exercise {
        faults = Collections.unmodifiableSet(new TreeSet<>(faults));
    }

    /** The exercise of a code; empty for what is none. */
    public static Optional<Exercise> of(String code) {
        Matcher matcher = CODE.matcher(code);
        if (!matcher.matches()) {
            return Optional.empty();
        }
        long bits = Long.parseLong(matcher.group(5), RADIX);
        Set<Fault> faults = new TreeSet<>();
        for (Fault fault : Fault.values()) {
            if ((bits >> fault.ordinal() & 1) == 1) {
                faults.add(fault);
            }
        }
        Exercise exercise = new Exercise(
                matcher.group(1),
                matcher.group(2),
                Integer.parseInt(matcher.group(3)),
                Long.parseLong(matcher.group(4)),
                faults);
        return exercise.code().equals(code) ? Optional.of(exercise) : Optional.empty();
    }

    /** Its code: kind, system, leaf, seed, and the faults as a number that does not give them away, a bit each. */
    public String code() {
        long bits = 0;
        for (Fault fault : faults) {
            bits |= 1L << fault.ordinal();
        }
        return species + "_" + system + "_" + leaf + "_" + seed + "_" + Long.toString(bits, RADIX);
    }

    /**
     * The tree's survey, its limbs numbered from the ground up.
     *
     * @throws umbel.knowledge.NotSupported when no knowledge covers its kind or system
     */
    public Survey survey() {
        return Renumbered.of(PracticeTree.survey(species, system, leaf, seed, faults.toArray(Fault[]::new)));
    }
}
