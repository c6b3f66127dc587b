package umbel.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import umbel.format.FieldError;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;

class SurveyReaderTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static final String PLAIN = """
            { "format": "umbel-survey/1",
              "tree": { "label": "Row 3-14", "species": "apple", "leaf": 4, "system": "tall-spindle",
                "cultivar": { "name": "Merrow Late", "habit": "standard", "set": "moderate", "vigour": "moderate" },
                "rootstock": { "name": "", "class": "dwarfing" },
                "spacing_m": { "inRow": 1.0, "betweenRows": 3.5 }, "rowBearing_deg": 10 },
              "site": { "latitude_deg": 47.6, "elevation_m": 410 },
              "surveyedOn": "2027-02-02",
              "trunk": { "diameter_mm": 48, "diameterAt_cm": 30, "height_cm": 295, "unionAt_cm": 10 },
              "limbs": [
                { "id": "1", "parent": "trunk", "role": "scaffold", "at_cm": 70, "bearing_deg": 15, "angle_deg": 62,
                  "tipAngle_deg": 74, "diameter_mm": 18, "length_cm": 95, "age_y": 3, "lastGrowth_cm": 35,
                  "condition": ["sound"], "disease": null, "note": "",
                  "wood": { "shoots": [ { "class": "pencil", "attitude": "side", "count": 4, "length_cm": 30 } ],
                            "spurs": { "count": 12, "age_y": 2 }, "flowerBuds": 14 } },
                { "id": "2", "parent": "1", "at_cm": 40, "bearing_deg": 60, "angle_deg": 70, "diameter_mm": 8,
                  "length_cm": 40 } ] }
            """;

    @Test
    void theWholeFormatIsRead() {
        Survey survey = SurveyReader.read(PLAIN);
        assertThat(survey.tree().species()).isEqualTo("apple");
        assertThat(survey.tree().spacing().betweenRows()).isEqualTo(3.5);
        assertThat(survey.tree().rootstock().vigourClass()).isEqualTo("dwarfing");
        assertThat(survey.site().latitudeDeg()).isEqualTo(47.6);
        assertThat(survey.surveyedOn()).hasToString("2027-02-02");
        assertThat(survey.trunk().unionAtCm()).isEqualTo(10);
        Survey.LimbMeasure limb = survey.limbs().get(0);
        assertThat(limb.tipAngleDeg()).isEqualTo(74);
        assertThat(limb.wood().shoots().get(0).lengthCm()).isEqualTo(30);
        assertThat(limb.wood().spurs().count()).isEqualTo(12);
        assertThat(limb.wood().flowerBuds()).isEqualTo(14);
        assertThat(survey.limbs().get(1).wood()).isNull();
        assertThat(survey.limbs().get(1).condition()).isEmpty();
    }

    @Test
    void onlyTheRequiredFieldsAreNeeded() {
        Survey survey = SurveyReader.read("""
                { "format": "umbel-survey/1", "tree": { "species": "apple" },
                  "trunk": { "diameter_mm": 48, "height_cm": 295 },
                  "limbs": [ { "id": "a", "parent": "trunk", "at_cm": 70, "bearing_deg": 0, "angle_deg": 60,
                               "diameter_mm": 18, "length_cm": 95 } ] }
                """);
        assertThat(survey.tree().leaf()).isNull();
        assertThat(survey.limbs()).hasSize(1);
    }

    @Test
    void fieldsFromOtherSoftwareAreLetPass() throws Exception {
        ObjectNode survey = plain();
        survey.put("instrument", "tape");
        assertThat(SurveyReader.read(survey).limbs()).hasSize(2);
    }

    @ParameterizedTest
    @ValueSource(strings = {"central-leader", "modified-central-leader", "tall-spindle", "open-centre"})
    void whatIsWrittenIsReadBackTheSame(String system) {
        for (long seed = 1; seed <= 5; seed++) {
            Survey survey = PracticeTree.survey(system, 6, seed, Fault.CANKER, Fault.SUCKERS);
            assertThat(SurveyReader.read(SurveyReader.write(survey))).isEqualTo(survey);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "/limbs/0/angle_deg, 181, limbs[0].angle_deg",
        "/limbs/0/angle_deg, -1, limbs[0].angle_deg",
        "/limbs/0/angle_deg, '\"steep\"', limbs[0].angle_deg",
        "/limbs/0/bearing_deg, 361, limbs[0].bearing_deg",
        "/limbs/0/diameter_mm, 0, limbs[0].diameter_mm",
        "/limbs/0/diameter_mm, 5000, limbs[0].diameter_mm",
        "/limbs/0/length_cm, 0, limbs[0].length_cm",
        "/limbs/0/at_cm, -5, limbs[0].at_cm",
        "/limbs/0/at_cm, null, limbs[0].at_cm",
        "/limbs/0/age_y, 2.5, limbs[0].age_y",
        "/limbs/0/role, '\"twig\"', limbs[0].role",
        "/limbs/0/condition, '[\"poorly\"]', limbs[0].condition[0]",
        "/limbs/0/id, '\"\"', limbs[0].id",
        "/limbs/0/wood/shoots/0/count, -1, limbs[0].wood.shoots[0].count",
        "/limbs/0/wood/shoots/0/class, '\"fat\"', limbs[0].wood.shoots[0].class",
        "/limbs/0/wood/spurs/count, 100000, limbs[0].wood.spurs.count",
        "/trunk/diameter_mm, 2, trunk.diameter_mm",
        "/trunk/height_cm, 99999, trunk.height_cm",
        "/trunk/height_cm, true, trunk.height_cm",
        "/tree/leaf, -1, tree.leaf",
        "/tree/species, 7, tree.species",
        "/tree/cultivar/habit, '\"wild\"', tree.cultivar.habit",
        "/tree/rootstock/class, '\"tiny\"', tree.rootstock.class",
        "/tree/spacing_m/inRow, 0, tree.spacing_m.inRow",
        "/site/latitude_deg, 80, site.latitude_deg",
        "/site/slope_deg, 60, site.slope_deg",
        "/site/uphill_deg, -3, site.uphill_deg",
        "/site/netShare, 1.2, site.netShare",
        "/trunk/lastGrowth_cm, 900, trunk.lastGrowth_cm",
        "/surveyedOn, '\"2027-02-30\"', surveyedOn",
        "/surveyedOn, '\"yesterday\"', surveyedOn",
        "/format, '\"umbel-survey/9\"', format",
    })
    void aFieldOutOfRangeIsNamed(String pointer, String value, String field) throws Exception {
        ObjectNode survey = plain();
        int cut = pointer.lastIndexOf('/');
        JsonNode holder = survey.at(pointer.substring(0, cut));
        ((ObjectNode) holder).set(pointer.substring(cut + 1), JSON.readTree(value));
        assertThat(fieldsOf(survey)).contains(field);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "format",
                "tree",
                "trunk",
                "limbs",
                "tree.species",
                "trunk.diameter_mm",
                "trunk.height_cm",
                "limbs[0].id",
                "limbs[0].parent",
                "limbs[0].at_cm",
                "limbs[0].bearing_deg",
                "limbs[0].angle_deg",
                "limbs[0].diameter_mm",
                "limbs[0].length_cm"
            })
    void aMissingRequiredFieldIsNamed(String field) throws Exception {
        ObjectNode survey = plain();
        String pointer = "/" + field.replace("[0]", "/0").replace('.', '/');
        int cut = pointer.lastIndexOf('/');
        ((ObjectNode) survey.at(pointer.substring(0, cut))).remove(pointer.substring(cut + 1));
        assertThat(fieldsOf(survey)).contains(field);
    }

    @Test
    void everyFaultIsToldAtOnce() throws Exception {
        ObjectNode survey = plain();
        ((ObjectNode) survey.at("/trunk")).put("diameter_mm", -3);
        ((ObjectNode) survey.at("/limbs/1")).put("angle_deg", 900);
        ((ObjectNode) survey.at("/limbs/0")).put("bearing_deg", "north");
        assertThat(fieldsOf(survey)).contains("trunk.diameter_mm", "limbs[1].angle_deg", "limbs[0].bearing_deg");
    }

    @Test
    void limbsThatGrowFromOneAnotherAreRefused() throws Exception {
        ObjectNode survey = plain();
        ((ObjectNode) survey.at("/limbs/0")).put("parent", "2");
        assertThat(fieldsOf(survey)).contains("limbs[0].parent", "limbs[1].parent");
    }

    @Test
    void aLimbThatIsItsOwnParentIsRefused() throws Exception {
        ObjectNode survey = plain();
        ((ObjectNode) survey.at("/limbs/1")).put("parent", "2");
        assertThat(fieldsOf(survey)).contains("limbs[1].parent");
    }

    @Test
    void aParentThatIsNotThereIsRefused() throws Exception {
        ObjectNode survey = plain();
        ((ObjectNode) survey.at("/limbs/1")).put("parent", "99");
        assertThat(fieldsOf(survey)).containsExactly("limbs[1].parent");
    }

    @Test
    void twoLimbsWithOneNameAreRefused() throws Exception {
        ObjectNode survey = plain();
        ((ObjectNode) survey.at("/limbs/1")).put("id", "1").put("parent", "trunk");
        assertThat(fieldsOf(survey)).contains("limbs[1].id");
    }

    @Test
    void noLimbMayBeCalledTrunk() throws Exception {
        ObjectNode survey = plain();
        ((ObjectNode) survey.at("/limbs/1")).put("id", "trunk");
        assertThat(fieldsOf(survey)).contains("limbs[1].id");
    }

    @Test
    void aLimbCannotStartBeyondItsParentsEnd() throws Exception {
        ObjectNode survey = plain();
        ((ObjectNode) survey.at("/limbs/1")).put("at_cm", 96);
        assertThat(fieldsOf(survey)).containsExactly("limbs[1].at_cm");
        ((ObjectNode) survey.at("/limbs/1")).put("at_cm", 95);
        assertThat(SurveyReader.read(survey).limbs()).hasSize(2);
        ((ObjectNode) survey.at("/limbs/0")).put("at_cm", 296);
        assertThat(fieldsOf(survey)).containsExactly("limbs[0].at_cm");
    }

    @Test
    void theUnionAndTheCalliperStayBelowTheTop() throws Exception {
        ObjectNode survey = plain();
        ((ObjectNode) survey.at("/trunk"))
                .put("height_cm", 80)
                .put("unionAt_cm", 90)
                .put("diameterAt_cm", 85);
        assertThat(fieldsOf(survey)).contains("trunk.unionAt_cm", "trunk.diameterAt_cm");
    }

    @Test
    void lastYearsGrowthIsNoLongerThanTheLimb() throws Exception {
        ObjectNode survey = plain();
        ((ObjectNode) survey.at("/limbs/0")).put("lastGrowth_cm", 96);
        assertThat(fieldsOf(survey)).containsExactly("limbs[0].lastGrowth_cm");
    }

    @Test
    void fiveThousandLimbsAreTooMany() throws Exception {
        ObjectNode survey = plain();
        ArrayNode limbs = (ArrayNode) survey.get("limbs");
        for (int i = 3; i <= 5000; i++) {
            ObjectNode limb = ((ObjectNode) limbs.get(1)).deepCopy();
            limb.put("id", String.valueOf(i)).put("parent", "trunk");
            limbs.add(limb);
        }
        assertThat(fieldsOf(survey)).contains("limbs");
    }

    @Test
    void moreTwigsThanCanBeReadAreRefused() throws Exception {
        ObjectNode survey = plain();
        ArrayNode limbs = (ArrayNode) survey.get("limbs");
        for (int i = 3; i <= 60; i++) {
            ObjectNode limb = ((ObjectNode) limbs.get(0)).deepCopy();
            limb.put("id", String.valueOf(i));
            ((ObjectNode) limb.at("/wood/spurs")).put("count", 900);
            limbs.add(limb);
        }
        assertThat(fieldsOf(survey)).containsExactly("limbs");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "{", "[1,2", "nonsense", "{\"format\":}"})
    void whatIsNotJsonIsSaidToBeNone(String text) {
        assertThatThrownBy(() -> SurveyReader.read(text)).isInstanceOf(InvalidSurvey.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"null", "7", "[]", "\"tree\""})
    void aSurveyIsAnObject(String text) {
        InvalidSurvey refused = catchThrowableOfType(InvalidSurvey.class, () -> SurveyReader.read(text));
        assertThat(refused.errors()).hasSize(1);
        assertThat(refused.errors().get(0).toString()).contains("object");
    }

    @Test
    void aFieldSeenFromTheOutsideCarriesItsWholePath() {
        assertThat(FieldError.of("limbs[2].at_cm", "problem.missing")
                        .under("survey")
                        .field())
                .isEqualTo("survey.limbs[2].at_cm");
        assertThat(FieldError.of("", "problem.missing").under("survey").field()).isEqualTo("survey");
    }

    private static ObjectNode plain() {
        return (ObjectNode) JSON.readTree(PLAIN);
    }

    private static java.util.List<String> fieldsOf(JsonNode survey) {
        InvalidSurvey refused = catchThrowableOfType(InvalidSurvey.class, () -> SurveyReader.read(survey));
        assertThat(refused).as("the survey is refused").isNotNull();
        return refused.errors().stream().map(FieldError::field).toList();
    }

    @ParameterizedTest
    @ValueSource(strings = {"central-leader", "tall-spindle", "open-centre", "espalier", "slender-axe"})
    void whatWasCheckedOnceIsReadTheSameWithoutChecking(String system) {
        String kept = SurveyReader.write(PracticeTree.survey(system, 9, 4, Fault.DEAD_LIMB, Fault.SUCKERS));
        assertThat(SurveyReader.saved(kept)).isEqualTo(SurveyReader.read(kept));
    }
}
