package umbel.app.exchange;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import umbel.app.http.NotFound;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.survey.SurveyDay;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.format.FieldError;
import umbel.survey.InvalidSurvey;
import umbel.survey.Survey;
import umbel.survey.SurveyCsv;
import umbel.survey.SurveyReader;

/**
 * Brings a table of surveys into a block. A tree's label ends in its row and place, as {@code Long Wall 3-14}; a survey that a
 * tree already has, word for word, is not written again, so a table may be sent twice.
 */
@Service
public class SurveyImport {

    private static final double THIN_MM = 5;
    private static final double LONG_CM = 60;
    private static final Pattern PLACE = Pattern.compile("(?:^|.*\\s)(\\d{1,4})-(\\d{1,4})$");

    private final BlockRepository blocks;
    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final Assessor assessor;
    private final Clock clock;

    public SurveyImport(
            BlockRepository blocks, TreeRepository trees, SurveyRepository surveys, Assessor assessor, Clock clock) {
        this.clock = clock;
        this.blocks = blocks;
        this.trees = trees;
        this.surveys = surveys;
        this.assessor = assessor;
    }

    /**
     * What became, or would become, of one tree of the table.
     *
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

    private record Placed(Survey survey, LocalDate day, int row, int place) {}

    /** What the table would write. */
    @Transactional(readOnly = true)
    public Outcome preview(long blockId, String table, Map<String, String> columns) {
        Block block = blocks.findById(blockId).orElseThrow(() -> new NotFound("block", blockId));
        List<String> heading = SurveyCsv.headingOf(table);
        List<String> unknown = heading.stream()
                .filter(name ->
                        !columns.containsKey(name) && !SurveyCsv.columns().contains(name))
                .toList();
        if (!unknown.isEmpty()) {
            List<String> free = SurveyCsv.columns().stream()
                    .filter(name -> !heading.contains(name) && !columns.containsValue(name))
                    .toList();
            return new Outcome(List.of(), false, unknown, free);
        }
        List<Line> lines = placed(block, table, columns).stream()
                .map(one -> line(block, one))
                .toList();
        return new Outcome(lines, false, List.of(), List.of());
    }

    /** Writes the table. */
    @Transactional
    public Outcome write(long blockId, String table, Map<String, String> columns) {
        Block block = blocks.findById(blockId).orElseThrow(() -> new NotFound("block", blockId));
        List<Line> lines = new ArrayList<>();
        for (Placed one : placed(block, table, columns)) {
            Line line = line(block, one);
            lines.add(line);
            if (!line.outcome().equals("there-already")) {
                OrchardTree tree = trees.findByBlockIdAndRowNoAndPlaceNo(blockId, one.row(), one.place())
                        .orElseGet(() -> trees.save(new OrchardTree(block, one.row(), one.place())));
                surveys.save(new SurveyEntry(tree, one.day(), SurveyReader.write(one.survey()), clock.instant()));
            }
        }
        return new Outcome(lines, true, List.of(), List.of());
    }

    private Line line(Block block, Placed one) {
        OrchardTree tree = trees.findByBlockIdAndRowNoAndPlaceNo(block.id(), one.row(), one.place())
                .orElse(null);
        String document = SurveyReader.write(one.survey());
        boolean there = tree != null
                && surveys.findByTreeIdOrderBySurveyedOnDescIdDesc(tree.id()).stream()
                        .anyMatch(entry -> entry.document().equals(document));
        return new Line(
                block.name() + " " + one.row() + "-" + one.place(),
                one.row(),
                one.place(),
                one.survey().limbs().size(),
                there ? "there-already" : tree == null ? "new-tree" : "new-survey",
                maybeInches(one.survey()));
    }

    /** Whether most of a tree's limbs are so thin for their length that their thickness must have been taken in inches. */
    private static boolean maybeInches(Survey survey) {
        long thin = survey.limbs().stream()
                .filter(limb -> limb.diameterMm() < THIN_MM && limb.lengthCm() > LONG_CM)
                .count();
        return thin * 2 > survey.limbs().size();
    }

    private List<Placed> placed(Block block, String table, Map<String, String> columns) {
        List<Placed> placed = new ArrayList<>();
        List<FieldError> errors = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        int number = 0;
        for (Survey survey : SurveyCsv.read(table, columns)) {
            number++;
            String label = survey.tree().label() == null ? "" : survey.tree().label();
            Matcher match = PLACE.matcher(label);
            if (!match.matches()) {
                errors.add(new FieldError(
                        "tree " + number + ", label", "'" + label + "' does not end in row and place, as 3-14."));
                continue;
            }
            if (!seen.add(match.group(1) + "-" + match.group(2) + " " + survey.surveyedOn())) {
                errors.add(new FieldError(
                        "tree " + number + ", label", "The table holds " + label + " twice for the same day."));
            }
            int row = Integer.parseInt(match.group(1));
            int place = Integer.parseInt(match.group(2));
            if (!block.rows().has(row, place)) {
                errors.add(new FieldError(
                        "tree " + number + ", label",
                        block.name() + " has " + block.rows().rows() + " rows of at most "
                                + block.rows().places() + " places; there is no place " + row + "-" + place + "."));
                continue;
            }
            try {
                placed.add(new Placed(survey, SurveyDay.of(survey.surveyedOn(), block.holding(), clock), row, place));
                assessor.tree(AssessRequest.of(survey));
            } catch (InvalidSurvey e) {
                for (FieldError error : e.errors()) {
                    errors.add(new FieldError("tree " + number + ", " + error.field(), error.message()));
                }
            }
        }
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
        return placed;
    }
}
