package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** From what is short on the bench to what came from the shop. */
class BuyingJourneyTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    @Test
    void fromWhatIsShortToWhatCame() throws IOException {
        Page page = CHROMIUM.page();
        clothIsLow(page);
        page.navigate(APP.url("/bench"));
        page.getByText("What to buy").click();
        assertThat(page.getByText("Dune cotton").first()).isVisible();

        aShopIsEnteredOnceThoughClickedTwice(page);
        whatItSellsIsEntered(page);
        page.navigate(APP.url("/materials/buying"));
        assertThat(shop(page, "Dune remnants")).containsText("1 × 3 yd");

        Download sheet = page.waitForDownload(() -> page.getByText("As CSV").click());
        assertThat(Files.readString(sheet.path())).contains("Dune remnants,Dune cotton,1,3 yd,3 yd,4.00,4.00,EUR");

        press(page, "3 yd of Dune cotton came");
        assertThat(shop(page, "Dune remnants")).isHidden();
        page.navigate(APP.url("/materials"));
        page.getByRole(AriaRole.LINK, named("Dune cotton")).click();
        Locator lots = page.getByRole(AriaRole.REGION, named("Lots").setExact(true));
        assertThat(lots).containsText("Dune remnants");
        assertThat(lots).containsText("1 × 3 yd");
        assertThat(CHROMIUM.complaints()).isEmpty();
    }

    /** A cloth of its own, of which there is less than there should be, whatever other journeys take from the shelf. */
    private static void clothIsLow(Page page) {
        page.navigate(APP.url("/materials"));
        press(page, "Add cloth");
        Locator panel = page.getByRole(AriaRole.DIALOG);
        panel.getByLabel("Name").fill("Dune cotton");
        panel.getByLabel("Usable width").fill("44 in");
        panel.getByLabel("Price").fill("6.40");
        panel.getByLabel("for", new Locator.GetByLabelOptions().setExact(true)).fill("1 yd");
        panel.getByLabel("On the shelf now").fill("1 yd");
        panel.getByLabel("Low below").fill("2 yd");
        panel.getByText("Save").click();
        assertThat(panel).isHidden();
    }

    private static void aShopIsEnteredOnceThoughClickedTwice(Page page) {
        press(page, "Add a shop");
        Locator panel = page.getByRole(AriaRole.DIALOG);
        panel.getByLabel("Name").fill("Dune remnants");
        panel.getByLabel("Postage").fill("a little");
        panel.getByText("Save").click();
        assertThat(panel).containsText("“a little”");
        panel.getByLabel("Postage").fill("1,20");
        panel.getByText("Save").dblclick();
        assertThat(panel).isHidden();
        assertThat(page.getByRole(AriaRole.BUTTON, named("Dune remnants"))).hasCount(1);
    }

    private static void whatItSellsIsEntered(Page page) {
        page.navigate(APP.url("/materials"));
        page.getByRole(AriaRole.LINK, named("Dune cotton")).click();
        Locator sold = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Where it is sold"));
        sold.getByLabel("Shop").selectOption("Dune remnants");
        sold.getByLabel("One pack holds").fill("3 turtles");
        sold.getByLabel("Price").fill("4");
        sold.getByText("Add this pack").click();
        assertThat(sold).containsText("turtles");
        sold.getByLabel("One pack holds").fill("3");
        sold.getByText("Add this pack").click();
        assertThat(sold.getByRole(AriaRole.TABLE)).containsText("3 yd");
    }

    private static Locator shop(Page page, String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name);
    }

    private static void press(Page page, String button) {
        page.getByRole(AriaRole.BUTTON, named(button)).click();
    }
}
