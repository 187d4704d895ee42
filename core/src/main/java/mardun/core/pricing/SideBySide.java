package mardun.core.pricing;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.joda.money.Money;

/**
 * Bags side by side: “which shall I make more of?” When hours are short it is the one that leaves the most for an hour, when few are bought
 * the one that leaves the most of one. Bags of which one of these isn't known don't compete; of two alike it is the first.
 *
 * @param mostAnHour the place of the bag that leaves the most for an hour; empty where none competes
 * @param mostOfOne the place of the bag that leaves the most of one; empty likewise
 * @param noneEnough none of them leaves the least that an hour is worked for
 */
public record SideBySide(Optional<Integer> mostAnHour, Optional<Integer> mostOfOne, boolean noneEnough) {

    /** What a bag leaves; each empty where it isn't known. */
    public record Leaves(Optional<Money> ofOne, Optional<Money> anHour) {}

    public static SideBySide of(List<Leaves> bags, Money least) {
        Optional<Integer> anHour = most(bags, Leaves::anHour);
        return new SideBySide(
                anHour,
                most(bags, Leaves::ofOne),
                anHour.flatMap(place -> bags.get(place).anHour())
                        .filter(least::isGreaterThan)
                        .isPresent());
    }

    private static Optional<Integer> most(List<Leaves> bags, Function<Leaves, Optional<Money>> of) {
        return bags.stream()
                .filter(bag -> bag.ofOne().isPresent() && bag.anHour().isPresent())
                .max(Comparator.comparing(bag -> of.apply(bag).orElseThrow()))
                .map(best -> firstAsGood(bags, best, of));
    }

    private static int firstAsGood(List<Leaves> bags, Leaves best, Function<Leaves, Optional<Money>> of) {
        for (int i = 0; i < bags.size(); i++) {
            boolean competes =
                    bags.get(i).ofOne().isPresent() && bags.get(i).anHour().isPresent();
            if (competes && of.apply(bags.get(i)).equals(of.apply(best))) {
                return i;
            }
        }
        throw new IllegalStateException("the best of some bags isn't among them");
    }
}
