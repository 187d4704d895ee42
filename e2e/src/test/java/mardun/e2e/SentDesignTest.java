package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** A design goes out of one workroom as a file, comes into another in which there is nothing, and a batch of it is planned there. */
class SentDesignTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    /** What the other maker has for it, entered through the button of its kind of amount. */
    private static final List<Entered> SHELF = List.of(
            new Entered("Add cloth", "Sailcloth, ecru", "canvas", "140 cm", "14.50", "12 m"),
            new Entered("Add cloth", "Poplin {ç} 🧵", "quilting cotton", "110", "9", "20 m"),
            new Entered("Add cloth", "Iron-on, medium", "fusible interfacing", "90", "4.20", "8 m"),
            new Entered("Add zip tape or trim", "Belting", "webbing", "", "1.80", "30 m"),
            new Entered("Add notions", "Clasp", "magnetic snap", "", "0.60", "40"),
            new Entered("Add notions", "Name tag", "label", "", "0.20", "100"));

    @TempDir
    Path folder;

    private record Entered(String button, String name, String what, String width, String price, String onHand) {}

    @Test
    void aBatchOfItIsPlannedInAnEmptyWorkroom() throws IOException {
        Path file = exported();
        try (PackagedApp other = PackagedApp.empty()) {
            Page page = CHROMIUM.page();
            page.navigate(other.url("/designs"));
            page.locator("input[type=file]").setInputFiles(file);
            Locator dialog = page.getByRole(AriaRole.DIALOG);
            assertThat(dialog).containsText("Not on your shelf under these names");
            dialog.getByRole(AriaRole.LINK).click();
            assertThat(page.getByRole(AriaRole.TAB, exactly("Pieces"))).isVisible();
            String design = page.url();
            fillTheShelf(page, other);
            page.navigate(design);
            page.getByRole(AriaRole.LINK, starting("Plan a batch")).click();
            chooseMaterials(page);
            assertThat(page.getByText("Nothing is chosen")).hasCount(0);
            page.getByRole(AriaRole.BUTTON, exactly("Save this plan")).click();
            page.waitForURL(Pattern.compile("/batches/\\d+$"));
            page.reload();
            assertThat(select(page, "Body cloth").locator("option:checked")).containsText("Sailcloth, ecru");
            assertThat(page.getByRole(AriaRole.REGION, region("Cut list"))).containsText("Yoke");
            page.getByRole(AriaRole.LINK, exactly("Cutting sheet")).click();
            assertThat(page.getByRole(AriaRole.REGION, region("Cuts in order"))).isVisible();
            page.context().close();
        }
    }

    private Path exported() {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/designs"));
        page.getByRole(AriaRole.BUTTON, exactly("Export")).click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        dialog.getByLabel(Pattern.compile("^All \\d+")).uncheck();
        dialog.getByLabel("Tern tote").check();
        dialog.getByLabel("With their photos, as a ZIP file").uncheck();
        Download download = page.waitForDownload(
                () -> dialog.getByText("Export this design").click());
        Path file = folder.resolve("tern.json");
        download.saveAs(file);
        page.context().close();
        return file;
    }

    private static void fillTheShelf(Page page, PackagedApp other) {
        page.navigate(other.url("/materials"));
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        for (Entered one : SHELF) {
            page.getByRole(AriaRole.BUTTON, exactly(one.button())).click();
            type(dialog, "Name", one.name());
            dialog.getByLabel(Pattern.compile("^(What kind of cloth|Which)"))
                    .selectOption(new SelectOption().setLabel(one.what()));
            if (!one.width().isEmpty()) {
                type(dialog, "Usable width, without the selvages", one.width());
            }
            type(dialog, "Price (EUR)", one.price());
            type(dialog, "for", "1");
            type(dialog, "On the shelf now", one.onHand());
            dialog.getByRole(AriaRole.BUTTON, in("Save")).click();
            assertThat(dialog).isHidden();
        }
    }

    private static void chooseMaterials(Page page) {
        choose(page, "Body cloth", "Sailcloth, ecru");
        choose(page, "Yoke cloth", "Poplin {ç} 🧵");
        choose(page, "Lining cloth", "Poplin {ç} 🧵");
        choose(page, "Interfacing", "Iron-on, medium");
        choose(page, "Webbing", "Belting");
        choose(page, "Magnetic snap", "Clasp");
        choose(page, "Label", "Name tag");
    }

    private static void choose(Page page, String slot, String material) {
        Locator option = select(page, slot).locator("option", new Locator.LocatorOptions().setHasText(material));
        select(page, slot).selectOption(option.getAttribute("value"));
    }

    private static Locator select(Page page, String slot) {
        return page.getByLabel(slot, new Page.GetByLabelOptions().setExact(true));
    }

    private static void type(Locator dialog, String field, String text) {
        Locator into = dialog.getByLabel(field, new Locator.GetByLabelOptions().setExact(true));
        into.press("Control+A");
        into.pressSequentially(text);
    }

    private static Page.GetByRoleOptions exactly(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private static Locator.GetByRoleOptions in(String name) {
        return new Locator.GetByRoleOptions().setName(name).setExact(true);
    }

    private static Page.GetByRoleOptions starting(String name) {
        return new Page.GetByRoleOptions().setName(Pattern.compile("^" + name));
    }

    private static Page.GetByRoleOptions region(String name) {
        return new Page.GetByRoleOptions().setName(name);
    }
}
