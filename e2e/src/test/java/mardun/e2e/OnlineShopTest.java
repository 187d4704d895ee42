package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** An online order from its arrival to its payout, in the demo's shop, by a buyer who comes while one looks. */
class OnlineShopTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator region(Page page, String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    @ParameterizedTest
    @ValueSource(ints = {1280, 390})
    void anOrderComesIsPostedAndPaidOut(int wide) {
        Page page = CHROMIUM.page();
        page.setViewportSize(wide, 800);
        page.navigate(APP.url("/stalls/online"));
        Locator open = region(page, "To be posted").getByRole(AriaRole.ARTICLE);
        assertThat(open.first()).containsText("late: post by");
        assertThat(region(page, "Paid out")).containsText("fee 0.40 too high");
        assertThat(Barriers.on(page)).isEmpty();
        countIn(page);
        Locator order = ordered(page, open);
        String number = order.getByRole(AriaRole.HEADING).innerText().replaceAll("(?s)^(S-\\d+).*", "$1");
        assertThat(order).containsText("put aside");
        button(page, number + " is posted").click();
        Locator answered = region(page, "Orders before");
        assertThat(answered).containsText(number);
        button(page, number + " arrived").click();
        Locator row = answered.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText(number));
        assertThat(row).containsText("arrived");
        payOut(page);
        assertThat(row).containsText("paid out");
        oneOfTwoComesBack(page, number, row);
        int waiting = open.count();
        Locator payouts = region(page, "Paid out").locator("summary");
        String before = payouts.first().innerText();
        page.getByText("Somebody orders").click();
        page.waitForCondition(() -> open.count() == waiting + 1);
        payOut(page);
        page.waitForCondition(() -> !payouts.first().innerText().equals(before));
        // One that matches is folded away.
        payouts.first().click();
        assertThat(region(page, "Paid out")
                        .getByRole(AriaRole.ROW)
                        .filter(new Locator.FilterOptions().setHasText(number + " paid back"))
                        .first())
                .containsText("as it should be");
        theOtherComesBack(page, number, row);
        button(page, "Forget who ordered " + number).click();
        assertThat(row).containsText("forgotten");
        findsOrdersOfYearsAgo(page, answered, number);
        assertThat(Barriers.on(page)).isEmpty();
        assertThat(page.getByRole(
                        AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("^Online shop$"))))
                .isVisible();
        assertThat(CHROMIUM.complaints()).isEmpty();
        page.context().close();
    }

    /** Key by key, by the buyer and by the number; the page asks for news meanwhile. */
    private static void findsOrdersOfYearsAgo(Page page, Locator answered, String number) {
        Locator orders = answered.locator("tbody tr");
        button(page, "Show more").first().click();
        page.waitForCondition(() -> orders.count() > 20);
        Locator find = answered.getByRole(AriaRole.SEARCHBOX);
        find.pressSequentially("çelil");
        find.press("Backspace");
        find.pressSequentially("k");
        assertThat(answered).containsText("Teodor Çelik");
        assertThat(answered.getByText("Ilse Marrow")).hasCount(0);
        find.clear();
        find.pressSequentially(number);
        assertThat(orders).hasCount(1);
        assertThat(orders).containsText("forgotten");
    }

    /** More fobs were made than the book knew, so that a buyer can take two. */
    private static void countIn(Page page) {
        Matcher fobs = Pattern.compile(
                        "\"id\":(\\d+),\"batchId\":\\d+,\"designName\":\"Puffin key fob\",\"sizeName\":\"one size\","
                                + "\"clothName\":\"Kelp linen\",\"quality\":\"GOOD\"")
                .matcher(page.request()
                        .get(APP.url("/api/finished-goods?all=true&size=500"))
                        .text());
        assertThat(fobs.find()).isTrue();
        String token = page.context().cookies().stream()
                .filter(cookie -> cookie.name.equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .value;
        int status = page.request()
                .post(
                        APP.url("/api/finished-goods/" + fobs.group(1) + "/movements"),
                        RequestOptions.create()
                                .setHeader("X-XSRF-TOKEN", token)
                                .setData(Map.of(
                                        "requestId", UUID.randomUUID().toString(),
                                        "kind", "COUNTED",
                                        "place", "home",
                                        "units", "40",
                                        "reason", "counted")))
                .status();
        assertThat(status).isEqualTo(201);
        button(page, "Check now").click();
        assertThat(page.getByText("40 at home, the shop says 40")).isVisible();
    }

    /** Buyers come until one takes two bags; the shop calls, so that each order comes by itself. */
    private static Locator ordered(Page page, Locator open) {
        do {
            int before = open.count();
            page.getByText("Somebody orders").click();
            page.waitForCondition(() -> open.count() == before + 1);
        } while (!open.last().getByRole(AriaRole.LISTITEM).first().innerText().startsWith("2"));
        return open.last();
    }

    private static void payOut(Page page) {
        page.getByText("It pays out", new Page.GetByTextOptions().setExact(true))
                .click();
        button(page, "Check now").click();
    }

    private static Locator returning(Page page, String number) {
        button(page, number + " came back").click();
        return page.getByRole(AriaRole.DIALOG);
    }

    private static Locator field(Locator panel, String name) {
        return panel.getByLabel(Pattern.compile("^" + name));
    }

    private static void book(Locator panel) {
        panel.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Book it"))
                .click();
    }

    private static void oneOfTwoComesBack(Page page, String number, Locator row) {
        Locator panel = returning(page, number);
        Locator units = field(panel, "How many of").first();
        units.pressSequentially("3");
        field(panel, "Money given back").pressSequentially("1");
        book(panel);
        assertThat(panel).containsText("The customer has 2 of these bags");
        assertThat(panel).containsText("Say why it came back");
        units.press("End");
        units.press("Backspace");
        units.pressSequentially("1");
        field(panel, "Why").pressSequentially("the {zip} jams – ç");
        assertThat(Barriers.on(page)).isEmpty();
        book(panel);
        assertThat(row).containsText("1 of 2 into stock: the {zip} jams – ç");
        assertThat(row).containsText("1.00 given back");
    }

    private static void theOtherComesBack(Page page, String number, Locator row) {
        Locator panel = returning(page, number);
        assertThat(field(panel, "How many of").first()).hasValue("1");
        field(panel, "Why").pressSequentially("and this one");
        panel.getByLabel("What became of them").selectOption("SCRAPPED");
        book(panel);
        assertThat(row).containsText("scrapped: and this one");
        assertThat(row).containsText("came back");
    }
}
