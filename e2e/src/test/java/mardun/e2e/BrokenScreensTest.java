package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever a screen is answered, nobody looks at an empty one: it says what to do, and the places on the left stay. */
class BrokenScreensTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    /** What the places on the left are drawn from. */
    private static final Set<String> OF_THE_SHELL = Set.of("/api/settings", "/api/door");

    private static final Pattern DATA = Pattern.compile("/api/");

    private static void nonsense(Route route) {
        String path = route.request().url().replaceAll("^https?://[^/]+|\\?.*$", "");
        if (OF_THE_SHELL.contains(path) || !route.request().method().equals("GET")) {
            route.resume();
        } else {
            route.fulfill(new Route.FulfillOptions()
                    .setContentType("application/json")
                    .setBody("{\"items\": 7}"));
        }
    }

    /** A page that is asking for something can't be closed while its answers are made up here, so it is left first. */
    private static void close(Page page) {
        page.navigate("about:blank");
        page.context().close();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/bench",
                "/bench/days",
                "/bench/work/6",
                "/designs",
                "/designs/1",
                "/designs/1/templates",
                "/designs/new",
                "/designs/new/BOXED_POUCH",
                "/materials",
                "/materials/2",
                "/materials/buying",
                "/materials/deliveries",
                "/materials/stock-take",
                "/materials/value",
                "/materials/hand?material=2",
                "/materials/cut",
                "/materials/finished",
                "/materials/finished/67",
                "/batches",
                "/batches/new",
                "/batches/what-to-make",
                "/batches/6",
                "/batches/6/cutting",
                "/batches/5/gather",
                "/batches/2/tally",
                "/prices",
                "/prices/tickets",
                "/prices/printer",
                "/prices/quotes",
                "/prices/quotes/1",
                "/stalls",
                "/stalls/15",
                "/stalls/online",
                "/stalls/orders",
                "/stalls/orders/1",
                "/stalls/posting",
                "/stalls/resellers",
                "/stalls/resellers/1",
                "/logbook",
                "/year",
                "/year/books",
                "/settings"
            })
    void aScreenThatIsAnsweredNonsenseSaysWhatToDo(String address) {
        Page page = CHROMIUM.page();
        page.route(DATA, BrokenScreensTest::nonsense);
        page.navigate(APP.url(address));
        Locator main = page.locator("main");
        assertThat(page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Places")))
                .isVisible();
        // A heading, a sentence or what it waits for; never nothing.
        assertThat(main).containsText(Pattern.compile("\\w{3}"));
        assertThat(main.innerText()).doesNotContain("TypeError").doesNotContain("undefined");
        Locator broken = main.getByRole(AriaRole.ALERT);
        if (broken.count() > 0) {
            assertThat(broken.first()).containsText("What was saved is safe");
            page.unroute(DATA);
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Rules"))
                    .click();
            assertThat(main.getByText("This screen broke")).isHidden();
        }
        close(page);
    }

    @Test
    void theStallsScreenWhichHasAllOfTheSpaceSaysItToo() {
        Page page = CHROMIUM.page();
        page.route(DATA, BrokenScreensTest::nonsense);
        page.navigate(APP.url("/stalls/15/day"));
        assertThat(page.locator("body")).containsText(Pattern.compile("\\w{3}"));
        close(page);
    }
}
