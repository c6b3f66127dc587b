package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import umbel.app.NewBlock;
import umbel.app.RunningUmbel;

/** A block of many surveyed trees on the holding's page. */
@ExtendWith(RunningUmbel.class)
class HoldingInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private static final int TREES = 60;
    private static final String HEADING =
            "label,species,leaf,trunk_diameter_mm,trunk_height_cm,id,parent,at_cm,bearing_deg,angle_deg,diameter_mm,length_cm";

    private final RunningUmbel umbel;

    HoldingInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void theFirstTreesAreListedTheRestOnDemandAndAllAreSearched() {
        long block = NewBlock.add(umbel, "Hundred Rods", "apple", "tall-spindle", TREES);
        String table = IntStream.rangeClosed(1, TREES)
                .mapToObj(place -> "Hundred Rods 1-" + place + ",apple,4,48,295,1,trunk,70,15,62,18,95")
                .collect(Collectors.joining("\n", HEADING + "\n", "\n"));
        assertThat(umbel.send("POST", "/api/blocks/" + block + "/surveys", table, "text/csv")
                        .status())
                .isEqualTo(200);
        BROWSER.open(umbel.url() + "/");
        BROWSER.sees("Hundred Rods 1-50");
        assertThat(section(block).findElements(By.tagName("li"))).hasSize(50);
        BROWSER.button("List 10 more (10 not listed)").click();
        BROWSER.sees("Hundred Rods 1-60");
        assertThat(section(block).findElements(By.tagName("li"))).hasSize(TREES);
        BROWSER.open(umbel.url() + "/");
        BROWSER.sees("Hundred Rods 1-50");
        BROWSER.find(By.id("seek")).sendKeys("Rods 1-57");
        BROWSER.sees("Hundred Rods 1-57");
        assertThat(section(block).findElements(By.tagName("li"))).hasSize(1);
    }

    private static WebElement section(long block) {
        return BROWSER.find(By.cssSelector("section[aria-labelledby='block-" + block + "']"));
    }
}
