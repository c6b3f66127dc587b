package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** What a plan tells beyond this winter, what it stops at, and the file a map comes from. */
@ExtendWith(RunningUmbel.class)
class PlansInBrowserTest {

    private static final long OLD_PLUM = 19;
    private static final long SLENDER_APPLE = 8;
    private static final long ESPALIER = 23;
    private static final long CHERRY = 15;

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    PlansInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    private JsonNode plans(long tree) {
        return umbel.post("/api/trees/" + tree + "/plans", "{}").json();
    }

    @Test
    void aRenovationStandsWinterByWinterBesideTheSameInOneWinter() {
        JsonNode plan = plans(OLD_PLUM).at("/plans/0");
        BROWSER.open(umbel.url() + "/trees/" + OLD_PLUM);
        BROWSER.sees("Winter by winter");
        for (JsonNode stage : plan.path("stages")) {
            if (stage.path("steps").asInt() > 0) {
                BROWSER.sees(stage.path("purpose").asString());
            }
        }
        BROWSER.sees("All in one winter instead");
        choose("One winter");
        BROWSER.seesNo("All in one winter instead");
    }

    @Test
    void aFirmerPlanThatMakesTheSameCutsSaysSo() {
        JsonNode plans = plans(SLENDER_APPLE).path("plans");
        assertThat(cutsNow(plans.get(2))).isEqualTo(cutsNow(plans.get(0)));
        assertThat(cutsNow(plans.get(1))).isNotEqualTo(cutsNow(plans.get(0)));
        BROWSER.open(umbel.url() + "/trees/" + SLENDER_APPLE);
        BROWSER.sees("Recommended");
        choose("Firmer");
        BROWSER.sees("The same cuts as recommended: more would cost more than it gains.");
        choose("Gentler");
        BROWSER.seesNo("The same cuts as recommended");
    }

    @Test
    void whatEachWayComesToStandsSideBySide() {
        JsonNode plans = plans(OLD_PLUM).path("plans");
        BROWSER.open(umbel.url() + "/trees/" + OLD_PLUM);
        BROWSER.find(By.xpath("//summary[contains(., 'Compare the plans')]")).click();
        BROWSER.sees("fruits, season 3");
        WebElement table = BROWSER.find(By.cssSelector("[aria-label='The plans side by side'] table"));
        for (String name : new String[] {"Recommended", "Gentler", "Firmer", "No cuts"}) {
            assertThat(table.getText()).contains(name);
        }
        String wood = Math.round(100 * plans.get(0).at("/totals/woodShare").asDouble()) + "%";
        assertThat(table.findElement(By.xpath(".//tr[th[.='small wood']]/td[1]"))
                        .getText())
                .isEqualTo(wood);
        BROWSER.sees("Gentler leaves:");
    }

    @Test
    void aGrowerWeighsForHimselfAndSetsHisOwnLimits() {
        BROWSER.open(umbel.url() + "/trees/" + CHERRY);
        BROWSER.sees("Recommended");
        BROWSER.unfold("For:");
        BROWSER.find(By.xpath("//button[.='Set your own weights']")).click();
        WebElement wood = BROWSER.find(By.xpath("//label[contains(., 'Small wood taken')]//input"));
        wood.clear();
        wood.sendKeys("150");
        BROWSER.sees("From 1% to 75%.");
        wood.clear();
        wood.sendKeys("10");
        BROWSER.find(By.xpath("//label[contains(., 'Crop')]//input")).sendKeys(Keys.END);
        BROWSER.find(By.xpath("//button[.='Plan with these']")).click();
        BROWSER.sees("of 10%");
        BROWSER.sees("Limits of your own.");
        String own = "{\"hold\":{\"woodShare\":0.1,\"bigCuts\":6,\"reachM\":2.4}}";
        JsonNode plan = umbel.post("/api/trees/" + CHERRY + "/plans/first", own).json();
        assertThat(plan.at("/plan/totals/woodShare").asDouble()).isLessThanOrEqualTo(0.1 + 1e-6);
        BROWSER.unfold("For:");
        By usual = By.xpath("//button[.='As usual']");
        BROWSER.waiting().until(d -> {
            boolean open = d.findElements(usual).stream().anyMatch(WebElement::isDisplayed);
            if (!open) {
                BROWSER.find(By.xpath("//button[.='Set your own weights']")).click();
            }
            return open;
        });
        BROWSER.find(usual).click();
        BROWSER.seesNo("Limits of your own.");
    }

