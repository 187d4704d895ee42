package mardun.app.price;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.channel.PricePlace;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.show.Views.MoneyFigure;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.TimeView;
import mardun.core.making.WorkKind;
import mardun.core.pricing.Channel;
import mardun.core.pricing.Fee;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceSchool;
import mardun.core.pricing.Tax;
import org.jspecify.annotations.Nullable;

/** Channels, schools, the price book and what a price leaves. */
public final class PriceViews {

    private PriceViews() {}

    /**
     * A channel as it is typed: money in the maker's currency, shares in per cent.
     *
     * @param version of the channel that the form was filled from; 0 for a new one
     * @param unitsPerSale how many bags a buyer takes at once, on average
     * @param postagePaid what the buyer pays for postage, for each sale
     * @param postage what it costs
     * @param packing paper, bags and boxes for one sale
     * @param packingMinutes hands-on minutes for packing one sale
     * @param listingMinutes hands-on minutes for photographing and listing, for each bag that is sold; absent for none
     */
    public record ChannelForm(
            long version,
            @NotNull @Size(max = 200) String name,
            @NotNull Channel.Kind kind,
            @NotNull @Size(max = 30) List<@NotNull @Valid FeeForm> fees,
            @NotNull Tax.Mode taxMode,
            @NotNull @Size(max = 60) String taxRate,
            @NotNull @Size(max = 60) String unitsPerSale,
            @NotNull @Size(max = 60) String postagePaid,
            @NotNull @Size(max = 60) String postage,
            @NotNull @Size(max = 60) String packing,
            @NotNull @Size(max = 60) String packingMinutes,
            @Nullable @Size(max = 60) String listingMinutes) {}

    /**
     * A channel that is added.
     *
     * @param requestId made by the form when it opens, so that sending it twice adds one
     */
    public record NewChannelForm(
            @NotNull UUID requestId, @NotNull @Valid ChannelForm terms) {}

    /**
     * A fee as it is typed.
     *
     * @param amount in per cent of what the buyer pays, or in money
     * @param above from which amount of a sale on another share is taken; empty for none
     * @param then that share
     * @param least for each sale; empty for nothing
     * @param most for each sale; empty for as much as it is
     * @param likelihood in per cent; 100 where it is always taken
     * @param cardOnly it is taken of payments by card alone; absent for no
     */
    public record FeeForm(
            @NotNull @Size(max = 200) String name,
            @NotNull Fee.Basis basis,
            @NotNull @Size(max = 60) String amount,
            @NotNull @Size(max = 60) String above,
            @NotNull @Size(max = 60) String then,
            @NotNull @Size(max = 60) String least,
            @NotNull @Size(max = 60) String most,
            @NotNull @Size(max = 60) String likelihood,
            @Nullable Boolean cardOnly) {

        /** A fee that is taken however a buyer pays. */
        public FeeForm(
                String name,
                Fee.Basis basis,
                String amount,
                String above,
                String then,
                String least,
                String most,
                String likelihood) {
            this(name, basis, amount, above, then, least, most, likelihood, null);
        }

        boolean isCardOnly() {
            return Boolean.TRUE.equals(cardOnly);
        }
    }

    /**
     * A channel.
     *
     * @param usual tickets show its prices
     * @param says its terms in a sentence
     * @param former the terms that it had, the last first
     */
    public record ChannelView(
            ChannelId id, ChannelForm terms, boolean usual, boolean putAway, String says, List<FormerView> former) {}

    /** Terms that held until a day. */
    public record FormerView(LocalDate until, String says) {}

    /** Whether a channel is put away. */
    public record AwayForm(long version, boolean putAway) {}

    /**
     * How the maker comes to prices.
     *
     * @param version of the settings
     * @param leastRate the least that an hour is worked for; empty for the hourly rate
     * @param hourlyRate what an hour is worth; only told
     * @param own the maker's own price points, parted by semicolons
     * @param rates what an hour of a kind of work is worth, as typed; empty for the hourly rate, absent for as they are
     * @param sorts of each sort of bags the school that is usual for it; absent for as they are
     * @param taxThreshold from how much that is sold in a year sales tax has to be asked for, as typed; empty where that isn't said, absent
     *     for as it is
     */
    public record ChoiceForm(
            long version,
            @NotNull ChannelId usualChannel,
            @NotNull PriceSchool school,
            @NotNull @Size(max = 60) String factor,
            @NotNull @Size(max = 60) String margin,
            @NotNull @Size(max = 60) String markup,
            @NotNull @Size(max = 60) String multiple,
            @NotNull @Size(max = 60) String leastRate,
            @Nullable @Size(max = 60) String hourlyRate,
            boolean feesInside,
            @NotNull PricePoint point,
            @NotNull @Size(max = 600) String own,
            boolean toNearest,

            @Nullable @Size(max = 10) Map<@NotNull WorkKind, @NotNull @Size(max = 60) String> rates,

            @Nullable @Size(max = 200) List<@NotNull @Valid SortSchool> sorts,
            @Nullable @Size(max = 60) String taxThreshold) {}

