package mardun.app.design;

import mardun.app.show.DecimalMark;

/** Writes a design's formulas with a maker's decimal mark; both are read alike, but only one of them is how she writes. */
public final class DocumentDecimals {

    private DocumentDecimals() {}

    /** The document with this mark in all of its formulas and in none of its words. */
    public static DesignDocument in(DesignDocument document, DecimalMark mark) {
        return DocumentTexts.mapped(document, (kind, text) -> kind.isFormula() ? mark.inFormula(text) : text);
    }
}
