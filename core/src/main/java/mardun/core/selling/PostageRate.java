package mardun.core.selling;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mardun.core.measure.Bulk;
import mardun.core.measure.Length;
import org.joda.money.Money;

/**
 * What it costs to post something of up to a weight and a size to a zone.
 *
 * @param zone where to, in the maker's word
 * @param name what it is called where it is posted
 * @param most the heaviest that may be posted so
 * @param longest the most that the longest side may measure; empty where that doesn't matter
 * @param middle the most for the side between; empty likewise
 * @param shortest the most for the shortest side; empty likewise
 */
public record PostageRate(
        String zone,
        String name,
        Bulk most,
        Optional<Length> longest,
        Optional<Length> middle,
        Optional<Length> shortest,
        Money price) {

    /** Why a parcel isn't posted so. */
    public enum Misfit {
        TOO_HEAVY,
        TOO_LARGE
    }

    /** Why a parcel can't be posted at this rate; empty where it can. */
    public Optional<Misfit> misfit(Parcel parcel) {
        if (parcel.weight().amount() > most.amount()) {
            return Optional.of(Misfit.TOO_HEAVY);
        }
        boolean fits = within(parcel.longest(), longest)
                && within(parcel.middle(), middle)
                && within(parcel.shortest(), shortest);
        return fits ? Optional.empty() : Optional.of(Misfit.TOO_LARGE);
    }

    private static boolean within(Length side, Optional<Length> limit) {
        return limit.map(most -> side.compareTo(most) <= 0).orElse(true);
    }

    /** The cheapest of some rates at which a parcel goes to a zone; of those that cost as much, the first. */
    public static Optional<PostageRate> cheapest(List<PostageRate> rates, String zone, Parcel parcel) {
        return rates.stream()
                .filter(rate -> rate.zone().equals(zone) && rate.misfit(parcel).isEmpty())
                .min(Comparator.comparing(PostageRate::price));
    }
}
