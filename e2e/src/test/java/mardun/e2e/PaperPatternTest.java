package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * A maker in centimetres, with a decimal comma, enters a flat tea-towel bag from a sheet of paper: measures, pieces, a
 * strap, steps; and asks why the first one came out different.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class PaperPatternTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    private static PackagedApp app;
    private static Page page;

    @BeforeAll
    static void start() throws IOException {
        app = PackagedApp.empty();
        page = CHROMIUM.page();
        page.navigate(app.url("/settings"));
        page.getByLabel("I measure in").selectOption("METRIC");
        page.getByLabel("Usual seam allowance").fill("1,5");
        press("Save");
        assertThat(page.getByText("Saved. Every figure follows.")).isVisible();
    }

    @AfterAll
    static void stop() throws IOException {
        page.context().close();
        app.close();
    }

    @Test
    @Order(1)
    void isEnteredFromPaperAndItsCutSizesAreReadInBothUnits() {
        page.navigate(app.url("/designs"));
        page.getByRole(AriaRole.LINK, exactly("New design")).click();
        page.getByLabel("What do you call it?").fill("Bottle bag");
        page.getByLabel("Begin with").selectOption(new SelectOption().setLabel("a blank sheet, all by hand"));
        press("Begin");
        field("Width").fill("24,5");
        field("Height").fill("32");
        press("Add a measure");
        page.getByLabel("What it is").fill("Depth");
        page.getByLabel("Its name in formulas").fill("depth");
        page.keyboard().press("Escape");
        field("Depth").fill("9,5");

        tab("Pieces");
        field("How many, Front").fill("2");
        field("Width, Front").fill("panel_width(width; depth; seam");
        assertThat(page.getByText("has a function whose bracket isn't closed").first())
                .isVisible();
        field("Width, Front").fill("panel_width(width; depth; seam)");
        // Nobody types into the next field before this one is drawn.
        assertThat(page.getByText("has a function whose bracket isn't closed")).hasCount(0);
        field("Height, Front").fill("panel_height(height; depth; seam; seam)");
        assertThat(page.getByText("≈ 39.8 cm · ≈ 15 ¾ in")).isVisible();
        page.getByRole(AriaRole.BUTTON, exactly("A · Front")).first().click();
        page.getByLabel("Its bottom corners are boxed").check();
        page.keyboard().press("Escape");

        tab("Put together");
        field("Form").selectOption(new SelectOption().setLabel("boxed corners, or flat"));
        field("Outside").selectOption(new SelectOption().setLabel("A · Front"));
        field("Finished depth").fill("depth");
        for (String seam : new String[] {"Side seam", "Top seam", "Base seam", "Boxing seam"}) {
            field(seam).fill("seam");
        }
        Locator pieces = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Pieces"));
        assertThat(pieces).containsText("37 × ≈ 39.8 cm");
        assertThat(pieces).containsText("≈ 14 ⅝ × ≈ 15 ¾ in");
        assertThat(pieces).containsText("Base24.5 cm");
        assertThat(pieces).containsText("4.7 cm");
        press("Save");
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Plan a batch")))
                .isVisible();
        page.reload();
        assertThat(pieces).containsText("37 × ≈ 39.8 cm");
    }

    @Test
    @Order(2)
    void aBlockBringsAStrapAndUndoTakesItAwayAgain() {
        tab("Steps");
        press("Put in a building block");
        page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("folded in four"))
                .getByRole(AriaRole.BUTTON)
                .click();
        assertThat(page.getByText("3. Fold and sew the strap")).isVisible();
        tab("Pieces");
        assertThat(field("Width, Strap")).hasValue("10 cm");
        page.getByLabel("How Width, Strap is worked out").click();
        assertThat(field("Width, Strap")).hasValue("strap_four_fold(strap)");
        press("Undo");
        assertThat(field("Width, Strap")).isHidden();
        page.keyboard().press("Control+Shift+Z");
        assertThat(field("Width, Strap")).isVisible();
        tab("Measurements");
        field("Strap, width").fill("3,5");
        tab("Pieces");
        assertThat(field("Width, Strap")).hasValue("14 cm");
        assertThat(page.getByText("≈ 5 ⅝ in").last()).isVisible();
    }

    @Test
    @Order(3)
    void whatLooksWrongPointsAtItsPlaceAndIsSetAside() {
        page.getByRole(AriaRole.BUTTON, exactly("S · Strap")).first().click();
        page.getByLabel("Letter", new Page.GetByLabelOptions().setExact(true)).fill("T");
        page.keyboard().press("Escape");
        field("Width, Strap").fill("12 cm");
        tab("Checks · 1");
        assertThat(page.getByText("a strap of 3.5 cm takes 14 cm")).isVisible();
        page.getByRole(AriaRole.BUTTON, exactly("Strap")).click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("T · Strap");
        page.keyboard().press("Escape");
        tab("Checks · 1");
        press("Set aside");
        page.getByLabel("Why it is right as it is").fill("the cloth is thick");
        press("Set aside");
        assertThat(page.getByText("Because: the cloth is thick")).isVisible();
        press("Save");
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Plan a batch")))
                .isVisible();
    }

    @Test
    @Order(4)
    void theFirstOneCameOutDifferentAndMardunSaysWhy() {
        tab("Questions");
        page.getByLabel("Base, as sewn").fill("21,5");
        page.getByLabel("Height, as sewn").fill("30,5");
        page.getByLabel("Depth, as sewn").fill("12,5");
        press("Explain it");
        assertThat(page.getByText("The corners were cut from the stitching, not from the raw edge."))
                .isVisible();
        assertThat(page.getByText("from the raw edges")).isVisible();
    }

    @Test
    @Order(5)
    void aTallerSizeIsMadeInOneGoAndFoundAmongTheDesigns() {
        press("+ size");
        page.getByLabel("Name of the new size").fill("magnum");
        Locator panel = page.getByRole(AriaRole.DIALOG);
        panel.getByLabel("Height").fill("+ 4,5");
        press("Add the size");
        Locator pieces = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Pieces"));
        assertThat(pieces).containsText("37 × ≈ 44.3 cm");
        assertThat(pieces).containsText("Height36.5 cm");
        press("Save");
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Plan a batch")))
                .isVisible();
        page.navigate(app.url("/designs"));
        page.getByLabel("Find a design").fill("front");
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bottle bag")))
                .isVisible();
        page.getByLabel("Find a design").fill("zeppelin");
        assertThat(page.getByText("No design has “zeppelin” in it.")).isVisible();
        assertThat(CHROMIUM.complaints()).isEmpty();
    }

    @Test
    @Order(6)
    void aFlapIsDrawnByHandItsPointsPulledTypedAndLetIn() {
        page.getByLabel("Find a design").fill("");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bottle bag"))
                .click();
        tab("Pieces");
        press("Add a piece");
        Locator panel = page.getByRole(AriaRole.DIALOG);
        panel.getByLabel("Name").fill("Flap");
        field("Width, across the cloth").fill("20 cm");
        field("Height, along the cloth").fill("18 cm");
        press("Cut something away");
        field("Shape").selectOption("DRAWN");
        Locator second = panel.getByLabel("Point 2: pull it, or move it with the arrow keys");
        second.scrollIntoViewIfNeeded();
        Locator board = panel.getByLabel("The outline with its points");
        assertThat(board.locator("circle").first()).isVisible();
        var from = second.locator("circle").nth(1).boundingBox();
        page.mouse().move(from.x + from.width / 2, from.y + from.height / 2);
        page.mouse().down();
        page.mouse().move(from.x + from.width / 2, from.y - 120);
        page.mouse().up();
        // Pulled straight up, it stays at the edge; where it was let go is a whole number of millimetres.
        assertThat(field("From the middle, point 2")).hasValue("100 mm");
        assertThat(field("Down, point 2")).hasValue(Pattern.compile("\\d+ mm"));
        press("Add a point after 2");
        field("Down, point 2").press("Control+a");
        field("Down, point 2").pressSequentially("8,o0");
        page.keyboard().press("ArrowLeft");
        page.keyboard().press("Backspace");
        page.keyboard().press("End");
        field("Down, point 2").pressSequentially(" cm");
        field("From the middle, point 3").fill("0 cm");
        field("Down, point 3").fill("drawn_height");
        field("Reached along, point 3").selectOption("curve");
        assertThat(panel.getByText("Cut by its template; it takes 88 % of its rectangle."))
                .isVisible();
        field("Let in across, so far below the top").fill("5 cm");
        field("Taller there by").fill("3 cm");
        field("Height, along the cloth").fill("21 cm");
        assertThat(panel.getByText("Cut by its template, 3 cm let in across; it takes 90 % of its rectangle."))
                .isVisible();
        field("Height, along the cloth").fill("15 cm");
        field("Down, point 3").fill("17 cm");
        assertThat(panel.getByText("its rectangle 20 cm × 15 cm.")).isVisible();
        field("Down, point 3").fill("drawn_height");
        field("Height, along the cloth").fill("21 cm");
        assertThat(panel.getByText("Cut by its template, 3 cm let in across; it takes 90 % of its rectangle."))
                .isVisible();
        page.keyboard().press("Escape");
        press("Save");
        page.reload();
        tab("Pieces");
        page.getByRole(AriaRole.BUTTON, exactly("B · Flap")).first().click();
        assertThat(field("Down, point 2")).hasValue("8,0 cm");
        assertThat(CHROMIUM.complaints()).isEmpty();
    }

    private static Locator field(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private static void press(String name) {
        page.getByRole(AriaRole.BUTTON, exactly(name)).click();
    }

    private static void tab(String name) {
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private static Page.GetByRoleOptions exactly(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }
}
