package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** From a new channel and another school to the prices of all pouches, typed key by key. */
class PricesJourneyTest {

    /** The small pouch in its usual cloth; it stands in the book in others too. */
    private static final String SMALL = "Heron pouch, small · Reed Stripe";

    private static final String CHANNEL = "Night market {ç} ✂";

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    @Test
    void fromAChannelToThePricesOfAllPouches() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/bench"));
        page.getByRole(AriaRole.LINK, named("Prices")).click();
        page.getByRole(AriaRole.BUTTON, named("Channels")).click();
        aChannelIsAdded(page);

        page.getByRole(AriaRole.BUTTON, named("Price book")).click();
        page.getByRole(AriaRole.BUTTON, named(CHANNEL)).click();
        page.getByLabel("Find a design").pressSequentially("heronn");
        page.keyboard().press("Backspace");
        Locator small = page.getByRole(AriaRole.ROW).filter(hasText(SMALL));
        assertThat(small).containsText("calculated");
        aPriceIsSetInItsPlace(page, small);

        page.getByLabel("Choose all that are shown").check();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Change \\d together")))
                .click();
        Locator panel = page.getByRole(AriaRole.DIALOG);
        assertThat(panel.getByRole(AriaRole.ROW).filter(hasText("small"))).containsText("19.50");
        panel.getByLabel("Why").pressSequentially("all up by a point");
        panel.getByRole(AriaRole.BUTTON, within("Set these prices")).click();
        assertThat(panel).isHidden();
        assertThat(small).containsText("19.50");
        assertThat(small).containsText("all up by a point");

        small.getByRole(AriaRole.LINK).click();
        theSheetFollowsThePrice(page);
        page.goBack();
        assertThat(page.getByRole(AriaRole.ROW).filter(hasText(SMALL))).containsText("20.00");
        assertThat(CHROMIUM.complaints()).isEmpty();
        page.context().close();
    }

    private static void aChannelIsAdded(Page page) {
        page.getByRole(AriaRole.BUTTON, named("Add a channel")).click();
        Locator panel = page.getByRole(AriaRole.DIALOG);
        panel.getByLabel("Name").pressSequentially(CHANNEL);
        panel.getByRole(AriaRole.BUTTON, within("Add a fee")).click();
        Locator fee = panel.getByRole(AriaRole.GROUP, new Locator.GetByRoleOptions().setName("Fee 1"));
        fee.getByLabel("Fee", new Locator.GetByLabelOptions().setExact(true)).pressSequentially("organiser");
        fee.getByLabel("per cent").pressSequentially("100");
        panel.getByRole(AriaRole.BUTTON, within("Save")).click();
        assertThat(panel).containsText("“100”");
        fee.getByLabel("per cent").press("End");
        page.keyboard().press("Backspace");
        panel.getByRole(AriaRole.BUTTON, within("Save")).dblclick();
        assertThat(panel).isHidden();
        assertThat(page.getByText("organiser 10 %")).hasCount(1);
    }

    private static void aPriceIsSetInItsPlace(Page page, Locator row) {
        row.getByRole(AriaRole.BUTTON, within("Price of Heron pouch")).click();
        Locator price = row.getByLabel("Price of Heron pouch, small");
        price.pressSequentially("many");
        price.press("Enter");
        assertThat(row.getByRole(AriaRole.ALERT)).containsText("“many”");
        price.fill("");
        price.pressSequentially("19");
        price.press("Tab");
        assertThat(row.getByRole(AriaRole.BUTTON, within("19.00, set"))).isVisible();
    }

    private static void theSheetFollowsThePrice(Page page) {
        Locator slider = page.getByRole(AriaRole.SLIDER, named("Price"));
        assertThat(slider).hasAttribute("aria-valuenow", "19.5");
        Locator ticket = page.getByRole(AriaRole.COMPLEMENTARY, named("At this price"));
        assertThat(ticket).containsText("organiser");
        assertThat(Barriers.on(page)).isEmpty();
        slider.focus();
        while (!"20".equals(slider.getAttribute("aria-valuenow"))) {
            page.keyboard().press("ArrowRight");
        }
        ticket.getByLabel("Why").pressSequentially("rounder");
        ticket.getByRole(AriaRole.BUTTON, within("Set this price")).click();
        assertThat(ticket).containsText("20.00 is set");
        page.getByLabel("material dearer by (%)").pressSequentially("12");
        Locator whatIf = page.getByRole(AriaRole.REGION, named("What if"));
        assertThat(whatIf).containsText("material dearer by 12 %; nothing of it is kept");
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name);
    }

    private static Locator.GetByRoleOptions within(String name) {
        return new Locator.GetByRoleOptions().setName(name);
    }

    private static Locator.FilterOptions hasText(String text) {
        return new Locator.FilterOptions().setHasText(text);
    }
}
