package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;
import umbel.app.RunningUmbel;
import umbel.app.survey.SampleTouches;
import umbel.photosurvey.PhotoSurveyRequest.Pixel;
import umbel.wood.Axis;

/** A survey from photographs, touched in the sample pictures as a person would. */
@ExtendWith(RunningUmbel.class)
class PhotoSurveyInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private static final int LIMBS = 2;

    private final RunningUmbel umbel;

    PhotoSurveyInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @BeforeEach
    void anOffice() {
        BROWSER.size(1280, 900);
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    private long begun(int place) {
        long tree = umbel.post("/api/trees", "{\"blockId\":2,\"row\":18,\"place\":" + place + "}")
                .json()
                .at("/id")
                .asLong();
        BROWSER.open(umbel.url() + "/trees/" + tree + "/survey");
        BROWSER.find(By.linkText("From photographs")).click();
        BROWSER.button("Try with sample pictures").click();
        BROWSER.waiting().until(d -> BROWSER.all("figure img").size() == 2);
        BROWSER.button("Begin").click();
        return tree;
    }

    private void touch(String prompt, Pixel at) {
        BROWSER.sees(prompt);
        WebElement picture = BROWSER.find(By.cssSelector("[data-testid=picture]"));
        double scale = picture.getSize().getWidth() / (double) SampleTouches.WIDTH;
        new Actions(BROWSER.driver())
                .moveToElement(picture, (int) Math.round((at.x() - SampleTouches.WIDTH / 2.0) * scale), (int)
                        Math.round((at.y() - SampleTouches.HEIGHT / 2.0) * scale))
                .click()
                .perform();
    }

    private void touchAll(int picture) {
        touch("Touch the foot of the staff", SampleTouches.foot(picture));
        touch("Touch the head of the staff", SampleTouches.head(picture));
        touch("Touch the top of the trunk", SampleTouches.top(picture));
        for (int i = 0; i < LIMBS; i++) {
            Axis limb = SampleTouches.limbs().get(i);
            String name = "Limb " + (i + 1);
            touch(name + ": touch its base", SampleTouches.on(picture, limb, 0));
            touch(name + ": touch where it bends", SampleTouches.on(picture, limb, 0.5));
            touch(name + ": touch its tip", SampleTouches.on(picture, limb, 1));
        }
    }

    @Test
    void limbsTouchedInTwoPicturesBecomeASurvey() {
        long tree = begun(1);
        touchAll(0);
        BROWSER.button("Picture 2").click();
        touchAll(1);
        BROWSER.sees(LIMBS + " limbs measured");
        new Select(BROWSER.named("Thickness of limb 1")).selectByValue("22.5");
        new Select(BROWSER.named("Strong uprights on limb 1")).selectByValue("1");
        BROWSER.waiting().until(d -> {
            BROWSER.driver().navigate().refresh();
            BROWSER.sees(LIMBS + " limbs measured");
            return "1".equals(BROWSER.named("Strong uprights on limb 1").getAttribute("value"));
        });
        assertThat(BROWSER.named("Thickness of limb 1").getAttribute("value"))
                .as("what was entered survives a reload")
                .isEqualTo("22.5");
        BROWSER.button("Use these 2 limbs").click();
        BROWSER.sees("Limbs, from the lowest up");
        assertThat(BROWSER.driver().getCurrentUrl()).endsWith("/trees/" + tree + "/survey");
        BROWSER.type(BROWSER.field("Trunk"), "52");
        BROWSER.waiting().until(d -> BROWSER.button("Save survey").isEnabled());
        BROWSER.button("Save survey").click();
        BROWSER.sees("Recommended");
        long survey = umbel.get("/api/trees/" + tree + "/place")
                .json()
                .at("/surveyId")
                .asLong();
        var saved = umbel.get("/api/surveys/" + survey).json();
        assertThat(saved.at("/limbs").size()).isEqualTo(LIMBS);
        assertThat(saved.at("/limbs/0/diameter_mm").asDouble()).isEqualTo(22.5);
        assertThat(saved.at("/limbs/0/error/bearing_deg").asDouble()).isPositive();
        assertThat(saved.at("/limbs/0/wood/shoots/0/count").asInt()).isEqualTo(1);
        assertThat(umbel.get("/api/trees/" + tree + "/photos").json().size())
                .as("both pictures are kept with the tree")
                .isEqualTo(2);
    }

    @Test
    void touchesSurviveAReloadAndAreUndone() {
        begun(2);
        touch("Touch the foot of the staff", SampleTouches.foot(0));
        touch("Touch the head of the staff", SampleTouches.head(0));
        BROWSER.sees("Touch the top of the trunk");
        BROWSER.button("Top not visible").click();
        BROWSER.sees("Limb 1: touch its base");
        BROWSER.waiting().until(d -> {
            BROWSER.driver().navigate().refresh();
            BROWSER.sees("Picture 1");
            return BROWSER.bodyText().contains("Limb 1: touch its base");
        });
        touch(
                "Limb 1: touch its base",
                SampleTouches.on(0, SampleTouches.limbs().get(0), 0));
        BROWSER.sees("Limb 1: touch where it bends");
        BROWSER.button("Undo").click();
        BROWSER.sees("Limb 1: touch its base");
        BROWSER.button("Redo").click();
        BROWSER.button("Straight").click();
        BROWSER.sees("Limb 1: touch its tip");
    }
}
