package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A batch is sewn at the bench on a tablet, by keys alone: timed, counted, with a reload and a power cut in between. */
class BenchJourneyTest {

    /** How many bags of batch 8 of the demo are still to come. */
    private static final int TO_COME = 5;

    private static final Pattern COUNTS = Pattern.compile("(\\d+)\\s*of (\\d+)");

    private static final int MOST_TOUCHES = 80;
    private static final Pattern UNITS = Pattern.compile("\"units\":(\\d+),\"places\"");

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

    /**
     * A batch of two designs is sewn to its end by keys alone; the server is killed while it finishes, and the batch is then either finished,
     * with its goods and its material, or not at all.
     */
    @Test
    void aBatchOfTwoDesignsIsFinishedOnceThroughAPowerCut() throws Exception {
        try (PackagedApp app = PackagedApp.withDemoData()) {
            Page page = CHROMIUM.page();
            page.setViewportSize(768, 1024);
            page.navigate(app.url("/bench/work/8"));
            assertThat(page.getByRole(AriaRole.DIALOG)).isVisible();
            page.keyboard().press("Tab");
            page.keyboard().press("Enter");
            assertThat(page.getByRole(AriaRole.DIALOG)).isHidden();
            assertThat(Barriers.on(page)).isEmpty();
            sewToTheEnd(page);
            assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Bags are finished")))
                    .isVisible();

            long before = goods(app);
            for (int millis : new int[] {40, 140}) {
                app.postAndKill("/api/batches/8/finish", finishing(app), millis);
                app.start();
                long came = goods(app) - before;
                boolean isFinished = app.get("/api/batches/8").contains("\"stage\":\"FINISHED\"");
                assertThat(came).as("killed after %s ms", millis).isEqualTo(isFinished ? TO_COME : 0);
                if (isFinished) {
                    break;
                }
            }
            page.navigate(app.url("/batches/8"));
            if (!app.get("/api/batches/8").contains("\"stage\":\"FINISHED\"")) {
                assertThat(app.post("/api/batches/8/finish", finishing(app))).contains("FINISHED");
            }
            assertThat(goods(app) - before).isEqualTo(TO_COME);
            page.navigate(app.url("/batches/8/tally"));
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Tally")))
                    .isVisible();
            assertThat(Barriers.on(page)).isEmpty();
            page.context().close();
        }
    }

    /** Counts bag after bag on each line of each operation, as somebody does who never takes the hands from the keys. */
    private static void sewToTheEnd(Page page) {
        for (int i = 0; i < MOST_TOUCHES && done(page).count() > 0; i++) {
            String was = done(page).innerText();
            boolean isDone = COUNTS.matcher(was)
                    .results()
                    .allMatch(count -> count.group(1).equals(count.group(2)));
            if (isDone) {
                page.keyboard().press("ArrowRight");
            } else {
                page.keyboard().press("c");
                page.keyboard().press("Shift+Enter");
            }
            // The last touch leads to the batch, so what is done may be gone between two looks.
            page.waitForCondition(() -> !done(page).allInnerTexts().equals(List.of(was)));
        }
        assertThat(done(page).count()).isZero();
    }

    private static long goods(PackagedApp app) throws IOException {
        Matcher counts = UNITS.matcher(app.get("/api/finished-goods?all=true&size=200"));
        return counts.results().mapToLong(one -> Long.parseLong(one.group(1))).sum();
    }

    private static String finishing(PackagedApp app) throws IOException {
        Matcher version = Pattern.compile("\"version\":(\\d+)").matcher(app.get("/api/batches/8"));
        assertThat(version.find()).isTrue();
        return "{\"version\":" + version.group(1) + ",\"reason\":\"\",\"lines\":["
                + "{\"number\":1,\"good\":\"1\",\"seconds\":\"\",\"scrap\":\"\"},"
                + "{\"number\":2,\"good\":\"2\",\"seconds\":\"\",\"scrap\":\"\"},"
                + "{\"number\":3,\"good\":\"2\",\"seconds\":\"\",\"scrap\":\"\"}]}";
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
