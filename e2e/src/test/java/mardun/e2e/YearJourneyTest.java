package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** From the remark on the bench to what the year says, and to the books, in the demo's workroom. */
class YearJourneyTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    private static Locator region(Page page, String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void whatTheFiguresSayIsLookedIntoByKeyboard() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/bench"));
        Locator remark = region(page, "What the figures say");
        assertThat(remark).containsText("an hour over the last");
        remark.getByText("See what earns").focus();
        page.keyboard().press("Enter");
        Locator earns = region(page, "What earns most for an hour, by design?");
        assertThat(earns).containsText("earned most");
        page.getByText("by cloth").focus();
        page.keyboard().press("Space");
        Locator byCloth = region(page, "What earns most for an hour, by cloth?");
        assertThat(byCloth).containsText("Juniper Dot");
        byCloth.getByText("In numbers").focus();
        page.keyboard().press("Enter");
        Locator hour = byCloth.getByRole(
                AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("an hour, Juniper Dot")));
        hour.focus();
        page.keyboard().press("Enter");
        assertThat(page.getByText("the rest is for the hours of making them").first())
                .isVisible();
        page.keyboard().press("Escape");
        assertThat(Barriers.on(page)).isEmpty();
        page.getByLabel("Which months").selectOption(lastYear(page));
        assertThat(page.getByText(Pattern.compile("Jan \\d{4} to Dec \\d{4}"))).isVisible();
    }

    private static String lastYear(Page page) {
        return page.getByLabel("Which months").locator("option").nth(2).getAttribute("value");
    }

    @Test
    void eachFigureOfTheBooksOpensToItsEntriesAndGoesOutAsAFile() throws IOException {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/year/books"));
        Locator months = region(page, "Month by month");
        Locator paid = months.getByRole(
                AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("paid by buyers, together")));
        String all = paid.innerText();
        paid.focus();
        page.keyboard().press("Enter");
        Locator entries = page.getByRole(AriaRole.DIALOG);
        assertThat(entries).containsText("Pier Hall");
        page.keyboard().press("Escape");
        assertThat(entries).isHidden();
        Download csv =
                page.waitForDownload(() -> months.getByText("As CSV", new Locator.GetByTextOptions().setExact(true))
                        .click());
        assertThat(Files.readString(csv.path())).contains("together").contains(all);
        Download pdf = page.waitForDownload(() -> months.getByText("As PDF").click());
        assertThat(new String(Files.readAllBytes(pdf.path()), 0, 5, StandardCharsets.US_ASCII))
                .isEqualTo("%PDF-");
        assertThat(Barriers.on(page)).isEmpty();
    }
}
