package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** What a person enters is there again: after leaving at once, without the server, in two windows, and after a mistake. */
@ExtendWith(RunningUmbel.class)
class NothingLostInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    NothingLostInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void online() {
        BROWSER.signal(true);
    }

    private JsonNode marks(long tree) {
        return umbel.get("/api/trees/" + tree).json().at("/decisions/marks");
    }

    /** Selects the first limb and marks it to be removed. */
    private void markOne(long tree) {
        BROWSER.open(umbel.url() + "/trees/" + tree);
        BROWSER.sees("Nothing marked yet");
        BROWSER.keys("n", "n", "x");
        BROWSER.sees("1 step marked");
    }

    @Test
    void aMarkIsThereWhenThePageIsLeftAtOnce() {
        markOne(22);
        BROWSER.open("about:blank");
        BROWSER.open(umbel.url() + "/trees/22");
        BROWSER.sees("1 step marked");
        BROWSER.sees("Saved");
        BROWSER.waiting().until(d -> marks(22).size() == 1);
    }

    @Test
    void theSheetAndTheRecordShowWhatWasMarkedAMomentBefore() {
        takeAllAndGoAtOnce(18, "sheet");
        BROWSER.sees("seen from the south");
        takeAllAndGoAtOnce(16, "record");
        BROWSER.sees("Change only what went otherwise");
    }

    /** Takes the plan and opens another page of the tree before the save has begun. */
    private void takeAllAndGoAtOnce(long tree, String page) {
        BROWSER.open(umbel.url() + "/trees/" + tree);
        BROWSER.sees("Take all");
        BROWSER.script(
                "[...document.querySelectorAll('button')].find(b => b.textContent.startsWith('Take all')).click();"
                        + "document.querySelector('header a[href$=\"/" + page + "\"]').click()");
    }

    @Test
    void aMarkMadeWithoutTheServerIsSentWhenItIsThere() {
        BROWSER.open(umbel.url() + "/trees/23");
        BROWSER.sees("Nothing marked yet");
        BROWSER.sees("Recommended");
        BROWSER.signal(false);
        BROWSER.keys("n", "n", "x");
        BROWSER.sees("Not saved: trying again");
        assertThat(marks(23)).isEmpty();
        BROWSER.signal(true);
        BROWSER.script("window.dispatchEvent(new Event('online'))");
        BROWSER.sees("Saved");
        BROWSER.waiting().until(d -> marks(23).size() == 1);
    }

    @Test
    void marksOfAnotherWindowAreShownAndOneChooses() {
        BROWSER.open(umbel.url() + "/trees/25");
        BROWSER.sees("Nothing marked yet");
        JsonNode page = umbel.get("/api/trees/25").json();
        String theirs = page.at("/limbs/3/id").asString();
        umbel.send(
                "PUT",
                "/api/trees/25/work",
                "{\"version\":" + page.get("workVersion").asLong()
                        + ",\"decisions\":{\"marks\":[{\"operation\":\"remove\",\"limb\":\"" + theirs + "\"}]}}",
                "application/json");
        BROWSER.keys("n", "n", "x");
        BROWSER.sees("Load the newer marks");
        assertThat(marks(25).at("/0/limb").asString()).isEqualTo(theirs);
        BROWSER.button("Load the newer marks").click();
        BROWSER.sees("1 step marked");
        BROWSER.sees("Saved");
        assertThat(marks(25).at("/0/limb").asString()).isEqualTo(theirs);
    }

    @Test
    void aSurveyGoneOverByMistakeIsBroughtBack() {
        BROWSER.open(umbel.url() + "/trees/8/survey");
        BROWSER.sees("surveyed again");
        WebElement top = BROWSER.field("Top");
        String before = top.getAttribute("value");
        BROWSER.type(top, "311,5\n");
        BROWSER.sees("pieces of wood");
        assertThat(BROWSER.driver().getCurrentUrl())
                .as("Enter in a field saves nothing for good")
                .endsWith("/trees/8/survey");
        BROWSER.button("Start over").click();
        BROWSER.waiting().until(d -> BROWSER.field("Top").getAttribute("value").equals(before));
        BROWSER.button("Undo").click();
        BROWSER.waiting().until(d -> BROWSER.field("Top").getAttribute("value").equals("311,5"));
        BROWSER.open(umbel.url());
        BROWSER.sees("Surveys begun on this device and not saved");
        BROWSER.find(By.linkText("Go on")).click();
        BROWSER.sees("Taken up where you left it");
        BROWSER.open(umbel.url());
        BROWSER.button("Discard").click();
        BROWSER.seesNo("begun on this device and not saved");
    }

    @Test
    void aLimbThatCarriesOthersAsksWhatBecomesOfThem() {
        BROWSER.open(umbel.url() + "/trees/1/survey");
        BROWSER.sees("surveyed again");
        int limbs = BROWSER.all("[data-cell$='-at_cm']").size();
        String carrier = String.valueOf(
                BROWSER.script("const on = [...document.querySelectorAll(\"[data-cell$='-parent']\")].map(x => x.value)"
                        + ".find(x => x !== 'trunk'); return on ?? ''"));
        assertThat(carrier).as("some limb of it carries another").isNotEmpty();
        WebElement remove = BROWSER.named("Remove limb " + carrier + " from the survey");
        BROWSER.script("arguments[0].scrollIntoView({block: 'center'})", remove);
        remove.click();
        BROWSER.sees("Limb " + carrier + " carries limb");
        BROWSER.button("Keep, growing from").click();
        BROWSER.waiting().until(d -> BROWSER.all("[data-cell$='-at_cm']").size() == limbs - 1);
        BROWSER.button("Undo").click();
        BROWSER.waiting().until(d -> BROWSER.all("[data-cell$='-at_cm']").size() == limbs);
        BROWSER.open(umbel.url());
        BROWSER.sees("Kiln Field");
        BROWSER.script("localStorage.clear()");
    }

    @Test
    void aTreeIsMovedAndMovedBack() {
        BROWSER.open(umbel.url() + "/trees/9");
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'Limbs')]")).click();
        String before = umbel.get("/api/trees/9/setup").json().get("label").asString();
        BROWSER.button("Move tree").click();
        BROWSER.type(BROWSER.find(By.xpath("//form//label[starts-with(., 'Row')]//input")), "99");
        BROWSER.find(By.xpath("//form//button[normalize-space(.)='Move']")).click();
        BROWSER.sees("there is no place 99-");
        BROWSER.type(BROWSER.find(By.xpath("//form//label[starts-with(., 'Row')]//input")), "20");
        BROWSER.find(By.xpath("//form//button[normalize-space(.)='Move']")).click();
        BROWSER.sees("Moved from " + before);
        assertThat(umbel.get("/api/trees/9/setup").json().get("row").asInt()).isEqualTo(20);
        BROWSER.find(By.xpath("//section[@aria-label='Where the tree stands']//button[normalize-space(.)='Undo']"))
                .click();
        BROWSER.seesNo("Moved from");
        assertThat(umbel.get("/api/trees/9/setup").json().get("label").asString())
                .isEqualTo(before);
    }

    @Test
    void aWrongRecordIsCorrectedStepByStep() {
        String limb = umbel.get("/api/trees/26").json().at("/limbs/0/id").asString();
        String entry =
                "{\"doneOn\":\"" + LocalDate.now() + "\",\"who\":\"Ines\",\"minutes\":5,\"note\":\"\",\"steps\":["
                        + "{\"mark\":{\"operation\":\"remove\",\"limb\":\"" + limb
                        + "\"},\"title\":\"Remove a limb\",\"outcome\":\"as-planned\"}]}";
        assertThat(umbel.post("/api/trees/26/records", entry).status()).isEqualTo(201);
        BROWSER.open(umbel.url() + "/trees/26/record");
        BROWSER.button("Correct this").click();
        new Select(BROWSER.named("How step 1 really went")).selectByVisibleText("skipped");
        BROWSER.button("Save as a new entry").click();
        BROWSER.sees("Say why it was skipped");
        BROWSER.type(BROWSER.find(By.xpath("//form//label[contains(., 'Why')]//input")), "wrong tree");
        BROWSER.button("Save as a new entry").click();
        BROWSER.sees("Corrected by a later entry");
        BROWSER.sees("skipped: wrong tree");
        BROWSER.sees("Nothing was done at this visit.");
    }

    @Test
    void aBlockIsCorrectedArchivedAndTakenUpAgain() {
        BROWSER.open(umbel.url() + "/blocks/6");
        BROWSER.sees("Sun Step");
        BROWSER.button("Edit block").click();
        BROWSER.type(BROWSER.field("Name of the block"), "Sun Steps");
        BROWSER.find(By.xpath("//form//button[normalize-space(.)='Save']")).click();
        BROWSER.sees("Sun Step is changed.");
        assertThat(umbel.get("/api/blocks").text()).contains("Sun Steps");
        BROWSER.find(By.xpath("//p[@role='status']//button[normalize-space(.)='Undo']"))
                .click();
        BROWSER.waiting().until(d -> !umbel.get("/api/blocks").text().contains("Sun Steps"));
        BROWSER.button("Archive").click();
        BROWSER.sees("Archived: it is no longer worked.");
        BROWSER.button("Restore").click();
        BROWSER.seesNo("Archived: it is no longer worked.");
        BROWSER.button("Delete").click();
        BROWSER.sees("Archive the block instead; its records stay.");
    }

    @Test
    void keysAreListedAndCanBeTurnedOff() {
        BROWSER.open(umbel.url() + "/trees/5");
        BROWSER.sees("Recommended");
        BROWSER.keys("?");
        BROWSER.sees("mark a cut by pointing at it");
        BROWSER.find(By.xpath("//label[contains(., 'Single keys are on')]//input"))
                .click();
        BROWSER.button("Close").click();
        BROWSER.keys("c");
        assertThat(BROWSER.bodyText()).doesNotContain("Click where to cut");
        BROWSER.script("localStorage.removeItem('umbel.single-keys')");
        BROWSER.keys("/");
        BROWSER.sees("Halden Combe Orchards");
        BROWSER.waiting().until(d -> "seek".equals(d.switchTo().activeElement().getDomAttribute("id")));
    }

    @Test
    void aVisitTheServerRefusesStaysOnThePhoneAndIsMended() {
        JsonNode page = umbel.get("/api/trees/20").json();
        String limb = page.at("/limbs/0/id").asString();
        umbel.send(
                "PUT",
                "/api/trees/20/work",
                "{\"version\":" + page.get("workVersion").asLong()
                        + ",\"decisions\":{\"marks\":[{\"operation\":\"remove\",\"limb\":\"" + limb + "\"}]}}",
                "application/json");
        BROWSER.open(umbel.url() + "/field");
        BROWSER.script("localStorage.clear()");
        BROWSER.open(umbel.url() + "/field/trees/20");
        BROWSER.find(By.xpath("(//button[starts-with(@aria-label, 'Done:')])[1]"))
                .click();
        BROWSER.type(BROWSER.field("Who"), "Lucia");
        // a name too long for the record, as if somebody had leant on the keys
        BROWSER.script(
                "const k = Object.keys(localStorage).find(x => x.startsWith('umbel.visit.'));"
                        + "const v = JSON.parse(localStorage[k]); v.who = 'x'.repeat(200); localStorage[k] = JSON.stringify(v)");
        BROWSER.driver().navigate().refresh();
        BROWSER.button("Tree is done").click();
        BROWSER.sees("Too long: at most 120 characters.");
        BROWSER.find(By.linkText("Correct it")).click();
        BROWSER.type(BROWSER.field("Who"), "Lucia");
        BROWSER.button("Tree is done").click();
        BROWSER.seesNo("Too long: at most 120 characters.");
        BROWSER.waiting().until(d -> umbel.get("/api/trees/20/records").text().contains("Lucia"));
        BROWSER.open(umbel.url() + "/field");
        BROWSER.script("localStorage.clear()");
    }
}
