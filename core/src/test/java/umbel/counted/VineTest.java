package umbel.counted;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;
import umbel.knowledge.Knowledge;
import umbel.knowledge.NotSupported;

/** Worked by hand with the equations of docs/model/counted.md. */
class VineTest {

    @ParameterizedTest
    @CsvSource({
        "0.30, vigorous, 20", "0.60, vigorous, 33", "0.90, vigorous, 40", "1.35, vigorous, 50", "1.80, vigorous, 60",
        "0.30, table, 13", "0.60, table, 27", "0.90, table, 40", "1.35, table, 60", "1.80, table, 80",
        "0.60, table-light, 23", "1.35, table-light, 40", "0.30, wine, 8", "0.60, wine, 15", "1.35, wine, 34"
    })
    void nodesFollowFromTheWeightOfThePrunings(double weight, String wood, int nodes) {
        assertThat(Math.round(model(wood, 1000).balanced(weight))).isEqualTo(nodes);
    }

    @Test
    void aVigorousVineIsBroughtBackToBalance() {
        CountSurvey survey = vine("vigorous", 0.80, "estimated", 2.4, 8, 14, "'nodesLast':70");
        CountReading.Nodes nodes = Counts.read(survey).reading().nodes();
        assertThat(nodes.wanted()).isEqualTo(38);
        assertThat(nodes.now()).isEqualTo(112);
        VineSeasons.State state = new VineSeasons.State(0.80, 9, 0);
        List<CountPlan.Season> seasons = model("vigorous", 1000).seasons(state, 37.8, 1, 3);
        assertThat(seasons.get(0).crop()).isCloseTo(7.8, within(0.1));
        assertThat(seasons.get(0).renewal()).isCloseTo(0.87, within(0.01));
        assertThat(seasons.get(1).crop()).isCloseTo(8.0, within(0.15));
        assertThat(seasons.get(2).crop()).isCloseTo(8.5, within(0.25));
        List<CountPlan.Season> seventy = model("vigorous", 1000).seasons(state, 70, -1, 3);
        assertThat(seventy.get(0).crop()).isCloseTo(10.0, within(0.3));
        assertThat(seventy.get(2).renewal()).isLessThan(0.80);
    }

    @Test
    void aWineVineOnSpursIsPrunedToElevenNodes() {
        CountSurvey survey = vine("wine", 0.42, "weighed", 1.2, 12, 8, "'prunedAs':'spur'");
        CountPlan plan = Counts.recommended(survey);
        assertThat(Counts.read(survey).reading().nodes().wanted()).isEqualTo(11);
        assertThat(plan.nodesAfter()).isEqualTo(11);
        assertThat(plan.steps())
                .filteredOn(step -> step.operation().kind() == CountOperation.Kind.KEEP_NODES)
                .allMatch(step -> step.operation().nodes() <= 2);
        assertThat(plan.seasons().get(0).crop()).isCloseTo(2.1, within(0.15));
    }

    @Test
    void aTableVineThatCarriedTooMuchBearsLittleAtFirst() {
        List<CountPlan.Season> seasons = model("table", 1000).seasons(new VineSeasons.State(0.30, 20, 0), 13.3, 1, 3);
        assertThat(seasons)
                .extracting(CountPlan.Season::crop)
                .satisfiesExactly(
                        crop -> assertThat(crop).isCloseTo(1.9, within(0.15)),
                        crop -> assertThat(crop).isCloseTo(3.7, within(0.4)),
                        crop -> assertThat(crop).isCloseTo(4.7, within(0.5)));
    }

    @Test
    void theRoomOfTheRowLimitsARankVine() {
        CountSurvey survey = vine("wine", 1.6, "weighed", 1.2, 6, 12, "'shootsLast':20");
        CountReading reading = Counts.read(survey).reading();
        assertThat(reading.nodes().wanted()).isEqualTo(22);
        assertThat(rules(survey)).contains(CountRule.OVER_CAP, CountRule.BULL_WOOD);
        assertThat(Counts.recommended(survey).nodesAfter()).isLessThanOrEqualTo(22);
    }

