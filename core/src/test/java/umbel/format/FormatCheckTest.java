package umbel.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A document that is not as its format asks is told field by field, in words a grower can act on. */
class FormatCheckTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final FormatCheck SURVEY = new FormatCheck("umbel-survey-1");
    private static final String WHOLE = """
            {"format":"umbel-survey/1","tree":{"species":"apple","system":"tall-spindle","leaf":4},
             "trunk":{"diameter_mm":50,"height_cm":300},
             "limbs":[{"id":"1","parent":"trunk","at_cm":80,"bearing_deg":10,"angle_deg":70,"diameter_mm":15,"length_cm":60}]}""";

    private static List<FieldError> check(String document) {
        return SURVEY.check(JSON.readTree(document));
    }

    @Test
    void aWholeSurveyHasNoFault() {
        assertThat(check(WHOLE)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            "species":"apple",    |                      | tree.species      | missing
            "diameter_mm":50      | "diameter_mm":-5     | trunk.diameter_mm | at least
            "at_cm":80            | "at_cm":"high"       | limbs[0].at_cm    | Wrong kind of value
            umbel-survey/1        | umbel-survey/9       | format            | Must be umbel-survey/1.
            "angle_deg":70        | "angle_deg":700      | limbs[0].angle_deg | at most
            """)
    void eachFaultNamesItsFieldAndSaysWhatIsWanted(String was, String is, String field, String words) {
        String document = WHOLE.replace(was, is == null ? "" : is);
        assertThat(document).isNotEqualTo(WHOLE);
        assertThat(check(document)).anySatisfy(error -> {
            assertThat(error.field()).isEqualTo(field);
            assertThat(error.toString()).contains(words);
        });
    }

    @Test
    void aDocumentFullOfFaultsIsNotToldWithoutEnd() {
        String limb = "{\"id\":7},";
        String many = "[" + limb.repeat(100).replaceAll(",$", "") + "]";
        String document = WHOLE.replaceAll("(?s)\\[.*]", many);
        assertThat(check(document)).hasSize(50);
    }

    @ParameterizedTest
    @CsvSource({"2027-02-28, true", "2028-02-29, true", "2027-02-29, false", "2027-13-01, false", "yesterday, false"})
    void aDayMustExist(String day, boolean exists) {
        JsonNode document = JSON.readTree("{\"surveyed\":\"" + day + "\"}");
        List<FieldError> errors = new ArrayList<>();
        FormatCheck.checkDay(document, "surveyed", errors);
        FormatCheck.checkDay(document, "another", errors);
        assertThat(errors).hasSize(exists ? 0 : 1);
    }
}
