package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import umbel.app.RunningUmbel;
import umbel.practice.PracticeTree;
import umbel.survey.SurveyReader;

/** A tree surveyed by keyboard, taken in from a file, printed and recorded. */
@ExtendWith(RunningUmbel.class)
class SurveyAndRecordInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    SurveyAndRecordInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    @Test
    void aNewTreeIsSurveyedByKeyboardAndThenRead() {
        BROWSER.open(umbel.url());
        BROWSER.button("Survey a tree").click();
        BROWSER.field("Block").sendKeys("Long Wall");
        BROWSER.type(BROWSER.field("Row"), "15");
        BROWSER.type(BROWSER.field("Place"), "7");
        BROWSER.button("Begin").click();
        BROWSER.sees("Long Wall 15-7, first survey");
        BROWSER.type(BROWSER.field("Trunk"), "46");
        BROWSER.type(BROWSER.field("Top"), "280");
        BROWSER.button("Next limb").click();
        for (int limb = 0; limb < 4; limb++) {
            WebElement at = BROWSER.find(By.cssSelector("[data-cell='" + limb + "-at_cm']"));
            BROWSER.type(at, String.valueOf(75 + 20 * limb));
            WebElement thick = BROWSER.find(By.cssSelector("[data-cell='" + limb + "-diameter_mm']"));
            BROWSER.type(thick, limb == 0 ? "31" : "15");
            WebElement length = BROWSER.find(By.cssSelector("[data-cell='" + limb + "-length_cm']"));
            BROWSER.type(length, "70");
            if (limb < 3) {
                length.sendKeys(Keys.ENTER);
            }
        }
        assertThat(BROWSER.find(By.cssSelector("[data-cell='1-bearing_deg']")).getAttribute("value"))
                .as("a good third of the clock on from the last limb")
                .isEqualTo("137");
        BROWSER.sees("pieces of wood");
        BROWSER.button("Save survey").click();
        BROWSER.sees("Recommended");
        BROWSER.sees("Long Wall 15-7");
        BROWSER.sees("4 limbs measured");
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'What is wrong')]"))
                .click();
        BROWSER.sees("Too thick for its place");
    }

    @Test
    void aFaultIsToldAtItsFieldAndNothingTypedIsLostOnReload() {
        BROWSER.open(umbel.url() + "/trees/7/survey");
        BROWSER.sees("surveyed again");
        WebElement angle = BROWSER.find(By.cssSelector("[data-cell='2-angle_deg']"));
        BROWSER.type(angle, "400");
        BROWSER.sees("Angle: Must be at most 180°.");
        assertThat(angle.getAttribute("aria-invalid")).isEqualTo("true");
        assertThat(BROWSER.button("Save survey").isEnabled()).isFalse();
        BROWSER.driver().navigate().refresh();
        BROWSER.sees("Taken up where you left it");
        assertThat(BROWSER.find(By.cssSelector("[data-cell='2-angle_deg']")).getAttribute("value"))
                .isEqualTo("400");
        BROWSER.type(BROWSER.find(By.cssSelector("[data-cell='2-angle_deg']")), "85");
        BROWSER.seesNo("Must be at most 180°.");
        BROWSER.waiting().until(d -> BROWSER.button("Save survey").isEnabled());
        BROWSER.type(BROWSER.find(By.cssSelector("[data-cell='3-at_cm']")), "9999");
        BROWSER.sees("At: Must be at most 2,500 cm.");
        BROWSER.type(BROWSER.find(By.cssSelector("[data-cell='3-at_cm']")), "900");
        BROWSER.sees("beyond the end of its parent");
        BROWSER.button("Start over").click();
        BROWSER.seesNo("beyond the end of its parent");
    }

    @Test
    void aSurveyFileIsTakenInAndAFaultyOneIsRefused(@TempDir Path folder) throws Exception {
        String good = SurveyReader.write(PracticeTree.survey("tall-spindle", 5, 77));
        Path file = Files.writeString(folder.resolve("good.json"), good);
        Path faulty = Files.writeString(
                folder.resolve("faulty.json"), good.replaceFirst("\"angle_deg\" : [0-9.]+", "\"angle_deg\" : 999"));
        Path broken = Files.writeString(folder.resolve("broken.json"), "{ not json");
        BROWSER.open(umbel.url() + "/trees/9/survey");
        BROWSER.sees("surveyed again");
        WebElement input = BROWSER.driver().findElement(By.cssSelector("input[type=file]"));
        String before =
                BROWSER.find(By.cssSelector("[data-cell='0-length_cm']")).getAttribute("value");
        input.sendKeys(broken.toString());
        BROWSER.sees("broken.json is not JSON");
        BROWSER.sees("pieces of wood");
        assertThat(BROWSER.bodyText())
                .as("the drawing that was still under way does not wipe the refusal out")
                .contains("broken.json is not JSON");
        input.sendKeys(faulty.toString());
        BROWSER.sees("faulty.json could not be imported");
        assertThat(BROWSER.find(By.cssSelector("[data-cell='0-length_cm']")).getAttribute("value"))
                .isEqualTo(before);
        input.sendKeys(file.toString());
        String wanted =
                String.valueOf(Math.round(SurveyReader.read(good).limbs().get(0).lengthCm()));
        BROWSER.waiting()
                .until(d -> BROWSER.find(By.cssSelector("[data-cell='0-length_cm']"))
                        .getAttribute("value")
                        .equals(wanted));
        BROWSER.seesNo("could not be imported");
        BROWSER.button("Start over").click();
    }

    @Test
    void aFirstSurveyBeginsFromATypicalTree() {
        long block = umbel.get("/api/holding").json().at("/blocks/0/id").asLong();
        long id = umbel.post("/api/trees", "{\"blockId\":" + block + ",\"row\":1,\"place\":9}")
                .json()
                .at("/id")
                .asLong();
        BROWSER.open(umbel.url() + "/trees/" + id + "/survey");
        BROWSER.sees("first survey");
        assertThat(BROWSER.bodyText()).doesNotContain("missing or wrong");
        BROWSER.button("Begin from a typical tree").click();
        BROWSER.waiting().until(d -> BROWSER.all("[data-cell$='-length_cm']").size() > 8);
        BROWSER.sees("pieces of wood");
        BROWSER.button("Undo").click();
        BROWSER.sees("Begin from a typical tree");
        BROWSER.button("Redo").click();
        BROWSER.waiting().until(d -> BROWSER.all("[data-cell$='-length_cm']").size() > 8);
        BROWSER.waiting().until(d -> BROWSER.button("Save survey").isEnabled());
        BROWSER.button("Save survey").click();
        BROWSER.sees("Recommended");
    }

    @Test
    void theSheetShowsNumberedCutsToolsAndCautions() {
        BROWSER.open(umbel.url() + "/trees/14/sheet");
        BROWSER.sees("Nothing is marked on this tree yet");
        BROWSER.open(umbel.url() + "/trees/14");
        BROWSER.button("Take all").click();
        BROWSER.sees("All taken");
        BROWSER.script("return new Promise(done => setTimeout(done, 1500))");
        BROWSER.open(umbel.url() + "/trees/14/sheet");
        BROWSER.sees("seen from the south");
        BROWSER.sees("seen from the east");
        BROWSER.sees("Tools");
        BROWSER.sees("Local codes and licensed practice come before this sheet");
        int steps = BROWSER.all("article ol > li").size();
        assertThat(steps).isPositive();
        assertThat(BROWSER.all("article figure:first-of-type svg rect"))
                .as("a number at every cut")
                .hasSize(steps);
        BROWSER.driver().executeCdpCommand("Emulation.setEmulatedMedia", java.util.Map.of("media", "print"));
        assertThat(BROWSER.driver()
                        .findElement(By.cssSelector("header.no-print"))
                        .isDisplayed())
                .isFalse();
        BROWSER.driver().executeCdpCommand("Emulation.setEmulatedMedia", java.util.Map.of("media", ""));
    }

    @Test
    void whatWasDoneIsRecordedWithReasonsAndCanBeCorrected() {
        BROWSER.open(umbel.url() + "/trees/4");
        BROWSER.button("Take all").click();
        BROWSER.sees("All taken");
        BROWSER.script("return new Promise(done => setTimeout(done, 1500))");
        BROWSER.open(umbel.url() + "/trees/4/record");
        BROWSER.sees("how did it go?");
        BROWSER.named("How step 2 went").sendKeys("skipped");
        BROWSER.type(BROWSER.field("By whom"), "Ines");
        BROWSER.button("Save the record").click();
        BROWSER.sees("Say why it was skipped");
        BROWSER.type(BROWSER.field("Why, and what instead"), "wasps in the hollow");
        BROWSER.type(BROWSER.field("Note for next year"), "Look again in June");
        BROWSER.button("Save the record").click();
        BROWSER.sees("skipped: wasps in the hollow");
        BROWSER.sees("Look again in June");
        BROWSER.sees("nothing to record");
        BROWSER.driver().navigate().refresh();
        BROWSER.sees("wasps in the hollow");
        BROWSER.button("Correct this").click();
        WebElement who = BROWSER.find(By.xpath("//form//label[contains(., 'By whom')]//input"));
        BROWSER.type(who, "Tomas");
        BROWSER.button("Save as a new entry").click();
        BROWSER.sees("Corrected by a later entry");
        BROWSER.sees("Tomas");
        BROWSER.open(umbel.url());
        BROWSER.find(By.xpath("//a[contains(., 'Kiln Field 5-3')]//span[normalize-space(text())='done']"));
    }
}
