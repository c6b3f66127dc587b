package umbel.app.browser;

import java.util.Comparator;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.app.RunningUmbel;
import umbel.text.Catalogue;

/** No page scrolls sideways, on a phone, a tablet or in an office window. */
@ExtendWith(RunningUmbel.class)
class EveryWidthInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private static final int[] WIDTHS = {390, 720, 1024, 1280};

    /** The width that the page and the area it scrolls in take, in pixels. */
    private static final String WIDTH = "const main = document.querySelector('main');"
            + "return Math.max(document.documentElement.scrollWidth, main ? main.scrollWidth : 0)";

    /** How much of the main navigation is out of sight, in pixels. */
    private static final String HIDDEN =
            "const nav = document.querySelector('header nav'); return nav ? nav.scrollWidth - nav.clientWidth : 0";

    /** The language whose texts are the longest. */
    private static final String LONGEST = longest();

    private final RunningUmbel umbel;

    EveryWidthInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private static String longest() {
        return Catalogue.LANGUAGES.stream()
                .max(Comparator.comparingLong(EveryWidthInBrowserTest::length))
                .orElseThrow();
    }

    private static long length(String language) {
        Catalogue texts = Catalogue.of(language);
        return texts.codes().stream()
                .mapToLong(code -> texts.message(code).length())
                .sum();
    }

    @AfterEach
    void office() {
        BROWSER.size(1280, 800);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/",
                "/blocks/1",
                "/trees/6",
                "/trees/6/survey",
                "/trees/6/walk",
                "/trees/6/photographs",
                "/trees/6/sheet",
                "/trees/6/record",
                "/season",
                "/season/crew",
                "/due",
                "/compare",
                "/plantings",
                "/plantings/household",
                "/practice",
                "/limb",
                "/look",
                "/blocks/1/count",
                "/season/day",
                "/practice/apple_tall-spindle_7_3_8",
                "/blocks/2/instruction",
                "/guide",
                "/guide?tab=terms",
                "/accounts",
                "/farms",
                "/field",
                "/field/blocks/1",
                "/field/trees/6",
                "/plants/28",
                "/plants/28/survey",
                "/plants/34/survey",
                "/plants/40/survey"
            })
    void noPageScrollsSideways(String page) {
        SoftAssertions widths = new SoftAssertions();
        BROWSER.open(umbel.url() + page);
        BROWSER.waiting()
                .until(d ->
                        !BROWSER.bodyText().isBlank() && !BROWSER.bodyText().matches("(?s)…|.*(Loading|Cargando).*"));
        if (!LONGEST.equals(BROWSER.script("return document.documentElement.lang"))) {
            BROWSER.speaking(LONGEST); // this browser remembers it for the pages that follow
        }
        for (int width : WIDTHS) {
            BROWSER.size(width, 800);
            widths.assertThat(((Number) BROWSER.script(WIDTH)).intValue())
                    .as("%s at %d", page, width)
                    .isLessThanOrEqualTo(width);
        }
        widths.assertThat(((Number) BROWSER.script(HIDDEN)).intValue())
                .as("%s: hidden of the way about, in an office window", page)
                .isLessThanOrEqualTo(0);
        widths.assertAll();
    }
}
