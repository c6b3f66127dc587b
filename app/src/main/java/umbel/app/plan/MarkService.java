package umbel.app.plan;

import java.util.HashSet;
import java.util.List;
import org.springframework.stereotype.Service;
import umbel.app.answer.AnswerKind;
import umbel.app.answer.KeptAnswers;
import umbel.app.answer.Written;
import umbel.app.orchard.OrchardTree;
import umbel.app.reader.Reader;
import umbel.app.survey.SurveyEntry;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.plant.SurveyedTree;

/** What marks on a tree do, what could be marked besides, and saving them. */
@Service
class MarkService {

    private final DecidedTrees trees;
    private final TreeDecisions decided;
    private final Suggestions suggestions;
    private final Assessor assessor;
    private final TreeMarking marking;
    private final KeptAnswers kept;

    MarkService(
            DecidedTrees trees,
            TreeDecisions decided,
            Suggestions suggestions,
            Assessor assessor,
            TreeMarking marking,
            KeptAnswers kept) {
        this.trees = trees;
        this.decided = decided;
        this.suggestions = suggestions;
        this.assessor = assessor;
        this.marking = marking;
        this.kept = kept;
    }

    /** What marks do to a tree. While nothing is marked, that is asked for with its page, and kept with it. */
    Written<TreeAnswers.Marked> marked(long treeId, Decisions decisions) {
        SurveyEntry survey = trees.survey(treeId);
        return decisions.marks().isEmpty()
                ? kept.of(survey, AnswerKind.NOTHING_MARKED, decisions, () -> marked(survey, decisions))
                : kept.written(marked(survey, decisions));
    }

    private TreeAnswers.Marked marked(SurveyEntry survey, Decisions decisions) {
        SurveyedTree read = trees.read(survey, decisions);
        return marking.marked(
                read,
                assessor.limits(trees.request(read, decisions), read.tree()),
                DecidedTrees.operations(decisions),
                survey.tree().safetyLimits());
    }

    List<TreeAnswers.Option> options(long treeId, String limbId, Decisions decisions) {
        SurveyedTree read = trees.read(trees.survey(treeId), decisions);
        return marking.options(
                read,
                assessor.limits(trees.request(read, decisions), read.tree()),
                limbId,
                DecidedTrees.operations(decisions),
                decisions.moment().isSummer());
    }

    List<Assessment.StepAnswer> sheet(long treeId, Decisions decisions) {
        SurveyedTree read = trees.read(trees.survey(treeId), decisions);
        PlanRequest planRequest = assessor.planRequest(
                trees.request(read, decisions),
                read.tree(),
                DecidedTrees.operations(decisions),
                new HashSet<>(decisions.refused()));
        return Planner.marked(read.tree(), read.reading(), planRequest).steps().stream()
                .map(assessor.in(Reader.speech()).telling()::step)
                .toList();
    }

    TreeAnswers.Kept keep(long treeId, TreeAnswers.Keep keep, Viewer viewer) {
        SurveyEntry survey = trees.survey(treeId);
        trees.check(survey, keep.decisions());
        OrchardTree tree = trees.tree(treeId);
        return new TreeAnswers.Kept(
                viewer.adviser()
                        ? suggestions.keep(tree, survey, viewer.name(), keep.decisions(), keep.version())
                        : decided.keep(tree, survey, keep.decisions(), keep.version()));
    }
}
