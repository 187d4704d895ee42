package mardun.core.kind;

/**
 * A finished measure that a kind of bag asks for first.
 *
 * @param symbol its name in formulas
 * @param inch what is usual, in a workroom that measures in inches
 * @param metric what is usual, in one that measures in centimetres
 */
public record Asked(String symbol, String label, String inch, String metric) {}
