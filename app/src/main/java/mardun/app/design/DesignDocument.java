package mardun.app.design;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;
import mardun.core.design.Measurement;
import mardun.core.design.Role;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.material.MaterialKind;
import org.jspecify.annotations.Nullable;

/**
 * A design as it is edited, stored and frozen into batches: a whole, with all values as they were typed. Lengths are
 * texts with a unit, or formulas over the measurements' symbols.
 *
 * @param usualUnits how many are usually made at once; the ticket's figures are for a batch of this size
 */
public record DesignDocument(
        @NotNull @Size(max = 120) String name,
        @NotNull @Size(min = 1, max = 12) List<@NotNull @Size(max = 60) String> sizes,
        @Min(1) @Max(5000) int usualUnits,
        @NotNull @Size(max = 100) List<@Valid MeasurementRow> measurements,
        @NotNull @Valid BoxedRow boxed,
        @NotNull @Size(max = 100) List<@Valid PieceRow> pieces,
        @NotNull @Size(max = 50) List<@Valid TrimRow> trims,
        @NotNull @Size(max = 50) List<@Valid NotionRow> notions,
        @NotNull @Size(max = 100) List<@Valid StepRow> steps,
        @NotNull @Size(max = 50) List<@Valid SlotRow> slots) {

    /** A measurement with its value for each size, or one value for all. */
    public record MeasurementRow(
            @NotNull @Size(max = 40) String symbol,
            @NotNull @Size(max = 80) String label,
            @NotNull Measurement.Kind kind,
            @NotNull @Size(min = 1, max = 12) List<@NotNull @Size(max = 500) String> values) {}

    /** How the boxed corners are made, as formulas over the measurements. */
    public record BoxedRow(
            @NotNull BoxingSchool school,
            @NotNull BaseEdge base,
            @NotNull String outer,
            @NotNull String lining,
            @NotNull @Size(max = 500) String depth,
            @NotNull @Size(max = 500) String sideSeam,
            @NotNull @Size(max = 500) String topSeam,
            @NotNull @Size(max = 500) String baseSeam,
            @NotNull @Size(max = 500) String boxingSeam,
            @NotNull @Size(max = 500) String zipShows) {}

    /** Something cut from cloth. */
    public record PieceRow(
            @NotNull @Size(max = 4) String letter,
            @NotNull @Size(max = 80) String name,
            @NotNull Role role,
            @NotNull @Size(max = 40) String slot,
            @Min(1) @Max(200) int perUnit,
            @NotNull @Size(max = 500) String width,
            @NotNull @Size(max = 500) String height,
            boolean directional,
            boolean boxed,
            @Nullable String backs) {}

    /** Something bought by length. */
    public record TrimRow(
            @NotNull @Size(max = 80) String name,
            @NotNull @Size(max = 40) String slot,
            @Min(1) @Max(200) int perUnit,
            @NotNull @Size(max = 500) String length) {}

    /** Something counted. */
    public record NotionRow(
            @NotNull @Size(max = 80) String name,
            @NotNull @Size(max = 40) String slot,
            @Min(1) @Max(200) int perUnit) {}

    /** An operation; minutes as they were typed. */
    public record StepRow(
            @NotNull @Size(max = 120) String name,
            @NotNull Stage stage,
            @NotNull Station station,
            @NotNull @Size(max = 60) String needle,
            @NotNull @Size(max = 60) String thread,
            @NotNull @Size(max = 60) String foot,
            @NotNull @Size(max = 60) String stitch,
            @NotNull @Size(max = 24) String minutesPerUnit,
            @NotNull @Size(max = 24) String minutesPerBatch,
            @NotNull @Size(max = 24) String passiveMinutes,
            @NotNull @Size(max = 300) String check) {}

    /** What a design asks for, and the material that usually fills it. */
    public record SlotRow(
            @NotNull @Size(max = 40) String key,
            @NotNull @Size(max = 80) String label,
            @NotNull MaterialKind kind,
            @Nullable Long materialId) {}
}
