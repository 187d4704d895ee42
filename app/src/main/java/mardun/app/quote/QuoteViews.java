package mardun.app.quote;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import mardun.app.batch.BatchViews.Pick;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.design.PictureView;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.quote.CustomerOrderViews.CustomerOrderView;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.TimeView;
import mardun.core.pricing.Favour;
import org.jspecify.annotations.Nullable;

/** What the interface sends and gets to see of quotes. */
public final class QuoteViews {

    private QuoteViews() {}

    /** How a quote stands. */
    public enum QuoteState {
        DRAFT,
        GIVEN,
        ACCEPTED,
        DECLINED
    }

    /**
     * A quote as it is typed.
     *
     * @param requestId made by the form when it opens, so that sending it twice begins one quote
     * @param who the customer's name
     * @param reach one way to reach them; may be empty
     * @param by when it is wanted; absent for no day
     * @param channelId through which it is sold; absent for the usual one
     * @param favour for how little, where it is a favour
     * @param deposit in per cent, as typed; empty for none
     * @param validUntil absent for as long as is usual from the day on which it is given
     * @param note for the customer; may be empty
     */
    public record QuoteForm(
            @NotNull UUID requestId,
            long version,
            @NotNull @Size(max = 120) String who,
            @NotNull @Size(max = 200) String reach,
            @Nullable LocalDate by,
            @Nullable ChannelId channelId,
            @NotNull Favour favour,
            @NotNull @Size(max = 20) String deposit,
            @Nullable LocalDate validUntil,
            @NotNull @Size(max = 600) String note,

            @NotNull @Size(min = 1, max = 20, message = "A quote is for 1 to 20 kinds of bags.")
            List<@NotNull @Valid QuoteLineForm> lines) {

        /** The same without what tells who asked. */
        QuoteForm forgotten() {
            return new QuoteForm(
                    requestId,
                    version,
                    "",
                    "",
                    by,
                    channelId,
                    favour,
                    deposit,
                    validUntil,
                    "",
                    lines.stream().map(QuoteLineForm::forgotten).toList());
        }
    }

    /**
     * So many bags of one kind.
     *
     * @param sizeKey what the size is known by, whatever it is called
     * @param units how many are asked for, as typed
     * @param numbers other numbers to be priced, as typed, such as {@code 6, 12, 24}; may be empty
     * @param wish what is special about them; may be empty
     * @param wishMinutes what the wish takes of each, as typed; empty for nothing
     * @param wishMaterial what its material costs for each, as typed; empty for nothing
     * @param ownPrice the maker's price for one; empty for the usual or the favour's
     * @param picks what is chosen where the design leaves something open; absent for the usual
     */
    public record QuoteLineForm(
            @NotNull DesignId designId,
            @NotNull @Size(max = 60) String sizeKey,
            @NotNull @Size(max = 50) List<@NotNull @Valid SlotChoice> materials,
            @NotNull @Size(max = 20) String units,
            @NotNull @Size(max = 60) String numbers,
            @NotNull @Size(max = 300) String wish,
            @NotNull @Size(max = 20) String wishMinutes,
            @NotNull @Size(max = 20) String wishMaterial,
            @NotNull @Size(max = 20) String ownPrice,
            @Nullable @Size(max = 20) List<@NotNull @Valid Pick> picks) {

        /** The same without the words of the wish; what it takes stays. */
        QuoteLineForm forgotten() {
            return new QuoteLineForm(
                    designId, sizeKey, materials, units, numbers, "", wishMinutes, wishMaterial, ownPrice, picks);
        }
    }

