package umbel.app.instruction;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** A block's instruction from its surveyed trees to the crew's paper and the foreman's check. */
@ExtendWith(RunningUmbel.class)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class InstructionApiTest {

    private static final int SECONDS = 90;

    private final RunningUmbel umbel;

    InstructionApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private String path(String block) {
        for (JsonNode one : umbel.get("/api/holding").json().at("/blocks")) {
            if (one.at("/name").asString().equals(block)) {
                return "/api/blocks/" + one.at("/id").asLong() + "/instruction";
            }
        }
        throw new AssertionError("No block " + block);
    }

    private JsonNode season(String block) {
        for (JsonNode one : umbel.get("/api/season").json().path("blocks")) {
            if (one.path("name").asString().equals(block)) {
                return one;
            }
        }
        throw new AssertionError("No block " + block);
    }

    @Test
    @Order(1)
    void beforeThereIsOneItIsSaidWhichTreesToSurvey() {
        JsonNode page = umbel.get(path("Sun Step")).json();
        assertThat(page.at("/instruction").isNull()).isTrue();
        assertThat(page.at("/sample/wanted").asInt()).isEqualTo(8);
        assertThat(page.at("/sample/places").size())
                .isEqualTo(8 - page.at("/sample/surveyed").asInt());
        assertThat(umbel.get(path("Sun Step") + ".pdf").status()).isEqualTo(404);
        RunningUmbel.Answer nothing = umbel.post(path("Blue Bank"), "");
        assertThat(nothing.status()).isEqualTo(400);
    }

    @Test
    @Order(2)
    void itIsFoundInTheBackgroundAndSaysWhatItBrings() throws InterruptedException {
        assertThat(umbel.post(path("Long Wall"), "").status()).isEqualTo(202);
        JsonNode page = umbel.get(path("Long Wall")).json();
        for (int i = 0; i < SECONDS && !page.at("/search/state").asString().equals("done"); i++) {
            assertThat(page.at("/search/state").asString()).isIn("waiting", "running");
            Thread.sleep(1_000);
            page = umbel.get(path("Long Wall")).json();
        }
        JsonNode found = page.at("/instruction");
        assertThat(found.at("/sentences").size()).isBetween(1, 5);
        assertThat(found.at("/sentences/0/crew/es").asString()).isNotBlank();
        assertThat(found.at("/sentences/0/figure").asString()).startsWith("<svg");
        assertThat(found.at("/trees").size())
                .isEqualTo(page.at("/sample/surveyed").asInt());
        assertThat(found.at("/share").asDouble()).isLessThanOrEqualTo(1.2);
        assertThat(found.at("/after/shade").asDouble())
                .isLessThanOrEqualTo(found.at("/before/shade").asDouble());
        assertThat(found.at("/minutes/low").asDouble())
                .isLessThanOrEqualTo(found.at("/minutes/high").asDouble());
    }

    @Test
    @Order(3)
    void putToUseItGivesTheSeasonItsHours() {
        double before = season("Long Wall").path("hours").asDouble();
        JsonNode used = umbel.send("PUT", path("Long Wall") + "/use", "{\"use\":true}", "application/json")
                .json();
        assertThat(used.at("/instruction/inUse").asBoolean()).isTrue();
        double minutes = used.at("/instruction/minutes/middle").asDouble();
        JsonNode line = season("Long Wall");
        double left = line.path("trees").asDouble() - line.path("treesDone").asDouble();
        // other tests may have marked some of its trees; a thousand others are counted by the instruction
        assertThat(left).isGreaterThan(500);
        assertThat(line.path("hours").asDouble()).isBetween(0.9 * left * minutes / 60, 1.1 * left * minutes / 60 + 2);
        umbel.send("PUT", path("Long Wall") + "/use", "{\"use\":false}", "application/json");
        assertThat(season("Long Wall").path("hours").asDouble()).isEqualTo(before);
    }

    @Test
    @Order(4)
    void itPrintsInBothLanguagesWithItsGauges() {
        for (String language : new String[] {"en", "es"}) {
            byte[] pdf = umbel.bytes(path("Long Wall") + ".pdf?lang=" + language);
            assertThat(new String(pdf, 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
        }
        assertThat(umbel.get(path("Long Wall") + ".pdf?lang=xx").status()).isEqualTo(400);
    }

    @Test
    @Order(5)
    void finishedTreesAreHeldAgainstIt() {
        String form = umbel.get(path("Long Wall"))
                .json()
                .at("/instruction/sentences/0/form")
                .asString();
        JsonNode good = check("Tomas", 10, form, 3).json();
        assertThat(good.at("/instruction/checks/0/verdict").asString()).isEqualTo("good");
        JsonNode again = check("Lucia", 10, form, 12).json();
        assertThat(again.at("/instruction/checks/0/verdict").asString()).isEqualTo("again");
        assertThat(again.at("/instruction/missedByAll/0").asString()).isEqualTo(form);
        assertThat(check("Lucia", 10, "no-such", 1).status()).isEqualTo(400);
        assertThat(check("", 10, form, 1).status()).isEqualTo(400);
        assertThat(check("Lucia", 0, form, 1).status()).isEqualTo(400);
    }

    private RunningUmbel.Answer check(String who, int trees, String form, int faults) {
        return umbel.post(
                path("Long Wall") + "/checks",
                "{\"checkedOn\":\"" + LocalDate.now() + "\",\"who\":\"" + who + "\",\"row\":3,\"trees\":" + trees
                        + ",\"faults\":{\"" + form + "\":" + faults + "}}");
    }
}
