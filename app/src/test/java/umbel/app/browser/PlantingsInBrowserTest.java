package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;
import umbel.app.RunningUmbel;

/** Options for a planting as somebody thinks in them: a number is changed and the answer moves; the address holds it all. */
@ExtendWith(RunningUmbel.class)
class PlantingsInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    PlantingsInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    @Test
    void aChangedPriceMovesTheAnswerAndTheAddressKeepsIt() {
        BROWSER.open(umbel.url() + "/plantings");
        BROWSER.sees("Present value");
        BROWSER.sees("2,352");
        String before = BROWSER.bodyText();
        BROWSER.type(
                BROWSER.all("input").stream()
                        .filter(one -> "0.55".equals(one.getAttribute("value")))
                        .findFirst()
                        .orElseThrow(),
                "0.95");
        BROWSER.waiting().until(driver -> !BROWSER.bodyText().equals(before));
        BROWSER.button("Copy").click();
        BROWSER.sees("Assumptions for C");
        String address = BROWSER.driver().getCurrentUrl();
        BROWSER.open("about:blank");
        BROWSER.open(address);
        BROWSER.sees("Assumptions for C");
        assertThat(BROWSER.all("input").stream()
                        .map(one -> one.getAttribute("value"))
                        .filter("0.95"::equals)
                        .count())
                .isEqualTo(2);
        assertThat(BROWSER.driver().findElements(By.cssSelector("svg polyline")))
                .hasSize(6);
    }

    /** Four lines along 24 m; a fence too short and a tree without a partner are told, and the address holds the wish. */
    @Test
    void fruitForAHouseAlongAFence() {
        BROWSER.open(umbel.url() + "/plantings");
        BROWSER.find(By.linkText("Fruit for a household")).click();
        BROWSER.sees("20 m of fence are taken, 4 m are left");
        BROWSER.sees("Pollinated by Apple (late)");
        assertThat(BROWSER.bodyText())
                .contains("Needs another cultivar of its kind, and there is none here")
                .doesNotContain("NaN");
        BROWSER.button("Add another cultivar").click();
        BROWSER.sees("24 m of fence are taken, 0 m are left");
        BROWSER.type(BROWSER.field("Length"), "10");
        BROWSER.sees("14 m more than there are");
        String address = BROWSER.driver().getCurrentUrl();
        BROWSER.open("about:blank");
        BROWSER.open(address);
        BROWSER.sees("14 m more than there are");
        BROWSER.type(BROWSER.field("People"), "0");
        BROWSER.sees("Must be from 1");
        BROWSER.complaints();
    }

    @Test
    void whatCannotBeIsSaidByItsField() {
        BROWSER.open(umbel.url() + "/plantings?p="
                + java.net.URLEncoder.encode(
                        "{\"options\":[{\"name\":\"A\",\"species\":\"apple\",\"system\":\"tall-spindle\"}]}",
                        java.nio.charset.StandardCharsets.UTF_8));
        BROWSER.sees("options[0].price_perKg");
    }

    /** An old block of the holding, and all that can be done with it, side by side; one click back. */
    @Test
    void anOldBlockIsKeptRenovatedTopworkedAndReplantedSideBySide() {
        BROWSER.open(umbel.url() + "/plantings");
        BROWSER.sees("Present value");
        BROWSER.unfold("Trees standing on the land");
        BROWSER.button("Describe the standing trees").click();
        new Select(BROWSER.field("Take from a block")).selectByVisibleText("Kiln Field");
        String leaf = BROWSER.field("In leaf").getAttribute("value");
        assertThat(Integer.parseInt(leaf)).as("an old orchard").isGreaterThan(20);
        BROWSER.button("Compare all ways").click();
        BROWSER.sees("Assumptions for Renovate");
        BROWSER.sees("Assumptions for Replant 2");
        assertThat(BROWSER.bodyText()).doesNotContain("Plant option Keep").contains("Plant option Replant 1");
        BROWSER.unfold("Assumptions for Keep");
        BROWSER.sees("Decline of the standing trees");
        String before = BROWSER.bodyText();
        BROWSER.type(BROWSER.field("Over, y"), "4");
        BROWSER.waiting().until(driver -> !BROWSER.bodyText().equals(before));
        BROWSER.button("Bare land").click();
        BROWSER.waiting().until(driver -> !BROWSER.bodyText().contains("Assumptions for Keep"));
        BROWSER.button("Undo").click();
        BROWSER.sees("Assumptions for Keep");
        assertThat(BROWSER.field("Over, y").getAttribute("value")).isEqualTo("4");
    }

    /** A field is drawn, a corner moved by hand and one by key; rows and trees follow, and the address keeps the shape. */
    @Test
    void aFieldIsDrawnAndFilledWithRows() {
        BROWSER.open(umbel.url() + "/plantings");
        BROWSER.sees("Present value");
        BROWSER.unfold("Shape of the field");
        BROWSER.button("Draw the field").click();
        BROWSER.sees("122 m");
        BROWSER.sees("To buy for the whole field");
        BROWSER.find(By.cssSelector("[aria-label='Corner 3']")).sendKeys(Keys.ARROW_LEFT, Keys.ARROW_LEFT);
        BROWSER.sees("120 m");
        BROWSER.find(By.cssSelector("[aria-label='Add a corner on side 1']")).click();
        BROWSER.waiting().until(driver -> BROWSER.all("[aria-label^='Corner ']").size() == 5);
        WebElement added = BROWSER.find(By.cssSelector("[aria-label='Corner 2']"));
        String before = facts();
        new Actions(BROWSER.driver())
                .moveToElement(added)
                .clickAndHold()
                .moveByOffset(0, -60)
                .release()
                .perform();
        BROWSER.waiting().until(driver -> !facts().equals(before));
        assertThat(BROWSER.all("[aria-label='Field of option A'] svg path")).hasSizeGreaterThan(10);
        String after = settledFacts();
        String address = BROWSER.driver().getCurrentUrl();
        BROWSER.open("about:blank");
        BROWSER.open(address);
        assertThat(settledFacts()).isEqualTo(after);
        BROWSER.button("Delete the corner").click();
        BROWSER.waiting().until(driver -> BROWSER.all("[aria-label^='Corner ']").size() == 4);
        BROWSER.button("Back to a square").click();
        BROWSER.button("Draw the field");
        BROWSER.button("Undo").click();
        BROWSER.waiting().until(driver -> BROWSER.all("[aria-label^='Corner ']").size() == 4);
    }

    /** Kept under a name, opened in the place of another, which is one click away; deleted and brought back. */
    @Test
    void aComparisonIsKeptAndNothingIsLostByOpeningOrDeletingIt() {
        BROWSER.open(umbel.url() + "/plantings");
        BROWSER.sees("Present value");
        BROWSER.button("Copy").click();
        BROWSER.sees("Assumptions for C");
        BROWSER.unfold("Kept comparisons");
        BROWSER.type(BROWSER.field("Name"), "Three ways");
        BROWSER.button("Keep this comparison").click();
        BROWSER.sees("3 options");
        BROWSER.button("Start over").click();
        BROWSER.seesNo("Assumptions for C");
        BROWSER.button("Three ways").click();
        BROWSER.sees("Assumptions for C");
        BROWSER.sees("Three ways is shown in place of what was here.");
        BROWSER.button("Undo").click();
        BROWSER.seesNo("Assumptions for C");
        BROWSER.find(By.cssSelector("[aria-label='Delete the comparison Three ways']"))
                .click();
        BROWSER.sees("Three ways was deleted.");
        BROWSER.sees("Nothing is kept yet.");
        BROWSER.button("Undo").click();
        BROWSER.button("Three ways");
        BROWSER.find(By.cssSelector("[aria-label='Delete the comparison Three ways']"))
                .click();
        BROWSER.sees("Nothing is kept yet.");
    }

    /** The same once no answer is on its way any more. */
    private static String settledFacts() {
        AtomicReference<String> last = new AtomicReference<>("");
        return BROWSER.waiting().pollingEvery(Duration.ofSeconds(1)).until(driver -> {
            String now = facts();
            return now.equals(last.getAndSet(now)) ? now : null;
        });
    }

    /** What is told of the first option's field. */
    private static String facts() {
        return BROWSER.find(By.cssSelector("[aria-label='Field of option A'] p"))
                .getText();
    }
}
