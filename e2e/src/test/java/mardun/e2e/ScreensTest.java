package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each main screen with demo data: no barrier that axe knows, no complaint on the console, all by keyboard. */
class ScreensTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    private static Page page;

    @BeforeAll
    static void open() {
        page = CHROMIUM.page();
    }

    @AfterAll
    static void close() {
        page.context().close();
    }

    @BeforeEach
    void aDesk() {
        page.setViewportSize(1280, 800);
    }

    @Test
    void anEveningWithMoreTimeIsTriedKeptAndTakenBackByKeyboard() {
        page.navigate(APP.url("/bench/days"));
        Locator hours = page.getByLabel(Pattern.compile("Hours free on")).nth(2);
        assertThat(hours).hasValue(Pattern.compile("[0-9.]+"));
        String usual = hours.inputValue();
        hours.focus();
        page.keyboard().press("ControlOrMeta+a");
        page.keyboard().type("99");
        page.keyboard().press("Enter");
        assertThat(page.getByText("“99” is more than")).isVisible();
        page.keyboard().press("Escape");
        assertThat(hours).hasValue(usual);
        page.keyboard().press("ControlOrMeta+a");
        page.keyboard().type("5.25");
        assertThat(page.getByText(Pattern.compile("instead of|no batch")).first())
                .isVisible();
        page.keyboard().press("Enter");
        Locator asUsual = page.getByText("as usual", new Page.GetByTextOptions().setExact(true));
        assertThat(asUsual).isVisible();
        asUsual.focus();
        page.keyboard().press("Enter");
        assertThat(asUsual).isHidden();
        assertThat(hours).hasValue(usual);
    }

    @ParameterizedTest
    @CsvSource({
        "/bench, On the go",
        "/bench/days, When each batch is done",
        "/bench/work/6, One done",
        "/designs, Heron pouch",
        "/designs/1, What it shall measure",
        "/designs/16?tab=revisions, The design began with this one.",
        "/designs/new, Drawstring backpack",
        "/designs/new/BOXED_POUCH, How is it made?",
        "/designs/new/FLAP_WALLET, To cut for one",
        "/help/construction, Boxed corners",
        "/materials, Reed Stripe",
        "/materials/2, How it came and went",
        "/materials/deliveries, What came before",
        "/materials/stock-take, in the book",
        "/materials/hand?material=2, can be made",
        "/materials/files, Its columns",
        "/materials/cut, Eider hand warmer",
        "/materials/buying, All together",
        "/batches, On the go",
        "/batches/new, Save this plan",
        "/batches/4, Order of work",
        "/batches/6, Cut list",
        "/batches/8, Made together",
        "/batches/6/cutting, Cuts in order",
        "/batches/5/gather, The batch as a whole",
        "/batches/2/tally, 'Minutes, planned and true'",
        "/stalls, Past fairs",
        "/stalls/15, To bring and to ask",
        "/stalls/online, Offered online",
        "/stalls/orders, New quote",
        "/stalls/orders/1, What was agreed",
        "/stalls/posting, What bags weigh",
        "/stalls/resellers, To do",
        "/stalls/resellers/1, Settlements",
        "/materials/finished/67, How they came and went",
        "/batches/what-to-make, come of making",
        "/designs/4/templates, with a map of them",
        "/year, Where did the money go?",
        "/year/books, How to read it",
        "/stalls/15?part=pack, Change to bring",
        "/stalls/14?part=after, What it left",
        "/logbook, at the bench",
        "/logbook?tab=figures, Hours at the bench",
        "/logbook?tab=upkeep, When it is due",
        "/prices, Heron pouch",
        "/prices?part=channels, Online shop",
        "/prices?part=schools, What is wanted for a bag",
        "/settings, Hours free at the bench"
    })
    void hasNoBarrierAndFitsATablet(String path, String shows) {
        page.navigate(APP.url(path));
        assertThat(page.getByText(shows).first()).isVisible();
        assertThat(Barriers.on(page)).isEmpty();
        Locator care = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Read, and on"));
        if (care.isVisible()) {
            care.click();
            assertThat(Barriers.on(page)).isEmpty();
        }
        assertThat(((Number) page.evaluate("() => document.documentElement.scrollHeight - innerHeight")).intValue())
                .as("a second scrollbar beside that of the page")
                .isLessThanOrEqualTo(0);
        page.setViewportSize(768, 1024);
        int over = ((Number) page.evaluate(
                        "() => { const m = document.querySelector('main'); return m.scrollWidth - m.clientWidth; }"))
                .intValue();
        assertThat(over).as("scrolled sideways at 768").isLessThanOrEqualTo(0);
        assertThat(CHROMIUM.complaints()).isEmpty();
    }

    @Test
    void noPartOfADesignHasABarrier() {
        page.navigate(APP.url("/designs/5"));
        for (String tab :
                List.of("Parts", "Pieces", "Put together", "Trims", "Steps", "Checks", "Questions", "About")) {
            page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(tab))
                    .click();
            assertThat(page.getByRole(AriaRole.TABPANEL)).isVisible();
            assertThat(Barriers.on(page)).as(tab).isEmpty();
        }
    }

    @Test
    void theRulesAndAPieceHaveNoBarrier() {
        page.navigate(APP.url("/designs/3"));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Rules"))
                .click();
        assertThat(page.getByText("sewn as a tube and turned")).isVisible();
        assertThat(Barriers.on(page)).isEmpty();
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("A · Cover"))
                .click();
        Locator radius = page.getByLabel("Radius", new Page.GetByLabelOptions().setExact(true));
        assertThat(radius).hasValue("≈ 1 in");
        page.getByLabel("How Radius is worked out").click();
        assertThat(radius).hasValue("radius");
        assertThat(Barriers.on(page)).isEmpty();
        assertThat(CHROMIUM.complaints()).isEmpty();
    }

    @Test
    void aBatchIsPlannedWithTheKeyboardAlone() {
        page.navigate(APP.url("/bench"));
        assertThat(page.getByText("On the go")).isVisible();
        page.keyboard().press("n");
        Locator units = page.getByLabel("How many", new Page.GetByLabelOptions().setExact(true));
        assertThat(units).isVisible();
        int usual = Integer.parseInt(units.inputValue());
        tabTo("One more");
        page.keyboard().press("Enter");
        assertThat(units).hasValue(Integer.toString(usual + 1));
        tabTo("Save this plan");
        page.keyboard().press("Enter");
        assertThat(page.getByText(Pattern.compile("^Batch \\d+"))).isVisible();
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Plan a new batch");
        page.keyboard().press("Escape");
        for (String button : List.of("More …", "Give up", "Take it up again …", "Plan it again", "More …", "Give up")) {
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(button))
                    .click();
        }
        assertThat(page.getByText("given up")).isVisible();
        for (String button : List.of("Take it up again …", "Remove")) {
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(button))
                    .click();
        }
        assertThat(page.getByText("On the go")).isVisible();
    }

    private static void tabTo(String name) {
        for (int i = 0; i < 120; i++) {
            page.keyboard().press("Tab");
            Object focused = page.evaluate(
                    "() => document.activeElement.getAttribute('aria-label') ?? document.activeElement.textContent");
            if (name.equals(focused)) {
                return;
            }
        }
        throw new AssertionError("the keyboard doesn't reach " + name);
    }
}
