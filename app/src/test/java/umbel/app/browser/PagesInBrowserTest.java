package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import umbel.app.RunningUmbel;

/** A page's own program is fetched when the page is first gone to. */
@ExtendWith(RunningUmbel.class)
class PagesInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    /** The scripts that this page has fetched so far, by name. */
    private static final String SCRIPTS =
            "return performance.getEntriesByType('resource').map(one => one.name).filter(name => name.endsWith('.js'))";

    private final RunningUmbel umbel;

    PagesInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void signalAgain() {
        BROWSER.signal(true);
    }

    @Test
    void aPageThatDoesNotArriveSaysSoAndComesOnceThereIsSignal() {
        BROWSER.driver().executeCdpCommand("Network.clearBrowserCache", Map.of());
        BROWSER.open(umbel.url() + "/");
        BROWSER.sees("Kiln Field 2-5");
        BROWSER.signal(false);
        guide().click();
        BROWSER.sees("This page did not arrive.");
        assertThat(guide().isDisplayed()).as("the way about is still there").isTrue();
        BROWSER.signal(true);
        BROWSER.button("Try again").click();
        BROWSER.sees("What to look for");
        assertThat(BROWSER.driver().getCurrentUrl()).endsWith("/guide");
    }

    @Test
    void theFirstPageFetchesWhatItNeedsOnly() {
        BROWSER.open(umbel.url() + "/due");
        BROWSER.sees("Follow-ups due");
        assertThat(scripts()).anyMatch(name -> name.contains("DuePage"));
        assertThat(scripts()).noneMatch(name -> name.contains("GuidePage") || name.contains("atTheTree"));
        guide().click();
        BROWSER.sees("What to look for");
        assertThat(scripts()).anyMatch(name -> name.contains("GuidePage"));
    }

    @SuppressWarnings("unchecked")
    private static List<String> scripts() {
        return (List<String>) BROWSER.script(SCRIPTS);
    }

    private static WebElement guide() {
        return BROWSER.find(By.linkText("Guide"));
    }
}
