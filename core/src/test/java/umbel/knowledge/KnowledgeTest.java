package umbel.knowledge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import umbel.wood.Attitude;
import umbel.wood.ShootClass;

class KnowledgeTest {

    private static final List<String> PHASES =
            List.of("dormant", "delayed-dormant", "bloom", "early-summer", "summer", "after-harvest");

    private final Knowledge knowledge = Knowledge.shipped();

    @Test
    void everyFileThatShipsKeepsToItsSchema() {
        assertThatCode(Knowledge::shippedAndChecked).doesNotThrowAnyException();
    }

    @Test
    void everySpeciesSaysWhenItMayBeCut() {
        for (Species species : knowledge.allSpecies()) {
            assertThat(species.phases().keySet()).as(species.id()).containsExactlyInAnyOrderElementsOf(PHASES);
            species.phases().values().forEach(rule -> {
                assertThat(rule.verdict()).isIn("not", "allowed", "better", "best");
                assertThat(rule.reason()).isNotBlank();
            });
        }
    }

    @Test
    void everySpeciesKnowsItsSmallWood() {
        for (Species species : knowledge.allSpecies()) {
            for (ShootClass shootClass : ShootClass.values()) {
                assertThat(species.wood().shootDiameterMm()).containsKey(shootClass.word());
                assertThat(species.wood().shootLengthCm()).containsKey(shootClass.word());
            }
            assertThat(sum(species.estimates().shootMix())).isCloseTo(1, within(1e-9));
            assertThat(sum(species.estimates().attitudeMix())).isCloseTo(1, within(1e-9));
            assertThat(species.estimates().attitudeMix()).hasSize(Attitude.values().length);
            assertThat(species.wood().greenDensity()).isBetween(600.0, 1200.0);
            assertThat(species.hardness().woodShare()).isBetween(0.1, 0.6);
        }
    }

    @Test
    void peachBearsOnShootsAndAppleOnSpurs() {
        Species peach = knowledge.species("peach");
        Species apple = knowledge.species("apple");
        assertThat(peach.bearing().flowerPerShootMetre()).isGreaterThan(10);
        assertThat(apple.bearing().flowerPerShootMetre()).isZero();
        assertThat(apple.bearing().perSpur(2)).isGreaterThan(apple.bearing().perSpur(8));
        assertThat(peach.hardness().woodShare()).isGreaterThan(apple.hardness().woodShare());
    }

    @Test
    void spursOlderThanTheListBearLikeItsLast() {
        Species.Bearing bearing = knowledge.species("apple").bearing();
        double last =
                bearing.flowerPerSpurByAge().get(bearing.flowerPerSpurByAge().size() - 1);
        assertThat(bearing.perSpur(40)).isEqualTo(last);
        assertThat(bearing.perSpur(0.2)).isEqualTo(bearing.flowerPerSpurByAge().get(0));
    }

    @Test
    void everyKindOfTreeIsUsuallyGrownInSystemsWeHave() {
        assertThat(knowledge.allSpecies()).hasSizeGreaterThanOrEqualTo(27);
        assertThat(knowledge.allSystems()).hasSizeGreaterThanOrEqualTo(15);
        for (Species species : knowledge.allSpecies()) {
            assertThat(species.systems()).isNotEmpty();
            species.systems()
                    .forEach(id -> assertThat(knowledge.system(id).id()).isEqualTo(id));
            assertThat(species.defaultSystem()).isEqualTo(species.systems().get(0));
        }
        for (TrainingSystem system : knowledge.allSystems()) {
            assertThat(system.scaffolds().idealAngleDeg()).isBetween(20.0, 110.0);
            assertThat(system.reachFactor()).isBetween(0.8, 2.5);
            assertThat(system.steps()).isNotEmpty();
            assertThat(system.steps())
                    .isSortedAccordingTo(java.util.Comparator.comparing(TrainingSystem.YearStep::leaf));
        }
    }

    @Test
    void everyKindOfTreeOfTheFormatHasItsFile() {
        for (String id : List.of(
                ("apple pear quince peach nectarine apricot plum-japanese plum-european cherry-sweet cherry-sour fig persimmon"
                                + " mulberry walnut pecan citrus avocado mango lychee longan breadfruit rambutan")
                        .split(" "))) {
            assertThat(knowledge.species(id).id()).isEqualTo(id);
        }
    }

    @Test
    void sourCherryBearsOnShootsAndSweetCherryOnSpurs() {
        Species sweet = knowledge.species("cherry-sweet");
        Species sour = knowledge.species("cherry-sour");
        assertThat(sour.bearing().flowerPerShootMetre())
                .isGreaterThan(3 * sweet.bearing().flowerPerShootMetre());
        assertThat(sweet.renewal().spurAgeMost()).isEqualTo(5);
        assertThat(sweet.renewal().shareAYear()).isEqualTo(0.2);
    }

