package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A batch is sewn at the bench on a tablet, by keys alone: timed, counted, with a reload and a power cut in between. */
class BenchJourneyTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @Test
    void noCountIsLostWhateverHappens() throws IOException {
        try (PackagedApp app = PackagedApp.withDemoData()) {
            Page page = CHROMIUM.page();
            page.setViewportSize(768, 1024);
            page.navigate(app.url("/batches/4"));
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Gather"))
                    .press("Enter");
            Locator slider =
                    page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("Slider")));
            slider.press("Space");
            assertThat(page.getByText("1 of")).isVisible();
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("To the bench"))
                    .press("Enter");
            sitDown(page);
            Locator operation = done(page).getByRole(AriaRole.HEADING);
            assertThat(operation).isVisible();
            String first = operation.innerText();
            String batch = page.url();
            int before = counted(page);

            page.keyboard().press("Space");
            Locator ready =
                    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("It is on the machine"));
            if (ready.isVisible()) {
                ready.click();
            }
            assertThat(page.getByText("this one")).isVisible();
            assertThat(page.getByRole(AriaRole.TIMER)).hasText(Pattern.compile("0:0[1-9]"));
            page.keyboard().press("Enter");
            assertThat(page.getByText("Confirm first: Slider face down on the right side."))
                    .isVisible();
            counts(page, before);
            oneDone(page);
            counts(page, before + 1);
            assertThat(page.getByRole(AriaRole.TIMER)).hasText(Pattern.compile("0:0[0-9]"));

            app.kill();
            oneDone(page);
            counts(page, before + 2);
            assertThat(page.getByText("What you touch is kept in this browser")).isVisible();
            page.keyboard().press("z");
            counts(page, before + 1);
            page.reload();
            assertThat(operation).hasText(first);
            counts(page, before + 1);
            oneDone(page);
            counts(page, before + 2);
            app.start();
            assertThat(page.getByText("What you touch is kept in this browser")).isHidden();
            counts(page, before + 2);
            page.keyboard().press("Space");
            assertThat(page.getByText("paused")).isVisible();
            page.reload();
            assertThat(operation).hasText(first);
            counts(page, before + 2);

            Page other = page.context().newPage();
            other.navigate(batch);
            sitDown(other);
            counts(other, before + 2);
            other.close();

            page.keyboard().press("l");
            assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("All operations")))
                    .containsText(first);
            page.keyboard().press("l");
            page.keyboard().press("ArrowRight");
            assertThat(operation).not().hasText(first);
            page.keyboard().press("ArrowLeft");
            assertThat(operation).hasText(first);

            page.keyboard().press("x");
            page.keyboard().type("hole {at} the corner – ç");
            page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Scrap"))
                    .check();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Log it"))
                    .click();
            assertThat(page.getByText("Scrapped: 1.")).isVisible();
            assertThat(firstLine(page)).containsText(Pattern.compile("of 9"));
            page.keyboard().press("l");
            assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What went wrong")))
                    .containsText("hole {at} the corner – ç · scrap");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("hole {at} the corner"))
                    .click();
            assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What went wrong")))
                    .not()
                    .containsText("hole {at} the corner");
            page.keyboard().press("l");
            assertThat(firstLine(page)).containsText(Pattern.compile("of 10"));
            page.navigate(app.url("/batches/4/tally"));
            assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Minutes by step")))
                    .containsText("Sew zip to outer and lining");
            Locator left = page.getByLabel(Pattern.compile("^Left of")).first();
            left.pressSequentially("much");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Set the shelf right"))
                    .press("Enter");
            assertThat(page.getByText("“much”")).isVisible();
            left.fill("");
            left.pressSequentially("2 yd");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Set the shelf right"))
                    .press("Enter");
            assertThat(page.getByText("The shelf is set right.")).isVisible();
            page.navigate(app.url("/logbook?tab=book"));
            page.getByLabel("Find").pressSequentially("hole {at} the corner – ç");
            assertThat(page.getByText("went wrong, hole {at} the corner – ç; it was none."))
                    .isVisible();
            assertThat(CHROMIUM.complaints()).isEmpty();
            page.context().close();
        }
    }

    /** Usual care is shown once per sitting. */
    private static void sitDown(Page page) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Read, and on"))
                .click();
    }

    /** Confirms what must be, and counts a bag. */
    private static void oneDone(Page page) {
        page.keyboard().press("c");
        page.keyboard().press("Enter");
    }

    /** How many bags the first line shows as done. */
    private static int counted(Page page) {
        return Integer.parseInt(firstLine(page).innerText().replaceAll("(?s).*?(\\d+)\\s+of \\d+.*", "$1"));
    }

    private static void counts(Page page, int bags) {
        assertThat(firstLine(page)).containsText(Pattern.compile("(?<!\\d)" + bags + "\\s*of \\d+"));
    }

    private static Locator done(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What is done now"));
    }

    private static Locator firstLine(Page page) {
        return done(page)
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(Pattern.compile("of \\d+")))
                .first();
    }
}
