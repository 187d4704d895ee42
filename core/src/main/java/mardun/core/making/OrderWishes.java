package mardun.core.making;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a maker wants of an order of work, whatever it costs. Turns are known by their keys ({@link WorkOrder.Turn#key()}); a wish about
 * a turn that isn't there any more asks for nothing.
 *
 * @param before which turns come before which others
 * @param threadFirst what is sewn with this thread comes before what is sewn with others, as far as it may; empty for none
 * @param threads which thread the maker chose for a cloth that it shall match: keys of threads by keys of cloths
 * @param without what isn't put on the machine for a turn: what is on it does
 */
public record OrderWishes(
        List<Before> before, Optional<String> threadFirst, List<Without> without, Map<String, String> threads) {

    public static final OrderWishes NONE = new OrderWishes(List.of(), Optional.empty(), List.of(), Map.of());

    /** One turn comes before another. */
    public record Before(String first, String then) {}

    /** A turn does without a part of its set-up. */
    public record Without(String turn, SetUp.Part part) {}

    public OrderWishes {
        before = List.copyOf(before);
        without = List.copyOf(without);
        threads = Map.copyOf(threads);
    }

    /** These wishes without one of them. */
    public OrderWishes except(Before wish) {
        return new OrderWishes(
                before.stream().filter(one -> !one.equals(wish)).toList(), threadFirst, without, threads);
    }

    /** These wishes without one of them. */
    public OrderWishes except(Without wish) {
        return new OrderWishes(
                before,
                threadFirst,
                without.stream().filter(one -> !one.equals(wish)).toList(),
                threads);
    }

    /** These wishes without a thread that comes first. */
    public OrderWishes exceptThread() {
        return new OrderWishes(before, Optional.empty(), without, threads);
    }

    /** These wishes with another thread for a cloth. */
    public OrderWishes with(String cloth, String thread) {
        Map<String, String> others = new HashMap<>(threads);
        others.put(cloth, thread);
        return new OrderWishes(before, threadFirst, without, others);
    }

    /** These wishes and one more. */
    public OrderWishes and(Without wish) {
        List<Without> more = new ArrayList<>(without);
        more.add(wish);
        return new OrderWishes(before, threadFirst, more, threads);
    }
}
