package mardun.app.design;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.design.DesignViews.CornerView;
import mardun.app.design.DesignViews.DrawingView;
import mardun.app.design.DesignViews.ExtentView;
import mardun.app.design.DesignViews.FillingView;
import mardun.app.design.DesignViews.FinishedMeasure;
import mardun.app.design.DesignViews.FinishedView;
import mardun.app.design.DesignViews.HandleView;
import mardun.app.design.DesignViews.MarkView;
import mardun.app.design.DesignViews.MeasuredView;
import mardun.app.design.DesignViews.NotionView;
import mardun.app.design.DesignViews.PanelView;
import mardun.app.design.DesignViews.PieceView;
import mardun.app.design.DesignViews.RectView;
import mardun.app.design.DesignViews.SizeSheet;
import mardun.app.design.DesignViews.StepTime;
import mardun.app.design.DesignViews.TrimView;
import mardun.app.design.DesignViews.WorkedOut;
import mardun.app.design.TicketView.TicketLine;
import mardun.app.log.Estimates.StepEstimate;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.LengthView;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.BatchPlan.LinePlan;
import mardun.core.batch.Workroom;
import mardun.core.construction.Boxing.Corner;
import mardun.core.costing.UnitCost;
import mardun.core.design.Finding;
import mardun.core.design.Finished;
import mardun.core.design.Panel;
import mardun.core.design.PieceNotes;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedDrawing;
import mardun.core.design.SizedMark;
import mardun.core.design.SizedPanel;
import mardun.core.design.SizedPiece;
import mardun.core.design.SizedTrim;
import mardun.core.estimate.TimeEstimate;
import mardun.core.material.Amount;
import mardun.core.measure.Dimension;
import mardun.core.measure.Extent;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.pricing.UnitPricing;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import org.jspecify.annotations.Nullable;

/** Writes what the core worked out for a design or a batch, in the maker's units. */
public final class SheetWriter {

    private final ViewWriter writer;
    private final Workroom workroom;

    public SheetWriter(ViewWriter writer, Workroom workroom) {
        this.writer = writer;
        this.workroom = workroom;
    }

    SizeSheet size(BatchPlan plan, FormKind form, boolean ownPrice, Optional<PictureView> picture) {
        SizedDesign sized = plan.lines().get(0).sized();
        List<MeasuredView> measurements = new ArrayList<>();
        sized.measurements()
                .forEach((symbol, figure) -> measurements.add(
                        new MeasuredView(symbol, length(figure.value()), writer.text(Value.of(figure.value())))));
        List<WorkedOut> workedOut = new ArrayList<>();
        sized.workedOut()
                .forEach((formula, value) -> workedOut.add(new WorkedOut(
                        formula.text(), formula.place().orElse(null), length(value), writer.text(Value.of(value)))));
        return new SizeSheet(
                sized.size(),
                measurements,
                workedOut,
                sized.pieces().stream().map(this::piece).toList(),
                sized.panels().stream().map(this::panel).toList(),
                sized.trims().stream().map(trim -> trim(trim, sized)).toList(),
                sized.notions().stream()
                        .map(n -> new NotionView(n.notion().name(), n.notion().slot(), n.count()))
                        .toList(),
                sized.fillings().stream()
                        .map(f -> new FillingView(
                                f.filling().name(), f.filling().slot(), writer.amount(Amount.of(f.amount()))))
                        .toList(),
                sized.corner().map(this::corner).orElse(null),
                sized.finished()
                        .map(finished -> finished(finished, form, picture))
                        .orElse(null),
                ticket(plan, plan.lines().get(0), ownPrice).orElse(null),
                missing(plan).orElse(null),
                plan.findings().stream()
                        .filter(f -> !BatchPlan.isOfMaterials(f))
                        .map(writer::finding)
                        .toList(),
                List.of());
    }

    private @Nullable LengthView length(Quantity value) {
        return value.dimension() == Dimension.LENGTH ? writer.length(value.value(), ShownRounding.NEAREST) : null;
    }

