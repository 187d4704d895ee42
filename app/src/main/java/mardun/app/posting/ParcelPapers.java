package mardun.app.posting;

import java.util.List;
import mardun.app.paper.Paper;
import mardun.app.settings.Settings;

/** What goes on a parcel and into it: the address, and a card that tells how to press the bag on arrival. */
final class ParcelPapers {

    private static final String STYLE = """
            .label { border: 0.4mm solid #14242d; width: 110mm; padding: 5mm; }
            .from { font-size: 8.5pt; color: #48595f; border-bottom: 0.2mm solid #7f9292; padding-bottom: 1.5mm; }
            .to { font-size: 15pt; line-height: 1.35; margin-top: 4mm; }
            .number { font-size: 8.5pt; color: #48595f; margin-top: 3mm; }
            .card { margin-top: 14mm; border: 0.3mm dashed #7f9292; width: 110mm; padding: 6mm; }
            .card p { font-size: 12pt; line-height: 1.45; margin: 0 0 3mm 0; }
            .card .bags { font-size: 10pt; color: #48595f; }
            """;

    private ParcelPapers() {}

    /**
     * A page with the address label, and below it the card.
     *
     * @param bags what is in the parcel, a line each
     * @param card empty for none
     */
    static byte[] pdf(
            String sender, List<String> address, String number, List<String> bags, String card, Settings current) {
        StringBuilder html = new StringBuilder("<div class=\"label\">");
        if (!sender.isBlank()) {
            html.append("<div class=\"from\">")
                    .append(Paper.plain(
                            String.join(" · ", sender.strip().lines().toList())))
                    .append("</div>");
        }
        html.append("<div class=\"to\">");
        address.stream()
                .filter(line -> !line.isBlank())
                .forEach(line -> html.append(Paper.plain(line.strip())).append("<br/>"));
        html.append("</div>");
        if (!number.isEmpty()) {
            html.append("<div class=\"number\">").append(Paper.plain(number)).append("</div>");
        }
        html.append("</div>");
        if (!card.isBlank()) {
            html.append("<div class=\"card\">");
            card.strip()
                    .lines()
                    .forEach(
                            line -> html.append("<p>").append(Paper.plain(line)).append("</p>"));
            bags.forEach(line -> html.append("<div class=\"bags\">")
                    .append(Paper.plain(line))
                    .append("</div>"));
            html.append("</div>");
        }
        return Paper.pdf(Paper.Size.of(current.unitSystem()), STYLE, html.toString());
    }
}
