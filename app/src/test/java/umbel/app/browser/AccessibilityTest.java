package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.app.RunningUmbel;

/** Each view is held against WCAG 2.2 AA by machine, by day and at dusk, and has something to say in the console: nothing. */
@ExtendWith(RunningUmbel.class)
class AccessibilityTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    AccessibilityTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @ParameterizedTest
    @CsvSource({
        "/, Kiln Field 2-5, light",
        "/, Kiln Field 2-5, dark",
        "/trees/5, Recommended, light",
        "/trees/5, Recommended, dark",
        "/trees/5/survey, surveyed again, light",
        "/trees/5/survey, surveyed again, dark",
        "/trees/13/sheet, Mark what is to be cut, light",
        "/trees/13/record, Its history, light",
        "/trees/17/walk, 7 limbs, light",
        "/trees/17/walk, 7 limbs, dark",
        "/blocks/3, The block as a whole, light",
        "/blocks/3, The block as a whole, dark",
        "/compare, In shade, light",
        "/guide, What to look for, light",
        "/guide?tab=schools, Intensive wall, dark",
        "/guide?tab=systems, Slender axe, light",
        "/guide?tab=species, Quince, dark",
        "/season, Go to, light",
        "/season, Go to, dark",
        "/season/crew, The crew, light",
        "/season/crew, The crew, dark",
        "/due, To come back for, light",
        "/password, Your password, light",
        "/accounts, Who changed what, light",
        "/accounts, Who changed what, dark",
        "/field, Work in the rows, light",
        "/field/trees/13, South Court 3-8, dark",
        "/nowhere, There is no such page, light",
    })
    void aViewHasNoSeriousBarrier(String path, String shows, String scheme) {
        BROWSER.driver()
                .executeCdpCommand(
                        "Emulation.setEmulatedMedia",
                        Map.of("features", List.of(Map.of("name", "prefers-color-scheme", "value", scheme))));
        BROWSER.open(umbel.url() + path);
        BROWSER.sees(shows);
        List<Rule> violations = violations();
        assertThat(violations.stream()
                        .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                        .map(rule -> rule.getId() + ": " + rule.getHelp() + " "
                                + rule.getNodes().get(0).getHtml()))
                .isEmpty();
        assertThat(BROWSER.complaints()).isEmpty();
    }

    /** There are no frames here, so the checker need not open a window of its own, which a busy machine at times refuses. */
    @SuppressWarnings("deprecation")
    private static List<Rule> violations() {
        return new AxeBuilder()
                .setLegacyMode(true)
                .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"))
                .analyze(BROWSER.driver())
                .getViolations();
    }
}
