package mardun.app.cutting;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import mardun.app.batch.BatchStage;
import mardun.app.batch.BatchViews.CautionView;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.SidesView;
import mardun.app.show.Views.TimeView;
import mardun.core.cutting.Aim;
import mardun.core.cutting.CutOrder;
import mardun.core.design.Role;
import org.jspecify.annotations.Nullable;

/** What the interface sends and gets to see of cutting. Lengths of a drawing are whole nanometres. */
public final class CuttingViews {

    private CuttingViews() {}

    /**
     * How a batch is cut.
     *
     * @param aim for what its cloths are laid out
     * @param begun some of it is ticked as cut, so that the layouts stay as they are
     * @param search what is being searched; absent if nothing is
     * @param minutes of cutting; absent until all cloths of a planned batch are laid out, or if no step is for it
     */
    public record CuttingView(
            BatchId batchId,
            long version,
            String designName,
            String sizeName,
            int units,
            List<LineName> lines,
            BatchStage stage,
            Aim aim,
            boolean begun,
            @Nullable SearchView search,
            List<ClothView> cloths,
            List<TrimLengths> trims,
            List<CautionView> cautions,
            @Nullable MinutesView minutes) {}

    /** A line of the batch, where it has several. */
    public record LineName(int number, String designName, String sizeName, String clothName, int units) {}

    /**
     * What the sheets and the steps say about the same work.
     *
     * @param sheet what the cuts of all cloths take
     * @param steps what the design's steps at the cutting table take for as many bags
     * @param names of these steps
     * @param meets they say about the same
     */
    public record MinutesView(TimeView sheet, TimeView steps, List<String> names, boolean meets) {}

    /** The sheets' minutes become those of the design's steps; both as they were shown, in seconds. */
    public record MinutesForm(long sheetSeconds, long stepsSeconds) {}

    /**
     * A search under way, or the last one.
     *
     * @param progress from 0 to 1
     * @param best the best so far of the cloth that is being laid out, in words
     */
    public record SearchView(
            boolean running,
            boolean failed,
            double progress,
            @Nullable String best) {}

    /**
     * A cloth of a batch.
     *
     * @param bySheet it is bought by the sheet, and no rest of it is booked back
     * @param usable its usable width
     * @param needed what is cut from its bolt, squaring included and before shrinking
     * @param shortBy what is missing of it; absent if there is enough
     * @param cut it is cut, and has left the shelf
     * @param trouble why it can't be laid out, in a sentence
     * @param cutLarger why its pieces are cut larger than the design says, in a sentence
     * @param squaredAt where its end is squared so that pieces show their parts of the print, in a sentence
     * @param severalDyes it is laid out on cloth of several dye lots
     * @param bill absent as long as it isn't laid out
     */
    public record ClothView(
            MaterialId materialId,
            String name,
            String colour,
            boolean directional,
            boolean bySheet,
            LengthView usable,
            AmountView needed,
            AmountView free,
            @Nullable AmountView shortBy,
            boolean cut,
            @Nullable String trouble,
            @Nullable String cutLarger,
            @Nullable String squaredAt,
            boolean severalDyes,
            List<PieceKind> pieces,
            List<MatView> mats,
            @Nullable BillView bill,
            List<AimView> aims) {}

    /**
     * A trim whose lengths are cut from rolls and left-over lengths.
     *
     * @param needed what leaves the shelf, with what is trimmed off and lost
     * @param shortBy what is missing of it; absent if there is enough
     * @param lost rests that are too short to keep, together; absent if there are none
     * @param trimmed what is cut off the end of each roll first; absent for nothing
     * @param isLeast nothing better is possible
     */
    public record TrimLengths(
            MaterialId materialId,
            String name,
            String colour,
            AmountView needed,
            AmountView free,
            @Nullable AmountView shortBy,
            @Nullable LengthView lost,
            @Nullable LengthView trimmed,
            boolean isLeast,
            List<RollView> rolls) {}

    /**
     * A roll or a left-over length that is cut into.
     *
     * @param title which one it is
     * @param length of it, in nanometres; of one that has to be bought, what is cut from it
     * @param rest what is left of it; absent for nothing
     * @param isKept the rest goes back on the shelf; else it is too short
     */
    public record RollView(
            String title,
            long length,
            @Nullable LengthView there,
            List<CutLength> pieces,
            @Nullable LengthView rest,
            boolean isKept) {}

    /** So many lengths of a letter; {@code nanometres} of each. */
    public record CutLength(String letter, String name, long count, LengthView length, long nanometres) {}

    /**
     * A kind of piece that is cut from a cloth.
     *
     * @param letter what it is known by in the batch: its letter, with its line where there are several
     * @param each how many one bag takes
     * @param lines for which lines it is
     * @param notes what is cut away from it and marked on it, in sentences
     */
    public record PieceKind(
            String letter,
            String name,
            Role role,
            LengthView width,
            LengthView height,
            long count,
            long each,
            long again,
            List<Integer> lines,
            List<String> notes) {}

