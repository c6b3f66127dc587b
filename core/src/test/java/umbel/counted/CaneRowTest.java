package umbel.counted;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.growth.Moment;
import umbel.knowledge.CountedKind;
import umbel.knowledge.Knowledge;
import umbel.survey.InvalidSurvey;
import umbel.text.Value;

/** Worked by hand with the equations of docs/model/counted.md. */
class CaneRowTest {

    private static final String R1 = "{'length_m':3,'width_cm':60,'canes':[{'class':'fruited','count':28},"
            + "{'class':'new','count':54,'weak':14,'outside':9,'height_cm':210,'diameter_mm':9}]}";

    @Test
    void aSummerRaspberryIsThinnedNarrowedAndTippedByNoMoreThanAQuarter() {
        CountPlan plan = Counts.recommended(row("raspberry-summer", R1));
        assertThat(Counts.done(plan))
                .containsExactly(
                        "remove canes/fruited", "remove canes/new/outside", "remove canes/new/weak", "tip canes/new");
        assertThat(plan.canesAfter()).isEqualTo(31);
        assertThat(Counts.only(plan, CountOperation.Kind.TIP).atCm()).isEqualTo(158);
        assertThat(plan.seasons().get(0).crop()).isCloseTo(6.5, within(0.1));
        assertThat(plan.seasons().get(0).renewal() / 3).isCloseTo(24, within(0.5));
        assertThat(plan.seasons().get(1).crop()).isCloseTo(6.6, within(0.1));
        assertThat(plan.seasons().get(2).crop()).isCloseTo(6.6, within(0.1));
    }

    @Test
    void inAThinRowTheWeakCanesStay() {
        CountPlan plan = Counts.recommended(row(
                "raspberry-summer",
                "low",
                "",
                "{'length_m':4,'canes':[{'class':'new','count':22,'weak':5,'height_cm':170,'diameter_mm':9}]}"));
        assertThat(Counts.done(plan)).containsExactly("tip canes/new");
        assertThat(plan.canesAfter()).isEqualTo(22);
        assertThat(plan.seasons())
                .extracting(CountPlan.Season::crop)
                .satisfiesExactly(
                        crop -> assertThat(crop).isCloseTo(6.9, within(0.1)),
                        crop -> assertThat(crop).isCloseTo(9.4, within(0.15)),
                        crop -> assertThat(crop).isCloseTo(9.2, within(0.15)));
    }

    @Test
    void theSideBranchesOfABlackRaspberryAreShortened() {
        String count = "{'length_m':3.6,'plants':4,'canes':[{'class':'new','count':24,'weak':3,"
                + "'laterals':{'count':7,'length_cm':75,'low':2}}]}";
        CountPlan plan = Counts.recommended(row("raspberry-black", count));
        CountOperation shorten = Counts.only(plan, CountOperation.Kind.SHORTEN);
        assertThat(plan.canesAfter()).isEqualTo(21);
        assertThat(shorten.atCm()).isEqualTo(24);
        assertThat(shorten.count()).isEqualTo(105);
        assertThat(plan.seasons())
                .extracting(CountPlan.Season::crop)
                .allSatisfy(crop -> assertThat(crop).isCloseTo(5.8, within(0.15)));
        assertThat(Counts.plan(row("raspberry-black", count), "nothing")
                        .seasons()
                        .get(0)
                        .crop())
                .isCloseTo(3.0, within(0.3));
    }

    @Test
    void aSemiErectBlackberryIsAFanOfSevenCanesAPlantAboveItsWire() {
        String count = "{'length_m':4.5,'plants':3,'topWire_cm':180,'canes':[{'class':'new','count':31,'weak':7,"
                + "'height_cm':260,'laterals':{'count':8,'length_cm':90,'low':3}}]}";
        CountPlan plan = Counts.recommended(row("blackberry-semi-erect", count));
        assertThat(plan.canesAfter()).isEqualTo(21);
        assertThat(Counts.only(plan, CountOperation.Kind.TIP).atCm()).isEqualTo(195);
        assertThat(Counts.only(plan, CountOperation.Kind.SHORTEN).atCm()).isEqualTo(55);
        assertThat(Counts.only(plan, CountOperation.Kind.SHORTEN).count()).isEqualTo(105);
        assertThat(Counts.done(plan)).contains("tie canes/new");
    }

    @Test
    void theYieldOfAMetreIsTheWorkedOne() {
        CountedKind.Density semiErect = kind("blackberry-semi-erect").row().density();
        assertThat(semiErect.crop(4.67) * 4.5).isCloseTo(27, within(0.5));
        assertThat(kind("raspberry-summer").row().density().crop(12)).isCloseTo(2.4, within(0.02));
        assertThat(kind("raspberry-autumn").row().density().crop(22) * 10).isCloseTo(14.9, within(0.1));
    }

