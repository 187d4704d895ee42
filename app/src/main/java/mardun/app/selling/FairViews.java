package mardun.app.selling;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import mardun.app.id.ChannelId;
import mardun.app.id.FairId;
import mardun.app.show.PageView;
import mardun.app.show.Views.MoneyFigure;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.TimeView;
import org.jspecify.annotations.Nullable;

/** Fairs: how they are gone to, and what they left. */
public final class FairViews {

    private FairViews() {}

    /**
     * A fair that is entered.
     *
     * @param requestId made by the form when it opens, so that sending it twice makes one
     * @param like a fair of which all that needn't be typed again is taken over; absent for the last of its name
     */
    public record NewFair(
            @NotNull UUID requestId,
            @NotNull @Size(max = 300) String name,
            @NotNull LocalDate heldOn,
            @Nullable LocalDate endsOn,
            @Nullable FairId like) {}

    /**
     * A fair as it is typed; empty texts for what nobody knows yet.
     *
     * @param version that was shown
     * @param endsOn its last day; absent for one day
     * @param series fairs of one series are held against one another; empty for those of its name
     * @param opensAt like {@code 10:00}, on each day
     * @param setUpHours for setting up and clearing away, all days together
     * @param distance there and back, in the maker's unit of roads
     * @param perDistance money for one of them
     * @param fare for trains, ferries and tolls
     * @param wayHours there and back
     * @param tableWide along which buyers walk
     * @param gridWide of a wall behind or beside the table
     * @param footfall how many walk through; absent where nobody said
     * @param weather as it was; absent as long as nobody said
     * @param channelId on whose terms bags are sold there; absent for the usual one
     * @param stallPlace where bags are that are taken there
     */
    public record FairForm(
            long version,
            @NotNull @Size(max = 300) String name,
            @NotNull LocalDate heldOn,
            @Nullable LocalDate endsOn,
            @NotNull @Size(max = 300) String series,
            @NotNull FairState state,
            @NotNull @Size(max = 600) String place,
            @NotNull @Size(max = 20) String opensAt,
            @NotNull @Size(max = 20) String closesAt,
            @NotNull @Size(max = 20) String setUpHours,
            @Nullable LocalDate applyBy,
            @NotNull @Size(max = 40) String fee,
            @Nullable LocalDate feeDueOn,
            @NotNull @Size(max = 40) String deposit,
            @Nullable LocalDate depositDueOn,
            @NotNull @Size(max = 40) String distance,
            @NotNull @Size(max = 40) String perDistance,
            @NotNull @Size(max = 40) String fare,
            @NotNull @Size(max = 20) String wayHours,
            @NotNull @Size(max = 600) String sleepWhere,
            @NotNull @Size(max = 40) String sleep,
            @NotNull @Size(max = 40) String food,
            @NotNull @Size(max = 300) String helpers,
            @NotNull @Size(max = 40) String helpersPaid,
            @NotNull @Size(max = 40) String other,
            @NotNull @Size(max = 60) String tableWide,
            @NotNull @Size(max = 60) String tableDeep,
            @NotNull @Size(max = 60) String gridWide,
            @NotNull @Size(max = 60) String gridHigh,
            boolean power,
            boolean shelter,
            @Nullable Footfall footfall,
            @Nullable Weather weather,
            @Nullable ChannelId channelId,
            @NotNull @Size(max = 200) String stallPlace,
            @NotNull @Size(max = 4000) String notes) {

        /** Where bags are that are taken to stalls, unless the maker says otherwise. */
        static final String STALL_BOX = "stall box";

        /** A fair of which only its days are known. */
        static FairForm of(String name, LocalDate heldOn, @Nullable LocalDate endsOn) {
            return new FairForm(
                    0,
                    name,
                    heldOn,
                    endsOn,
                    "",
                    FairState.THINKING,
                    "",
                    "",
                    "",
                    "",
                    null,
                    "",
                    null,
                    "",
                    null,
                    "",
                    "",
                    "",
                    "",
                    "",
                    "",
                    "",
                    "",
                    "",
                    "",
                    "",
                    "",
                    "",
                    "",
                    false,
                    false,
                    null,
                    null,
                    null,
                    STALL_BOX,
                    "");
        }

        /** What tells a series, however it is written. */
        static String seriesOf(String words) {
            return words.strip().toLowerCase(Locale.ROOT);
        }

        LocalDate lastDay() {
            return endsOn == null ? heldOn : endsOn;
        }

        FairForm in(FairState other) {
            return with(
                    version, name, heldOn, endsOn, other, notes, feeDueOn, depositDueOn, applyBy, footfall, weather);
        }

        FairForm at(long read) {
            return with(read, name, heldOn, endsOn, state, notes, feeDueOn, depositDueOn, applyBy, footfall, weather);
        }

        /** The same with other notes. */
        public FairForm noting(String words) {
            return with(
                    version, name, heldOn, endsOn, state, words, feeDueOn, depositDueOn, applyBy, footfall, weather);
        }

        /** The same on other days, with what has to be done by a day not yet known. */
        FairForm again(String again, LocalDate first, @Nullable LocalDate last) {
            return with(0, again, first, last, FairState.THINKING, "", null, null, null, footfall, null);
        }

        /** The same with what its days were like, as far as that was said. */
        FairForm seen(@Nullable Footfall visitors, @Nullable Weather sky) {
            return with(
                    version,
                    name,
                    heldOn,
                    endsOn,
                    state,
                    notes,
                    feeDueOn,
                    depositDueOn,
                    applyBy,
                    visitors == null ? footfall : visitors,
                    sky == null ? weather : sky);
        }

        private FairForm with(
                long read,
                String itsName,
                LocalDate first,
                @Nullable LocalDate last,
                FairState its,
                String itsNotes,
                @Nullable LocalDate feeBy,
                @Nullable LocalDate depositBy,
                @Nullable LocalDate applied,
                @Nullable Footfall visitors,
                @Nullable Weather sky) {
            return new FairForm(
                    read,
                    itsName,
                    first,
                    last,
                    series,
                    its,
                    place,
                    opensAt,
                    closesAt,
                    setUpHours,
                    applied,
                    fee,
                    feeBy,
                    deposit,
                    depositBy,
                    distance,
                    perDistance,
                    fare,
                    wayHours,
                    sleepWhere,
                    sleep,
                    food,
                    helpers,
                    helpersPaid,
                    other,
                    tableWide,
                    tableDeep,
                    gridWide,
                    gridHigh,
                    power,
                    shelter,
                    visitors,
                    sky,
                    channelId,
                    stallPlace,
                    itsNotes);
        }
    }

