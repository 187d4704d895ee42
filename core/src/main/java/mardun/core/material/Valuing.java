package mardun.core.material;

/**
 * How the maker values what lies on the shelf.
 *
 * @param givenCostsNothing what was given is worth nothing; else it is worth what it would have cost to buy
 * @param offcutsArePaid an offcut is worth nothing, its batch has paid for it; else it carries its share of the cloth it
 *     was cut from, by area
 */
public record Valuing(ValueSchool school, boolean givenCostsNothing, boolean offcutsArePaid) {

    /** The same with what was given valued the other way. */
    public Valuing withGivenOtherwise() {
        return new Valuing(school, !givenCostsNothing, offcutsArePaid);
    }
}
