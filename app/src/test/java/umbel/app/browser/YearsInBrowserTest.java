package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import umbel.app.RunningUmbel;

/** A grower asks what the tree will do, and what another school would. */
@ExtendWith(RunningUmbel.class)
class YearsInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    YearsInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    private void openTree(long id) {
        BROWSER.open(umbel.url() + "/trees/" + id);
        BROWSER.sees("Recommended");
    }

    private static WebElement curve(String name) {
        return BROWSER.find(By.cssSelector("svg[aria-label^='" + name + ",']"));
    }

    @Test
    void theYearsTabShowsFiveCurvesWithTheTreeLeftAlone() {
        openTree(6);
        BROWSER.find(By.xpath("//button[@role='tab'][text()='Years']")).click();
        BROWSER.sees("Nothing is marked yet");
        for (String name : new String[] {"Crop", "In shade", "Growth", "Regrowth", "Height"}) {
            assertThat(curve(name).getAttribute("aria-label"))
                    .contains("year 3")
                    .contains("Left alone");
        }
    }

    @Test
    void aYearIsDrawnAndTheTreeLeftAloneBesideIt() {
        openTree(6);
        BROWSER.find(By.cssSelector("[aria-label='Years to come'] button:nth-child(3)"))
                .click();
        BROWSER.sees("expected, winter 3");
        BROWSER.button("Left alone").click();
        BROWSER.sees("expected, winter 3");
        BROWSER.button("As found").click();
        BROWSER.seesNo("expected, winter 3");
    }

    @Test
    void aMarkChangesWhatTheYearsTell() {
        openTree(7);
        BROWSER.find(By.xpath("//button[@role='tab'][text()='Years']")).click();
        String before = curve("Crop").getAttribute("aria-label");
        BROWSER.find(By.xpath("//button[@role='tab'][text()='Plan']")).click();
        BROWSER.button("Take all").click();
        BROWSER.sees("All taken");
        BROWSER.find(By.xpath("//button[@role='tab'][text()='Years']")).click();
        BROWSER.waiting().until(d -> !curve("Crop").getAttribute("aria-label").equals(before));
        BROWSER.find(By.xpath("//button[@role='tab'][text()='Plan']")).click();
        BROWSER.button("Clear").click();
        BROWSER.sees("Nothing marked yet");
        BROWSER.waiting().until(d -> BROWSER.bodyText().contains("Saved"));
    }

    @Test
    void aStumpGraftedAnewIsToldSeasonBySeason() {
        openTree(6);
        BROWSER.find(By.xpath("//button[@role='tab'][text()='Years']")).click();
        BROWSER.sees("Nothing is marked yet");
        BROWSER.unfold("Cut to a stump and graft anew");
        BROWSER.sees("Stump at");
        BROWSER.sees("Season 1");
        BROWSER.sees("when the bark slips");
        BROWSER.sees("Replanted");
    }

    @Test
    void aQuestionOnWhichGrowersDifferIsTriedOnTheTreeAndTaken() {
        openTree(6);
        BROWSER.unfold("Where growers differ");
        BROWSER.unfold("Are large wounds dressed?");
        BROWSER.sees("in force here");
        BROWSER.find(By.xpath("//details[summary[starts-with(normalize-space(.), 'Are large wounds dressed?')]]"
                        + "//button[contains(., 'What would that change?')]"))
                .click();
        BROWSER.sees("fruits in the third year");
        BROWSER.button("Plan by this").click();
        BROWSER.find(By.xpath("//li[b[starts-with(., 'Dressed at once')]][contains(., 'in force here')]"));
    }

    @Test
    void anotherSchoolIsAskedAndItsDifferencesSaid() {
        openTree(2);
        new Select(BROWSER.find(By.cssSelector("section[aria-label='Another school'] select"))).selectByValue("gentle");
        BROWSER.sees("fruits in the third year");
        BROWSER.sees("Gentle:");
    }
}
