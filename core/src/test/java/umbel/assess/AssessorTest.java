package umbel.assess;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import umbel.cut.ImpossibleCut;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.format.FieldError;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;
import umbel.knowledge.NotSupported;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.InvalidSurvey;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.survey.Surveys;
import umbel.text.Speech;

class AssessorTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Set<String> FORMAT_OPERATIONS = Set.of(
            "keep",
            "watch",
            "remove",
            "bend",
            "head",
            "tip",
            "shorten",
            "reduce",
            "renew-stub",
            "renew-bevel",
            "lower-leader",
            "short-spur",
            "thin-spurs",
            "rub",
            "deflower");
    private static final Set<String> FORMAT_RULES = Set.of(
            "unsound-wood",
            "root-sucker",
            "rival-leader",
            "limb-too-thick",
            "tight-crotch",
            "crowded-origin",
            "stacked-limbs",
            "bare-sector",
            "crossing",
            "inward",
            "water-sprout",
            "hanger",
            "crowding",
            "shade",
            "over-height",
            "lost-cone",
            "out-of-box",
            "box-not-filled",
            "lop-sided",
            "old-wood",
            "wood-moved-out",
            "over-vigour",
            "under-vigour",
            "over-crop",
            "under-crop",
            "scion-rooted",
            "will-drop");

    private final Assessor assessor = new Assessor(Knowledge.shipped());

    @ParameterizedTest
    @CsvSource({"central-leader, 18", "modified-central-leader, 7", "tall-spindle, 4", "open-centre, 6"})
    void theAnswerHasTheShapeOfTheFormat(String system, int leaf) {
        Survey survey = PracticeTree.survey(
                system, leaf, 3, Fault.TIGHT_CROTCH, Fault.WATER_SPROUTS, Fault.SUCKERS, Fault.BROKEN_LIMB);
        JsonNode answer = JSON.valueToTree(assessor.assess(AssessRequest.of(survey)));
        for (String number : List.of("under30", "under50", "interception")) {
            assertThat(answer.at("/reading/light/" + number).isNumber())
                    .as(number)
                    .isTrue();
        }
        for (String number : List.of("flowerBuds", "expectedFruits", "targetFruits")) {
            assertThat(answer.at("/reading/crop/" + number).isNumber())
                    .as(number)
                    .isTrue();
        }
        answer.at("/reading/findings").forEach(finding -> {
            assertThat(finding.get("rule").asString()).isIn(FORMAT_RULES);
            assertThat(finding.get("severity").asString()).isIn("act", "consider", "watch");
            assertThat(finding.get("value").isNumber()).isTrue();
            assertThat(finding.get("limbs").isArray()).isTrue();
        });
        assertThat(answer.at("/plans")).hasSize(4);
        assertThat(answer.at("/plans/0/steps").size()).isPositive();
        answer.at("/plans/0/steps").forEach(AssessorTest::hasTheFieldsOfAStep);
        for (String total : List.of(
                "woodShare",
                "bigCuts",
                "cuts",
                "minutes",
                "ladderMinutes",
                "under30After",
                "cropThisYear",
                "newSprouts")) {
            assertThat(answer.at("/plans/0/totals/" + total).isNumber())
                    .as(total)
                    .isTrue();
        }
        assertThat(answer.at("/plans/0/totals/cropYear3").isNumber()).isTrue();
        assertThat(answer.at("/plans/0/years").size()).isEqualTo(3);
        assertThat(answer.at("/timing/verdict").asString()).isIn("not", "allowed", "better", "best");
        assertThat(answer.at("/measureNext").size()).isLessThanOrEqualTo(2);
    }

    private static void hasTheFieldsOfAStep(JsonNode step) {
        assertThat(step.get("operation").asString()).isIn(FORMAT_OPERATIONS);
        for (String number : List.of("order", "year", "at_cm", "cutDiameter_mm", "mass_kg", "confidence")) {
            assertThat(step.get(number).isNumber()).as(number).isTrue();
        }
        assertThat(step.get("threeStep").isBoolean()).isTrue();
        assertThat(step.get("closeCall").isBoolean()).isTrue();
        assertThat(step.at("/alternative/operation").asString()).isIn(FORMAT_OPERATIONS);
        assertThat(step.get("text").asString()).contains(step.get("title").asString());
        assertThat(step.get("cautions").isArray()).isTrue();
    }

    @Test
    void whatIsAskedForIsUsed() {
        Survey survey = PracticeTree.survey("central-leader", 18, 3, Fault.TOO_TALL, Fault.WATER_SPROUTS);
        AssessRequest low = new AssessRequest(
                survey, "dormant", null, null, "classic", new AssessRequest.LimitsAsked(0.05, 0, 1.8), 1, 7L);
        Assessment answer = assessor.assess(low);
        assertThat(answer.plans().get(0).totals().woodShare()).isLessThanOrEqualTo(0.05);
        assertThat(answer.plans().get(0).totals().bigCuts()).isZero();
        assertThat(answer.plans().get(0).steps()).allMatch(step -> step.year() == 0);
        assertThat(answer.reading().findings().stream()
                        .filter(finding -> finding.rule().equals("over-height"))
                        .findFirst()
                        .orElseThrow()
                        .threshold())
                .isCloseTo(1.8 * 1.9, within(1e-6));
    }

    @Test
    void theSchoolIsHeard() {
        Survey survey = Surveys.apple().scaffold("1", 35, 0, 55, 55, 150).survey();
        assertThat(rules(survey, "classic")).contains("limb-too-thick");
        assertThat(rules(survey, "gentle")).doesNotContain("limb-too-thick");
    }

    @Test
    void unsupportedKindsAreSaidToBeSo() {
        Survey survey = PracticeTree.survey("tall-spindle", 4, 1);
        ObjectNode thorn = (ObjectNode) JSON.readTree(SurveyReader.write(survey));
        ((ObjectNode) thorn.get("tree")).put("species", "blackthorn");
        NotSupported refused = catchThrowableOfType(
                NotSupported.class, () -> assessor.assess(AssessRequest.of(SurveyReader.read(thorn))));
        assertThat(refused.field()).isEqualTo("tree.species");
    }

    @ParameterizedTest
    @CsvSource({
        "phase, '\"midnight\"', phase",
        "on, '\"2027-13-01\"', on",
        "years, 0, years",
        "years, 9, years",
        "seed, -1, seed",
        "goals, '{\"light\": -1}', goals.light",
        "goals, '{\"beauty\": 1}', goals.beauty",
        "limits, '{\"woodShare\": 2}', limits.woodShare",
        "limits, '{\"bigCuts\": 1.5}', limits.bigCuts",
        "limits, '{\"reach_m\": 40}', limits.reach_m",
        "survey, '{\"format\": \"umbel-survey/1\"}', survey.tree",
        "survey, 7, survey",
    })
    void aFaultyRequestNamesItsField(String field, String value, String named) {
        ObjectNode request = request();
        request.set(field, JSON.readTree(value));
        InvalidSurvey refused = catchThrowableOfType(InvalidSurvey.class, () -> AssessRequest.read(request));
        assertThat(refused.errors()).extracting(FieldError::field).contains(named);
    }

    @ParameterizedTest
    @ValueSource(strings = {"[]", "null", "3", "{}"})
    void aRequestIsAnObjectWithASurvey(String text) {
        InvalidSurvey refused =
                catchThrowableOfType(InvalidSurvey.class, () -> AssessRequest.read(JSON.readTree(text)));
        assertThat(refused.errors()).isNotEmpty();
    }

    @Test
    void everythingButTheSurveyHasADefault() {
        AssessRequest request = AssessRequest.read(request());
        assertThat(request.school()).isNull();
        assertThat(assessor.school(request).id()).isEqualTo("classic");
        assertThat(assessor.limits(request, assessor.tree(request)).reach()).isEqualTo(2.4);
    }

    @ParameterizedTest
    @CsvSource({"dormant, not", "delayed-dormant, allowed", "bloom, best", "after-harvest, not"})
    void cankerMovesPeachToBloom(String phase, String verdict) {
        Survey survey = PracticeTree.survey("open-centre", 6, 1, Fault.CANKER);
        assertThat(PhaseTiming.of(assessor.tree(AssessRequest.of(survey)), Moment.of(phase), Speech.english())
                        .verdict())
                .isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"2027-07-15, 47, true", "2027-07-15, -41, false", "2027-02-15, 47, false", "2027-02-15, -41, true"})
    void aDayInLeafOverrulesADormantPhaseAndIsSaid(LocalDate on, double latitude, boolean inLeaf) {
        Survey shown = PracticeTree.survey("central-leader", 16, 3, Fault.RIVAL_LEADER, Fault.WATER_SPROUTS);
        ObjectNode document = (ObjectNode) JSON.readTree(SurveyReader.write(shown));
        document.putObject("site").put("latitude_deg", latitude).put("elevation_m", 200);
        Survey survey = SurveyReader.read(document);
        Assessment answer = assessor.assess(new AssessRequest(survey, "dormant", on, null, null, null, 1, null));
        assertThat(answer.timing().reasons().get(0).contains("trees are in leaf"))
                .isEqualTo(inLeaf);
        boolean hand = answer.plans().get(0).steps().stream().allMatch(step -> step.cutDiameterMm() <= 20);
        assertThat(hand).isEqualTo(inLeaf);
    }

    @Test
    void inAPhaseTheCalendarClosesOnlyUrgentWorkIsForNow() {
        Survey survey = PracticeTree.survey("open-centre", 6, 1, Fault.CANKER, Fault.WATER_SPROUTS);
        Assessment answer = assessor.assess(
                new AssessRequest(survey, "dormant", LocalDate.of(2027, 1, 5), null, null, null, 3, null));
        assertThat(answer.timing().verdict()).isEqualTo("not");
        assertThat(answer.plans().get(0).steps())
                .filteredOn(step -> step.year() == 0 && step.cuts() > 0)
                .isNotEmpty()
                .allMatch(Assessment.StepAnswer::beyondArgument);
    }

    @Test
    void aHealthyPeachMayBeCutDormant() {
        Survey survey = PracticeTree.survey("open-centre", 6, 1);
        Assessment.Timing timing =
                PhaseTiming.of(assessor.tree(AssessRequest.of(survey)), Moment.DORMANT, Speech.english());
        assertThat(timing.verdict()).isEqualTo("allowed");
        assertThat(timing.reasons()).anyMatch(reason -> reason.contains("weather"));
    }

    @Test
    void cautionsStandByTheStepsTheyBelongTo() {
        Assessment answer = assessor.assess(AssessRequest.of(
                PracticeTree.survey("central-leader", 22, 2, Fault.RIVAL_LEADER, Fault.CANKER, Fault.TIGHT_CROTCH)));
        for (Assessment.StepAnswer step : answer.plans().get(0).steps()) {
            String cautions = String.join(" ", step.cautions());
            assertThat(cautions.contains("Three-legged"))
                    .as("ladder on %s", step.title())
                    .isEqualTo(step.ladder());
            assertThat(cautions.contains("fall zone")).isEqualTo(step.threeStep());
            assertThat(cautions.contains("powered saw")).isEqualTo(step.tool().equals("saw"));
            if (step.rules().contains("unsound-wood")) {
                assertThat(cautions).contains("Clean the tool");
            }
        }
    }

    @Test
    void wordsSayWhereExactly() {
        Survey survey = PracticeTree.survey("central-leader", 18, 2, Fault.CANKER, Fault.SUCKERS);
        var tree = assessor.tree(AssessRequest.of(survey));
        assertThat(StepText.english().place(tree, Operation.remove(Target.parse("2"))))
                .contains("collar")
                .contains("no stub");
        assertThat(StepText.english().title(tree, Operation.remove(Target.parse("s1"))))
                .contains("rootstock");
        assertThat(StepText.english().title(tree, Operation.remove(Target.parse("1/shoots/up"))))
                .contains("upright")
                .contains("limb 1");
        assertThat(StepText.english().place(tree, Operation.cutAt(OperationKind.HEAD, Target.parse("2"), 0.8)))
                .contains("6 mm")
                .contains("80 cm");
        assertThat(StepText.english().title(tree, Operation.bend(Target.parse("2"), Math.toRadians(55))))
                .contains("55°");
        assertThat(StepText.english().title(tree, Operation.thin(Target.parse("1/shoots"), 4)))
                .contains("best 4");
        String diseased = survey.limbs().get(1).id();
        assertThat(StepText.english().place(tree, Operation.remove(Target.parse(diseased))))
                .contains("35 cm");
    }

    @Test
    void aMarkSurvivesTheRoundTrip() {
        for (Operation operation : List.of(
                Operation.remove(Target.parse("4")),
                Operation.remove(Target.parse("4/shoots/up/strong")),
                Operation.thin(Target.parse("4/shoots"), 6),
                Operation.cutAt(OperationKind.SHORTEN, Target.parse("4"), 0.85),
                Operation.reduce(OperationKind.REDUCE, Target.parse("4"), "4a", 0.6),
                Operation.whole(OperationKind.RENEW_BEVEL, Target.parse("4")))) {
            assertThat(Mark.of(operation).toOperation()).isEqualTo(operation);
        }
        Operation bend =
                Mark.of(Operation.bend(Target.parse("4"), Math.toRadians(55))).toOperation();
        assertThat(Math.toDegrees(bend.toAngle())).isCloseTo(55, within(0.01));
    }

    @Test
    void aMarkThatSaysNothingIsRefused() {
        ImpossibleCut wrong = catchThrowableOfType(
                ImpossibleCut.class, () -> new Mark("chop", "4", null, null, null, null).toOperation());
        assertThat(wrong.field()).isEqualTo("operation");
        ImpossibleCut where = catchThrowableOfType(
                ImpossibleCut.class, () -> new Mark("remove", " ", null, null, null, null).toOperation());
        assertThat(where.field()).isEqualTo("limb");
    }

    @Test
    void theLeastSureFindingIsWhatToMeasureNext() {
        Survey survey =
                Surveys.apple().leaf(5).scaffold("1", 80, 0, 38, 30, 150).survey();
        Assessment answer = assessor.assess(AssessRequest.of(survey));
        assertThat(answer.measureNext()).hasSize(1);
        assertThat(answer.measureNext().get(0).limb()).isEqualTo("1");
        assertThat(answer.measureNext().get(0).what()).isEqualTo("angle");
    }

    private List<String> rules(Survey survey, String school) {
        AssessRequest request = new AssessRequest(survey, null, null, null, school, null, null, null);
        return assessor.assess(request).reading().findings().stream()
                .map(Assessment.FindingAnswer::rule)
                .toList();
    }

    private static ObjectNode request() {
        ObjectNode request = JSON.createObjectNode();
        request.set("survey", JSON.readTree(SurveyReader.write(PracticeTree.survey("tall-spindle", 4, 1))));
        return request;
    }
}
