package umbel.app.practice;

import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.computing.Computing;
import umbel.app.computing.Computing.Lane;
import umbel.app.plan.TreeMarking;
import umbel.app.reader.Reader;
import umbel.app.survey.StandDrawing;
import umbel.assess.AssessRequest;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.plant.SurveyedTree;
import umbel.practice.LimbQuestion;
import umbel.reading.Neighbours;

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

    private PracticeAnswers.LimbVerdict verdict(LimbQuestion.Placed placed) {
        AssessRequest request = AssessRequest.of(placed.survey());
        Assessment assessment = assessor.in(Reader.speech()).assess(request);
        SurveyedTree read = SurveyedTree.read(assessor, request, Neighbours.NONE);
        return new PracticeAnswers.LimbVerdict(
                placed.limb(),
                StandDrawing.of(read.tree(), read.reading().light()),
                assessment.reading().findings().stream()
                        .filter(finding -> finding.limbs().contains(placed.limb()))
                        .toList(),
                assessment.plans().get(0).steps().stream()
                        .filter(step -> step.year() == 0 && step.limb().equals(placed.limb()))
                        .findFirst()
                        .orElse(null),
                marking.options(read, assessor.limits(request, read.tree()), placed.limb(), List.of(), false));
    }
}
