package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;

/** From a planned batch over its cutting sheet to offcuts on the shelf, as its maker does it in the browser. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class CuttingJourneyTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    @Test
    @Order(2)
    void aBatchOfThreeClothsIsLaidOutCutAndItsOffcutsAreKept() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/batches/6"));
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Cutting sheet"))
                .click();
        Locator steps = page.getByRole(AriaRole.REGION, region("Cuts in order"));
        assertThat(steps).isVisible();
        assertThat(page.getByText("Looking for better layouts")).isHidden();
        Locator cloths = page.getByRole(AriaRole.GROUP, region("Cloths and lengths"));
        assertThat(cloths.getByRole(AriaRole.BUTTON)).hasCount(4);
        assertThat(page.getByRole(
                        AriaRole.IMG,
                        new Page.GetByRoleOptions().setName(Pattern.compile("From roll \\d+.*: 96 pieces"))))
                .isVisible();
        cloths.getByText("Lengths").click();
        Locator tape = page.getByRole(AriaRole.REGION, region("Zip tape, navy"));
        assertThat(tape.getByText("3 × 9 ¾ in")).isVisible();
        assertThat(tape).containsText("too short to keep");
        assertThat(tape).containsText("have to be bought in one piece");
        cloths.getByText("Reed Stripe").click();
        Locator aims = page.getByRole(AriaRole.GROUP, region("What counts")).getByRole(AriaRole.BUTTON);
        assertThat(aims).hasCount(4);
        // The plan was opened before the search; what is offered to keep is what the sheet leaves now, in the same tab.
        assertThat(page.getByText("6 ¾ × 5 in").first()).isVisible();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("All is cut"))
                .click();
        assertThat(dialog.getByLabel("Across, offcut 1")).hasValue("6 ¾ in");
        assertThat(dialog.getByLabel("Along, offcut 1")).hasValue("5 in");
        page.keyboard().press("Escape");
        page.keyboard().press("c");
        assertThat(steps.getByRole(AriaRole.CHECKBOX).first()).isChecked();
        assertThat(aims.first()).isDisabled();
        page.reload();
        assertThat(steps.getByRole(AriaRole.CHECKBOX).first()).isChecked();

        page.keyboard().press("x");
        dialog.getByLabel("How many").fill("none");
        dialog.getByText("Cut it once more").click();
        assertThat(dialog).containsText("“none”");
        dialog.getByLabel("Which piece").selectOption("D");
        dialog.getByLabel("How many").fill("2");
        dialog.getByText("Cut it once more").click();
        assertThat(dialog).isHidden();
        assertThat(steps.getByText("Once more")).hasCount(2);

        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("All is cut"))
                .click();
        // What the spoiled pieces were cut again from is no longer there to keep; the interfacing's rest is.
        assertThat(dialog.getByLabel(Pattern.compile("^Keep .* of Reed Stripe")))
                .isHidden();
        dialog.getByLabel("Across, offcut 1").fill("5 in");
        dialog.getByLabel("Why is it there all the same?").fill("a metre was never entered");
        dialog.getByText("It is cut").last().click();
        assertThat(dialog).isHidden();
        assertThat(steps.getByRole(AriaRole.CHECKBOX).first()).isDisabled();
        page.navigate(APP.url("/batches/6"));
        assertThat(page.getByText("Order of work")).isVisible();
        page.navigate(APP.url("/materials?find=Soft"));
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Soft fusible").setExact(true))
                .click();
        assertThat(page.getByRole(AriaRole.REGION, region("Offcuts and precuts")))
                .containsText("5 in by");
        Assertions.assertThat(CHROMIUM.complaints()).isEmpty();
        page.context().close();
    }

    @Test
    @Order(1)
    void whatIfIsAnsweredAndNonsenseIsSaidSo() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/batches/6/cutting"));
        Locator whatIf = page.getByRole(AriaRole.FORM, region("What if"));
        whatIf.getByLabel("it were as wide as").fill("broad");
        whatIf.getByText("Try it").click();
        assertThat(whatIf.getByText("“broad”").first()).isVisible();
        whatIf.getByLabel("it were as wide as").fill("60");
        whatIf.getByLabel("it were cut from").selectOption("Kelp linen");
        whatIf.getByText("Try it").click();
        assertThat(whatIf.getByText("From Kelp linen, 53 in wide, it takes")).isVisible();
        assertThat(whatIf.getByText("On cloth 60 in wide it takes")).isVisible();
        assertThat(whatIf.getByText("With one bag fewer")).isVisible();
        page.context().close();
    }

    /** Typed key by key, in one tab, without loading the page anew. */
    @Test
    @Order(3)
    void clothThatIsBoughtByTheSheetIsCutFromSheets() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/materials"));
        press(page, "Add sheets or precuts");
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .isFocused();
        page.keyboard().type("Moss felt");
        page.getByLabel("A sheet is wide").click();
        page.keyboard().type("18");
        page.keyboard().press("Tab");
        page.keyboard().type("12");
        page.getByLabel("On the shelf now").click();
        page.keyboard().type("40");
        press(page, "Save");
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Moss felt")))
                .isVisible();
        page.getByRole(AriaRole.LINK, region("Batches")).click();
        page.getByRole(AriaRole.LINK, region("New batch")).click();
        page.getByLabel("Design", new Page.GetByLabelOptions().setExact(true)).selectOption("Avocet glasses case");
        page.getByLabel("Outer cloth").selectOption("Moss felt · 40");
        press(page, "Save this plan");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Cutting sheet"))
                .click();
        assertThat(page.getByRole(AriaRole.REGION, region("Cuts in order"))).isVisible();
        assertThat(page.getByText("Looking for better layouts")).isHidden();
        page.getByRole(AriaRole.GROUP, region("Cloths and lengths"))
                .getByText("Moss felt")
                .click();
        Locator heading = page.getByRole(AriaRole.HEADING).first();
        assertThat(heading).containsText(Pattern.compile("Moss felt: \\d+ of 40"));
        int sheets = Integer.parseInt(heading.innerText().replaceAll(".*: (\\d+) of 40", "$1"));
        assertThat(page.getByText(Pattern.compile("^Sheet " + sheets + " of " + sheets))
                        .first())
                .isVisible();
        assertThat(page.getByText("From the roll")).isHidden();
        press(page, "All is cut");
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("Moss felt");
        dialog.getByText("It is cut").last().click();
        assertThat(dialog).isHidden();
        page.getByRole(AriaRole.LINK, region("Materials")).click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Moss felt"))
                .click();
        assertThat(page.getByRole(AriaRole.REGION, region("On the shelf"))).containsText(Integer.toString(40 - sheets));
        Assertions.assertThat(CHROMIUM.complaints()).isEmpty();
        page.context().close();
    }

    private static void press(Page page, String name) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                .click();
    }

    private static Page.GetByRoleOptions region(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }
}
