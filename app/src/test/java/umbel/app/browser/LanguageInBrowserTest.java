package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import umbel.app.RunningUmbel;

/** Everything in the language of whoever sits there, switched without losing what is being entered. */
@ExtendWith(RunningUmbel.class)
class LanguageInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    /** Words that stand in the English interface and in no Spanish one. */
    private static final List<String> ENGLISH = List.of(" the ", " with ", " and ", " of the ", " winter ", " trees ");

    private final RunningUmbel umbel;

    LanguageInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void backToEnglish() {
        BROWSER.speaking("en");
        BROWSER.measuring("metric");
    }

    @Test
    void whatIsBeingEnteredStaysWhenTheLanguageChanges() {
        BROWSER.open(umbel.url() + "/");
        BROWSER.sees("Search trees");
        BROWSER.type(BROWSER.find(By.cssSelector("input[type=search]")), "Kiln");
        BROWSER.speaking("es");
        BROWSER.sees("Temporada");
        assertThat(BROWSER.find(By.cssSelector("input[type=search]")).getAttribute("value"))
                .isEqualTo("Kiln");
    }

    @Test
    void theChoiceLastsAndTheServerSpeaksItToo() {
        BROWSER.open(umbel.url() + "/trees/1");
        BROWSER.sees("Recommended");
        BROWSER.speaking("es");
        BROWSER.sees("Recomendado");
        BROWSER.open(umbel.url() + "/trees/1");
        BROWSER.sees("Recomendado");
        BROWSER.sees("Quitar");
    }

    @ParameterizedTest
    @CsvSource({"/season/crew, La cuadrilla", "/accounts, Cuentas y seguridad", "/trees/1/survey, Guardar la medición"})
    void noEnglishIsLeftOnAPageWithoutTextsOfTheTrade(String path, String shows) {
        BROWSER.open(umbel.url() + path);
        BROWSER.speaking("es");
        BROWSER.sees(shows);
        // what the server said before the switch stands until it has said it again
        BROWSER.waiting()
                .withMessage(BROWSER::bodyText)
                .until(d -> ENGLISH.stream().noneMatch(BROWSER.bodyText()::contains));
    }

    /** Shown and typed in inches, stored in millimetres: back in metric units the field holds what was typed. */
    @Test
    void figuresAreShownAndTypedInTheUnitsOfWhoeverSitsThere() {
        BROWSER.open(umbel.url() + "/trees/1/survey");
        WebElement thick = BROWSER.find(By.cssSelector("[data-cell='0-diameter_mm']"));
        double millimetres = Double.parseDouble(thick.getAttribute("value"));
        BROWSER.measuring("us");
        assertThat(Double.parseDouble(thick.getAttribute("value"))).isCloseTo(millimetres / 25.4, within(0.006));
        BROWSER.type(thick, "1.25");
        assertThat(thick.getAttribute("value")).isEqualTo("1.25");
        BROWSER.measuring("metric");
        assertThat(thick.getAttribute("value")).isEqualTo("31.8");
        BROWSER.button("Start over").click();
    }

    @Test
    void theServerTellsInTheseUnitsToo() {
        BROWSER.open(umbel.url() + "/trees/1");
        BROWSER.sees("Recommended");
        BROWSER.measuring("us");
        BROWSER.waiting().until(d -> BROWSER.bodyText().matches("(?s).*\\d in\\b.*"));
        BROWSER.waiting().until(d -> !BROWSER.bodyText().matches("(?s).*\\d (cm|mm|kg)\\b.*"));
    }

    @Test
    void whatIsChosenMeansTheSameInEveryLanguage() {
        BROWSER.open(umbel.url() + "/trees/1/survey");
        BROWSER.sees("Save survey");
        BROWSER.speaking("es");
        assertThat(BROWSER.named("Desde de la rama 1").getAttribute("value")).isEqualTo("tronco");
        Select condition = new Select(BROWSER.named("Estado de la rama 5b"));
        assertThat(condition.getFirstSelectedOption().getText()).isEqualTo("muerta");
        condition.selectByVisibleText("enferma");
        BROWSER.speaking("en");
        condition = new Select(BROWSER.named("Condition of limb 5b"));
        assertThat(condition.getFirstSelectedOption().getText()).isEqualTo("diseased");
        assertThat(BROWSER.named("From of limb 1").getAttribute("value")).isEqualTo("trunk");
        BROWSER.button("Undo").click();
    }
}
