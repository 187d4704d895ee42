package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Tickets on a sheet that was begun, tickets out of a printer that jams, and those that a new price makes out of date. */
class TicketsJourneyTest {

    private static final String WARMERS = "Eider hand warmer, one size, batch 7";
    private static final String POUCHES = "Kittiwake clear pouch, one size, batch 8";

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    @Test
    void fromTheSheetOverAJamToANewPrice() throws Exception {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/prices"));
        page.getByRole(AriaRole.LINK, named("Tickets")).click();
        Locator warmer = ticketsFor(page, WARMERS);
        assertThat(warmer).containsText("6 without");
        assertThat(page.getByRole(AriaRole.IMG, named(Pattern.compile("^Label: .*"))))
                .isVisible();
        assertThat(Barriers.on(page)).isEmpty();
        chooseOnly(page, WARMERS);
        tooSmallALabelSaysSo(page);
        aSheetThatWasBegun(page);
        assertThat(warmer).containsText("6 right");
        assertThat(page.getByLabel("Begin at label").last()).hasValue("11");

        chooseOnly(page, POUCHES);
        aPrinterThatJams(page);
        assertThat(ticketsFor(page, POUCHES)).containsText("4 right");

        page.navigate(APP.url("/prices"));
        Locator row = page.getByRole(AriaRole.ROW).filter(hasText("Kittiwake clear pouch"));
        row.getByRole(AriaRole.BUTTON, within(Pattern.compile("Price of Kittiwake")))
                .click();
        Locator price = row.getByLabel(Pattern.compile("Price of Kittiwake"));
        price.fill("");
        price.pressSequentially("16");
        price.press("Enter");
        assertThat(row).containsText("16.00");
        page.getByRole(AriaRole.LINK, named("Tickets")).click();
        assertThat(ticketsFor(page, POUCHES)).containsText("4 say 14.00");
        assertThat(CHROMIUM.complaints()).isEmpty();
        page.context().close();
    }

    private static Locator ticketsFor(Page page, String bags) {
        return page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByLabel("Tickets for " + bags, new Page.GetByLabelOptions().setExact(true))));
    }

    private static void chooseOnly(Page page, String name) {
        for (Locator box : page.getByLabel(Pattern.compile("^Tickets for ")).all()) {
            box.setChecked(box.getAttribute("aria-label").equals("Tickets for " + name));
        }
    }

    private static void tooSmallALabelSaysSo(Page page) {
        Locator labels = page.getByLabel("Labels", new Page.GetByLabelOptions().setExact(true));
        labels.selectOption("LETTER_80");
        page.getByLabel("More words").pressSequentially("warm it in the microwave for a minute, never longer {ç}");
        assertThat(page.getByText("there isn’t room").or(page.getByText("there isn't room")))
                .isVisible();
        labels.selectOption("A4_24");
        page.getByLabel("Code").selectOption("QR");
        assertThat(page.getByRole(AriaRole.IMG, named(Pattern.compile("never longer \\{ç\\}"))))
                .isVisible();
    }

    private static void aSheetThatWasBegun(Page page) throws Exception {
        Locator map = page.getByRole(AriaRole.SLIDER, named("Begin at label"));
        map.focus();
        page.keyboard().press("ArrowDown");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowLeft");
        assertThat(map).hasAttribute("aria-valuenow", "5");
        assertThat(page.getByText("6 tickets on 1 sheet")).isVisible();
        Download sheets = page.waitForDownload(
                () -> page.getByRole(AriaRole.BUTTON, named("Sheets as PDF")).click());
        assertThat(new String(Files.readAllBytes(sheets.path()), 0, 5)).isEqualTo("%PDF-");
    }

    private static void aPrinterThatJams(Page page) {
        page.getByRole(AriaRole.LINK, named("The label printer")).click();
        page.getByRole(AriaRole.BUTTON, named("Let the next one jam")).click();
        assertThat(page.getByText("the next one gets stuck")).isVisible();
        page.goBack();
        chooseOnly(page, POUCHES);
        page.getByRole(AriaRole.BUTTON, named("Label printer")).click();
        assertThat(page.getByText("0 of 4 came out. A label is stuck")).isVisible();
        page.getByRole(AriaRole.LINK, named("The label printer")).click();
        page.getByRole(AriaRole.BUTTON, named("Take the stuck label out")).click();
        assertThat(page.getByText("crumpled")).hasCount(1);
        page.goBack();
        page.getByRole(AriaRole.BUTTON, named("Go on")).dblclick();
        assertThat(page.getByRole(AriaRole.BUTTON, named("Go on"))).hasCount(0);
        page.getByRole(AriaRole.LINK, named("The label printer")).click();
        assertThat(page.getByText("What came out: 5")).isVisible();
        page.goBack();
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private static Page.GetByRoleOptions named(Pattern name) {
        return new Page.GetByRoleOptions().setName(name);
    }

    private static Locator.GetByRoleOptions within(Pattern name) {
        return new Locator.GetByRoleOptions().setName(name);
    }

    private static Locator.FilterOptions hasText(String text) {
        return new Locator.FilterOptions().setHasText(text);
    }
}
