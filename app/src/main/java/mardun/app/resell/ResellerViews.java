package mardun.app.resell;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import mardun.app.id.ChannelId;
import mardun.app.show.Views.MoneyView;
import mardun.core.selling.Consignment;
import org.jspecify.annotations.Nullable;

/** What the interface sends and gets to see of resellers. */
public final class ResellerViews {

    private ResellerViews() {}

    /**
     * A reseller in the list.
     *
     * @param units how many bags lie there
     * @param asked what buyers are asked for all of them
     * @param lastSettled when it was settled last; absent for never
     * @param toBring how many bags should be brought, and are at home
     * @param toTakeBack how many should be taken back
     */
    public record ResellerRow(
            long id,
            String name,
            String channel,
            boolean putAway,
            int units,
            MoneyView asked,
            @Nullable LocalDate lastSettled,
            int toBring,
            int toTakeBack) {}

    /**
     * A reseller with what lies there.
     *
     * @param reach how to reach it; may be empty
     * @param settlements the latest first
     */
    public record ResellerView(
            long id,
            long version,
            String name,
            ChannelId channelId,
            String channel,
            String reach,
            boolean putAway,
            List<LyingThere> bags,
            List<ResellerSettled> settlements) {}

    /**
     * Bags of a kind that lie there, lay there, or could.
     *
     * @param kind tells them from others
     * @param home how many are at home
     * @param since since when those lie there that came first; absent where none do
     * @param sold how many were sold there in the last half year
     * @param lastSold absent where none was
     * @param price what buyers are asked for one
     * @param advised how many to bring or to take back
     * @param reason why
     * @param barred the licence of its pattern doesn't let others sell it
     */
    public record LyingThere(
            String kind,
            String words,
            int there,
            int home,
            @Nullable LocalDate since,
            int sold,
            @Nullable LocalDate lastSold,
            MoneyView price,
            Consignment.Do advice,
            int advised,
            String reason,
            boolean barred) {}

    /**
     * A settlement with a reseller.
     *
     * @param sold what buyers paid
     * @param taken what the reseller takes
     * @param rest what is left for the maker
     */
    public record ResellerSettled(
            UUID id,
            LocalDate day,
            int units,
            MoneyView sold,
            MoneyView taken,
            MoneyView tax,
            MoneyView rest,
            boolean takenBack) {}

    /** A new reseller. */
    public record NewReseller(
            @NotNull UUID requestId,
            @NotNull @Size(max = 200) String name,
            @NotNull ChannelId channelId) {}

    /** What can be changed of a reseller; its name is a place in the book, and stays. */
    public record ResellerForm(
            long version,
            @NotNull ChannelId channelId,
            @NotNull @Size(max = 200) String reach,
            boolean putAway) {}

    /**
     * Bags that were sold there.
     *
     * @param on absent for today
     */
    public record SoldThereForm(
            @NotNull UUID requestId,
            @Nullable LocalDate on,

            @NotNull @Size(min = 1, max = 500, message = "Say which bags were sold.")
            List<@NotNull @Valid SoldThere> lines) {}

    /** So many of a kind at a price for one, as typed. */
    public record SoldThere(
            @NotNull @Size(max = 400) String kind,
            @NotNull @Size(max = 20) String units,
            @NotNull @Size(max = 40) String price) {}

    /** What sold bags come to. */
    public record SoldThereSum(int units, MoneyView sold, MoneyView taken, MoneyView tax, MoneyView rest) {}

    /** Bags are brought there, or taken back home. */
    public record BringForm(
            @NotNull UUID requestId,
            boolean back,

            @NotNull @Size(min = 1, max = 500, message = "Say how many of at least one kind of bag.")
            List<@NotNull @Valid BroughtThere> lines) {}

    /** So many of a kind, as typed. */
    public record BroughtThere(
            @NotNull @Size(max = 400) String kind,
            @NotNull @Size(max = 20) String units) {}
}