    @Test
    void workIsPlannedForAnotherTimeOfTheYear() {
        BROWSER.open(umbel.url() + "/trees/" + ESPALIER);
        BROWSER.sees("dormant, 3 winters");
        BROWSER.unfold("For:");
        BROWSER.find(By.xpath("//label[contains(., 'When')]/select/option[.='Summer']"))
                .click();
        BROWSER.sees("summer, 3 winters");
        BROWSER.sees("Thin uprights of this year");
        BROWSER.find(By.xpath("//label[contains(., 'When')]/select/option[.='Dormant']"))
                .click();
        BROWSER.sees("dormant, 3 winters");
    }

    private static void choose(String plan) {
        BROWSER.find(By.xpath("//button[starts-with(normalize-space(.), '" + plan + "')]"))
                .click();
    }

    private static Set<String> cutsNow(JsonNode plan) {
        Set<String> cuts = new TreeSet<>();
        for (JsonNode step : plan.path("steps")) {
            if (step.path("year").asInt() == 0) {
                cuts.add(step.path("operation").asString() + " "
                        + step.path("limb").asString());
            }
        }
        return cuts;
    }

    @Test
    void aTreeWorkedOnSinceItsSurveyLeadsToTheTreeAsExpectedNow() {
        BROWSER.open(umbel.url() + "/trees/25");
        BROWSER.sees("This tree was worked on after the survey");
        BROWSER.find(By.linkText("Confirm the tree as it is expected now")).click();
        BROWSER.sees("surveyed again");
        BROWSER.open(umbel.url() + "/trees/26");
        BROWSER.sees("Recommended");
        BROWSER.seesNo("This tree was worked on after the survey");
    }

    @Test
    void aStepPastTheHoldingsLimitsStopsInTheTreeView() {
        long holding =
                umbel.get("/api/season").json().at("/weather/0/holdingId").asLong();
        assertThat(plans(2).path("stops")).as("nothing is stopped before").isEmpty();
        try {
            limit(holding, "{\"diameterMm\":40}");
            JsonNode stops = plans(2).path("stops");
            assertThat(stops).isNotEmpty();
            BROWSER.open(umbel.url() + "/trees/2");
            BROWSER.sees("Recommended");
            BROWSER.sees("Stop: beyond the holding’s limits");
        } finally {
            limit(holding, "{}");
        }
    }

    private void limit(long holding, String body) {
        assertThat(umbel.send("PUT", "/api/holdings/" + holding + "/limits", body, "application/json")
                        .status())
                .isEqualTo(200);
    }

    @Test
    void aMapFileIsLookedAtBeforeItIsTakenOver(@TempDir Path folder) throws Exception {
        String was = umbel.get("/api/holding.geojson").text();
        Path wrong = Files.writeString(folder.resolve("wrong.geojson"), was.replace("Sun Step", "Nowhere Step"));
        BROWSER.open(umbel.url() + "/");
        BROWSER.sees("Import blocks and rows");
        mapFile().sendKeys(wrong.toString());
        BROWSER.sees("Nothing was changed.");
        BROWSER.sees("There is no block “Nowhere Step” here");
        Path same = Files.writeString(folder.resolve("same.geojson"), was);
        mapFile().sendKeys(same.toString());
        BROWSER.sees("The file would create:");
        BROWSER.sees("Sun Step: moved 0 m");
        assertThat(umbel.get("/api/holding.geojson").text()).isEqualTo(was);
    }

    /** The field behind the button, which is not shown itself. */
    private static WebElement mapFile() {
        return BROWSER.all("input[aria-label='Map file to import']").get(0);
    }
}
