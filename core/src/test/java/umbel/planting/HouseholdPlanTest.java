package umbel.planting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.MonthDay;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.knowledge.Knowledge;
import umbel.survey.InvalidSurvey;

class HouseholdPlanTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();

    private static Household.WishedTree tree(String species, String system, String ripens, String blooms, int count) {
        return new Household.WishedTree(species, system, ripens, blooms, count);
    }

    private static HouseholdPlan plan(double latitude, Household.WishedFence fence, Household.WishedTree... trees) {
        return new HouseholdPlan(
                HouseholdCheck.complete(new Household(latitude, 2, 5.0, fence, List.of(trees), null), KNOWLEDGE),
                KNOWLEDGE);
    }

    private static HouseholdPlan free(Household.WishedTree... trees) {
        return plan(47, null, trees);
    }

    private static double kg(List<HouseholdPlan.Month> months, int month) {
        return months.get(month - 1).kg();
    }

    /** All that the trees bear is in the months, and an apple is not picked in spring. */
    @Test
    void whatTheTreesBearIsInTheMonths() {
        HouseholdPlan plan =
                free(tree("apple", "espalier", "early", "middle", 2), tree("apple", "espalier", "late", "middle", 1));
        List<HouseholdPlan.Month> months = plan.months();
        assertThat(months.stream().mapToDouble(HouseholdPlan.Month::kg).sum()).isCloseTo(plan.kgAYear(), within(1e-6));
        assertThat(kg(months, 4)).isZero();
        assertThat(plan.kgAYear())
                .isCloseTo(
                        2 * plan.lines().get(0).kgATree() + plan.lines().get(1).kgATree(), within(1e-9));
        assertThat(plan.lines().get(0).kgATree()).isBetween(3.0, 60.0);
    }

    /** The thirds of a kind's picking follow each other without a gap and together are the kind's own days. */
    @Test
    void earlyMiddleAndLateShareTheDaysOfTheirKind() {
        HouseholdPlan plan = free(
                tree("apple", "espalier", "early", "middle", 1),
                tree("apple", "espalier", "middle", "middle", 1),
                tree("apple", "espalier", "late", "middle", 1));
        List<HouseholdPlan.Days> days =
                plan.lines().stream().map(line -> line.days().orElseThrow()).toList();
        PickingCalendar.Times kind = new PickingCalendar(KNOWLEDGE.planting().year(), 47)
                .of(KNOWLEDGE.species("apple"))
                .orElseThrow();
        assertThat(days.get(0).from()).isEqualTo(kind.from());
        assertThat(days.get(2).to()).isEqualTo(kind.to());
        for (int i = 0; i < 2; i++) {
            assertThat(days.get(i).to().atYear(2027).plusDays(1))
                    .isEqualTo(days.get(i + 1).from().atYear(2027));
        }
    }

    @Test
    void southOfTheEquatorItIsHalfAYearLater() {
        Household.WishedTree apple = tree("apple", "espalier", "middle", "middle", 1);
        MonthDay north =
                plan(47, null, apple).lines().get(0).days().orElseThrow().from();
        MonthDay south =
                plan(-40, null, apple).lines().get(0).days().orElseThrow().from();
        assertThat(Math.floorMod(south.getMonthValue() - north.getMonthValue(), 12))
                .isBetween(5, 7);
    }

    @Test
    void aPartnerIsAnotherCultivarOfItsKindThatBloomsWithIt() {
        assertThat(free(tree("apple", "espalier", "early", "middle", 3))
                        .lines()
                        .get(0)
                        .partner())
                .isEqualTo(HouseholdPlan.Partner.MISSING);
        HouseholdPlan together = free(
                tree("apple", "espalier", "early", "middle", 1),
                tree("pear", "espalier", "early", "middle", 1),
                tree("apple", "espalier", "late", "late", 1));
        assertThat(together.lines())
                .extracting(HouseholdPlan.Line::partner)
                .containsExactly(
                        HouseholdPlan.Partner.FOUND, HouseholdPlan.Partner.MISSING, HouseholdPlan.Partner.FOUND);
        assertThat(together.lines().get(0).partners()).containsExactly(2);
        // ten days of bloom, twelve days apart
        HouseholdPlan apart =
                free(tree("apple", "espalier", "early", "early", 1), tree("apple", "espalier", "late", "late", 1));
        assertThat(apart.lines())
                .extracting(HouseholdPlan.Line::partner)
                .containsOnly(HouseholdPlan.Partner.OTHER_TIME);
        assertThat(free(tree("peach", "fan", "early", "early", 1))
                        .lines()
                        .get(0)
                        .partner())
                .isEqualTo(HouseholdPlan.Partner.NONE_NEEDED);
        assertThat(free(tree("plum-european", "fan", "early", "early", 1))
                        .lines()
                        .get(0)
                        .partner())
                .isEqualTo(HouseholdPlan.Partner.WOULD_HELP);
    }

    /** Cherries in summer and late apples in autumn leave a gap between; winter and spring are no gap. */
    @Test
    void aGapIsToldWithinTheSeasonOnly() {
        HouseholdPlan plan =
                free(tree("cherry-sweet", "fan", "early", "middle", 1), tree("apple", "espalier", "late", "middle", 4));
        List<HouseholdPlan.Month> months = plan.months();
        assertThat(months.get(0).verdict()).isEqualTo(HouseholdPlan.Verdict.NOTHING_RIPE);
        assertThat(months.get(3).verdict()).isEqualTo(HouseholdPlan.Verdict.NOTHING_RIPE);
        assertThat(months.stream().filter(one -> one.verdict() == HouseholdPlan.Verdict.GAP))
                .isNotEmpty()
                .allSatisfy(gap -> assertThat(gap.month()).isBetween(6, 9));
        assertThat(months.stream().filter(one -> one.verdict() == HouseholdPlan.Verdict.GLUT))
                .allSatisfy(glut -> assertThat(glut.kg()).isGreaterThan(20));
    }

    /** Espaliers of 4 m: five stand along 20 m, a sixth does not; a free-standing tree is not against it at all. */
    @Test
    void aFenceHoldsWhatIsTrainedFlat() {
        Household.WishedFence fence = new Household.WishedFence(20.0, 1.5);
        Household.WishedTree espaliers = tree("pear", "espalier", "middle", "middle", 4);
        HouseholdPlan.AlongFence along = plan(47, fence, espaliers, tree("apple", "central-leader", "late", "late", 1))
                .alongFence()
                .orElseThrow();
        assertThat(along.usedM()).isEqualTo(16);
        assertThat(along.leftM()).isEqualTo(4);
        assertThat(along.more()).containsExactly(1, 0);
        assertThat(along.notFlat()).containsExactly(1);
        assertThat(along.tooHigh()).containsExactly(0);
        assertThat(along.net().meshMm()).isEqualTo(20);
        // front and top of 16.8 m and the two ends, by hand
        double height = plan(47, fence, espaliers).lines().get(0).heightM();
        double depth = 0.35;
        assertThat(along.net().areaM2())
                .isCloseTo(16.8 * (height + 0.4 + depth + 0.4) + 2 * (depth + 0.4) * (height + 0.4), within(1e-9));
        assertThat(plan(47, fence, tree("pear", "espalier", "middle", "middle", 6))
                        .alongFence()
                        .orElseThrow()
                        .leftM())
                .isEqualTo(-4);
        assertThat(plan(47, fence, tree("cherry-sweet", "fan", "early", "early", 1))
                        .alongFence()
                        .orElseThrow()
                        .net()
                        .meshMm())
                .isEqualTo(1);
        assertThat(free(espaliers).alongFence()).isEmpty();
    }

    @Test
    void evergreensHaveNoMonths() {
        HouseholdPlan plan = plan(37, null, tree("citrus", "open-centre", "early", "early", 1));
        assertThat(plan.lines().get(0).days()).isEmpty();
        assertThat(plan.months()).allSatisfy(month -> assertThat(month.kg()).isZero());
        assertThat(plan.wantedAYear()).isEmpty();
    }

    @Test
    void whatCannotBeIsRefusedByItsField() {
        assertThatThrownBy(() -> HouseholdCheck.complete(
                        new Household(
                                80.0,
                                0,
                                5.0,
                                new Household.WishedFence(null, 2.0),
                                List.of(tree("elm", null, null, null, 1), tree("apple", "vase", "soon", null, 0)),
                                null),
                        KNOWLEDGE))
                .isInstanceOfSatisfying(
                        InvalidSurvey.class,
                        refused -> assertThat(refused.errors())
                                .extracting(error -> error.field())
                                .containsExactlyInAnyOrder(
                                        "latitude_deg",
                                        "people",
                                        "fence.length_m",
                                        "trees[0].species",
                                        "trees[1].system",
                                        "trees[1].ripens",
                                        "trees[1].count"));
        assertThatThrownBy(() -> HouseholdCheck.complete(null, KNOWLEDGE)).isInstanceOf(InvalidSurvey.class);
    }
}
