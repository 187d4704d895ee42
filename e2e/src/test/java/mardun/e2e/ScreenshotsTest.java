package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Retakes the pictures of the documentation from demo data; run by {@code ./mardun shots}. */
@EnabledIfSystemProperty(named = "mardun.shots", matches = "true", disabledReason = "retakes pictures on request only")
class ScreenshotsTest {

    private static final Path PICTURES = Path.of("../docs/screenshots");

    private static final int SEARCHING_MS = 60_000;

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
            take(app, "/materials/2", "How it came and went", "material");
            take(app, "/materials/buying", "All together", "buying");
            take(app, "/materials/deliveries", "What came before", "delivery");
            take(app, "/bench/work/4", "One done", "work");
            take(app, "/materials/hand?material=3", "can be made", "hand");
            take(app, "/batches", "On the go", "batches");
            take(app, "/batches/6", "Cut list", "batch");
            take(app, "/batches/10", "Made together", "together");
            take(app, "/batches/8", "Order of work", "batch-sewing");
            take(app, "/settings", "Hours free at the bench", "settings");
            Page page = open(app, "/batches/6", "Cut list");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Outer panel, height"))
                    .click();
            save(page, "working");
            retakeParts(app);
        }
    }

    private static void retakeParts(PackagedApp app) {
        Page cutting = open(app, "/batches/6/cutting", "Cuts in order");
        assertThat(cutting.getByText("Looking for better layouts"))
                .isHidden(new LocatorAssertions.IsHiddenOptions().setTimeout(SEARCHING_MS));
        cutting.keyboard().press("c");
        assertThat(cutting.getByText("1 of ")).isVisible();
        save(cutting, "cutting");
        Page rules = open(app, "/designs/3", "Cover");
        rules.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Rules"))
                .click();
        rules.getByLabel("Find a rule").fill("strap");
        rules.getByLabel("Try strap_tube", new Page.GetByLabelOptions().setExact(true))
                .click();
        rules.getByLabel("finished width").fill("1");
        rules.getByLabel("seam", new Page.GetByLabelOptions().setExact(true)).fill("1/4");
        assertThat(rules.getByText("2 ½ in").first()).isVisible();
        save(rules, "rules");
        Page questions = open(app, "/designs/1", "Outer panel");
        questions
                .getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Ask"))
                .click();
        questions.getByLabel("Base, as sewn").fill("7");
        questions.getByLabel("Height, as sewn").fill("6");
        questions.getByLabel("Depth, as sewn").fill("3");
        questions
                .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Explain it"))
                .click();
        assertThat(questions.getByText("This would make such a bag")).isVisible();
        save(questions, "questions");
    }

    private static void take(PackagedApp app, String path, String shows, String name) {
        save(open(app, path, shows), name);
    }

    private static Page open(PackagedApp app, String path, String shows) {
        Page page = CHROMIUM.page();
        page.navigate(app.url(path));
        assertThat(page.getByText(shows).first()).isVisible();
        page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
        return page;
    }

    private static void save(Page page, String name) {
        page.waitForTimeout(300);
        page.screenshot(new Page.ScreenshotOptions().setPath(PICTURES.resolve(name + ".png")));
        page.context().close();
    }
}
