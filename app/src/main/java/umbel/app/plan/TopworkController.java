package umbel.app.plan;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.computing.Computing;
import umbel.app.reader.Reader;
import umbel.plant.SurveyedTree;
import umbel.text.Speech;
import umbel.topwork.Topwork;
import umbel.wood.Units;

/** What a tree would come to, cut to a stump and grafted anew. */
@RestController
class TopworkController {

    private final DecidedTrees surveyed;
    private final Computing computing;

    TopworkController(DecidedTrees surveyed, Computing computing) {
        this.surveyed = surveyed;
        this.computing = computing;
    }

    /**
     * A season after the cut; crops in kilograms.
     *
     * @param year seasons since the cut, 0 for the one after it
     * @param work what is done in it, in order
     */
    record TopworkSeason(int year, List<String> work, double topworkedKg, double keptKg, double replantedKg) {}

    /**
     * The plan of a stump.
     *
     * @param possible whether the kind is grafted on stumps at all; else only {@code against} is told
     * @param against reasons not to
     * @param massKg fresh wood that falls
     */
    record TopworkAnswer(
            boolean possible,
            List<String> against,
            double stumpHeightCm,
            double stumpDiameterMm,
            int grafts,
            double massKg,
            double minutes,
            List<TopworkSeason> seasons) {}

    /** The plan of a tree's stump, by its newest survey. */
    @GetMapping("/api/trees/{id}/topwork")
    TopworkAnswer topwork(@PathVariable long id) {
        return computing.answer(Computing.Lane.QUICK, () -> {
            SurveyedTree tree = surveyed.newestReading(id);
            return told(tree.topwork(), Reader.speech());
        });
    }

    private static TopworkAnswer told(Topwork plan, Speech speech) {
        return new TopworkAnswer(
                plan.isPossible(),
                plan.against().stream().map(speech::say).toList(),
                Units.round(Units.toCm(plan.stumpHeight()), 0),
                Units.round(Units.toMm(plan.stumpDiameter()), 0),
                plan.grafts(),
                Units.round(plan.mass(), 0),
                Math.max(1, Units.round(plan.minutes(), 0)),
                plan.years().stream()
                        .map(year -> new TopworkSeason(
                                year.year(),
                                year.work().stream().map(speech::say).toList(),
                                Units.round(year.topworkedKg(), 1),
                                Units.round(year.keptKg(), 1),
                                Units.round(year.replantedKg(), 1)))
                        .toList());
    }
}
