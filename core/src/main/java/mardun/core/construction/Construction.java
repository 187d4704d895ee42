package mardun.core.construction;

import java.util.Optional;
import java.util.stream.Stream;
import mardun.core.formula.Rule;

/**
 * One way of making a part of a bag: the rule from what is wanted to what is cut, and the rule back. The rule back takes
 * what is cut first, and the other values by the same symbols.
 *
 * @param school what makers call this way, or what it is for
 * @param cut gives what is cut or bought; its first value is what is wanted
 * @param wanted gives what comes out of what was cut; empty where nobody asks for that
 */
public record Construction(Subject subject, String school, Rule cut, Optional<Rule> wanted) {

    static Construction of(Subject subject, String school, Rule cut, Rule wanted) {
        return new Construction(subject, school, cut, Optional.of(wanted));
    }

    static Construction of(Subject subject, String school, Rule cut) {
        return new Construction(subject, school, cut, Optional.empty());
    }

    Stream<Rule> rules() {
        return Stream.concat(Stream.of(cut), wanted.stream());
    }
}
