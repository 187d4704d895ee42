package mardun.core.kind;

/**
 * A measure that is known instead of a finished one: a size on a paper, or one that is easier to take on a bag that lies on the
 * table; with the two rules between them.
 *
 * @param symbol its name in formulas
 * @param known formula of it, over the finished measures
 * @param of the symbol of the finished measure that follows from it
 * @param finished formula of that measure, over what is known
 */
record Instead(String symbol, String label, String known, String of, String finished) {}
