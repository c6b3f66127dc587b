package umbel.app.plan;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import umbel.app.learning.LearningService;
import umbel.app.log.RecordRepository;
import umbel.app.orchard.OrchardTree;
import umbel.app.reader.Reader;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.TreeReadings;
import umbel.assess.Assessment;
import umbel.assess.CountAssessment;
import umbel.assess.CountRequest;
import umbel.assess.CountedAssessor;
import umbel.assess.Mark;
import umbel.counted.CountLearned;
import umbel.counted.CountOperation;
import umbel.counted.CountOutcome;
import umbel.counted.CountRule;
import umbel.counted.CountSurvey;
import umbel.drawing.CountedSvg;
import umbel.format.FieldError;
import umbel.plant.CountedPlant;
import umbel.plant.Visit;
import umbel.survey.InvalidSurvey;
import umbel.wood.Units;

/** The page of a bush, a cane row or a vine: drawn, read and planned for, with what is decided on it. */
@Service
class CountedService {

    private final DecidedTrees trees;
    private final TreeDecisions decided;
    private final Suggestions suggestions;
    private final TreeReadings readings;
    private final RecordRepository records;
    private final LearningService learning;
    private final CountedAssessor assessor;

    CountedService(
            DecidedTrees trees,
            TreeDecisions decided,
            Suggestions suggestions,
            TreeReadings readings,
            RecordRepository records,
            LearningService learning,
            CountedAssessor assessor) {
        this.trees = trees;
        this.decided = decided;
        this.suggestions = suggestions;
        this.readings = readings;
        this.records = records;
        this.learning = learning;
        this.assessor = assessor;
    }

    /** The page of a plant. */
    CountedAnswers.PlantPage page(long id, Viewer viewer) {
        OrchardTree place = trees.tree(id);
        SurveyEntry survey = trees.survey(id);
        CountedPlant plant = readings.counted(survey);
        CountLearned learned = learnedBy(place, plant);
        TreeDecisions.Current current =
                viewer.adviser() ? suggestions.of(id, survey, viewer.name()) : decided.on(id, survey);
        return new CountedAnswers.PlantPage(
                new CountedAnswers.PlantName(
                        place.id(),
                        place.label(),
                        place.block().id(),
                        place.block().name(),
                        plant.counted().kind().id(),
                        Reader.speech().knowledge(plant.counted().kind().names().one()),
                        plant.counted().kind().form().word(),
                        plant.facts().leaf()),
                plant.survey(),
                survey.surveyedOn().toString(),
                survey.id(),
                look(plant.survey(), current.decisions(), learned),
                current.decisions(),
                current.version(),
                current.outdated(),
                records.findLastThatCounts(id, survey.id(), survey.surveyedOn())
                        .map(visit -> visit.doneOn().toString())
                        .orElse(""),
                CountOperation.Kind.together(),
                new CountedAnswers.PlantLearned(
                        learned.seasons(), Units.round(learned.crop(), 3), Units.round(learned.renewal(), 3)),
                viewer.adviser() ? List.of() : suggestions(id, survey));
    }

    private List<TreeAnswers.SuggestionLine> suggestions(long id, SurveyEntry survey) {
        return suggestions.open(id, survey).stream()
                .map(one -> new TreeAnswers.SuggestionLine(
                        one.id(),
                        one.by(),
                        one.at(),
                        one.marks(),
                        one.marks().stream()
                                .map(mark -> assessor.in(Reader.speech()).title(CountedPlant.operation(mark)))
                                .toList()))
                .toList();
    }

    /** The plant planned for as its decisions ask. */
    CountedAnswers.PlantLooked plans(long id, Decisions decisions) {
        CountedPlant plant = readings.counted(trees.survey(id));
        return look(plant.survey(), decisions, learnedBy(trees.tree(id), plant));
    }

    /** A counted plant that nobody saved. */
    CountedAnswers.PlantLooked look(CountSurvey survey, Decisions decisions) {
        return look(survey, decisions, CountLearned.NOTHING);
    }

    private CountLearned learnedBy(OrchardTree place, CountedPlant plant) {
        return learning.counted(place.block(), plant.counted().kind().id());
    }

    private CountedAnswers.PlantLooked look(CountSurvey survey, Decisions decisions, CountLearned learned) {
        CountAssessment assessment = assessor.in(Reader.speech())
                .assess(new CountRequest(survey, decisions.moment().word(), null), learned);
        Map<String, String> names = new TreeMap<>();
        for (CountRule rule : CountRule.values()) {
            names.put(rule.id(), assessor.in(Reader.speech()).name(rule));
        }
        return new CountedAnswers.PlantLooked(
                assessment, CountedSvg.draw(survey, List.of(), CountedSvg.Ink.SCREEN), names);
    }

    /**
     * What marks come to, drawn in a season as the plant is turned, radians.
     *
     * @throws InvalidSurvey where there is no such season
     */
    CountedAnswers.PlantMarked marked(long id, Decisions decisions, double turned, String word) {
        CountedSvg.Season season = CountedSvg.Season.of(word)
                .orElseThrow(() -> new InvalidSurvey(List.of(FieldError.oneOf(
                        "season",
                        Arrays.stream(CountedSvg.Season.values())
                                .map(CountedSvg.Season::word)
                                .toList()))));
        CountedPlant plant = learning.learning(trees.survey(id));
        List<Mark> marks = plant.inOrder(decisions.marks());
        List<CountOperation> operations =
                marks.stream().map(CountedPlant::operation).toList();
        Visit visit = plant.visit(marks);
        CountOutcome after = plant.counted().after(operations);
        CountOutcome alone = plant.counted().after(List.of());
        return new CountedAnswers.PlantMarked(
                CountedSvg.draw(
                        plant.survey(),
                        operations,
                        season,
                        plant.counted().kind().look(),
                        turned),
                visit.steps().stream()
                        .map(step -> new CountedAnswers.PlantMark(
                                step.mark(),
                                assessor.in(Reader.speech()).title(CountedPlant.operation(step.mark())),
                                Units.round(step.effect().minutes(), 2)))
                        .toList(),
                Units.round(visit.minutes(), 1),
                after.canesAfter(),
                after.nodesAfter(),
                crops(after),
                crops(alone),
                AfterLine.of(plant.afterwards(marks), Reader.speech()::say));
    }

    private List<Assessment.RangeAnswer> crops(CountOutcome outcome) {
        return outcome.seasons().stream()
                .map(season -> assessor.range(season.marketable()))
                .toList();
    }
}