    /** The ticket of a line, once every figure of it is known. */
    public Optional<TicketView> ticket(BatchPlan plan, LinePlan line, boolean ownPrice) {
        if (line.cost().isEmpty() || line.pricing().isEmpty()) {
            return Optional.empty();
        }
        UnitCost cost = line.cost().get();
        UnitPricing pricing = line.pricing().get();
        List<TicketLine> lines = cost.lines().stream()
                .map(material -> new TicketLine(material.name(), writer.money(material.cost())))
                .toList();
        return Optional.of(new TicketView(
                line.units(),
                cost.good(),
                writer.time(line.time().perUnit()),
                writer.time(line.time().asBatch()),
                writer.money(cost.material()),
                lines,
                writer.money(cost.labour()),
                writer.money(cost.overhead()),
                cost.spoiled().map(writer::money).orElse(null),
                writer.money(cost.full()),
                writer.money(pricing.suggested()),
                writer.money(pricing.price()),
                ownPrice,
                writer.money(pricing.fees()),
                writer.money(pricing.left()),
                pricing.perHour().map(writer::money).orElse(null),
                writer.money(workroom.hourlyRate()),
                workroom.rates().isOne() ? writer.money(workroom.hourlyRate()) : null));
    }

    /** Why there is no ticket yet. */
    private Optional<String> missing(BatchPlan plan) {
        if (plan.cost().isPresent()) {
            return Optional.empty();
        }
        return plan.findings().stream()
                .filter(Finding::isRefused)
                .findFirst()
                .map(finding -> BatchPlan.isOfMaterials(finding)
                        ? writer.sentence(finding.what()) + " " + writer.sentence(finding.remedy())
                        : "The ticket waits until the design can be sewn.");
    }

    /** How long a step takes, by what was measured. */
    StepTime time(String key, StepEstimate estimate) {
        TimeEstimate each = estimate.each();
        return new StepTime(
                key,
                writer.time(each.each()),
                writer.time(each.atLeast()),
                writer.time(each.atMost()),
                each.bags(),
                each.batches(),
                each.leftOut().size(),
                writer.time(estimate.once().time()),
                estimate.once().batches(),
                writer.time(each.beginning()));
    }

    public PieceView piece(SizedPiece sized) {
        ShownRounding rounding = sized.piece().role().outline();
        double width = PathWriter.millimetres(sized.width().value());
        double height = PathWriter.millimetres(sized.height().value());
        return new PieceView(
                sized.piece().letter(),
                sized.piece().name(),
                sized.piece().role(),
                sized.piece().slot(),
                sized.count(),
                writer.cutSize(sized.width(), rounding),
                writer.cutSize(sized.height(), rounding),
                sized.piece().directional(),
                sized.piece().fold(),
                sized.allowances().entrySet().stream()
                        .filter(edge -> edge.getValue().isPositive())
                        .collect(Collectors.toMap(
                                Map.Entry::getKey, edge -> writer.length(edge.getValue(), ShownRounding.NEAREST))),
                sized.trimTo().map(this::extent).orElse(null),
                PieceNotes.of(sized).stream().map(writer::sentence).toList(),
                new DrawingView(
                        width,
                        height,
                        PathWriter.path(sized.outline()),
                        sized.markedCorners().map(PathWriter::path).orElse(""),
                        PathWriter.seams(sized.outline(), sized.allowances()),
                        sized.trimTo()
                                .map(trimmed -> PathWriter.inTheMiddle(trimmed, width, height))
                                .orElse(""),
                        sized.marks().stream().map(this::mark).toList(),
                        sized.shapes().stream()
                                .flatMap(shape -> shape.drawn().stream())
                                .flatMap(drawn -> drawn.handles().stream())
                                .map(SheetWriter::handle)
                                .toList()));
    }

    private ExtentView extent(Extent extent) {
        return new ExtentView(
                writer.length(extent.width(), ShownRounding.NEAREST),
                writer.length(extent.height(), ShownRounding.NEAREST));
    }

    private static HandleView handle(SizedDrawing.Handle handle) {
        return new HandleView(
                handle.at().x(),
                handle.at().y(),
                handle.from().x(),
                handle.from().y());
    }

