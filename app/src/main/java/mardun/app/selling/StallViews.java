package mardun.app.selling;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import mardun.app.design.PictureView;
import mardun.app.goods.Quality;
import mardun.app.id.BatchId;
import mardun.app.id.FairId;
import mardun.app.show.Views.MoneyFigure;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.TimeView;
import mardun.core.selling.Tender;
import org.jspecify.annotations.Nullable;

/** A stall: what goes along, what is sold there, and how the day ended. */
public final class StallViews {

    private StallViews() {}

    /**
     * Bags of a kind.
     *
     * @param key tells the kind
     * @param cloth empty where nobody kept it
     * @param photo the address of a photo that stands in the place of the picture; absent for none
     */
    public record BagView(
            String key,
            String design,
            String size,
            String cloth,
            Quality quality,
            @Nullable PictureView picture,
            @Nullable String photo) {}

    /**
     * Bags of a kind that go along, or could.
     *
     * @param elsewhere how many are at other places than the stall's
     * @param atStall how many are at the stall's place
     * @param units how many go along; 0 for none
     * @param box in which; empty where nobody said
     * @param price what one is sold for there
     * @param ownPrice the maker's own for this fair, as it is typed; empty for the channel's
     * @param proposed how many it would be by what was sold before
     * @param reason why so many
     */
    public record PackingRow(
            BagView bag,
            int elsewhere,
            int atStall,
            int units,
            String box,
            boolean packed,
            @Nullable MoneyView price,
            String ownPrice,
            int proposed,
            String reason) {}

    /** Bags of a batch that is due before the fair. */
    public record ComingBags(BatchId batchId, String name, int units, LocalDate dueOn) {}

    /** How many of a coin or a note. */
    public record CoinCount(MoneyView coin, int count) {}

    /**
     * Change to bring.
     *
     * @param buyers for how many
     */
    public record FloatView(List<CoinCount> coins, MoneyView together, int buyers) {}

    /**
     * Coins or notes of one kind that were counted.
     *
     * @param minor what one is, in minor units
     * @param count as it is typed; empty for none
     */
    public record CountedCoin(
            long minor, @NotNull @Size(max = 20) String count) {}

    /** A cash box as it is counted. */
    public record CashForm(@NotNull @Size(max = 60) List<@NotNull @Valid CountedCoin> counts) {}

    /** What all coins or notes of one kind come to. */
    public record CashRow(MoneyView coin, boolean note, MoneyView sum) {}

    /**
     * What a cash box comes to.
     *
     * @param rows all notes and coins of the currency, the largest first
     */
    public record CashView(List<CashRow> rows, MoneyView together) {}

    /** A bag on the table, in millimetres from its front left corner. */
    public record TablePlace(String key, double left, double front, double wide, double deep) {}

    /**
     * The table, drawn to scale.
     *
     * @param under how many wait under it
     * @param unknown how many kinds nobody knows the size of
     */
    public record TableView(double wide, double deep, List<TablePlace> places, int under, int unknown) {}

    /**
     * What goes along to a fair.
     *
     * @param table absent where nobody typed how large the table is
     * @param boxes that are named, with how many kinds of bags in each are packed and how many there are
     */
    public record PackingView(
            FairId fairId,
            String fair,
            List<PackingRow> rows,
            List<BoxView> boxes,
            int units,
            int packedUnits,
            List<ComingBags> coming,
            FloatView change,
            @Nullable TableView table) {}

    public record BoxView(String box, int packed, int rows, int units) {}

    /**
     * How many of a kind go along.
     *
     * @param units none takes it off the list
     * @param ownPrice empty for the channel's
     */
    public record PackingForm(
            @NotNull @Size(max = 500) String kind,
            @NotNull @Size(max = 20) String units,
            @NotNull @Size(max = 200) String box,
            @NotNull @Size(max = 40) String ownPrice) {}

    /** All kinds of a box are packed, or taken out again. */
    public record PackedBoxForm(@NotNull @Size(max = 200) String box, boolean packed) {}

    /** A kind is packed, or taken out again. */
    public record PackedForm(@NotNull @Size(max = 500) String kind, boolean packed) {}

    /**
     * Bags of a kind at the stall.
     *
     * @param left how many can be sold: those that are there without the promised ones
     * @param leavesMinor what one leaves after fees and its cost, when it is paid in cash
     */
    public record TileView(BagView bag, MoneyView price, int left, int promised, int sold, long leavesMinor) {}

    public record TakingsView(
            MoneyView cash, MoneyView card, MoneyView other, MoneyView together, int sales, int bags) {}

    /** A sale as the stall lists it. */
    public record StallSale(
            UUID id, Instant at, Tender tender, String words, List<SoldBags> bags, MoneyView paid, boolean takenBack) {}

    public record SoldBags(String kind, int units) {}

    /** A bag that is put aside. */
    public record PromiseView(UUID id, String kind, String words, int units, long priceMinor, String note) {}

    /**
     * Bags that were sold though the book had none left.
     *
     * @param others which bags are there that it may have been
     */
    public record StallQuestion(long line, String kind, String words, int units, List<OtherBag> others) {}

    public record OtherBag(String kind, String words, int there) {}

