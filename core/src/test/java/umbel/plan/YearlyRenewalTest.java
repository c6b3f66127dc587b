package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Stubs;
import umbel.cut.Target;
import umbel.cut.TargetAxes;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.knowledge.TrainingSystem;
import umbel.light.LightResolution;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.Tree;

/** What is done every year so that no bearing wood grows too old. */
class YearlyRenewalTest {

    private static final School.Preferences SCHOOL =
            Knowledge.shipped().school(School.USUAL).preferences();

    private static YearlyRenewal of(Tree tree) {
        return new YearlyRenewal(tree, new Stubs(tree, LightResolution.CLOSE), SCHOOL);
    }

    private static List<Axis> mains(Tree tree) {
        return tree.limbsOn(tree.trunk());
    }

    /** A slender cherry: four limbs of a finger's thickness, four under a pencil's, one that hangs. */
    private static Tree slenderCherry(String set) {
        Surveys tree = Surveys.apple()
                .kind("cherry-sweet")
                .as("slender-axe")
                .setting(set)
                .leaf(6)
                .trunk(75, 300);
        for (int i = 0; i < 4; i++) {
            tree.limb("f" + i, "trunk", "limb", 70 + 40 * i, 90 * i, 80, 17, 100, 4, Surveys.bare());
            tree.limb("t" + i, "trunk", "limb", 80 + 40 * i, 90 * i + 45, 80, 4 + i * 0.5, 60, 3, Surveys.bare());
        }
        return tree.limb("h", "trunk", "limb", 150, 20, 130, 12, 90, 4, Surveys.bare())
                .tree();
    }

    @ParameterizedTest
    @CsvSource({"heavy, 5", "moderate, 3", "light, 2"})
    void theHeavierACultivarSetsTheMoreOfItsWeakLimbsGo(String set, int gone) {
        TrainingSystem.Act act = new TrainingSystem.Act(
                4,
                99,
                "weak-out",
                null,
                null,
                null,
                null,
                null,
                null,
                7.0,
                Map.of("light", 0.3, "moderate", 0.6, "heavy", 1.0),
                "why");
        Tree tree = slenderCherry(set);
        List<Operation> out = of(tree).weakOut(act, mains(tree));
        assertThat(out).hasSize(gone).allMatch(one -> one.kind() == OperationKind.REMOVE);
        assertThat(out).extracting(one -> one.target().path()).noneMatch(limb -> limb.startsWith("f"));
        assertThat(out.get(0).target().path()).as("the thinnest first").isEqualTo("t0");
    }

    @Test
    void aStubUnderAShutSkyGivesWayToTheLimbAboveIt() {
        TrainingSystem.Act act = new TrainingSystem.Act(
                5, 99, "renew-share", null, 0.2, null, null, "renew-stub", null, null, null, "why");
        Surveys dense = Surveys.apple()
                .kind("cherry-sweet")
                .as("slender-axe")
                .spacing(2, 4.5)
                .leaf(7)
                .trunk(75, 300);
        for (int i = 0; i < 30; i++) {
            int age = i < 15 ? 5 : 2;
            dense.limb("" + i, "trunk", "limb", 60 + 7 * i, 137 * i % 360, 82, 19 - 0.3 * i, 112 - 1.8 * i, age, null);
        }
        Tree tree = dense.tree();
        Stubs stubs = new Stubs(tree, LightResolution.CLOSE);
        assertThat(stubs.of(tree.find("0").orElseThrow())).as("dark below").isEmpty();
        List<Operation> renewed = of(tree).share(act, mains(tree));
        assertThat(renewed).hasSizeGreaterThan(3).allMatch(one -> one.kind() == OperationKind.RENEW_STUB);
        assertThat(renewed)
                .allMatch(one ->
                        stubs.of(tree.find(one.target().path()).orElseThrow()).isPresent());
        assertThat(renewed)
                .as("a young limb goes for the sake of an older one below it")
                .anyMatch(one -> tree.find(one.target().path()).orElseThrow().age() == 2);
    }

    private static Tree peach(int shoots) {
        return Surveys.peach()
                .leaf(9)
                .limb("1", "trunk", "scaffold", 50, 0, 46, 50, 240, 7, Surveys.shoots("pencil", "side", shoots, 45))
                .limb("2", "trunk", "scaffold", 60, 120, 46, 50, 240, 7, Surveys.shoots("pencil", "side", 2, 45))
                .tree();
    }

    /** A peach renews 45 of a hundred shoots a year, and leaves no more than eight a metre of limb. */
    @ParameterizedTest
    @CsvSource({"10, 1, 6", "10, 0.5, 8", "60, 1, 20", "20, 1, 11"})
    void nearlyHalfOfAPeachsShootsGoEachWinterAndNoMoreStayThanCanBeLit(int shoots, double part, int kept) {
        List<Candidate> thinnings = of(peach(shoots)).oneYearWood(part);
        assertThat(thinnings.get(0).operation()).isEqualTo(Operation.thin(Target.parse("1/shoots"), kept));
        assertThat(thinnings.get(0).settled()).isTrue();
    }

    @Test
    void theShootsThatStayAreTheWellSizedOnesNearTheFrame() {
        Tree tree = Surveys.peach()
                .leaf(9)
                .limb("1", "trunk", "scaffold", 50, 0, 46, 50, 240, 7, Surveys.shoots("strong", "up", 4, 100))
                .limb("2", "trunk", "scaffold", 60, 120, 46, 50, 240, 7, Surveys.bare())
                .tree();
        Operation thin = of(tree).oneYearWood(1).get(0).operation();
        assertThat(TargetAxes.of(tree, thin)).hasSize(2);
    }

    @Test
    void kindsThatBearOnSpursAndYoungTreesAreNotThinnedSo() {
        assertThat(of(Surveys.apple()
                                .limb(
                                        "1",
                                        "trunk",
                                        "scaffold",
                                        80,
                                        0,
                                        55,
                                        40,
                                        200,
                                        6,
                                        Surveys.shoots("pencil", "side", 20, 30))
                                .tree())
                        .oneYearWood(1))
                .isEmpty();
        Tree young = Surveys.peach()
                .leaf(1)
                .limb("1", "trunk", "scaffold", 50, 0, 46, 12, 60, 1, Surveys.shoots("pencil", "side", 8, 45))
                .tree();
        assertThat(of(young).oneYearWood(1)).isEmpty();
    }

    @Test
    void aPeachOnAWallIsNotCutToSpurs() {
        Tree tree = Surveys.peach()
                .as("fan")
                .leaf(6)
                .limb("1", "trunk", "scaffold", 50, 10, 40, 30, 160, 4, Surveys.shoots("pencil", "up", 6, 40))
                .tree();
        assertThat(of(tree).shortSpur()).isEmpty();
        assertThat(of(tree).oneYearWood(1)).isNotEmpty();
    }
}
