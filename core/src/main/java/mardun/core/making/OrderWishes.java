package mardun.core.making;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a maker wants of an order of work, whatever it costs. Turns are known by their keys ({@link WorkOrder.Turn#key()}); a wish about
 * a turn that isn't there any more asks for nothing.
 *
 * @param before which turns come before which others
 * @param threadFirst what is sewn with this thread comes before what is sewn with others, as far as it may; empty for none
 * @param without what isn't put on the machine for a turn: what is on it does
 * @param threads which thread the maker chose for a cloth that it shall match: keys of threads by keys of cloths
 * @param apart operations that are done line after line though they could be done at once: their names, as {@link SetUp#plain} writes them
 * @param bundle so many bags go from the first seam to the end before the next ones are begun; empty for all at once
 * @param habits what else she likes
 */
public record OrderWishes(
        List<Before> before,
        Optional<String> threadFirst,
        List<Without> without,
        Map<String, String> threads,
        Set<String> apart,
        Optional<Integer> bundle,
        Set<Habit> habits) {

    public static final OrderWishes NONE = new OrderWishes(List.of(), Optional.empty(), List.of(), Map.of());

    /** One turn comes before another. */
    public record Before(String first, String then) {}

    /** A turn does without a part of its set-up. */
    public record Without(String turn, SetUp.Part part) {}

    /** What a maker may like. */
    public enum Habit {
        /** To stand at the press as seldom as may be. */
        PRESS_IN_ONE_GO,
        /** To sew one bag to the end and measure it before the others are begun. */
        ONE_FIRST,
        /** To stop for the day only where what is half made can be put away ({@link Step#goesOn}). */
        PUT_AWAY
    }

    /** Wishes as they were stored before there were the last three may lack those. */
    public OrderWishes {
        before = List.copyOf(before);
        without = List.copyOf(without);
        threads = Map.copyOf(threads);
        apart = apart == null ? Set.of() : Set.copyOf(apart);
        bundle = bundle == null ? Optional.empty() : bundle;
        habits = habits == null ? Set.of() : Set.copyOf(habits);
    }

    /** Wishes without any for how operations are done. */
    public OrderWishes(
            List<Before> before, Optional<String> threadFirst, List<Without> without, Map<String, String> threads) {
        this(before, threadFirst, without, threads, Set.of(), Optional.empty(), Set.of());
    }

    private OrderWishes with(List<Before> otherBefore, Optional<String> otherThread, List<Without> otherWithout) {
        return new OrderWishes(otherBefore, otherThread, otherWithout, threads, apart, bundle, habits);
    }

    private OrderWishes done(Set<String> otherApart, Optional<Integer> otherBundle, Set<Habit> otherHabits) {
        return new OrderWishes(before, threadFirst, without, threads, otherApart, otherBundle, otherHabits);
    }

    /** These wishes without one of them. */
    public OrderWishes except(Before wish) {
        return with(before.stream().filter(one -> !one.equals(wish)).toList(), threadFirst, without);
    }

    /** These wishes without one of them. */
    public OrderWishes except(Without wish) {
        return with(
                before,
                threadFirst,
                without.stream().filter(one -> !one.equals(wish)).toList());
    }

    /** These wishes without a thread that comes first. */
    public OrderWishes exceptThread() {
        return with(before, Optional.empty(), without);
    }

    /** These wishes with an operation done at once again. */
    public OrderWishes exceptApart(String name) {
        Set<String> others = new HashSet<>(apart);
        others.remove(name);
        return done(others, bundle, habits);
    }

    /** These wishes without bundles. */
    public OrderWishes exceptBundle() {
        return done(apart, Optional.empty(), habits);
    }

    /** These wishes with one bag that is sewn first, or without. */
    public OrderWishes oneFirst(boolean on) {
        Set<Habit> others = new HashSet<>(habits);
        if (on) {
            others.add(Habit.ONE_FIRST);
        } else {
            others.remove(Habit.ONE_FIRST);
        }
        return done(apart, bundle, others);
    }

    /** These wishes without one of the habits. */
    public OrderWishes except(Habit habit) {
        Set<Habit> others = new HashSet<>(habits);
        others.remove(habit);
        return done(apart, bundle, others);
    }

    /** These wishes with another thread for a cloth. */
    public OrderWishes with(String cloth, String thread) {
        Map<String, String> others = new HashMap<>(threads);
        others.put(cloth, thread);
        return new OrderWishes(before, threadFirst, without, others, apart, bundle, habits);
    }

    /** These wishes and one more. */
    public OrderWishes and(Without wish) {
        List<Without> more = new ArrayList<>(without);
        more.add(wish);
        return with(before, threadFirst, more);
    }
}
