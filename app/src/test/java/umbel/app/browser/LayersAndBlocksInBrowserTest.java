package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.support.ui.Select;
import umbel.app.RunningUmbel;

/** What the drawing can show beside its wood; a whole block; two trees side by side; the guide. */
@ExtendWith(RunningUmbel.class)
class LayersAndBlocksInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    LayersAndBlocksInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        assertThat(BROWSER.complaints()).isEmpty();
    }

    private String picture() {
        return String.valueOf(
                BROWSER.script(
                        "const c = document.querySelector('canvas'); const d = c.getContext('2d').getImageData(0,0,c.width,c.height).data;"
                                + " let h = 0; for (let i = 0; i < d.length; i += 16) h = (h * 31 + d[i] + d[i+1] * 3 + d[i+2] * 7) | 0; return h"));
    }

    private void layer(String words) {
        BROWSER.find(By.xpath("//div[@role='group']//button[normalize-space(.)='" + words + "']"))
                .click();
    }

    @Test
    void everyLayerDrawsSomethingElseAndSaysHowToReadIt() {
        BROWSER.open(umbel.url() + "/trees/5");
        BROWSER.sees("last year");
        String wood = picture();
        layer("Light");
        BROWSER.sees("under 30%: buds die");
        String light = changedFrom(wood);
        layer("Slice");
        BROWSER.sees("Sliced across the row");
        String slice = changedFrom(light);
        BROWSER.button("Sliced across the row").click();
        BROWSER.sees("Sliced along the row");
        changedFrom(slice);
        layer("Buds");
        BROWSER.sees("flower buds would set");
        layer("Harvest");
        BROWSER.sees("Limbs bend as their wood lets them");
        layer("Seen");
        BROWSER.sees("counted, arranged by chance");
        String seen = picture();
        layer("Target");
        BROWSER.sees("Leaf 22:");
        changedFrom(seen);
    }

    @Test
    void theSliceOpensOnTheFaceOneSees() {
        // rows of South Court run east and west, and a tree is first seen from the south
        BROWSER.open(umbel.url() + "/trees/11");
        BROWSER.sees("South Court 1-2");
        layer("Slice");
        BROWSER.sees("Sliced along the row");
    }

    private String changedFrom(String before) {
        BROWSER.waiting().until(d -> !picture().equals(before));
        return picture();
    }

    @Test
    void aFindingSaysByWhichLineAndOpensTheGuide() {
        BROWSER.open(umbel.url() + "/trees/6");
        BROWSER.sees("Recommended");
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'What is wrong')]"))
                .click();
        BROWSER.sees("By the Classic school: 0.5.");
        BROWSER.find(By.linkText("Why this matters")).click();
        BROWSER.sees("What to look for");
        BROWSER.sees("It competes with the leader");
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'Schools')]")).click();
        BROWSER.sees("Intensive wall");
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'Kinds')]")).click();
        BROWSER.type(BROWSER.find(By.id("seek-guide")), "walnut");
        BROWSER.sees("Walnut bleeds badly");
        BROWSER.seesNo("Quince");
        BROWSER.type(BROWSER.find(By.id("seek-guide")), "zzz");
        BROWSER.sees("Nothing matches");
    }

    @Test
    void aLineOfTheSchoolIsChangedAndTheFindingGoes() {
        BROWSER.open(umbel.url() + "/trees/6");
        BROWSER.sees("Recommended");
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'What is wrong')]"))
                .click();
        BROWSER.sees("Too thick for its place");
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'Plan')]")).click();
        BROWSER.unfold("For:");
        BROWSER.button("Change thresholds").click();
        BROWSER.sees("line by line");
        BROWSER.type(BROWSER.field("limb against the stem it grows from"), "0.9");
        BROWSER.button("Use these thresholds").click();
        BROWSER.sees("1 line of the school set otherwise here");
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'What is wrong')]"))
                .click();
        BROWSER.seesNo("over 0.50 it takes over");
        BROWSER.find(By.xpath("//button[@role='tab'][contains(., 'Plan')]")).click();
        BROWSER.unfold("For:");
        BROWSER.button("Change thresholds").click();
        BROWSER.button("Reset all").click();
        BROWSER.seesNo("set otherwise here");
    }

    @Test
    void aBlockIsReadWithWhatItsTreesShare() {
        BROWSER.open(umbel.url());
        BROWSER.sees("Kiln Field");
        BROWSER.find(By.linkText("Read the block")).click();
        BROWSER.sees("The block as a whole");
        BROWSER.button("Read every surveyed tree").click();
        BROWSER.sees("What its trees share");
        BROWSER.sees("How even it is");
        BROWSER.sees("trunk section");
    }

    @Test
    void aTableIsShownBeforeItIsWrittenAndAFaultyOneNamesItsCell(@TempDir Path folder) throws Exception {
        String table = umbel.get("/api/trees/6/survey.csv").text().replace("Long Wall 3-14", "Long Wall 17-1");
        Path good = Files.writeString(folder.resolve("good.csv"), table);
        Path bad = Files.writeString(folder.resolve("bad.csv"), table.replaceFirst(",trunk,limb,", ",trnk,limb,"));
        BROWSER.open(umbel.url() + "/blocks/2");
        BROWSER.sees("Survey tables");
        BROWSER.driver().findElement(By.cssSelector("input[type=file]")).sendKeys(bad.toString());
        BROWSER.sees("Nothing was written.");
        BROWSER.sees("There is no limb trnk");
        BROWSER.driver().findElement(By.cssSelector("input[type=file]")).sendKeys(good.toString());
        BROWSER.sees("new tree");
        BROWSER.button("Write these").click();
        BROWSER.sees("Written: 1 survey.");
    }

    @Test
    void twoTreesStandSideBySide() {
        BROWSER.open(umbel.url() + "/compare?left=1&right=6");
        BROWSER.sees("Side by side");
        BROWSER.waiting().until(d -> BROWSER.all("canvas").size() == 2);
        BROWSER.sees("apple, leaf 22");
        BROWSER.sees("apple, leaf 4");
    }

    @Test
    void aTableWithColumnsOfOtherNamesIsReadOnceTheyAreExplained(@TempDir Path folder) throws Exception {
        Path table = folder.resolve("trees.csv");
        Files.writeString(
                table,
                "label;species;system;trunk_diameter_mm;Top;id;parent;at_cm;bearing_deg;angle_deg;diameter_mm;length_cm;Colour\r\n"
                        + "Kiln Field 4-13;apple;central-leader;61,5;240;1;trunk;80;40;60;22;110;red\r\n"
                        + ";;;;;2;trunk;95;220;55;20;90;green\r\n");
        BROWSER.open(umbel.url() + "/blocks/1");
        BROWSER.sees("Survey tables");
        BROWSER.driver()
                .findElement(By.cssSelector("[aria-label='Survey table to import']"))
                .sendKeys(table.toString());
        BROWSER.sees("Some columns have other names");
        new Select(BROWSER.field("Top")).selectByVisibleText("trunk_height_cm");
        BROWSER.button("Read the table").click();
        BROWSER.sees("Kiln Field 4-13, 2 limbs: new tree");
        BROWSER.button("Write these").click();
        BROWSER.sees("Written: 1 survey.");
    }
}
