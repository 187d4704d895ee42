package mardun.app.quote;

import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.design.BagSvg;
import mardun.app.paper.Paper;
import mardun.app.problem.Days;
import mardun.app.quote.GivenPaper.GivenLine;
import mardun.app.quote.GivenPaper.Other;
import mardun.app.quote.QuoteViews.QuoteForm;
import mardun.app.settings.Settings;
import mardun.app.show.ViewWriter;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/** A quote on paper, as it was given to the customer. */
final class QuoteSheet {

    private static final String STYLE = """
            .heading { font-size: 10pt; white-space: pre-line; }
            .heading b { font-size: 14pt; }
            h1 { font-size: 20pt; margin: 14mm 0 1mm 0; }
            p { font-size: 10.5pt; margin: 1.5mm 0; line-height: 1.4; }
            .soft { color: #48595f; }
            table { width: 100%; border-collapse: collapse; margin: 6mm 0 4mm 0; font-size: 10.5pt; }
            th { text-align: left; font-size: 9pt; color: #48595f; border-bottom: 0.4mm solid #14242d; padding: 1.2mm 1.5mm; }
            td { border-bottom: 0.2mm solid #c9d3d2; padding: 1.8mm 1.5mm; vertical-align: top; }
            .num { text-align: right; }
            .bag { width: 26mm; }
            .total td { border-bottom: none; font-weight: bold; font-size: 12pt; }
            .more td { border-bottom: none; }
            .terms { margin-top: 8mm; border-top: 0.3mm dashed #7f9292; padding-top: 3mm; font-size: 9.5pt; }
            """;

    private static final double BAG_ACROSS = 22;
    private static final double BAG_UP = 20;

    private QuoteSheet() {}

    static byte[] pdf(long id, int number, GivenPaper paper, Settings current) {
        ViewWriter writer = current.writer();
        QuoteForm form = paper.form();
        CurrencyUnit currency = CurrencyUnit.of(paper.currency());
        StringBuilder html = new StringBuilder();
        heading(html, paper.heading());
        html.append("<h1>Quote ").append(id).append("</h1><p class=\"soft\">");
        html.append(Paper.plain((number > 1 ? "Version " + number + ", " : "") + "given on "
                        + Days.words(paper.givenOn()) + ", valid until " + Days.words(paper.validUntil())))
                .append("</p><p>For <b>")
                .append(Paper.plain(form.who()))
                .append(
                        "</b></p><table><tr><th colspan=\"2\">Bag</th><th class=\"num\">How many</th><th class=\"num\">Each</th>")
                .append("<th class=\"num\">Together</th></tr>");
        for (GivenLine line : paper.lines()) {
            line(html, line, currency, writer);
        }
        row(html, "total", "Total, " + paper.currency(), money(paper.totalMinor(), currency, writer));
        if (paper.depositMinor() > 0) {
            row(html, "more", "Deposit, to be paid with the order", money(paper.depositMinor(), currency, writer));
            row(html, "more", "To be paid when it is handed over", money(paper.restMinor(), currency, writer));
        }
        html.append("</table>");
        if (form.by() != null) {
            html.append("<p>Wanted by <b>").append(Days.words(form.by())).append("</b>.</p>");
        }
        if (paper.likely() != null) {
            html.append("<p>Ordered today, it will most likely be ready by <b>")
                    .append(Days.words(paper.likely()))
                    .append("</b>.</p>");
        }
        form.note()
                .strip()
                .lines()
                .forEach(line -> html.append("<p>").append(Paper.plain(line)).append("</p>"));
        if (!paper.terms().isEmpty()) {
            html.append("<p class=\"terms soft\">")
                    .append(Paper.plain(paper.terms()))
                    .append("</p>");
        }
        return Paper.pdf(Paper.Size.of(writer.system()), STYLE, html.toString());
    }

    private static void heading(StringBuilder html, String heading) {
        String[] lines = heading.split("\\R");
        html.append("<div class=\"heading\"><b>").append(Paper.plain(lines[0])).append("</b>");
        for (int i = 1; i < lines.length; i++) {
            html.append("<br/>").append(Paper.plain(lines[i]));
        }
        html.append("</div>");
    }

    private static void line(StringBuilder html, GivenLine line, CurrencyUnit currency, ViewWriter writer) {
        html.append("<tr><td class=\"bag\">");
        if (line.picture() != null) {
            html.append(BagSvg.of(line.picture(), BAG_ACROSS, BAG_UP));
        }
        html.append("</td><td><b>").append(Paper.plain(line.about())).append("</b>");
        if (!line.cloth().isEmpty()) {
            html.append("<br/>").append(Paper.plain(line.cloth()));
        }
        if (!line.wish().isEmpty()) {
            html.append("<br/>").append(Paper.plain(line.wish()));
        }
        Map<Integer, Other> prices = line.byNumber();
        if (prices.size() > 1) {
            html.append("<br/><span class=\"soft\">")
                    .append(Paper.plain(prices.values().stream()
                            .map(one -> one.units() + " at " + money(one.paysMinor(), currency, writer) + " each")
                            .collect(Collectors.joining("; "))))
                    .append("</span>");
        }
        html.append("</td><td class=\"num\">")
                .append(line.units())
                .append("</td><td class=\"num\">")
                .append(money(line.paysMinor(), currency, writer))
                .append("</td><td class=\"num\">")
                .append(money(line.togetherMinor(), currency, writer))
                .append("</td></tr>");
    }

    private static void row(StringBuilder html, String look, String words, String amount) {
        html.append("<tr class=\"")
                .append(look)
                .append("\"><td colspan=\"4\">")
                .append(Paper.plain(words))
                .append("</td><td class=\"num\">")
                .append(amount)
                .append("</td></tr>");
    }

    private static String money(long minor, CurrencyUnit currency, ViewWriter writer) {
        return writer.money(Money.ofMinor(currency, minor)).amount();
    }
}
