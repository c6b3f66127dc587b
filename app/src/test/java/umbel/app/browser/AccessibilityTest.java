package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
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
        "/, Kiln Field 2-5, light/dark",
        "/trees/5, Recommended, light/dark",
        "/trees/5/survey, surveyed again, light/dark",
        "/trees/13/sheet, Mark what is to be cut, light",
        "/trees/13/record, Its history, light",
        "/trees/17/walk, 7 limbs, light/dark",
        "/trees/3/photographs, Try with sample pictures, light",
        "/blocks/3, The block as a whole, light/dark",
        "/blocks/2/instruction, Which trees to survey, light",
        "/plantings, Present value, light/dark",
        "/plantings/household, Along the fence, light/dark",
        "/practice, One fault at a time, light/dark",
        "/practice/eye, works without signal, light",
        "/practice/apple_tall-spindle_7_3_8, On to the cuts, light",
        "/limb, What could be done, light",
        "/look, What to do, light/dark",
        "/blocks/1/count, Two limbs give, light",
        "/season/day, Day after, light",
        "/compare, In shade, light",
        "/guide, What to look for, light",
        "/guide?tab=schools, Intensive wall, dark",
        "/guide?tab=terms, Rootstock, light/dark",
        "/guide?tab=systems, Slender axe, light",
        "/guide?tab=species, Quince, dark",
        "/guide?tab=counted, Semi-erect blackberry, light",
        "/guide?tab=cuts&cut=head, Off at the collar, light/dark",
        "/season, Go to, light/dark",
        "/season/crew, The crew, light/dark",
        "/due, Follow-ups due, light",
        "/password, Your password, light",
        "/accounts, Who changed what, light/dark",
        "/field, Work in the rows, light",
        "/field/trees/13, South Court 3-8, dark",
        "/plants/28, Canes by age, light/dark",
        "/plants/34/survey, The stretch counted, light",
        "/plants/40/survey, Grape, dark",
        "/nowhere, There is no such page, light",
    })
    void aViewHasNoSeriousBarrier(String path, String shows, String schemes) {
        boolean again = false;
        for (String scheme : schemes.split("/")) {
            BROWSER.driver()
                    .executeCdpCommand(
                            "Emulation.setEmulatedMedia",
                            Map.of("features", List.of(Map.of("name", "prefers-color-scheme", "value", scheme))));
            if (!BROWSER.driver().getCurrentUrl().equals(umbel.url() + path)) {
                BROWSER.open(umbel.url() + path);
            }
            BROWSER.sees(shows);
            assertThat(violations(again).stream()
                            .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                            .map(rule -> rule.getId() + ": " + rule.getHelp() + " "
                                    + rule.getNodes().get(0).getHtml()))
                    .as(scheme)
                    .isEmpty();
            again = true;
        }
        assertThat(BROWSER.complaints()).isEmpty();
    }

    /**
     * There are no frames here, so the checker need not open a window of its own, which a busy machine at times refuses.
     *
     * @param again whether the view was looked at in other colours before: only they have changed
     */
    @SuppressWarnings("deprecation")
    private static List<Rule> violations(boolean again) {
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of("violations")); // what passes is thousands of nodes that nobody reads
        AxeBuilder checker = new AxeBuilder().withOptions(options).setLegacyMode(true);
        return (again
                        ? checker.withRules(List.of("color-contrast"))
                        : checker.withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa")))
                .analyze(BROWSER.driver())
                .getViolations();
    }
}
