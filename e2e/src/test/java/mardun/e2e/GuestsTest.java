package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The maker lets a helper's tablet and the stall's phone in, each with a passphrase of its own, and sends the helper out again. */
class GuestsTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    private static PackagedApp app;

    @BeforeAll
    static void start() throws IOException {
        app = PackagedApp.empty();
    }

    @AfterAll
    static void stop() throws IOException {
        app.close();
    }

    private static void signIn(Page guest, String passphrase) {
        guest.navigate(app.urlInTheHouse("/"));
        guest.getByLabel("Passphrase").pressSequentially(passphrase);
        guest.keyboard().press("Enter");
    }

    private static Locator places(Page guest) {
        return guest.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Places"))
                .getByRole(AriaRole.LINK);
    }

    @Test
    void comeInAsWhatTheyAreAndGoNoFarther() {
        Page maker = CHROMIUM.page();
        maker.navigate(app.url("/settings"));
        maker.getByLabel("A helper: a passphrase").pressSequentially("the red bobbin");
        maker.keyboard().press("Enter");
        assertThat(maker.getByLabel("A helper: another passphrase")).isVisible();
        maker.getByLabel("The stall: a passphrase").pressSequentially("the red bobbin");
        maker.keyboard().press("Enter");
        assertThat(maker.getByText("This one lets devices in as a helper already."))
                .isVisible();
        maker.getByLabel("The stall: a passphrase").fill("small change {ç}");
        maker.keyboard().press("Enter");
        assertThat(maker.getByLabel("The stall: another passphrase")).isVisible();
        maker.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Let other devices in"))
                .click();
        assertThat(maker.getByText(app.urlInTheHouse("/"))).isVisible();

        Page helper = CHROMIUM.page();
        signIn(helper, "the red bobin");
        assertThat(helper.getByText("This isn't the passphrase.")).isVisible();
        helper.getByLabel("Passphrase").press("Control+a");
        helper.getByLabel("Passphrase").pressSequentially("the red bobbin");
        helper.keyboard().press("Enter");
        assertThat(places(helper)).containsText(new String[] {"Bench", "Designs", "Materials", "Batches", "Rules"});
        assertThat(places(helper)).hasCount(5);
        helper.navigate(app.urlInTheHouse("/year"));
        assertThat(helper.getByText("This device came in as a helper").first()).isVisible();

        Page phone = CHROMIUM.page();
        phone.setViewportSize(390, 844);
        signIn(phone, "small change {ç}");
        assertThat(phone.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName("Stalls").setExact(true)))
                .isVisible();
        assertThat(places(phone)).hasCount(1);
        int across = (int) phone.evaluate("document.documentElement.scrollWidth");
        assertThat(across).isLessThanOrEqualTo(390);

        maker.reload();
        maker.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take it away"))
                .first()
                .click();
        assertThat(maker.getByLabel("A helper: a passphrase")).isVisible();
        helper.navigate(app.urlInTheHouse("/batches"));
        assertThat(helper.getByLabel("Passphrase")).isVisible();
        assertThat(CHROMIUM.complaints()).isEmpty();
    }
}
