package mardun.core.design;

import mardun.core.construction.ZipSchool;

/**
 * How a zip sits in its seam, as formulas; what its school doesn't ask for stays empty.
 *
 * @param zip the letter of the trim
 * @param edge the edge it is sewn to
 * @param covered what covers it at each end
 * @param slider length of the slider
 */
public record ZipFit(
        String zip,
        ZipSchool school,
        String edge,
        String side,
        String clearance,
        String tab,
        String over,
        String covered,
        String slider) {}
