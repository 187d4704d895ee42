package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Retakes the pictures of the documentation from demo data; run by {@code ./mardun shots}. */
@EnabledIfSystemProperty(named = "mardun.shots", matches = "true", disabledReason = "retakes pictures on request only")
class ScreenshotsTest {

    private static final Path PICTURES = Path.of("../docs/screenshots");

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @Test
    void retakeAll() throws IOException {
        try (PackagedApp app = PackagedApp.withDemoData()) {
            take(app, "/bench", "Next at the", "bench");
            take(app, "/bench/days", "When each batch is done", "days");
            take(app, "/designs/1", "What it shall measure", "design");
            take(app, "/designs", "Swift two-zip pouch", "designs");
            take(app, "/materials", "Reed Stripe", "materials");
            take(app, "/designs/new", "Drawstring backpack", "kinds");
            Page begin = open(app, "/designs/new/BOXED_TOTE", "How is it made?");
            choose(begin, "Outer cloth", "Slate canvas");
            choose(begin, "Lining cloth", "Reed Stripe");
            begin.getByPlaceholder("What do you call it?").fill("Market tote");
            save(begin, "begin");
            take(app, "/stalls/orders/1", "What was said", "order");
            Page season = open(app, "/batches/what-to-make", "come of making");
            season.getByLabel("Hours for it").fill("6");
            season.getByLabel("Hours for it").press("Enter");
            // In the few hours that are free without that, fewer than ten would be made.
            assertThat(season.getByText(Pattern.compile("Plan a batch of these \\d\\d")))
                    .isVisible();
            assertThat(season.getByText("among all open work")).isVisible();
            save(season, "what-to-make");
            Page work = open(app, "/bench/work/4", "Before you sit down");
            work.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Read, and on"))
                    .click();
            save(work, "work");
            take(app, "/batches/2/tally", "Minutes, planned and true", "tally");
            take(app, "/year", "Where did the money go?", "year");
            take(app, "/batches", "On the go", "batches");
            take(app, "/batches/6", "Cut list", "batch");
            take(app, "/stalls/15?part=pack", "Change to bring", "packing");
            Page stall = open(app, "/stalls/15/day", "Heron pouch");
            stall.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Heron pouch, small"))
                    .first()
                    .click();
            stall.getByText("20.00").first().click();
            save(stall, "stall");
            take(app, "/prices", "Heron pouch", "prices");
            Page sheet = open(app, "/prices", "Heron pouch");
            sheet.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Heron pouch"))
                    .nth(1)
                    .click();
            assertThat(sheet.getByText("By each school")).isVisible();
            save(sheet, "price-sheet");
            retakeParts(app);
        }
    }

    private static void retakeParts(PackagedApp app) {
        Page cutting = open(app, "/batches/6/cutting", "Cuts in order");
        assertThat(cutting.getByText("Looking for better layouts")).isHidden();
        cutting.keyboard().press("c");
        assertThat(cutting.getByText("1 of ")).isVisible();
        save(cutting, "cutting");
    }

    private static void choose(Page page, String slot, String material) {
        page.getByLabel(slot, new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption().setLabel(material));
    }

    private static void take(PackagedApp app, String path, String shows, String name) {
        save(open(app, path, shows), name);
    }

    private static Page open(PackagedApp app, String path, String shows) {
        Page page = CHROMIUM.page();
        page.navigate(app.url(path));
        assertThat(page.getByText(shows).first()).isVisible();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        return page;
    }

    private static void save(Page page, String name) {
        page.waitForTimeout(300);
        page.screenshot(new Page.ScreenshotOptions().setPath(PICTURES.resolve(name + ".png")));
        page.context().close();
    }
}
