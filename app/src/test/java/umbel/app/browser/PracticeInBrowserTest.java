package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import umbel.app.RunningUmbel;

/** A learner's first exercise: look, cut, see; and what is left when the page is loaded anew. */
@ExtendWith(RunningUmbel.class)
class PracticeInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    PracticeInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        BROWSER.signal(true);
        BROWSER.speaking("en");
        assertThat(BROWSER.complaints()).isEmpty();
    }

    /** Two shoots of the rootstock, the lowest on the trunk: both off is a pass, and the skill is known. */
    @Test
    void aLearnerTakesOffRootstockShootsAndPasses() {
        String code = umbel.post(
                        "/api/practice/exercises",
                        "{\"level\":\"first\",\"species\":\"apple\",\"system\":\"vertical-axis\",\"fault\":\"suckers\",\"seed\":6}")
                .json()
                .at("/code")
                .asString();
        BROWSER.open(umbel.url() + "/practice/" + code);
        BROWSER.sees("What is wrong with this tree?");
        limb("1").click();
        limb("2").click();
        BROWSER.button("On to the cuts").click();
        BROWSER.sees("Touch a limb");
        BROWSER.button("Hint").click();
        BROWSER.sees("Look for this");
        takeOff("1");
        BROWSER.driver().navigate().refresh();
        BROWSER.sees("Your cuts");
        takeOff("2");
        BROWSER.button("Hand in").click();
        BROWSER.sees("What was wrong");
        assertThat(BROWSER.bodyText()).contains("put right, seen").contains("Left alone");
        BROWSER.button("The program").click();
        BROWSER.open(umbel.url() + "/practice");
        BROWSER.sees("What you can do");
        // other tests of this process may have practised the same
        BROWSER.waiting().until(d -> BROWSER.bodyText().matches("(?s).*Rootstock shoot\\s+[1-9]\\d* of \\d+.*"));
    }

    /** Whatever is touched is answered at once, and the last tree ends the round. */
    @Test
    void aMinuteForTheEyeAnswersEveryTouch() {
        BROWSER.open(umbel.url() + "/practice");
        BROWSER.find(By.linkText("A minute for the eye")).click();
        BROWSER.button("Start the minute").click();
        for (int tree = 0; tree < 3; tree++) {
            BROWSER.sees("Find:");
            BROWSER.waiting()
                    .until(d -> !BROWSER.all("aside [role=group] button").isEmpty());
            BROWSER.all("aside [role=group] button").get(0).click();
            BROWSER.waiting()
                    .until(d -> BROWSER.bodyText().contains("Right.")
                            || BROWSER.bodyText().contains("Not there"));
            BROWSER.button("Next tree").click();
        }
        BROWSER.sees("s left");
    }

    /** A kind, a system and a fault of one's own choice, in Spanish. */
    @Test
    void anExerciseIsChosenInSpanish() {
        BROWSER.open(umbel.url() + "/practice");
        BROWSER.sees("Choose an exercise");
        BROWSER.speaking("es");
        BROWSER.sees("Elegir un ejercicio");
        BROWSER.field("Especie").sendKeys("Peral");
        BROWSER.waiting().until(d -> BROWSER.bodyText().contains("Sistema"));
        BROWSER.button("Crear este ejercicio").click();
        BROWSER.sees("¿Qué le pasa a este árbol?");
        BROWSER.button("Pasar a los cortes").click();
        BROWSER.button("Entregar").click();
        BROWSER.sees("Todavía no");
        BROWSER.sees("Lo que además habría ayudado");
        BROWSER.speaking("en");
        BROWSER.sees("Not yet");
    }

    /** An exercise taken along is done without signal, and marked when there is signal again. */
    @Test
    void anExerciseIsDoneWithoutSignal() {
        BROWSER.size(390, 844);
        BROWSER.open(umbel.url() + "/practice");
        BROWSER.button("along").click();
        BROWSER.waiting().until(d -> taken().size() >= 3);
        BROWSER.driver().executeAsyncScript("navigator.serviceWorker.ready.then(arguments[0])");
        int before = done();
        BROWSER.signal(false);
        BROWSER.driver().navigate().refresh();
        BROWSER.sees("There is no signal");
        BROWSER.waiting().until(d -> !taken().isEmpty());
        taken().get(0).click();
        BROWSER.sees("What is wrong with this tree?");
        BROWSER.button("On to the cuts").click();
        BROWSER.sees("Touch a limb");
        takeOff("1");
        BROWSER.button("Hint").click();
        BROWSER.sees("Hints need signal");
        BROWSER.button("Hand in").click();
        BROWSER.sees("Handed in on this device");
        assertThat(done()).isEqualTo(before);
        BROWSER.signal(true);
        BROWSER.sees("Your cuts achieve");
        assertThat(done()).isEqualTo(before + 1);
        BROWSER.complaints();
        BROWSER.size(1280, 800);
    }

    private int done() {
        return umbel.get("/api/practice/progress").json().path("exercises").asInt();
    }

    private static List<WebElement> taken() {
        return BROWSER.all("section[aria-labelledby='taken-along'] li a");
    }

    /** A round of trees that was drawn once is there without signal too. */
    @Test
    void aMinuteForTheEyeNeedsNoSignal() {
        BROWSER.open(umbel.url() + "/practice/minute");
        BROWSER.button("Start the minute");
        BROWSER.driver().executeAsyncScript("navigator.serviceWorker.ready.then(arguments[0])");
        BROWSER.waiting()
                .until(d -> Boolean.TRUE.equals(BROWSER.driver()
                        .executeAsyncScript("const done = arguments[0];"
                                + "const asked = indexedDB.open('umbel-practice-drill');"
                                + "asked.onsuccess = () => { try { const all = asked.result.transaction('rounds')"
                                + ".objectStore('rounds').getAllKeys();"
                                + "all.onsuccess = () => done(all.result.includes('en')); }"
                                + "catch { done(false); } };")));
        BROWSER.signal(false);
        BROWSER.driver().navigate().refresh();
        BROWSER.button("Start the minute").click();
        BROWSER.sees("Find:");
        BROWSER.waiting().until(d -> !BROWSER.all("aside [role=group] button").isEmpty());
        BROWSER.all("aside [role=group] button").get(0).click();
        BROWSER.waiting()
                .until(d -> BROWSER.bodyText().contains("Right.")
                        || BROWSER.bodyText().contains("Not there"));
        BROWSER.signal(true);
        BROWSER.complaints();
    }

    private static WebElement limb(String number) {
        return BROWSER.find(By.cssSelector("aside button[aria-label='Limb " + number + "']"));
    }

    private static void takeOff(String limb) {
        BROWSER.waiting()
                .until(d -> !d.findElements(By.cssSelector("aside button[aria-label='Limb " + limb + "']"))
                        .isEmpty());
        limb(limb).click();
        BROWSER.sees("Remove limb " + limb);
        BROWSER.find(By.xpath("//li[.//b[starts-with(normalize-space(), 'Remove limb " + limb + "')]]//button"))
                .click();
        BROWSER.sees("Marked");
        BROWSER.button("Back").click();
        BROWSER.sees("Your cuts");
    }

    /** A learner asks about one limb; the answer follows what is typed, and the address holds the question. */
    @Test
    void oneLimbIsAskedAbout() {
        BROWSER.open(umbel.url() + "/practice");
        BROWSER.find(By.linkText("One limb")).click();
        BROWSER.sees("What could be done, and what each would do");
        BROWSER.type(BROWSER.field("Thickness"), "38");
        BROWSER.sees("by a bevel cut");
        BROWSER.waiting().until(d -> d.getCurrentUrl().contains("diameterMm=38"));
        BROWSER.open(umbel.url()
                + "/limb?species=apple&system=tall-spindle&leaf=6&trunkMm=55&diameterMm=12&angleDeg=92&atCm=120");
        BROWSER.sees("Leave it as it is");
        BROWSER.type(BROWSER.field("Angle from vertical"), "200");
        BROWSER.sees("Angle: ");
    }
}
