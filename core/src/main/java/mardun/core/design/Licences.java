package mardun.core.design;

import java.util.Optional;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/** What the licence of somebody else's pattern says about making and selling more. */
public final class Licences {

    private Licences() {}

    /**
     * What to tell the maker before {@code units} more are made.
     *
     * @param made how many were made or planned already
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
            case SO_MANY ->
                made + units <= source.most()
                        ? Optional.empty()
                        : Optional.of(Finding.care(
                                Check.LICENCE,
                                "source",
                                Sentence.of(
                                        "The licence for this pattern by {0} allows {1}, and with these there would be {2}.",
                                        Value.of(by(source)), Value.of(source.most()), Value.of(made + units)),
                                Sentence.of("Make fewer, or ask the designer.")));
        };
    }

    private static String by(Source source) {
        return source.designer().isBlank() ? "somebody else" : source.designer();
    }
}
