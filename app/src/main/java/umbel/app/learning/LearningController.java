package umbel.app.learning;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.http.NotFound;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.TreeRepository;
import umbel.app.reader.Reader;
import umbel.app.survey.BlockMeasures;
import umbel.app.survey.TreeReadings;
import umbel.counted.CountSurvey;
import umbel.growth.BlockCalibration;
import umbel.growth.Comparison;
import umbel.knowledge.Knowledge;
import umbel.reading.MeasuredFactors;
import umbel.survey.Survey;
import umbel.wood.Units;

/** Whether forecasts have been right, and what a block's trees have taught. */
@RestController
@RequestMapping("/api")
class LearningController {

    private final LearningService learning;
    private final BlockRepository blocks;
    private final TreeRepository trees;
    private final BlockMeasures blockMeasures;
    private final TreeReadings readings;
    private final Knowledge knowledge;
    private final Clock clock;

    LearningController(
            LearningService learning,
            BlockRepository blocks,
            TreeRepository trees,
            BlockMeasures blockMeasures,
            TreeReadings readings,
            Knowledge knowledge,
            Clock clock) {
        this.blockMeasures = blockMeasures;
        this.readings = readings;
        this.knowledge = knowledge;
        this.learning = learning;
        this.blocks = blocks;
        this.trees = trees;
        this.clock = clock;
    }

    /** One measure of one season: extension and height in metres, crop and prunings in kg, the others counted. */
    public record CheckedMeasure(String measure, double low, double middle, double high, double found, boolean right) {}

    /** A season of a tree, as foretold and as found. */
    public record CheckedSeason(
            long treeId, String tree, LocalDate earlier, LocalDate later, List<CheckedMeasure> measures) {}

    /**
     * What a block has taught.
     *
     * @param trees seasons of trees it was learned from
     * @param vigour factor on growth; likewise the shoots that answer cuts, flower buds, and fruits set
     * @param leaf factor on leaf, from photographs of the sky
     * @param prunings factor on the weight of prunings, from prunings weighed
     * @param right how many of {@code of} measures lay in the range foretold
     * @param since the day from which on its trees count; null from the beginning
     */
    public record LearnedAnswer(
            int trees,
            double vigour,
            double waking,
            double flowering,
            double setting,
            double leaf,
            double prunings,
            int right,
            int of,

            LocalDate since,

            List<CheckedSeason> seasons,

            List<LearnedOfKind> counted) {}

    /**
     * What a block's bushes, rows or vines of one kind have taught.
     *
     * @param kind its name, in the reader's language
     * @param seasons of plants it was learned from
     * @param crop factor on the crop foretold; likewise new canes, or the weight of prunings
     */
    public record LearnedOfKind(String kind, int seasons, double crop, double renewal) {}

    /** Whether what was learned is to be forgotten. */
    public record Forget(boolean forget) {}

    /** What a block's trees have taught. */
    @GetMapping("/blocks/{id}/learned")
    @Transactional(readOnly = true)
    public LearnedAnswer learned(@PathVariable long id) {
        return answer(block(id));
    }

    /** Forgets what was learned until today, or takes all of it into account again. */
    @PutMapping("/blocks/{id}/learned")
    @Transactional
    public LearnedAnswer forget(@PathVariable long id, @RequestBody Forget asked) {
        Block block = block(id);
        block.learnSince(asked.forget() ? LocalDate.now(clock) : null);
        Block saved = blocks.saveAndFlush(block);
        readings.lookAroundAgain();
        return answer(saved);
    }

    /** The seasons of one tree. */
    @GetMapping("/trees/{id}/forecasts")
    @Transactional(readOnly = true)
    public List<CheckedSeason> ofTree(@PathVariable long id) {
        trees.existing(id);
        return learning.checked(id).stream().map(LearningController::line).toList();
    }

    /** What the next survey of a tree is expected to find: to be confirmed or corrected. */
    @GetMapping("/trees/{id}/surveys/expected")
    @Transactional(readOnly = true)
    public Survey expected(@PathVariable long id) {
        return learning.expected(id, LocalDate.now(clock)).orElseThrow(() -> new NotFound("surveyOfTree", id));
    }

    /** What the next count of a bush, a cane row or a vine is expected to find: to be confirmed or corrected. */
    @GetMapping("/plants/{id}/surveys/expected")
    @Transactional(readOnly = true)
    public CountSurvey expectedCount(@PathVariable long id) {
        return learning.expectedCount(id, LocalDate.now(clock)).orElseThrow(() -> new NotFound("surveyOfTree", id));
    }

    private LearnedAnswer answer(Block block) {
        BlockCalibration learned = learning.of(block);
        MeasuredFactors measured = blockMeasures.of(block);
        List<LearningService.Checked> all = learning.checked(block);
        List<Comparison.Measured> measures = all.stream()
                .flatMap(one -> one.comparison().measures().stream())
                .toList();
        return new LearnedAnswer(
                learned.trees(),
                Units.round(learned.vigour(), 3),
                Units.round(learned.waking(), 3),
                Units.round(learned.flowering(), 3),
                Units.round(learned.setting(), 3),
                Units.round(measured.leaf(), 3),
                Units.round(measured.prunings(), 3),
                (int) measures.stream().filter(Comparison.Measured::right).count(),
                measures.size(),
                block.learningSince(),
                all.stream().map(LearningController::line).toList(),
                learning.ofCounted(block).entrySet().stream()
                        .map(one -> new LearnedOfKind(
                                Reader.speech()
                                        .knowledge(
                                                knowledge.counted(one.getKey()).name()),
                                one.getValue().seasons(),
                                Units.round(one.getValue().crop(), 3),
                                Units.round(one.getValue().renewal(), 3)))
                        .toList());
    }

    private static CheckedSeason line(LearningService.Checked one) {
        return new CheckedSeason(
                one.earlier().tree().id(),
                one.earlier().tree().label(),
                one.earlier().surveyedOn(),
                one.later().surveyedOn(),
                one.comparison().measures().stream()
                        .map(measured -> new CheckedMeasure(
                                measured.measure()
                                        .name()
                                        .toLowerCase(Locale.ROOT)
                                        .replace('_', '-'),
                                Units.round(measured.foretold().low(), 3),
                                Units.round(measured.foretold().middle(), 3),
                                Units.round(measured.foretold().high(), 3),
                                Units.round(measured.found(), 3),
                                measured.right()))
                        .toList());
    }

    private Block block(long id) {
        return blocks.existing(id);
    }
}
