package mardun.app.quote;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import mardun.app.design.PictureView;
import mardun.app.quote.QuoteViews.QuoteForm;
import org.jspecify.annotations.Nullable;

/**
 * A quote as it was given to the customer: what stands on the paper, and the prices that were said. It never changes again.
 *
 * @param form as it was typed
 * @param depositShare what is paid before the work is begun, from 0 to 1
 * @param likely by when it is done in eight of ten cases; absent where nobody could tell
 */
record GivenPaper(
        QuoteForm form,
        String currency,
        String heading,
        String terms,
        LocalDate givenOn,
        LocalDate validUntil,
        @Nullable LocalDate likely,
        List<GivenLine> lines,
        long totalMinor,
        BigDecimal depositShare,
        long depositMinor) {

    /** The same without what tells who asked. */
    GivenPaper forgotten() {
        return new GivenPaper(
                form.forgotten(),
                currency,
                heading,
                terms,
                givenOn,
                validUntil,
                likely,
                lines.stream().map(GivenLine::forgotten).toList(),
                totalMinor,
                depositShare,
                depositMinor);
    }

    /** What is paid when it is handed over. */
    long restMinor() {
        return totalMinor - depositMinor;
    }

    /**
     * A line of it.
     *
     * @param picture of the bag; absent where it can't be drawn, and on paper from before there were any
     * @param priceMinor the maker's price for one, in the units that were asked for
     * @param paysMinor what the customer pays for one, tax included
     * @param others the same for other numbers
     */
    record GivenLine(
            String about,
            String cloth,
            @Nullable PictureView picture,
            String wish,
            int units,
            long priceMinor,
            long paysMinor,
            List<Other> others) {

        /** The same without the words of the wish. */
        GivenLine forgotten() {
            return new GivenLine(about, cloth, picture, "", units, priceMinor, paysMinor, others);
        }

        /** What the customer pays for all of them. */
        long togetherMinor() {
            return Math.multiplyExact(paysMinor, (long) units);
        }

        /** All prices that were said, by the number of bags. */
        Map<Integer, Other> byNumber() {
            Map<Integer, Other> all = new TreeMap<>();
            all.put(units, new Other(units, priceMinor, paysMinor));
            others.forEach(other -> all.putIfAbsent(other.units(), other));
            return all;
        }
    }

    /** What one costs when so many are ordered. */
    record Other(int units, long priceMinor, long paysMinor) {}
}
