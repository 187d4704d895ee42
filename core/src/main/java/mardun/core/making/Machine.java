package mardun.core.making;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import mardun.core.making.SetUp.Part;
import mardun.core.measure.Length;

/**
 * A machine that the maker has, and what can be done with it.
 *
 * @param key the caller's name for it
 * @param kind where one stands to use it
 * @param abilities what it can do that not every one can
 * @param thickest the thickest seam that it sews; empty where that isn't said
 */
public record Machine(String key, String name, Station kind, Set<Ability> abilities, Optional<Length> thickest) {

    /** What a sewing machine may be able to do. */
    public enum Ability {
        ZIGZAG,
        WALKING_FOOT,
        FREE_ARM
    }

    private static final Pattern ZIGZAG_STITCH =
            Pattern.compile("zig-?\\s?zag|satin|overcast|buttonhole|bar-?\\s?tack|stretch", Pattern.CASE_INSENSITIVE);
    private static final Pattern NO_WIDTH = Pattern.compile("\\s*0*([.,]0*)?\\s*(mm|cm|in)?\\s*");
    private static final Pattern WALKING = Pattern.compile("walking|even.?feed", Pattern.CASE_INSENSITIVE);

    public Machine {
        abilities = Set.copyOf(abilities);
    }

    /** What a machine must be able to do for a set-up: a stitch with a width wants a machine that sews zigzag. */
    public static Set<Ability> needed(SetUp setUp) {
        Set<Ability> needed = EnumSet.noneOf(Ability.class);
        String width = Part.WIDTH.of(setUp);
        if (ZIGZAG_STITCH.matcher(Part.STITCH.of(setUp)).find()
                || !NO_WIDTH.matcher(width).matches()) {
            needed.add(Ability.ZIGZAG);
        }
        if (WALKING.matcher(Part.FOOT.of(setUp)).find()) {
            needed.add(Ability.WALKING_FOOT);
        }
        if (setUp.freeArm()) {
            needed.add(Ability.FREE_ARM);
        }
        return needed;
    }

    /** Whether it can sew with a set-up, through so much. */
    boolean can(SetUp setUp, Length thickness) {
        return abilities.containsAll(needed(setUp)) && takes(thickness);
    }

    /** Whether so much goes under its foot. */
    boolean takes(Length thickness) {
        return thickest.map(most -> !thickness.isLongerThan(most)).orElse(true);
    }
}
