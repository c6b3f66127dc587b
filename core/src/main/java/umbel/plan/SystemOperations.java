package umbel.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import umbel.cut.Operation;

/**
 * What the training system and the kind ask for on one tree whether or not anything is wrong with it: the frame is shaped
 * before faults are weighed, the ends that stay are worked once whole limbs are decided.
 */
final class SystemOperations {

    private static final double[] PARTS = {1, 0.75, 0.5, 0.25};

    private final List<Candidate> frame;
    private final List<Candidate> ends;
    private final List<List<Candidate>> oneYearWood;
    private final Set<Operation> all = new HashSet<>();

    SystemOperations(TrainingProgramme programme) {
        this.frame = programme.ofTheFrame();
        this.ends = programme.ofTheEnds();
        this.oneYearWood = Arrays.stream(PARTS).mapToObj(programme::oneYearWood).toList();
        Stream.concat(Stream.of(frame, ends), oneYearWood.stream())
                .forEach(part -> part.forEach(one -> all.add(one.operation())));
    }

    /** What shapes the frame. */
    List<Candidate> frame() {
        return frame;
    }

    /** What builds a tree that still fills its space: its frame and its ends. */
    Set<Operation> building() {
        return Stream.of(frame, ends)
                .flatMap(List::stream)
                .map(Candidate::operation)
                .collect(Collectors.toUnmodifiableSet());
    }

    /** What is done to the ends, last year's shoots of kinds that bear on them left out. */
    List<Candidate> ends() {
        return ends;
    }

    /** Whether an operation is one of these. */
    boolean includes(Operation operation) {
        return all.contains(operation);
    }

    /** Whether a step is work on the ends. */
    boolean isOfTheEnds(Candidate one) {
        return ends.contains(one) || isOfOneYearWood(one);
    }

    /** What is asked for, done as the grower would have it; empty where nothing like it is asked. */
    Optional<Candidate> asDecided(Operation operation) {
        return Stream.of(frame, ends, oneYearWood.get(0))
                .flatMap(List::stream)
                .filter(candidate -> candidate.key().equals(PlanRequest.key(operation)))
                .findFirst()
                .map(candidate -> Candidate.bySystem(operation, candidate.stage(), candidate.reason()));
    }

    /**
     * Last year's shoots on all limbs that stay, as evenly as the limits have room for; shared out anew each time.
     *
     * @param kept what is not shared out anew, as the grower took it
     */
    void thinOneYearWood(
            List<Candidate> chosen,
            CutSetEvaluator evaluator,
            Predicate<Candidate> allowed,
            Predicate<Candidate> kept) {
        chosen.removeIf(one -> isOfOneYearWood(one) && !kept.test(one));
        List<Operation> others = PlanSearch.operations(chosen);
        for (List<Candidate> part : oneYearWood) {
            List<Candidate> fitting = part.stream()
                    .filter(one -> allowed.test(one) && evaluator.fits(others, one.operation()))
                    .toList();
            List<Operation> with = new ArrayList<>(others);
            fitting.forEach(one -> with.add(one.operation()));
            if (fitting.isEmpty() || evaluator.withinLimits(with)) {
                chosen.addAll(fitting);
                return;
            }
        }
    }

    private boolean isOfOneYearWood(Candidate one) {
        return oneYearWood.stream().anyMatch(part -> part.contains(one));
    }
}
