package mardun.app.upkeep;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import mardun.core.making.Upkeep.Kind;
import org.jspecify.annotations.Nullable;

/** The upkeep of machines as it is shown and noted. */
public final class UpkeepViews {

    private UpkeepViews() {}

    /**
     * The maker's machines with what is in them and what wears.
     *
     * @param limits after how much each kind is changed with quilting cotton
     */
    public record UpkeepView(List<MachineView> machines, List<LimitView> limits) {}

    /**
     * A machine or a table.
     *
     * @param place its key
     * @param on what is on it now, in words
     */
    public record MachineView(String place, String name, List<String> on, List<WearView> wears) {}

    /**
     * Something that wears.
     *
     * @param since how much since it was done last, or in the last ninety days: {@code 6.2 h}
     * @param also the same in another measure, in words: {@code about 41 m of seam}; empty where nothing is known
     * @param last the day on which it was done last; absent where it never was
     * @param isDue it has had its time, with quilting cotton
     */
    public record WearView(
            Kind kind,
            String words,
            String since,
            String also,
            String limit,
            @Nullable LocalDate last,
            boolean isDue) {}

    /** After how much something is changed: hours, or metres or yards of cloth. */
    public record LimitView(Kind kind, String words, String unit, String limit) {}

    /** Other limits, as typed. */
    public record LimitsForm(@NotNull @Size(max = 10) List<@NotNull @Valid LimitForm> limits) {}

    /** Another limit, as typed. */
    public record LimitForm(
            @NotNull Kind kind, @NotNull @Size(max = 20) String limit) {}

    /**
     * Something was done.
     *
     * @param id made by the form, so that sending it twice does it once
     */
    public record DoneForm(
            @NotNull UUID id,
            @NotNull @Size(max = 60) String place,
            @NotNull Kind kind,
            @NotNull @Size(max = 300) String note) {}
}
