package mardun.app.material;

import jakarta.validation.constraints.NotNull;
import mardun.core.material.Ware;
import org.jspecify.annotations.Nullable;

/**
 * What a material is like, as it is typed; an empty text where it isn't said.
 *
 * @param fullWidth from edge to edge
 * @param selvage on each side
 * @param repeat the height after which the print comes again
 * @param shrinkage in per cent, of length and width
 * @param shrinksAfterCutting it isn't washed before it is cut
 * @param ironable absent where it is as usual for its kind of cloth
 * @param frays absent where it is as usual for its kind of cloth
 * @param layersAtOnce a count
 * @param ware what a trim or a notion is; absent where nobody said
 * @param zipLength of a closed-end zip
 * @param usePerHour of thread, what a machine takes in an hour
 * @param target up to where the shelf is filled once it is low
 */
public record FactsForm(
        @NotNull String fullWidth,
        @NotNull String selvage,
        @NotNull String fibre,
        @Nullable WeightClass weightClass,
        boolean nap,
        @NotNull String repeat,
        @NotNull String shrinkage,
        boolean shrinksAfterCutting,
        @Nullable Boolean ironable,
        @Nullable Boolean frays,
        @NotNull String layersAtOnce,
        @NotNull String needle,
        @NotNull String care,
        @NotNull Print print,
        boolean oneDyeLot,
        boolean twoPart,
        @Nullable Ware ware,
        @NotNull String zipLength,
        boolean zipMetal,
        @NotNull String usePerHour,
        @NotNull String target,
        @NotNull String place) {

    /** The same of a material with this print, or of a notion whose halves are counted apart. */
    FactsForm looking(Print newPrint, boolean isTwoPart) {
        return new FactsForm(
                fullWidth,
                selvage,
                fibre,
                weightClass,
                nap,
                repeat,
                shrinkage,
                shrinksAfterCutting,
                ironable,
                frays,
                layersAtOnce,
                needle,
                care,
                newPrint,
                oneDyeLot,
                isTwoPart,
                ware,
                zipLength,
                zipMetal,
                usePerHour,
                target,
                place);
    }

    /** The same of a trim or a notion that is this. */
    public FactsForm being(@Nullable Ware what) {
        return new FactsForm(
                fullWidth,
                selvage,
                fibre,
                weightClass,
                nap,
                repeat,
                shrinkage,
                shrinksAfterCutting,
                ironable,
                frays,
                layersAtOnce,
                needle,
                care,
                print,
                oneDyeLot,
                twoPart,
                what,
                zipLength,
                zipMetal,
                usePerHour,
                target,
                place);
    }

    /** Nothing said. */
    public static final FactsForm NONE = new FactsForm(
            "",
            "",
            "",
            null,
            false,
            "",
            "",
            false,
            null,
            null,
            "",
            "",
            "",
            Print.PLAIN,
            false,
            false,
            null,
            "",
            false,
            "",
            "",
            "");
}
