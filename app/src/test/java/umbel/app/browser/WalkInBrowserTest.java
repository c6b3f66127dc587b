package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import umbel.app.RunningUmbel;

/** A survey by thumb on a phone in the row. */
@ExtendWith(RunningUmbel.class)
class WalkInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    WalkInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @BeforeEach
    void aPhone() {
        BROWSER.size(390, 844);
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    /** A button by its words, or by the first of them. */
    private void tap(String words) {
        BROWSER.find(By.xpath("//button[normalize-space(.)='" + words + "' or (string-length('" + words
                        + "') > 2 and starts-with(normalize-space(.), '" + words + "'))]"))
                .click();
    }

    private void newTree(int place) {
        long block = 2;
        var answer = umbel.post("/api/trees", "{\"blockId\":" + block + ",\"row\":19,\"place\":" + place + "}");
        BROWSER.open(umbel.url() + "/trees/" + answer.json().at("/id").asLong() + "/walk");
        BROWSER.sees("The trunk first");
        BROWSER.type(BROWSER.field("Trunk thickness"), "46");
        BROWSER.type(BROWSER.field("Height of its top"), "280");
        tap("First limb");
    }

    @Test
    void aLimbTakesAFewTapsAndTheTreeGrows() {
        newTree(1);
        BROWSER.sees("Where does it start?");
        tap("Next");
        tap("3");
        BROWSER.sees("How steep is it?");
        tap("wanted");
        BROWSER.sees("How thick at the base?");
        tap("thumb");
        BROWSER.sees("How long?");
        tap("60 cm");
        BROWSER.sees("What does it carry?");
        BROWSER.named("more pencil shoots to the sides").click();
        BROWSER.named("more pencil shoots to the sides").click();
        BROWSER.named("more spurs").click();
        tap("Next");
        BROWSER.sees("Is it sound?");
        tap("Done with this limb");
        BROWSER.sees("1 limb");
        BROWSER.sees("100°, 85°, 22 mm, 60 cm");
        BROWSER.find(By.cssSelector("canvas"));
        BROWSER.named("Copy limb 1").click();
        BROWSER.sees("Limb 2, question 1 of 7");
        tap("Back");
        BROWSER.sees("2 limbs");
        tap("Undo");
        BROWSER.sees("1 limb");
        BROWSER.waiting().until(d -> BROWSER.button("Save the survey").isEnabled());
        tap("Save the survey");
        BROWSER.sees("Recommended");
        BROWSER.sees("Long Wall 19-1");
    }

    @Test
    void whatIsOddIsAskedAndWhatIsWrongIsToldAtOnce() {
        newTree(2);
        BROWSER.type(BROWSER.field("Height on the trunk"), "400");
        BROWSER.sees("beyond the end of its parent");
        BROWSER.type(BROWSER.field("Height on the trunk"), "90");
        BROWSER.seesNo("beyond the end of its parent");
        tap("Next");
        BROWSER.type(BROWSER.field("Bearing from north"), "400");
        BROWSER.sees("Must be at most 360°.");
        BROWSER.type(BROWSER.field("Bearing from north"), "90");
        tap("Next");
        BROWSER.type(BROWSER.field("Degrees from upright"), "140");
        BROWSER.sees("It hangs steeply: 90 is level, 180 straight down. Is that right?");
        BROWSER.type(BROWSER.field("Degrees from upright"), "70");
        BROWSER.seesNo("It hangs steeply");
    }

    @Test
    void nothingIsLostOnReload() {
        newTree(3);
        tap("Next");
        tap("7");
        BROWSER.sees("How steep is it?");
        BROWSER.driver().navigate().refresh();
        BROWSER.sees("1 limb");
        BROWSER.sees("220°");
    }

    @Test
    void thePhoneIsAGaugeAndWhereItHasNoSensorASliderStandsIn() {
        newTree(4);
        tap("Next");
        tap("Measure with the phone");
        // a phone lying along a limb at 60° from upright, its top towards 130°
        BROWSER.waiting().until(d -> {
            // a sensor goes on telling, and so does this one
            BROWSER.script("window.dispatchEvent(new DeviceOrientationEvent('deviceorientation',"
                    + " {alpha: 230, beta: 30, gamma: 0, absolute: true}))");
            return BROWSER.find(By.cssSelector("[data-testid=gauge]")).getText().equals("60° to 130°");
        });
        tap("Use this");
        assertThat(BROWSER.field("Bearing from north").getAttribute("value")).isEqualTo("130");
        tap("Next");
        assertThat(BROWSER.field("Degrees from upright").getAttribute("value")).isEqualTo("60");
        tap("Measure with the phone");
        BROWSER.sees("No sensor answers here");
        WebElement angle = BROWSER.field("Angle");
        BROWSER.script(
                "const i = arguments[0]; Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(i, '75');"
                        + " i.dispatchEvent(new Event('input', {bubbles: true}))",
                angle);
        BROWSER.sees("75°");
        tap("Use this");
        BROWSER.sees("How thick at the base?");
        tap("Back");
        assertThat(BROWSER.field("Degrees from upright").getAttribute("value")).isEqualTo("75");
    }
}
