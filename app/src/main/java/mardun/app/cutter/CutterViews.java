package mardun.app.cutter;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.app.cutter.CuttingMachine.Doing;
import mardun.app.id.MaterialId;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.TimeView;
import org.jspecify.annotations.Nullable;

/** What the interface sends and gets to see of cutting by machine. */
final class CutterViews {

    private CutterViews() {}

    /** What can be done at the machine. */
    enum CutterAct {
        LAY_MAT_IN,
        TAKE_MAT_OUT,
        CLEAR_JAM,
        JAM_NEXT,
        SWITCH_OFF,
        SWITCH_ON
    }

    /** Somebody does something at the machine. */
    record CutterForm(@NotNull CutterAct act) {}

    /**
     * The machine.
     *
     * @param key of the mat that it was sent last; empty for none
     * @param title what is on it
     * @param done how many pieces of it are cut
     * @param trouble what keeps it from cutting; absent if nothing does
     */
    record CutterView(
            Doing doing,
            String key,
            String title,
            int done,
            int pieces,
            boolean jamsNext,
            @Nullable String trouble) {}

    /**
     * Which pieces of a cloth go on which mats.
     *
     * @param pieces the labels of the kinds that are cut by machine; absent for those that have a curve or a slant
     * @param mat the key of the mat's size; absent for the smallest
     */
    record MatForm(
            @NotNull MaterialId materialId,
            @Nullable @Size(max = 200) List<@NotNull @Size(max = 20) String> pieces,
            @Nullable @Size(max = 20) String mat) {}

    /**
     * A mat is sent to the machine.
     *
     * @param number which of the mats, from 1 on
     */
    record SentMatForm(
            @NotNull MatForm of, @Min(1) @Max(1_000) int number) {}

    /**
     * The mats for a cloth.
     *
     * @param blade what it is cut with
     * @param why why that, and what to look at
     * @param sizes the mats that the machine takes
     * @param size the key of the one that they are
     * @param widthMm how wide it is, in millimetres, for drawing to scale
     * @param heightMm likewise
     * @param kinds the kinds of pieces of the cloth
     * @param tooLarge those that are chosen and larger than the mat
     */
    record MatsView(
            String blade,
            String why,
            List<MatSizeView> sizes,
            String size,
            double widthMm,
            double heightMm,
            List<MatPieceKind> kinds,
            List<String> tooLarge,
            List<CutMatView> mats) {}

    /** A mat that the machine takes, as it is read. */
    record MatSizeView(String key, LengthView width, LengthView height) {}

    /**
     * A kind of piece.
     *
     * @param shaped it has a curve or a slant
     * @param chosen it is cut by machine
     */
    record MatPieceKind(String label, String name, long count, boolean shaped, boolean chosen) {}

    /**
     * A mat with its pieces.
     *
     * @param key by which the machine knows it
     * @param covered how much of it the pieces cover, as it is read
     * @param time how long the blade is on its way
     * @param cut the machine has cut it
     */
    record CutMatView(
            int number, String key, int pieces, String covered, TimeView time, boolean cut, List<MatPathView> paths) {}

    /**
     * A piece on a mat.
     *
     * @param path its line, in millimetres from the mat's upper left corner
     * @param x of the middle of its rectangle
     * @param y likewise
     */
    record MatPathView(String label, String path, double x, double y) {}
}
