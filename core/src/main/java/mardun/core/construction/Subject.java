package mardun.core.construction;

/** The parts of a bag that constructions are grouped by, in the order in which a maker thinks of them. */
public enum Subject {
    BOXED_PANEL("Boxed panels"),
    BOXED_CORNER("Boxed corners"),
    JOIN("Assembled panels"),
    ZIP("Zips"),
    END_TAB("End tabs"),
    INTERFACING("Interfacing"),
    STRAP("Straps"),
    DRAWSTRING("Drawstrings"),
    CASING("Casings"),
    RIM("Rims"),
    POCKET("Pockets"),
    ELASTIC("Elastic"),
    FOB("Key fobs"),
    FOLDED_SIDES("Folded sides"),
    SHAPED_TOP("Shaped tops"),
    GUSSET("Gussets"),
    ROUND_BASE("Round bases");

    private final String title;

    Subject(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
