package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import umbel.app.RunningUmbel;

/** What comes after the cuts: visits that follow, what was picked, what the trees have taught, the holding from above. */
@ExtendWith(RunningUmbel.class)
class AfterwardsInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private static final long TREE = 21;

    private final RunningUmbel umbel;

    AfterwardsInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    private void bendALimb() {
        String limb = umbel.get("/api/trees/" + TREE).json().at("/limbs/0/id").asString();
        umbel.post(
                "/api/trees/" + TREE + "/records",
                "{\"doneOn\":\"" + LocalDate.now()
                        + "\",\"who\":\"Ines\",\"minutes\":4,\"steps\":[{\"mark\":{\"operation\":\"bend\",\"limb\":\""
                        + limb
                        + "\",\"toAngle_deg\":70},\"title\":\"Bend it\",\"outcome\":\"as-planned\"}]}");
    }

    @Test
    void aVisitThatFollowsIsFoundAndTickedOff() {
        bendALimb();
        BROWSER.open(umbel.url() + "/due");
        BROWSER.sees("Follow-ups due");
        BROWSER.type(BROWSER.named("Search what is due"), "sun step");
        BROWSER.sees("Check ties");
        WebElement tick = BROWSER.find(By.cssSelector("button[aria-label^='Done: Check ties']"));
        tick.click();
        BROWSER.sees("Done in the last two weeks");
        assertThat(BROWSER.all("button[aria-pressed='true']")).isNotEmpty();
        BROWSER.type(BROWSER.named("Search what is due"), "nothing like it");
        BROWSER.sees("Nothing due matches.");
    }

    @Test
    void whatWasLookedAfterIsTickedAndKeptWithTheVisit() {
        String limb = umbel.get("/api/trees/20").json().at("/limbs/0/id").asString();
        umbel.send(
                "PUT",
                "/api/trees/20/work",
                "{\"version\": -1, \"decisions\": {\"marks\": [{\"operation\": \"remove\", \"limb\": \"" + limb
                        + "\"}]}}",
                "application/json");
        BROWSER.open(umbel.url() + "/trees/20/record");
        BROWSER.sees("After the last cut");
        BROWSER.find(By.xpath("//label[contains(., 'tools')]")).click();
        BROWSER.type(BROWSER.field("By whom"), "Ines");
        BROWSER.button("Save the record").click();
        BROWSER.sees("aftercare done: tools");
    }

    @Test
    void whatWasPickedIsWrittenDownAndShownByYear() {
        BROWSER.open(umbel.url() + "/blocks/8");
        BROWSER.sees("Picked and thinned");
        BROWSER.type(BROWSER.named("Kilograms"), "640");
        BROWSER.button("Save").click();
        BROWSER.sees("640 kg");
        assertThat(BROWSER.find(By.cssSelector("ol[aria-label='Crop by year']")).getText())
                .contains("640");
        BROWSER.find(By.cssSelector("button[aria-label^='Delete the entry of']"))
                .click();
        BROWSER.sees("Nothing recorded yet");
    }

    @Test
    void theSkySeenFromUnderATreeIsHeldAgainstWhatWasExpected() {
        BROWSER.open(umbel.url() + "/trees/10/record");
        BROWSER.sees("Nothing measured yet");
        WebElement form = BROWSER.find(By.xpath("//section[@aria-labelledby='tree-measures']//form"));
        form.findElement(By.cssSelector("option[value=sky]")).click();
        BROWSER.sees("Tree in full leaf");
        BROWSER.type(BROWSER.named("Share of open sky, %"), "22");
        BROWSER.button("Save measurement").click();
        BROWSER.sees("22%");
        BROWSER.find(By.cssSelector("button[aria-label^='Delete the measurement of']"))
                .click();
        BROWSER.sees("Nothing measured yet");
    }

    @Test
    void aTreeSurveyedTwiceShowsItsYearsAndWhetherItsForecastWasRight() {
        BROWSER.open(umbel.url() + "/trees/18/record");
        BROWSER.sees("Through the years");
        BROWSER.sees("Was the forecast right?");
        BROWSER.sees("growth of the limbs");
        BROWSER.open(umbel.url() + "/blocks/5");
        BROWSER.sees("Learned from 1 tree");
    }

    @Test
    void whatAnHourCostsTurnsTheWorkOfTheYearsIntoMoney() {
        BROWSER.open(umbel.url() + "/blocks/1");
        BROWSER.sees("Over the years");
        assertThat(BROWSER.all("ol[aria-label='Cost by year']")).isEmpty();
        BROWSER.type(BROWSER.field("An hour costs"), "60");
        double hours = figures("Work by year");
        double cost = figures("Cost by year");
        assertThat(cost).isCloseTo(60 * hours, org.assertj.core.api.Assertions.within(60 * 0.06));
        BROWSER.open(umbel.url() + "/");
        WebElement years = BROWSER.find(By.xpath("//summary[.='The holding over the years']"));
        BROWSER.script("arguments[0].scrollIntoView({block: 'center'})", years);
        years.click();
        BROWSER.sees("Block by block in");
        assertThat(BROWSER.all("ol[aria-label='Cost by year']"))
                .as("kept for the next page")
                .hasSize(1);
        BROWSER.script("localStorage.removeItem('umbel.cost-of-an-hour')");
    }

    /** The sum of the figures over a row of bars. */
    private static double figures(String name) {
        return BROWSER.find(By.cssSelector("ol[aria-label='" + name + "']"))
                .getText()
                .replace(",", "")
                .lines()
                .filter(line -> line.matches("[0-9.]+"))
                .mapToDouble(Double::parseDouble)
                .sum();
    }

    @Test
    void theMapLeadsToABlock() {
        BROWSER.open(umbel.url() + "/");
        WebElement plot = BROWSER.find(By.cssSelector("a[aria-label^='Gean Walk,']"));
        BROWSER.script("arguments[0].scrollIntoView({block: 'center'})", plot);
        plot.findElement(By.tagName("polygon")).click();
        BROWSER.sees("260 sweet cherry trees");
    }

    @Test
    void powerLinesAreNotedOnTheirBlock() {
        BROWSER.open(umbel.url() + "/blocks/7");
        WebElement lines = BROWSER.find(By.cssSelector("input[type=checkbox]"));
        assertThat(lines.isSelected()).isFalse();
        lines.click();
        BROWSER.waiting()
                .until(d -> BROWSER.find(By.cssSelector("input[type=checkbox]")).isSelected());
        BROWSER.find(By.cssSelector("input[type=checkbox]")).click();
        BROWSER.waiting()
                .until(d ->
                        !BROWSER.find(By.cssSelector("input[type=checkbox]")).isSelected());
    }
}
