package mardun.app.tally;

import java.util.List;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.log.SlipOutcome;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.TimeView;
import mardun.core.material.Part;
import org.jspecify.annotations.Nullable;

/** What became of a batch, against what was planned. */
public final class TallyViews {

    private TallyViews() {}

    /**
     * What became of a batch.
     *
     * @param open something of it is still to be made: so far
     * @param timed something of it was timed; else its minutes are those of the plan
     * @param planned hands-on time as planned
     * @param took hands-on time as it was timed, and as planned where it wasn't
     * @param setUps how often machines were set up
     * @param perHour what an hour earned at the prices asked for; absent where that isn't known
     * @param learnt in sentences
     */
    public record TallyView(
            BatchId batchId,
            boolean open,
            boolean timed,
            List<TallyLine> lines,
            List<TallyStep> steps,
            List<TallyMaterial> materials,
            List<TallySlip> slips,
            TimeView planned,
            TimeView took,
            int setUps,
            @Nullable MoneyView cost,
            @Nullable MoneyView perHour,
            List<String> learnt) {}

    /**
     * A line.
     *
     * @param what the design and the size
     * @param plannedCost what one was to cost when its cloth was about to be cut; absent where nobody kept that
     * @param cost what one costs that came out
     * @param price asked for at the stall; absent where none is known
     * @param perHour what an hour earned at that price
     * @param prices what it leaves through each channel; none while something of its cost is missing
     */
    public record TallyLine(
            int number,
            DesignId designId,
            String what,
            String cloth,
            int wanted,
            int started,
            int good,
            int seconds,
            int scrap,
            @Nullable MoneyView plannedCost,
            @Nullable MoneyView cost,
            @Nullable MoneyView price,
            @Nullable MoneyView perHour,
            List<TallyPrice> prices) {}

    /**
     * What one that came out leaves through a channel.
     *
     * @param price that is set there, or reckoned; as it is now
     * @param left after what the channel takes and the true cost
     */
    public record TallyPrice(
            String channel,
            MoneyView price,
            MoneyView left,
            @Nullable MoneyView perHour) {}

    /**
     * A step of all lines that have it.
     *
     * @param planned for all bags, with what is done once
     * @param took the same as it was timed; as planned where it wasn't
     * @param timed on how many timed bags that rests; none where it is as planned
     */
    public record TallyStep(String name, TimeView planned, TimeView took, long tookMore, int timed) {}

    /**
     * A material.
     *
     * @param planned what it was to take
     * @param used what it has taken
     * @param onHand what the book says is there now
     * @param asked what is left of it is worth measuring: cloth and what is bought by length
     */
    public record TallyMaterial(
            MaterialId materialId,
            Part part,
            String name,
            AmountView planned,
            AmountView used,
            AmountView onHand,
            boolean asked) {}

    /** Something that went wrong. */
    public record TallySlip(String step, int bags, SlipOutcome outcome, String reason) {}
}
