package umbel.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.plan.Goals;
import umbel.plan.Limits;
import umbel.plan.Plan;
import umbel.plan.Planner;
import umbel.plan.Step;
import umbel.plan.Wish;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.reading.TreeReader;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Two schools on one tree: what they do otherwise is put down to the line that makes it. */
class SchoolsBesideTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final double REACH = 2.4;
    private static final Tree TREE = TreeBuilder.build(
            PracticeTree.survey(
                    "central-leader",
                    14,
                    2,
                    Fault.STACKED_LIMBS,
                    Fault.TIGHT_CROTCH,
                    Fault.WATER_SPROUTS,
                    Fault.HANGERS),
            KNOWLEDGE,
            1);

    private static SchoolsBeside.View view(School school) {
        Limits limits = Limits.usual(TREE.setting().species(), TREE.setting().system(), school, REACH);
        Wish wish = new Wish(
                school,
                KNOWLEDGE.plan(),
                Goals.of(Map.of(), KNOWLEDGE.plan().goals()),
                limits,
                false,
                1,
                List.of(),
                Set.of());
        TreeReader.Reading reading = TreeReader.read(TREE, school, REACH);
        return new SchoolsBeside.View(school, limits, reading.findings(), Planner.recommended(TREE, reading, wish, 1));
    }

    private static List<Step> now(SchoolsBeside.View view) {
        return view.plan().steps().stream().filter(step -> step.year() == 0).toList();
    }

    @Test
    void aSchoolBesideItselfDiffersInNothing() {
        SchoolsBeside.View classic = view(KNOWLEDGE.school("classic"));
        assertThat(SchoolsBeside.of(TREE, classic, classic)).isEmpty();
    }

    @Test
    void everyCutOnlyOneOfThemMakesIsTold() {
        SchoolsBeside.View mine = view(KNOWLEDGE.school("classic"));
        SchoolsBeside.View other = view(KNOWLEDGE.school("gentle"));
        List<SchoolsBeside.Difference> told = SchoolsBeside.of(TREE, mine, other);
        for (Step step : now(mine)) {
            boolean shared = now(other).stream()
                    .anyMatch(one ->
                            one.operation().limb().equals(step.operation().limb())
                                    && one.operation().kind()
                                            == step.operation().kind());
            assertThat(told.stream()
                            .anyMatch(one -> one.limb().equals(step.operation().limb())))
                    .as(step.operation().toString())
                    .isEqualTo(!shared);
        }
        assertThat(told).allSatisfy(one -> {
            assertThat(one.because()).isNotBlank();
            assertThat(one.mine() == null && one.other() == null).isFalse();
        });
    }

    @Test
    void aFindingOnlyOneSchoolMakesIsPutDownToItsLine() {
        School strict = KNOWLEDGE.school("classic", Map.of("sproutLength_cm", 20.0));
        School easy = KNOWLEDGE.school("classic", Map.of("sproutLength_cm", 300.0));
        List<SchoolsBeside.Difference> told = SchoolsBeside.of(TREE, view(strict), view(easy));
        assertThat(told).anySatisfy(one -> {
            assertThat(one.line()).isEqualTo("sproutLength_cm");
            assertThat(one.because()).contains("20").contains("300");
        });
    }

    @Test
    void whatDiffersTheOtherWayRoundIsTheSame() {
        SchoolsBeside.View mine = view(KNOWLEDGE.school("classic"));
        SchoolsBeside.View other = view(KNOWLEDGE.school("gentle"));
        assertThat(SchoolsBeside.of(TREE, mine, other).stream()
                        .map(one -> one.limb() + one.mine() + one.other())
                        .sorted()
                        .toList())
                .isEqualTo(SchoolsBeside.of(TREE, other, mine).stream()
                        .map(one -> one.limb() + one.other() + one.mine())
                        .sorted()
                        .toList());
        Plan plan = mine.plan();
        assertThat(plan.steps()).isNotEmpty();
    }
}
