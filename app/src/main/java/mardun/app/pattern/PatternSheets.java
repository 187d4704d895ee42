package mardun.app.pattern;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.design.BagSvg;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignDocument.SlotRow;
import mardun.app.design.DesignService;
import mardun.app.design.DesignService.MadeDesign;
import mardun.app.design.DesignViews.DesignSheet;
import mardun.app.design.DesignViews.DesignView;
import mardun.app.design.DesignViews.DrawnSteps;
import mardun.app.design.DesignViews.FinishedView;
import mardun.app.design.DesignViews.PieceView;
import mardun.app.design.DesignViews.PreviewedDesign;
import mardun.app.design.DesignViews.SizeSheet;
import mardun.app.design.SeamView;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.paper.Paper;
import mardun.app.paper.StepPaper;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.ChosenBatch;
import mardun.app.plan.ChosenLine;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.LengthView;
import mardun.app.template.TemplateViews.PaperKind;
import mardun.app.template.Templates;
import mardun.core.batch.Need;
import mardun.core.batch.PiecesMoved;
import mardun.core.design.Design;
import mardun.core.design.Licences;
import mardun.core.design.OpenChoice;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedDesign.PromptOf;
import mardun.core.design.Sizing;
import mardun.core.design.Source;
import mardun.core.making.Step;
import mardun.core.measure.ShownRounding;
import mardun.core.measure.UnitSystem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A design on paper, for whoever sews it without Mardun: the finished bag, what it takes for one and for many, what is cut, how its
 * templates lie on their pages, and its steps with drawings, checks and cautions.
 */
@Service
class PatternSheets {

    private static final String STYLE = """
            body { font-size: 10.5pt; }
            h1 { font-size: 22pt; margin: 0 0 1mm; }
            h2 { font-size: 13pt; margin: 6mm 0 1.5mm; border-bottom: 1.2pt dashed #14252e; padding-bottom: 1mm; }
            p { margin: 0 0 1.2mm; }
            table { width: 100%; border-collapse: collapse; }
            tr, .step { page-break-inside: avoid; }
            td, th { border-bottom: 0.5pt solid #9aa5a8; padding: 1.2mm 1.5mm; vertical-align: middle; text-align: left; }
            th { font-size: 9pt; color: #48595f; }
            .plain td { border: none; vertical-align: top; padding: 0 4mm 0 0; }
            .num { white-space: nowrap; font-weight: bold; }
            .soft { color: #48595f; }
            .letter { font-weight: bold; font-size: 13pt; width: 8mm; }
            .drawn { width: 26mm; text-align: center; }
            .step { padding: 2mm 0; border-bottom: 0.5pt solid #9aa5a8; }
            .step h3 { font-size: 12pt; margin: 0 0 0.8mm; }
            .must { font-weight: bold; }
            """;

    private static final double BAG_ACROSS = 78;
    private static final double BAG_UP = 62;
    private static final double PIECE = 20;
    private static final double SEAM_ACROSS = 66;
    private static final double SEAM_UP = 26;
    private static final double MAP_ACROSS = 110;
    private static final double MAP_UP = 60;

    private final DesignService designs;
    private final BatchPlans plans;
    private final Templates templates;
    private final SettingsService settings;

    PatternSheets(DesignService designs, BatchPlans plans, Templates templates, SettingsService settings) {
        this.designs = designs;
        this.plans = plans;
        this.templates = templates;
        this.settings = settings;
    }