    /**
     * A cloth on the mat: the bolt, an offcut or a precut.
     *
     * @param title what it is
     * @param cloth which of the layout's cloths it is
     * @param width in nanometres
     * @param length in nanometres
     */
    public record MatView(
            String title,
            int cloth,
            LengthView wide,
            LengthView used,
            long width,
            long length,
            List<LaidPiece> pieces,
            List<RestView> rests,
            List<StepView> steps) {}

    /**
     * A piece on the mat.
     *
     * @param number which one of its kind
     * @param line the line of the bag it belongs to, where the batch has several; 0 otherwise, and for one that is cut once more
     * @param bag which bag of that line; 0 for one that is cut once more
     * @param step the step that cuts it
     * @param other a second one of its kind that lies head to tail with it in the same block; absent for none
     * @param shows where on the mat its part of the print is; absent where it shows none
     */
    public record LaidPiece(
            String letter,
            int number,
            int line,
            int bag,
            long x,
            long y,
            long width,
            long height,
            boolean turned,
            String step,
            @Nullable OtherPiece other,
            @Nullable ShownPart shows) {}

    /** The middle of a part of the print, from the cloth's left edge and from its squared end. */
    public record ShownPart(String motif, long x, long y) {}

    /**
     * The second of two pieces that lie head to tail.
     *
     * @param number which one of its kind
     * @param bag which bag of the line; 0 for none
     * @param outlines of both as they lie in the block, in millimetres from its upper left corner
     */
    public record OtherPiece(int number, int bag, List<String> outlines) {}

    /** What is left, large enough to keep. */
    public record RestView(long x, long y, long width, long height, LengthView wide, LengthView high) {}

    /**
     * A step of the cutting.
     *
     * @param key names it when it is ticked
     * @param size of the strip, or what is cut off
     * @param across the strip lies across the cloth; else along it
     * @param pitch from the beginning of one strip to that of the next, where something is cut away between them
     * @param from where it begins, along the cloth or across it, in nanometres
     * @param to where the last of its strips ends
     * @param gives what it gives, like {@code 5 of A, 2 of C}
     */
    public record StepView(
            String key,
            CutOrder.Kind kind,
            boolean across,
            LengthView size,
            int times,
            @Nullable LengthView pitch,
            int layers,
            long from,
            long to,
            List<StripPart> parts,
            String gives,
            boolean again,
            boolean done) {}

    /** A part of a strip: so many of a size; {@code letter} is empty where it is cut again, or is left. */
    public record StripPart(int times, LengthView size, String letter, boolean left, List<StripPart> parts) {}

    /**
     * What a layout costs.
     *
     * @param over how much more cloth than the least possible, in per cent
     * @param overLength the same as a length of the bolt
     * @param overSheets the same in sheets; absent for cloth from a roll
     * @param curves how far the blade goes along templates; absent where nothing is cut so
     * @param curvesAtOnce how many equal pieces are cut along a template at once
     * @param kept how many rests are large enough to keep
     * @param largest the largest of them; absent if there is none
     */
    public record BillView(
            String over,
            LengthView overLength,
            @Nullable Long overSheets,
            int settings,
            int cuts,
            @Nullable LengthView curves,
            int curvesAtOnce,
            TimeView time,
            MoneyView cloth,
            MoneyView goesBack,
            MoneyView total,
            long kept,
            @Nullable SidesView largest) {}

    /**
     * One of the maker's aims with what its layout would cost.
     *
     * @param sheets how many are cut into; absent for cloth from a roll
     * @param toBuy what would have to be bought; absent where the rolls that are there are enough
     */
    public record AimView(
            Aim aim,
            boolean chosen,
            LengthView length,
            @Nullable Long sheets,
            TimeView time,
            MoneyView total,
            @Nullable LengthView toBuy,
            @Nullable String largest) {}

    /**
     * What is to be searched.
     *
     * @param seconds for each cloth, about
     */
    public record SearchForm(
            @NotNull Aim aim,
            @DecimalMin("0.1") @DecimalMax("60") double seconds,
            boolean fromOffcuts) {}

    public record AimForm(@NotNull Aim aim) {}

    public record TickForm(
            @NotNull MaterialId materialId,
            @NotNull @Size(max = 120) String step,
            boolean done) {}

    /**
     * Pieces that were spoiled and are cut once more.
     *
     * @param requestId made by the form when it opens, so that sending it twice cuts once
     * @param count as typed
     * @param cloth which of the layout's cloths they were cut from; needed where those are of several dye lots
     */
    public record SpoiledForm(
            @NotNull UUID requestId,
            @NotNull MaterialId materialId,
            @NotNull @Size(max = 20) String letter,
            @NotNull String count,
            @Nullable Integer cloth) {}

    /**
     * What if.
     *
     * @param width another usable width, as typed; empty for that of the cloth
     * @param fewer so many bags fewer
     * @param more so much more cloth, as typed; empty for none
     * @param from another cloth; absent for none
     */
    public record WhatIfForm(
            @NotNull MaterialId materialId,
            @NotNull String width,
            @Min(0) @Max(5000) int fewer,
            boolean turned,
            @NotNull String more,
            @Nullable MaterialId from) {}

    /** What would come of it, in sentences. */
    public record WhatIfView(List<String> sentences) {}
}
