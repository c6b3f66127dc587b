package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import umbel.app.RunningUmbel;

/** Somebody without any record stands before a tree: its kind, its limbs pulled into shape, and what to cut. */
@ExtendWith(RunningUmbel.class)
class LookInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    LookInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    @Test
    void aTreeIsShapedByHandAnsweredAndKept() {
        assertThat(umbel.post(
                                "/api/holdings",
                                "{\"name\":\"Look Farm\",\"latitudeDeg\":51,\"elevationM\":80,\"timeZone\":\"UTC\"}")
                        .status())
                .isEqualTo(201);
        BROWSER.open(umbel.url());
        BROWSER.text("Look at one tree now").click();
        BROWSER.sees("What to do");
        WebElement canvas = BROWSER.find(By.cssSelector("canvas[role=img]"));
        int limbs = limbs(canvas);

        BROWSER.button("Add a limb").click();
        // the trunk stands in the middle of the picture
        new Actions(BROWSER.driver()).moveToElement(canvas, 0, 60).click().perform();
        BROWSER.waiting().until(d -> limbs(canvas) == limbs + 1);
        BROWSER.sees("Drag the circle (tip)");
        WebElement thick = BROWSER.field("Thick");
        BROWSER.type(thick, "44");
        BROWSER.sees(", 44 mm.");
        BROWSER.button("Copy").click();
        BROWSER.waiting().until(d -> limbs(canvas) == limbs + 2);
        BROWSER.button("Undo").click();
        BROWSER.waiting().until(d -> limbs(canvas) == limbs + 1);

        // what was shaped survives a reload, and is kept as a tree
        BROWSER.driver().navigate().refresh();
        BROWSER.waiting().until(d -> limbs(BROWSER.find(By.cssSelector("canvas[role=img]"))) == limbs + 1);
        BROWSER.sees("What to do");
        BROWSER.button("Save this tree").click();
        BROWSER.type(BROWSER.field("Name of the block"), "Looked Corner");
        BROWSER.find(By.xpath("//label[contains(., 'Holding')]/select/option[.='Look Farm']"))
                .click();
        BROWSER.button("Save the tree").click();
        BROWSER.sees("Looked Corner 1-1");
        BROWSER.sees("Recommended");
    }

    private static int limbs(WebElement canvas) {
        return Integer.parseInt(canvas.getAttribute("aria-label")
                .replaceAll("\\D+", " ")
                .strip()
                .split(" ")[0]);
    }
}
