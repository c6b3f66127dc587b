package umbel.app.browser;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.logging.Level;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.springframework.util.FileSystemUtils;

/** Debian's own headless Chromium at the size of an office window, driven as a person would. */
final class Browser implements BeforeAllCallback, AfterAllCallback {

    /** How long to wait for a page on a busy machine, in seconds; {@code -Dumbel.patience=20} fails sooner while a test is written. */
    private static final Duration PATIENCE = Duration.ofSeconds(Integer.getInteger("umbel.patience", 90));

    /** How often a page is looked at while it is waited for. */
    private static final Duration GLANCE = Duration.ofMillis(120);

    /** One for all test classes of this process: starting it takes seconds. */
    private static ChromeDriver started;

    private ChromeDriver driver;
    private final Set<String> origins = new HashSet<>();

    /** Opens a tab of its own in the place of the one that the last class left. */
    @Override
    public void beforeAll(ExtensionContext context) throws IOException {
        driver = started();
        String left = driver.getWindowHandle();
        String own = driver.switchTo().newWindow(WindowType.TAB).getWindowHandle();
        driver.switchTo().window(left).close();
        driver.switchTo().window(own);
        complaints(); // the last class's, if any
        size(1280, 800);
    }

    /** Leaves nothing behind: neither what the pages stored nor cookies nor workers. */
    @Override
    public void afterAll(ExtensionContext context) {
        driver.get("about:blank");
        origins.forEach(origin -> driver.executeCdpCommand(
                "Storage.clearDataForOrigin", Map.of("origin", origin, "storageTypes", "all")));
        driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
    }

    private static synchronized ChromeDriver started() throws IOException {
        if (started == null) {
            Path profile = Files.createTempDirectory("umbel-browser");
            started = start(profile);
            Runtime.getRuntime().addShutdownHook(new Thread(() -> end(profile)));
        }
        return started;
    }

    private static ChromeDriver start(Path profile) {
        LoggingPreferences logs = new LoggingPreferences();
        logs.enable(LogType.BROWSER, Level.ALL);
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.setCapability("goog:loggingPrefs", logs);
        options.addArguments(
                "--headless=new",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--user-data-dir=" + profile);
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(new java.io.File("/usr/bin/chromedriver"))
                .build();
        return new ChromeDriver(service, options);
    }

    private static void end(Path profile) {
        started.quit();
        try {
            FileSystemUtils.deleteRecursively(profile);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    ChromeDriver driver() {
        return driver;
    }

    void size(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
    }

    /** Takes the network away from the page, or gives it back. */
    void signal(boolean there) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand(
                "Network.emulateNetworkConditions",
                Map.of("offline", !there, "latency", 0, "downloadThroughput", -1, "uploadThroughput", -1));
    }

    void open(String url) {
        if (url.startsWith("http")) {
            origins.add(url.replaceFirst("^(https?://[^/]+).*$", "$1"));
        }
        driver.get(url);
    }

    /** The first element that shows this text, once it is there. */
    WebElement text(String words) {
        return find(By.xpath("//*[not(self::script)][contains(normalize-space(text()), \"" + words + "\")]"));
    }

    WebElement button(String words) {
        return find(By.xpath("//button[contains(normalize-space(.), \"" + words + "\")]"));
    }

    /** Opens what is folded under a summary that begins with these words; leaves it where it is open. */
    void unfold(String words) {
        By summary = By.xpath("//summary[starts-with(normalize-space(.), '" + words + "')]");
        waiting().until(d -> {
            if (find(summary).findElement(By.xpath("..")).getAttribute("open") == null) {
                find(summary).click();
                return false;
            }
            return true;
        });
    }

    WebElement field(String name) {
        // a label by what it says, not by a choice inside it
        String says = "contains(normalize-space(.), \"" + name + "\")";
        return find(By.xpath("//label[" + says + " and (text()[" + says + "] or not(.//option[" + says
                + "]))]//*[self::input or self::select or self::textarea]"));
    }

    WebElement named(String ariaLabel) {
        return find(By.cssSelector("[aria-label='" + ariaLabel + "']"));
    }

    WebElement find(By by) {
        return waiting()
                .until(d -> d.findElements(by).stream()
                        .filter(WebElement::isDisplayed)
                        .findFirst()
                        .orElse(null));
    }

    List<WebElement> all(String css) {
        return driver.findElements(By.cssSelector(css));
    }

    /** Waits until the page shows these words. */
    void sees(String words) {
        waiting()
                .withMessage(() -> "the page should show: " + words + "\n" + bodyText())
                .until(d -> bodyText().contains(words));
    }

    void seesNo(String words) {
        waiting()
                .withMessage(() -> "the page should not show: " + words)
                .until(d -> !bodyText().contains(words));
    }

    /** Switches the interface's language by its own button, at whatever width. */
    void speaking(String language) {
        size(1280, 800);
        WebElement button = waiting().until(d -> find(By.cssSelector("button[lang=" + language + "]")));
        button.click();
        waiting().until(d -> language.equals(script("return document.documentElement.lang")));
    }

    /** Shows figures in metric or US customary units. */
    void measuring(String units) {
        size(1280, 800);
        if (all("button[data-units]").isEmpty()) {
            button("More").click();
        }
        waiting()
                .until(d -> find(By.cssSelector("button[data-units=" + units + "]")))
                .click();
        waiting()
                .until(d -> "true"
                        .equals(find(By.cssSelector("button[data-units=" + units + "]"))
                                .getAttribute("aria-pressed")));
    }

    String bodyText() {
        return String.valueOf(script("return document.body.innerText"));
    }

    /** Empties a field and types anew, as a person would. */
    void type(WebElement field, String words) {
        String keys = words.isEmpty() ? Keys.DELETE.toString() : words;
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), keys);
        try {
            // a busy machine loses a key now and then; a person would see it and type it again
            if (!words.strip().equals(field.getAttribute("value"))) {
                field.sendKeys(Keys.chord(Keys.CONTROL, "a"), keys);
            }
        } catch (StaleElementReferenceException e) {
            // what was typed has changed the page already
        }
    }

    void keys(CharSequence... keys) {
        new Actions(driver).sendKeys(keys).perform();
    }

    /** A key with Control held down, and Shift too where asked. */
    void control(String key, boolean shift) {
        Actions keys = new Actions(driver).keyDown(Keys.CONTROL);
        if (shift) {
            keys.keyDown(Keys.SHIFT);
        }
        keys.sendKeys(key);
        if (shift) {
            keys.keyUp(Keys.SHIFT);
        }
        keys.keyUp(Keys.CONTROL).perform();
    }

    Object script(String script, Object... arguments) {
        return driver.executeScript(script, arguments);
    }

    WebDriverWait waiting() {
        WebDriverWait wait = new WebDriverWait(driver, PATIENCE, GLANCE);
        wait.ignoring(StaleElementReferenceException.class);
        return wait;
    }

    /** What the console complained of since it was last asked, but for what a test itself provoked. */
    List<String> complaints() {
        return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
                .filter(entry -> entry.getLevel().intValue() >= Level.WARNING.intValue())
                .map(LogEntry::getMessage)
                .filter(message -> !message.contains("the server responded with a status of 4"))
                .filter(message -> !message.contains("willReadFrequently"))
                .toList();
    }
}
