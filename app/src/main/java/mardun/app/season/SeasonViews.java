package mardun.app.season;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import mardun.app.days.TapeViews.TapeView;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.FairId;
import mardun.app.id.MaterialId;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.TimeView;
import mardun.core.material.MaterialKind;
import mardun.core.season.SeasonAim;
import org.jspecify.annotations.Nullable;

/** What to make for a season, as it is asked and answered. */
public final class SeasonViews {

    private SeasonViews() {}

    /**
     * What is asked.
     *
     * @param version that was shown
     * @param fairs that are to be made for; none for the shop alone
     * @param shop whether the online shop counts, in the weeks until the last fair
     * @param weeks of the shop, as typed, where there is no fair
     * @param hours free for it, as typed; empty for those of the day plan
     * @param money that may be spent, as typed; empty for as much as is needed
     * @param pieces the most in all, as typed; empty for any number
     * @param keeps in per cent of its price, what a bag is worth to the maker that is left over, as typed
     * @param judgements the maker's own factors on what sales say
     * @param occasions designs that are wanted until a day
     * @param atLeast how many of a kind are made whatever they bring
     */
    public record SeasonForm(
            long version,
            @NotNull @Size(max = 50) List<@NotNull FairId> fairs,
            boolean shop,
            @NotNull @Size(max = 10) String weeks,
            @NotNull @Size(max = 20) String hours,
            @NotNull @Size(max = 20) String money,
            @NotNull @Size(max = 10) String pieces,
            @NotNull @Size(max = 10) String keeps,
            @NotNull SeasonAim aim,
            @NotNull @Size(max = 500) List<@NotNull @Valid SeasonJudgement> judgements,
            @NotNull @Size(max = 500) List<@NotNull @Valid SeasonOccasion> occasions,
            @NotNull @Size(max = 500) List<@NotNull @Valid SeasonNumber> atLeast) {

        /** The same with other occasions, and other numbers that are made in any case. */
        public SeasonForm with(List<SeasonOccasion> otherOccasions, List<SeasonNumber> otherLeast) {
            return new SeasonForm(
                    version,
                    fairs,
                    shop,
                    weeks,
                    hours,
                    money,
                    pieces,
                    keeps,
                    aim,
                    judgements,
                    otherOccasions,
                    otherLeast);
        }

        /** The same with the version that is shown. */
        SeasonForm shownAs(long otherVersion) {
            return new SeasonForm(
                    otherVersion, fairs, shop, weeks, hours, money, pieces, keeps, aim, judgements, occasions, atLeast);
        }
    }

    /**
     * What a design is sold for, which nobody wants afterwards.
     *
     * @param name of the occasion
     * @param lastDay on which it sells
     * @param keeps in per cent of what it leaves at a fair, what a bag is worth that is left over then, as typed
     */
    public record SeasonOccasion(
            @NotNull DesignId designId,
            @NotNull @Size(max = 60) String name,
            @NotNull LocalDate lastDay,
            @NotNull @Size(max = 10) String keeps) {}

    /**
     * The maker's own judgement of a kind of bags.
     *
     * @param percent 150 for half as much again as sales say
     */
    public record SeasonJudgement(
            @NotNull @Size(max = 500) String kind,
            @Min(10) @Max(400) int percent) {}

    /** How many of a kind are made. */
    public record SeasonNumber(
            @NotNull @Size(max = 500) String kind,
            @Min(0) @Max(1000) int units) {}

    /** Numbers that are tried by hand. */
    public record SeasonTry(@NotNull @Size(max = 500) List<@NotNull @Valid SeasonNumber> made) {}

    /**
     * Numbers that become a batch.
     *
     * @param requestId made when the page opens, so that sending it twice makes one
     */
    public record SeasonBatchForm(
            @NotNull UUID requestId,

            @NotNull @Size(max = 500) List<@NotNull @Valid SeasonNumber> made) {}

    /** The batch that came of a plan. */
    public record SeasonBatch(BatchId batchId) {}

    /**
     * The plan.
     *
     * @param sentence what can't be planned, or what contradicts itself; absent where all can
     * @param until the last day that counts
     * @param freeHours as the day plan says, before the first fair
     * @param choices the fairs that may be made for
     * @param outcome of the plan; absent where nothing can be planned
     * @param gap no other choice promises more than this over it
     * @param limits what holds the making back, the dearest first
     * @param sets which bags sell as sets, in sentences
     * @param rests what the estimates rest on, in a sentence
     */
    public record SeasonPlanView(
            SeasonForm form,
            LocalDate today,
            @Nullable String sentence,
            @Nullable LocalDate until,
            TimeView freeHours,
            List<SeasonFairChoice> choices,
            @Nullable SeasonOutcomeView outcome,
            @Nullable MoneyView gap,
            List<SeasonLimit> limits,
            List<SeasonRow> rows,
            List<SeasonLeftOut> leftOut,
            List<String> sets,
            String rests) {}