    @Test
    void anAutumnRaspberryIsMownAndTheEarlyCropIsTold() {
        String count = "{'length_m':10,'canes':[{'class':'fruited','count':200},{'class':'new','count':20}]}";
        CountPlan plan = Counts.recommended(row("raspberry-autumn", count));
        assertThat(plan.steps()).singleElement().satisfies(step -> {
            assertThat(step.operation().kind()).isEqualTo(CountOperation.Kind.MOW);
            assertThat(step.instead().keepCount()).isEqualTo(80);
        });
        assertThat(plan.seasons().get(0).crop()).isCloseTo(15, within(0.2));
        assertThat(plan.seasons().get(0).delayDays()).isZero();
        CountPlan nothing = Counts.plan(row("raspberry-autumn", count), "nothing");
        assertThat(nothing.seasons().get(0).delayDays()).isPositive();
    }

    @Test
    void keepingEightCanesAMetreBearsTwentyKilogramsAndSixDaysLater() {
        RowSeasons model = new RowSeasons(
                kind("raspberry-autumn").row(),
                kind("raspberry-summer").row().density(),
                Knowledge.shipped().counting().row(),
                30,
                10);
        CountPlan.Season both = model.seasons(new RowSeasons.Stand(8, 0, 0, 1, 0, 0, 0, 45), 22, 1)
                .get(0);
        assertThat(both.crop()).isCloseTo(20, within(0.3));
        assertThat(both.delayDays()).isCloseTo(6.4, within(0.1));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "raspberry-summer",
                "raspberry-autumn",
                "raspberry-black",
                "raspberry-purple",
                "blackberry-erect",
                "blackberry-semi-erect",
                "blackberry-trailing"
            })
    void cropRisesToTheBestNumberAndFallsBeyond(String id) {
        CountedKind.Density density = kind(id).row().density();
        double best = density.bestPerM();
        for (int tenth = 1; tenth < 10; tenth++) {
            assertThat(density.crop(0.1 * tenth * best)).isLessThan(density.crop(0.1 * (tenth + 1) * best));
        }
        assertThat(density.crop(1.5 * best)).isLessThan(density.crop(best));
        assertThat(density.crop(3 * best)).isLessThan(density.crop(1.5 * best));
        assertThat(density.crop(0.5 * best)).isGreaterThan(0.75 * density.crop(best));
    }

    @ParameterizedTest
    @CsvSource({"0.1, 0.99", "0.25, 0.92", "0.33, 0.85", "0.5, 0.65"})
    void aTipTakenCostsLittleAtFirst(double taken, double left) {
        RowSeasons model = new RowSeasons(
                kind("raspberry-summer").row(),
                null,
                Knowledge.shipped().counting().row(),
                30,
                1);
        assertThat(model.tipWorth(taken)).isCloseTo(left, within(0.015));
    }

    @ParameterizedTest
    @ValueSource(ints = {100, 140, 160, 170, 190, 220, 260, 300})
    void noRaspberryLosesMoreThanAQuarter(int height) {
        CountPlan plan = Counts.recommended(row(
                "raspberry-summer", "{'length_m':2,'canes':[{'class':'new','count':24,'height_cm':" + height + "}]}"));
        plan.steps().stream()
                .map(CountStep::operation)
                .filter(operation -> operation.kind() == CountOperation.Kind.TIP)
                .forEach(operation -> assertThat(operation.atCm()).isGreaterThanOrEqualTo(0.75 * height));
        assertThat(plan.steps().stream().anyMatch(step -> step.operation().kind() == CountOperation.Kind.TIP))
                .isEqualTo(height > 160);
    }

    @Test
    void inSummerNewCanesOfErectBlackberriesArePinched() {
        CountSurvey survey = row(
                "blackberry-erect",
                "{'length_m':5,'canes':[{'class':'current','count':40,'height_cm':130,'outside':3}]}");
        assertThat(Counts.done(Counts.read(survey).plans(Moment.EARLY_SUMMER).get(0)))
                .containsExactly("remove canes/current/outside", "tip canes/current");
    }

    @Test
    void straightAfterHarvestOnlyTheFruitedCanesGo() {
        assertThat(Counts.done(Counts.read(row("raspberry-summer", R1))
                        .plans(Moment.AFTER_HARVEST)
                        .get(0)))
                .containsExactly("remove canes/fruited");
    }

    /** Six a metre is best: 26 on four metres bear as 24 do, 30 do not. */
    @Test
    void aRowAsGoodAsTheBestIsNotThinned() {
        assertThat(Counts.done(Counts.recommended(blacks(26)))).noneMatch(step -> step.startsWith("thin"));
        assertThat(Counts.only(Counts.recommended(blacks(30)), CountOperation.Kind.THIN)
                        .keepCount())
                .isEqualTo(24);
    }

    private static CountSurvey blacks(int canes) {
        return row("raspberry-black", "{'length_m':4,'plants':4,'canes':[{'class':'new','count':" + canes + "}]}");
    }

    /** A row far from both lines needs no more counts; nobody is asked for more than six. */
    @Test
    void countsStopWhereTheyCannotChangeTheAnswer() {
        assertThat(Counts.read(row(
                                "raspberry-summer",
                                "{'length_m':3,'canes':[{'class':'new','height_cm':150,'count':90}]}"))
                        .reading()
                        .measureNext())
                .isEmpty();
        CountSurvey onTheLine =
                row("raspberry-summer", "{'length_m':2,'canes':[{'class':'new','height_cm':150,'count':27}]}");
        assertThat(Counts.read(onTheLine).reading().measureNext())
                .singleElement()
                .satisfies(one -> assertThat(one.why().values().get("more")).isEqualTo(Value.count(4)));
    }

    @Test
    void moreCountsAreAskedForUntilTheNumberIsSure() {
        CountSurvey few = row(
                "raspberry-summer",
                "{'samples':[{'canes':[{'class':'new','count':10}]},{'canes':[{'class':'new','count':18}]},"
                        + "{'canes':[{'class':'new','count':14}]}]}");
        assertThat(Counts.read(few).reading().measureNext())
                .extracting(CountReading.Measure::what)
                .contains("samples");
        StringBuilder many = new StringBuilder("{'samples':[");
        for (int i = 0; i < 20; i++) {
            many.append(i == 0 ? "" : ",")
                    .append("{'canes':[{'class':'new','height_cm':150,'count':" + (12 + i % 3) + "}]}");
        }
        assertThat(Counts.read(row("raspberry-summer", many + "]}")).reading().measureNext())
                .isEmpty();
    }

    @Test
    void everyFindingHasItsRow() {
        assertThat(rules(row("raspberry-summer", R1)))
                .contains(CountRule.FRUITED_CANES, CountRule.WIDE_ROW, CountRule.WEAK_CANE, CountRule.TALL_CANE);
        assertThat(rules(row("raspberry-summer", "{'length_m':2,'width_cm':40,'canes':[{'class':'new','count':60}]}")))
                .containsExactly(CountRule.CROWDED_ROW);
        assertThat(rules(row("raspberry-summer", "{'length_m':2,'width_cm':40,'canes':[{'class':'new','count':8}]}")))
                .containsExactly(CountRule.THIN_ROW);
        assertThat(rules(row(
                        "blackberry-trailing",
                        "{'length_m':6,'plants':4,'canes':[{'class':'new','count':36,'rooting':4,'diseased':2}]}")))
                .containsExactlyInAnyOrder(CountRule.NO_TRELLIS, CountRule.ROOTING_TIP, CountRule.UNSOUND_CANE);
        assertThat(rules(row("raspberry-summer", "{'length_m':2,'width_cm':40,'canes':[{'class':'new','count':24}]}")))
                .isEmpty();
    }

    @Test
    void canesThatComeFromCrownsNeedThePlants() {
        InvalidSurvey refused = catchThrowableOfType(
                InvalidSurvey.class,
                () -> Counts.read(row("raspberry-black", "{'length_m':3,'canes':[{'class':'new','count':10}]}")));
        assertThat(refused.errors())
                .singleElement()
                .satisfies(error -> assertThat(error.field()).isEqualTo("row.plants"));
    }

    private static Set<CountRule> rules(CountSurvey survey) {
        return Counts.read(survey).reading().findings().stream()
                .map(CountFinding::rule)
                .collect(Collectors.toSet());
    }

    private static CountedKind kind(String id) {
        return Knowledge.shipped().counted(id);
    }

    private static CountSurvey row(String kind, String row) {
        return row(kind, "moderate", "", row);
    }

    private static CountSurvey row(String kind, String vigour, String more, String row) {
        return Counts.survey("{'format':'umbel-count/1','plant':{'kind':'" + kind + "','leaf':6,'cultivar':{'vigour':'"
                + vigour + "'}" + more + "},'row':" + row + "}");
    }
}
