package mardun.app.design;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.design.PictureView.PictureCloth;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.FindingView;
import mardun.app.show.Views.LengthFigure;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.TimeView;
import mardun.core.construction.BoxingSchool;
import mardun.core.design.BagPart;
import mardun.core.design.BagParts;
import mardun.core.design.ClothFold;
import mardun.core.design.Mark;
import mardun.core.design.Role;
import mardun.core.design.TrimNeed;
import org.jspecify.annotations.Nullable;

/** What the interface gets to see of designs. */
public final class DesignViews {

    private DesignViews() {}

    /**
     * A stored design with all that follows from it.
     *
     * @param revision counts its changes
     * @param putAway it is kept with its batches and offered nowhere
     */
    public record DesignView(
            DesignId id, long version, int revision, boolean putAway, DesignDocument document, DesignSheet sheet) {}

    /** What a design was after one of its changes. */
    public record RevisionView(DesignId id, int revision, Instant madeAt, DesignDocument document) {}

    /** A design with the number of its last change. */
    public record NumberedDesign(Long id, Integer revision) {}

    /** How far a design is: the number of its last change, and when that was. */
    public record LatestRevision(String name, int revision, Instant changedAt) {}

    /**
     * A design in the list, with the figures of its middle size.
     *
     * @param measures width, height and depth of the finished bag, as far as it has them
     * @param photo where the photo is that stands for it; absent where there is none
     * @param cost of one unit; absent while materials aren't chosen
     * @param price at the stall
     * @param perHour what is left for an hour
     * @param toLookAt how many findings nobody has set aside
     */
    public record DesignLine(
            DesignId id,
            String name,
            String sort,
            List<String> sizes,
            List<LengthView> measures,
            @Nullable PictureView picture,
            @Nullable String photo,
            @Nullable MoneyView cost,
            @Nullable MoneyView price,
            @Nullable MoneyView perHour,
            int toLookAt) {}

    /**
     * A photo of what was made of a design.
     *
     * @param clothId absent for whatever cloth
     * @param address where it is asked for
     */
    public record DesignPhotoView(long id, @Nullable MaterialId clothId, String cloth, String address) {}

    /** What was on the machine in the steps of all designs, those used most first; each however it is written once. */
    public record SetUpWords(
            List<String> needle,
            List<String> thread,
            List<String> foot,
            List<String> stitch,
            List<String> bobbin,
            List<String> length,
            List<String> width,
            List<String> position,
            List<String> tension,
            List<String> heat) {}

    /**
     * A size of a design by its name.
     *
     * @param name of the design, and of the size where it has several
     */
    public record SizeName(DesignId id, String sizeKey, String name) {}

    /** A design by its name alone, to choose from. */
    public record DesignName(DesignId id, String name) {

        public DesignName(long id, String name) {
            this(new DesignId(id), name);
        }
    }

    /**
     * A new design.
     *
     * @param copyOf the design to begin from; absent to begin from a pattern
     * @param pattern the pattern to begin from: {@code pouch} or {@code blank}
     */
    public record NewDesign(
            @NotNull UUID requestId,
            @NotNull String name,
            @Nullable DesignId copyOf,
            @Nullable String pattern) {}

    /** A changed design, made from the stored one with the given version. */
    public record ChangedDesign(
            long version, @NotNull @Valid DesignDocument document) {}

    /** A design being edited. */
    public record PreviewedDesign(
            @NotNull @Valid DesignDocument document,
            @Nullable DesignId id) {}

    /** A design whose steps are to be drawn, in one of its sizes. */
    public record DrawnSteps(
            @NotNull @Valid DesignDocument document,
            @NotNull String size) {}

    /** A design whose bags are made so many an hour, all steps together. */
    public record PacedDesign(
            @NotNull @Valid DesignDocument document,
            @NotNull String anHour) {}

