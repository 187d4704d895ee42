package mardun.core.kind;

/**
 * What a paper says of the piece that a bag's measures follow from, and the two rules between them.
 *
 * @param symbol the name in formulas of what the paper says
 * @param cut formula of what is cut, over the finished measures
 * @param of the symbol of the finished measure that follows from it
 * @param finished formula of that measure, over what the paper says
 */
record OnPaper(String symbol, String label, String cut, String of, String finished) {}
