package mardun.core.pricing;

import java.math.BigDecimal;

/**
 * The maker's way of setting prices.
 *
 * @param factor of the materials, for the time spent choosing, fetching and preparing them; often 2
 * @param margin share of what is wanted that is to be left, from 0 to less than 1
 * @param markup share of the full cost that is put on top, 0 or more
 */
public record PriceChoice(
        PriceSchool school, BigDecimal factor, BigDecimal margin, BigDecimal markup, PricePoint point) {}
