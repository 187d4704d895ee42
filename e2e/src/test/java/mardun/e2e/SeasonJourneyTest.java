package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** From the question what to make for the coming fairs to a planned batch, in the demo's workroom. */
class SeasonJourneyTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void aPlanIsAskedChangedByHandAndPlannedAsABatch() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/batches"));
        page.getByText("What to make").click();
        Locator plan = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The plan"));
        assertThat(plan).containsText("come of making");
        page.getByLabel("Hours for it").pressSequentially("30");
        button(page, "Plan again").click();
        assertThat(button(page, "Discard changes")).not().isVisible();
        assertThat(button(page, "Planning")).not().isVisible();
        assertThat(Barriers.on(page)).isEmpty();
        button(page, "Show the other").click();
        Locator box = page.getByLabel("Make of Heron pouch, small, Kelp linen");
        box.click();
        box.press("Backspace");
        box.pressSequentially("999");
        assertThat(plan).containsText(Pattern.compile("It takes .+, and 30 h.* are free"));
        button(page, "Back to the plan’s numbers").click();
        Locator asBatch = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("As one batch"));
        assertThat(asBatch).containsText(Pattern.compile("(beside|among) all open work|there isn’t time for it"));
        assertThat(asBatch.getByText("laid out").first()).isVisible();
        assertThat(asBatch.getByRole(AriaRole.GROUP)).hasAttribute("aria-label", Pattern.compile("Lantern Quay"));
        assertThat(Barriers.on(page)).isEmpty();
        Locator make = button(page, "Plan a batch of these");
        int bags = Integer.parseInt(make.innerText().replaceAll("\\D", ""));
        assertThat(bags).isPositive();
        make.click();
        page.waitForURL(Pattern.compile("/batches/\\d+$"));
        assertThat(page.getByText("Lantern Quay").first()).isVisible();
        page.navigate(APP.url("/batches/what-to-make"));
        assertThat(page.getByLabel("Hours for it")).hasValue("30");
    }
}
