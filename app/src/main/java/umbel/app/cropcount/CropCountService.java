package umbel.app.cropcount;

import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.ScheduleInputChanged;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.app.survey.TypicalOfBlock;
import umbel.cropcount.BlockTrees;
import umbel.cropcount.CountStage;
import umbel.cropcount.CropCount;
import umbel.knowledge.Knowledge;
import umbel.knowledge.PlantingParameters;
import umbel.plant.SurveyedTree;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;

/** Counts of flowers and fruits in a block: read against its surveyed trees, kept, and told to whoever reads those trees. */
@Service
public class CropCountService {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<List<CropCountAnswers.CountedLimb>> LIMBS = new TypeReference<>() {};
    /** Surveyed trees a count is judged by: as many as tell the block's middling tree. */
    private static final int TREES_READ = 12;

    private final CropCountRepository counts;
    private final BlockRepository blocks;
    private final SurveyRepository surveys;
    private final TreeReadings readings;
    private final TypicalOfBlock typical;
    private final Knowledge knowledge;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    CropCountService(
            CropCountRepository counts,
            BlockRepository blocks,
            SurveyRepository surveys,
            TreeReadings readings,
            TypicalOfBlock typical,
            Knowledge knowledge,
            Clock clock,
            ApplicationEventPublisher events) {
        this.counts = counts;
        this.blocks = blocks;
        this.surveys = surveys;
        this.readings = readings;
        this.typical = typical;
        this.knowledge = knowledge;
        this.clock = clock;
        this.events = events;
    }

    /** What limbs say, without keeping them. */
    @Transactional(readOnly = true)
    public CropCountAnswers.CropCountAnswer preview(long blockId, CropCountAnswers.CountAsked asked) {
        Block block = block(blockId);
        List<BlockTrees.Read> read = treesOf(block);
        BlockTrees trees = middling(block, read);
        CropCount count = count(asked.stage(), asked.limbs(), trees);
        PlantingParameters planting = knowledge.planting();
        double wage = asked.wagePerHour() == null ? planting.usual().wagePerHour() : asked.wagePerHour();
        double rate = asked.fruitsPerHour() == null ? planting.defaults().thinFruitsPerHour() : asked.fruitsPerHour();
        double fruits = count.thinning() * block.treeCount();
        return new CropCountAnswers.CropCountAnswer(
                count.limbs(),
                between(count.perCm2(), 2),
                between(count.fruits(), 0),
                Math.round(count.canCarry()),
                Math.round(trees.expectedFruits()),
                count.verdict().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                count.limbsWanted(),
                trees.setting().species().thinning().spacingCm() > 0,
                new CropCountAnswers.ThinningLeft(
                        Math.round(count.thinning()),
                        Math.round(fruits),
                        Units.round(fruits / rate, 1),
                        Math.round(fruits / rate * wage)),
                new CropCountAnswers.NextBloom(
                        Units.round(count.nextBloom().unthinned(), 2),
                        Units.round(count.nextBloom().thinned(), 2)),
                Units.round(count.factor(), 3),
                block.treeCount(),
                read.size(),
                wage,
                rate);
    }

    /** Keeps a count; one that was sent before is not kept twice. */
    @Transactional
    public CropCountAnswers.CropCountLine keep(long blockId, CropCountAnswers.CountSent sent, String who) {
        Block block = block(blockId);
        Optional<CropCountEntry> before = counts.findByClientId(sent.clientId());
        if (before.isPresent()) {
            return line(before.get());
        }
        BlockTrees trees = middling(block, treesOf(block));
        double factor = count(sent.stage(), sent.limbs(), trees).factor();
        CropCountEntry entry = counts.saveAndFlush(new CropCountEntry(
                block,
                sent.countedOn(),
                sent.stage(),
                JSON.writeValueAsString(sent.limbs()),
                factor,
                who,
                sent.note() == null ? "" : sent.note().strip(),
                sent.clientId(),
                clock.instant()));
        changed(block);
        return line(entry);
    }

    /** A block's counts, newest first. */
    @Transactional(readOnly = true)
    public List<CropCountAnswers.CropCountLine> list(long blockId) {
        return counts.findByBlockIdOrderByCountedOnDescIdDesc(block(blockId).id()).stream()
                .map(CropCountService::line)
                .toList();
    }

    /** Deletes a count that was wrong. */
    @Transactional
    public void delete(long blockId, long id) {
        CropCountEntry entry = counts.findById(id)
                .filter(one -> one.block().id().equals(blockId))
                .orElseThrow(() -> new NotFound("cropCount", id));
        counts.delete(entry);
        changed(entry.block());
    }

    private void changed(Block block) {
        readings.lookAroundAgain();
        events.publishEvent(new ScheduleInputChanged(
                Statement.of("schedule-again.crop-count").with("block", Value.name(block.name())), block.id()));
    }

    private CropCount count(String stage, List<CropCountAnswers.CountedLimb> limbs, BlockTrees trees) {
        return CropCount.of(
                CountStage.valueOf(stage.toUpperCase(Locale.ROOT)),
                limbs.stream()
                        .map(limb -> new CropCount.Limb(Units.fromMm(limb.diameterMm()), limb.count()))
                        .toList(),
                trees,
                knowledge.parameters().cropCount());
    }

    /** The block's middling tree; a typical one of its kind where none was surveyed. */
    private BlockTrees middling(Block block, List<BlockTrees.Read> surveyed) {
        return BlockTrees.of(surveyed.isEmpty() ? List.of(read(typical.of(block))) : surveyed);
    }

    /** The block's surveyed trees, as they were read before anything was counted. */
    private List<BlockTrees.Read> treesOf(Block block) {
        if (knowledge.isCounted(block.species())) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    Statement.of("problem.a-counted-plant").with("plant", Value.name(block.name())));
        }
        return surveys.firstNewestOfBlock(block.id(), line -> !line.counted(), TREES_READ).stream()
                .map(readings::of)
                .map(CropCountService::read)
                .toList();
    }

    private static BlockTrees.Read read(SurveyedTree tree) {
        return new BlockTrees.Read(tree.tree(), tree.reading().crop());
    }

    private Block block(long id) {
        return blocks.existing(id);
    }

    private static CropCountAnswers.Between between(CropCount.Estimate estimate, int digits) {
        return new CropCountAnswers.Between(
                Units.round(estimate.low(), digits),
                Units.round(estimate.middle(), digits),
                Units.round(estimate.high(), digits));
    }

    private static CropCountAnswers.CropCountLine line(CropCountEntry entry) {
        return new CropCountAnswers.CropCountLine(
                entry.id(),
                entry.countedOn(),
                entry.stage(),
                JSON.readValue(entry.limbs(), LIMBS),
                Units.round(entry.factor(), 3),
                entry.who(),
                entry.note());
    }
}
