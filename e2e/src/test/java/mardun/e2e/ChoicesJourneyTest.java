package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A tote that leaves its closing open: chosen for a batch, and its flap cut by a machine that gets caught. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ChoicesJourneyTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    @Test
    @Order(1)
    void somethingMoreIsLeftOpenAndSaysWhatItTakes() {
        Page page = CHROMIUM.page();
        open(page);
        Locator panel = page.getByRole(AriaRole.TABPANEL);
        Locator flap = panel.getByRole(AriaRole.GROUP, in("Closing: flap with a snap"));
        assertThat(flap).containsText("F · Closing flap");
        assertThat(flap).containsText(Pattern.compile("time\\s*\\+"));
        panel.getByText("Add a choice").click();
        Locator name = panel.getByLabel("What is chosen").last();
        name.press("Control+A");
        name.pressSequentially("Label {ç} 🧵");
        Locator with = panel.getByRole(AriaRole.GROUP, in("Label {ç} 🧵: with"));
        with.getByLabel("What comes with it").selectOption(new SelectOption().setLabel("Sew label to yoke"));
        with.getByRole(AriaRole.RADIO).check();
        assertThat(panel.getByRole(AriaRole.GROUP, in("Label {ç} 🧵: without")))
                .containsText(Pattern.compile("time\\s*−"));
        page.getByRole(AriaRole.BUTTON, exactly("Save")).click();
        assertThat(page.getByRole(AriaRole.LINK, starting("Plan a batch"))).isVisible();
        page.reload();
        page.getByRole(AriaRole.TAB, exactly("Choices")).click();
        assertThat(panel.getByLabel("What is chosen").last()).hasValue("Label {ç} 🧵");
        page.context().close();
    }

    @Test
    @Order(2)
    void aBatchIsPlannedOtherwiseThanUsual() {
        Page page = CHROMIUM.page();
        open(page);
        page.getByRole(AriaRole.LINK, starting("Plan a batch")).click();
        Locator ticket = page.getByText("Costs").locator("xpath=..");
        String usual = ticket.innerText();
        assertThat(page.getByText("Closing flap")).hasCount(0);
        closing(page).selectOption(new SelectOption().setLabel("flap with a snap"));
        assertThat(page.getByText("Closing flap").first()).isVisible();
        assertThat(ticket).not().hasText(usual);
        closing(page).selectOption(new SelectOption().setLabel("left open"));
        assertThat(page.getByText("Closing flap")).hasCount(0);
        closing(page).selectOption(new SelectOption().setLabel("flap with a snap"));
        page.getByRole(AriaRole.BUTTON, exactly("Save this plan")).click();
        page.waitForURL(Pattern.compile("/batches/\\d+$"));
        page.reload();
        assertThat(closing(page)).hasValue("flap");
        page.navigate(page.url() + "/cutting");
        page.getByText("Kelp linen").first().click();
        Locator shapes = page.getByText("Shapes cut by machine");
        assertThat(shapes).isVisible();
        shapes.click();
        Locator machine = page.getByRole(AriaRole.REGION, region("Cutting machine"));
        assertThat(page.getByText(Pattern.compile("F Closing flap"))).isVisible();
        Locator first = page.getByRole(AriaRole.BUTTON, exactly("Cut this mat")).first();
        first.click();
        assertThat(page.getByText("No mat is in the machine. Stick the cloth on one"))
                .isVisible();
        machine.getByText("Lay a mat in").click();
        machine.getByText("Let the next one jam").click();
        assertThat(machine.getByText("The next one jams")).isVisible();
        first.click();
        Locator lift = machine.getByText("Lift the blade and go on");
        assertThat(lift).isVisible();
        lift.click();
        assertThat(machine.getByText("The mat is cut. Take it out")).isVisible();
        machine.getByText("Take the mat out").click();
        assertThat(machine.getByText("No mat is in the machine.")).isVisible();
        assertThat(page.getByText("cut", new Page.GetByTextOptions().setExact(true))
                        .first())
                .isVisible();
        page.context().close();
    }

    private static void open(Page page) {
        page.navigate(APP.url("/designs"));
        page.getByRole(AriaRole.LINK, starting("Tern tote")).first().click();
        page.getByRole(AriaRole.TAB, exactly("Choices")).click();
    }

    private static Locator closing(Page page) {
        return page.getByLabel("Closing", new Page.GetByLabelOptions().setExact(true));
    }

    private static Page.GetByRoleOptions exactly(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private static Page.GetByRoleOptions starting(String name) {
        return new Page.GetByRoleOptions().setName(Pattern.compile("^" + name));
    }

    private static Page.GetByRoleOptions region(String name) {
        return new Page.GetByRoleOptions().setName(name);
    }

    private static Locator.GetByRoleOptions in(String name) {
        return new Locator.GetByRoleOptions().setName(name).setExact(true);
    }
}