    /**
     * A size to be copied; changes are lengths with a sign, by the symbols of the measurements.
     *
     * @param name of the new size; several with commas between make several, each copied from the one before it
     */
    public record NewSize(
            @NotNull @Valid DesignDocument document,
            int copyOf,
            @NotNull String name,
            @NotNull List<@NotNull @Valid SizeChange> changes) {}

    /** What of a design gets another name. */
    public enum Named {
        LETTER,
        MEASUREMENT,
        SIZE
    }

    /** A piece, a measurement or a size of a design that is called otherwise, everywhere in it. */
    public record RenamedPart(
            @NotNull @Valid DesignDocument document,
            @NotNull Named what,
            @NotNull @Size(max = 60) String from,
            @NotNull @Size(max = 200) String to) {}

    /**
     * The materials that may fill a slot of a design, by their ids.
     *
     * @param asked the design as it is usually made has the slot; not one that comes with another alternative of a choice
     */
    public record SlotMaterials(String slot, List<MaterialId> materialIds, boolean asked) {}

    /** The sizes that stay, by their places, in their new order. */
    public record ArrangedSizes(
            @NotNull @Valid DesignDocument document,
            @NotNull @Size(max = 200) List<@NotNull Integer> order) {}

    /** A measurement that a copied size has otherwise: {@code + 2 cm}. */
    public record SizeChange(
            @NotNull String symbol, @NotNull String change) {}

    /**
     * A form that a bag can come together in.
     *
     * @param other what its second panel is called; empty where it has none
     */
    public record FormView(FormKind kind, String words, String other, List<FormMeasureView> measures) {}

    /** A measure that a form is sewn with. */
    public record FormMeasureView(String key, String label) {}

    /**
     * All that follows from a design, for each of its sizes.
     *
     * @param times how long the steps take of which something was measured
     * @param cloths how the materials look that usually fill its slots
     * @param parts the parts that the bag has
     */
    public record DesignSheet(
            List<SizeSheet> sizes,
            boolean canBeSewn,
            List<StepTime> times,
            List<PictureCloth> cloths,
            List<BagPartView> parts) {}

    /**
     * A part of the bag with what belongs to it.
     *
     * @param letters of its pieces and trims
     * @param slots what it is made of
     * @param symbols the measurements that are for it alone
     */
    public record BagPartView(
            BagPart part, String words, List<String> letters, List<String> slots, List<String> symbols) {

        static BagPartView of(BagPart part, BagParts.Belongings its) {
            return new BagPartView(
                    part,
                    part.words(),
                    List.copyOf(its.letters()),
                    List.copyOf(its.slots()),
                    List.copyOf(its.symbols()));
        }
    }

    /**
     * How long a step takes, by what was measured and what was guessed.
     *
     * @param key the step's
     * @param atLeast in eight of ten batches one bag takes between this
     * @param atMost and this
     * @param bags on how many measured bags of this design it rests
     * @param leftOut how many measurements were too far from the others to count
     * @param once what is spent once in a batch
     * @param onceBatches on how many measured batches that rests
     * @param beginning how much longer a batch takes because of its first bags
     */
    public record StepTime(
            String key,
            TimeView each,
            TimeView atLeast,
            TimeView atMost,
            int bags,
            int batches,
            int leftOut,
            TimeView once,
            int onceBatches,
            TimeView beginning) {}

    /**
     * One size: what could be worked out, and what was found.
     *
     * @param workedOut what each formula of the design comes to
     * @param alternatives what the alternatives that aren't usually taken would change
     */
    public record SizeSheet(
            String size,
            List<MeasuredView> measurements,
            List<WorkedOut> workedOut,
            List<PieceView> pieces,
            List<PanelView> panels,
            List<TrimView> trims,
            List<NotionView> notions,
            List<FillingView> fillings,
            @Nullable CornerView corner,
            @Nullable FinishedView finished,
            @Nullable TicketView ticket,
            @Nullable String ticketMissing,
            List<FindingView> findings,
            List<AlternativeView> alternatives) {}

