package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.growth.BlockCalibration;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;
import umbel.knowledge.PlanParameters;

/** What becomes of a wish under other limits, in later winters and without limits. */
class PlanRequestTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();

    private final PlanRequest request = new PlanRequest(
                    KNOWLEDGE.school("classic"),
                    KNOWLEDGE.plan(),
                    Goals.of(Map.of(), KNOWLEDGE.plan().usual().goals()),
                    new Limits(0.3, 3, 2.4),
                    Moment.DORMANT,
                    3,
                    List.of(Operation.remove(Target.parse("4"))),
                    Set.of("remove@7"))
            .knowing(new BlockCalibration(3, 1.2, 1, 1, 1));

    @Test
    void aLaterWinterTakesNothingForGrantedAndKeepsWhatWasRefused() {
        PlanRequest later = request.later(Set.of("2b"), Moment.DORMANT);
        assertThat(later.taken()).isEmpty();
        assertThat(later.years()).isEqualTo(1);
        assertThat(later.refused())
                .contains("remove@7", "remove@2b", "renew-stub@2b", "renew-bevel@2b")
                .doesNotContain("shorten@2b", "bend@2b", "remove@2c");
        assertThat(later.learned()).isEqualTo(request.learned());
    }

    @Test
    void inOneWinterOnlyTheReachStillLimits() {
        PlanRequest atOnce = request.unlimited();
        assertThat(atOnce.limits().woodShare()).isEqualTo(0.75);
        assertThat(atOnce.limits().bigCuts()).isEqualTo(Integer.MAX_VALUE);
        assertThat(atOnce.limits().reach()).isEqualTo(2.4);
        assertThat(atOnce.taken()).isEqualTo(request.taken());
    }

    @Test
    void gentlerAndFirmerScaleTheLimitsAndNeverTakeAllOfATree() {
        Limits gentler = request.within(KNOWLEDGE.plan().variants().gentler()).limits();
        assertThat(gentler.woodShare()).isEqualTo(0.3 * 0.55);
        assertThat(gentler.bigCuts()).isEqualTo(2);
        Limits all = request.within(new PlanParameters.Variant(10, 2, 1, 1)).limits();
        assertThat(all.woodShare()).isEqualTo(0.75);
        assertThat(all.bigCuts()).isEqualTo(6);
    }

    @Test
    void firmerWantsMoreLightAndGentlerLess() {
        double usual = request.goals().light();
        assertThat(request.within(KNOWLEDGE.plan().variants().firmer()).goals().light())
                .isEqualTo(2 * usual);
        assertThat(request.within(KNOWLEDGE.plan().variants().gentler()).goals().light())
                .isEqualTo(usual / 2);
        assertThat(request.within(KNOWLEDGE.plan().variants().firmer()).goals().crop())
                .isEqualTo(request.goals().crop());
    }

    @Test
    void theSameEyeSeesATreeWhateverIsWantedOfIt() {
        assertThat(request.sees(request.within(KNOWLEDGE.plan().variants().firmer())))
                .isTrue();
        assertThat(request.sees(request.unlimited())).isTrue();
        PlanRequest further = new PlanRequest(
                request.school(),
                request.parameters(),
                request.goals(),
                new Limits(0.3, 3, 3.0),
                request.moment(),
                request.years(),
                request.taken(),
                request.refused());
        assertThat(request.sees(further)).as("another reach").isFalse();
        PlanRequest otherSchool = new PlanRequest(
                KNOWLEDGE.school("gentle"),
                request.parameters(),
                request.goals(),
                request.limits(),
                request.moment(),
                request.years(),
                request.taken(),
                request.refused());
        assertThat(request.sees(otherSchool)).isFalse();
    }

    @Test
    void anOperationIsRefusedByWhatAndWhere() {
        assertThat(PlanRequest.key(Operation.remove(Target.parse("4/shoots/up"))))
                .isEqualTo("remove@4/shoots/up");
        assertThat(PlanRequest.key(Operation.cutAt(OperationKind.HEAD, Target.TRUNK, 0.7)))
                .isEqualTo("head@trunk");
        assertThat(PlanRequest.key(Operation.chooseBuds("trunk", 0.6, 9))).isEqualTo("rub@trunk/buds");
    }
}