    @Test
    void kiwifruitIsLaidByTheFruitWantedOnItsCanopy() {
        CountSurvey full = kiwifruit(40);
        assertThat(Counts.read(full).reading().nodes().wanted()).isEqualTo(648);
        CountPlan plan = Counts.recommended(full);
        assertThat(plan.nodesAfter()).isEqualTo(648);
        assertThat(plan.seasons().get(0).crop()).isCloseTo(70, within(0.5));
        CountPlan few = Counts.recommended(kiwifruit(24));
        assertThat(few.nodesAfter()).isEqualTo(432);
        assertThat(few.seasons())
                .extracting(CountPlan.Season::crop)
                .satisfiesExactly(
                        crop -> assertThat(crop).isCloseTo(47, within(0.5)),
                        crop -> assertThat(crop).isCloseTo(58, within(1.0)),
                        crop -> assertThat(crop).isCloseTo(70, within(2.0)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"vigorous", "table", "table-light", "wine"})
    void nodesRiseWithWeightAndNeverBeyondTheRoom(String wood) {
        VineSeasons model = model(wood, 30);
        double before = 0;
        for (double weight = 0.05; weight < 4; weight += 0.05) {
            double wanted = model.wanted(weight);
            assertThat(wanted).isGreaterThanOrEqualTo(before).isLessThanOrEqualTo(30);
            before = wanted;
        }
    }

    @Test
    void twiceTheNodesBearMoreNowAndLessWithinEightSeasons() {
        VineSeasons model = model("vigorous", 1000);
        VineSeasons.State state = new VineSeasons.State(1.1, 9, 0);
        double measure = model.balanced(1.1);
        List<CountPlan.Season> twice = model.seasons(state, 2 * measure, -1, 8);
        List<CountPlan.Season> once = model.seasons(state, measure, -1, 8);
        assertThat(twice.get(0).crop()).isGreaterThan(once.get(0).crop());
        assertThat(twice.get(7).crop()).isLessThan(once.get(7).crop());
        assertThat(twice.get(7).renewal()).isLessThan(0.6 * once.get(7).renewal());
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.3, 0.55, 1.1, 2.2})
    void balancedPruningEndsAtTheSameWeightFromAnywhere(double weight) {
        VineSeasons model = model("vigorous", 1000);
        List<CountPlan.Season> seasons =
                model.seasons(new VineSeasons.State(weight, 9, 0), model.balanced(weight), 1, 25);
        assertThat(seasons.get(24).renewal()).isCloseTo(1.2, within(0.1));
    }

    @Test
    void canesInTheLightNearTheHeadAndOfGoodThicknessStay() {
        CountSurvey survey = Counts.survey("{'format':'umbel-count/1','plant':{'kind':'grape','leaf':9,"
                + "'spacing_m':{'inRow':2.4,'betweenRows':3}},'vine':{'wood':'vigorous','pruningWeight_kg':0.6,"
                + "'weightIs':'weighed','prunedAs':'cane','arms':[{'id':'L'},{'id':'R'}],'canes':["
                + cane("goodL", "L", 5, 20, 9, true) + "," + cane("goodR", "R", 5, 20, 9, true) + ","
                + cane("spurL", "L", 8, 12, 6, true) + "," + cane("farL", "L", 60, 25, 9, true) + ","
                + cane("thinR", "R", 20, 12, 5, false) + "," + cane("bullR", "R", 50, 20, 16, true) + "]}}");
        CountPlan plan = Counts.recommended(survey);
        assertThat(Counts.done(plan))
                .contains("keep-nodes goodL", "keep-nodes goodR", "remove canes/rest", "tie canes");
        assertThat(plan.steps())
                .filteredOn(step -> step.operation().target().equals("spurL"))
                .singleElement()
                .satisfies(step -> assertThat(step.operation().nodes()).isEqualTo(2));
        assertThat(plan.nodesAfter()).isEqualTo(33);
    }

