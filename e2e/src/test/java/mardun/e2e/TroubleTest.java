package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Two tabs, a power cut, a server that is gone: nothing typed and nothing stored is lost. */
class TroubleTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

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

        app.kill();
        app.start();
        Page after = CHROMIUM.page();
        after.navigate(app.url("/designs/1"));
        assertThat(after.getByLabel("Depth, medium")).hasValue("3 1/8 in");
        page.context().close();
        after.context().close();
    }

    @Test
    void aPowerCutInTheMidstOfAFileLeavesNothingOfIt() throws IOException {
        StringBuilder csv = new StringBuilder("name,kind,price,price for,on hand\n");
        for (int i = 0; i < 8_000; i++) {
            csv.append("Bead ").append(i).append(",notion,2.00,10,40\n");
        }
        Page page = CHROMIUM.page();
        page.navigate(app.url("/materials/files"));
        page.getByLabel("Bring in Materials")
                .setInputFiles(new FilePayload(
                        "materials.csv", "text/csv", csv.toString().getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("8000 new")).isVisible();
        press(page, "Enter all of it");
        assertThat(page.getByText(Pattern.compile("Entering line [1-9][0-9]* of 8000")))
                .isVisible();
        app.kill();
        app.start();
        page.navigate(app.url("/materials?kind=NOTION&find=bead"));
        assertThat(page.getByText("Nothing here matches")).isVisible();
        page.navigate(app.url("/materials"));
        assertThat(link(page, "Reed Stripe")).isVisible();
        page.context().close();
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
