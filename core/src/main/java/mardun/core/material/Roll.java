package mardun.core.material;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import mardun.core.measure.Length;

/**
 * A length on the shelf in one piece: a bolt of cloth, a roll of trim, or what was left of one.
 *
 * @param key the lot it belongs to
 * @param dye the dyer's mark; empty where it has none
 * @param length what nobody else has reserved of it
 */
public record Roll(String key, String dye, Length length) {

    /** Rolls with the same mark, however it is written, are of one dye; those without one are taken to be of one, too. */
    public String dyeLot() {
        return dyeLot(dye);
    }

    /** The same where a whole batch has to be of one dye: then one without a mark is of a dye of its own. */
    public String provenDyeLot() {
        return dyeLot().isEmpty() ? "roll " + key : "dye " + dyeLot();
    }

    /** What is free of rolls of which so much is held without saying of which: the longest ones are shortened. */
    public static List<Roll> without(List<Roll> rolls, Length held) {
        List<Roll> free = new ArrayList<>();
        Length open = held;
        for (Roll roll : rolls.stream()
                .sorted(Comparator.comparing(Roll::length).reversed())
                .toList()) {
            Length taken = roll.length().compareTo(open) < 0 ? roll.length() : open;
            open = open.minus(taken);
            if (roll.length().isLongerThan(taken)) {
                free.add(new Roll(roll.key(), roll.dye(), roll.length().minus(taken)));
            }
        }
        return free;
    }

    /** A mark as it compares with others. */
    public static String dyeLot(String mark) {
        return mark.strip().toLowerCase(Locale.ROOT);
    }
}
