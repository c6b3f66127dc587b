package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import umbel.app.RunningUmbel;

/** The guide as a reader goes through it. */
@ExtendWith(RunningUmbel.class)
class GuideInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    GuideInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    @Test
    void aPartPointedToIsExplainedAndTheAddressKeepsIt() {
        BROWSER.open(umbel.url() + "/guide");
        BROWSER.find(By.xpath("//button[@role='tab'][. = 'Parts and terms']")).click();
        BROWSER.find(By.cssSelector("[data-term='water-sprout'] text")).click();
        BROWSER.waiting()
                .until(d -> BROWSER.find(By.cssSelector("dl .bg-lichen-wash"))
                        .getText()
                        .contains("Water sprout"));
        assertThat(BROWSER.driver().getCurrentUrl()).contains("term=water-sprout");
        BROWSER.type(BROWSER.find(By.cssSelector("#seek-guide")), "vecería");
        BROWSER.sees("Alternate bearing");
        BROWSER.seesNo("Water sprout");
    }

    @Test
    void aSystemsFirstYearsAreDrawnWhenTheyAreOpened() {
        BROWSER.open(umbel.url() + "/guide?tab=systems");
        BROWSER.sees("Tall spindle");
        assertThat(BROWSER.all("figure svg")).isEmpty();
        BROWSER.unfold("Tall spindle in its first years");
        BROWSER.waiting().until(d -> BROWSER.all("figure svg").size() > 2);
        BROWSER.sees("Leaf 1,");
    }

    @Test
    void aKindsCardAndTheBookletAreOneLinkAway() {
        BROWSER.open(umbel.url() + "/guide?tab=species");
        BROWSER.sees("Good fruiting shoots are");
        assertThat(BROWSER.find(By.linkText("Pocket card (PDF)")).getAttribute("href"))
                .contains("/api/guide/cards/", "lang=en", "units=metric");
        assertThat(BROWSER.find(By.linkText("Español")).getAttribute("href")).contains("booklet.pdf?lang=es");
    }
}