    /**
     * How a sort of bags is usually priced.
     *
     * @param sort in the maker's word: pouch, tote
     * @param school absent for the one that is usual for all
     */
    public record SortSchool(
            @NotNull @Size(max = 60) String sort, @Nullable PriceSchool school) {}

    /**
     * The price book of one channel.
     *
     * @param least the least that an hour is worked for
     * @param wanted what an hour is worth
     * @param tax how the year's sales stand to the sum from which tax has to be asked for; absent where they are well below it, and where
     *     the channel asks for tax
     */
    public record BookView(
            ChannelId channelId,
            String channel,
            MoneyView least,
            MoneyView wanted,
            List<BookRow> rows,
            @Nullable TaxNear tax) {}

    /** What was sold in a year, without tax, and from how much on tax has to be asked for. */
    public record TaxNear(int year, MoneyView sold, MoneyView threshold, boolean reached) {}

    /**
     * A size of a design in the price book, in its usual cloth or in another one.
     *
     * @param clothId absent for the usual cloth, whose price counts for all that have none of their own
     * @param cost what one costs; absent while something is missing
     * @param suggested the price by the maker's school; absent while something is missing, and where no price works
     * @param price what counts: the set price, or else the suggested one
     * @param own the maker set it
     * @param follows it is another cloth than the usual, and the price is the one that is set for all cloths of its size
     * @param below an hour earns less than the least
     * @param since since when the price is set
     * @param reason why
     */
    public record BookRow(
            DesignId designId,
            String design,
            String sort,
            String sizeKey,
            String size,
            String cloth,
            @Nullable MaterialId clothId,
            @Nullable MoneyView cost,
            @Nullable MoneyView suggested,
            @Nullable MoneyView price,
            boolean own,
            boolean follows,
            @Nullable MoneyView left,
            @Nullable MoneyView perHour,
            boolean below,
            @Nullable LocalDate since,
            String reason) {}

    /**
     * A size of a design and its price, from all sides.
     *
     * @param clothId absent for the usual cloth
     * @param cost how one bag's cost comes about
     * @param parts that cost, part by part; they add up to it
     * @param schools by each school
     * @param curve what prices leave, from nothing upwards
     * @param breakEven the lowest price that loses nothing; absent where none does
     * @param atLeast the lowest price at which an hour earns the least rate
     * @param atWanted the lowest price at which an hour earns what it is worth
     * @param suggested by the maker's school; absent where no price works
     * @param own the price that is set; absent for none
     * @param noPrice why no price leaves what is wanted; absent where one does
     * @param anHour what it must cost where so many are made in an hour, for the least rate
     * @param sold at which prices it was sold in the channel, the lowest first
     * @param given what was given, valued the other way; absent where nothing of it was
     */
    public record PriceSheetView(
            DesignId designId,
            String design,
            String sizeKey,
            String size,
            String cloth,
            @Nullable MaterialId clothId,
            ChannelId channelId,
            String channel,
            int units,
            TimeView time,
            MoneyFigure cost,
            List<CostPart> parts,
            List<SchoolPrice> schools,
            List<CurvePoint> curve,
            @Nullable MoneyView breakEven,
            @Nullable MoneyView atLeast,
            @Nullable MoneyView atWanted,
            MoneyView least,
            MoneyView wanted,
            @Nullable MoneyView suggested,
            @Nullable MoneyView own,
            @Nullable String noPrice,
            List<AnHourView> anHour,
            List<SetView> history,
            List<SeenView> seen,
            List<SoldAtView> sold,
            @Nullable GivenView given) {}

    /** How many were sold at a price in the last two years, and when the last of them. */
    public record SoldAtView(MoneyView price, int units, LocalDate last) {}

    /**
     * What was given, valued the other way; only where that makes a difference.
     *
     * @param costsNothing it costs nothing as the maker values it; else what it would have cost to buy
     * @param cost what one costs the other way
     * @param prices what each school asks the other way, in the order of the schools
     */
    public record GivenView(boolean costsNothing, MoneyView cost, List<GivenPrice> prices) {}

    /** What a school asks with what was given valued the other way. */
    public record GivenPrice(PriceSchool school, MoneyView price) {}

    /** A part of what one costs. */
    public record CostPart(String name, MoneyFigure cost) {}

    /** A price by one school, and what it leaves. */
    public record SchoolPrice(
            PriceSchool school,
            String words,
            boolean usual,
            MoneyView price,
            MoneyView taken,
            MoneyView left,
            @Nullable MoneyView perHour) {}

    /**
     * A price, and what it leaves.
     *
     * @param lines what comes off it
     * @param buyerPays what a buyer pays for one in all
     * @param left after that and the full cost
     * @param many how many an hour must be made for the least rate; empty where no number is enough
     */
    public record CurvePoint(
            MoneyView price,
            MoneyView buyerPays,
            List<OffView> lines,
            MoneyView left,
            @Nullable MoneyView perHour,
            String many) {}