    /**
     * The sheet as a PDF file.
     *
     * @param place of the size among the design's sizes, from 0
     * @param units for how many bags the materials are told beside those for one
     * @param picks keys of alternatives that are taken where the design leaves something open
     * @throws RefusedException if there is no such design or size, or it can't be sewn as it is
     */
    @Transactional(readOnly = true)
    public byte[] pdf(DesignId id, int place, int units, Paper.Size size, List<String> picks) {
        Made made = made(id, picks);
        DesignDocument document = made.its().document();
        if (place >= document.sizes().size()) {
            throw RefusedException.missing("“" + document.name() + "” has "
                    + document.sizes().size() + " sizes, and none at place " + place + ".");
        }
        if (!made.sheet().canBeSewn()) {
            throw RefusedException.conflict(
                    "“" + document.name() + "” can't be sewn as it is; its checks say why. Put that right first.");
        }
        Settings current = settings.current();
        SizeSheet sheet = made.sheet().sizes().get(place);
        Design design = made.its().design();
        StringBuilder html = new StringBuilder();
        head(html, made.its(), sheet, current);
        materials(html, made, place, units, current);
        cutList(html, document, sheet, current);
        if (!sheet.pieces().isEmpty()) {
            html.append("<h2>Templates</h2><p class=\"soft\">")
                    .append(Paper.plain("Their pages lie like this; print them at 100 %."))
                    .append("</p>")
                    .append(PatternDrawings.pages(
                            templates.onPages(
                                    id, place, size == Paper.Size.A4 ? PaperKind.A4 : PaperKind.LETTER, picks),
                            MAP_ACROSS,
                            MAP_UP));
        }
        steps(html, design, Sizing.of(design, place), document, sheet.size(), current);
        return Paper.pdf(size, STYLE, html.toString());
    }

    /** A design with some alternatives taken, and what follows from it. */
    private record Made(DesignId id, int revision, Map<String, String> picks, MadeDesign its, DesignSheet sheet) {}

    private Made made(DesignId id, List<String> alternatives) {
        DesignView view = designs.get(id);
        Map<String, String> picks = OpenChoice.picks(view.document().leftOpen(), alternatives);
        MadeDesign its = designs.made(id, view.revision(), picks);
        return new Made(
                id,
                view.revision(),
                picks,
                its,
                its.picked().isEmpty() ? view.sheet() : designs.preview(new PreviewedDesign(its.document(), id)));
    }

    private static boolean inches(Settings current) {
        return current.unitSystem() == UnitSystem.INCH;
    }

    private static void head(StringBuilder html, MadeDesign made, SizeSheet sheet, Settings current) {
        DesignDocument document = made.document();
        html.append("<table class=\"plain\"><tr><td><h1>")
                .append(Paper.plain(document.name()))
                .append("</h1><p class=\"soft\">")
                .append(Paper.plain(joined(" · ", document.sort(), sheet.size(), made.picked())))
                .append("</p>");
        Optional<FinishedView> finished = Optional.ofNullable(sheet.finished());
        finished.ifPresent(its -> its.measures()
                .forEach(measure -> html.append("<p>")
                        .append(Paper.plain(measure.label()))
                        .append(" <b>")
                        .append(Paper.plain(Paper.both(measure.figure().value(), inches(current))))
                        .append("</b></p>")));
        paragraph(html, "", document.note());
        Source source = document.source();
        if (source.licence() != Source.Licence.OWN) {
            paragraph(
                    html, "", joined(" · ", source.designer(), source.licence().words(), source.credit()));
        }
        Licences.againstKits(source).ifPresent(why -> paragraph(html, "must", why.words()));
        if (document.forChildren()) {
            paragraph(html, "must", "It is meant for children: what the local rules ask of such things holds for it.");
        }
        html.append("</td><td style=\"width:80mm\">")
                .append(finished.map(FinishedView::picture)
                        .map(picture -> BagSvg.of(picture, BAG_ACROSS, BAG_UP))
                        .orElse(""))
                .append("</td></tr></table>");
    }

    private static String joined(String between, String... parts) {
        return List.of(parts).stream().filter(part -> !part.isBlank()).collect(Collectors.joining(between));
    }

    private static void paragraph(StringBuilder html, String style, String text) {
        if (!text.isBlank()) {
            html.append("<p class=\"")
                    .append(style)
                    .append("\">")
                    .append(Paper.plain(text))
                    .append("</p>");
        }
    }