    /**
     * A fair among others.
     *
     * @param turn which of its series it is, from 1
     * @param units sold
     * @param paid what buyers paid; absent where nothing was sold
     * @param left absent likewise
     * @param settled it is counted, and its figures stay
     * @param next what has to be done next, with its day: {@code apply by}, {@code pay the fee}; absent for nothing
     */
    public record FairRow(
            FairId id,
            String name,
            LocalDate heldOn,
            LocalDate endsOn,
            FairState state,
            String place,
            int turn,
            int units,
            @Nullable MoneyView paid,
            @Nullable MoneyView left,
            @Nullable MoneyView perHourThere,
            @Nullable MoneyView perHourInAll,
            boolean settled,
            @Nullable NextThing next) {}

    public record NextThing(String what, LocalDate day, boolean late) {}

    public record FairsView(List<FairRow> coming, PageView<FairRow> past) {}

    /** Something that has to be there, or asked, before a fair. */
    public record CheckView(long id, String words, boolean done) {}

    public record NewCheck(
            @NotNull UUID requestId,
            @NotNull @Size(max = 600) String words) {}

    public record CheckDone(boolean done) {}

    /**
     * A fair with all that is known of it.
     *
     * @param form as it was typed
     * @param costs what going there costs in all
     * @param there at the stall and setting up, by the hours that were typed
     * @param series the fairs of its series, the newest first
     * @param nextTime what was noted after the last one of its series
     * @param distanceUnit what roads are measured in
     */
    public record FairView(
            FairId id,
            FairForm form,
            MoneyFigure costs,
            TimeView there,
            TimeView away,
            List<CheckView> checks,
            List<FairRow> series,
            @Nullable String nextTime,
            String distanceUnit) {}
}
