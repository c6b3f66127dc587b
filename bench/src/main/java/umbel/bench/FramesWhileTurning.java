package umbel.bench;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;

/** How many pictures a second the tree view draws while it is turned, in headless Chromium without a graphics card. */
public final class FramesWhileTurning {

    private static final String TURN = """
            const done = arguments[arguments.length - 1];
            const canvas = document.querySelector('canvas');
            const box = canvas.getBoundingClientRect();
            const send = (type, x) => canvas.dispatchEvent(new PointerEvent(type,
              {pointerId: 1, bubbles: true, clientX: box.left + x, clientY: box.top + 300, button: 0}));
            canvas.setPointerCapture = () => undefined;
            send('pointerdown', 200);
            let frames = 0;
            const begun = performance.now();
            const step = () => {
              frames += 1;
              send('pointermove', 200 + frames * 4);
              if (performance.now() - begun < 4000) requestAnimationFrame(step);
              else { send('pointerup', 0); done(frames / ((performance.now() - begun) / 1000)); }
            };
            requestAnimationFrame(step);
            """;

    private FramesWhileTurning() {}

    /** Arguments: the running program's address, the tree's id. */
    public static void main(String[] args) throws Exception {
        Path profile = Files.createTempDirectory("umbel-frames");
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
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
        ChromeDriver driver = new ChromeDriver(
                new ChromeDriverService.Builder()
                        .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                        .build(),
                options);
        try {
            driver.executeCdpCommand(
                    "Emulation.setDeviceMetricsOverride",
                    Map.of("width", 1280, "height", 800, "deviceScaleFactor", 1, "mobile", false));
            driver.get(args[0] + "/trees/" + args[1]);
            Thread.sleep(9000);
            long axes =
                    (Long) driver.executeAsyncScript("const done = arguments[arguments.length - 1]; fetch('/api/trees/"
                            + args[1] + "').then(r => r.json()).then(p => done(p.drawing.axes.length))");
            double frames = ((Number) driver.executeAsyncScript(TURN)).doubleValue();
            System.out.printf(
                    Locale.ROOT,
                    "%-58s %5.0f      aim 30 a second%n",
                    "pictures a second while turning, " + axes + " axes",
                    frames);
        } finally {
            driver.quit();
        }
    }
}