    private void materials(StringBuilder html, Made made, int place, int units, Settings current) {
        DesignDocument document = made.its().document();
        if (document.slots().isEmpty()) {
            return;
        }
        Map<String, Need> one = needs(made, place, 1, current);
        Map<String, Need> many = needs(made, place, units, current);
        html.append("<h2>Materials</h2><table><tr><th></th><th></th><th>for 1</th>")
                .append(units > 1 ? "<th>for " + units + "</th>" : "")
                .append("</tr>");
        for (SlotRow slot : document.slots()) {
            Optional<Need> need =
                    Optional.ofNullable(slot.materialId()).map(MaterialId::key).map(one::get);
            html.append("<tr><td>")
                    .append(Paper.plain(slot.label()))
                    .append("</td><td class=\"soft\">")
                    .append(Paper.plain(need.map(its -> supplied(its, current)).orElse("as you like; none was chosen")))
                    .append("</td>")
                    .append(cell(need, current));
            if (units > 1) {
                html.append(cell(
                        Optional.ofNullable(slot.materialId())
                                .map(MaterialId::key)
                                .map(many::get),
                        current));
            }
            html.append("</tr>");
        }
        html.append("</table>");
    }

    /** What it is cut from: lengths of cloth are of its own width. */
    private static String supplied(Need need, Settings current) {
        return need.supply().name()
                + need.supply()
                        .usableWidth()
                        .map(width -> ", "
                                + Paper.both(current.writer().length(width, ShownRounding.NEAREST), inches(current))
                                + " wide")
                        .orElse("");
    }

    private static String cell(Optional<Need> need, Settings current) {
        return "<td class=\"num\">"
                + need.map(its -> Paper.plain(text(current.writer().amount(its.amount()), current)))
                        .orElse("")
                + "</td>";
    }

    private static String text(AmountView amount, Settings current) {
        return amount.length() == null ? amount.text() : Paper.both(amount.length(), inches(current));
    }

    /** What so many bags take of the usual materials, by the materials' keys; a material that fills two slots is told once. */
    private Map<String, Need> needs(Made made, int place, int units, Settings current) {
        DesignDocument document = made.its().document();
        Map<String, MaterialId> materials = new LinkedHashMap<>();
        document.slots().stream()
                .filter(slot -> slot.materialId() != null)
                .forEach(slot -> materials.put(slot.key(), slot.materialId()));
        String size = document.sizes().get(place);
        ChosenLine line = new ChosenLine(
                1,
                made.id(),
                made.revision(),
                document.sizeKey(size),
                size,
                units,
                units,
                made.picks(),
                materials,
                Optional.empty(),
                0,
                0,
                0,
                Map.of(),
                PiecesMoved.NONE);
        ChosenBatch batch = new ChosenBatch(null, List.of(line), List.of(), Optional.empty(), false);
        return plans.of(batch, current).plan().needs().stream()
                .collect(Collectors.toMap(
                        need -> need.supply().key(), Function.identity(), (a, b) -> a, LinkedHashMap::new));
    }

