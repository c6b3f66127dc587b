package umbel.assess;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import umbel.growth.Moment;
import umbel.knowledge.SeasonParameters;
import umbel.season.Phenology;
import umbel.survey.Survey;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Tree;

/**
 * When in its year a visit finds a tree: by the phase told, but in leaf where the day says so and the phase does not, and late in
 * dormancy where that makes the difference between waiting and working.
 *
 * @param contradicted the day that overruled the phase told; null where they agree
 */
record VisitMoment(Moment moment, LocalDate contradicted) {

    static VisitMoment of(AssessRequest request, Tree tree) {
        Moment told = Assessor.moment(request.phase());
        Survey.Site site = request.survey().site();
        boolean bare = told == Moment.DORMANT || told == Moment.DELAYED_DORMANT;
        boolean dated = request.on() != null && site != null && site.latitudeDeg() != null;
        if (!bare || !dated || tree.setting().species().season().evergreen()) {
            return new VisitMoment(told, null);
        }
        SeasonParameters.Calendar rules = tree.setting().parameters().season().calendar();
        if (Phenology.isInLeaf(rules, request.on(), site.latitudeDeg())) {
            return new VisitMoment(Moment.SUMMER, request.on());
        }
        boolean opensLater = tree.phaseRule(told.word()).forbids()
                && !tree.phaseRule(Moment.DELAYED_DORMANT.word()).forbids();
        boolean late = opensLater && Phenology.isLateInDormancy(rules, request.on(), site.latitudeDeg());
        return new VisitMoment(late ? Moment.DELAYED_DORMANT : told, null);
    }

    /** The verdict on working on the tree then, with its reasons. */
    Assessment.Timing timing(Tree tree, Speech speech) {
        List<Statement> reasons = new ArrayList<>();
        if (contradicted != null) {
            reasons.add(Statement.of("timing.date").with("date", new Value.Day(contradicted)));
        }
        reasons.addAll(PhaseTiming.reasons(tree, moment));
        return PhaseTiming.told(tree, moment, reasons, speech);
    }
}
