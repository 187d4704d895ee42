package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What comes to the shelf, is held, cut, kept, counted and moved, as its maker does it in the browser. */
class StockJourneyTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    @Test
    void aPaperIsEnteredWhenItsTotalAddsUp() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/materials/deliveries"));
        page.getByLabel("Number of the paper").fill("S-77");
        page.getByLabel("What", exact()).selectOption("D-ring, 1 in");
        page.getByLabel("Packs").fill("3");
        page.getByLabel("each holds").fill("10");
        page.getByLabel("Price (EUR)").fill("9,60");
        page.getByLabel("Postage (EUR)").fill("2.40");
        page.getByLabel("The paper says (EUR)").fill("13");
        assertThat(page.getByText("1.00 are missing.")).isVisible();
        press(page, "Put it on the shelf");
        assertThat(page.getByText("Look for the line that differs.")).isVisible();
        assertThat(page.getByLabel("Packs")).hasValue("3");
        page.reload();
        assertThat(page.getByLabel("The paper says (EUR)")).hasValue("13");
        page.getByLabel("The paper says (EUR)").fill("12");
        page.getByRole(AriaRole.BUTTON, named("Put it on the shelf")).dblclick();
        assertThat(page.getByRole(AriaRole.REGION, region("What came before"))).containsText("S-77");
        page.navigate(APP.url("/materials"));
        page.getByRole(AriaRole.LINK, named("D-ring, 1 in").setExact(true)).click();
        Locator lots = page.getByRole(AriaRole.REGION, region("Lots"));
        assertThat(lots).containsText("3 × 10");
        assertThat(lots).containsText("2.40 of it postage");
        assertThat(lots.getByText("3 × 10")).hasCount(1);
        page.context().close();
    }

    /** Typed key by key, in one tab, without loading the page anew. */
    @Test
    void sheetsOfUnknownPriceAreEnteredPutAwayAndRemoved() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/materials"));
        press(page, "Add sheets or precuts");
        assertThat(page.getByLabel("Name", exact())).isFocused();
        page.keyboard().type("Fat quarters {ç}");
        page.getByLabel("A sheet is wide").click();
        page.keyboard().type("22");
        page.keyboard().press("Tab");
        page.keyboard().type("18");
        page.getByLabel("On the shelf now").click();
        page.keyboard().type("6");
        page.getByLabel("What is on the shelf was given to me").check();
        press(page, "Save");
        page.getByRole(AriaRole.LINK, named("Fat quarters {ç}")).click();
        assertThat(page.getByRole(AriaRole.REGION, region("How it came and went")))
                .containsText("given");
        assertThat(page.getByRole(AriaRole.REGION, region("On the shelf"))).containsText("6");
        press(page, "Put it away");
        assertThat(page.getByText("It is put away")).isVisible();
        page.getByRole(AriaRole.MAIN)
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Materials"))
                .click();
        assertThat(page.getByRole(AriaRole.LINK, named("Reed Stripe"))).isVisible();
        assertThat(page.getByRole(AriaRole.LINK, named("Fat quarters {ç}"))).hasCount(0);
        press(page, "Put away");
        page.getByRole(AriaRole.LINK, named("Fat quarters {ç}")).click();
        press(page, "Remove it …");
        press(page, "Remove it for good");
        assertThat(page.getByRole(AriaRole.LINK, named("Reed Stripe"))).isVisible();
        press(page, "Put away");
        assertThat(page.getByText("Nothing here matches")).isVisible();
        Assertions.assertThat(CHROMIUM.complaints()).isEmpty();
        page.context().close();
    }

    @Test
    void theShelfIsCountedOnATablet() {
        Page page = CHROMIUM.page();
        page.setViewportSize(768, 1024);
        page.navigate(APP.url("/materials/stock-take"));
        press(page, "drawer 1");
        Locator clamps = page.getByLabel("There is of Fob clamp");
        clamps.fill("fourty");
        press(page, "Enter 1 counted");
        assertThat(page.getByText("“fourty” isn't a number").first()).isVisible();
        clamps.fill("41");
        page.reload();
        assertThat(page.getByLabel("There is of Fob clamp")).hasValue("41");
        press(page, "Enter 1 counted");
        assertThat(page.getByText("1 counted, 1 differed and were set right.")).isVisible();
        page.navigate(APP.url("/materials?kind=NOTION&find=clamp"));
        page.getByRole(AriaRole.LINK, named("Fob clamp")).click();
        assertThat(page.getByRole(AriaRole.REGION, region("How it came and went")))
                .containsText("stock-take");
        assertThat(page.getByRole(AriaRole.REGION, region("On the shelf"))).containsText("41");
        page.context().close();
    }

    @Test
    void aBatchIsCutFromOffcutsFirstAndLeavesNewOnes() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/batches/5"));
        Locator material = page.getByRole(AriaRole.REGION, region("Material"));
        assertThat(material.getByText("held", exactly())).hasCount(6);
        Locator offers = page.getByRole(AriaRole.REGION, region("Offcuts first"));
        assertThat(offers).containsText("of Juniper Dot");
        offers.getByRole(AriaRole.CHECKBOX).first().check();
        assertThat(offers.getByRole(AriaRole.CHECKBOX).first()).isChecked();
        press(page, "Save");
        assertThat(page.getByRole(AriaRole.BUTTON, named("Cut it"))).isVisible();
        press(page, "Cut it");
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        dialog.getByLabel("Across, offcut 1").fill("9 in");
        dialog.getByLabel("How many, offcut 1").fill("1");
        Locator keeping = dialog.getByLabel(Pattern.compile("^Keep "));
        for (Locator keep : keeping.all().subList(1, keeping.count())) {
            keep.uncheck();
        }
        page.getByRole(AriaRole.BUTTON, named("It is cut")).dblclick();
        assertThat(dialog).isHidden();
        assertThat(page.getByRole(AriaRole.REGION, region("Order of work"))).isVisible();
        page.navigate(APP.url("/materials?find=juniper"));
        page.getByRole(AriaRole.LINK, named("Juniper Dot")).click();
        assertThat(page.getByRole(AriaRole.REGION, region("How it came and went")))
                .containsText("cut for batch 5");
        assertThat(page.getByRole(AriaRole.REGION, region("How it came and went")))
                .containsText("pieces");
        page.context().close();
    }

    @Test
    void whatIsInTheHandBecomesAPlan() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/materials/hand?material=6"));
        Locator first = page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("can be made"));
        assertThat(first.first()).containsText("left for an hour");
        String units = first.first().locator("div").first().innerText().split("\\s")[0];
        first.first().getByText("Plan it").click();
        assertThat(page.getByLabel("How many", exact())).hasValue(units);
        assertThat(page.getByText("Save this plan")).isVisible();
        page.context().close();
    }

    @Test
    void aListComesInWholeOrNotAtAll() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/materials/files"));
        bring(page, "name;kind;price;price for;on hand\nTin bell;notion;2,40;10;30\nLost;gadget;1;1;1\n");
        Locator file = page.getByRole(AriaRole.REGION, region("The file"));
        assertThat(file).containsText("“gadget” can't stand under “kind”.");
        assertThat(file).containsText("semicolon between the cells");
        assertThat(page.getByRole(AriaRole.BUTTON, named("Enter all of it"))).isDisabled();
        bring(page, "name;kind;price;price for;on hand\nTin bell;notion;2,40;10;30\n");
        assertThat(file).containsText("1 new");
        press(page, "Enter all of it");
        assertThat(file).containsText("All of it is entered.");
        page.navigate(APP.url("/materials?find=bell"));
        assertThat(page.getByRole(AriaRole.REGION, region("By count"))).containsText("Tin bell");
        assertThat(page.getByText("Reed Stripe")).isHidden();
        page.context().close();
    }

    @Test
    void finishedBagsAreMovedToTheStallBox() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/materials/finished"));
        Locator bags = page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText("stall box"))
                .last();
        bags.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Move .+ of ")))
                .click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        dialog.getByLabel("How many").fill("99");
        dialog.getByLabel("To", new Locator.GetByLabelOptions().setExact(true)).fill("stall box");
        dialog.getByText("Enter", new Locator.GetByTextOptions().setExact(true)).click();
        Matcher there = Pattern.compile("stall box · (\\d+).*At “home” are (\\d+)", Pattern.DOTALL)
                .matcher(dialog.getByText("At “home” are")
                        .locator("xpath=ancestor::form")
                        .innerText());
        Assertions.assertThat(there.find()).isTrue();
        int atStall = Integer.parseInt(there.group(1));
        int home = Integer.parseInt(there.group(2));
        Assertions.assertThat(home).isGreaterThan(1);
        dialog.getByLabel("How many").fill("1");
        dialog.getByText("Enter", new Locator.GetByTextOptions().setExact(true)).dblclick();
        assertThat(dialog).isHidden();
        assertThat(bags).containsText(atStall + 1 + " stall box");
        assertThat(bags).containsText(home - 1 + " home");
        Assertions.assertThat(CHROMIUM.complaints()).isEmpty();
        page.context().close();
    }

    private static void bring(Page page, String csv) {
        page.getByLabel("Import Materials")
                .setInputFiles(new FilePayload("materials.csv", "text/csv", csv.getBytes(StandardCharsets.UTF_8)));
    }

    private static void press(Page page, String name) {
        page.getByRole(AriaRole.BUTTON, named(name)).click();
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name);
    }

    private static Page.GetByRoleOptions region(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private static Page.GetByLabelOptions exact() {
        return new Page.GetByLabelOptions().setExact(true);
    }

    private static Locator.GetByTextOptions exactly() {
        return new Locator.GetByTextOptions().setExact(true);
    }
}
