package umbel.app.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import umbel.app.http.NotFound;
import umbel.app.learning.LearningService;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.assess.AssessRequest;
import umbel.assess.Mark;
import umbel.cut.CutTree;
import umbel.cut.ImpossibleCut;
import umbel.cut.Operation;
import umbel.growth.BlockCalibration;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.knowledge.SchoolLines;
import umbel.plant.Plant;
import umbel.plant.SurveyedTree;
import umbel.reading.TreeReader;

/** Surveyed trees as they are read under what is decided on them. */
@Component
public class DecidedTrees {

    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final TreeDecisions decided;
    private final TreeReadings readings;
    private final LearningService learning;
    private final Knowledge knowledge;

    DecidedTrees(
            TreeRepository trees,
            SurveyRepository surveys,
            TreeDecisions decided,
            TreeReadings readings,
            LearningService learning,
            Knowledge knowledge) {
        this.trees = trees;
        this.surveys = surveys;
        this.decided = decided;
        this.readings = readings;
        this.learning = learning;
        this.knowledge = knowledge;
    }

    /** A tree at its place. */
    OrchardTree tree(long id) {
        return trees.existing(id);
    }

    /** What a tree is called by its place. */
    public String label(long id) {
        return tree(id).label();
    }

    /** The newest survey of a tree. */
    public SurveyEntry survey(long treeId) {
        tree(treeId);
        return surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(treeId)
                .orElseThrow(() -> new NotFound("surveyOfTree", treeId));
    }

    /** Id of the newest survey of a tree. */
    public long newestSurvey(long treeId) {
        return survey(treeId).id();
    }

    /** What the trees of a tree's block have taught about forecasts. */
    public BlockCalibration learned(long treeId) {
        return learning.of(tree(treeId).block());
    }

    /** What is marked on a tree's newest survey, in the order of work; empty where nothing is. */
    public List<Mark> markedInOrder(long treeId) {
        SurveyEntry survey = survey(treeId);
        Decisions decisions = decided.on(treeId, survey).decisions();
        return plantOf(survey, decisions).inOrder(decisions.marks());
    }

    /** The plant at a place, of whatever kind, as it was last surveyed and read under what is decided on it. */
    public Plant plant(long treeId) {
        SurveyEntry survey = survey(treeId);
        return plantOf(survey, decided.on(treeId, survey).decisions());
    }

    private Plant plantOf(SurveyEntry survey, Decisions decisions) {
        return survey.isCounted() ? readings.counted(survey) : read(survey, decisions);
    }

    /**
     * Makes sure that everything marked can be done on the plant of a survey.
     *
     * @throws ImpossibleCut where it cannot
     */
    void check(SurveyEntry survey, Decisions decisions) {
        if (survey.isCounted()) {
            readings.counted(survey).visit(decisions.marks());
        } else {
            CutTree.of(read(survey, decisions).tree(), operations(decisions));
        }
    }

    /** The newest survey of a tree as it was read under what is decided on it. */
    public SurveyedTree newestReading(long treeId) {
        SurveyEntry survey = survey(treeId);
        return read(survey, decided.on(treeId, survey).decisions());
    }

    /** The tree of a survey, read as its decisions ask. */
    SurveyedTree read(SurveyEntry survey, Decisions decisions) {
        return readings.of(
                survey,
                decisions.school(),
                lines(decisions),
                decisions.hold() == null ? null : decisions.hold().reachM(),
                readings.neighboursOf(survey));
    }

    /** Its reading, each finding as sure as reading it again with measuring errors makes it; slow the first time. */
    TreeReader.Reading sure(SurveyEntry survey, SurveyedTree read) {
        return read.reading().withFindings(readings.certaintyOf(survey, read).findings());
    }

    /** What is asked of a tree by what is decided on it. */
    AssessRequest request(SurveyedTree read, Decisions decisions) {
        Decisions.Hold hold = decisions.hold();
        return new AssessRequest(
                read.request().survey(),
                decisions.moment().word(),
                null,
                decisions.goals(),
                decisions.school(),
                hold == null ? null : new AssessRequest.LimitsAsked(hold.woodShare(), hold.bigCuts(), hold.reachM()),
                decisions.winters(),
                null,
                lines(decisions),
                null);
    }

    /** The operations that were marked. */
    static List<Operation> operations(Decisions decisions) {
        List<Operation> operations = new ArrayList<>();
        for (int i = 0; i < decisions.marks().size(); i++) {
            try {
                operations.add(decisions.marks().get(i).toOperation());
            } catch (ImpossibleCut e) {
                throw new ImpossibleCut("marks[" + i + "]." + e.field(), e.what());
            }
        }
        return operations;
    }

    /** The school's own lines as the core wants them: yes and no are kept as 1 and 0. */
    private Map<String, Object> lines(Decisions decisions) {
        if (decisions.schoolLines().isEmpty()) {
            return Map.of();
        }
        Map<String, Object> usual = SchoolLines.of(knowledge.school(School.USUAL));
        Map<String, Object> lines = new HashMap<>();
        decisions
                .schoolLines()
                .forEach((line, value) ->
                        lines.put(line, usual.get(line) instanceof Boolean ? (Object) (value != 0) : (Object) value));
        return lines;
    }
}
