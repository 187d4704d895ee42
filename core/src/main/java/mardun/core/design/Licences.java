package mardun.core.design;

import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.LongSupplier;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/** What the licence of somebody else's pattern says about making and selling more. */
public final class Licences {

    private Licences() {}

    /**
     * What to tell the maker before {@code units} more are made.
     *
     * @param made how many were made or planned already; this year, where the licence goes by the year
     */
    public static Optional<Finding> look(Source source, long made, long units) {
        return switch (source.licence()) {
            case OWN, FREE_TO_SELL -> Optional.empty();
            case NOT_FOR_SALE ->
                Optional.of(Finding.care(
                        Check.LICENCE,
                        "source",
                        Sentence.of("This pattern by " + by(source) + " isn't for selling."),
                        Sentence.of("Make it as a gift, or ask the designer.")));
            case SO_MANY, SO_MANY_A_YEAR ->
                made + units <= source.most()
                        ? Optional.empty()
                        : Optional.of(Finding.care(
                                Check.LICENCE,
                                "source",
                                Sentence.of(
                                        source.licence().isByYear()
                                                ? "The licence for this pattern by {0} allows {1} a year, and with these there would be {2} this year."
                                                : "The licence for this pattern by {0} allows {1}, and with these there would be {2}.",
                                        Value.of(by(source)),
                                        Value.of(source.most()),
                                        Value.of(made + units)),
                                Sentence.of("Make fewer, or ask the designer.")));
        };
    }

    /**
     * How many more may be made to be sold.
     *
     * @param made how many were made or planned already, this year where the licence goes by the year; asked for only where that counts
     * @return empty for any number
     */
    public static OptionalLong left(Source source, LongSupplier made) {
        return switch (source.licence()) {
            case OWN, FREE_TO_SELL -> OptionalLong.empty();
            case NOT_FOR_SALE -> OptionalLong.of(0);
            case SO_MANY, SO_MANY_A_YEAR -> OptionalLong.of(Math.max(0, source.most() - made.getAsLong()));
        };
    }

    /** Why bags mayn't lie at a shop that sells them for the maker; empty where they may. */
    public static Optional<Sentence> againstResellers(Source source) {
        return source.has(Source.Condition.NO_RESELLERS)
                ? Optional.of(Sentence.of(
                        "The licence for this pattern by {0} doesn't let others sell the bags.", Value.of(by(source))))
                : Optional.empty();
    }

    /** Why a pattern sheet or cut pieces mayn't be sold; empty where they may. */
    public static Optional<Sentence> againstKits(Source source) {
        return source.has(Source.Condition.ONLY_FINISHED)
                ? Optional.of(Sentence.of(
                        "The licence for this pattern by {0} lets only finished bags be sold: no kit, and not this sheet.",
                        Value.of(by(source))))
                : Optional.empty();
    }

    private static String by(Source source) {
        return source.designer().isBlank() ? "somebody else" : source.designer();
    }
}
