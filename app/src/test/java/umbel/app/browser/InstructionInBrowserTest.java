package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.openqa.selenium.By;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** A foreman's morning: the instruction is found, put to use, read on the phone, and finished trees are held against it. */
@ExtendWith(RunningUmbel.class)
class InstructionInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private final RunningUmbel umbel;

    InstructionInBrowserTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @AfterEach
    void nothingWentWrongUnseen() {
        BROWSER.size(1280, 800);
        assertThat(BROWSER.complaints()).isEmpty();
    }

    private long block(String name) {
        for (JsonNode one : umbel.get("/api/holding").json().at("/blocks")) {
            if (one.at("/name").asString().equals(name)) {
                return one.at("/id").asLong();
            }
        }
        throw new AssertionError("No block " + name);
    }

    @Test
    void anInstructionIsFoundUsedReadAndChecked() {
        long court = block("South Court");
        BROWSER.open(umbel.url() + "/blocks/" + court);
        BROWSER.find(By.linkText("Instruction for the crew")).click();
        BROWSER.sees("Which trees to survey");
        BROWSER.button("Find the instruction").click();
        BROWSER.sees("What it brings");
        BROWSER.sees("of the gain from each tree’s own plan");
        BROWSER.button("Use for the block").click();
        BROWSER.sees("Stop using it");

        BROWSER.type(BROWSER.field("Whose trees"), "Lucia");
        BROWSER.find(By.cssSelector("[aria-label='Trees checked: one more']")).click();
        BROWSER.find(By.cssSelector("[aria-label^='Faults: Unsound wood'][aria-label$='one more']"))
                .click();
        BROWSER.button("Save the check").click();
        BROWSER.sees("1 fault on 2 trees");
        BROWSER.sees("look at more trees");

        BROWSER.size(390, 844);
        BROWSER.open(umbel.url() + "/field/blocks/" + court);
        BROWSER.sees("On every tree");
        BROWSER.size(1280, 800);
        BROWSER.open(umbel.url() + "/blocks/" + court + "/instruction");
        BROWSER.button("Stop using it").click();
        BROWSER.sees("Use for the block");
    }
}
