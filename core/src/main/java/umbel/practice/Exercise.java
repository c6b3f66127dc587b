package umbel.practice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
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

    private static final Pattern CODE = Pattern.compile(
            "([a-z-]{1,40})\\.([a-z0-9-]{1,40})\\.(\\d{1,2})\\.(\\d{1,9})\\.([a-z-]{1,40}(?:\\+[a-z-]{1,40}){0,9})");

    public Exercise {
        faults = Collections.unmodifiableSet(new TreeSet<>(faults));
    }

    /** The exercise of a code; empty for what is none. */
    public static Optional<Exercise> of(String code) {
        Matcher matcher = CODE.matcher(code);
        if (!matcher.matches()) {
            return Optional.empty();
        }
        Set<Fault> faults = new TreeSet<>();
        for (String word : matcher.group(5).split("\\+")) {
            Optional<Fault> fault = Fault.of(word);
            if (fault.isEmpty()) {
                return Optional.empty();
            }
            faults.add(fault.get());
        }
        return Optional.of(new Exercise(
                matcher.group(1),
                matcher.group(2),
                Integer.parseInt(matcher.group(3)),
                Long.parseLong(matcher.group(4)),
                faults));
    }

    /** Its code. */
    public String code() {
        List<String> words = new ArrayList<>();
        faults.forEach(fault -> words.add(fault.word()));
        return species + "." + system + "." + leaf + "." + seed + "." + String.join("+", words);
    }

    /**
     * The tree's survey.
     *
     * @throws umbel.knowledge.NotSupported when no knowledge covers its kind or system
     */
    public Survey survey() {
        return PracticeTree.survey(species, system, leaf, seed, faults.toArray(Fault[]::new));
    }
}
