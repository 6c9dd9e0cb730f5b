package dev.patientharbor.page;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.junit.jupiter.api.Assumptions;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;

/**
 * A browser without a window; where none is installed, tests that need it are skipped and say so.
 */
final class Browser implements AutoCloseable {

    /**
     * Kept, or its level would be forgotten: the driver warns of each browser newer than itself.
     */
    private static final Logger QUIET = Logger.getLogger("org.openqa.selenium");

    static {
        QUIET.setLevel(Level.SEVERE);
    }

    private final ChromeDriver driver;

    private Browser(ChromeDriver driver) {
        this.driver = driver;
    }

    static Browser open() {
        Optional<Path> found =
                List.of("/usr/bin/chromedriver", "/usr/local/bin/chromedriver").stream()
                        .map(Path::of)
                        .filter(Files::isExecutable)
                        .findFirst();
        if (found.isEmpty()) {
            System.err.println(
                    "NOTICE: no chromedriver is installed, so the page is not tested in a browser;"
                            + " on Debian: apt-get install chromium chromium-driver");
        }
        Assumptions.assumeTrue(found.isPresent(), "no chromedriver");
        ChromeOptions options = new ChromeOptions();
        options.addArguments(
                "--headless",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--window-size=1280,800");
        LoggingPreferences logs = new LoggingPreferences();
        logs.enable(LogType.BROWSER, Level.ALL);
        options.setCapability("goog:loggingPrefs", logs);
        ChromeDriverService service =
                new ChromeDriverService.Builder()
                        .usingDriverExecutable(found.orElseThrow().toFile())
                        .usingAnyFreePort()
                        .build();
        ChromeDriver driver = new ChromeDriver(service, options);
        driver.manage().timeouts().scriptTimeout(Duration.ofSeconds(60));
        return new Browser(driver);
    }

    ChromeDriver driver() {
        return driver;
    }

    /** Opens an address anew, not as a step inside of a page that is open. */
    void open(Path file, String hash) {
        driver.get("about:blank");
        driver.get(file.toUri() + hash);
    }

    List<WebElement> all(String css) {
        return driver.findElements(By.cssSelector(css));
    }

    WebElement one(String css) {
        return driver.findElement(By.cssSelector(css));
    }

    String text(String css) {
        return one(css).getText();
    }

    Object run(String script, Object... arguments) {
        return driver.executeScript(script, arguments);
    }

    Object runLater(String script, Object... arguments) {
        return driver.executeAsyncScript(script, arguments);
    }

    /** Whether the reader has set dark. */
    void dark(boolean dark) {
        driver.executeCdpCommand(
                "Emulation.setEmulatedMedia",
                Map.of(
                        "features",
                        List.of(
                                Map.of(
                                        "name",
                                        "prefers-color-scheme",
                                        "value",
                                        dark ? "dark" : "light"))));
    }

    /** How wide and high the screen is; 0 for that of the window. */
    void screen(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
    }

    /** What the console has of warnings and errors since it was last asked. */
    List<String> complaints() {
        return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
                .filter(entry -> entry.getLevel().intValue() >= Level.WARNING.intValue())
                .map(LogEntry::toString)
                .toList();
    }

    /** A script of a library for tests. */
    static String library(String path) {
        try (InputStream script =
                Browser.class.getResourceAsStream("/META-INF/resources/webjars/" + path)) {
            return new String(script.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    @Override
    public void close() {
        driver.quit();
    }
}
