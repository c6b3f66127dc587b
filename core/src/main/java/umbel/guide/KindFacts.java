package umbel.guide;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.Species;
import umbel.text.Statement;
import umbel.text.Value;

/** What is to be known of a kind of tree when it is cut, a sentence each. */
public final class KindFacts {

    private KindFacts() {}

    /** Its sentences, in the order in which they are wanted. */
    public static List<Statement> of(Species kind) {
        List<Statement> facts = new ArrayList<>();
        List<Double> length = kind.smallWood().ideal().lengthCm();
        List<Double> thick = kind.smallWood().ideal().diameterMm();
        facts.add(Statement.of("guide.shoot")
                .with("from", Value.centimetres(length.get(0)))
                .with("to", Value.centimetres(length.get(1)))
                .with("thin", Value.millimetres(thick.get(0)))
                .with("thick", Value.millimetres(thick.get(1))));
        facts.add(Statement.of("guide.renewal")
                .with("years", Value.number(kind.renewal().spurAgeMost(), 0))
                .with("share", Value.share(kind.renewal().shareAYear())));
        facts.add(Statement.of("guide.limits")
                .with("share", Value.share(kind.hardness().woodShare()))
                .with("cuts", Value.count(kind.hardness().bigCuts())));
        List<Double> young = kind.vigour().youngCm();
        List<Double> bearing = kind.vigour().bearingCm();
        facts.add(Statement.of("guide.growth")
                .with("young", Value.centimetres(young.get(0)))
                .with("young2", Value.centimetres(young.get(1)))
                .with("bearing", Value.centimetres(bearing.get(0)))
                .with("bearing2", Value.centimetres(bearing.get(1))));
        if (kind.thinning().spacingCm() > 0) {
            facts.add(Statement.of("guide.thinning")
                    .with("distance", Value.centimetres(kind.thinning().spacingCm())));
        }
        facts.add(Statement.of("guide.cold")
                .with("cold", new Value.Temperature(kind.growing().coldC())));
        return facts;
    }

    /**
     * How a phase of the year suits its cut.
     *
     * @param phase dormant, delayed-dormant, bloom, early-summer, summer or after-harvest
     * @param verdict not, allowed, better or best
     */
    public static Statement phase(String phase, String verdict) {
        return Statement.of("guide.phase")
                .with("phase", Value.choice(phase.replace('-', '_')))
                .with("verdict", Value.choice(verdict));
    }
}
