package mardun.core.design;

import java.util.List;

/**
 * Whose design it is.
 *
 * @param designer of somebody else's pattern; empty for an own design
 * @param most how many a licence for so many allows, in all or in a year; 0 where it doesn't count
 * @param credit the line that the licence asks for on the label; empty if none
 * @param conditions what else it says about selling
 */
public record Source(Licence licence, String designer, int most, String credit, List<Condition> conditions) {

    public static final Source OWN = new Source(Licence.OWN, "", 0, "", List.of());

    /** What a licence may say about selling. */
    public enum Condition {
        /** Others mayn't sell the bags for the maker. */
        NO_RESELLERS,
        /** Finished bags alone may be sold: no kits, no pattern sheets. */
        ONLY_FINISHED
    }

    /** Designs that were stored before there were conditions have none. */
    public Source {
        conditions = conditions == null ? List.of() : List.copyOf(conditions);
    }

    /** Whether somebody else's licence says so. */
    public boolean has(Condition condition) {
        return licence != Licence.OWN && conditions.contains(condition);
    }

    /** What may be done with the bags. */
    public enum Licence {
        OWN("my own design"),
        FREE_TO_SELL("may be sold"),
        SO_MANY("may be sold in a limited number"),
        /** Counted from the first of January on. */
        SO_MANY_A_YEAR("may be sold in a limited number a year"),
        NOT_FOR_SALE("not for sale");

        private final String words;

        Licence(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** Whether only so many may be sold. */
        public boolean isLimited() {
            return this == SO_MANY || this == SO_MANY_A_YEAR;
        }

        /** Whether what was made in earlier years doesn't count. */
        public boolean isByYear() {
            return this == SO_MANY_A_YEAR;
        }
    }
}
