package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * Three designs, five lines, three cloths in one batch: planned in the table by keyboard, cut cloth by cloth, finished in parts, the rest
 * parted off, and some of it left cut and taken up again.
 */
class MadeTogetherTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    @Test
    void aBatchOfFiveLinesGoesFromTheTableToTheShelf() {
        Page page = CHROMIUM.page();
        String batch = planAndCut(page, APP::url, "in");
        finishSome(page, batch);
        partOffAndPutBack(page, APP::url);
        finishTheRest(page);
        page.navigate(APP.url("/materials/finished"));
        assertThat(page.getByText("Slate canvas · seconds").first()).isVisible();
        page.context().close();
    }

    /** As far as lengths are shown; what comes after is the same in any unit. */
    @Test
    void theSameIsPlannedAndCutInCentimetres() throws IOException {
        try (PackagedApp app = PackagedApp.withDemoData()) {
            Page page = CHROMIUM.page();
            page.navigate(app.url("/settings"));
            page.getByLabel("I measure in").selectOption("METRIC");
            press(page, "Save");
            assertThat(page.getByText("Saved. Every figure follows.")).isVisible();
            planAndCut(page, app::url, "cm");
            page.context().close();
        }
    }

    private static String planAndCut(Page page, UnaryOperator<String> url, String unit) {
        page.navigate(url.apply("/batches/new"));
        plan(page);
        assertThat(page.getByRole(AriaRole.REGION, region("Cut list"))).containsText(" " + unit);
        return cutOneCloth(page);
    }

    private static void plan(Page page) {
        page.getByLabel("Design").selectOption(new SelectOption().setLabel("Skua sleeve"));
        assertThat(page.getByLabel("How many")).hasValue("10");
        page.getByLabel("Size").selectOption("small");
        press(page, "Make other designs, sizes or cloths with it …");
        Locator table = page.getByRole(AriaRole.REGION, region("What is made together"));
        add(table, "Add a cloth", "Saddle vinyl");
        add(table, "Add a cloth", "Slate canvas");
        add(table, "Add a design", "Eider hand warmer");
        table.getByText("+ one size").click();
        add(table, "Add a design", "Knot gift bag");
        table.getByText("+ small").click();

        field(table, "Skua sleeve, small in Natural cork").click();
        type(page, "2", "ArrowRight", "1", "ArrowDown", "m", "a", "ArrowLeft", "1", "Tab", "Backspace", "Backspace");
        type(page, "2", "ArrowDown", "Tab", "4");
        assertThat(field(table, "Skua sleeve, small in Natural cork")).hasValue("2");
        assertThat(field(table, "Skua sleeve, small in Saddle vinyl")).hasValue("1");
        assertThat(field(table, "Eider hand warmer, one size in Natural cork")).hasValue("1");
        assertThat(field(table, "Eider hand warmer, one size in Saddle vinyl")).hasValue("2");
        assertThat(field(table, "Knot gift bag, small in Slate canvas")).hasValue("4");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("10 bags of 3 kinds");

        // A word in a field is told at the field, and all that was typed stays.
        type(page, "ArrowUp", "s", "i", "x");
        assertThat(table).containsText("“six” isn't a number");
        assertThat(field(table, "Eider hand warmer, one size in Slate canvas")).hasValue("six");
        type(page, "Backspace", "Backspace", "Backspace");
        assertThat(table).not().containsText("isn't a number");
        assertThat(page.getByLabel("Ticket for the whole batch")).isVisible();

        field(table, "Knot gift bag, small in Slate canvas").click();
        Locator line = page.getByRole(AriaRole.REGION, region("Line: Knot gift bag, small"));
        assertThat(line).containsText("One more:");
        assertThat(line).containsText("Cotton cord, 5 mm +");
        assertThat(page.getByLabel("Ticket for one unit")).containsText("Knot gift bag, small · Slate canvas");
        press(page, "The whole batch");
        assertThat(page.getByLabel("Ticket for the whole batch")).containsText("10 bags");
        press(page, "Save this plan");
        assertThat(page.getByRole(AriaRole.BUTTON, named("Cut it"))).isVisible();
        page.reload();
        assertThat(field(table, "Knot gift bag, small in Slate canvas")).hasValue("4");
    }

    /** The cork is cut from its sheet; the vinyl and the rest are for later. Answers the batch's address. */
    private static String cutOneCloth(Page page) {
        String batch = page.url();
        page.getByRole(AriaRole.LINK, named("Cutting sheet")).click();
        assertThat(page.getByRole(AriaRole.REGION, region("Cuts in order"))).isVisible();
        Locator cloths = page.getByRole(AriaRole.GROUP, region("Cloths and lengths"));
        assertThat(page.getByText("Looking for better layouts")).isHidden();
        cloths.getByText("Natural cork").click();
        assertThat(page.getByRole(AriaRole.REGION, region("What it takes"))).containsText("Skua sleeve, small");
        press(page, "This cloth is cut");
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog.getByLabel("Natural cork", new Locator.GetByLabelOptions().setExact(true)))
                .isChecked();
        assertThat(dialog.getByLabel("Saddle vinyl", new Locator.GetByLabelOptions().setExact(true)))
                .not()
                .isChecked();
        dialog.getByText("It is cut").dblclick();
        assertThat(dialog).isHidden();
        assertThat(cloths.getByText("Natural cork").locator("..")).containsText("cut");
        press(page, "All is cut");
        assertThat(dialog).not().containsText("Natural cork");
        dialog.getByText("It is cut").click();
        assertThat(dialog).isHidden();
        return batch;
    }

    private static void finishSome(Page page, String batch) {
        page.navigate(batch);
        Locator lines = page.getByRole(AriaRole.REGION, region("Lines"));
        assertThat(lines.getByRole(AriaRole.ROW)).hasCount(6);
        press(page, "Bags are finished");
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        for (String number : new String[] {"2", "3", "4"}) {
            dialog.getByLabel("Well, line " + number).fill("");
        }
        dialog.getByLabel("Well, line 5").fill("3");
        dialog.getByLabel("Seconds, line 5").fill("1");
        assertThat(dialog).containsText("4 stay to be made");
        press(page, "They are finished");
        assertThat(dialog).isHidden();
        assertThat(lines).containsText("Seconds");
    }

    /** Two of the four that are left become a batch of their own, one of these isn't made and then is, and both go back. */
    private static void partOffAndPutBack(Page page, UnaryOperator<String> url) {
        String whole = page.url();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        press(page, "More …");
        dialog.getByLabel("Split off, line 2").click();
        type(page, "2", "Backspace", "1", "Tab", "1");
        press(page, "Split off");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("2 bags of 2 kinds");
        String part = page.url();
        press(page, "More …");
        dialog.getByLabel("Not made, line 3").click();
        type(page, "1", "Enter");
        assertThat(dialog).isHidden();
        assertThat(page.getByRole(AriaRole.REGION, region("Lines"))).containsText("1 more are cut and put by");
        page.navigate(url.apply("/materials/cut"));
        String number = part.substring(part.lastIndexOf('/') + 1);
        assertThat(page.getByRole(AriaRole.REGION, region("Eider hand warmer, batch " + number)))
                .containsText("Natural cork");
        page.goBack();
        press(page, "More …");
        assertThat(page.getByRole(AriaRole.BUTTON, named("Put back"))).isVisible();
        press(page, "Put back");
        assertThat(dialog).containsText("They stay apart");
        press(page, "Make them after all");
        assertThat(dialog).isHidden();
        press(page, "More …");
        press(page, "Put back");
        page.waitForURL(whole);
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("10 bags of 3 kinds");
        assertThat(dialog).isHidden();
    }

    private static void finishTheRest(Page page) {
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        press(page, "Bags are finished");
        assertThat(dialog.getByLabel("Well, line 5")).isHidden();
        dialog.getByLabel("Well, line 2").fill("7");
        press(page, "They are finished");
        assertThat(dialog).containsText("is more than 1");
        dialog.getByLabel("Well, line 2").fill("1");
        press(page, "They are finished");
        assertThat(dialog).isHidden();
        assertThat(page.getByRole(AriaRole.BUTTON, named("Bags are finished"))).isHidden();
    }

    private static void type(Page page, String... keys) {
        for (String key : keys) {
            page.keyboard().press(key);
        }
    }

    private static void add(Locator table, String what, String name) {
        table.getByLabel(what).selectOption(new SelectOption().setLabel(name));
    }

    private static Locator field(Locator table, String name) {
        return table.getByLabel(name, new Locator.GetByLabelOptions().setExact(true));
    }

    private static void press(Page page, String button) {
        page.getByRole(AriaRole.BUTTON, named(button)).click();
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private static Page.GetByRoleOptions region(String name) {
        return named(name);
    }
}