    private static void cutList(StringBuilder html, DesignDocument document, SizeSheet sheet, Settings current) {
        Map<String, String> slots =
                document.slots().stream().collect(Collectors.toMap(SlotRow::key, SlotRow::label, (a, b) -> a));
        html.append("<h2>Cut</h2><table><tr><th></th><th></th><th></th><th>how many</th><th>cut size</th></tr>");
        for (PieceView piece : sheet.pieces()) {
            row(
                    html,
                    PatternDrawings.piece(piece, PIECE, PIECE),
                    piece.letter(),
                    piece.name(),
                    Stream.concat(Stream.of(slots.getOrDefault(piece.slot(), "")), piece.notes().stream())
                            .toList(),
                    piece.count(),
                    extent(piece, inches(current)),
                    extent(piece, !inches(current)));
        }
        sheet.trims()
                .forEach(trim -> row(
                        html,
                        "",
                        trim.letter(),
                        trim.name(),
                        List.of(slots.getOrDefault(trim.slot(), "")),
                        trim.count(),
                        own(trim.length().value(), inches(current)),
                        own(trim.length().value(), !inches(current))));
        sheet.notions()
                .forEach(notion -> row(
                        html,
                        "",
                        "",
                        notion.name(),
                        List.of(slots.getOrDefault(notion.slot(), "")),
                        notion.count(),
                        "",
                        ""));
        sheet.fillings()
                .forEach(filling -> row(
                        html,
                        "",
                        "",
                        filling.name(),
                        List.of(slots.getOrDefault(filling.slot(), "")),
                        1,
                        filling.amount().text(),
                        ""));
        html.append("</table>");
    }

    private static String own(LengthView length, boolean inches) {
        return inches ? length.inch() : length.metric();
    }

    private static String extent(PieceView piece, boolean inches) {
        return own(piece.width().value(), inches) + " × " + own(piece.height().value(), inches);
    }

    private static void row(
            StringBuilder html,
            String drawing,
            String letter,
            String name,
            List<String> more,
            long count,
            String size,
            String otherUnits) {
        html.append("<tr><td class=\"drawn\">")
                .append(drawing)
                .append("</td><td class=\"letter\">")
                .append(Paper.plain(letter))
                .append("</td><td>")
                .append(Paper.plain(name));
        more.stream()
                .filter(line -> !line.isBlank() && !line.equalsIgnoreCase(name))
                .forEach(line -> html.append("<br/><span class=\"soft\">")
                        .append(Paper.plain(line))
                        .append("</span>"));
        html.append("</td><td class=\"num\">")
                .append(count)
                .append("</td><td class=\"num\">")
                .append(Paper.plain(size))
                .append("<br/><span class=\"soft\">")
                .append(Paper.plain(otherUnits))
                .append("</span></td></tr>");
    }

    private void steps(
            StringBuilder html,
            Design design,
            SizedDesign sized,
            DesignDocument document,
            String size,
            Settings current) {
        if (design.steps().isEmpty()) {
            return;
        }
        Map<String, SeamView> seams = designs.seams(new DrawnSteps(document, size)).stream()
                .collect(Collectors.toMap(SeamView::step, Function.identity(), (a, b) -> a));
        html.append("<h2>Steps</h2>");
        int number = 1;
        for (Step step : design.steps()) {
            SeamView seam = seams.get(step.key());
            boolean isDrawn = seam != null && !seam.layers().isEmpty();
            html.append("<div class=\"step\"><table class=\"plain\"><tr><td><h3>")
                    .append(Paper.plain(number++ + ". " + step.name()))
                    .append("</h3>");
            paragraph(html, "soft", joined(" · ", "at the " + step.station().words(), setUp(step)));
            html.append(StepPaper.prompts(
                            step,
                            i -> sized.prompted().get(new PromptOf(step.key(), i)),
                            current.writer(),
                            inches(current)))
                    .append(StepPaper.labelled("Check", step.check()))
                    .append(StepPaper.labelled("Caution", step.caution()));
            paragraph(html, "", step.note());
            html.append("</td>")
                    .append(
                            isDrawn
                                    ? "<td style=\"width:70mm\">" + PatternDrawings.seam(seam, SEAM_ACROSS, SEAM_UP)
                                            + (seam.lies().isEmpty()
                                                    ? ""
                                                    : "<p>" + Paper.plain(String.join(", ", seam.lies())) + "</p>")
                                            + "</td>"
                                    : "")
                    .append("</tr></table></div>");
        }
    }

    private static String setUp(Step step) {
        return step.setUp().on().keySet().stream()
                .sorted()
                .map(step.setUp()::words)
                .filter(words -> !words.isBlank())
                .collect(Collectors.joining(", "));
    }
}
