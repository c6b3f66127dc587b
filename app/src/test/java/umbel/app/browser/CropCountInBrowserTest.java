package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import umbel.app.NewBlock;
import umbel.app.RunningUmbel;

/** Fruits counted in the row: typed limb by limb, answered at once, kept over a reload, saved with what follows. */
@ExtendWith(RunningUmbel.class)
class CropCountInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    CropCountInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    @Test
    void aFewLimbsTellWhatHangsAndTheCountIsKept() {
        BROWSER.open(umbel.url() + "/blocks/4/count");
        BROWSER.sees("Two limbs give a first answer");
        BROWSER.button("After the June drop").click();
        BROWSER.named("Thickness of limb 1").sendKeys("24", Keys.ENTER, "95", Keys.ENTER, "30", Keys.ENTER, "150");
        BROWSER.sees("fruits per tree at harvest");
        BROWSER.driver().navigate().refresh();
        BROWSER.sees("fruits per tree at harvest");
        BROWSER.named("Thickness of limb 3").sendKeys("20", Keys.ENTER, "60");
        BROWSER.button("Save the count").click();
        BROWSER.sees("Counts so far");
        BROWSER.sees("3 limbs, forecast ×");
        BROWSER.waiting()
                .until(d -> BROWSER.find(By.cssSelector("[aria-label='Thickness of limb 1']"))
                        .getAttribute("value")
                        .isEmpty());
        BROWSER.button("Delete").click();
        BROWSER.seesNo("Counts so far");
    }

    /** Where there is no signal a block that was opened before is counted on, and the count is sent when there is signal. */
    @Test
    void aCountWithoutSignalIsSentLater() {
        long block = NewBlock.add(umbel, "Far Bank", "apple", "tall-spindle", 40);
        String counts = "/api/blocks/" + block + "/crop-counts";
        BROWSER.open(umbel.url() + "/blocks/" + block + "/count");
        BROWSER.sees("Two limbs give a first answer");
        BROWSER.driver().executeAsyncScript("navigator.serviceWorker.ready.then(arguments[0])");
        BROWSER.signal(false);
        BROWSER.driver().navigate().refresh();
        BROWSER.named("Thickness of limb 1").sendKeys("24", Keys.ENTER, "95", Keys.ENTER, "30", Keys.ENTER, "150");
        BROWSER.sees("is told when there is signal");
        BROWSER.button("Save the count").click();
        BROWSER.sees("One finished count waits");
        assertThat(umbel.get(counts).json()).isEmpty();
        BROWSER.signal(true);
        BROWSER.sees("Counts so far");
        BROWSER.seesNo("One finished count waits");
        assertThat(umbel.get(counts).json()).hasSize(1);
        BROWSER.complaints();
    }
}
