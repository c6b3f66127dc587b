package umbel.app.plan;

import java.util.List;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.answer.AnswerKind;
import umbel.app.answer.KeptAnswers;
import umbel.app.answer.Written;
import umbel.app.log.RecordRepository;
import umbel.app.orchard.OrchardTree;
import umbel.app.reader.Reader;
import umbel.app.survey.StandDrawing;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.assess.Mark;
import umbel.assess.StepText;
import umbel.cut.OperationKind;
import umbel.plan.Limits;
import umbel.plant.SurveyedTree;
import umbel.wood.Setting;
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
    private final KeptAnswers kept;
    private final JsonMapper json;

    TreePageService(
            DecidedTrees trees,
            SurveyRepository surveys,
            TreeDecisions decided,
            Suggestions suggestions,
            RecordRepository records,
            Assessor assessor,
            TreeReadings readings,
            KeptAnswers kept,
            JsonMapper json) {
        this.kept = kept;
        this.json = json;
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
        Shown shown = shown(survey, current.decisions());
        return new TreeAnswers.TreePage(
                name(tree, survey, shown.facts()),
                shown.drawing(),
                shown.target(),
                shown.reading(),
                shown.limits(),
                shown.limbs(),
                current.decisions(),
                current.version(),
                current.outdated(),
                viewer.adviser() ? List.of() : suggestions(treeId, survey, current.decisions()),
                records.findLastThatCounts(treeId, survey.id(), survey.surveyedOn())
                        .map(visit -> visit.doneOn().toString())
                        .orElse(""),
                readings.countedAfter(survey).orElse(null),
                OperationKind.together());
    }

    /** The tree drawn and read under what is decided on it: what takes long, and is kept. */
    Shown shown(SurveyEntry survey, Decisions decisions) {
        Decisions wished = decisions.wishes();
        return Shown.of(
                kept.parts(survey, AnswerKind.PAGE, wished, () -> show(survey, wished), () -> {
                    trees.sure(survey, trees.read(survey, wished));
                }),
                json);
    }

    /**
     * The parts of a page that are kept.
     *
     * @param facts the tree's own
     */
    record Shown(
            TreeFacts facts,
            Written<StandDrawing> drawing,
            Written<TargetShape> target,
            Written<Assessment.ReadingAnswer> reading,
            Written<TreeAnswers.LimitsInForce> limits,
            Written<List<TreeAnswers.LimbLine>> limbs) {

        /** From parts in the order of {@link TreePageService#show}. */
        private static Shown of(List<String> parts, JsonMapper json) {
            return new Shown(
                    json.readValue(parts.get(0), TreeFacts.class),
                    new Written<>(parts.get(1)),
                    new Written<>(parts.get(2)),
                    new Written<>(parts.get(3)),
                    new Written<>(parts.get(4)),
                    new Written<>(parts.get(5)));
        }
    }

    /**
     * What a survey tells of its tree, for its name.
     *
     * @param cultivar empty where the survey names none
     */
    record TreeFacts(
            String species,
            String speciesName,
            String system,
            String systemName,
            String cultivar,
            int leaf,
            int limbs) {}

    private List<?> show(SurveyEntry survey, Decisions wished) {
        SurveyedTree read = trees.read(survey, wished);
        Setting setting = read.tree().setting();
        Limits limits = assessor.limits(trees.request(read, wished), read.tree());
        return List.of(
                facts(read),
                StandDrawing.of(read.tree(), read.reading().light()),
                TargetShape.of(setting),
                assessor.in(Reader.speech()).reading(read.tree(), trees.sure(survey, read), read.school()),
                new TreeAnswers.LimitsInForce(
                        limits.woodShare(),
                        limits.bigCuts(),
                        limits.reach(),
                        Units.round(setting.workableHeight(limits.reach()), 2),
                        read.school().thresholds().shadedMost(setting.species(), setting.system()),
                        read.school().thresholds().overCropMost(setting.species())),
                LimbTable.of(read));
    }

    private static TreeFacts facts(SurveyedTree read) {
        Setting setting = read.tree().setting();
        var cultivar = read.request().survey().tree().cultivar();
        return new TreeFacts(
                setting.species().id(),
                Reader.speech().knowledge(setting.species().names().one()),
                setting.system().id(),
                Reader.speech().knowledge(setting.system().name()),
                cultivar == null || cultivar.name() == null ? "" : cultivar.name(),
                setting.leaf(),
                read.tree().limbs().size());
    }

    private List<TreeAnswers.SuggestionLine> suggestions(long treeId, SurveyEntry survey, Decisions decisions) {
        return suggestions.open(treeId, survey).stream()
                .map(one -> new TreeAnswers.SuggestionLine(
                        one.id(), one.by(), one.at(), one.marks(), titles(survey, decisions, one.marks())))
                .toList();
    }

    private List<String> titles(SurveyEntry survey, Decisions decisions, List<Mark> marks) {
        SurveyedTree read = trees.read(survey, decisions);
        return marks.stream()
                .map(mark -> Reader.speech().say(StepText.titleOf(read.tree(), mark.toOperation())))
                .toList();
    }

    private TreeAnswers.TreeName name(OrchardTree tree, SurveyEntry survey, TreeFacts facts) {
        List<Long> surveyed =
                surveys.tellNewest().stream().map(SurveyLine::treeId).sorted().toList();
        int at = surveyed.indexOf(tree.id());
        return new TreeAnswers.TreeName(
                tree.id(),
                tree.label(),
                tree.block().id(),
                tree.block().name(),
                facts.species(),
                facts.speciesName(),
                facts.system(),
                facts.systemName(),
                facts.cultivar().isBlank() ? tree.block().cultivar() : facts.cultivar(),
                facts.leaf(),
                survey.surveyedOn().toString(),
                survey.id(),
                facts.limbs(),
                at > 0 ? surveyed.get(at - 1) : null,
                at >= 0 && at + 1 < surveyed.size() ? surveyed.get(at + 1) : null);
    }
}
