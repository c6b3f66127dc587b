package umbel.app.http;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** What is refused is said in the reader's language and units, with a code that is the same in all of them. */
@ExtendWith(RunningUmbel.class)
class ProblemLanguageTest {

    private static final String BEYOND_PARENT = """
            {"survey": {"format": "umbel-survey/1",
              "tree": {"species": "apple", "system": "tall-spindle", "leaf": 6},
              "trunk": {"diameter_mm": 60, "height_cm": 300},
              "limbs": [{"id": "1", "parent": "trunk", "at_cm": 400, "bearing_deg": 10, "angle_deg": 80,
                "diameter_mm": 18, "length_cm": 90}]}}
            """;

    private final RunningUmbel umbel;

    ProblemLanguageTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private JsonNode asked(String method, String path, String body, String language, String units) {
        return umbel.send(method, path, body, "application/json", language, units)
                .json();
    }

    @Test
    void aFaultOfASurveyIsSaidInTheReadersLanguageAndUnits() {
        JsonNode english = asked("POST", "/api/assess", BEYOND_PARENT, "en", "metric");
        JsonNode spanish = asked("POST", "/api/assess", BEYOND_PARENT, "es", "metric");
        JsonNode inFeet = asked("POST", "/api/assess", BEYOND_PARENT, "en", "us");
        assertThat(english.at("/errors/0/field").asString()).isEqualTo("survey.limbs[0].at_cm");
        assertThat(english.at("/errors/0/message").asString())
                .isEqualTo("The limb starts at 400 cm, beyond the end of its parent trunk at 300 cm.");
        assertThat(spanish.at("/errors/0/message").asString())
                .startsWith("La rama sale a 400 cm")
                .contains("300 cm");
        assertThat(inFeet.at("/errors/0/message").asString())
                .contains("13.1 ft")
                .contains("9.8 ft");
        assertThat(spanish.at("/errors/0/code")).isEqualTo(english.at("/errors/0/code"));
        assertThat(spanish.at("/errors/0/values")).isEqualTo(english.at("/errors/0/values"));
        assertThat(english.at("/errors/0/values/at/value").asDouble()).isEqualTo(400);
        assertThat(english.at("/errors/0/values/at/unit").asString()).isEqualTo("cm");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            GET    | /api/trees/99999     |                | No existe el árbol 99999.
            GET    | /api/nowhere         |                | En esta dirección no hay nada.
            GET    | /api/trees/many      |                | Nada aquí tiene el número «many».
            DELETE | /api/season          |                | Aquí no se admite el método DELETE.
            POST   | /api/assess          | {              | El contenido no es el JSON que lee esta dirección
            POST   | /api/holdings        | {"name": "", "latitudeDeg": 47, "elevationM": 90} | Falta este dato.
            """)
    void everyRefusalIsTranslated(String method, String path, String body, String says) {
        JsonNode answer = asked(method, path, body == null ? "" : body, "es", "metric");
        assertThat(answer.at("/detail").asString()).startsWith(says);
        assertThat(answer.at("/code").asString()).startsWith("problem.");
        assertThat(answer.at("/title").asString()).isNotEmpty();
    }

    @Test
    void boundsOfAnEntryAreSaidWithTheirNumbers() {
        JsonNode answer = asked(
                "POST",
                "/api/holdings",
                "{\"name\": \"" + "a".repeat(201) + "\", \"latitudeDeg\": 70, \"elevationM\": 9000}",
                "en",
                "metric");
        assertThat(answer.at("/errors")
                        .valueStream()
                        .map(one -> one.at("/message").asString()))
                .containsExactlyInAnyOrder(
                        "Too long: at most 200 characters.",
                        "Between 66° south and 66° north.",
                        "Must be at most 4,500 m.");
    }
}
