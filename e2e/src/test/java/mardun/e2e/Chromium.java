package mardun.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * Debian's Chromium without a window, for a test class: the one that is made without one where it is installed, because it
 * opens pages in two thirds of the time.
 */
final class Chromium implements BeforeAllCallback, AfterAllCallback {

    private static final List<String> ARGUMENTS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    /** Where it is tomorrow already; today is what the application's machine says, never what the browser's does. */
    private static final String ZONE = "Pacific/Kiritimati";

    /** A cold application on a busy machine may take its time, in milliseconds. */
    private static final double PATIENCE = 60_000;

    private final List<String> complaints = new ArrayList<>();
    private Playwright playwright;
    private Browser browser;

    @Override
    public void beforeAll(ExtensionContext extension) {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(executable())
                        .setArgs(ARGUMENTS));
    }

    private static Path executable() {
        return Stream.of("chromium-headless-shell", "chromium")
                .map(name -> Path.of("/usr/bin", name))
                .filter(Files::isExecutable)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("Chromium isn't installed; run ./mardun test"));
    }

    @Override
    public void afterAll(ExtensionContext extension) {
        browser.close();
        playwright.close();
    }

    BrowserContext context() {
        BrowserContext context = browser.newContext(
                new Browser.NewContextOptions().setViewportSize(1280, 800).setTimezoneId(ZONE));
        context.setDefaultTimeout(PATIENCE);
        return context;
    }

    /** A page of its own context, whose complaints on the console are kept. */
    Page page() {
        Page page = context().newPage();
        page.onPageError(complaints::add);
        page.onConsoleMessage(message -> {
            boolean answered = message.text().startsWith("Failed to load resource");
            if (message.type().equals("error") && !answered) {
                complaints.add(message.text());
            }
        });
        return page;
    }

    /** What pages complained about: broken scripts, and what the content policy refused. */
    List<String> complaints() {
        return complaints;
    }
}
