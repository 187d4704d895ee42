package mardun.core.design;

import mardun.core.measure.Bulk;

/** A filling of one size with how much one bag takes. */
public record SizedFilling(FillingNeed filling, Bulk amount) {}
