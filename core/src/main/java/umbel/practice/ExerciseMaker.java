package umbel.practice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.knowledge.Knowledge;
import umbel.knowledge.NotSupported;
import umbel.knowledge.PracticeParameters;
import umbel.knowledge.School;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;
import umbel.reading.Severity;
import umbel.reading.TreeReader;
import umbel.survey.InvalidSurvey;
import umbel.survey.Survey;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Makes exercises: trees on which the faults that were asked for are really to be seen. */
public final class ExerciseMaker {

    private static final int LEAST_LEAF = 2;
    private static final int MOST_LEAF = 40;
    private static final int LEAST_LIMBS = 3;

    private final Knowledge knowledge;
    private final PracticeParameters numbers;

    /** A maker that draws on what is known of kinds and systems. */
    public ExerciseMaker(Knowledge knowledge) {
        this.knowledge = knowledge;
        this.numbers = knowledge.practice();
    }

    /**
     * What is wished for.
     *
     * @param level name of a level; the easiest where null
     * @param species id; any where null
     * @param system id; one usual for the species where null
     * @param leaf as old as that, within what is practised on; by the level where null
     * @param fault that the tree has in any case; none in particular where null
     */
    public record Wish(String level, String species, String system, Integer leaf, Fault fault) {}

    /**
     * The exercise of a wish and a seed, always the same; some tenths of a second, and what asking for the visit takes. Empty where no tree of this kind shows the
     * faults wished for and needs a visit.
     *
     * @param needsAVisit whether an exercise's tree is better for the program's plan, see {@link Examiner#needsAVisit()}: on any
     *     other, whoever does nothing passes
     * @throws NotSupported when no knowledge covers species, system or level
     */
    public Optional<Exercise> make(Wish wish, long seed, Predicate<Exercise> needsAVisit) {
        PracticeParameters.Level level = level(wish.level());
        if (wish.species() != null) {
            knowledge.species(wish.species());
        }
        if (wish.system() != null) {
            knowledge.system(wish.system());
        }
        return drawn(wish, level, seed, needsAVisit);
    }

    private Optional<Exercise> drawn(
            Wish wish, PracticeParameters.Level level, long seed, Predicate<Exercise> needsAVisit) {
        Random random = new Random(seed);
        for (int i = 0; i < numbers.tries(); i++) {
            Exercise exercise = draw(wish, level, random);
            if (shows(exercise) && needsAVisit.test(exercise)) {
                return Optional.of(exercise);
            }
        }
        return Optional.empty();
    }

    /** A tree with one fault and no other built in, of any kind that is practised on, to be seen only; empty where none shows it. */
    public Optional<Exercise> alone(Fault fault, long seed) {
        PracticeParameters.Level easiest = numbers.levels().get(0);
        PracticeParameters.Level one = new PracticeParameters.Level(easiest.name(), List.of(), 1, easiest.leaf());
        return drawn(new Wish(null, null, null, null, fault), one, seed, any -> true);
    }

    private PracticeParameters.Level level(String name) {
        return name == null
                ? numbers.levels().get(0)
                : numbers.levels().stream()
                        .filter(level -> level.name().equals(name))
                        .findFirst()
                        .orElseThrow(() -> new NotSupported(
                                "level",
                                Statement.of("problem.not-supported")
                                        .with("value", Value.name(name))
                                        .with(
                                                "values",
                                                Value.name(numbers.levels().stream()
                                                        .map(PracticeParameters.Level::name)
                                                        .collect(Collectors.joining(", "))))));
    }

    private Exercise draw(Wish wish, PracticeParameters.Level level, Random random) {
        Species species = knowledge.species(wish.species() == null ? pick(numbers.species(), random) : wish.species());
        String system = wish.system() == null ? pick(systemsOf(species), random) : wish.system();
        TrainingSystem.Shape shape = knowledge.system(system).shape();
        double from = level.leaf().get(0) * shape.fullAtLeaf();
        double to = level.leaf().get(1) * shape.fullAtLeaf();
        double drawn = from + (to - from) * random.nextDouble();
        int leaf = wish.leaf() == null ? (int) Math.round(drawn) : wish.leaf();
        Set<Fault> faults = new TreeSet<>();
        if (wish.fault() != null) {
            faults.add(wish.fault());
        }
        List<String> words = new ArrayList<>(level.faults());
        Collections.shuffle(words, random);
        for (String word : words) {
            if (faults.size() < level.count()) {
                faults.add(Fault.of(word).orElseThrow(() -> new IllegalStateException("no fault " + word)));
            }
        }
        return new Exercise(
                species.id(),
                system,
                Math.max(LEAST_LEAF, Math.min(MOST_LEAF, leaf)),
                random.nextInt(1_000_000_000),
                faults);
    }

    /** The systems a kind is usually kept in, those that a target tree can be made of. */
    private List<String> systemsOf(Species species) {
        return species.systems()
                .subList(0, Math.min(numbers.systemsMost(), species.systems().size()));
    }

    private static String pick(List<String> from, Random random) {
        return from.get(random.nextInt(from.size()));
    }

    /** Whether the sound tree has limbs enough for faults to be put into. */
    private static boolean hasRoomForFaults(Exercise exercise) {
        return PracticeTree.survey(exercise.species(), exercise.system(), exercise.leaf(), exercise.seed())
                        .limbs()
                        .stream()
                        .filter(limb -> limb.parent().equals("trunk"))
                        .count()
                >= LEAST_LIMBS;
    }

    /** Whether everything built into the tree is to be seen on it, surely enough to act on. */
    private boolean shows(Exercise exercise) {
        if (!hasRoomForFaults(exercise)) {
            return false;
        }
        TreeReader.Reading reading;
        try {
            // built as the examiner will build it: another arrangement of small wood can hide a fault
            Survey survey = exercise.survey();
            Tree tree = TreeBuilder.build(survey, knowledge, Assessor.seed(AssessRequest.of(survey)));
            reading = TreeReader.read(
                    tree, knowledge.school(School.USUAL), knowledge.parameters().reach());
        } catch (InvalidSurvey e) {
            // a tree of this kind cannot have this fault
            return false;
        }
        Set<String> seen = reading.findings().stream()
                .filter(finding -> finding.severity() != Severity.WATCH)
                .map(finding -> finding.rule().id())
                .collect(Collectors.toSet());
        return exercise.faults().stream().allMatch(fault -> seen.contains(fault.rule()));
    }
}
