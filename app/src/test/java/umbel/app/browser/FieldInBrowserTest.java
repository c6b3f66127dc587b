package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;
import umbel.app.photo.Pictures;

/** A pruner with a phone in the row: ticks, skips, loses the signal, goes on, and nothing is lost or doubled. */
@ExtendWith(RunningUmbel.class)
class FieldInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private static final long TREE = 19;

    private final RunningUmbel umbel;

    FieldInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @BeforeAll
    static void aPhone() {
        BROWSER.size(390, 844);
    }

    @AfterAll
    static void signalAgain() {
        BROWSER.signal(true);
    }

    private void mark() {
        JsonNode page = umbel.get("/api/trees/" + TREE).json();
        StringBuilder marks = new StringBuilder();
        for (int i = 0; i < 3; i++) {
            String limb = page.at("/limbs/" + i + "/id").asString();
            marks.append(i == 0 ? "" : ",")
                    .append("{\"operation\":\"bend\",\"limb\":\"")
                    .append(limb)
                    .append("\",\"toAngle_deg\":65}");
        }
        assertThat(umbel.send(
                                "PUT",
                                "/api/trees/" + TREE + "/work",
                                "{\"decisions\":{\"marks\":[" + marks + "]},\"version\":"
                                        + page.path("workVersion").asLong() + "}",
                                "application/json")
                        .status())
                .isEqualTo(200);
    }

    /** Brings it to the middle of the screen, as a thumb would, and taps it. */
    private static void tap(By by) {
        WebElement element = BROWSER.find(by);
        BROWSER.script("arguments[0].scrollIntoView({block: 'center'})", element);
        element.click();
    }

    private int records() {
        return umbel.get("/api/trees/" + TREE + "/records").json().size();
    }

    @Test
    void theTreeIsDoneWithoutSignalAndArrivesOnceWhenThereIsSome() {
        mark();
        int before = records();
        BROWSER.open(umbel.url() + "/field");
        BROWSER.script("localStorage.clear()");
        BROWSER.open(umbel.url() + "/t/" + TREE);
        BROWSER.sees("Hob Bank 1-5");
        BROWSER.sees("3 steps not ticked yet");
        BROWSER.signal(false);
        tap(By.xpath("(//button[starts-with(@aria-label, 'Done:')])[1]"));
        tap(By.xpath("(//button[starts-with(@aria-label, 'Skip:')])[1]"));
        BROWSER.type(BROWSER.named("Why is it skipped?"), "wasps");
        tap(By.cssSelector("form button[type=submit]"));
        BROWSER.sees("wasps");
        BROWSER.sees("1 step not ticked yet");
        BROWSER.type(BROWSER.field("Who"), "Lucia");
        BROWSER.button("Finish, leave the rest").click();
        BROWSER.sees("1 visit waits for signal.");
        assertThat(records()).isEqualTo(before);
        BROWSER.signal(true);
        BROWSER.script("window.dispatchEvent(new Event('online'))");
        BROWSER.seesNo("waits for signal");
        JsonNode visits = umbel.get("/api/trees/" + TREE + "/records").json();
        assertThat(visits.size()).isEqualTo(before + 1);
        assertThat(visits.get(0).path("who").asString()).isEqualTo("Lucia");
        assertThat(visits.get(0).path("steps").toString()).contains("as-planned", "wasps", "left");
        JsonNode left = umbel.get("/api/field/trees/" + TREE).json();
        assertThat(left.path("steps").size())
                .as("what was handed over stays marked")
                .isEqualTo(1);
    }

    @Test
    void photographsTakenWithoutSignalArriveWithTheirVisit() throws IOException {
        mark();
        Path picture = Files.write(Files.createTempFile("tree", ".jpg"), Pictures.jpeg());
        int before = umbel.get("/api/trees/" + TREE + "/photos").json().size();
        BROWSER.open(umbel.url() + "/field");
        BROWSER.script("localStorage.clear()");
        BROWSER.open(umbel.url() + "/field/trees/" + TREE);
        BROWSER.sees("3 steps not ticked yet");
        BROWSER.signal(false);
        WebElement files = BROWSER.driver().findElement(By.cssSelector("input[aria-label='Photographs to add']"));
        files.sendKeys(picture.toString());
        BROWSER.find(By.cssSelector("img[alt='before']"));
        tap(By.xpath("(//button[starts-with(@aria-label, 'Done:')])[1]"));
        files.sendKeys(picture.toString());
        BROWSER.find(By.cssSelector("img[alt='after']"));
        BROWSER.type(BROWSER.field("Who"), "Lucia");
        BROWSER.button("Finish, leave the rest").click();
        BROWSER.sees("2 photographs wait for signal.");
        assertThat(umbel.get("/api/trees/" + TREE + "/photos").json().size()).isEqualTo(before);
        BROWSER.signal(true);
        BROWSER.script("window.dispatchEvent(new Event('online'))");
        BROWSER.seesNo("for signal");
        JsonNode photos = umbel.get("/api/trees/" + TREE + "/photos").json();
        long visit =
                umbel.get("/api/trees/" + TREE + "/records").json().at("/0/id").asLong();
        assertThat(photos.size()).isEqualTo(before + 2);
        assertThat(photos.get(0).path("recordId").asLong()).isEqualTo(visit);
        assertThat(photos.get(0).path("moment").asString()).isEqualTo("after");
        assertThat(photos.get(1).path("moment").asString()).isEqualTo("before");
        BROWSER.open(umbel.url() + "/trees/" + TREE + "/record");
        tap(By.xpath("//section[@aria-labelledby='history']//button[contains(., ', before')]"));
        BROWSER.find(By.xpath("//div[@role='dialog']//img[@width='80']"));
    }

    @Test
    void damageIsReportedByAPhotographWhereNothingIsMarked() throws IOException {
        long tree = 1;
        while (!umbel.get("/api/field/trees/" + tree).json().path("steps").isEmpty()) {
            tree++;
        }
        Path picture = Files.write(Files.createTempFile("tree", ".jpg"), Pictures.jpeg());
        BROWSER.open(umbel.url() + "/field/trees/" + tree);
        BROWSER.sees("Report damage or leave a note");
        BROWSER.driver()
                .findElement(By.cssSelector("input[aria-label='Photographs to add']"))
                .sendKeys(picture.toString());
        BROWSER.find(By.cssSelector("img[alt='as seen']"));
        BROWSER.type(BROWSER.field("Who"), "Lucia");
        BROWSER.button("Send the report").click();
        BROWSER.sees("Saved on this phone.");
        BROWSER.seesNo("for signal");
        JsonNode visit = umbel.get("/api/trees/" + tree + "/records").json().get(0);
        assertThat(visit.path("note").asString()).isEqualTo("Photograph");
        assertThat(visit.path("worked").asBoolean()).isFalse();
        JsonNode photo = umbel.get("/api/trees/" + tree + "/photos").json().get(0);
        assertThat(photo.path("recordId").asLong()).isEqualTo(visit.path("id").asLong());
        assertThat(photo.path("moment").asString()).isEqualTo("seen");
    }

    @Test
    void aCutNobodyMarkedIsWrittenDownAsACut() {
        mark();
        BROWSER.open(umbel.url() + "/field");
        BROWSER.script("localStorage.clear()");
        BROWSER.open(umbel.url() + "/field/trees/" + TREE);
        BROWSER.sees("3 steps not ticked yet");
        tap(By.xpath("//summary[starts-with(., 'Cut something else too')]"));
        WebElement limb = BROWSER.find(By.cssSelector("details[open] select"));
        String name = limb.findElements(By.tagName("option")).get(1).getDomAttribute("value");
        new Select(limb).selectByValue(name);
        tap(By.xpath("//button[.='Taken off']"));
        BROWSER.type(BROWSER.named("Why"), "split");
        tap(By.cssSelector("button[aria-label='Cut something else too']"));
        BROWSER.sees(name + ": Taken off, split");
        tap(By.xpath("(//button[starts-with(@aria-label, 'Done:')])[1]"));
        tap(By.cssSelector("div[aria-label='Tools used'] button"));
        BROWSER.type(BROWSER.field("Minutes, if the clock is wrong"), "7.5");
        BROWSER.type(BROWSER.field("Who"), "Lucia");
        BROWSER.button("Finish, leave the rest").click();
        BROWSER.sees("Saved on this phone.");
        BROWSER.seesNo("waits for signal");
        JsonNode visit = umbel.get("/api/trees/" + TREE + "/records").json().get(0);
        assertThat(visit.path("minutes").asDouble()).isEqualTo(7.5);
        assertThat(visit.path("tools").asString()).isNotBlank();
        JsonNode added = visit.path("steps").get(visit.path("steps").size() - 1);
        assertThat(added.path("outcome").asString()).isEqualTo("added");
        assertThat(added.at("/mark/operation").asString()).isEqualTo("remove");
        assertThat(added.at("/mark/limb").asString()).isEqualTo(name);
    }

    @Test
    void theCrewReadsItInSpanish() {
        mark();
        BROWSER.open(umbel.url() + "/field/trees/" + TREE);
        BROWSER.button("Español").click();
        BROWSER.sees("Llevar rama");
        BROWSER.sees("pasos sin marcar");
        BROWSER.open(umbel.url() + "/field");
        BROWSER.sees("Trabajo en las hileras");
        BROWSER.sees("Hob Bank 1");
        BROWSER.button("English").click();
        BROWSER.sees("Work in the rows");
    }

    @Test
    void theSecondPhoneIsToldWhatTheFirstDidAndBothAreSaved() {
        mark();
        int before = records();
        BROWSER.open(umbel.url() + "/field/trees/" + TREE);
        BROWSER.script("localStorage.clear()");
        BROWSER.open(umbel.url() + "/field/trees/" + TREE);
        BROWSER.sees("steps not ticked yet");
        BROWSER.signal(false);
        tap(By.xpath("(//button[starts-with(@aria-label, 'Done:')])[1]"));
        BROWSER.type(BROWSER.field("Who"), "Lucia");
        BROWSER.button("Finish, leave the rest").click();
        BROWSER.sees("1 visit waits for signal.");
        JsonNode sheet = umbel.get("/api/field/trees/" + TREE).json();
        JsonNode second = sheet.at("/steps/1/mark");
        String limb = umbel.get("/api/trees/" + TREE).json().at("/limbs/1/id").asString();
        String tomas = "{\"doneOn\":\"" + LocalDate.now(ZoneOffset.UTC)
                + "\",\"who\":\"Tomas\",\"minutes\":5,\"note\":\"\",\"steps\":[{\"mark\":{\"operation\":\"bend\",\"limb\":\""
                + limb
                + "\",\"toAngle_deg\":65},\"title\":\"A step\",\"outcome\":\"as-planned\"}]}";
        assertThat(umbel.post("/api/trees/" + TREE + "/records", tomas).status())
                .isEqualTo(201);
        BROWSER.signal(true);
        BROWSER.script("window.dispatchEvent(new Event('online'))");
        BROWSER.sees("Tomas");
        BROWSER.button("Understood").click();
        BROWSER.seesNo("Tomas");
        assertThat(records()).isEqualTo(before + 2);
    }
}
