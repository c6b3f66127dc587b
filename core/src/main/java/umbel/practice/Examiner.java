package umbel.practice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.growth.Forecast;
import umbel.growth.InitialState;
import umbel.growth.Season;
import umbel.growth.Seasons;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.light.LightModel;
import umbel.plan.Plan;
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.plan.Step;
import umbel.plant.SurveyedTree;
import umbel.reading.Finding;
import umbel.reading.Neighbours;
import umbel.reading.TreeReader;
import umbel.survey.Survey;

/**
 * Examines answers on one tree: by the usual school first, and where an answer does not pass by that, by the other schools, since
 * what one of them defends is no mistake. Keeps what it worked out; safe for several threads.
 */
public final class Examiner {

    private final Assessor assessor;
    private final Knowledge knowledge;
    private final Survey survey;
    private final SurveyedTree usual;
    private final Seasons seasons;
    private final Map<String, BySchool> known = new HashMap<>();

    private record BySchool(SurveyedTree tree, Plan plan, Examination examination) {}

    /**
     * A marked answer.
     *
     * @param school by whose lines it was marked
     */
    public record Verdict(School school, Examination.Marked marked) {}

    /**
     * An examiner of a tree.
     *
     * @throws umbel.knowledge.NotSupported when no knowledge covers its kind or system
     * @throws umbel.survey.InvalidSurvey when no tree can be made of the survey
     */
    public Examiner(Assessor assessor, Knowledge knowledge, Survey survey) {
        this.assessor = assessor;
        this.knowledge = knowledge;
        this.survey = survey;
        this.usual = SurveyedTree.read(assessor, AssessRequest.of(survey), Neighbours.NONE);
        this.seasons = new Seasons(
                InitialState.of(usual.tree(), usual.reading().light(), Assessor.seed(usual.request())),
                usual.reading().lines().fruit());
    }

    /** The tree, read by the usual school. */
    public SurveyedTree tree() {
        return usual;
    }

    /** The program's plan for this winter by the usual school. */
    public List<Step> planned() {
        return by(School.USUAL).plan().workOf(0);
    }

    /** The operations of the program's plan for this winter by a school. */
    public List<Operation> plannedBy(String school) {
        return by(school).plan().workOf(0).stream().map(Step::operation).toList();
    }

    /** Minutes that the program's plan takes this winter. */
    public double plannedMinutes() {
        return by(School.USUAL).examination().plannedMinutes();
    }

    /** Whether there is anything to do. */
    public boolean needsAVisit() {
        return needsAVisit(School.USUAL);
    }

    /** Whether a school sees anything to do. */
    public boolean needsAVisit(String school) {
        return by(school).examination().needsAVisit();
    }

    /** Marks an answer; planning the tree by a school takes some tenths of a second the first time. */
    public Verdict mark(List<Operation> answer) {
        Verdict first = by(School.USUAL, answer);
        if (first.marked().passed()) {
            return first;
        }
        for (School school : knowledge.allSchools()) {
            if (!answer.isEmpty() && !school.id().equals(School.USUAL) && needsAVisit(school.id())) {
                Verdict other = by(school.id(), answer);
                if (other.marked().passed()) {
                    return other;
                }
            }
        }
        return first;
    }

    /** The seasons after an answer, its first year's work done this winter and nothing afterwards. */
    public List<Forecast.Figures> after(List<Operation> answer, int years) {
        List<Season.Work> works = new ArrayList<>();
        for (int year = 0; year < years; year++) {
            works.add(year == 0 ? Season.Work.dormant(answer) : Season.Work.NONE);
        }
        synchronized (seasons) {
            return Forecast.middle(seasons, works);
        }
    }

    private Verdict by(String school, List<Operation> answer) {
        BySchool by = by(school);
        return new Verdict(by.tree().school(), by.examination().mark(answer));
    }

    private BySchool by(String school) {
        synchronized (known) {
            return known.computeIfAbsent(school, this::planned);
        }
    }

    private BySchool planned(String school) {
        AssessRequest request = new AssessRequest(survey, null, null, null, school, null, null, null);
        SurveyedTree tree = school.equals(School.USUAL) ? usual : SurveyedTree.read(assessor, request, Neighbours.NONE);
        PlanRequest wish = assessor.planRequest(request, tree.tree(), List.of(), Set.of());
        Plan plan = Planner.recommended(tree.tree(), tree.reading(), wish, Assessor.seed(request));
        double reach = wish.limits().reach();
        return new BySchool(
                tree,
                plan,
                new Examination(
                        tree.tree(),
                        tree.reading(),
                        wish,
                        plan.workOf(0),
                        cut -> findings(cut, tree.school(), reach),
                        knowledge.practice()));
    }

    private static List<Finding> findings(CutTree cut, School school, double reach) {
        return TreeReader.findings(cut.left(), school, LightModel.readCoarse(cut.left(), 1), reach);
    }
}