    /** A fair that may be made for. */
    public record SeasonFairChoice(FairId id, String name, LocalDate heldOn, boolean chosen) {}

    /** A bag that can't be planned, and why. */
    public record SeasonLeftOut(String bag, String why) {}

    /**
     * What is to be expected.
     *
     * @param expected takings after fees and the worth of what is left over, less what is bought
     * @param ofMaking what of it comes of making
     * @param badDay one season in ten leaves less
     * @param goodDay one in ten leaves more
     * @param perHour what an hour of making brings
     * @param doneOn the day on which the day plan's free hours suffice for it, if it is begun now; absent where nothing is made, or that is
     *     more than a year ahead
     * @param isLate whether that isn't before the first fair
     * @param broken the limits that it breaks, each a sentence
     */
    public record SeasonOutcomeView(
            int pieces,
            TimeView time,
            MoneyView spent,
            MoneyView expected,
            MoneyView ofMaking,
            MoneyView badDay,
            MoneyView goodDay,
            @Nullable MoneyView perHour,
            @Nullable LocalDate doneOn,
            boolean isLate,
            List<String> broken) {}

    /** What a little more of a limit would bring, in a sentence, and by itself. */
    public record SeasonLimit(String what, String sentence, MoneyView brings) {}

    /**
     * A kind of bags in the plan.
     *
     * @param kind its key
     * @param have that are there or in a batch
     * @param make how many the plan makes
     * @param wanted buyers that are expected in all
     * @param low nine in ten seasons bring more
     * @param high nine in ten seasons bring fewer
     * @param buyers these three as they are written
     * @param sold that are expected to be sold
     * @param soldOut in how many of a hundred seasons it is gone in the end
     * @param each hands-on time of one, without set-ups
     * @param next what one more would bring
     * @param reason why so many
     * @param rests the sales that the estimate rests on, and how much of it is borrowed
     * @param judgement the maker's own, in per cent
     * @param atLeast so many are made whatever they bring
     * @param occasion what it is sold for; absent where it sells all year
     */
    public record SeasonRow(
            String kind,
            DesignId designId,
            String design,
            String size,
            String cloth,
            int have,
            int make,
            double wanted,
            double low,
            double high,
            String buyers,
            double sold,
            int soldOut,
            TimeView each,
            MoneyView price,
            MoneyView next,
            String reason,
            String rests,
            int judgement,
            int atLeast,
            @Nullable OccasionView occasion) {}

    /**
     * What a bag is sold for.
     *
     * @param isOver whether its last day is behind
     * @param lastSale when it can be sold for the last time: at the last fair before the end of it, or on its last day in the shop; absent
     *     where nothing that counts comes before
     * @param beginBy the last day to begin what is made of its design; absent where none is made, or time is too short for it
     */
    public record OccasionView(
            String name,
            LocalDate lastDay,
            boolean isOver,
            @Nullable LocalDate lastSale,
            @Nullable LocalDate beginBy) {}

    /**
     * Numbers made as one batch: laid out on its cloths, and laid on the coming days beside all open work. Nothing of it is kept.
     *
     * @param time hands-on, with the changing of machines
     * @param changing how much of it that is, in the order that is found
     * @param takes of each cloth, and of whatever else falls short
     * @param ready the day on which it would be done; absent for want of time
     * @param late whether that isn't by the day before the first fair
     * @param delays open batches that would be done later than without it
     */
    public record SeasonLaidOut(
            TimeView time,
            TimeView changing,
            List<SeasonTakes> takes,
            TapeView tape,
            LocalDate today,
            @Nullable LocalDate ready,
            boolean late,
            List<SeasonDelay> delays) {}

    /**
     * What of a material is taken.
     *
     * @param laidOut by a layout of all its pieces
     * @param shortBy what of it has to be bought; absent for nothing
     */
    public record SeasonTakes(
            MaterialId materialId,
            MaterialKind kind,
            String name,
            String colour,
            AmountView takes,
            AmountView there,
            boolean laidOut,
            @Nullable AmountView shortBy) {}

    /**
     * An open batch that would be done later.
     *
     * @param after absent for want of time
     * @param late whether it would be late then, and isn't now
     */
    public record SeasonDelay(
            BatchId batchId,
            String name,
            String forWhat,
            LocalDate before,
            @Nullable LocalDate after,
            boolean late) {}

    /**
     * What numbers that were tried by hand leave.
     *
     * @param less than the plan's; below zero where they promise more
     */
    public record SeasonTried(SeasonOutcomeView outcome, MoneyView less) {}
}
