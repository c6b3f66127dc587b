package umbel.app.years;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** A block year by year, held against sums made here from its single records. */
@ExtendWith(RunningUmbel.class)
class YearsApiTest {

    private static final long BLOCK = 7;
    private static final long TREE = 23;

    private final RunningUmbel umbel;

    YearsApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private JsonNode year(int year) throws InterruptedException {
        for (JsonNode one : umbel.get("/api/blocks/" + BLOCK + "/years").json().path("years")) {
            if (one.path("year").asInt() == year) {
                return one;
            }
        }
        return null;
    }

    private long visit(LocalDate day, int minutes, String more) {
        String limb = umbel.get("/api/trees/" + TREE).json().at("/limbs/0/id").asString();
        String body = "{\"doneOn\":\"" + day + "\",\"who\":\"Ines\",\"minutes\":" + minutes
                + ",\"steps\":[{\"mark\":{\"operation\":\"remove\",\"limb\":\"" + limb
                + "\"},\"title\":\"Off\",\"outcome\":\"as-planned\",\"reason\":\"\"}]" + more + "}";
        RunningUmbel.Answer answer = umbel.post("/api/trees/" + TREE + "/records", body);
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        return umbel.workedOut(TREE, answer.json().at("/record/id").asLong())
                .path("id")
                .asLong();
    }

    @Test
    void aYearSumsItsVisitsWithoutThoseCorrectedAndItsCrop() throws Exception {
        // a year nobody else writes into
        LocalDate day = LocalDate.of(2001, 2, 3);
        long wrong = visit(day, 40, "");
        visit(day, 12, ",\"corrects\":" + wrong);
        visit(day.plusDays(1), 5, "");
        post("harvest", day, "\"kg\":120.5");
        post("harvest", day.plusDays(9), "\"kg\":80");
        post("thinning", day, "\"fruits\":700");
        post("harvest", day, "\"kg\":3.5,\"treeId\":" + TREE);
        JsonNode year = year(2001);
        assertThat(year).isNotNull();
        assertThat(year.path("visits").asInt()).isEqualTo(2);
        assertThat(year.path("trees").asInt()).isEqualTo(1);
        assertThat(year.path("minutes").asDouble()).isEqualTo(17);
        assertThat(year.path("crop_kg").asDouble())
                .as("what one tree bore is part of the block's own figure")
                .isEqualTo(200.5);
        assertThat(year.path("thinned").asInt()).isEqualTo(700);
        JsonNode found = umbel.get("/api/trees/" + TREE).json().at("/reading/light/under30");
        assertThat(year.path("shadeBefore").asDouble()).isCloseTo(found.asDouble(), within(0.01));
        JsonNode ofTree = umbel.get("/api/trees/" + TREE + "/pickings").json();
        assertThat(ofTree.size()).isEqualTo(1);
        assertThat(ofTree.get(0).path("kg").asDouble()).isEqualTo(3.5);
        assertThat(umbel.get("/api/years").json().size())
                .isEqualTo(umbel.get("/api/holding").json().path("blocks").size());
    }

    private void post(String kind, LocalDate day, String rest) {
        RunningUmbel.Answer answer = umbel.post(
                "/api/blocks/" + BLOCK + "/pickings",
                "{\"kind\":\"" + kind + "\",\"pickedOn\":\"" + day + "\",\"lastOne\":false,\"note\":\"\"," + rest
                        + "}");
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
    }

    @Test
    void aTreeOfAnotherBlockIsRefused() {
        String body = "{\"kind\":\"harvest\",\"pickedOn\":\"2001-08-01\",\"kg\":4,\"lastOne\":false,\"treeId\":1}";
        assertThat(umbel.post("/api/blocks/" + BLOCK + "/pickings", body).status())
                .isEqualTo(404);
    }
}
