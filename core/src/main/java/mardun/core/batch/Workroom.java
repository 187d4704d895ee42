package mardun.core.batch;

import java.util.Map;
import mardun.core.costing.LabourRates;
import mardun.core.costing.Overheads;
import mardun.core.costing.WasteSchool;
import mardun.core.making.SetUpSpread;
import mardun.core.making.WorkKind;
import mardun.core.measure.Length;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import org.joda.money.Money;

/**
 * What the maker has settled once for all batches.
 *
 * @param hourlyRate what an hour of work is usually worth
 * @param overheads what bags bear of what none takes by itself
 * @param otherRates of kinds of work that are paid otherwise
 * @param thickestSeam the thickest seam that the machine sews
 * @param endTrim what is cut off the end of a roll of trim before lengths are cut from it
 * @param keptLength the shortest left-over length of trim that is kept
 * @param setUps how the time that is spent once is spread over lines that share it
 * @param waste who bears the cloth that no piece is cut from
 */
public record Workroom(
        Money hourlyRate,
        Overheads overheads,
        Channel stall,
        PriceChoice prices,
        Length thickestSeam,
        Length endTrim,
        Length keptLength,
        SetUpSpread setUps,
        WasteSchool waste,
        Map<WorkKind, Money> otherRates) {

    public Workroom {
        otherRates = Map.copyOf(otherRates);
    }

    /** One where all work is paid alike, and overheads go by the hour. */
    public Workroom(
            Money hourlyRate,
            Money overheadPerHour,
            Channel stall,
            PriceChoice prices,
            Length thickestSeam,
            Length endTrim,
            Length keptLength,
            SetUpSpread setUps,
            WasteSchool waste) {
        this(
                hourlyRate,
                Overheads.of(overheadPerHour),
                stall,
                prices,
                thickestSeam,
                endTrim,
                keptLength,
                setUps,
                waste,
                Map.of());
    }

    /** What an hour of each kind of work is worth. */
    public LabourRates rates() {
        return new LabourRates(hourlyRate, otherRates);
    }

    /** One that trims no ends and keeps every length. */
    public Workroom(Money hourlyRate, Money overheadPerHour, Channel stall, PriceChoice prices, Length thickestSeam) {
        this(
                hourlyRate,
                overheadPerHour,
                stall,
                prices,
                thickestSeam,
                Length.ZERO,
                Length.ZERO,
                SetUpSpread.BY_UNITS,
                WasteSchool.BY_STRIP);
    }
}
