package umbel.app.orchard;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.NewBlock;
import umbel.app.RunningUmbel;

@ExtendWith(RunningUmbel.class)
class HoldingFilesApiTest {

    private final RunningUmbel umbel;

    HoldingFilesApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void blocksAndRowsAreGeoJsonInMetres() {
        JsonNode map = umbel.get("/api/holding.geojson").json();
        assertThat(map.path("type").asString()).isEqualTo("FeatureCollection");
        double rows = 0;
        for (JsonNode feature : map.path("features")) {
            boolean ofWall = feature.at("/properties/kind").asString().equals("row")
                    && feature.at("/properties/block").asLong() == 2;
            if (ofWall) {
                JsonNode line = feature.at("/geometry/coordinates");
                double length = Math.hypot(
                        line.at("/1/0").asDouble() - line.at("/0/0").asDouble(),
                        line.at("/1/1").asDouble() - line.at("/0/1").asDouble());
                rows += length + 1.0;
            }
        }
        // 1 400 trees a metre apart: as many metres of row as trees
        assertThat(rows).isBetween(1399.0, 1401.0);
    }

    @Test
    void aBlockOfOneTreeComesBackWhereItWas() {
        long block = NewBlock.add(umbel, "Lone", "apple", "tall-spindle", 1);
        JsonNode read =
                umbel.post("/api/map", umbel.get("/api/holding.geojson").text()).json();
        assertThat(read.path("errors")).isEmpty();
        assertThat(read.path("places"))
                .filteredOn(place -> place.path("blockId").asLong() == block)
                .singleElement()
                .satisfies(place -> {
                    assertThat(place.path("movedM").asDouble()).isZero();
                    assertThat(place.path("bearingDeg").asDouble())
                            .isEqualTo(place.path("bearingBeforeDeg").asDouble());
                });
    }

    @Test
    void recordsComeAsATableALineAStep() {
        String table = umbel.get("/api/records.csv").text();
        assertThat(table.lines().findFirst().orElse("")).startsWith("visit,corrects,done_on,block,tree");
        assertThat(table).contains("Kiln Field").contains("Remove the shading limb on the south side");
    }

    @Test
    void theHoldingsLimitsStopAStepOnTheSheet() {
        long tree = 18;
        JsonNode page = umbel.get("/api/trees/" + tree).json();
        String limb = page.at("/limbs/0/id").asString();
        umbel.send(
                "PUT",
                "/api/trees/" + tree + "/work",
                "{\"decisions\":{\"marks\":[{\"operation\":\"remove\",\"limb\":\"" + limb + "\"}]},\"version\":"
                        + page.path("workVersion").asLong() + "}",
                "application/json");
        long holding = umbel.get("/api/holdings").json().get(0).path("id").asLong();
        String path = "/api/holdings/" + holding + "/limits";
        assertThat(umbel.send("PUT", path, "{\"massKg\":0.1}", "application/json")
                        .status())
                .isEqualTo(400);
        umbel.send("PUT", path, "{\"diameterMm\":20}", "application/json");
        JsonNode strict = umbel.get("/api/field/trees/" + tree).json();
        assertThat(strict.at("/steps/0/stop").asBoolean()).isTrue();
        assertThat(strict.at("/steps/0/warnings/es/0").asString()).isEqualTo("ALTO: PERSONA CUALIFICADA");
        umbel.send("PUT", path, "{}", "application/json");
        assertThat(umbel.get("/api/field/trees/" + tree)
                        .json()
                        .at("/steps/0/stop")
                        .asBoolean())
                .isFalse();
    }
}
