package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import umbel.app.OwnUmbel;

/** The first start of a holding of one's own, in the browser: an account, somebody for the crew, and what a pruner sees. */
class AccountsInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    @TempDir
    private static Path data;

    private static OwnUmbel umbel;
    private static String url;

    @BeforeAll
    static void start() {
        umbel = OwnUmbel.start(data);
        url = umbel.url();
    }

    @AfterAll
    static void stop() {
        umbel.close();
    }

    @Test
    void theGrowerMakesTheFirstAccountAndAPrunerSeesOnlyTheRows() {
        BROWSER.open(url);
        BROWSER.sees("The grower’s account");
        BROWSER.type(BROWSER.field("Your name"), "Mara");
        BROWSER.type(BROWSER.field("Login"), "mara");
        BROWSER.type(BROWSER.field("Password"), "short");
        BROWSER.button("Make the account").click();
        BROWSER.sees("at least 10 characters.");
        BROWSER.type(BROWSER.field("Password"), "nine windfalls");
        BROWSER.button("Make the account").click();
        BROWSER.sees("No holding yet");
        setUp();
        BROWSER.open(url + "/season/crew");
        BROWSER.type(BROWSER.named("Name of somebody new"), "Pau");
        BROWSER.button("Add").click();
        BROWSER.waiting()
                .until(d -> BROWSER.all("input[aria-label='Name of Pau']").size() == 1);
        BROWSER.open(url + "/accounts");
        BROWSER.type(BROWSER.named("Login of Pau"), "pau");
        BROWSER.type(BROWSER.named("New password of Pau"), "seven ladders");
        BROWSER.button("Save").click();
        BROWSER.sees("Saved");
        changeOwnPassword("nine windfalls", "ten windfalls");
        BROWSER.button("More").click();
        BROWSER.button("Sign out").click();
        BROWSER.sees("Sign in");
        BROWSER.type(BROWSER.field("Login"), "pau");
        BROWSER.type(BROWSER.field("Password"), "wrong ladders");
        BROWSER.find(By.cssSelector("button[type=submit]")).click();
        BROWSER.sees("The login or the password is wrong.");
        BROWSER.type(BROWSER.field("Password"), "seven ladders");
        BROWSER.find(By.cssSelector("button[type=submit]")).click();
        BROWSER.sees("Work in the rows");
        BROWSER.open(url + "/accounts");
        BROWSER.sees("Work in the rows");
        assertThat(BROWSER.bodyText()).doesNotContain("Who may sign in");
        BROWSER.find(By.linkText("Practice")).click();
        BROWSER.sees("One fault at a time");
        BROWSER.sees("Rootstock shoot");
        assertThat(BROWSER.bodyText()).doesNotContain("Holding").doesNotContain("The crew");
        BROWSER.find(By.linkText("Guide")).click();
        BROWSER.sees("What to look for");
    }

    private static void changeOwnPassword(String old, String fresh) {
        BROWSER.button("More").click();
        BROWSER.find(By.linkText("Password")).click();
        BROWSER.sees("Your password");
        BROWSER.type(BROWSER.field("The one you have"), "no such word");
        BROWSER.type(BROWSER.field("The new one, at least 10 characters"), fresh);
        BROWSER.button("Change it").click();
        BROWSER.waiting().until(d -> BROWSER.all("[role=alert]").size() == 1);
        BROWSER.type(BROWSER.field("The one you have"), old);
        BROWSER.button("Change it").click();
        BROWSER.sees("Changed.");
    }

    /** A holding and its first block, by hand. */
    private static void setUp() {
        BROWSER.type(BROWSER.field("Name of the holding"), "Tarn End");
        BROWSER.type(BROWSER.field("Latitude"), "51.5");
        BROWSER.type(BROWSER.field("Height above the sea"), "80");
        BROWSER.button("Add the holding").click();
        BROWSER.type(BROWSER.field("Name of the block"), "Pound Row");
        BROWSER.type(BROWSER.field("Trees"), "40");
        BROWSER.type(BROWSER.field("In the row"), "99");
        BROWSER.type(BROWSER.field("Between rows"), "5");
        BROWSER.button("Add the block").click();
        BROWSER.sees("Must be at most 30 m.");
        BROWSER.type(BROWSER.field("In the row"), "4");
        BROWSER.button("Add the block").click();
        BROWSER.sees("40 apple trees");
        BROWSER.sees("of work left");
        BROWSER.button("Survey a tree").click();
        BROWSER.button("Begin").click();
        BROWSER.sees("Pound Row 1-1, first survey");
    }
}