    /** How the question is answered. */
    public enum Answered {
        /** There was one more than the book knew. */
        ONE_MORE,
        /** It was another bag. */
        OTHER_BAG,
        /** It wasn't sold at all. */
        NOT_SOLD
    }

    public record AnswerForm(
            long line,
            @NotNull Answered answer,
            @Nullable @Size(max = 500) String kind) {}

    /** How money is written: decimals, and the mark before them. */
    public record MoneyStyle(int decimals, String mark) {}

    /**
     * A stall as it stands.
     *
     * @param earnedMinor what all sales left so far, before what going there costs
     * @param costsMinor what going there costs
     * @param usualLeavesMinor what a bag of those that are left usually leaves
     * @param handed amounts in coins and notes that buyers hand over, in minor units, the largest first
     * @param opensAt when the stall opens today, or opened on its first day; absent where nobody typed it
     * @param refused what couldn't be booked, and why
     */
    public record StallView(
            FairId fairId,
            String fair,
            LocalDate heldOn,
            boolean settled,
            List<TileView> tiles,
            TakingsView takings,
            long earnedMinor,
            long costsMinor,
            long usualLeavesMinor,
            List<Long> handed,
            MoneyStyle money,
            @Nullable Instant opensAt,
            List<StallSale> sales,
            List<PromiseView> promises,
            List<StallQuestion> questions,
            List<String> refused) {}

    /**
     * What a device tells.
     *
     * @param device made by it once
     */
    public record StallTelling(
            @NotNull UUID device, @NotNull @Size(max = 500) List<@NotNull @Valid StallEntry> entries) {}

    /** How a bag ended that neither came home nor was sold at a touch. */
    public enum Ended {
        GIVEN_AWAY("given away"),
        BROKEN("broken"),
        STOLEN("stolen"),
        SOLD("sold"),
        PROMISED("promised");

        private final String words;

        Ended(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** How many of a kind came home. */
    public record HomeForm(
            @NotNull @Size(max = 500) String kind,
            @NotNull @Size(max = 20) String counted) {}

    /**
     * What became of bags that are missing.
     *
     * @param paid what was paid for them together, where they were sold
     */
    public record GoneForm(
            @NotNull @Size(max = 500) String kind,
            @NotNull @Size(max = 20) String units,
            @NotNull Ended ended,
            @NotNull @Size(max = 40) String paid,
            @NotNull @Size(max = 300) String note) {}

    /**
     * The count of the evening as it is typed.
     *
     * @param mark of what was shown, so that nothing that came in meanwhile is passed over
     * @param cash all that is in the box
     * @param change what of it was brought
     * @param card what the card reader says
     * @param thereHours at the stall, setting up and clearing away included
     * @param footfall how many walked through; absent to leave what is known of it
     * @param weather likewise
     * @param unpack all that came home is at home again, not in the stall's box
     */
    public record SettleForm(
            @NotNull UUID requestId,
            @NotNull @Size(max = 100) String mark,
            @NotNull @Size(max = 40) String cash,
            @NotNull @Size(max = 40) String change,
            @NotNull @Size(max = 40) String card,
            @NotNull @Size(max = 500) List<@NotNull @Valid HomeForm> home,
            @NotNull @Size(max = 500) List<@NotNull @Valid GoneForm> gone,
            @NotNull @Size(max = 20) String thereHours,
            @NotNull @Size(max = 20) String wayHours,
            @NotNull @Size(max = 4000) String nextTime,
            @Nullable Footfall footfall,
            @Nullable Weather weather,
            boolean unpack) {}

    /**
     * Bags that should have come home.
     *
     * @param expected by the book
     */
    public record HomeRow(BagView bag, int expected, int sold) {}

    /**
     * A line of a settlement.
     *
     * @param adds it comes to what is left, and not off it
     */
    public record SettledLine(String name, MoneyView amount, boolean adds) {}

    /** Bags that ended otherwise. */
    public record GoneView(String words, int units, Ended ended, String note) {}

    /**
     * A fair's settlement: as it would be now, or as it was settled.
     *
     * @param later how many things devices told after it was settled
     * @param cashExpected what cash sales came to
     * @param cashDifference what was counted more, or less where it is below zero; absent before it is settled
     * @param unclear how many questions are open
     * @param lines what came off, in its order
     * @param makingUnknown of how many bags nobody knows the making
     */
    public record SettlementView(
            FairId fairId,
            String fair,
            boolean settled,
            String mark,
            int later,
            List<HomeRow> home,
            List<GoneView> gone,
            int bags,
            int sales,
            MoneyView paid,
            MoneyView cashExpected,
            MoneyView cardExpected,
            @Nullable MoneyView cashDifference,
            @Nullable MoneyView cardDifference,
            int unclear,
            List<SettledLine> lines,
            MoneyFigure left,
            @Nullable MoneyFigure perHourThere,
            @Nullable MoneyFigure perHourInAll,
            int makingUnknown,
            TimeView there,
            TimeView onTheWay,
            String thereHours,
            String wayHours,
            String changeProposed,
            String nextTime,
            @Nullable Footfall footfall,
            @Nullable Weather weather) {}
}
