package mardun.app.batch;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.app.id.MaterialId;
import mardun.app.show.Views.TimeView;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import org.jspecify.annotations.Nullable;

/** What is shown of a batch's order of work, and what is wanted of it. */
public final class OrderViews {

    private OrderViews() {}

    /**
     * The order of work: what is still to be done of a batch, with the least changing of machines.
     *
     * @param kinds how often each part of a machine's set-up is changed
     * @param walks how often one goes to another station
     * @param changing how long both take
     * @param lineByLine how long they would take line after line
     * @param proven there is no better order
     * @param overLeast no order is better by more than this
     * @param circle steps that wait for one another, so that there is no order; empty otherwise
     * @param version that the batch was read at
     * @param wishes what is wanted of the order
     * @param prices what each of these wishes costs
     * @param threads the threads in it, one of which may be wanted first
     * @param matches which thread matches which cloth, where a step says that it matches
     * @param lacks what its operations need that the maker hasn't, in sentences
     */
    public record OrderView(
            long version,
            Wishes wishes,
            List<WishPrice> prices,
            List<String> threads,
            List<String> lacks,
            List<MatchView> matches,
            List<TurnView> turns,
            List<ChangeCount> kinds,
            ChangeCount walks,
            TimeView changing,
            TimeView lineByLine,
            boolean proven,
            TimeView overLeast,
            List<String> circle) {}

    /**
     * What is wanted of an order of work, whatever it costs; turns are known by their keys.
     *
     * @param threadFirst what is sewn with this thread comes first, as far as it may; empty for none
     * @param without what isn't changed for a turn: what is on the machine does
     * @param matching the threads that the maker chose; absent for none
     * @param apart operations that are done line after line, by their names; absent for none
     * @param bundle so many bags go through all seams before the next are begun; absent for all at once
     * @param pressInOneGo the press is gone to as seldom as may be; absent for no
     * @param oneFirst one bag is sewn to the end and measured before the others; absent for no
     * @param putAway days end only where what is half made can be put away; absent for wherever they end
     */
    public record Wishes(
            @NotNull @Size(max = 100) List<@NotNull @Valid BeforeWish> before,
            @NotNull @Size(max = 200) String threadFirst,
            @NotNull @Size(max = 100) List<@NotNull @Valid WithoutWish> without,
            @Nullable @Size(max = 60) List<@NotNull @Valid ThreadChoice> matching,
            @Nullable @Size(max = 100) List<@NotNull @Size(max = 300) String> apart,
            @Nullable @Min(1) @Max(1000) Integer bundle,
            @Nullable Boolean pressInOneGo,
            @Nullable Boolean oneFirst,
            @Nullable Boolean putAway) {}

    /** The thread that is taken for a cloth, wherever a step says that it matches. */
    public record ThreadChoice(
            @NotNull MaterialId cloth, @NotNull MaterialId thread) {}

    /**
     * The thread that matches a cloth.
     *
     * @param thread absent where none on the shelf is near enough
     * @param name the thread's, or what it shall match
     * @param isChosen the maker chose it; else it is the nearest in colour
     * @param passable what would do, the nearest first
     */
    public record MatchView(
            MaterialId cloth,
            String clothName,
            String clothColour,
            @Nullable MaterialId thread,
            String name,
            boolean isChosen,
            List<SpoolView> passable) {}

    /**
     * A thread that would do for a cloth.
     *
     * @param saves how much less is changed with it than with the one that is taken; absent for nothing
     */
    public record SpoolView(
            MaterialId id,
            String name,
            String colour,
            @Nullable TimeView saves) {}

    /** One turn comes before another. */
    public record BeforeWish(
            @NotNull @Size(max = 400) String first,
            @NotNull @Size(max = 400) String then) {}

    /** A turn does without a part of its set-up. */
    public record WithoutWish(
            @NotNull @Size(max = 400) String turn, @NotNull SetUp.Part part) {}

    /** Wishes to be kept. */
    public record WishesForm(long version, @NotNull @Valid Wishes wishes) {}

    /**
     * What a wish costs.
     *
     * @param before the wish, if it is one of these; absent otherwise
     * @param without likewise
     * @param apart likewise: the operation's name
     * @param bundle it is about bundles
     * @param pressInOneGo it is about the press
     * @param words it in words
     * @param more so much longer than without it, with its sign: {@code +1.6 min}
     * @param asksForNothing what it is about isn't there any more
     */
    public record WishPrice(
            @Nullable BeforeWish before,
            @Nullable WithoutWish without,
            @Nullable String apart,
            boolean bundle,
            boolean pressInOneGo,
            String words,
            String more,
            boolean asksForNothing) {}

    /**
     * A change that could be done without.
     *
     * @param name of the operation
     * @param change what is put on for it
     * @param saves how long that and what follows from it takes
     */
    public record Saving(WithoutWish without, String name, String change, TimeView saves) {}

    /** How often something is changed, line after line and in this order. */
    public record ChangeCount(String kind, int lineByLine, int now) {}

    /**
     * An operation at its place in the order.
     *
     * @param key what it is known by
     * @param after the places of those that it must come after
     * @param machine what it is done at, by its name; empty where no machines are listed
     * @param elsewhere one goes to its place from another
     * @param changes what has to be changed for it, and only that
     * @param mayBeApart it is done for several lines at once
     * @param bagsTimed on how many measured bags its time rests; none for a guess
     * @param passive time after it that needs no hands
     */
    public record TurnView(
            String key,
            List<Integer> after,
            String name,
            List<Integer> lines,
            int units,
            Stage stage,
            Station station,
            String machine,
            boolean elsewhere,
            List<String> changes,
            TimeView time,
            boolean mayBeApart,
            int bagsTimed,
            TimeView passive,
            String check,
            String caution,
            String note) {}
}
