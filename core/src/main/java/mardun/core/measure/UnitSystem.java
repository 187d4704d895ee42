package mardun.core.measure;

/** The two ways a maker measures; both are shown, the maker's own first. */
public enum UnitSystem {
    INCH,
    METRIC;

    /** The unit that a bare number has in this system: an inch or a centimetre. */
    public LengthUnit smallUnit() {
        return this == INCH ? LengthUnit.INCH : LengthUnit.CENTIMETRE;
    }

    /** The unit in which cloth is sold in this system: a yard or a metre. */
    public LengthUnit clothUnit() {
        return this == INCH ? LengthUnit.YARD : LengthUnit.METRE;
    }

    public UnitSystem other() {
        return this == INCH ? METRIC : INCH;
    }
}
