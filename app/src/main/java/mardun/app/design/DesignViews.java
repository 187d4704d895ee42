package mardun.app.design;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import mardun.app.show.Views.FindingView;
import mardun.app.show.Views.LengthFigure;
import mardun.app.show.Views.LengthView;
import mardun.core.construction.BoxingSchool;
import mardun.core.design.Role;
import org.jspecify.annotations.Nullable;

/** What the interface gets to see of designs. */
public final class DesignViews {

    private DesignViews() {}

    /** A stored design with all that follows from it. */
    public record DesignView(long id, long version, DesignDocument document, DesignSheet sheet) {}

    /** A design in the list. */
    public record DesignLine(
            long id,
            String name,
            List<String> sizes,
            @Nullable FinishedView finished,
            @Nullable TicketView ticket) {}

    /** A design begun from a pattern that ships with the application. */
    public record NewDesign(
            @NotNull UUID requestId, @NotNull String name) {}

    /** A changed design, made from the stored one with the given version. */
    public record ChangedDesign(
            long version, @NotNull @Valid DesignDocument document) {}

    /** A design being edited. */
    public record PreviewedDesign(@NotNull @Valid DesignDocument document) {}

    /** All that follows from a design, for each of its sizes. */
    public record DesignSheet(List<SizeSheet> sizes, boolean canBeSewn) {}

    /** One size: what could be worked out, and what was found. */
    public record SizeSheet(
            String size,
            List<MeasuredView> measurements,
            List<PieceView> pieces,
            List<TrimView> trims,
            @Nullable CornerView corner,
            @Nullable FinishedView finished,
            @Nullable TicketView ticket,
            @Nullable String ticketMissing,
            List<FindingView> findings) {}

    /** A measurement's value, read back in both units. */
    public record MeasuredView(String symbol, LengthView value) {}

    /** A piece with its cut size. */
    public record PieceView(
            String letter,
            String name,
            Role role,
            String slot,
            int perUnit,
            LengthFigure width,
            LengthFigure height,
            boolean directional,
            DrawingView drawing) {}

    /**
     * A piece to scale, in millimetres.
     *
     * @param corner what is cut away or marked at the bottom corners
     * @param cutAway the corners are cut before sewing; else only marked
     * @param atBothEnds the piece is folded at the base, so the corners lie in the middle of its sides
     */
    public record DrawingView(
            double width, double height, @Nullable CornerDrawing corner, boolean cutAway, boolean atBothEnds) {}

    /** A corner to scale, in millimetres from the raw edges. */
    public record CornerDrawing(double fromSide, double fromBase) {}

    public record TrimView(String name, String slot, int perUnit, LengthFigure length) {}

    /** What is measured at a boxed corner. */
    public record CornerView(
            BoxingSchool school, String words, LengthFigure fromSide, LengthFigure fromBase, boolean square) {}

    /** What the finished bag measures, with millimetres for drawing it. */
    public record FinishedView(
            LengthFigure width,
            LengthFigure height,
            LengthFigure depth,
            double widthMm,
            double heightMm,
            double depthMm) {}
}
