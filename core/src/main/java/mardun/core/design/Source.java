package mardun.core.design;

/**
 * Whose design it is.
 *
 * @param designer of somebody else's pattern; empty for an own design
 * @param most how many a licence for so many allows, in all or in a year; 0 where it doesn't count
 * @param credit the line that the licence asks for on the label; empty if none
 */
public record Source(Licence licence, String designer, int most, String credit) {

    public static final Source OWN = new Source(Licence.OWN, "", 0, "");

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

        /** Whether what was made in earlier years doesn't count. */
        public boolean isByYear() {
            return this == SO_MANY_A_YEAR;
        }
    }
}
