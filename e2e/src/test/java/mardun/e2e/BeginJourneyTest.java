package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * As someone who has never seen it, from an empty folder, with only what is on the screen: from what she knows of a bag to what she
 * cuts and what it costs. Touches and groups of keys are counted; each way takes fewer than forty.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class BeginJourneyTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    private static final int FEWER_THAN = 40;

    private static PackagedApp app;

    @BeforeAll
    static void start() throws IOException {
        app = PackagedApp.empty();
    }

    @AfterAll
    static void stop() throws IOException {
        app.close();
    }

    /** A hand that counts what it does. */
    private static final class Hand {

        private final Page page;
        private int touches;

        Hand(Page page) {
            this.page = page;
        }

        void touch(Locator what) {
            what.click();
            touches++;
        }

        /** Puts the caret into a field and types, key by key, over what stands there: one touch and one group of keys. */
        void type(Locator field, String text) {
            field.click(new Locator.ClickOptions().setClickCount(3));
            field.pressSequentially(text);
            touches += 2;
        }

        /** Tab, and typed over what stands there. */
        void tabAndType(String text) {
            page.keyboard().press("Tab");
            page.keyboard().type(text);
            touches += 2;
        }
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator link(Page page, String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private static Locator option(Page page, String choice, String option) {
        return page.getByRole(
                        AriaRole.GROUP,
                        new Page.GetByRoleOptions().setName(choice).setExact(true))
                .locator("label")
                .filter(new Locator.FilterOptions().setHasText(option));
    }

    private static Locator region(Page page, String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    private static void inInches(Hand hand, Page page) {
        hand.touch(page.getByText("Say how you measure"));
        page.getByLabel("I measure in").selectOption("INCH");
        hand.touches += 2;
        hand.type(page.getByLabel("Usual seam allowance"), "1/4");
        hand.type(page.getByLabel("An hour of my work"), "19");
        hand.touch(button(page, "Save"));
        assertThat(page.getByText("Saved. Every figure follows.")).isVisible();
        hand.touch(link(page, "Designs").first());
    }

    /** What nothing on the shelf serves for is to be bought: its price is typed, and Enter adds it. */
    private static void buy(Hand hand, Page page, String slot, String price) {
        Locator group = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(slot + ", to buy"));
        hand.type(group.getByLabel("Price for"), price);
        page.keyboard().press("Enter");
        assertThat(group).hasCount(0);
    }

    @Test
    @Order(1)
    void aBagOnTheTableToItsCutListInCentimetresWithAComma() {
        Page page = CHROMIUM.page();
        Hand hand = new Hand(page);
        page.navigate(app.url("/"));
        hand.touch(page.getByText("Design your first bag"));
        hand.touch(link(page, "Boxed tote"));
        hand.touch(page.getByText("A bag on the table"));
        hand.type(field(page, "Across the top, laid flat"), "40,5");
        hand.tabAndType("33");
        hand.tabAndType("10,5");
        hand.touch(option(page, "Base", "fold"));
        // Across the top 40.5 + 2 seams of 1 wide; twice 33 + 1 + 5.25 from rim to rim.
        assertThat(region(page, "Cut list")).containsText("42.5 × 78.5 cm");
        hand.type(field(page, "What do you call it?"), "Like the red one");
        hand.touch(button(page, "Save the design"));
        assertThat(region(page, "Pieces")).containsText("42.5 × 78.5 cm");
        assertThat(hand.touches).as("touches and groups of keys").isLessThan(FEWER_THAN);

        changesItsHandles(page);
        assertThat(CHROMIUM.complaints()).isEmpty();
    }

    @Test
    @Order(2)
    void aBoxedPouchFromItsMeasuresToThePriceOfTwentyFour() {
        Page page = CHROMIUM.page();
        Hand hand = new Hand(page);
        page.navigate(app.url("/"));
        inInches(hand, page);
        hand.touch(link(page, "New design"));
        hand.touch(link(page, "Boxed zip pouch"));
        hand.type(field(page, "Width at the base"), "8");
        hand.tabAndType("6");
        hand.tabAndType("3");
        assertThat(region(page, "Cut list")).containsText("11 ½ × ≈ 7 ⅞ in");
        buy(hand, page, "Outer cloth", "12,50");
        buy(hand, page, "Lining cloth", "8.90");
        buy(hand, page, "Zip tape", "1.80");
        buy(hand, page, "Slider", ".30");
        buy(hand, page, "Interfacing", "4");
        buy(hand, page, "Label", "0.22");
        Locator ticket = page.getByLabel("Ticket for one unit");
        assertThat(ticket).containsText("Left for an hour");
        hand.type(field(page, "What do you call it?"), "Boxed pouch {8×6×3} ç 🧵");
        hand.touch(button(page, "Save the design"));
        hand.touch(link(page, "Plan a batch"));
        hand.type(field(page, "How many"), "24");
        assertThat(page.getByLabel("Ticket for one unit")).containsText("made 24 at a time");
        assertThat(page.getByLabel("Ticket for one unit")).containsText("Left for an hour");
        assertThat(hand.touches).as("touches and groups of keys").isLessThan(FEWER_THAN);
        assertThat(CHROMIUM.complaints()).isEmpty();
    }

    @Test
    @Order(3)
    void aPapersCutSizesToTheFinishedSize() {
        Page page = CHROMIUM.page();
        Hand hand = new Hand(page);
        page.navigate(app.url("/"));
        inInches(hand, page);
        hand.touch(link(page, "New design"));
        hand.touch(link(page, "Boxed zip pouch"));
        hand.touch(page.getByText("What the paper says"));
        hand.touch(option(page, "Corners", "cut out after"));
        hand.type(field(page, "Panel, cut width"), "12");
        hand.tabAndType("10");
        hand.tabAndType("1 1/4");
        // 2 x (1 1/4 + 1/4) deep, 12 - 1/2 - 3 wide, 10 - 1/2 - 1 1/2 + 3/16 high.
        Locator bag = region(page, "The finished bag");
        assertThat(bag).containsText("8 ½ in");
        assertThat(bag).containsText("≈ 8 ¼ in");
        assertThat(bag).containsText("3 in");
        hand.touch(page.getByText("What does it say of the other pieces?"));
        hand.type(page.getByLabel("Lining panel: height on the paper"), "9 1/2");
        assertThat(bag)
                .containsText("Lining panel: the paper says 12 in × 9 ½ in, and with these measures it comes to"
                        + " 12 in × 10 in.");
        assertThat(region(page, "Cut list")).containsText("12 × 9 ½ in");
        hand.type(field(page, "What do you call it?"), "From the paper");
        hand.touch(button(page, "Save the design"));
        assertThat(region(page, "Pieces")).containsText("12 × 10 in");
        assertThat(hand.touches).as("touches and groups of keys").isLessThan(FEWER_THAN);
        assertThat(CHROMIUM.complaints()).isEmpty();
    }

    /** The choices stay choices: other handles, and back, without losing what was changed meanwhile. */
    private static void changesItsHandles(Page page) {
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Parts"))
                .click();
        option(page, "Handles", "webbing").click();
        assertThat(region(page, "Pieces")).not().containsText("Handle, folded in four");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Trims"))
                .click();
        assertThat(page.getByRole(AriaRole.TABPANEL)).containsText("Handle, webbing");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Parts"))
                .click();
        option(page, "Handles", "folded in four").click();
        assertThat(region(page, "Pieces")).containsText("Handle, folded in four");
        button(page, "Save").click();
        assertThat(link(page, "Plan a batch")).isVisible();
        assertThat(List.of(page.title())).containsExactly("Like the red one · Mardun");
    }
}
