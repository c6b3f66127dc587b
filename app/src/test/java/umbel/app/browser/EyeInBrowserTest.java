package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** Small drawings judged on a phone, with signal and without. */
@ExtendWith(RunningUmbel.class)
class EyeInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    EyeInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void signalAgain() {
        BROWSER.signal(true);
    }

    private JsonNode progress() {
        return umbel.get("/api/practice/progress").json();
    }

    /** The first option of every drawing, right or wrong, until the round is over; the first of them by its key. */
    private static void answerAll() {
        BROWSER.button("Start").click();
        BROWSER.find(By.cssSelector("button[class*='first-letter']"));
        BROWSER.keys("1");
        BROWSER.button("Next");
        BROWSER.waiting()
                .until(d -> Boolean.TRUE.equals(
                        BROWSER.script("if (document.body.innerText.includes('The minute is over')) return true;"
                                + "const next = [...document.querySelectorAll('button')].find(b => b.textContent === 'Next');"
                                + "(next ?? document.querySelector(\"button[class*='first-letter']\"))?.click();"
                                + "return false;")));
    }

    @Test
    void aRoundTrainsTheEyeAndGoesOnWithoutSignal() {
        BROWSER.size(390, 844);
        int before = progress().path("exercises").asInt();
        BROWSER.open(umbel.url() + "/practice/eye");
        BROWSER.sees("works without signal");
        BROWSER.driver().executeAsyncScript("navigator.serviceWorker.ready.then(arguments[0])");
        answerAll();
        BROWSER.sees("To look at again");
        BROWSER.waiting().until(d -> progress().path("exercises").asInt() == before + 1);
        assertThat(progress().path("skills"))
                .filteredOn(skill -> skill.path("eye").asBoolean())
                .hasSize(9)
                .allSatisfy(skill -> assertThat(skill.path("name").asString()).isNotBlank());
        assertThat(BROWSER.complaints()).isEmpty();

        BROWSER.signal(false);
        BROWSER.driver().navigate().refresh();
        BROWSER.sees("works without signal");
        answerAll();
        assertThat(progress().path("exercises").asInt()).isEqualTo(before + 1);
        BROWSER.signal(true);
        BROWSER.waiting().until(d -> progress().path("exercises").asInt() == before + 2);
    }
}
