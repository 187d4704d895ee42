package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Bags go out of the door: with a private order, to a reseller and in a parcel; on a screen as narrow as a phone, too. */
class SellingJourneyTest {

    private static final int PHONE = 390;

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator region(Page page, String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator dialog(Page page) {
        return page.getByRole(AriaRole.DIALOG);
    }

    private static Locator button(Locator in, String name) {
        return in.getByRole(
                AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void anOrderIsPutAsideHandedOverOpenedAgainAndForgotten() {
        Page page = CHROMIUM.page();
        page.setViewportSize(PHONE, 800);
        page.navigate(APP.url("/stalls/orders"));
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Order 1, Slipway nursery"))
                .click();
        assertThat(region(page, "How it stands")).containsText("27.30");
        page.getByLabel("A message, a call, a wish").pressSequentially("Sends her sister {ç} on Fridai");
        page.keyboard().press("Backspace");
        page.keyboard().type("y");
        button(page, "Note it").dblclick();
        assertThat(page.getByText("Sends her sister {ç} on Friday")).hasCount(1);
        button(page, "Put aside for this order").click();
        assertThat(page.getByText("6 put aside")).isVisible();
        assertThat(Barriers.on(page)).isEmpty();

        button(page, "Hand over").click();
        Locator paid = dialog(page).getByLabel("Paid for all of it");
        assertThat(dialog(page).getByLabel("Puffin key fob, one size, Juniper Dot"))
                .hasValue("6");
        paid.fill("");
        paid.pressSequentially("40,o");
        button(dialog(page), "Hand over").click();
        assertThat(dialog(page).getByText("“40,o”")).isVisible();
        paid.press("End");
        page.keyboard().press("Backspace");
        page.keyboard().type("0");
        button(dialog(page), "Hand over").dblclick();
        assertThat(page.getByText("handed over", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(region(page, "How it stands")).containsText("40.00");

        button(page, "Open it again").click();
        assertThat(page.getByText("6 put aside")).isVisible();
        button(page, "Cancel the order").click();
        dialog(page).getByLabel("Why, as far as you know").pressSequentially("moved away");
        dialog(page).getByLabel(Pattern.compile("I keep the deposit")).check();
        button(dialog(page), "Cancel the order").click();
        assertThat(page.getByText(Pattern.compile("The deposit of 11.70 was kept")))
                .isVisible();
        button(page, "Forget who ordered …").click();
        button(dialog(page), "Forget").click();
        assertThat(page.getByText("Who ordered it is forgotten; the figures stay."))
                .isVisible();
        page.goBack();
        assertThat(region(page, "Closed orders")).containsText("forgotten");
        assertThat(page.getByText("Slipway nursery")).hasCount(0);
        assertThat(CHROMIUM.complaints()).isEmpty();
        page.context().close();
    }

    @Test
    void piecesThatAreCutAndNotSewnBecomeKits() {
        Page page = CHROMIUM.page();
        page.setViewportSize(PHONE, 800);
        page.navigate(APP.url("/batches/4"));
        button(page, "More …").click();
        page.getByLabel("Not made, line 1").pressSequentially("2");
        button(page, "Don’t make these").click();
        assertThat(dialog(page)).isHidden();
        button(page, "More …").click();
        Locator kits = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Kits, line 1"));
        assertThat(kits.getByLabel("How many")).hasValue("2");
        kits.getByLabel("One is sold for").pressSequentially("9x");
        page.keyboard().press("Enter");
        assertThat(kits).containsText("“9x” isn't a number");
        assertThat(Barriers.on(page)).isEmpty();
        page.keyboard().press("End");
        page.keyboard().press("Backspace");
        page.keyboard().type(",80");
        button(kits, "Bundle them").dblclick();
        assertThat(dialog(page)).isHidden();
        page.navigate(APP.url("/materials/finished"));
        page.getByLabel("First quality, seconds or kits").selectOption("kits");
        Locator row =
                page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("Heron pouch, medium"));
        assertThat(row).hasCount(1);
        assertThat(row).containsText("Kelp linen · kits");
        assertThat(row).containsText("9.80");
        assertThat(row).containsText("2 home");
        page.context().close();
    }

    @Test
    void aResellerIsBroughtBagsAndSettlesThem() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/stalls/resellers"));
        button(page, "New reseller").click();
        dialog(page).getByLabel("Name of the shop").pressSequentially("Kiosk {ç} \uD83E\uDDF5");
        button(dialog(page), "Enter").dblclick();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Kiosk {ç} \uD83E\uDDF5")))
                .isVisible();
        button(page, "Bring bags").click();
        String bag =
                dialog(page).getByRole(AriaRole.LISTITEM).first().locator("b").innerText();
        Locator first = dialog(page).getByLabel("How many of " + bag);
        first.pressSequentially("1");
        button(dialog(page), "Bring them").click();
        assertThat(region(page, "What lies there")).containsText(bag);

        button(page, "Settle").click();
        dialog(page).getByLabel("Sold of " + bag).pressSequentially("1");
        dialog(page).getByLabel("Price of " + bag).fill("");
        dialog(page).getByLabel("Price of " + bag).pressSequentially("20");
        assertThat(dialog(page)).containsText("14.00");
        button(dialog(page), "Settle").dblclick();
        Locator settled = region(page, "Settlements");
        assertThat(settled.getByRole(AriaRole.ROW)).hasCount(2);
        assertThat(settled).containsText("6.00");
        assertThat(Barriers.on(page)).isEmpty();
        settled.getByRole(AriaRole.BUTTON).click();
        assertThat(settled.getByRole(AriaRole.BUTTON)).hasCount(0);
        button(page, "Take bags back").click();
        dialog(page).getByRole(AriaRole.TEXTBOX).first().pressSequentially("1");
        button(dialog(page), "Take back").click();
        assertThat(button(page, "Settle")).hasCount(0);
        assertThat(CHROMIUM.complaints()).isEmpty();
        page.context().close();
    }

    @Test
    void aParcelIsWeighedAndItsPostageFound() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/stalls/online"));
        Locator order = region(page, "To be posted").getByRole(AriaRole.ARTICLE).first();
        order.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Parcel of")))
                .click();
        assertThat(order).containsText("the country");
        assertThat(order).containsText("large letter");
        page.navigate(APP.url("/stalls/posting"));
        button(page, "Add a row").click();
        assertThat(page.getByLabel("Zone, row 6")).hasValue("abroad");
        page.getByLabel("Called, row 6").pressSequentially("letter");
        page.getByLabel("Up to, row 6").pressSequentially("heavy");
        page.getByLabel("Price (EUR), row 6").pressSequentially("3,40");
        button(page, "Save").click();
        assertThat(page.getByText("“heavy”")).isVisible();
        page.reload();
        assertThat(page.getByLabel("Up to, row 6")).hasValue("heavy");
        page.getByLabel("Up to, row 6").fill("");
        page.getByLabel("Up to, row 6").pressSequentially("100 g");
        button(page, "Save").click();
        assertThat(button(page, "Save")).hasCount(0);
        assertThat(page.getByLabel("Price (EUR), row 6")).hasValue("3.40");
        page.getByLabel("Weight of Grebe basket, small").pressSequentially("31o g");
        page.keyboard().press("Tab");
        assertThat(page.getByText("“31o g”")).isVisible();
        page.getByLabel("Weight of Grebe basket, small").fill("310 g");
        page.keyboard().press("Tab");
        // What is typed on while the weight is saved stays where it is typed.
        page.keyboard().type("1 1/4", new Keyboard.TypeOptions().setDelay(120));
        page.keyboard().press("Tab");
        page.waitForCondition(() -> page.request()
                .get(APP.url("/api/posting/weights"))
                .text()
                .contains("\"weight\":\"310 g\",\"thick\":\"1 ¼ in\""));
        page.reload();
        assertThat(page.getByLabel("Thickness of Grebe basket, small")).hasValue("1 ¼ in");
        assertThat(Barriers.on(page)).isEmpty();
        assertThat(CHROMIUM.complaints()).isEmpty();
        page.context().close();
    }
}
