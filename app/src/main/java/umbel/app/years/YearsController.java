package umbel.app.years;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.harvest.PickingRepository;
import umbel.app.log.EffectsKept;
import umbel.app.log.RecordRepository;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.ScheduleInputChanged;
import umbel.app.survey.SurveyRepository;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.wood.Units;

/** A block and the holding year by year: work, light, growth and crop, as they were recorded. */
@RestController
@RequestMapping("/api")
class YearsController {

    private final BlockRepository blocks;
    private final RecordRepository records;
    private final PickingRepository pickings;
    private final SurveyRepository surveys;
    private final Cache<Long, List<BlockYear>> kept =
            Caffeine.newBuilder().expireAfterWrite(Duration.ofMinutes(1)).build();

    YearsController(
            BlockRepository blocks, RecordRepository records, PickingRepository pickings, SurveyRepository surveys) {
        this.blocks = blocks;
        this.records = records;
        this.pickings = pickings;
        this.surveys = surveys;
    }

    /**
     * One year of a block; null where nothing was recorded that tells it.
     *
     * @param trees that were visited
     * @param shadeBefore mean share of fruiting wood in shade before the visits, and after them
     * @param extensionCm mean growth of the season on the limbs surveyed that year
     * @param cropKg picked
     * @param thinned fruits taken off
     */
    public record BlockYear(
            int year,
            long visits,
            long trees,
            double minutes,
            Double shadeBefore,
            Double shadeAfter,
            @JsonProperty("extension_cm") Double extensionCm,
            @JsonProperty("crop_kg") Double cropKg,
            Long thinned) {}

    /** A block with its years, oldest first. */
    public record YearsOfBlock(long blockId, String block, List<BlockYear> years) {}

    /** The years of a block. */
    @GetMapping("/blocks/{id}/years")
    @Transactional(readOnly = true)
    public YearsOfBlock ofBlock(@PathVariable long id) {
        return years(blocks.existing(id));
    }

    /** The years of every block. */
    @GetMapping("/years")
    @Transactional(readOnly = true)
    public List<YearsOfBlock> ofAll() {
        return blocks.findAllByOrderById().stream().map(this::years).toList();
    }

    /** The light before and after a visit is known a moment after the visit. */
    @TransactionalEventListener(fallbackExecution = true)
    public void kept(EffectsKept what) {
        kept.invalidate(what.blockId());
    }

    /** What was added up is forgotten once a visit or a picking is kept; a new survey shows within a minute. */
    @TransactionalEventListener(fallbackExecution = true)
    public void changed(ScheduleInputChanged what) {
        if (what.blockId() != null) {
            kept.invalidate(what.blockId());
        }
    }

    private YearsOfBlock years(Block block) {
        return new YearsOfBlock(block.id(), block.name(), kept.get(block.id(), this::gather));
    }

    private List<BlockYear> gather(long block) {
        TreeMap<Integer, Sum> sums = new TreeMap<>();
        for (RecordRepository.YearOfWork work : records.workByYear(block)) {
            at(sums, work.getYear()).work = work;
        }
        for (PickingRepository.YearOfPicking crop : pickings.cropByYear(block)) {
            at(sums, crop.getYear()).crop = crop;
        }
        surveys.documents(surveys.numbersOfBlock(block))
                .filter(survey -> !survey.counted())
                .forEach(survey -> at(sums, survey.surveyedOn().getYear()).add(SurveyReader.saved(survey.document())));
        List<BlockYear> years = new ArrayList<>();
        sums.forEach((year, sum) -> years.add(sum.asYear(year)));
        return years;
    }

    private static Sum at(TreeMap<Integer, Sum> sums, int year) {
        return sums.computeIfAbsent(year, key -> new Sum());
    }

    /** What is known of one year. */
    private static final class Sum {

        private RecordRepository.YearOfWork work;
        private PickingRepository.YearOfPicking crop;
        private double extension;
        private int limbs;

        void add(Survey survey) {
            for (Survey.LimbMeasure limb : survey.limbs()) {
                if (limb.lastGrowthCm() != null) {
                    extension += limb.lastGrowthCm();
                    limbs++;
                }
            }
        }

        BlockYear asYear(int year) {
            return new BlockYear(
                    year,
                    work == null ? 0 : work.getVisits(),
                    work == null ? 0 : work.getTrees(),
                    work == null ? 0 : Units.round(work.getMinutes(), 1),
                    work == null ? null : rounded(work.getShadeBefore(), 3),
                    work == null ? null : rounded(work.getShadeAfter(), 3),
                    limbs == 0 ? null : Units.round(extension / limbs, 1),
                    crop == null ? null : rounded(crop.getKg(), 1),
                    crop == null ? null : crop.getThinned());
        }

        private static Double rounded(Double value, int digits) {
            return value == null ? null : Double.valueOf(Units.round(value, digits));
        }
    }
}
