package umbel.app.practice;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ThreadLocalRandom;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import umbel.app.cache.ComputedCache;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.plan.DecidedTrees;
import umbel.app.reader.Reader;
import umbel.assess.Assessor;
import umbel.knowledge.Knowledge;
import umbel.knowledge.NotSupported;
import umbel.practice.Examiner;
import umbel.practice.Exercise;
import umbel.practice.ExerciseMaker;
import umbel.practice.Fault;
import umbel.survey.InvalidSurvey;
import umbel.survey.Survey;
import umbel.text.Statement;
import umbel.text.Value;

/** The trees of exercises, made up or of the holding, by their codes; keeps nothing but what it worked out. */
@Component
class PracticeTrees {

    private static final int KEPT = 24;
    private static final int SEEDS = 1_000_000_000;

    private final Assessor assessor;
    private final Knowledge knowledge;
    private final DecidedTrees trees;
    private final BlockRepository blocks;
    private final Clock clock;
    private final ComputedCache<String, Examiner> examiners = ComputedCache.atMost(KEPT);

    PracticeTrees(Assessor assessor, Knowledge knowledge, DecidedTrees trees, BlockRepository blocks, Clock clock) {
        this.blocks = blocks;
        this.clock = clock;
        this.assessor = assessor;
        this.knowledge = knowledge;
        this.trees = trees;
    }

    /** Makes an exercise of a wish. */
    PracticeAnswers.PracticeMade make(PracticeAnswers.PracticeWish wish) {
        Fault fault = wish.fault() == null
                ? null
                : Fault.of(wish.fault())
                        .orElseThrow(() -> new NotSupported(
                                "fault",
                                Statement.of("problem.no-such-fault").with("fault", Value.name(wish.fault()))));
        long seed = wish.seed() == null ? ThreadLocalRandom.current().nextInt(SEEDS) : wish.seed();
        return new ExerciseMaker(knowledge)
                .make(
                        wishOf(wish, fault),
                        seed,
                        exercise -> examiner(exercise.code()).needsAVisit())
                .map(exercise -> new PracticeAnswers.PracticeMade(exercise.code()))
                .orElseThrow(() -> new Refused(HttpStatus.CONFLICT, Statement.of("problem.no-exercise")));
    }

    private ExerciseMaker.Wish wishOf(PracticeAnswers.PracticeWish wish, Fault fault) {
        if (wish.likeBlock() == null) {
            return new ExerciseMaker.Wish(wish.level(), wish.species(), wish.system(), null, fault);
        }
        Block block = blocks.findById(wish.likeBlock()).orElseThrow(() -> new NotFound("block", wish.likeBlock()));
        return new ExerciseMaker.Wish(
                wish.level(),
                block.species(),
                block.system(),
                LocalDate.now(clock).getYear() - block.plantedYear(),
                fault);
    }

    /** The faults of a minute's drill, in an order nobody knows: such as are seen on a limb. */
    List<Fault> drillFaults() {
        List<Fault> faults = new ArrayList<>();
        for (String word : knowledge.practice().drill().faults()) {
            faults.add(Fault.of(word).orElseThrow());
        }
        Collections.shuffle(faults, ThreadLocalRandom.current());
        return faults.subList(0, Math.min(knowledge.practice().drill().trees(), faults.size()));
    }

    /** A tree with one fault alone, which is really to be seen on it. */
    Exercise drillTree(Fault fault) {
        return new ExerciseMaker(knowledge)
                .alone(fault, ThreadLocalRandom.current().nextInt(SEEDS))
                .orElseThrow(() -> new IllegalStateException("no tree shows " + fault));
    }

    /** The examiner of an exercise; some tenths of a second the first time. */
    Examiner examiner(String code) {
        String key = OwnTreeCode.isOne(code) ? code + "@" + trees.newestSurvey(OwnTreeCode.treeOf(code)) : code;
        return examiners.get(key, () -> {
            try {
                return new Examiner(assessor, knowledge, surveyOf(code));
            } catch (InvalidSurvey | NotSupported e) {
                throw new NotFound("exercise", code);
            }
        });
    }

    private Survey surveyOf(String code) {
        return OwnTreeCode.isOne(code)
                ? trees.newestReading(OwnTreeCode.treeOf(code)).request().survey()
                : Exercise.of(code)
                        .orElseThrow(() -> new NotFound("exercise", code))
                        .survey();
    }

    /** What the tree of an exercise is called: kind, system and leaf, or its place in the holding; its code where it is gone. */
    String title(String code) {
        return Exercise.of(code).map(this::title).orElseGet(() -> {
            try {
                return trees.label(OwnTreeCode.treeOf(code));
            } catch (NotFound e) {
                return code;
            }
        });
    }

    private String title(Exercise made) {
        return Reader.speech().knowledge(knowledge.species(made.species()).name())
                + ", "
                + Reader.speech()
                        .knowledge(knowledge.system(made.system()).name())
                        .toLowerCase(Locale.ROOT)
                + ", " + made.leaf();
    }

    /** The limbs of an exercise's tree; none where it is gone. */
    List<String> limbsOf(String code) {
        try {
            return surveyOf(code).limbs().stream().map(Survey.LimbMeasure::id).toList();
        } catch (NotFound e) {
            return List.of();
        }
    }
}
