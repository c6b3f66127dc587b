package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.By;
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
        String text = BROWSER.bodyText();
        assertThat(ENGLISH).as(text).noneMatch(text::contains);
    }
}
