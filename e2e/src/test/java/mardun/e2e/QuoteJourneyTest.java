package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** From somebody who asks for bags to the batch that they are made in, typed key by key. */
class QuoteJourneyTest {

    private static final String WHO = "Ida {ç} Maré \uD83E\uDDF5";

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    @Test
    void fromTheFirstFiguresToTheBatch() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/prices"));
        page.getByRole(AriaRole.LINK, named("Quotes")).click();
        assertThat(page.getByRole(AriaRole.ROW).filter(hasText("Tideway choir")))
                .containsText("waiting");
        page.getByRole(AriaRole.LINK, named("New quote")).click();
        itIsTyped(page);
        assertThat(Barriers.on(page)).isEmpty();

        page.reload();
        assertThat(page.getByLabel("For whom")).hasValue(WHO);
        page.getByRole(AriaRole.BUTTON, named("Give to the customer")).dblclick();
        assertThat(page.getByText("Version 1, ")).hasCount(1);
        assertThat(page.getByRole(AriaRole.HEADING, named(Pattern.compile("Quote \\d+, Ida"))))
                .isVisible();

        Locator units = page.getByLabel("How many");
        units.press("End");
        page.keyboard().press("Backspace");
        page.keyboard().type("9");
        Locator give = page.getByRole(AriaRole.BUTTON, named("Give version 2"));
        assertThat(give).isEnabled();
        give.click();
        assertThat(page.getByText("Version 2, ")).isVisible();
        itIsAccepted(page);
        assertThat(CHROMIUM.complaints()).isEmpty();
        page.context().close();
    }

    private static void itIsTyped(Page page) {
        page.getByLabel("For whom").pressSequentially(WHO);
        page.keyboard().press("Tab");
        page.keyboard().type("ida@example.org");
        page.getByRole(
                        AriaRole.COMBOBOX,
                        new Page.GetByRoleOptions().setName("Bag").setExact(true))
                .selectOption("Heron pouch");
        Locator comes = page.getByRole(AriaRole.COMPLEMENTARY, named("What it comes to"));
        assertThat(comes).containsText("is what the customer pays");
        assertThat(comes).containsText("in eight of ten cases");
        page.getByText("A wish, or your own price").click();
        page.getByLabel("Wish", new Page.GetByLabelOptions().setExact(true)).pressSequentially("her name inside");
        page.getByLabel("It takes (min each)").pressSequentially("many");
        assertThat(page.getByText("“many”")).isVisible();
        page.getByLabel("It takes (min each)").fill("");
        page.getByLabel("It takes (min each)").pressSequentially("3,5");
        assertThat(page.getByText("“many”")).hasCount(0);
        page.getByLabel("Also priced for").press("End");
        for (int i = 0; i < "12, 24".length(); i++) {
            page.keyboard().press("Backspace");
        }
        page.keyboard().type("12 30");
        assertThat(page.getByRole(AriaRole.CELL, named("30"))).isVisible();
    }

    private static void itIsAccepted(Page page) {
        page.getByRole(AriaRole.BUTTON, named("Accepted")).click();
        Locator panel = page.getByRole(AriaRole.DIALOG);
        panel.getByLabel("How many: Heron pouch").selectOption("12");
        panel.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Make the order"))
                .dblclick();
        assertThat(panel).isHidden();
        assertThat(page.getByText("12 × Heron pouch")).isVisible();
        page.getByRole(AriaRole.LINK, named("To the order")).click();
        page.getByLabel(Pattern.compile("Deposit of .* is paid")).click();
        assertThat(page.getByText("Still to be paid")).isVisible();
        page.getByRole(AriaRole.LINK, named(Pattern.compile("^Batch \\d+$"))).click();
        assertThat(page.getByText(Pattern.compile("Order \\d+, Ida"))
                        .or(page.locator("input[value^='Order']"))
                        .first())
                .isVisible();
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private static Page.GetByRoleOptions named(Pattern name) {
        return new Page.GetByRoleOptions().setName(name);
    }

    private static Locator.FilterOptions hasText(String text) {
        return new Locator.FilterOptions().setHasText(text);
    }
}
