package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The whole path in an empty workroom: settings, shelf, design, batch, cut, finished bags. */
class JourneyTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    /** What a maker types and reads, in inches and in centimetres with a decimal comma. */
    enum Maker {
        IN_INCHES(
                "INCH",
                "1/4",
                "43",
                "45 cm",
                "4 1/2 yd",
                "1 yd",
                "8",
                "6",
                "2 1/2",
                "- 1 in",
                "11 in",
                "≈ 28 ×",
                "9,50"),
        IN_CENTIMETRES(
                "METRIC",
                "0,6",
                "110",
                "17 3/4 in",
                "4,2",
                "1 m",
                "20,5",
                "16",
                "6,4",
                "- 2,5 cm",
                "28.1 cm",
                "≈ 11 ⅛ ×",
                "9.50");

        final String system;
        final String seam;
        final String width;
        final String liningWidth;
        final String onHand;
        final String per;
        final String bagWidth;
        final String height;
        final String depth;
        final String smaller;
        final String panel;
        final String panelOther;
        final String rate;

        Maker(
                String system,
                String seam,
                String width,
                String liningWidth,
                String onHand,
                String per,
                String bagWidth,
                String height,
                String depth,
                String smaller,
                String panel,
                String panelOther,
                String rate) {
            this.system = system;
            this.seam = seam;
            this.width = width;
            this.liningWidth = liningWidth;
            this.onHand = onHand;
            this.per = per;
            this.bagWidth = bagWidth;
            this.height = height;
            this.depth = depth;
            this.smaller = smaller;
            this.panel = panel;
            this.panelOther = panelOther;
            this.rate = rate;
        }

        /** The panel's width as it stands before its height, which says the unit. */
        String panelWidth() {
            return panel.replaceFirst(" (in|cm)$", " × ");
        }
    }

    @ParameterizedTest
    @EnumSource(Maker.class)
    void fromAnEmptyWorkroomToFinishedBags(Maker maker) throws IOException {
        try (PackagedApp app = PackagedApp.empty()) {
            Page page = CHROMIUM.page();
            page.navigate(app.url("/"));
            assertThat(page.getByText("Four steps to your first batch")).isVisible();

            settings(page, maker);
            shelf(page, maker);
            design(page, maker);
            batch(page, maker);
            cutAndFinish(page);
            madeTogether(page, maker);
            assertThat(CHROMIUM.complaints()).isEmpty();
        }
    }

    private static void settings(Page page, Maker maker) {
        page.getByText("Say how you measure").click();
        page.getByLabel("I measure in").selectOption(maker.system);
        page.getByLabel("Usual seam allowance").fill("a bit");
        page.getByLabel("An hour of my work").fill(maker.rate);
        page.getByLabel("Tuesday").fill("2,5");
        press(page, "Save");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("“a bit” doesn't begin with a number");
        assertThat(page.getByLabel("Usual seam allowance")).hasValue("a bit");
        page.getByLabel("Usual seam allowance").fill(maker.seam);
        press(page, "Save");
        assertThat(page.getByText("Saved. Every figure follows.")).isVisible();
    }

    private static void shelf(Page page, Maker maker) {
        place(page, "Materials");
        add(page, maker, "Add cloth", "Sail canvas", maker.width, "12,40", maker.per, maker.onHand);
        add(page, maker, "Add cloth", "Cream lining", maker.liningWidth, "6.20", maker.per, "5 m");
        add(page, maker, "Add cloth", "Fusible", "90 cm", "3.10", "1 m", "3 yd");
        add(page, maker, "Add zip tape or trim", "Zip tape", "", "1.60", "1 m", "10 m");
        add(page, maker, "Add notions", "Sliders", "", "2.90", "10", "60");
        add(page, maker, "Add notions", "Labels", "", "11", "50", "50");
        assertThat(page.getByRole(AriaRole.LINK, named("Sail canvas"))).isVisible();
    }

    private static void add(
            Page page, Maker maker, String button, String name, String width, String price, String per, String onHand) {
        press(page, button);
        Locator panel = page.getByRole(AriaRole.DIALOG);
        panel.getByLabel("Name").fill(name);
        if (!width.isEmpty()) {
            panel.getByLabel("Usable width").fill(width);
        }
        panel.getByLabel("Price").fill(price);
        panel.getByLabel("for", new Locator.GetByLabelOptions().setExact(true)).fill(per);
        panel.getByLabel("On the shelf now").fill(onHand);
        panel.getByRole(AriaRole.BUTTON, inPanel("Save")).dblclick();
        assertThat(panel).isHidden();
        assertThat(page.getByRole(AriaRole.LINK, named(name))).hasCount(1);
    }

    private static void design(Page page, Maker maker) {
        place(page, "Designs");
        page.getByRole(AriaRole.LINK, named("New design")).click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Boxed zip pouch"))
                .click();
        Locator width = page.getByLabel("Width at the base");
        width.fill("0");
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("there is no such bag");
        page.getByLabel("What do you call it?").fill("Gull pouch");
        press(page, "Save the design");
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("there is no such bag");
        assertThat(width).hasValue("0");
        width.fill(maker.bagWidth);
        page.getByLabel("Height", new Page.GetByLabelOptions().setExact(true)).fill(maker.height);
        page.getByLabel("Depth", new Page.GetByLabelOptions().setExact(true)).fill(maker.depth);
        Locator toCut = page.getByRole(AriaRole.REGION, named("Cut list"));
        assertThat(toCut).containsText(maker.panelWidth());
        choose(page, "Outer cloth", "Sail canvas");
        choose(page, "Lining cloth", "Cream lining");
        choose(page, "Interfacing", "Fusible");
        choose(page, "Zip tape", "Zip tape");
        choose(page, "Slider", "Sliders");
        choose(page, "Label", "Labels");
        press(page, "Save the design");
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Plan a batch")))
                .isVisible();
        press(page, "+ size");
        Locator another = page.getByRole(AriaRole.DIALOG);
        another.getByLabel("Name of the new size").fill("small");
        another.getByLabel("Width at the base").fill(maker.smaller);
        press(page, "Add the size");
        press(page, "Save");
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Plan a batch")))
                .isVisible();
        page.reload();
        press(page, "one size");
        Locator pieces = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Pieces"));
        assertThat(pieces).containsText(maker.panelWidth());
        assertThat(pieces).containsText(maker.panelOther);
    }

    private static void batch(Page page, Maker maker) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Plan a batch"))
                .click();
        Locator units = page.getByLabel("How many", new Page.GetByLabelOptions().setExact(true));
        assertThat(units).isVisible();
        choose(page, "Size", "one size");
        units.fill("-2");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("less than 1");
        units.fill("6");
        Locator cutList = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Cut list"));
        assertThat(cutList).containsText(maker.panel);
        assertThat(cutList).containsText("Sail canvas");
        Locator ticket = page.getByLabel("Ticket for one unit");
        assertThat(ticket).containsText("Left for an hour");
        ticket.getByRole(AriaRole.BUTTON, inPanel("Full cost")).click();
        Locator working = page.getByLabel("How Full cost came about");
        assertThat(working).containsText("Full cost is material, labour and overheads together.");
        page.keyboard().press("Escape");
        page.getByLabel("My own price").fill("24,50");
        assertThat(ticket).containsText("24.50");
        press(page, "Save this plan");
        assertThat(page.getByText("Batch 1")).isVisible();
    }

    private static void cutAndFinish(Page page) {
        press(page, "Cut it");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Sail canvas");
        page.getByRole(AriaRole.BUTTON, named("It is cut")).dblclick();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Order of work")))
                .isVisible();
        press(page, "Bags are finished");
        page.getByLabel("Well").fill("5");
        page.getByLabel("Spoiled").fill("1");
        press(page, "They are finished");
        assertThat(page.getByRole(AriaRole.DIALOG)).isHidden();
        place(page, "Materials");
        Locator finished = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Finished bags"));
        assertThat(finished).containsText("Gull pouch, one size");
        assertThat(finished).containsText("5");
        assertThat(finished).containsText("24.50");
        page.getByRole(AriaRole.LINK, named("Sliders")).click();
        assertThat(page.getByRole(AriaRole.REGION, named("On the shelf"))).containsText("54");
        assertThat(page.getByRole(AriaRole.REGION, named("How it came and went")))
                .containsText("used for batch 1");
        place(page, "Bench");
        assertThat(page.getByText("Four steps")).isHidden();
    }

    /** Two sizes in two cloths, typed into the table, cut and finished but for one. */
    private static void madeTogether(Page page, Maker maker) {
        place(page, "Batches");
        page.getByRole(AriaRole.LINK, named("New batch")).click();
        press(page, "Make other designs, sizes or cloths with it …");
        Locator table = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What is made together"));
        table.getByLabel("Add a cloth")
                .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel("Cream lining"));
        table.getByLabel("Add a design")
                .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel("Gull pouch"));
        table.getByText("+ one size").click();
        table.getByLabel("Gull pouch, small in Sail canvas").click();
        for (String key : List.of("2", "Tab", "1", "ArrowDown", "ArrowLeft", "1")) {
            page.keyboard().press(key);
        }
        assertThat(page.getByText("4 bags of 2 kinds")).isVisible();
        Locator cutList = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Cut list"));
        assertThat(cutList).containsText(maker.panel + " ×");
        assertThat(cutList).containsText("lines 1, 2");
        press(page, "Save this plan");
        press(page, "Cut it");
        press(page, "It is cut");
        press(page, "Bags are finished");
        page.getByLabel("Well, line 1").fill("1");
        press(page, "They are finished");
        assertThat(page.getByRole(AriaRole.DIALOG)).isHidden();
        Locator lines = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Lines"));
        assertThat(lines.getByRole(AriaRole.ROW).nth(1)).containsText("211");
        assertThat(page.getByRole(AriaRole.BUTTON, named("Bags are finished"))).isVisible();
    }

    private static void choose(Page page, String slot, String material) {
        page.getByLabel(slot, new Page.GetByLabelOptions().setExact(true))
                .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel(material));
    }

    private static void press(Page page, String name) {
        page.getByRole(AriaRole.BUTTON, named(name)).click();
    }

    private static void place(Page page, String name) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING).first()).isVisible();
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private static Locator.GetByRoleOptions inPanel(String name) {
        return new Locator.GetByRoleOptions().setName(name);
    }
}
