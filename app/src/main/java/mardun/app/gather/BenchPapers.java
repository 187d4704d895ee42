package mardun.app.gather;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.batch.BatchWork;
import mardun.app.batch.BatchWork.AtWork;
import mardun.app.gather.GatherViews.GatherItem;
import mardun.app.gather.GatherViews.GatherTool;
import mardun.app.gather.GatherViews.GatherView;
import mardun.app.id.BatchId;
import mardun.app.paper.Paper;
import mardun.app.paper.StepPaper;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedDesign.PromptOf;
import mardun.core.making.Operation;
import mardun.core.making.Step;
import mardun.core.making.WorkOrder.Turn;
import mardun.core.measure.UnitSystem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What lies beside the machine on paper: the gather sheet, a card for each step, a ticket for each bundle. */
@Service
class BenchPapers {

    /** No roll of tickets is longer. */
    private static final int MOST_TICKETS = 500;

    private static final int CODE = 24;

    private static final String STYLE = """
            body { font-size: 13pt; }
            h1 { font-size: 20pt; margin: 0 0 1mm; }
            h2 { font-size: 14pt; margin: 5mm 0 1mm; }
            p { margin: 0 0 2mm; }
            table { width: 100%; border-collapse: collapse; }
            tr { page-break-inside: avoid; }
            td { border-bottom: 0.6pt solid #9aa5a8; padding: 1.6mm 1.5mm; vertical-align: top; }
            .box { width: 6mm; } .box div, .tick { width: 4.6mm; height: 4.6mm; border: 1pt solid #14252e; }
            .num { text-align: right; white-space: nowrap; font-weight: bold; }
            .card .num, .ticket .num { width: 26mm; }
            .soft { color: #48595f; }
            .card { border: 1.2pt solid #14252e; padding: 4mm; margin: 0 0 5mm; page-break-inside: avoid; }
            .card td { border: none; padding: 0; }
            .card h2 { margin: 0 0 1mm; font-size: 17pt; }
            .change { border: 1pt solid #14252e; padding: 1.5mm 2.5mm; margin: 2mm 0; font-weight: bold; }
            .must { font-weight: bold; }
            .ticket { border: 1pt dashed #48595f; padding: 4mm; margin: 0 0 4mm; page-break-inside: avoid; }
            .ticket td { border: none; padding: 0 2mm 0 0; }
            .steps td { font-size: 10.5pt; padding: 0.4mm 2mm 0.4mm 0; }
            """;

    private final BatchWork work;
    private final GatherService gather;
    private final SettingsService settings;

    BenchPapers(BatchWork work, GatherService gather, SettingsService settings) {
        this.work = work;
        this.gather = gather;
        this.settings = settings;
    }

    /**
     * What is to be fetched, with boxes to tick.
     *
     * @param address of the batch at the bench, for the code
     */
    @Transactional(readOnly = true)
    public byte[] gatherSheet(BatchId id, Paper.Size size, String address) {
        GatherView view = gather.of(id);
        StringBuilder html = new StringBuilder("<table><tr><td style=\"border:none\"><h1>Gather: ")
                .append(Paper.plain(view.name()))
                .append("</h1><p>")
                .append(Paper.plain("Batch " + id + (view.forWhat().isBlank() ? "" : " for " + view.forWhat())))
                .append("</p></td><td style=\"border:none\" class=\"num\">")
                .append(Paper.qr(address, CODE))
                .append("</td></tr></table>");
        Map<String, List<GatherItem>> byPlace = view.items().stream()
                .collect(Collectors.groupingBy(GatherItem::place, LinkedHashMap::new, Collectors.toList()));
        byPlace.forEach((place, items) -> {
            html.append("<h2>")
                    .append(Paper.plain(place.isBlank() ? "No place given" : place))
                    .append("</h2><table>");
            items.forEach(item -> row(
                    html,
                    item.name() + (item.isShort() ? " (not enough)" : ""),
                    String.join("; ", item.lots()),
                    item.amount().text()));
            html.append("</table>");
        });
        for (GatherTool tool : view.tools()) {
            html.append("<h2>").append(Paper.plain(tool.kind())).append("</h2><table>");
            tool.which().forEach(which -> row(html, which, "", ""));
            html.append("</table>");
        }
        if (!view.notes().isEmpty()) {
            html.append("<h2>You noted</h2>");
            view.notes()
                    .forEach(note ->
                            html.append("<p>").append(Paper.plain(note.text())).append("</p>"));
        }
        return Paper.pdf(size, STYLE, html.toString());
    }

    private static void row(StringBuilder html, String what, String more, String amount) {
        html.append("<tr><td class=\"box\"><div></div></td><td>")
                .append(Paper.plain(what))
                .append(more.isBlank() ? "" : "<br/><span class=\"soft\">" + Paper.plain(more) + "</span>")
                .append("</td><td class=\"num\">")
                .append(Paper.plain(amount))
                .append("</td></tr>");
    }

