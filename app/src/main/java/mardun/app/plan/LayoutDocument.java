package mardun.app.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.core.cutting.ClothLayout;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.PieceKey;
import mardun.core.measure.Length;
import org.jspecify.annotations.Nullable;

/**
 * A layout as a file: where each piece lies on which cloth. All lengths are whole nanometres, so that inches and millimetres
 * are both exact: 1 in is 25400000, 1 mm is 1000000.
 *
 * @param format says what this is and which version of it
 */
public record LayoutDocument(
        @NotNull String format, @NotNull @Size(max = 500) List<@Valid ClothRow> cloths) {

    public static final String FORMAT = "mardun-layout-1";

    private static final long TEN_KILOMETRES = 10_000_000_000_000L;

    /**
     * A cloth.
     *
     * @param lot of the offcut, the precut or the roll; empty for any roll or sheet
     * @param roll the lot is a roll, of which only a length is used; absent for offcuts and precuts, and for any roll
     * @param sheet it is a sheet of cloth that is bought by the sheet; absent for everything else
     * @param width across it
     * @param length along it: what is used of a bolt, or all of an offcut
     */
    public record ClothRow(
            @NotNull @Size(max = 40) String lot,
            @Nullable Boolean roll,
            @Nullable Boolean sheet,
            @Min(1) @Max(TEN_KILOMETRES) long width,
            @Min(1) @Max(TEN_KILOMETRES) long length,
            @NotNull @Size(max = 20_000) List<@Valid PlacedRow> pieces) {}

    /**
     * A piece on a cloth.
     *
     * @param line the number of the batch's line that it is known by; absent in layouts from before batches had lines
     * @param x of its left side, from the cloth's left edge
     * @param y of its lower side, from the cloth's squared end
     * @param width as it lies
     * @param height as it lies
     * @param turned it lies across the grain
     * @param pair two of its kind lie here head to tail, in one block; absent for one alone
     */
    public record PlacedRow(
            @Nullable @Min(1) @Max(10_000) Integer line,
            @NotNull @Size(max = 20) String letter,
            @Min(0) @Max(TEN_KILOMETRES) long x,
            @Min(0) @Max(TEN_KILOMETRES) long y,
            @Min(1) @Max(TEN_KILOMETRES) long width,
            @Min(1) @Max(TEN_KILOMETRES) long height,
            boolean turned,
            @Nullable Boolean pair) {

        public static PlacedRow of(Placed piece) {
            return new PlacedRow(
                    piece.key().line(),
                    piece.key().letter(),
                    piece.x().nanometres(),
                    piece.y().nanometres(),
                    piece.width().nanometres(),
                    piece.height().nanometres(),
                    piece.turned(),
                    piece.paired() ? true : null);
        }

        public Placed piece() {
            PieceKey key = new PieceKey(line == null ? 1 : line, letter);
            return new Placed(
                    key,
                    new Length(x),
                    new Length(y),
                    new Length(width),
                    new Length(height),
                    turned,
                    Boolean.TRUE.equals(pair));
        }
    }

    public static LayoutDocument of(CuttingLayout layout) {
        return new LayoutDocument(
                FORMAT,
                layout.cloths().stream()
                        .map(cloth -> new ClothRow(
                                cloth.lot(),
                                cloth.isBolt() && !cloth.isOfAnyRoll() ? true : null,
                                cloth.isOfAnySheet() ? true : null,
                                cloth.width().nanometres(),
                                cloth.length().nanometres(),
                                cloth.pieces().stream().map(PlacedRow::of).toList()))
                        .toList());
    }

    public CuttingLayout layout() {
        return new CuttingLayout(cloths.stream()
                .map(cloth -> new ClothLayout(
                        cloth.lot(),
                        !Boolean.TRUE.equals(cloth.sheet())
                                && (cloth.lot().isEmpty() || Boolean.TRUE.equals(cloth.roll())),
                        new Length(cloth.width()),
                        new Length(cloth.length()),
                        cloth.pieces().stream().map(PlacedRow::piece).toList()))
                .toList());
    }
}