    @Test
    void deadBudsAreMadeGood() {
        CountSurvey survey = vine("vigorous", 0.9, "weighed", 3, 8, 14, "'budSample':{'n':100,'dead':30}");
        assertThat(Counts.read(survey).reading().nodes().wanted()).isEqualTo(57);
        assertThat(rules(survey)).contains(CountRule.BUD_KILL);
        assertThat(Counts.recommended(survey).left())
                .extracting(left -> left.finding().rule())
                .doesNotContain(CountRule.BUD_KILL);
        CountSurvey worse = vine("vigorous", 0.9, "weighed", 3, 8, 14, "'budSample':{'n':100,'dead':60}");
        assertThat(Counts.recommended(worse).nodesAfter()).isEqualTo(112);
    }

    @Test
    void aSickArmIsRenewedAtOnceAndAWornOneAYear() {
        CountSurvey survey = Counts.survey("{'format':'umbel-count/1','plant':{'kind':'grape','leaf':20},'vine':{"
                + "'wood':'wine','pruningWeight_kg':0.7,'weightIs':'weighed','prunedAs':'spur','arms':["
                + "{'id':'A','condition':['diseased']},{'id':'B','positions':10,'blind':4},{'id':'C','positions':10,'blind':3}],"
                + "'canes':[" + cane("b1", "B", 10, 8, 9, true) + "," + cane("c1", "C", 10, 8, 9, true) + "]}}");
        assertThat(Counts.done(Counts.recommended(survey)))
                .contains("renew-arm A", "renew-arm B")
                .doesNotContain("renew-arm C");
    }

    @Test
    void weightErrorsChangeTheNodesByLittle() {
        VineSeasons model = model("vigorous", 1000);
        for (double weight = 0.5; weight < 2; weight += 0.1) {
            assertThat(model.balanced(1.1 * weight))
                    .isCloseTo(model.balanced(weight), within(0.11 * model.balanced(weight)));
        }
    }

    @Test
    void anUnknownKindOfWoodIsSaidToBeSo() {
        NotSupported refused =
                catchThrowableOfType(NotSupported.class, () -> Counts.read(vine("steel", 1, "weighed", 2, 4, 10, "")));
        assertThat(refused.field()).isEqualTo("vine.wood");
    }

    private static String cane(String id, String arm, int at, int nodes, int mm, boolean lit) {
        return "{'id':'" + id + "','arm':'" + arm + "','at_cm':" + at + ",'nodes':" + nodes + ",'diameter_mm':" + mm
                + ",'length_cm':" + nodes * 7 + ",'lit':" + lit + "}";
    }

    private static CountSurvey vine(
            String wood, double weight, String is, double inRow, int canes, int nodes, String more) {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < canes; i++) {
            all.add(cane("c" + i, i % 2 == 0 ? "L" : "R", 5 + 8 * i, nodes, 9, true));
        }
        return Counts.survey("{'format':'umbel-count/1','plant':{'kind':'grape','leaf':9,'spacing_m':{'inRow':" + inRow
                + ",'betweenRows':2.5}},'vine':{'wood':'" + wood + "','pruningWeight_kg':" + weight + ",'weightIs':'"
                + is
                + "'," + (more.isEmpty() ? "" : more + ",") + "'arms':[{'id':'L'},{'id':'R'}],'canes':["
                + String.join(",", all) + "]}}");
    }

    private static CountSurvey kiwifruit(int canes) {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < canes; i++) {
            all.add(cane("k" + i, i % 2 == 0 ? "L" : "R", 10 * i, 18, 11, true));
        }
        return Counts.survey("{'format':'umbel-count/1','plant':{'kind':'kiwifruit','leaf':9},'vine':{'canopy_m2':20,"
                + "'fruitPerM2':35,'arms':[{'id':'L'},{'id':'R'}],'canes':[" + String.join(",", all) + "]}}");
    }

    private static Set<CountRule> rules(CountSurvey survey) {
        return Counts.read(survey).reading().findings().stream()
                .map(CountFinding::rule)
                .collect(Collectors.toSet());
    }

    private static VineSeasons model(String wood, double most) {
        CountedKind.Vine vine = Knowledge.shipped().counted("grape").vine();
        CountingParameters.Vine numbers = Knowledge.shipped().counting().vine();
        return new VineSeasons(vine, vine.woods().get(wood), numbers, most, 0, 0, 1);
    }
}
