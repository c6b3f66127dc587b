package umbel.app.exchange;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.survey.SurveyDay;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.counted.CountCsv;
import umbel.counted.CountReader;
import umbel.format.FieldError;
import umbel.knowledge.Knowledge;
import umbel.plant.CountedPlant;
import umbel.survey.InvalidSurvey;
import umbel.survey.Survey;
import umbel.survey.SurveyCsv;
import umbel.survey.SurveyReader;
import umbel.survey.TableText;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Brings a table of surveys, of trees or of counted plants, into a block. A plant's label ends in its row and place, as {@code Long Wall 3-14}; a survey that a
 * plant already has, word for word, is not written again, so a table may be sent twice.
 */
@Service
public class SurveyImport {

    private static final double THIN_MM = 5;
    private static final double LONG_CM = 60;
    private static final String THERE = "there-already";
    private static final Pattern PLACE = Pattern.compile("(?:^|.*\\s)(\\d{1,4})-(\\d{1,4})$");

    private final BlockRepository blocks;
    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final Assessor assessor;
    private final Knowledge knowledge;
    private final Clock clock;

    public SurveyImport(
            BlockRepository blocks,
            TreeRepository trees,
            SurveyRepository surveys,
            Assessor assessor,
            Knowledge knowledge,
            Clock clock) {
        this.clock = clock;
        this.blocks = blocks;
        this.trees = trees;
        this.surveys = surveys;
        this.assessor = assessor;
        this.knowledge = knowledge;
    }

    /**
     * What became, or would become, of one tree or counted plant of the table.
     *
     * @param limbs limbs that were measured, or canes that were counted
     * @param outcome new-tree, new-survey or there-already
     * @param maybeInches whether its thicknesses look as if they were inches
     */
    public record Line(String label, int row, int place, int limbs, String outcome, boolean maybeInches) {}

    /**
     * What a table does.
     *
     * @param unknown columns of which it is not known what they hold; nothing is read until that is told
     * @param free columns of ours that none of the table's is yet
     */
    public record Outcome(List<Line> trees, boolean written, List<String> unknown, List<String> free) {}

    private record Place(int row, int place) {}

    /** A plant of the table, with the place it names. */
    private record Placed(Told told, LocalDate day, Place place) {}

    private record Visit(Place place, LocalDate day) {}

    /**
     * A plant of the table as its format tells it.
     *
     * @param document as it is kept
     * @param parts limbs that were measured, or canes that were counted
     */
    private record Told(
            String label, LocalDate surveyedOn, String document, boolean counted, int parts, boolean maybeInches) {}

    /** What the table would write. */
    @Transactional(readOnly = true)
    public Outcome preview(long blockId, String table, Map<String, String> columns) {
        Block block = blocks.existing(blockId);
        List<String> heading = new TableText(table).heading();
        List<String> ours = isCounts(table, columns) ? CountCsv.columns() : SurveyCsv.columns();
        List<String> unknown = heading.stream()
                .filter(name -> !columns.containsKey(name) && !ours.contains(name))
                .toList();
        if (!unknown.isEmpty()) {
            List<String> free = ours.stream()
                    .filter(name -> !heading.contains(name) && !columns.containsValue(name))
                    .toList();
            return new Outcome(List.of(), false, unknown, free);
        }
        return new Outcome(lines(block, placed(block, table, columns), standing(blockId)), false, List.of(), List.of());
    }

    /** Writes the table. */
    @Transactional
    public Outcome write(long blockId, String table, Map<String, String> columns) {
        Block block = blocks.existing(blockId);
        List<Placed> placed = placed(block, table, columns);
        Map<Place, OrchardTree> standing = standing(blockId);
        List<Line> lines = lines(block, placed, standing);
        for (int i = 0; i < lines.size(); i++) {
            if (!lines.get(i).outcome().equals(THERE)) {
                Placed one = placed.get(i);
                OrchardTree tree = standing.computeIfAbsent(
                        one.place(), place -> trees.save(new OrchardTree(block, place.row(), place.place())));
                surveys.save(
                        one.told().counted()
                                ? SurveyEntry.counted(
                                        tree, one.day(), one.told().document(), clock.instant())
                                : new SurveyEntry(tree, one.day(), one.told().document(), clock.instant()));
            }
        }
        return new Outcome(lines, true, List.of(), List.of());
    }

    /** What stands in a block, by its place. */
    private Map<Place, OrchardTree> standing(long blockId) {
        Map<Place, OrchardTree> standing = new HashMap<>();
        trees.findByBlockIdOrderByRowNoAscPlaceNoAsc(blockId)
                .forEach(tree -> standing.put(new Place(tree.rowNo(), tree.placeNo()), tree));
        return standing;
    }

