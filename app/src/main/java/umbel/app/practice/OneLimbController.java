package umbel.app.practice;

import java.util.List;
import java.util.Set;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.computing.Computing;
import umbel.app.computing.Computing.Lane;
import umbel.app.plan.TreeMarking;
import umbel.app.reader.Reader;
import umbel.app.survey.StandDrawing;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.plan.Plan;
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.plant.SurveyedTree;
import umbel.practice.LimbQuestion;
import umbel.reading.Finding;
import umbel.reading.Neighbours;
import umbel.reading.TreeReader;

/** What to do with one limb, asked in the row without a survey of its tree; keeps nothing. */
@RestController
class OneLimbController {

    private final Assessor assessor;
    private final TreeMarking marking;
    private final Computing computing;

    OneLimbController(Assessor assessor, TreeMarking marking, Computing computing) {
        this.assessor = assessor;
        this.marking = marking;
        this.computing = computing;
    }

    /** The limb on a typical tree: what is wrong with it, what is recommended, and what else could be done. */
    @PostMapping("/api/practice/limb")
    PracticeAnswers.LimbVerdict ask(@RequestBody LimbQuestion question) {
        LimbQuestion.Placed placed = question.placed();
        return computing.answer(Lane.PLANS, () -> verdict(placed));
    }

    /** The recommended plan alone is searched for: the others would not be told. */
    private PracticeAnswers.LimbVerdict verdict(LimbQuestion.Placed placed) {
        AssessRequest request = AssessRequest.of(placed.survey());
        SurveyedTree read = SurveyedTree.read(assessor, request, Neighbours.NONE);
        PlanRequest asked = assessor.planRequest(request, read.tree(), List.of(), Set.of());
        TreeReader.Reading reading = read.reading();
        List<Finding> sure = assessor.certainty(request, asked.limits().reach(), Neighbours.NONE, reading)
                .findings();
        Plan plan = Planner.recommended(read.tree(), reading.withFindings(sure), asked, Assessor.seed(request));
        Assessor telling = assessor.in(Reader.speech());
        return new PracticeAnswers.LimbVerdict(
                placed.limb(),
                StandDrawing.of(read.tree(), reading.light()),
                telling.findings(read.tree(), read.school(), sure).stream()
                        .filter(finding -> finding.limbs().contains(placed.limb()))
                        .toList(),
                telling.telling().plan(plan).steps().stream()
                        .filter(step -> step.year() == 0 && step.limb().equals(placed.limb()))
                        .findFirst()
                        .orElse(null),
                marking.options(read, asked.limits(), placed.limb(), List.of(), false));
    }
}
