package mardun.core.making;

import java.time.Duration;
import java.util.List;
import mardun.core.measure.Length;

/**
 * Bags that were counted at a step that sews.
 *
 * @param each how much it sews for one bag; zero where the step doesn't say along which edges it sews
 * @param bags how many; below zero where more were taken back than counted
 * @param took hands-on time
 */
public record SeamSewn(Length each, int bags, Duration took) {

    /** About how much was sewn in all: what steps say they sew, and in the time of the others as much at the same pace; zero where none says it. */
    public static Length about(List<SeamSewn> counted) {
        double nanometres = 0;
        long millis = 0;
        long known = 0;
        for (SeamSewn one : counted) {
            millis += one.took.toMillis();
            if (one.each.isPositive() && one.bags > 0) {
                nanometres += (double) one.each.nanometres() * one.bags;
                known += one.took.toMillis();
            }
        }
        return new Length(Math.round(known == 0 ? nanometres : nanometres * millis / known));
    }
}