    /**
     * How it is, and how it would be if something were otherwise.
     *
     * @param changed what would be otherwise, in words
     */
    public record WhatIfPrices(List<String> changed, WhatIfSide now, WhatIfSide then) {}

    /**
     * One side of it.
     *
     * @param suggested by the maker's school; absent where no price works
     * @param price the price that is looked at
     * @param left of that price
     */
    public record WhatIfSide(
            int units,
            MoneyView cost,
            @Nullable MoneyView suggested,
            MoneyView price,
            MoneyView left,
            @Nullable MoneyView perHour) {}

    /** Something that comes off a price. */
    public record OffView(String name, MoneyView amount) {}

    /** The price where so many are made in an hour. */
    public record AnHourView(int many, @Nullable MoneyView price, boolean mine) {}

    /** A price that was set; absent where the school counted again. */
    public record SetView(LocalDate since, @Nullable MoneyView price, String reason) {}

    /** What somebody asked for such a thing. */
    public record SeenView(UUID id, String what, String where, MoneyView price, LocalDate on) {}

    /**
     * A price that was seen.
     *
     * @param id made by the form when it opens
     */
    public record SeenForm(
            @NotNull UUID id,
            @NotNull DesignId designId,
            @NotNull @Size(max = 300) String what,
            @NotNull @Size(max = 300) String where,
            @NotNull @Size(max = 60) String price,
            @Nullable LocalDate on) {}

    /** Prices that are set from now on. */
    public record SetForm(
            @NotNull @Size(min = 1, max = 2000) List<@NotNull @Valid NewPrice> prices,
            @NotNull @Size(max = 300) String reason) {}

    /**
     * A price.
     *
     * @param price as typed; empty for the school's
     */
    public record NewPrice(
            @NotNull @Valid PricePlace place,
            @NotNull @Size(max = 60) String price) {}

    /**
     * Prices that are to go up or down together: what they become is shown, and set as any others.
     *
     * @param points by how many of the maker's price points
     * @param percent or by how much; rounded up to a price point
     */
    public record StepForm(
            @NotNull @Size(min = 1, max = 2000) List<@NotNull @Valid PricePlace> places,
            @Min(-20) @Max(20) int points,
            @NotNull @Size(max = 60) String percent) {}

    /**
     * A price before and after.
     *
     * @param cloth empty for the usual one
     */
    public record SteppedView(
            PricePlace place,
            String design,
            String size,
            String cloth,
            MoneyView before,
            MoneyView after,
            @Nullable MoneyView perHourBefore,
            @Nullable MoneyView perHourAfter) {}

    /** What is left of one bag that is sold otherwise than one at its price, and what an hour of it earns. */
    public record BargainView(MoneyView left, @Nullable MoneyView perHour) {}

    /**
     * Bargains.
     *
     * @param together of each of some that are sold together; absent if not asked
     * @param postedFree of one where the maker pays the postage; absent where the buyer pays none anyway
     * @param leastToday the least price at which one is let go today; absent if not asked, or where none brings as much
     * @param noneToday no price brings as much today
     */
    public record BargainsView(
            @Nullable BargainView together,
            @Nullable BargainView postedFree,
            @Nullable MoneyView leastToday,
            boolean noneToday) {}

    /** What something costs in a year, as typed. */
    public record YearlyCost(
            @NotNull @Size(max = 120) String name,
            @NotNull @Size(max = 20) String amount) {}

    /**
     * What a year costs beside material and labour.
     *
     * @param hours how many are worked at the bench in a year, as typed; empty for those that are logged
     * @param take what an hour bears of it becomes the workroom's from now on
     */
    public record OverheadsForm(
            long version,
            @NotNull @Size(max = 20) String hours,
            @NotNull @Size(max = 60) List<@NotNull @Valid YearlyCost> lines,
            boolean take) {}

    /**
     * The yearly sheet and what follows from it.
     *
     * @param logged the hands-on time that was logged
     * @param days in so many days, at most a year
     * @param aYear what that comes to in a year; absent where too little is known
     * @param perHour what an hour bears; absent where no hours are known
     * @param now what an hour bears as the workroom reckons now
     */
    public record OverheadsView(
            OverheadsForm form,
            TimeView logged,
            int days,
            @Nullable TimeView aYear,
            MoneyView together,
            @Nullable MoneyView perHour,
            MoneyView now) {}

    /** Bags to be put side by side, all of one channel. */
    public record CompareForm(
            @NotNull @Size(min = 2, max = 6, message = "Choose from 2 to 6 bags.")
            List<@NotNull @Valid PricePlace> places) {}

    /**
     * Which of some bags leaves the most, by their places in what was asked, from 0.
     *
     * @param mostAnHour for an hour; absent where that isn't known of any
     * @param mostOfOne of one; absent likewise
     * @param noneEnough none of them leaves the least that an hour is worked for
     */
    public record ComparedView(
            @Nullable Integer mostAnHour, @Nullable Integer mostOfOne, boolean noneEnough) {}
}