    /**
     * What a quote comes to.
     *
     * @param total what the customer pays
     * @param rest what is paid when it is handed over
     * @param given what is given away by it; absent for nothing
     * @param hours hands-on time of all of it
     * @param perHour what an hour of it earns; absent where no price or no time is known
     * @param ready the day on which it is done if all goes as estimated, behind all other work that is due before; absent if never
     * @param likely the day by which it is done in eight of ten cases
     * @param sure in how many of a hundred cases it is done by the day it is wanted; absent where none is said
     * @param toBuy what has to be bought for it first
     */
    public record QuoteFigures(
            List<QuoteLineFigures> lines,
            @Nullable MoneyView total,
            @Nullable MoneyView deposit,
            @Nullable MoneyView rest,
            @Nullable MoneyView given,
            TimeView hours,
            @Nullable MoneyView perHour,
            @Nullable LocalDate ready,
            @Nullable LocalDate likely,
            @Nullable Integer sure,
            List<String> toBuy) {}

    /**
     * What a line of a quote comes to.
     *
     * @param picture of the bag; absent where it can't be drawn
     * @param photo the address of a photo that stands in its place; absent for none
     * @param problem why there is no price; absent where there is one
     * @param cost what one costs, wishes included
     * @param usual what is usually asked for one
     * @param price what is asked for one
     * @param pays what the customer pays for one, tax included
     * @param total for all of them
     * @param byNumber what other numbers would cost
     */
    public record QuoteLineFigures(
            String design,
            String size,
            String cloth,
            @Nullable PictureView picture,
            @Nullable String photo,
            int units,
            @Nullable String problem,
            @Nullable MoneyView cost,
            @Nullable MoneyView usual,
            @Nullable MoneyView price,
            @Nullable MoneyView pays,
            @Nullable MoneyView total,
            @Nullable MoneyView left,
            @Nullable MoneyView perHour,
            TimeView each,
            List<ByNumber> byNumber) {}

    /** What one costs when so many are ordered. */
    public record ByNumber(
            int units,
            MoneyView cost,
            MoneyView price,
            MoneyView pays,
            @Nullable MoneyView perHour) {}

    /** A quote in the list, the latest first. */
    public record QuoteRow(
            long id,
            QuoteState state,
            String who,
            String about,
            int versions,
            @Nullable MoneyView total,
            @Nullable LocalDate givenOn,
            @Nullable LocalDate validUntil,
            boolean isOver,
            @Nullable LocalDate by) {}

    /**
     * A quote.
     *
     * @param figures what it comes to today; absent where it was decided, and where that can't be worked out
     * @param trouble why it can't be worked out; absent where it can
     * @param changed it has changed since its last version was given
     * @param reason why it was declined; empty else
     * @param order absent as long as it isn't accepted
     * @param forgotten who asked is kept no longer
     */
    public record QuoteView(
            long id,
            QuoteState state,
            QuoteForm form,
            @Nullable QuoteFigures figures,
            @Nullable String trouble,
            List<QuoteVersionView> versions,
            boolean changed,
            String reason,
            @Nullable CustomerOrderView order,
            boolean forgotten) {}

    /** A version that was given to the customer. */
    public record QuoteVersionView(
            int number,
            LocalDate givenOn,
            MoneyView total,
            LocalDate validUntil,
            boolean isOver,
            List<AgreedNumbers> lines) {}

    /** For which numbers a version has a price. */
    public record AgreedNumbers(String about, int units, List<Integer> others) {}

    /**
     * The customer takes a version.
     *
     * @param units how many of each of its lines, as typed
     */
    public record AcceptForm(
            @NotNull UUID requestId,
            long version,
            @Min(1) @Max(1_000) int number,
            @NotNull @Size(min = 1, max = 20) List<@NotNull @Size(max = 20) String> units) {}

    /** The customer doesn't want it. */
    public record DeclineForm(
            long version, @NotNull @Size(max = 500) String reason) {}

    /** A quote is given to the customer as it stands, or opened again. */
    public record QuoteStep(long version) {}

    /**
     * What stands on every quote.
     *
     * @param heading the maker's name and address, a line each
     * @param deposit in per cent, as typed; what a new quote begins with
     * @param validDays as typed
     */
    public record QuotePaperForm(
            long version,
            @NotNull @Size(max = 600) String heading,
            @NotNull @Size(max = 1000) String terms,
            @NotNull @Size(max = 20) String deposit,
            @NotNull @Size(max = 20) String validDays) {}
}
