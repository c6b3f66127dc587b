package umbel.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

@ExtendWith(RunningUmbel.class)
class TreeLayersApiTest {

    private final RunningUmbel umbel;

    TreeLayersApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void theLightLayerTellsWhoShadesWhomAndCutsTheTreeOpen() {
        JsonNode light = umbel.get("/api/trees/1/light").json();
        assertThat(light.at("/shades").size()).isGreaterThan(5);
        assertThat(light.at("/shades/0/fromTree").asDouble())
                .isGreaterThanOrEqualTo(light.at("/shades/1/fromTree").asDouble());
        JsonNode section = light.at("/sections/0");
        assertThat(section.at("/light").size() % section.at("/columns").asInt()).isZero();
        assertThat(light.at("/sections/1/bearingDeg").asDouble()
                        - section.at("/bearingDeg").asDouble())
                .isEqualTo(90);
    }

    @Test
    void theHarvestLayerHangsNoMoreThanTheTargetAndNothingRises() {
        JsonNode harvest = umbel.get("/api/trees/1/harvest").json();
        double hung = 0;
        for (JsonNode one : harvest.at("/hung")) {
            hung += one.at("/fruits").asDouble();
        }
        double target = umbel.get("/api/trees/1")
                .json()
                .at("/reading/crop/targetFruits")
                .asDouble();
        assertThat(hung).isPositive().isLessThanOrEqualTo(target * 1.05);
        for (JsonNode limb : harvest.at("/limbs")) {
            assertThat(limb.at("/tipAtHarvest_cm").asDouble())
                    .isLessThanOrEqualTo(limb.at("/tipNow_cm").asDouble() + 2);
        }
    }

    @Test
    void thePageCarriesTheShapeItsSystemWantsAtItsAge() {
        JsonNode target = umbel.get("/api/trees/1").json().at("/target");
        assertThat(target.at("/form").asString()).isEqualTo("cone");
        assertThat(target.at("/heightM").asDouble()).isBetween(3.0, 5.0);
        assertThat(target.at("/tiers").size()).isGreaterThan(1);
        assertThat(target.at("/doNow").asString()).isNotBlank();
    }

    @Test
    void everyFindingSaysByWhichLineItWasJudged() {
        for (JsonNode finding : umbel.get("/api/trees/1").json().at("/reading/findings")) {
            assertThat(finding.at("/by/source").asString()).isIn("school", "system", "species", "survey");
            assertThat(finding.at("/by/text").asString()).endsWith(".");
        }
    }

    @Test
    void theGuideHoldsEveryKindSystemAndSchool() {
        JsonNode guide = umbel.get("/api/guide").json();
        assertThat(guide.at("/species").size()).isEqualTo(27);
        assertThat(guide.at("/systems").size()).isEqualTo(15);
        assertThat(guide.at("/schools/0/lines").size()).isGreaterThan(25);
    }
}