    /**
     * A card for each step that is still to be done, in the order of work.
     *
     * @param address of the batch at the bench, for the codes
     */
    @Transactional(readOnly = true)
    public byte[] stepCards(BatchId id, Paper.Size size, String address) {
        AtWork at = open(id);
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        StringBuilder html = new StringBuilder();
        int number = 1;
        for (Turn turn : at.turns()) {
            html.append("<div class=\"card\"><table><tr><td><h2>")
                    .append(Paper.plain(number++ + ". " + turn.step().name()))
                    .append("</h2><p class=\"soft\">")
                    .append(Paper.plain("at " + turn.at().words() + " · "
                            + turn.parts().stream().map(part -> bags(part, at)).collect(Collectors.joining(", "))
                            + " · " + writer.time(turn.step().perUnit()).text() + " each"))
                    .append("</p>");
            if (!turn.changes().isEmpty()) {
                html.append("<div class=\"change\">")
                        .append(Paper.plain("Change: "
                                + turn.changes().stream()
                                        .map(turn.setUp()::words)
                                        .collect(Collectors.joining(", "))))
                        .append("</div>");
            }
            Operation.Part part = turn.parts().get(0);
            SizedDesign sized = at.planned().line(part.line()).plan().sized();
            html.append(StepPaper.prompts(
                            part.step(),
                            i -> sized.prompted().get(new PromptOf(part.step().key(), i)),
                            writer,
                            current.unitSystem() == UnitSystem.INCH))
                    .append(StepPaper.labelled("Check", turn.operation().text(Step::check)))
                    .append(StepPaper.labelled("Caution", turn.operation().text(Step::caution)))
                    .append(StepPaper.labelled("Noted", turn.operation().text(Step::note)));
            html.append("</td><td class=\"num\">")
                    .append(Paper.qr(
                            address + "?step=" + encoded(turn.step().key()) + "&line="
                                    + turn.parts().get(0).line(),
                            CODE))
                    .append("</td></tr></table></div>");
        }
        return Paper.pdf(size, STYLE, html.toString());
    }

    private AtWork open(BatchId id) {
        AtWork at = work.of(id);
        if (at.turns().isEmpty()) {
            throw RefusedException.conflict("Nothing of batch " + id + " is to be done at the bench any more.");
        }
        return at;
    }

    private static String bags(Operation.Part part, AtWork at) {
        PlannedLine line = at.planned().line(part.line());
        String cloth = OuterCloth.of(at.planned(), line).name();
        return part.units() + " × " + line.design().name() + " " + line.sizeWords()
                + (cloth.isEmpty() ? "" : ", " + cloth);
    }

    private static String encoded(String key) {
        return URLEncoder.encode(key, StandardCharsets.UTF_8);
    }

    /**
     * A ticket for each bundle, to be pinned to its bags.
     *
     * @param of how many bags are in each
     * @param address of the batch at the bench, for the codes
     */
    @Transactional(readOnly = true)
    public byte[] bundleTickets(BatchId id, int of, Paper.Size size, String address) {
        AtWork at = open(id);
        StringBuilder html = new StringBuilder();
        int tickets = 0;
        for (PlannedLine line : at.planned().lines()) {
            int all = line.chosen().open();
            for (int from = 1; from <= all; from += of) {
                if (++tickets > MOST_TICKETS) {
                    throw RefusedException.conflict("Bundles of " + of + " would take more than " + MOST_TICKETS
                            + " tickets. Put more bags into a bundle.");
                }
                ticket(html, id, line, at, from, Math.min(all, from + of - 1), address);
            }
        }
        return Paper.pdf(size, STYLE, html.toString());
    }

    private static void ticket(
            StringBuilder html, BatchId id, PlannedLine line, AtWork at, int from, int to, String address) {
        String cloth = OuterCloth.of(at.planned(), line).name();
        html.append("<div class=\"ticket\"><table><tr><td><h2 style=\"margin:0\">")
                .append(Paper.plain(line.design().name() + " " + line.sizeWords()))
                .append("</h2><p>")
                .append(Paper.plain((cloth.isEmpty() ? "" : cloth + " · ") + "batch " + id + ", line " + line.number()))
                .append("</p><p><b>")
                .append(Paper.plain(
                        from == to
                                ? "bag " + from + " of " + line.chosen().open()
                                : "bags " + from + " to " + to + " of "
                                        + line.chosen().open()))
                .append("</b></p></td><td class=\"num\">")
                .append(Paper.qr(address + "?line=" + line.number(), CODE))
                .append("</td></tr></table><table class=\"steps\"><tr>");
        int column = 0;
        for (Turn turn : at.turns()) {
            if (turn.parts().stream().anyMatch(part -> part.line() == line.number())) {
                html.append(column > 0 && column % 2 == 0 ? "</tr><tr>" : "")
                        .append("<td class=\"box\"><div></div></td><td>")
                        .append(Paper.plain(turn.step().name()))
                        .append("</td>");
                column++;
            }
        }
        html.append(column == 0 ? "<td></td>" : "").append("</tr></table></div>");
    }
}
