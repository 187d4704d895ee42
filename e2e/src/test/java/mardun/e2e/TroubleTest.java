package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.LoadState;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.atomic.AtomicReference;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Two tabs, a power cut, a server that is gone: nothing typed and nothing stored is lost. */
class TroubleTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    /** So many that the power goes before all of them are in. */
    private static final int MOVEMENTS = 4000;

    private static PackagedApp app;

    @BeforeAll
    static void start() throws IOException {
        app = PackagedApp.withDemoData();
    }

    @AfterAll
    static void stop() throws IOException {
        app.close();
    }

    @Test
    void theSecondOfTwoTabsIsToldAndChooses() {
        Page first = CHROMIUM.page();
        Page second = CHROMIUM.page();
        first.navigate(app.url("/designs/1"));
        second.navigate(app.url("/designs/1"));
        seam(first).fill("3/8");
        seam(second).fill("5/16");
        press(first, "Save");
        assertThat(link(first, "Plan a batch")).isVisible();
        press(second, "Save");
        assertThat(second.getByRole(AriaRole.DIALOG)).containsText("was changed in another tab");
        press(second, "Keep mine");
        assertThat(link(second, "Plan a batch")).isVisible();
        second.reload();
        assertThat(seam(second)).hasValue("5/16 in");
        seam(first).fill("1/2");
        press(first, "Save");
        assertThat(first.getByRole(AriaRole.DIALOG)).containsText("Which one shall be kept?");
        press(first, "Take the other one");
        assertThat(seam(first)).hasValue("5/16 in");
        first.context().close();
        second.context().close();
    }

    @Test
    void whatIsTypedWhileTheRestIsSavedStaysTyped() {
        Page page = CHROMIUM.page();
        page.navigate(app.url("/designs/1"));
        typedOnWhileSaved(
                page,
                "**/api/designs/1",
                page.getByLabel("Seam allowance", new Page.GetByLabelOptions().setExact(true)),
                page.getByLabel("Depth, small"));
        page.navigate(app.url("/settings"));
        typedOnWhileSaved(
                page,
                "**/api/settings",
                page.getByLabel("Usual seam allowance"),
                page.getByLabel("Thickest seam I can sew"));
        page.context().close();
    }

    /** Types into one field, saves, types into another before that is answered, and saves once more. */
    private static void typedOnWhileSaved(Page page, String saving, Locator first, Locator second) {
        AtomicReference<Route> held = new AtomicReference<>();
        page.route(saving, route -> {
            if (route.request().method().equals("PUT") && held.compareAndSet(null, route)) {
                return;
            }
            route.resume();
        });
        typed(page, first, "0.7 cm");
        press(page, "Save");
        page.waitForCondition(() -> held.get() != null);
        typed(page, second, "5.5 ");
        page.waitForResponse(saving, held.get()::resume);
        // What is shown comes anew with what was saved.
        page.waitForLoadState(LoadState.NETWORKIDLE);
        page.keyboard().type("cm");
        assertThat(second).isFocused();
        assertThat(second).hasValue("5.5 cm");
        assertThat(first).hasValue("0.7 cm");
        page.waitForResponse(saving, () -> press(page, "Save"));
        page.waitForLoadState(LoadState.NETWORKIDLE);
        page.reload();
        assertThat(first).hasValue("0.7 cm");
        assertThat(second).hasValue("5.5 cm");
    }

    private static void typed(Page page, Locator field, String text) {
        field.click();
        page.keyboard().press("ControlOrMeta+a");
        page.keyboard().type(text);
    }

    @Test
    void anAddressThatIsntThereIsToldInTheInterface() {
        Page page = CHROMIUM.page();
        assertThat(page.navigate(app.url("/quotes/new")).status()).isEqualTo(404);
        assertThat(page.getByText("There is no such page. The places are on the left."))
                .isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Batches"))
                .click();
        assertThat(page.getByText("24 × Heron pouch")).isVisible();
        page.context().close();
    }

    @Test
    void aPlannedBatchKeepsItsDesignUntilTheChangeIsTakenOver() {
        Page page = CHROMIUM.page();
        page.navigate(app.url("/batches"));
        page.getByText("24 × Heron pouch").click();
        Locator cutList = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Cut list"));
        // In the maker's units, which come with the settings.
        assertThat(cutList).containsText(" in ×");
        String batch = page.url();
        String before = cutList.innerText();
        page.navigate(app.url("/designs/1"));
        seam(page).click();
        page.keyboard().press("ControlOrMeta+a");
        page.keyboard().type("7/16");
        press(page, "Save");
        assertThat(link(page, "Plan a batch")).isVisible();

        page.navigate(batch);
        assertThat(page.getByText("This batch is still planned with it as it was before."))
                .isVisible();
        assertThat(cutList).containsText(" in ×");
        assertThat(cutList.innerText()).isEqualTo(before);
        press(page, "What is different");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("7/16");
        press(page, "Take the change over");
        assertThat(page.getByRole(AriaRole.DIALOG)).isHidden();
        assertThat(page.getByText("This batch is still planned with it as it was before."))
                .isHidden();
        assertThat(cutList.innerText()).isNotEqualTo(before);
        page.context().close();
    }

    @Test
    void whatWasTypedSurvivesAServerThatIsGoneAndAPageThatIsReloaded() throws IOException {
        Page page = CHROMIUM.page();
        page.navigate(app.url("/designs/1"));
        Locator depth = page.getByLabel("Depth, medium");
        depth.fill("3 1/8 in");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Save")))
                .isVisible();
        app.kill();
        press(page, "Save");
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("Mardun doesn’t answer");
        assertThat(depth).hasValue("3 1/8 in");
        app.start();
        page.reload();
        assertThat(depth).hasValue("3 1/8 in");
        press(page, "Save");
        assertThat(link(page, "Plan a batch")).isVisible();
        page.context().close();
    }

    @Test
    void aFileThatAPowerCutBreaksOffGoesOnWhereItStopped() throws IOException {
        Page page = CHROMIUM.page();
        page.navigate(app.url("/materials/files"));
        bring(page, "Materials", "name,kind,price,price for\nLost bead,notion,2.00,10\n");
        press(page, "Enter all of it");
        assertThat(page.getByText("All of it is entered.")).isVisible();
        String movements = "material,kind,amount\nLost bead,bought,5000\n" + "Lost bead,used,1\n".repeat(MOVEMENTS - 1);
        bring(page, "Movements", movements);
        assertThat(page.getByText(MOVEMENTS + " new")).isVisible();
        String shown = markOfABatch(page);
        press(page, "Enter all of it");
        assertThat(page.getByText(Pattern.compile("Entering line [1-9][0-9]* of " + MOVEMENTS)))
                .isVisible();
        // Nothing is asked in between: a page that takes its time would let the file come to its end.
        app.kill();
        app.start();

        // What was shown before the cut can still be confirmed after it.
        page.navigate(app.url("/materials/files"));
        assertThat(markOfABatch(page)).isEqualTo(shown);
        Locator brokenOff = page.getByText("a file was broken off");
        assertThat(brokenOff).isVisible();
        Matcher entered = Pattern.compile("the first (\\d+) are entered").matcher(brokenOff.innerText());
        assertThat(entered.find()).isTrue();
        assertThat(beadsOnTheShelf(page)).containsText(left(Integer.parseInt(entered.group(1))));
        page.navigate(app.url("/materials/files"));
        bring(page, "Movements", movements);
        assertThat(page.getByText("This file was broken off on")).isVisible();
        assertThat(page.getByText(entered.group(1) + " as they are")).isVisible();
        press(page, "Enter all of it");
        // Thousands of lines take a slow machine longer than anything else on a page.
        assertThat(page.getByText("All of it is entered.")).isVisible();
        assertThat(brokenOff).isHidden();
        assertThat(beadsOnTheShelf(page)).containsText(left(MOVEMENTS));
        page.context().close();
    }

    /** What is left of 5000 beads when so many lines are in, the first of which brought them. */
    private static String left(int lines) {
        return Integer.toString(5000 - (lines - 1));
    }

    private static String markOfABatch(Page page) {
        return (String) page.evaluate("async () => (await (await fetch('/api/batches/5')).json()).sheet.mark");
    }

    private static void bring(Page page, String list, String csv) {
        page.getByLabel("Import " + list)
                .setInputFiles(new FilePayload("list.csv", "text/csv", csv.getBytes(StandardCharsets.UTF_8)));
    }

    private static Locator beadsOnTheShelf(Page page) {
        page.navigate(app.url("/materials?kind=NOTION&find=lost"));
        link(page, "Lost bead").click();
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("On the shelf"));
    }

    private static Locator seam(Page page) {
        return page.getByLabel("Seam allowance", new Page.GetByLabelOptions().setExact(true));
    }

    private static Locator link(Page page, String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
    }

    private static void press(Page page, String name) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }
}
