package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import umbel.app.OwnUmbel;

/** A second farm is added, and an adviser is invited into both; each page shows the farm of its address and no other. */
class FarmsInBrowserTest {

    private static final String PASSWORD = "nine windfalls";

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
    void anAdviserIsInvitedIntoTwoFarmsAndGoesFromOneToTheOther() throws IOException {
        BROWSER.open(url);
        BROWSER.type(BROWSER.field("Your name"), "Mara");
        BROWSER.type(BROWSER.field("Login"), "mara");
        BROWSER.type(BROWSER.field("Password"), PASSWORD);
        BROWSER.button("Make the account").click();
        addHolding("Tarn End");
        String first = invitation(url);
        BROWSER.button("More").click();
        BROWSER.find(By.linkText("Farms")).click();
        BROWSER.sees("Trees surveyed");
        BROWSER.type(BROWSER.named("Name of the farm"), "Gill Foot");
        BROWSER.button("Add it empty").click();
        BROWSER.find(By.linkText("Go there")).click();
        BROWSER.sees("No holding yet");
        String second = BROWSER.driver().getCurrentUrl().replaceFirst("(/farms/[a-z0-9]+).*", "$1");
        assertThat(second).contains("/farms/");
        theBarHasRoomAtATree(second);
        addHolding("Gill Foot Low");
        String other = invitation(second);
        BROWSER.button("Back up now").click();
        BROWSER.find(By.cssSelector("a[href*='/api/backups/umbel-']"));
        takenOutAndIn();
        BROWSER.button("More").click();
        BROWSER.button("Sign out").click();

        BROWSER.button("I have an invitation").click();
        BROWSER.type(BROWSER.field("Code of the invitation"), first);
        BROWSER.type(BROWSER.field("Your name"), "Ada");
        BROWSER.type(BROWSER.field("Login"), "ada");
        BROWSER.type(BROWSER.field("Password"), PASSWORD);
        BROWSER.button("Take the role").click();
        BROWSER.sees("Tarn End");
        BROWSER.button("More").click();
        BROWSER.find(By.linkText("Farms")).click();
        BROWSER.sees("adviser");
        assertThat(BROWSER.bodyText()).doesNotContain("Gill Foot").doesNotContain("Add a farm");
        BROWSER.type(BROWSER.named("Code of the invitation"), first);
        BROWSER.button("Take the role").click();
        BROWSER.sees("You have a role in this farm already.");
        BROWSER.type(BROWSER.named("Code of the invitation"), other);
        BROWSER.button("Take the role").click();
        BROWSER.sees("Gill Foot Low");
        BROWSER.find(By.linkText("Gill Foot")).click();
        BROWSER.sees("you are here");
        BROWSER.find(By.cssSelector("table a[href^='/farms/home']")).click();
        BROWSER.sees("Tarn End");
        assertThat(BROWSER.bodyText()).doesNotContain("Gill Foot Low");
        BROWSER.open(url + "/farms/nosuchfarm/");
        BROWSER.sees("There is no such farm, or you have no role in it.");
    }

    /** Takes the farm that is shown out and in again as another, while the page tells how far it has come. */
    /** With the farm's name in it, what is seldom needed at a tree stands under More. */
    private static void theBarHasRoomAtATree(String farm) {
        BROWSER.open(farm + "/trees/1");
        BROWSER.find(By.linkText("Sheet"));
        assertThat(BROWSER.script("const nav = document.querySelector('header nav');"
                        + "return innerWidth < 1536 && nav.scrollWidth <= nav.clientWidth"))
                .isEqualTo(true);
        BROWSER.button("More").click();
        assertThat(BROWSER.find(By.linkText("Side by side")).getDomAttribute("href"))
                .endsWith("/compare");
        BROWSER.open(farm);
        BROWSER.sees("No holding yet");
    }

    private static void takenOutAndIn() throws IOException {
        Object archive = BROWSER.driver()
                .executeAsyncScript("const told = arguments[0]; fetch(location.pathname.replace('/accounts', '')"
                        + " + '/api/farms/this/archive').then((answer) => answer.arrayBuffer())"
                        + ".then((bytes) => told(btoa(String.fromCharCode(...new Uint8Array(bytes)))))");
        Path file = data.resolve("taken-out.zip");
        Files.write(file, Base64.getDecoder().decode(String.valueOf(archive)));
        BROWSER.button("More").click();
        BROWSER.find(By.linkText("Farms")).click();
        BROWSER.sees("Add it from an archive");
        BROWSER.all("input[aria-label='Archive of a farm']").get(0).sendKeys(file.toString());
        BROWSER.sees("Gill Foot is added.");
        BROWSER.all("input[aria-label='Archive of a farm']")
                .get(0)
                .sendKeys(Files.writeString(data.resolve("no-archive.zip"), "no zip")
                        .toString());
        BROWSER.sees("This file is no farm archive.");
    }

    private static void addHolding(String name) {
        BROWSER.sees("No holding yet");
        BROWSER.type(BROWSER.field("Name of the holding"), name);
        BROWSER.type(BROWSER.field("Latitude"), "51.5");
        BROWSER.type(BROWSER.field("Height above the sea"), "80");
        BROWSER.button("Add the holding").click();
        BROWSER.sees("Name of the block");
    }

    /** Makes an invitation for an adviser, and reads its code from the page. */
    private static String invitation(String farm) {
        BROWSER.open(farm + "/accounts");
        BROWSER.button("Make an invitation").click();
        BROWSER.sees("Pass this code on");
        return BROWSER.find(By.cssSelector("[role=status] code")).getText();
    }
}
