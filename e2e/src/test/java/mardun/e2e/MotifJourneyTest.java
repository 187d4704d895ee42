package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A knot that a pocket has to show: marked on the cloth, asked for in the design, found in the layout; all by keys. */
class MotifJourneyTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    @Test
    void aPartOfThePrintIsMarkedAskedForAndLaidOut() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/materials?kind=CLOTH"));
        page.getByRole(AriaRole.LINK, starting("Reed Stripe")).first().click();
        Locator print = page.getByRole(AriaRole.REGION, exactly("Parts of its print"));
        assertThat(print.getByLabel("Its name")).hasValue("reed knot");
        print.getByText("Add a part").click();
        Locator second = print.getByLabel("Its name").last();
        second.pressSequentially("thin {ç} 🧵e");
        second.press("Backspace");
        second.press("Tab");
        page.keyboard().press("Tab");
        page.keyboard().type("3 in");
        print.getByText("Save", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(print).containsText("isn’t within the repeat");
        assertThat(second).hasValue("thin {ç} 🧵");
        Locator down = print.getByLabel("From the top").last();
        down.press("Control+A");
        down.pressSequentially("1 3/4");
        print.getByText("Save", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(print).not().containsText("isn’t within the repeat");
        page.reload();
        assertThat(print.getByLabel("Its name").last()).hasValue("thin {ç} 🧵");
        assertThat(print.getByLabel("From the top").last()).hasValue("1 ¾ in");

        page.navigate(APP.url("/designs"));
        page.getByRole(AriaRole.LINK, starting("Heron pouch")).first().click();
        page.getByRole(AriaRole.TAB, exactly("Pieces")).click();
        Locator panel = page.getByRole(AriaRole.TABPANEL);
        panel.getByRole(AriaRole.BUTTON, in(Pattern.compile("^A\\b"))).first().click();
        page.getByText("Add a mark").first().click();
        page.getByLabel("Mark", new Page.GetByLabelOptions().setExact(true))
                .last()
                .selectOption(new SelectOption().setLabel("part of the print"));
        Locator name = page.getByLabel("Its name on the cloth");
        name.press("Control+A");
        name.pressSequentially("reed knot");
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.BUTTON, exactly("Save")).click();
        page.getByRole(AriaRole.LINK, starting("Plan a batch")).click();
        page.getByRole(AriaRole.BUTTON, exactly("Save this plan")).click();
        page.waitForURL(Pattern.compile("/batches/\\d+$"));
        page.navigate(page.url() + "/cutting");
        assertThat(page.getByText(Pattern.compile("The end is squared .* above the middle of “reed knot”")))
                .isVisible();
        page.context().close();
    }

    private static Page.GetByRoleOptions exactly(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private static Page.GetByRoleOptions starting(String name) {
        return new Page.GetByRoleOptions().setName(Pattern.compile("^" + name));
    }

    private static Locator.GetByRoleOptions in(Pattern name) {
        return new Locator.GetByRoleOptions().setName(name);
    }
}
