package umbel.app.planting;

import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.computing.Computing;
import umbel.app.computing.Computing.Lane;
import umbel.knowledge.Knowledge;
import umbel.planting.Household;
import umbel.planting.HouseholdCheck;
import umbel.planting.HouseholdPlan;

/** Several kinds of trees for a house; keeps nothing. */
@RestController
class HouseholdController {

    private final Knowledge knowledge;
    private final Computing computing;

    HouseholdController(Knowledge knowledge, Computing computing) {
        this.knowledge = knowledge;
        this.computing = computing;
    }

    /** What they bring month by month, who pollinates whom, and what fits the fence; a tenth of a second a line. */
    @PostMapping("/api/plantings/household")
    HouseholdAnswers.HouseholdTold household(@RequestBody Household sent) {
        Household wish = HouseholdCheck.complete(sent, knowledge);
        return computing.answer(
                Lane.PLANS, () -> HouseholdAnswers.HouseholdTold.of(new HouseholdPlan(wish, knowledge)));
    }
}