    @Test
    void walnutAndMulberryAreNotCutWhileTheyBleed() {
        assertThat(knowledge.species("walnut").phases().get("delayed-dormant").verdict())
                .isEqualTo("not");
        assertThat(knowledge.species("walnut").phases().get("summer").verdict()).isEqualTo("best");
        assertThat(knowledge.species("mulberry").phases().get("delayed-dormant").verdict())
                .isEqualTo("not");
        assertThat(knowledge.species("fig").phases().get("summer").verdict()).isEqualTo("not");
        assertThat(knowledge.species("mango").phases().get("after-harvest").verdict())
                .isEqualTo("best");
    }

    @Test
    void aTreeIsMeantToGrowUntilItIsFull() {
        TrainingSystem.Shape shape = knowledge.system("tall-spindle").shape();
        assertThat(shape.heightAt(0)).isEqualTo(shape.firstHeight());
        assertThat(shape.heightAt(2)).isBetween(shape.firstHeight(), shape.height());
        assertThat(shape.heightAt(40)).isEqualTo(shape.height());
    }

    @Test
    void aSchoolChangesItsOwnLinesAndKeepsTheRest() {
        School classic = knowledge.school("classic");
        School gentle = knowledge.school("gentle");
        assertThat(gentle.thresholds().limbRatio())
                .isEqualTo(0.60)
                .isNotEqualTo(classic.thresholds().limbRatio());
        assertThat(gentle.thresholds().rivalDiameterRatio())
                .isEqualTo(classic.thresholds().rivalDiameterRatio());
        assertThat(gentle.preferences().bendBeforeCut())
                .isEqualTo(classic.preferences().bendBeforeCut());
        assertThat(knowledge.allSchools())
                .extracting(School::id)
                .containsExactly("classic", "gentle", "home-garden", "intensive-wall");
    }

    @Test
    void theClassicLinesAreThoseGrowersAreTaught() {
        School.Thresholds lines = knowledge.school("classic").thresholds();
        assertThat(lines.limbRatio()).isEqualTo(0.5);
        assertThat(lines.crotchAngleDeg()).isEqualTo(40);
        assertThat(lines.rivalDiameterRatio()).isEqualTo(0.7);
        assertThat(lines.rivalInclinationDeg()).isEqualTo(30);
        assertThat(lines.lightForFruit()).isEqualTo(0.3);
        assertThat(lines.lightForFlowers()).isEqualTo(0.5);
        assertThat(lines.sproutLengthCm()).isEqualTo(60);
    }

    @Test
    void aWordNobodyKnowsIsUnknown() {
        NotSupported refused = catchThrowableOfType(NotSupported.class, () -> knowledge.species("gooseapple"));
        assertThat(refused.field()).isEqualTo("tree.species");
        assertThat(refused).hasMessageContaining("gooseapple").hasMessageContaining("apple");
        assertThatThrownBy(() -> knowledge.school("wild")).isInstanceOf(NotSupported.class);
    }

    @Test
    void anyKindOfTreeMayBeReadInAnySystem() {
        assertThat(knowledge.system("tall-spindle").id()).isEqualTo("tall-spindle");
        assertThat(knowledge.species("peach").systems()).doesNotContain("tall-spindle");
    }

    @Test
    void everyPurposeWeighsEveryGoal() {
        PlanParameters plan = knowledge.plan();
        assertThat(plan.purposes()).hasSizeGreaterThan(3);
        plan.purposes()
                .forEach(purpose -> assertThat(purpose.goals().keySet())
                        .containsExactlyInAnyOrderElementsOf(
                                plan.usual().goals().keySet()));
        assertThat(plan.worth().lightRamp().at(0)).isZero();
        assertThat(plan.worth().lightRamp().at(1)).isEqualTo(1);
    }

    @Test
    void cautionsAreShort() {
        knowledge.cautions().forEach(caution -> assertThat(caution.text()).hasSizeBetween(20, 140));
        assertThat(knowledge.cautions()).extracting(Caution::when).contains(Caution.When.values());
    }

    private static double sum(Map<String, Double> shares) {
        return shares.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    @Test
    void whatComesOfLeavingItIsToldForWhatASystemDoesAsWell() {
        PlanParameters plan = Knowledge.shipped().plan();
        assertThat(plan.leaving(List.of("shade", "crowding"), "remove"))
                .isEqualTo(plan.rules().get("shade").leaving());
        for (String operation :
                List.of("head", "tip", "bend", "remove", "renew-stub", "short-spur", "deflower", "rub")) {
            assertThat(plan.leaving(List.of(), operation)).as(operation).endsWith(".");
        }
        assertThat(plan.leaving(List.of(), "keep")).isNull();
    }
}
