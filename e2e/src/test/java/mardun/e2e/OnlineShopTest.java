package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** An online order from its arrival to its payout, in the demo's shop, by a buyer who comes while one looks. */
class OnlineShopTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator region(Page page, String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    @ParameterizedTest
    @ValueSource(ints = {1280, 390})
    void anOrderComesIsPostedAndPaidOut(int wide) {
        Page page = CHROMIUM.page();
        page.setViewportSize(wide, 800);
        page.navigate(APP.url("/stalls/online"));
        Locator open = region(page, "To be posted").getByRole(AriaRole.ARTICLE);
        assertThat(open.first()).containsText("late: post by");
        assertThat(region(page, "Paid out")).containsText("fee 0.40 too high");
        assertThat(Barriers.on(page)).isEmpty();
        int before = open.count();
        // The shop calls, so that the order comes by itself.
        page.getByText("Somebody orders").click();
        page.waitForCondition(() -> open.count() == before + 1);
        Locator order = open.last();
        String number = order.getByRole(AriaRole.HEADING).innerText().replaceAll("(?s)^(S-\\d+).*", "$1");
        assertThat(order).containsText("put aside");
        button(page, number + " is posted").click();
        Locator answered = region(page, "Orders before");
        assertThat(answered).containsText(number);
        button(page, number + " arrived").click();
        assertThat(answered.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText(number)))
                .containsText("arrived");
        page.getByText("It pays out", new Page.GetByTextOptions().setExact(true))
                .click();
        button(page, "Check now").click();
        Locator row = answered.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText(number));
        assertThat(row).containsText("paid out");
        button(page, number + " came back").click();
        page.getByLabel("Why").pressSequentially("the {zip} jams – ç");
        button(page, "Take it in").click();
        assertThat(row).containsText("into stock: the {zip} jams – ç");
        button(page, "Forget who ordered " + number).click();
        assertThat(row).containsText("forgotten");
        assertThat(Barriers.on(page)).isEmpty();
        assertThat(page.getByRole(
                        AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("^Online shop$"))))
                .isVisible();
        assertThat(CHROMIUM.complaints()).isEmpty();
        page.context().close();
    }
}
