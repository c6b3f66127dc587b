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
import umbel.aftercare.AfterTask;
import umbel.app.log.RecordRepository;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.plan.AfterLine;
import umbel.app.plan.DecidedTrees;
import umbel.app.plan.MarkedLabour;
import umbel.app.plan.SavedDecisions;
import umbel.app.plan.SavedDecisionsRepository;
import umbel.app.reader.Reader;
import umbel.assess.CrewText;
import umbel.assess.Mark;
import umbel.cut.Effect;
import umbel.cut.SafetyLimits;
import umbel.knowledge.Caution;
import umbel.knowledge.Knowledge;
import umbel.plant.Plant;
import umbel.plant.PlantFacts;
import umbel.plant.Visit;
import umbel.text.Catalogue;
import umbel.text.UnitSystem;
import umbel.text.Value;
import umbel.wood.Units;

/** Writes what is marked on trees as sheets for the row. */
@Service
class SheetService {

    private static final List<String> FIXED = List.of("who", "time", "note", "caution", "afterwards", "south", "east");

    private final TreeRepository trees;
    private final SavedDecisionsRepository works;
    private final RecordRepository records;
    private final DecidedTrees surveyed;
    private final MarkedLabour labour;
    private final Knowledge knowledge;

    SheetService(
            TreeRepository trees,
            SavedDecisionsRepository works,
            RecordRepository records,
            DecidedTrees surveyed,
            MarkedLabour labour,
            Knowledge knowledge) {
        this.records = records;
        this.trees = trees;
        this.works = works;
        this.surveyed = surveyed;
        this.labour = labour;
        this.knowledge = knowledge;
    }

    /** One tree's sheet; its steps are empty where nothing is marked. */
    @Transactional(readOnly = true)
    FieldSheet of(long treeId) {
        OrchardTree tree = trees.existing(treeId);
        return write(tree, surveyed.newestSurvey(treeId), surveyed.plant(treeId), surveyed.markedInOrder(treeId));
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
    List<SheetAnswers.FieldRow> rows() {
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
                .map(row -> new SheetAnswers.FieldRow(
                        row.getKey().blockId(),
                        row.getKey().block(),
                        row.getKey().row(),
                        row.getValue()))
                .toList();
    }

    private FieldSheet write(OrchardTree place, long surveyId, Plant plant, List<Mark> marks) {
        PlantFacts facts = plant.facts();
        Visit visit = plant.visit(marks);
        SafetyLimits limits = place.safetyLimits();
        List<AfterTask> afterwards = plant.afterwards(marks);
        List<FieldSheet.FieldStep> steps = new ArrayList<>();
        Set<Caution> needed = new LinkedHashSet<>();
        for (Visit.Step step : visit.steps()) {
            boolean stop =
                    limits.stop(step.effect(), knowledge.parameters().cutting().tools());
            steps.add(step(steps.size() + 1, plant, step, stop));
            List<String> texts = plant.cautions(step, knowledge.cautions());
            knowledge.cautions().stream()
                    .filter(caution -> texts.contains(caution.text())
                            || caution.when() == Caution.When.ALWAYS
                            || stop && caution.when() == Caution.When.QUALIFIED)
                    .forEach(needed::add);
        }
        Map<String, List<String>> cautions = inEach(words -> knowledge.cautions().stream()
                .filter(needed::contains)
                .map(words::caution)
                .toList());
        return new FieldSheet(
                place.id(),
                place.label(),
                place.block().id(),
                place.block().name(),
                place.rowNo(),
                place.placeNo(),
                inEach(words -> words.knowledge(facts.kind()) + ", "
                        + words.knowledge(facts.system()).toLowerCase(Locale.ROOT)),
                facts.surveyedOn(),
                surveyId,
                records.findByTreeIdOrderByDoneOnDescIdDesc(place.id()).stream()
                        .mapToLong(WorkRecord::id)
                        .max()
                        .orElse(0),
                place.block().holding().timeZone().getId(),
                Units.round(visit.minutes(), 1),
                Units.round(visit.ladderMinutes(), 1),
                Units.round(visit.sawMinutes(), 1),
                steps,
                facts.parts().stream()
                        .map(limb -> new FieldSheet.FieldLimb(
                                limb.id(),
                                Math.round(Units.toMm(limb.diameter())),
                                Math.round(Units.toCm(limb.length()))))
                        .toList(),
                inEach(words -> AfterLine.of(afterwards, words::say)),
                cautions,
                inEach(words -> {
                    Map<String, String> fixed = new TreeMap<>();
                    FIXED.forEach(key -> fixed.put(key, words.say(key)));
                    return fixed;
                }),
                plant.sheet(marks, Math.PI),
                plant.sheet(marks, Math.PI / 2));
    }

    private static FieldSheet.FieldStep step(int number, Plant plant, Visit.Step step, boolean stop) {
        Effect effect = step.effect();
        return new FieldSheet.FieldStep(
                number,
                step.mark(),
                inEach(words -> plant.title(step.mark(), words)),
                inEach(words -> !plant.hasHeight(step) ? "" : where(words, effect)),
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

    /** How high the cut is, and what falls from it. */
    private static String where(CrewText words, Effect effect) {
        String at = words.say(CrewText.statement("at").with("height", Value.length(effect.height())));
        return effect.mass() < 1
                ? at
                : at + ", "
                        + words.say(CrewText.statement("mass").with("mass", new Value.Mass(Math.rint(effect.mass()))));
    }

    private static <T> Map<String, T> inEach(Function<CrewText, T> said) {
        Map<String, T> all = new LinkedHashMap<>();
        UnitSystem units = Reader.speech().units();
        Catalogue.LANGUAGES.forEach(language -> all.put(language, said.apply(CrewText.in(language, units))));
        return all;
    }
}