    private List<Line> lines(Block block, List<Placed> placed, Map<Place, OrchardTree> standing) {
        Set<Placed> there = there(placed, standing);
        Set<Place> known = new HashSet<>(standing.keySet());
        List<Line> lines = new ArrayList<>();
        for (Placed one : placed) {
            boolean isNew = known.add(one.place());
            lines.add(new Line(
                    block.name() + " " + one.place().row() + "-" + one.place().place(),
                    one.place().row(),
                    one.place().place(),
                    one.told().parts(),
                    there.contains(one) ? THERE : isNew ? "new-tree" : "new-survey",
                    one.told().maybeInches()));
        }
        return lines;
    }

    /** Those that their plant already has, word for word; asked for many plants at once, since a table may hold a thousand. */
    private Set<Placed> there(List<Placed> placed, Map<Place, OrchardTree> standing) {
        Map<Long, List<Placed>> byTree = placed.stream()
                .filter(one -> standing.containsKey(one.place()))
                .collect(Collectors.groupingBy(one -> standing.get(one.place()).id()));
        Set<Placed> there = new HashSet<>();
        SurveyRepository.portions(List.copyOf(byTree.keySet()))
                .flatMap(portion -> surveys.tellDocumentsOfTrees(portion).stream())
                .forEach(kept -> byTree.get(kept.treeId()).stream()
                        .filter(one -> one.told().document().equals(kept.document()))
                        .forEach(there::add));
        return there;
    }

    /** Whether most of a tree's limbs are so thin for their length that their thickness must have been taken in inches. */
    private static boolean maybeInches(Survey survey) {
        long thin = survey.limbs().stream()
                .filter(limb -> limb.diameterMm() < THIN_MM && limb.lengthCm() > LONG_CM)
                .count();
        return thin * 2 > survey.limbs().size();
    }

    private static boolean isCounts(String table, Map<String, String> columns) {
        return CountCsv.isCounts(new TableText(table)
                .heading().stream()
                        .map(name -> columns.getOrDefault(name, name))
                        .toList());
    }

    /** What a table tells; a plant that cannot stand as told gets its errors, by its number in the table. */
    private List<Told> told(String table, Map<String, String> columns, List<FieldError> errors) {
        List<Told> told = new ArrayList<>();
        if (isCounts(table, columns)) {
            CountCsv.read(table, columns, count -> {
                check("plant " + (told.size() + 1), () -> CountedPlant.read(count, knowledge), errors);
                told.add(new Told(
                        count.plant().label(),
                        count.surveyedOn(),
                        CountReader.write(count),
                        true,
                        count.parts(),
                        false));
            });
            return told;
        }
        SurveyCsv.read(table, columns, survey -> {
            check("tree " + (told.size() + 1), () -> assessor.tree(AssessRequest.of(survey)), errors);
            told.add(new Told(
                    survey.tree().label(),
                    survey.surveyedOn(),
                    SurveyReader.write(survey),
                    false,
                    survey.limbs().size(),
                    maybeInches(survey)));
        });
        return told;
    }

    private static void check(String which, Runnable reading, List<FieldError> errors) {
        try {
            reading.run();
        } catch (InvalidSurvey e) {
            e.errors().forEach(error -> errors.add(new FieldError(which + ", " + error.field(), error.what())));
        }
    }

    private List<Placed> placed(Block block, String table, Map<String, String> columns) {
        List<Placed> placed = new ArrayList<>();
        List<FieldError> errors = new ArrayList<>();
        Set<Visit> seen = new HashSet<>();
        int number = 0;
        for (Told told : told(table, columns, errors)) {
            number++;
            String which = (told.counted() ? "plant " : "tree ") + number;
            String label = told.label() == null ? "" : told.label();
            Matcher match = PLACE.matcher(label);
            if (!match.matches()) {
                errors.add(new FieldError(
                        which + ", label",
                        Statement.of("problem.label-without-place").with("label", Value.name(label))));
                continue;
            }
            Place place = new Place(Integer.parseInt(match.group(1)), Integer.parseInt(match.group(2)));
            if (!seen.add(new Visit(place, told.surveyedOn()))) {
                errors.add(new FieldError(
                        which + ", label", Statement.of("problem.plant-twice").with("label", Value.name(label))));
            }
            if (!block.rows().has(place.row(), place.place())) {
                errors.add(new FieldError(
                        which + ", label",
                        Statement.of("problem.no-such-place")
                                .with("block", Value.name(block.name()))
                                .with("rows", Value.count(block.rows().rows()))
                                .with("places", Value.count(block.rows().places()))
                                .with("place", Value.name(place.row() + "-" + place.place()))));
                continue;
            }
            check(
                    which,
                    () -> placed.add(new Placed(told, SurveyDay.of(told.surveyedOn(), block.holding(), clock), place)),
                    errors);
        }
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
        return placed;
    }
}
