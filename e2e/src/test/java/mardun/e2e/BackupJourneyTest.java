package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** All is saved as one file, something is changed by mistake, and the file brings it back; Mardun starts anew by itself. */
class BackupJourneyTest {

    private static final double STARTS_WITHIN_MS = 90_000;

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @TempDir
    Path folder;

    @Test
    void aMistakeIsUndoneByRestoringTheFile() throws IOException {
        try (PackagedApp app = PackagedApp.withDemoData()) {
            Page page = CHROMIUM.page();
            page.navigate(app.url("/settings"));
            Locator backups = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Backups"));
            Download saved = page.waitForDownload(
                    () -> backups.getByText("Save all as one file").click());
            Path archive = folder.resolve("saved.zip");
            saved.saveAs(archive);
            try (ZipFile zip = new ZipFile(archive.toFile())) {
                String manifest = new String(
                        zip.getInputStream(zip.getEntry("manifest.json")).readAllBytes(), StandardCharsets.UTF_8);
                assertThat(manifest).contains("\"kind\" : \"mardun archive\"").contains("\"DESIGN\"");
                String designs = new String(
                        zip.getInputStream(zip.getEntry("tables/DESIGN.jsonl")).readAllBytes(), StandardCharsets.UTF_8);
                assertThat(designs).contains("Heron pouch");
            }

            page.navigate(app.url("/designs/1"));
            Locator name = page.getByLabel("Name of the design");
            assertThat(name).hasValue("Heron pouch");
            name.click();
            name.press("End");
            name.pressSequentially(" by mistake");
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("Save").setExact(true))
                    .click();
            assertThat(page.getByText("Plan a batch of").first()).isVisible();

            page.navigate(app.url("/settings"));
            Path half = folder.resolve("half.zip");
            byte[] whole = Files.readAllBytes(archive);
            Files.write(half, Arrays.copyOf(whole, whole.length / 2));
            backups.locator("input[type=file]").setInputFiles(half);
            assertThat(backups.getByText("only a part of one")).isVisible();
            backups.locator("input[type=file]").setInputFiles(archive);
            Locator dialog = page.getByRole(AriaRole.DIALOG);
            assertThat(dialog).containsText("designs");
            assertThat(Barriers.on(page)).isEmpty();
            dialog.getByText("Restore it").click();
            assertThat(page.getByText("This page comes back by itself")).isVisible();
            assertThat(page.getByText("This page comes back by itself"))
                    .isHidden(new LocatorAssertions.IsHiddenOptions().setTimeout(STARTS_WITHIN_MS));
            page.navigate(app.url("/designs/1"));
            assertThat(name).hasValue("Heron pouch");
        }
    }
}
