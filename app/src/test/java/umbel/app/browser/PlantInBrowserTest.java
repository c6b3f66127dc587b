package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import umbel.app.RunningUmbel;

/** A bush, a row and a vine as a grower meets them: looked at, marked, counted anew, taken to the row. */
@ExtendWith(RunningUmbel.class)
class PlantInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    PlantInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        BROWSER.size(1280, 800);
        assertThat(BROWSER.complaints()).isEmpty();
    }

    private static void press(String words) {
        BROWSER.find(By.xpath("//button[starts-with(normalize-space(.), '" + words + "')]"))
                .click();
    }

    @Test
    void aBushIsFoundInTheHoldingAndItsPlanIsTaken() {
        BROWSER.open(umbel.url() + "/?seek");
        BROWSER.type(BROWSER.find(By.id("seek")), "Blue Bank 3-4");
        BROWSER.find(By.xpath("//a[contains(., 'Blue Bank 3-4')]")).click();
        BROWSER.sees("red currant, leaf 9");
        BROWSER.sees("9 to 12 wanted");
        press("Take all");
        BROWSER.sees("15 →");
        BROWSER.sees("Saved");
        assertThat(BROWSER.find(By.cssSelector(".plant-drawing svg")).getAttribute("innerHTML"))
                .contains("#c2185b");
        BROWSER.open(
                umbel.url() + "/field/trees/" + BROWSER.driver().getCurrentUrl().replaceAll(".*/", ""));
        BROWSER.sees("Out at the ground: cane 11");
    }

    @Test
    void aStepIsLeftAndProposedAgain() {
        BROWSER.open(umbel.url() + "/plants/36");
        BROWSER.sees("black raspberry");
        press("1");
        BROWSER.sees("it shades and infects");
        press("Leave it");
        BROWSER.sees("Left: Cut out the 20 fruited canes");
        press("Propose again");
        BROWSER.seesNo("Left: Cut out the 20 fruited canes");
    }

    @Test
    void aVineSpeaksSpanish() {
        BROWSER.open(umbel.url() + "/plants/39");
        BROWSER.sees("38 wanted for 0.8 kg of prunings");
        BROWSER.speaking("es");
        BROWSER.sees("Deje el sarmiento c1 con 15 yemas");
        BROWSER.speaking("en");
        BROWSER.sees("Keep cane c1 with 15 nodes");
    }

    @Test
    void aBushIsCountedByThumbInAFewTaps() {
        BROWSER.size(390, 844);
        long id = placed("Blue Bank", 1, 15);
        BROWSER.open(umbel.url() + "/trees/" + id + "/survey");
        BROWSER.sees("Count Blue Bank 1-15");
        for (int age : new int[] {1, 1, 2, 2, 3, 3, 4, 5, 7, 7, 7}) {
            BROWSER.named("Add a cane of " + age + (age == 1 ? " year" : " years"))
                    .click();
        }
        BROWSER.sees("11 canes");
        BROWSER.sees("27% of the canes are older than 6 years");
        press("Save");
        BROWSER.sees("blueberry, leaf 12");
        BROWSER.sees("Cut cane 9 out at the ground");
    }

    /** Two arms and four canes by touches; the weight of the prunings follows from the thickness of one. */
    @Test
    void aVineIsCountedByThumbToo() {
        BROWSER.size(390, 844);
        long id = placed("Slope Vines", 2, 9);
        BROWSER.open(umbel.url() + "/trees/" + id + "/survey");
        BROWSER.sees("Count Slope Vines 2-9");
        press("Add an arm");
        press("Add an arm");
        for (String cane : new String[] {"12 nodes L", "10 nodes L", "12 nodes R", "8 nodes R"}) {
            BROWSER.named("Add a cane of " + cane).click();
            BROWSER.find(By.xpath("//*[@aria-label='mm thick']//button[normalize-space(.)='8']"))
                    .click();
        }
        BROWSER.sees("4 canes");
        BROWSER.sees("12 nodes, 8 mm");
        press("Save");
        BROWSER.sees("grape vine");
        BROWSER.sees("wanted for");
    }

    private long placed(String blockName, int row, int place) {
        long block = 0;
        for (var one : umbel.get("/api/holding").json().at("/blocks")) {
            block = one.at("/name").asString().equals(blockName) ? one.at("/id").asLong() : block;
        }
        return umbel.post("/api/trees", "{\"blockId\":" + block + ",\"row\":" + row + ",\"place\":" + place + "}")
                .json()
                .at("/id")
                .asLong();
    }
}
