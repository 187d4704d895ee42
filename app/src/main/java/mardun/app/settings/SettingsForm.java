package mardun.app.settings;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.app.show.DecimalMark;
import mardun.core.costing.WasteSchool;
import mardun.core.making.SetUpSpread;
import mardun.core.making.Station;
import mardun.core.material.ValueSchool;
import mardun.core.measure.InchStep;
import mardun.core.measure.UnitSystem;
import org.jspecify.annotations.Nullable;

/**
 * The settings as they are typed. Money in the maker's currency, shares in per cent, lengths with or without a unit.
 *
 * @param version of the settings that the form was filled from
 * @param thickestSeam the thickest seam that the machine sews
 * @param decimalMark absent to leave it as it is
 * @param setUps how what is set up once is shared by the lines of a batch; absent to leave it as it is
 * @param waste who bears the cloth that no piece is cut from; absent to leave it as it is
 * @param shelf absent to leave it as it is
 * @param cutting absent to leave it as it is
 * @param changes absent to leave it as it is
 * @param days absent to leave it as it is
 * @param equipment absent to leave it as it is
 * @param machines absent to leave them as they are
 * @param overheadShare overheads in per cent of material and labour, beside those of an hour; absent to leave it as it is
 * @param freeHours hours free at the bench on each day of the week, Monday first
 */
public record SettingsForm(
        long version,
        @NotNull UnitSystem unitSystem,
        @NotNull InchStep inchStep,
        @Nullable DecimalMark decimalMark,
        @NotNull String currency,
        @NotNull String hourlyRate,
        @NotNull String overheadPerHour,
        @NotNull String usualSeam,
        @NotNull String thickestSeam,
        @Nullable SetUpSpread setUps,
        @Nullable WasteSchool waste,
        @NotNull @Size(min = 7, max = 7) List<String> freeHours,
        @Nullable @Valid ShelfForm shelf,
        @Nullable @Valid CuttingForm cutting,
        @Nullable @Valid ChangesForm changes,
        @Nullable @Valid DaysForm days,
        @Nullable @Valid EquipmentForm equipment,
        @Nullable @Size(max = 40) List<@Valid MachineForm> machines,
        @Nullable @Size(max = 20) String overheadShare) {

    /**
     * A machine of the maker's.
     *
     * @param id by which steps know it; absent for a new one
     * @param thickest the thickest seam that it sews; empty for the usual
     */
    public record MachineForm(
            @Nullable Integer id,
            @NotNull @Size(max = 120) String name,
            @NotNull Station kind,
            boolean zigzag,
            boolean walkingFoot,
            boolean freeArm,
            @NotNull String thickest) {}

    /** The feet and needles that the maker has, with commas between them; empty where she doesn't say. */
    public record EquipmentForm(
            @NotNull @Size(max = 1000) String feet,
            @NotNull @Size(max = 1000) String needles) {}

    /**
     * How a day at the bench goes; times in minutes.
     *
     * @param begins when it begins, for instance {@code 18:30}
     * @param atOneGo how long one works at most before a pause; 0 for without pauses
     * @param preparing before work begins
     * @param clearing to clear up
     * @param people how many work at the same time: 1 or 2
     */
    public record DaysForm(
            @NotNull String begins,
            @NotNull String atOneGo,
            @NotNull String pause,
            @NotNull String preparing,
            @NotNull String clearing,
            @NotNull String people) {}

    /**
     * How many minutes it takes to change what is on a machine, and to go to another station.
     *
     * @param thread top thread, with the bobbin where a step says nothing of it
     * @param bobbin absent to leave it as it is
     * @param dial each of stitch length, width, needle position and tension; absent to leave it as it is
     * @param heat of the press; absent to leave it as it is
     * @param pressing a press cloth, or steam; absent to leave it as it is
     * @param turn from one sewing machine to another; absent to leave it as it is
     */
    public record ChangesForm(
            @NotNull String needle,
            @NotNull String thread,
            @Nullable String bobbin,
            @NotNull String foot,
            @NotNull String stitch,
            @Nullable String dial,
            @Nullable String heat,
            @Nullable String pressing,
            @NotNull String walk,
            @Nullable String turn) {}

    /**
     * How what lies on the shelf is valued, and which offcuts are kept.
     *
     * @param givenCostsNothing what was given is worth nothing; else what it would have cost
     * @param offcutsArePaid an offcut is worth nothing; else its share of the cloth, by area
     * @param offcutShort the shorter side of the smallest offcut that is kept
     * @param offcutLong its longer side
     * @param offcutDays after so many days a small one may go into the scrap bag
     * @param useSmall of the smallest offcuts so many in a hundred are used some day; absent to leave it as it is
     * @param useLarge of large ones
     */
    public record ShelfForm(
            @NotNull ValueSchool valueSchool,
            boolean givenCostsNothing,
            boolean offcutsArePaid,
            @NotNull String offcutShort,
            @NotNull String offcutLong,
            @NotNull String offcutDays,
            @Nullable String useSmall,
            @Nullable String useLarge) {}

    /**
     * How long cutting takes, in seconds, and what is lost and kept of an end.
     *
     * @param rulerSeconds setting the ruler to another height of strip
     * @param cutSeconds one cut through all layers
     * @param pieceSeconds taking up one piece
     * @param squaring what is cut off the end of a bolt to square it; 0 for nothing
     * @param endTrim what is cut off the end of a roll of trim; 0 for nothing
     * @param keptLength the shortest left-over length of trim that is kept
     * @param curveSeconds 10 cm of an outline along a template; absent to leave it
     * @param curvesByScissors with scissors, not with the knife through several layers; absent to leave it
     */
    public record CuttingForm(
            @NotNull String rulerSeconds,
            @NotNull String cutSeconds,
            @NotNull String pieceSeconds,
            @NotNull String squaring,
            @NotNull String endTrim,
            @NotNull String keptLength,
            @Nullable String curveSeconds,
            @Nullable Boolean curvesByScissors) {}
}
