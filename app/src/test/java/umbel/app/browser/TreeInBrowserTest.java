package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import umbel.app.RunningUmbel;

/** A grower at one tree: finds it, is told what to cut, decides, sees what it does. */
@ExtendWith(RunningUmbel.class)
@TestMethodOrder(MethodOrderer.MethodName.class)
class TreeInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    TreeInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    @Test
    void aTreeIsFoundBySearchAndOpened() {
        BROWSER.open(umbel.url());
        BROWSER.sees("Halden Combe Orchards");
        BROWSER.sees("South Court 1-2");
        BROWSER.find(By.id("seek")).sendKeys("kiln nonesuch");
        BROWSER.sees("No tree matches");
        BROWSER.type(BROWSER.find(By.id("seek")), "kiln 2-9");
        BROWSER.seesNo("South Court 1-2");
        BROWSER.text("Kiln Field 2-9").click();
        BROWSER.sees("free-standing central leader, leaf 22");
        BROWSER.sees("Recommended");
    }

    @Test
    void takingThePlanMovesEveryGaugeAndSurvivesAReload() {
        openTree(1);
        assertThat(gauge("Small wood taken")).startsWith("0 of");
        BROWSER.button("Take all").click();
        BROWSER.sees("All taken");
        BROWSER.waiting().until(d -> !gauge("Small wood taken").startsWith("0 of"));
        assertThat(gauge("Fruiting wood in shade")).contains("→");
        String taken = gauge("Small wood taken");
        BROWSER.sees("Saved");
        waitUntilKept();
        BROWSER.driver().navigate().refresh();
        BROWSER.sees("All taken");
        BROWSER.waiting().until(d -> gauge("Small wood taken").equals(taken));
        BROWSER.button("Clear").click();
        BROWSER.waiting().until(d -> gauge("Small wood taken").startsWith("0 of"));
        waitUntilKept();
    }

    @Test
    void oneKeyMarksTheSelectedLimbAndUndoTakesItBack() {
        openTree(2);
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'Limbs')]")).click();
        BROWSER.find(By.xpath("//ul[@aria-label='Limbs']//button[.//b[text()='3']]"))
                .click();
        BROWSER.sees("Ratio to parent");
        BROWSER.keys("x");
        BROWSER.waiting().until(d -> !gauge("Small wood taken").startsWith("0 of"));
        BROWSER.control("z", false);
        BROWSER.waiting().until(d -> gauge("Small wood taken").startsWith("0 of"));
        BROWSER.control("z", true);
        BROWSER.waiting().until(d -> !gauge("Small wood taken").startsWith("0 of"));
        BROWSER.control("z", false);
        BROWSER.keys("n");
        BROWSER.sees("Limb 3a");
        BROWSER.keys(Keys.ESCAPE);
        BROWSER.named("Search limbs");
    }

    @Test
    void aCutIsMarkedByPointingAtTheDrawing() {
        openTree(4);
        BROWSER.button("Mark a cut").click();
        WebElement canvas = BROWSER.find(By.cssSelector("canvas[role=img]"));
        boolean marked = false;
        // somewhere along this line across the lower crown stands a limb
        for (int x = -260; x <= 260 && !marked; x += 20) {
            new Actions(BROWSER.driver()).moveToElement(canvas, x, 60).click().perform();
            marked = BROWSER.bodyText().contains("1 step marked");
            if (!marked && BROWSER.bodyText().contains("Mark a cut")) {
                BROWSER.button("Mark a cut").click();
            }
        }
        BROWSER.sees("1 step marked");
        BROWSER.waiting().until(d -> !gauge("Small wood taken").startsWith("0 of"));
        BROWSER.button("Undo").click();
        BROWSER.sees("Nothing marked yet");
    }

    @Test
    void draggingWalksRoundTheTree() {
        openTree(4);
        String before = markerOfViewer();
        WebElement canvas = BROWSER.find(By.cssSelector("canvas[role=img]"));
        new Actions(BROWSER.driver())
                .moveToElement(canvas, 0, -120)
                .clickAndHold()
                .moveByOffset(160, 0)
                .release()
                .perform();
        BROWSER.waiting().until(d -> !markerOfViewer().equals(before));
        String dragged = markerOfViewer();
        canvas.sendKeys(Keys.ARROW_LEFT, Keys.ARROW_LEFT);
        BROWSER.waiting().until(d -> !markerOfViewer().equals(dragged));
    }

    @Test
    void aStepCanBeRefusedAndStaysRefused() {
        openTree(6);
        BROWSER.text("Renew limb 1 by a bevel cut").click();
        BROWSER.sees("upper side flush");
        BROWSER.button("Leave it").click();
        BROWSER.sees("Refused by you");
        BROWSER.waiting()
                .until(d -> BROWSER.driver()
                        .findElements(By.xpath("//ol//button[contains(., 'Renew limb 1 by a bevel')]"))
                        .isEmpty());
        waitUntilKept();
        BROWSER.driver().navigate().refresh();
        BROWSER.sees("Refused by you");
        BROWSER.button("Propose again").click();
        BROWSER.text("Renew limb 1 by a bevel cut");
        waitUntilKept();
    }

    @Test
    void aStepCanBeChangedForItsAlternative() {
        openTree(8);
        WebElement step = BROWSER.find(By.xpath("//ol//button[@aria-expanded]"));
        step.click();
        BROWSER.sees("Next best");
        List<WebElement> instead = BROWSER.driver().findElements(By.xpath("//button[contains(., 'instead')]"));
        if (instead.isEmpty()) {
            BROWSER.button("Something else").click();
            BROWSER.sees("What could be done");
        } else {
            instead.get(0).click();
            BROWSER.sees("changed");
            BROWSER.button("Clear").click();
        }
        BROWSER.sees("Saved");
    }

    /** Three steps and more are proposed on this tree: the first is taken by key, the second left, and the address says where one is. */
    @Test
    void thePlanIsGoneThroughFromCutToCut() {
        openTree(3);
        BROWSER.sees("Recommended");
        BROWSER.button("One at a time").click();
        BROWSER.sees("Step 1 of");
        String first = BROWSER.find(By.cssSelector("aside h2")).getText();
        BROWSER.button("Take").click();
        BROWSER.sees("1 decided");
        BROWSER.sees("1 step marked");
        assertThat(BROWSER.find(By.cssSelector("aside h2")).getText()).isNotEqualTo(first);
        assertThat(BROWSER.driver().getCurrentUrl()).endsWith("step=2");
        BROWSER.button("Leave it").click();
        BROWSER.sees("2 decided");
        waitUntilKept();
        BROWSER.driver().navigate().refresh();
        BROWSER.sees("Step 3 of");
        BROWSER.button("Back").click();
        BROWSER.button("Back").click();
        BROWSER.sees(first);
        BROWSER.button("Whole list").click();
        BROWSER.sees("Compare the plans");
        BROWSER.button("Clear").click();
        waitUntilKept();
    }

    @Test
    void theSchoolChangesWhatIsProposed() {
        openTree(5);
        BROWSER.unfold("For:");
        assertThat(BROWSER.field("School").getAttribute("value")).isEqualTo("classic");
        BROWSER.field("School").sendKeys("Intensive");
        waitUntilKept();
        BROWSER.driver().navigate().refresh();
        BROWSER.sees("Recommended");
        BROWSER.unfold("For:");
        assertThat(BROWSER.field("School").getAttribute("value")).isEqualTo("intensive-wall");
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'What is wrong')]"))
                .click();
        BROWSER.sees("under 50% of open light");
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'Plan')]")).click();
        BROWSER.unfold("For:");
        BROWSER.field("School").sendKeys("Classic");
        waitUntilKept();
    }

    @Test
    void cutWoodIsHiddenAtWillAndLightIsShown() {
        openTree(3);
        BROWSER.button("Take all").click();
        BROWSER.sees("All taken");
        long marked = ink();
        BROWSER.button("After").click();
        BROWSER.waiting().until(d -> ink() != marked);
        assertThat(BROWSER.button("After").getAttribute("aria-pressed")).isEqualTo("true");
        BROWSER.button("Light").click();
        BROWSER.sees("under 30%: buds die");
        BROWSER.button("Clear").click();
        waitUntilKept();
    }

    @Test
    void whatIsWrongIsListedAndAnsweredByMarks() {
        openTree(2);
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'What is wrong')]"))
                .click();
        BROWSER.sees("Two tops");
        BROWSER.find(By.xpath("//button[.//b[text()='Two tops']]")).click();
        BROWSER.sees("Limb r1");
        BROWSER.keys("x");
        BROWSER.waiting().until(d -> !gauge("Small wood taken").startsWith("0 of"));
        BROWSER.button("Back").click();
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'What is wrong')]"))
                .click();
        BROWSER.sees("answered");
        BROWSER.button("Undo").click();
        waitUntilKept();
    }

    @Test
    void aMarkThatIsUndoneAtOnceIsNotKept() {
        openTree(3);
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'What is wrong')]"))
                .click();
        BROWSER.find(By.xpath("//button[.//b[text()='Crossing']]")).click();
        // before it is sent, and while it is under way
        for (int millis : new int[] {0, 510}) {
            BROWSER.keys("x");
            BROWSER.script("return new Promise(done => setTimeout(done, arguments[0]))", millis);
            BROWSER.button("Undo").click();
            waitUntilKept();
            assertThat(umbel.get("/api/trees/3").json().at("/decisions/marks").size())
                    .as("undone after %d ms", millis)
                    .isZero();
        }
    }

    private void openTree(long id) {
        BROWSER.open(umbel.url() + "/trees/" + id);
        BROWSER.sees("Recommended");
        BROWSER.waiting().until(d -> !gauge("Small wood taken").isEmpty());
    }

    private static String gauge(String name) {
        List<WebElement> found = BROWSER.all("[data-testid='gauge-" + name + "']");
        return found.isEmpty() ? "" : found.get(0).getText();
    }

    private static void waitUntilKept() {
        BROWSER.waiting().until(d -> !BROWSER.bodyText().contains("Saving…"));
        BROWSER.script("return new Promise(done => setTimeout(done, 700))");
        BROWSER.waiting().until(d -> !BROWSER.bodyText().contains("Saving…"));
    }

    private static String markerOfViewer() {
        return BROWSER.find(By.cssSelector("svg[role=group] path")).getAttribute("transform");
    }

    /** A number that changes when the drawing does. */
    private static long ink() {
        Object sum = BROWSER.script("const c = document.querySelector('canvas[role=img]');"
                + "const d = c.getContext('2d').getImageData(0, 0, c.width, c.height).data;"
                + "let s = 0; for (let i = 0; i < d.length; i += 40) s = (s * 31 + d[i]) % 1000003; return s;");
        return ((Number) sum).longValue();
    }
}
