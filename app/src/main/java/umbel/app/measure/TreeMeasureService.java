package umbel.app.measure;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import umbel.app.harvest.PickingRepository;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.app.learning.LearningService;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.assess.Mark;
import umbel.growth.Comparison;
import umbel.knowledge.Knowledge;
import umbel.knowledge.LearningParameters;
import umbel.plant.SurveyedTree;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;

/** Keeps measurements on trees and holds them against what the survey before them, and what was cut since, lets expect. */
@Service
class TreeMeasureService {

    private final TreeMeasureRepository measures;
    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final PickingRepository pickings;
    private final TreeReadings readings;
    private final LearningService learning;
    private final LearningParameters rules;
    private final Clock clock;

    TreeMeasureService(
            TreeMeasureRepository measures,
            TreeRepository trees,
            SurveyRepository surveys,
            PickingRepository pickings,
            TreeReadings readings,
            LearningService learning,
            Knowledge knowledge,
            Clock clock) {
        this.measures = measures;
        this.trees = trees;
        this.surveys = surveys;
        this.pickings = pickings;
        this.readings = readings;
        this.learning = learning;
        this.rules = knowledge.parameters().learning();
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public TreeMeasureAnswers.MeasuresOfTree of(long treeId) {
        tree(treeId);
        List<TreeMeasureAnswers.SeasonsCrop> crops = new ArrayList<>();
        List<SurveyEntry> own = surveys.findByTreeIdOrderBySurveyedOnDescIdDesc(treeId);
        LocalDate until = LocalDate.now(clock).plusDays(1);
        for (SurveyEntry survey : own) {
            LocalDate season = survey.surveyedOn().plusDays(rules.seasonDays());
            LocalDate end = season.isBefore(until) ? season : until;
            crop(survey, end).ifPresent(crops::add);
            until = survey.surveyedOn();
        }
        return new TreeMeasureAnswers.MeasuresOfTree(
                measures.findByTreeIdOrderByMeasuredOnDescIdDesc(treeId).stream()
                        .map(TreeMeasureService::line)
                        .toList(),
                crops);
    }

    @Transactional
    public TreeMeasureAnswers.MeasureLine keep(long treeId, TreeMeasureAnswers.MeasureSent sent) {
        OrchardTree tree = tree(treeId);
        if (sent.amount() > sent.kind().most()) {
            throw new Refused(
                    HttpStatus.BAD_REQUEST,
                    Statement.of("problem.measure-too-large")
                            .with("most", Value.number(sent.kind().most(), 0)));
        }
        Comparison.Measured against = expectedOf(treeId, sent).orElse(null);
        String note = sent.note() == null ? "" : sent.note().strip();
        TreeMeasure kept = measures.saveAndFlush(
                new TreeMeasure(tree, sent.measuredOn(), sent.kind(), sent.amount(), against, note, clock.instant()));
        readings.lookAroundAgain();
        return line(kept);
    }

    @Transactional
    public void delete(long treeId, long id) {
        TreeMeasure one = measures.findById(id)
                .filter(found -> found.tree().id().equals(treeId))
                .orElseThrow(() -> new NotFound("measure", id));
        measures.delete(one);
        measures.flush();
        readings.lookAroundAgain();
    }

    private Optional<Comparison.Measured> expectedOf(long treeId, TreeMeasureAnswers.MeasureSent sent) {
        LocalDate day = sent.measuredOn();
        SurveyEntry survey = surveys.findByTreeIdOrderBySurveyedOnDescIdDesc(treeId).stream()
                .filter(one -> !one.surveyedOn().isAfter(day))
                .findFirst()
                .filter(one -> !one.isCounted()
                        && !one.surveyedOn().plusDays(rules.seasonDays()).isBefore(day))
                .orElse(null);
        if (survey == null) {
            return Optional.empty();
        }
        SurveyedTree read = readings.of(survey);
        return switch (sent.kind()) {
            case SKY ->
                Optional.of(only(read.photographed(learning.done(survey, survey.surveyedOn(), day), sent.amount())));
            case PRUNINGS -> {
                List<Mark> cut = learning.done(survey, day.minusDays(rules.weighedWithinDays()), day);
                Comparison.Measured weighed = only(read.weighed(cut, sent.amount()));
                yield weighed.foretold().middle() > 0 ? Optional.of(weighed) : Optional.empty();
            }
        };
    }

    /** What was picked in the season after a survey, until a day; empty where nothing was weighed. */
    private Optional<TreeMeasureAnswers.SeasonsCrop> crop(SurveyEntry survey, LocalDate until) {
        double kg = survey.isCounted()
                ? 0
                : pickings
                        .findByTreeIdAndKindAndPickedOnBetween(
                                survey.tree().id(), "harvest", survey.surveyedOn(), until.minusDays(1))
                        .stream()
                        .filter(one -> one.kg() != null)
                        .mapToDouble(one -> one.kg())
                        .sum();
        if (kg <= 0) {
            return Optional.empty();
        }
        Comparison.Measured against =
                only(readings.of(survey).picked(learning.done(survey, survey.surveyedOn(), until), kg));
        return Optional.of(
                new TreeMeasureAnswers.SeasonsCrop(survey.surveyedOn(), Units.round(kg, 1), expected(against)));
    }

    private static Comparison.Measured only(Comparison comparison) {
        return comparison.measures().get(0);
    }

    private OrchardTree tree(long id) {
        return trees.existing(id);
    }

    private static TreeMeasureAnswers.MeasureLine line(TreeMeasure one) {
        return new TreeMeasureAnswers.MeasureLine(
                one.id(),
                MeasureKind.valueOf(one.kind().toUpperCase(Locale.ROOT)),
                one.measuredOn(),
                one.amount(),
                expected(one.against()),
                one.note());
    }

    private static TreeMeasureAnswers.Expected expected(Comparison.Measured against) {
        return against == null
                ? null
                : new TreeMeasureAnswers.Expected(
                        Units.round(against.foretold().low(), 3),
                        Units.round(against.foretold().middle(), 3),
                        Units.round(against.foretold().high(), 3),
                        against.right());
    }
}
