package umbel.assess;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.counted.CountRule;
import umbel.knowledge.CountedKind;
import umbel.knowledge.Knowledge;
import umbel.knowledge.NotSupported;
import umbel.survey.InvalidSurvey;
import umbel.text.Catalogue;
import umbel.text.Speech;
import umbel.text.UnitSystem;

class CountedAssessorTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final CountedAssessor ASSESSOR = new CountedAssessor(Knowledge.shipped());
    private static final Set<String> OPERATIONS = Set.of(
            "remove",
            "keep",
            "head",
            "tip",
            "shorten",
            "thin",
            "mow",
            "tie",
            "lay",
            "deflower",
            "keep-nodes",
            "renew-arm");

    private static final String BUSH = "'canes':[{'id':'1','age_y':8,'diameter_mm':26,'place':'centre'},"
            + "{'id':'2','age_y':7,'count':3},{'id':'3','age_y':1,'count':2},{'id':'4','age_y':1,'diameter_mm':4},"
            + "{'id':'5','age_y':3,'count':4,'flowerBuds':90},{'id':'6','age_y':5,'attitude':'down'},"
            + "{'id':'7','age_y':4,'condition':['diseased']}]";
    private static final String ROW = "'row':{'length_m':3,'width_cm':70,'plants':4,'topWire_cm':170,'canes':["
            + "{'class':'fruited','count':20},{'class':'new','count':60,'weak':9,'outside':5,'diseased':2,'rooting':1,"
            + "'height_cm':240,'diameter_mm':11,'laterals':{'count':6,'length_cm':90,'low':2}}]}";
    private static final String VINE =
            "'vine':{'prunedAs':'cane','pruningWeight_kg':0.8,'weightIs':'estimated','arms':["
                    + "{'id':'L','positions':8,'blind':3},{'id':'R'}],'canes':[{'id':'a','arm':'L','nodes':15,'diameter_mm':9},"
                    + "{'id':'b','arm':'R','nodes':16,'diameter_mm':8,'lit':true},{'id':'c','arm':'R','nodes':12,'at_cm':10},"
                    + "{'id':'d','arm':'L','nodes':9,'condition':['dead']}]}";

    static List<String> kinds() {
        return Knowledge.shipped().allCounted().stream().map(CountedKind::id).toList();
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void everyKindIsAnsweredInTheShapeOfTheFormatInBothLanguages(String kind) {
        for (String phase : List.of("dormant", "delayed-dormant", "bloom", "early-summer", "summer", "after-harvest")) {
            CountRequest request = request(kind, phase);
            CountAssessment english = ASSESSOR.assess(request);
            CountAssessment spanish =
                    ASSESSOR.in(Speech.of("es", UnitSystem.US)).assess(request);
            assertThat(english.plans())
                    .extracting(CountAssessment.CountedPlan::name)
                    .containsExactly("recommended", "gentler", "firmer", "nothing");
            english.plans().forEach(plan -> {
                assertThat(plan.totals().cropYears()).hasSize(3);
                assertThat(plan.steps()).allSatisfy(step -> {
                    assertThat(step.operation()).isIn(OPERATIONS);
                    assertThat(step.confidence()).isBetween(0.0, 1.0);
                    assertThat(step.title()).isNotBlank();
                    assertThat(step.reason()).isNotBlank();
                    assertThat(step.text()).doesNotContain("{").doesNotContain("null");
                });
            });
            assertThat(english.reading().findings())
                    .allSatisfy(finding ->
                            assertThat(finding.measure()).isNotBlank().doesNotContain("{"));
            assertThat(spanish.plans().get(0).steps())
                    .allSatisfy(step -> assertThat(step.title()).isNotBlank().doesNotContain("{"));
            if (!english.plans().get(0).steps().isEmpty()) {
                assertThat(spanish.plans().get(0).steps().get(0).title())
                        .isNotEqualTo(english.plans().get(0).steps().get(0).title());
            }
        }
    }

    @ParameterizedTest
    @EnumSource(CountRule.class)
    void everyRuleSaysWhatItMeasuredAndWhatItLeadsTo(CountRule rule) {
        for (String language : Catalogue.LANGUAGES) {
            assertThat(Catalogue.of(language).has("count.finding." + rule.id())).isTrue();
            assertThat(Catalogue.of(language).has("count.why." + rule.id())).isTrue();
            assertThat(Catalogue.of(language).has("count.rule." + rule.id())).isTrue();
        }
    }

    @Test
    void aBushTellsItsAgesNowAndAfterInJson() {
        JsonNode answer = JSON.valueToTree(ASSESSOR.assess(request("blueberry", "dormant")));
        assertThat(answer.at("/reading/form").asString()).isEqualTo("bush");
        assertThat(answer.at("/reading/canes/now/0/name").asString()).isEqualTo("1");
        assertThat(answer.at("/plans/0/totals/canesAfter").asDouble())
                .isLessThan(answer.at("/reading/canes/count").asDouble());
        assertThat(answer.at("/plans/0/steps/0/alternative/operation").asString())
                .isEqualTo("keep");
        assertThat(answer.at("/plans/0/steps/0/statements/title/0/code").asString())
                .startsWith("count.title.");
        assertThat(answer.has("/reading/nodes")).isFalse();
    }

    @Test
    void aVineTellsItsNodes() {
        CountAssessment answer = ASSESSOR.assess(request("grape", "delayed-dormant"));
        assertThat(answer.reading().nodes().weightIs()).isEqualTo("estimated");
        assertThat(answer.reading().nodes().wanted()).isEqualTo(20);
        assertThat(answer.measureNext()).extracting(Assessment.Measure::what).contains("pruningWeight_kg");
        assertThat(answer.timing().verdict()).isEqualTo("best");
    }

    @ParameterizedTest
    @ValueSource(strings = {"2027-07-01", "2027-08-15"})
    void aDayInLeafOverrulesADormantPhase(String day) {
        String document = "{'survey':{'format':'umbel-count/1','plant':{'kind':'blueberry'},'site':{'latitude_deg':47},"
                + BUSH + "},'phase':'dormant','on':'" + day + "'}";
        CountAssessment answer = ASSESSOR.assess(CountRequest.read(JSON.readTree(document.replace('\'', '"'))));
        assertThat(answer.timing().verdict()).isEqualTo("not");
        assertThat(answer.timing().reasons().get(0)).contains("in leaf");
    }

    @Test
    void februaryInTheNorthIsAugustInTheSouth() {
        assertThat(planOn("2027-02-20", 47)).isEqualTo(planOn("2027-08-20", -47));
    }

    @Test
    void aFaultIsNamedFromTheRequest() {
        String document = "{'survey':{'format':'umbel-count/1','plant':{'kind':'grape'}," + BUSH + "}}";
        InvalidSurvey refused = catchThrowableOfType(
                InvalidSurvey.class,
                () -> ASSESSOR.assess(CountRequest.read(JSON.readTree(document.replace('\'', '"')))));
        assertThat(refused.errors())
                .singleElement()
                .satisfies(error -> assertThat(error.field()).isEqualTo("survey.vine"));
    }

    @Test
    void anUnknownKindIsSaidToBeSo() {
        NotSupported refused = catchThrowableOfType(
                NotSupported.class, () -> ASSESSOR.assess(requestOf("cloudberry", BUSH, "dormant")));
        assertThat(refused.field()).isEqualTo("plant.kind");
    }

    private static List<String> planOn(String day, double latitude) {
        String document = "{'survey':{'format':'umbel-count/1','plant':{'kind':'blueberry'},'site':{'latitude_deg':"
                + latitude + "}," + BUSH + "},'phase':'dormant','on':'" + day + "'}";
        return ASSESSOR
                .assess(CountRequest.read(JSON.readTree(document.replace('\'', '"'))))
                .plans()
                .get(0)
                .steps()
                .stream()
                .map(CountAssessment.CountedStep::text)
                .toList();
    }

    private static CountRequest request(String kind, String phase) {
        CountedKind.Form form = Knowledge.shipped().counted(kind).form();
        return requestOf(kind, form == CountedKind.Form.BUSH ? BUSH : form == CountedKind.Form.ROW ? ROW : VINE, phase);
    }

    private static CountRequest requestOf(String kind, String count, String phase) {
        String document = "{'survey':{'format':'umbel-count/1','plant':{'kind':'" + kind + "','leaf':9,"
                + "'cultivar':{'habit':'upright'}}," + count + "},'phase':'" + phase + "'}";
        return CountRequest.read(JSON.readTree(document.replace('\'', '"')));
    }
}
