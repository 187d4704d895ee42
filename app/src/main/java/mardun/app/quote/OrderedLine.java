package mardun.app.quote;

import com.fasterxml.jackson.annotation.JsonCreator;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * So many bags that a customer has ordered.
 *
 * @param about what they are, and in which cloth
 * @param wish what is special about them; may be empty
 */
record OrderedLine(int units, String about, String wish) {

    private static final Pattern STORED = Pattern.compile("(\\d+) × (.*?)(?:: (.*))?", Pattern.DOTALL);

    @JsonCreator
    OrderedLine {}

    /** A line that was stored as one text: {@code 12 × Heron pouch: no zip pull}. */
    @JsonCreator
    static OrderedLine of(String stored) {
        Matcher line = STORED.matcher(stored);
        return line.matches()
                ? new OrderedLine(
                        Integer.parseInt(line.group(1)),
                        line.group(2),
                        Optional.ofNullable(line.group(3)).orElse(""))
                : new OrderedLine(0, stored, "");
    }

    /** As it is read. */
    String words() {
        return (units == 0 ? "" : units + " × ") + about + (wish.isEmpty() ? "" : ": " + wish);
    }

    /** The same without what may tell whose they are. */
    OrderedLine forgotten() {
        return new OrderedLine(units, about, "");
    }
}
