package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
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

    @Test
    void whatCannotBeIsSaidByItsField() {
        BROWSER.open(umbel.url() + "/plantings?p="
                + java.net.URLEncoder.encode(
                        "{\"options\":[{\"name\":\"A\",\"species\":\"apple\",\"system\":\"tall-spindle\"}]}",
                        java.nio.charset.StandardCharsets.UTF_8));
        BROWSER.sees("options[0].price_perKg");
    }
}