    private MarkView mark(SizedMark mark) {
        return new MarkView(
                mark.mark().kind(),
                mark.mark().label(),
                mark.across().map(PathWriter::millimetres).orElse(null),
                mark.down().map(PathWriter::millimetres).orElse(null),
                PathWriter.millimetres(mark.width()),
                PathWriter.millimetres(mark.height()),
                mark.across().map(a -> writer.length(a, ShownRounding.NEAREST)).orElse(null),
                mark.down().map(d -> writer.length(d, ShownRounding.NEAREST)).orElse(null));
    }

    private PanelView panel(SizedPanel panel) {
        double width = PathWriter.millimetres(panel.width().value());
        double height = PathWriter.millimetres(panel.height().value());
        boolean down = panel.panel().direction() == Panel.Direction.DOWN;
        List<RectView> zips = panel.zips().stream()
                .map(zip -> {
                    double from = PathWriter.millimetres(zip.from());
                    double wide = PathWriter.millimetres(zip.to()) - from;
                    return down ? new RectView(0, from, width, wide) : new RectView(from, 0, wide, height);
                })
                .toList();
        return new PanelView(
                panel.panel().letter(),
                panel.panel().name(),
                writer.cutSize(panel.width(), ShownRounding.UP),
                writer.cutSize(panel.height(), ShownRounding.UP),
                panel.trimTo().map(this::extent).orElse(null),
                new DrawingView(
                        width,
                        height,
                        String.format(Locale.ROOT, "M0 0H%.2fV%.2fH0Z", width, height),
                        "",
                        "",
                        panel.trimTo()
                                .map(trimmed -> PathWriter.inTheMiddle(trimmed, width, height))
                                .orElse(""),
                        panel.marks().stream().map(this::mark).toList(),
                        List.of()),
                zips);
    }

    public TrimView trim(SizedTrim sized, SizedDesign design) {
        Optional<Figure<Quantity>> opening =
                Optional.ofNullable(design.openings().get(sized.trim().letter()));
        return new TrimView(
                sized.trim().letter(),
                sized.trim().name(),
                sized.trim().kind(),
                sized.trim().slot(),
                sized.count(),
                writer.cutSize(sized.length(), ShownRounding.NEAREST),
                opening.map(figure -> writer.measured(figure, ShownRounding.DOWN))
                        .orElse(null));
    }

    public CornerView corner(Corner corner) {
        return new CornerView(
                corner.school(),
                corner.school().words(),
                writer.measured(corner.fromSide(), ShownRounding.DOWN),
                writer.measured(corner.fromBase(), ShownRounding.DOWN),
                corner.isSquare());
    }

    public FinishedView finished(Finished finished, FormKind form, Optional<PictureView> picture) {
        List<FinishedMeasure> measures = new ArrayList<>();
        labelled(finished, form)
                .forEach((label, figure) ->
                        measures.add(new FinishedMeasure(label, writer.measured(figure, ShownRounding.NEAREST))));
        finished.across()
                .ifPresent(across ->
                        measures.add(new FinishedMeasure("Top edge", writer.measured(across, ShownRounding.NEAREST))));
        finished.below()
                .ifPresent(below ->
                        measures.add(new FinishedMeasure("At the V", writer.measured(below, ShownRounding.NEAREST))));
        return new FinishedView(measures, picture.orElse(null));
    }

    /** A bag's width, height and depth under the names that its form gives them; what it hasn't is left out. */
    private static Map<String, Figure<Quantity>> labelled(Finished finished, FormKind form) {
        List<Figure<Quantity>> figures = List.of(finished.width(), finished.height(), finished.depth());
        Map<String, Figure<Quantity>> labelled = new LinkedHashMap<>();
        for (int i = 0; i < figures.size(); i++) {
            String label = form.finishedLabels().get(i);
            boolean flat = i == 2 && figures.get(i).value().value().signum() == 0;
            if (!label.isEmpty() && !flat) {
                labelled.put(label, figures.get(i));
            }
        }
        return labelled;
    }

    /** Width, height and depth of a finished bag, as far as its form has them. */
    List<LengthView> measures(Finished finished, FormKind form) {
        return labelled(finished, form).values().stream()
                .map(figure -> writer.length(figure.value().value(), ShownRounding.NEAREST))
                .toList();
    }
}
