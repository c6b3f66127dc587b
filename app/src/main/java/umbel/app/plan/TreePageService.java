package umbel.app.plan;

import java.util.List;
import org.springframework.stereotype.Service;
import umbel.app.log.RecordRepository;
import umbel.app.orchard.OrchardTree;
import umbel.app.reader.Reader;
import umbel.app.survey.StandDrawing;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.assess.Assessor;
import umbel.assess.StepText;
import umbel.cut.OperationKind;
import umbel.plan.Limits;
import umbel.plant.SurveyedTree;
import umbel.wood.Units;

/** The page of one tree: drawn and read, with what is decided on it and what is suggested. */
@Service
class TreePageService {

    private final DecidedTrees trees;
    private final SurveyRepository surveys;
    private final TreeDecisions decided;
    private final Suggestions suggestions;
    private final RecordRepository records;
    private final Assessor assessor;
    private final TreeReadings readings;

    TreePageService(
            DecidedTrees trees,
            SurveyRepository surveys,
            TreeDecisions decided,
            Suggestions suggestions,
            RecordRepository records,
            Assessor assessor,
            TreeReadings readings) {
        this.readings = readings;
        this.trees = trees;
        this.surveys = surveys;
        this.decided = decided;
        this.suggestions = suggestions;
        this.records = records;
        this.assessor = assessor;
    }

    /** The page of a tree as somebody sees it. */
    TreeAnswers.TreePage page(long treeId, Viewer viewer) {
        OrchardTree tree = trees.tree(treeId);
        SurveyEntry survey = trees.survey(treeId);
        TreeDecisions.Current current =
                viewer.adviser() ? suggestions.of(treeId, survey, viewer.name()) : decided.on(treeId, survey);
        SurveyedTree read = trees.read(survey, current.decisions());
        Limits limits = assessor.limits(trees.request(read, current.decisions()), read.tree());
        return new TreeAnswers.TreePage(
                name(tree, survey, read),
                StandDrawing.of(read.tree(), read.reading().light()),
                TargetShape.of(read.tree().setting()),
                assessor.in(Reader.speech()).reading(read.tree(), trees.sure(survey, read), read.school()),
                new TreeAnswers.LimitsInForce(
                        limits.woodShare(),
                        limits.bigCuts(),
                        limits.reach(),
                        Units.round(read.tree().setting().workableHeight(limits.reach()), 2),
                        read.school()
                                .thresholds()
                                .shadedMost(
                                        read.tree().setting().species(),
                                        read.tree().setting().system()),
                        read.school()
                                .thresholds()
                                .overCropMost(read.tree().setting().species())),
                LimbTable.of(read),
                current.decisions(),
                current.version(),
                current.outdated(),
                viewer.adviser() ? List.of() : suggestions(treeId, survey, read),
                records.findLastThatCounts(treeId, survey.id(), survey.surveyedOn())
                        .map(visit -> visit.doneOn().toString())
                        .orElse(""),
                readings.countedAfter(survey).orElse(null),
                OperationKind.together());
    }

    private List<TreeAnswers.SuggestionLine> suggestions(long treeId, SurveyEntry survey, SurveyedTree read) {
        return suggestions.open(treeId, survey).stream()
                .map(one -> new TreeAnswers.SuggestionLine(
                        one.id(),
                        one.by(),
                        one.at(),
                        one.marks(),
                        one.marks().stream()
                                .map(mark -> Reader.speech().say(StepText.titleOf(read.tree(), mark.toOperation())))
                                .toList()))
                .toList();
    }

    private TreeAnswers.TreeName name(OrchardTree tree, SurveyEntry survey, SurveyedTree read) {
        List<Long> surveyed =
                surveys.tellNewest().stream().map(SurveyLine::treeId).sorted().toList();
        int at = surveyed.indexOf(tree.id());
        return new TreeAnswers.TreeName(
                tree.id(),
                tree.label(),
                tree.block().id(),
                tree.block().name(),
                read.tree().setting().species().id(),
                Reader.speech()
                        .knowledge(read.tree().setting().species().names().one()),
                read.tree().setting().system().id(),
                Reader.speech().knowledge(read.tree().setting().system().name()),
                cultivarOf(read, tree),
                read.tree().setting().leaf(),
                survey.surveyedOn().toString(),
                survey.id(),
                read.tree().limbs().size(),
                at > 0 ? surveyed.get(at - 1) : null,
                at >= 0 && at + 1 < surveyed.size() ? surveyed.get(at + 1) : null);
    }

    private static String cultivarOf(SurveyedTree read, OrchardTree tree) {
        var cultivar = read.request().survey().tree().cultivar();
        boolean named =
                cultivar != null && cultivar.name() != null && !cultivar.name().isBlank();
        return named ? cultivar.name() : tree.block().cultivar();
    }
}
