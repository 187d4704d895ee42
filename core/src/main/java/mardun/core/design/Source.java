package mardun.core.design;

/**
 * Whose design it is.
 *
 * @param designer of somebody else's pattern; empty for an own design
 * @param most how many a licence for so many allows; 0 where it doesn't count
 * @param credit the line that the licence asks for on the label; empty if none
 */
public record Source(Licence licence, String designer, int most, String credit) {

    public static final Source OWN = new Source(Licence.OWN, "", 0, "");

    /** What may be done with the bags. */
    public enum Licence {
        OWN("my own design"),
        FREE_TO_SELL("may be sold"),
        SO_MANY("may be sold in a limited number"),
        NOT_FOR_SALE("not for sale");

        private final String words;

        Licence(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}