    /**
     * What another alternative of a choice would change of one bag, all else chosen as usual.
     *
     * @param choice the key of the choice
     * @param key of the alternative
     * @param time hands-on, as it is read: {@code +12 min}; absent while it can't be worked out
     * @param cost likewise: {@code +3.40}
     * @param price what the maker's school would ask more
     * @param problem why it can't be worked out; absent where it can
     */
    public record AlternativeView(
            String choice,
            String key,
            @Nullable String time,
            @Nullable String cost,
            @Nullable String price,
            @Nullable String problem) {}

    /**
     * What a formula comes to: a length in both units, or anything else as a text.
     *
     * @param formula as it is written in the design
     * @param place where it stands; absent where it comes to the same wherever it stands
     */
    public record WorkedOut(
            String formula,
            @Nullable String place,
            @Nullable LengthView value,
            String text) {}

    /** A measurement's value, read back: a length in both units, or anything else as a text. */
    public record MeasuredView(String symbol, @Nullable LengthView value, String text) {}

    /**
     * A piece with its cut size.
     *
     * @param count how many one bag takes, all layers counted
     * @param edges how far inside the edges it is sewn of which that is stated: {@code top}
     * @param trimTo what it is trimmed to, if it is cut over size
     * @param notes what is cut away from it and marked on it, in sentences
     */
    public record PieceView(
            String letter,
            String name,
            Role role,
            String slot,
            long count,
            LengthFigure width,
            LengthFigure height,
            boolean directional,
            ClothFold fold,
            Map<String, LengthView> edges,
            @Nullable ExtentView trimTo,
            List<String> notes,
            DrawingView drawing) {}

    public record ExtentView(LengthView width, LengthView height) {}

    /**
     * A piece or panel to scale, in millimetres.
     *
     * @param outline the line along which it is cut, as an SVG path
     * @param corners where corners are marked that are boxed later, as an SVG path; empty where there are none
     * @param seams where its stated seams run, as an SVG path; empty where none is stated
     * @param trimmed what it is trimmed to, in its middle, as an SVG path; empty where it isn't
     * @param handles the points of an outline that is drawn by hand
     */
    public record DrawingView(
            double width,
            double height,
            String outline,
            String corners,
            String seams,
            String trimmed,
            List<MarkView> marks,
            List<HandleView> handles) {}

    /**
     * A point of an outline that is drawn by hand, in millimetres.
     *
     * @param fromX where the distances of the point are measured from
     * @param fromY likewise
     */
    public record HandleView(double x, double y, double fromX, double fromY) {}

    /** A mark to scale, in millimetres from the top left raw corner; absent where it goes all the way. */
    public record MarkView(
            Mark.Kind kind,
            String label,
            @Nullable Double x,
            @Nullable Double y,
            double width,
            double height,
            @Nullable LengthView across,
            @Nullable LengthView down) {}

    /** An assembled panel with its size, and where its zips lie. */
    public record PanelView(
            String letter,
            String name,
            LengthFigure width,
            LengthFigure height,
            @Nullable ExtentView trimTo,
            DrawingView drawing,
            List<RectView> zips) {}

    /** A rectangle to scale, in millimetres. */
    public record RectView(double x, double y, double width, double height) {}

    /** A trim with its length, and of a zip how wide it opens. */
    public record TrimView(
            String letter,
            String name,
            TrimNeed.Kind kind,
            String slot,
            long count,
            LengthFigure length,
            @Nullable LengthFigure opening) {}

    public record NotionView(String name, String slot, long count) {}

    public record FillingView(String name, String slot, AmountView amount) {}

    /** What is measured at a boxed corner. */
    public record CornerView(
            BoxingSchool school, String words, LengthFigure fromSide, LengthFigure fromBase, boolean square) {}

    /** A finished measure under the name that it has in its form. */
    public record FinishedMeasure(String label, LengthFigure figure) {}

    /** What the finished bag measures, and how it looks. */
    public record FinishedView(
            List<FinishedMeasure> measures, @Nullable PictureView picture) {}
}
