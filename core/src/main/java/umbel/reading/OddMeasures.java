package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import umbel.knowledge.SurveyParameters.Measures;
import umbel.survey.Survey;
import umbel.survey.Survey.LimbMeasure;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Role;

/** Measures of a limb that are rarely right: where it starts, how thick it is for its length, where it points. */
final class OddMeasures {

    private final Survey survey;
    private final Measures lines;
    private final Map<String, LimbMeasure> byId;
    private final List<SurveyQuery> queries = new ArrayList<>();

    private OddMeasures(Survey survey, Measures lines) {
        this.survey = survey;
        this.lines = lines;
        this.byId = survey.limbs().stream()
                .collect(Collectors.toMap(LimbMeasure::id, Function.identity(), (first, again) -> first));
    }

    /** The questions about the measures of a survey, in the order of its limbs. */
    static List<SurveyQuery> of(Survey survey, Measures lines) {
        OddMeasures odd = new OddMeasures(survey, lines);
        survey.limbs().forEach(odd::ask);
        return List.copyOf(odd.queries);
    }

    private void ask(LimbMeasure limb) {
        if (Survey.TRUNK.equals(limb.parent())) {
            askOnTrunk(limb);
        } else {
            LimbMeasure parent = byId.get(limb.parent());
            if (parent != null && limb.diameterMm() > parent.diameterMm()) {
                add(limb, Statement.of("survey.thicker-than-parent").with("parent", Value.limb(parent.id())));
            }
        }
        askOfProportion(limb);
        if (limb.angleDeg() > lines.hangs()) {
            add(limb, Statement.of("survey.hangs"));
        }
        survey.limbs().stream()
                .filter(other -> other != limb && samePlace(limb, other))
                .findFirst()
                .ifPresent(other -> add(limb, Statement.of("survey.same-place").with("other", Value.limb(other.id()))));
    }

    private void askOnTrunk(LimbMeasure limb) {
        Survey.TrunkMeasure trunk = survey.trunk();
        if (limb.diameterMm() > trunk.diameterMm()) {
            add(limb, Statement.of("survey.thicker-than-trunk").with("trunk", Value.millimetres(trunk.diameterMm())));
        }
        Role role = Role.of(limb.role());
        boolean known = role == Role.SUCKER || role == Role.LEADER;
        if (trunk.unionAtCm() != null && limb.atCm() < trunk.unionAtCm() && !known) {
            add(limb, Statement.of("survey.below-union"));
        }
    }

    private void askOfProportion(LimbMeasure limb) {
        double longForThick = limb.lengthCm() / limb.diameterMm();
        if (longForThick > lines.slender()) {
            add(limb, sized("survey.slender", limb));
        }
        if (limb.diameterMm() > lines.stoutFrom() && longForThick < lines.stout()) {
            add(limb, sized("survey.stout", limb));
        }
        if (limb.diameterMm() < lines.thin() && limb.lengthCm() > lines.thinFrom()) {
            add(limb, sized("survey.thin", limb));
        }
    }

    private boolean samePlace(LimbMeasure one, LimbMeasure other) {
        double turn = Math.abs(one.bearingDeg() - other.bearingDeg()) % 360;
        return one.parent().equals(other.parent())
                && Math.abs(one.atCm() - other.atCm()) < lines.samePlace()
                && Math.min(turn, 360 - turn) < lines.sameBearing();
    }

    private static Statement sized(String code, LimbMeasure limb) {
        return Statement.of(code)
                .with("long", Value.centimetres(limb.lengthCm()))
                .with("thick", Value.millimetres(limb.diameterMm()));
    }

    private void add(LimbMeasure limb, Statement question) {
        queries.add(new SurveyQuery(limb.id(), question));
    }
}
