package mardun.app.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.app.design.DesignViews.CornerDrawing;
import mardun.app.design.DesignViews.CornerView;
import mardun.app.design.DesignViews.DrawingView;
import mardun.app.design.DesignViews.FinishedView;
import mardun.app.design.DesignViews.MeasuredView;
import mardun.app.design.DesignViews.PieceView;
import mardun.app.design.DesignViews.SizeSheet;
import mardun.app.design.DesignViews.TrimView;
import mardun.app.design.TicketView.TicketLine;
import mardun.app.show.ViewWriter;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.Workroom;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.Boxing.Corner;
import mardun.core.construction.BoxingSchool;
import mardun.core.costing.UnitCost;
import mardun.core.design.BoxedBag;
import mardun.core.design.Finding;
import mardun.core.design.Finished;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedPiece;
import mardun.core.design.SizedTrim;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.pricing.UnitPricing;

/** Writes what the core worked out for a design or a batch, in the maker's units. */
public final class SheetWriter {

    private static final double NM_PER_MM = LengthUnit.MILLIMETRE.nanometres();

    private final ViewWriter writer;
    private final Workroom workroom;

    public SheetWriter(ViewWriter writer, Workroom workroom) {
        this.writer = writer;
        this.workroom = workroom;
    }

    SizeSheet size(BatchPlan plan, BoxedBag bag) {
        SizedDesign sized = plan.sized();
        List<MeasuredView> measurements = new ArrayList<>();
        sized.measurements()
                .forEach((symbol, figure) -> measurements.add(
                        new MeasuredView(symbol, writer.length(figure.value().value(), ShownRounding.NEAREST))));
        return new SizeSheet(
                sized.size(),
                measurements,
                sized.pieces().stream().map(p -> piece(p, sized, bag)).toList(),
                sized.trims().stream().map(this::trim).toList(),
                sized.corner().map(this::corner).orElse(null),
                sized.finished().map(this::finished).orElse(null),
                ticket(plan, false).orElse(null),
                missing(plan).orElse(null),
                plan.findings().stream()
                        .filter(f -> !f.place().startsWith("slots."))
                        .map(writer::finding)
                        .toList());
    }

    /** The ticket, once every figure of it is known. */
    public Optional<TicketView> ticket(BatchPlan plan, boolean ownPrice) {
        if (plan.cost().isEmpty() || plan.pricing().isEmpty()) {
            return Optional.empty();
        }
        UnitCost cost = plan.cost().get();
        UnitPricing pricing = plan.pricing().get();
        List<TicketLine> lines = new ArrayList<>();
        for (int i = 0; i < plan.needs().size(); i++) {
            lines.add(new TicketLine(
                    plan.needs().get(i).supply().name(),
                    writer.money(cost.lines().get(i))));
        }
        return Optional.of(new TicketView(
                plan.units(),
                writer.time(plan.time().perUnit()),
                writer.time(plan.time().asBatch()),
                writer.money(cost.material()),
                lines,
                writer.money(cost.labour()),
                writer.money(cost.overhead()),
                writer.money(cost.full()),
                writer.money(pricing.suggested()),
                writer.money(pricing.price()),
                ownPrice,
                writer.money(pricing.fees()),
                writer.money(pricing.left()),
                pricing.perHour().map(writer::money).orElse(null),
                writer.money(workroom.hourlyRate())));
    }

    /** Why there is no ticket yet. */
    private Optional<String> missing(BatchPlan plan) {
        if (plan.cost().isPresent()) {
            return Optional.empty();
        }
        return plan.findings().stream()
                .filter(Finding::isRefused)
                .findFirst()
                .map(finding -> finding.place().startsWith("slots.")
                        ? writer.sentence(finding.what()) + " " + writer.sentence(finding.remedy())
                        : "The ticket waits until the design can be sewn.");
    }

    public PieceView piece(SizedPiece sized, SizedDesign design, BoxedBag bag) {
        ShownRounding rounding = sized.piece().role().outline();
        return new PieceView(
                sized.piece().letter(),
                sized.piece().name(),
                sized.piece().role(),
                sized.piece().slot(),
                sized.piece().perUnit(),
                writer.cutSize(sized.width(), rounding),
                writer.cutSize(sized.height(), rounding),
                sized.piece().directional(),
                drawing(sized, design, bag));
    }

    public TrimView trim(SizedTrim sized) {
        return new TrimView(
                sized.trim().name(),
                sized.trim().slot(),
                sized.trim().perUnit(),
                writer.cutSize(sized.length(), ShownRounding.NEAREST));
    }

    public CornerView corner(Corner corner) {
        return new CornerView(
                corner.school(),
                corner.school().words(),
                writer.measured(corner.fromSide(), ShownRounding.DOWN),
                writer.measured(corner.fromBase(), ShownRounding.DOWN),
                corner.isSquare());
    }

    public FinishedView finished(Finished finished) {
        return new FinishedView(
                writer.measured(finished.width(), ShownRounding.NEAREST),
                writer.measured(finished.height(), ShownRounding.NEAREST),
                writer.measured(finished.depth(), ShownRounding.NEAREST),
                millimetres(finished.width().value()),
                millimetres(finished.height().value()),
                millimetres(finished.depth().value()));
    }

    private static DrawingView drawing(SizedPiece sized, SizedDesign design, BoxedBag bag) {
        Optional<CornerDrawing> corner =
                sized.piece().boxed() ? design.corner().map(c -> cornerDrawing(c, design, bag)) : Optional.empty();
        return new DrawingView(
                millimetres(sized.width().value()),
                millimetres(sized.height().value()),
                corner.orElse(null),
                bag.school().isCutOut(),
                bag.base() == BaseEdge.FOLD);
    }

    /** Where the corner's lines lie, from the raw edges: those that are measured from the stitching lie deeper. */
    private static CornerDrawing cornerDrawing(Corner corner, SizedDesign design, BoxedBag bag) {
        double fromSide = millimetres(corner.fromSide().value());
        double fromBase = millimetres(corner.fromBase().value());
        if (corner.school().isCutOut() || corner.school() == BoxingSchool.SNIPPED) {
            return new CornerDrawing(fromSide, fromBase);
        }
        double base = bag.base() == BaseEdge.FOLD ? 0 : measured(design, bag.baseSeam());
        return new CornerDrawing(fromSide + measured(design, bag.sideSeam()), fromBase + base);
    }

    private static double measured(SizedDesign design, String symbol) {
        return Optional.ofNullable(design.measurements().get(symbol))
                .map(figure -> millimetres(figure.value()))
                .orElse(0.0);
    }

    private static double millimetres(Length length) {
        return length.nanometres() / NM_PER_MM;
    }

    private static double millimetres(Quantity quantity) {
        return quantity.value().doubleValue() / NM_PER_MM;
    }
}
