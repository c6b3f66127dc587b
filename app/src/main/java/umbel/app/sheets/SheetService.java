package umbel.app.sheets;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import umbel.app.http.NotFound;
import umbel.app.log.RecordRepository;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.plan.CutAnswers;
import umbel.app.plan.MarkedLabour;
import umbel.app.plan.PlanService;
import umbel.app.plan.SavedDecisions;
import umbel.app.plan.SavedDecisionsRepository;
import umbel.app.survey.TreeReadings;
import umbel.assess.CrewText;
import umbel.assess.Mark;
import umbel.assess.StepText;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.SafetyLimits;
import umbel.drawing.SheetSvg;
import umbel.knowledge.Caution;
import umbel.knowledge.Knowledge;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;
import umbel.work.Tool;

/** Writes what is marked on trees as sheets for the row. */
@Service
class SheetService {

    private static final List<String> FIXED = List.of("who", "time", "note", "heed", "south", "east");

    private final TreeRepository trees;
    private final SavedDecisionsRepository works;
    private final RecordRepository records;
    private final PlanService plans;
    private final MarkedLabour labour;
    private final Knowledge knowledge;

    SheetService(
            TreeRepository trees,
            SavedDecisionsRepository works,
            RecordRepository records,
            PlanService plans,
            MarkedLabour labour,
            Knowledge knowledge) {
        this.records = records;
        this.trees = trees;
        this.works = works;
        this.plans = plans;
        this.labour = labour;
        this.knowledge = knowledge;
    }

    /** One tree's sheet; its steps are empty where nothing is marked. */
    @Transactional(readOnly = true)
    FieldSheet of(long treeId) {
        OrchardTree tree = trees.findById(treeId).orElseThrow(() -> new NotFound("tree", treeId));
        TreeReadings.ReadTree read = plans.newestReading(treeId);
        return write(tree, read, plans.markedInOrder(treeId));
    }

    /** The sheets of a block's marked trees in walking order, or of one of its rows. */
    @Transactional(readOnly = true)
    List<FieldSheet> ofBlock(long blockId, Integer row) {
        return works.findByTreeBlockIdOrderByTreeRowNoAscTreePlaceNoAsc(blockId).stream()
                .map(SavedDecisions::tree)
                .filter(tree -> row == null || tree.rowNo() == row)
                .map(tree -> of(tree.id()))
                .filter(sheet -> !sheet.steps().isEmpty())
                .toList();
    }

    /** The rows with marked work. */
    @Transactional(readOnly = true)
    List<SheetController.FieldRow> rows() {
        record Row(long blockId, String block, int row) {}
        Map<Row, Integer> counts = new LinkedHashMap<>();
        works.findAll().stream()
                .filter(work -> !labour.of(work).isEmpty())
                .map(SavedDecisions::tree)
                .sorted(Comparator.comparing((OrchardTree tree) -> tree.block().id())
                        .thenComparing(OrchardTree::rowNo))
                .forEach(tree ->
                        counts.merge(new Row(tree.block().id(), tree.block().name(), tree.rowNo()), 1, Integer::sum));
        return counts.entrySet().stream()
                .map(row -> new SheetController.FieldRow(
                        row.getKey().blockId(),
                        row.getKey().block(),
                        row.getKey().row(),
                        row.getValue()))
                .toList();
    }

    private FieldSheet write(OrchardTree place, TreeReadings.ReadTree read, List<Operation> operations) {
        Tree tree = read.tree();
        CutTree cut = CutTree.of(tree, operations);
        SafetyLimits limits = place.block().holding().limits(place.block().nearPowerLines());
        List<Effect> effects = Effect.ofAll(cut, knowledge.parameters().reach());
        List<FieldSheet.FieldStep> steps = new ArrayList<>();
        List<Vec> flags = new ArrayList<>();
        Set<Caution> heed = new LinkedHashSet<>();
        double ladder = 0;
        double saw = 0;
        double all = operations.isEmpty() ? 0 : tree.setting().system().work().lookMinutes();
        for (int i = 0; i < operations.size(); i++) {
            Operation operation = operations.get(i);
            Effect effect = effects.get(i);
            boolean stop = limits.stop(effect, knowledge.parameters().cutting().tools());
            steps.add(step(i + 1, operation, effect, stop));
            flags.add(CutAnswers.flagAt(cut, operation));
            List<String> texts = StepText.cautions(tree, operation, effect, knowledge.cautions());
            knowledge.cautions().stream()
                    .filter(caution -> texts.contains(caution.text())
                            || caution.when() == Caution.When.ALWAYS
                            || stop && caution.when() == Caution.When.QUALIFIED)
                    .forEach(heed::add);
            all += effect.minutes();
            ladder += effect.ladder() ? effect.minutes() : 0;
            saw += effect.tool() == Tool.SAW ? effect.minutes() : 0;
        }
        Map<String, List<String>> cautions = inEach(words -> knowledge.cautions().stream()
                .filter(heed::contains)
                .map(words::caution)
                .toList());
        return new FieldSheet(
                place.id(),
                place.label(),
                place.block().id(),
                place.block().name(),
                place.rowNo(),
                place.placeNo(),
                tree.setting().species().names().one() + ", "
                        + tree.setting().system().name().toLowerCase(Locale.ROOT),
                read.request().survey().surveyedOn(),
                read.surveyId(),
                records.findByTreeIdOrderByDoneOnDescIdDesc(place.id()).stream()
                        .mapToLong(WorkRecord::id)
                        .max()
                        .orElse(0),
                place.block().holding().timeZone().getId(),
                Units.round(all, 1),
                Units.round(ladder, 1),
                Units.round(saw, 1),
                steps,
                tree.limbs().stream()
                        .map(limb -> new FieldSheet.FieldLimb(
                                limb.id(),
                                Math.round(Units.toMm(limb.baseDiameter())),
                                Math.round(Units.toCm(limb.length()))))
                        .toList(),
                cautions,
                inEach(words -> {
                    Map<String, String> fixed = new TreeMap<>();
                    FIXED.forEach(key -> fixed.put(key, words.say(key)));
                    return fixed;
                }),
                SheetSvg.draw(cut, Math.PI, flags),
                SheetSvg.draw(cut, Math.PI / 2, flags));
    }

    private static FieldSheet.FieldStep step(int number, Operation operation, Effect effect, boolean stop) {
        return new FieldSheet.FieldStep(
                number,
                Mark.of(operation),
                inEach(words -> words.title(operation)),
                inEach(words -> effect.cuts() == 0 && operation.kind().cuts()
                        ? ""
                        : words.say("at", Math.round(Units.toCm(effect.height())))
                                + (effect.mass() >= 1 ? ", " + words.say("mass", Math.round(effect.mass())) : "")),
                inEach(words -> {
                    List<String> warnings = new ArrayList<>();
                    if (stop) {
                        warnings.add(words.say("qualified"));
                    }
                    if (effect.threeStep()) {
                        warnings.add(words.say("three-step"));
                    }
                    if (effect.ladder()) {
                        warnings.add(words.say("ladder"));
                    }
                    return warnings;
                }),
                inEach(words -> words.say(effect.tool().word())),
                stop,
                Units.round(effect.minutes(), 1));
    }

    private static <T> Map<String, T> inEach(Function<CrewText, T> said) {
        Map<String, T> all = new LinkedHashMap<>();
        CrewText.LANGUAGES.stream().sorted().forEach(language -> all.put(language, said.apply(CrewText.in(language))));
        return all;
    }
}
