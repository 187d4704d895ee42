package mardun.app.material;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is told, and sent, of the parts of a cloth's print. */
public final class PrintViews {

    static final int MOST_MOTIFS = 12;
    static final int LONGEST_NAME = 40;

    private PrintViews() {}

    /**
     * The print of a cloth.
     *
     * @param repeat the height after which it comes again, as typed; absent where nobody said
     * @param repeatAcross the width after which it does, as typed; empty where it doesn't
     * @param photo where the cloth's picture is; absent where there is none
     * @param widthMm of the repeat, or of the usable cloth where it doesn't come again across
     * @param heightMm of the repeat; 0 where nobody said
     */
    public record PrintView(
            long version,
            @Nullable String repeat,
            String repeatAcross,
            String colour,
            Print print,
            @Nullable String photo,
            Frame frame,
            double widthMm,
            double heightMm,
            List<MotifView> motifs) {}

    /**
     * A part of the print.
     *
     * @param across from the left edge of the usable width to its middle, as typed; empty for what is the same all across
     * @param down from the top of a repeat to its middle, as typed
     * @param acrossShare where that is in the repeat, from 0 to 1; absent for what is the same all across
     * @param downShare likewise
     */
    public record MotifView(
            String name,
            String across,
            String down,
            @Nullable Double acrossShare,
            double downShare) {}

    /** What is marked in a print, as it is typed. */
    public record PrintForm(
            long version,
            @NotNull @Size(max = 40) String repeatAcross,
            @NotNull @Valid Frame frame,
            @NotNull @Size(max = MOST_MOTIFS) List<@NotNull @Valid MotifForm> motifs) {}

    /** A part of the print, as it is typed. */
    public record MotifForm(
            @NotNull @Size(max = LONGEST_NAME) String name,
            @NotNull @Size(max = 40) String across,
            @NotNull @Size(max = 40) String down) {}

    /**
     * A point of the photo, or of the drawn repeat.
     *
     * @param x a share of its width, from the left
     * @param y a share of its height, from the top
     */
    public record PointedAt(
            @NotNull @Size(max = 40) String repeatAcross,
            @NotNull @Valid Frame frame,
            @DecimalMin("0") @DecimalMax("1") double x,
            @DecimalMin("0") @DecimalMax("1") double y) {}

    /** Where in a repeat that is, as it would be typed. */
    public record PlaceInRepeat(String across, String down) {}
}
