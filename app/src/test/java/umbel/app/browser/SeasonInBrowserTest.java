package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Locale;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import umbel.app.RunningUmbel;

/** A foreman looks at the season, asks for a day, has the crew's work planned and moves a piece of it. */
@ExtendWith(RunningUmbel.class)
class SeasonInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    SeasonInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    private static void date(WebElement field, LocalDate day) {
        BROWSER.script(
                "const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;"
                        + "set.call(arguments[0], arguments[1]); arguments[0].dispatchEvent(new Event('input', {bubbles: true}));",
                field,
                day.toString());
    }

    @Test
    void aDayTellsWhereToGoAndWhyNotElsewhere() {
        BROWSER.open(umbel.url() + "/season");
        BROWSER.sees("The season");
        BROWSER.sees("Go to");
        assertThat(BROWSER.all("svg[aria-label^='South Court:']")).hasSize(1);
        date(BROWSER.find(By.id("day")), LocalDate.now().plusDays(3));
        BROWSER.sees("Canker is recorded");
        BROWSER.named("Choose " + LocalDate.now().plusDays(2)).click();
        assertThat(BROWSER.find(By.id("day")).getAttribute("value"))
                .isEqualTo(LocalDate.now().plusDays(2).toString());
    }

    @Test
    void theCrewsWorkIsPlannedAndAPieceIsMovedWithItsConsequences() {
        BROWSER.open(umbel.url() + "/season/crew");
        BROWSER.sees("Work schedule");
        BROWSER.find(By.xpath("//button[contains(., 'Make the schedule') or contains(., 'Plan again')]"))
                .click();
        BROWSER.waiting()
                .until(d -> !BROWSER.all("button[draggable=true]").isEmpty()
                        && BROWSER.bodyText().contains("Plan again"));
        BROWSER.find(By.cssSelector("button[draggable=true]")).click();
        WebElement form = BROWSER.find(By.cssSelector("form[aria-label='Move it']"));
        date(
                form.findElement(By.cssSelector("input[type=date]")),
                LocalDate.now().plusDays(250));
        BROWSER.button("Move it there").click();
        BROWSER.sees("What does not work out");
        BROWSER.sees("may not be cut on "
                + DateTimeFormatter.ofLocalizedDate(FormatStyle.MEDIUM)
                        .withLocale(Locale.ENGLISH)
                        .format(LocalDate.now().plusDays(250)));
    }

    @Test
    void somebodyNewJoinsTheCrew() {
        BROWSER.open(umbel.url() + "/season/crew");
        BROWSER.type(BROWSER.named("Name of somebody new"), "Noor");
        BROWSER.button("Add").click();
        BROWSER.waiting()
                .until(d -> BROWSER.all("input[aria-label='Name of Noor']").size() == 1);
        BROWSER.named("Hours a day of Noor").clear();
        BROWSER.type(BROWSER.named("Hours a day of Noor"), "30");
        BROWSER.script("document.querySelectorAll('form').forEach(form => form.noValidate = true)");
        BROWSER.button("Save").click();
        BROWSER.sees("Must be at most 14.");
    }
}
