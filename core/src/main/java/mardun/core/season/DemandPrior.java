package mardun.core.season;

import java.util.Map;

/**
 * What is held to be likely of a small shop's demand before a single sale has been seen. Sales pull away from it as they come in: a design
 * with forty sales hardly feels it, one with none has nothing else. All of the spreads are standard deviations of a logarithm: 0.5 says
 * that two in three lie between 0.6 and 1.65 times what their kind says.
 *
 * @param kind how far kinds of bags differ
 * @param design how far designs of a kind differ
 * @param cloth how far cloths differ
 * @param size how far sizes differ
 * @param item how far an item differs from what its design, size and cloth say
 * @param outletByKind how far kinds differ in what they sell at fairs against the shop
 * @param outletByDesign the same for designs
 * @param footfall how much more a fair of many visitors sells than one of a middling number, and that than one of few
 * @param footfallSpread the doubt about it
 * @param fair how far fairs of the same footfall differ
 * @param yearEnd how much of the usual course of a year is expected: presents are bought in November and December, and little in January
 * @param month how far months differ from that
 * @param monthByKind how far kinds differ in their months
 * @param elasticity by how many per cent a price that is one per cent higher lowers sales
 * @param elasticitySpread the doubt about it, for all together
 * @param elasticityByKind how far kinds differ in it
 * @param weather how far a day's weather changes a fair, over what is expected of it
 * @param day how far good and bad days differ, for all items together
 * @param season how far a good and a bad season differ, for all items together
 * @param drift how far a design's appeal goes in a quarter of a year
 * @param shape of the gamma that one item's sales on one day scatter by; more is steadier
 * @param substitution how likely it is that a buyer takes another cloth or size of the design when the one wanted isn't there
 * @param misjudged how far a maker misjudges an item lastingly, as it shows in how many were brought
 * @param rounded how far what was brought on a day is off what the maker expected of it
 */
public record DemandPrior(
        double kind,
        double design,
        double cloth,
        double size,
        double item,
        double outletByKind,
        double outletByDesign,
        double footfall,
        double footfallSpread,
        double fair,
        double yearEnd,
        double month,
        double monthByKind,
        double elasticity,
        double elasticitySpread,
        double elasticityByKind,
        double weather,
        double day,
        double season,
        double drift,
        double shape,
        double substitution,
        double misjudged,
        double rounded) {

    /** What fits small shops, as far as it was tried. */
    public static final DemandPrior USUAL = new DemandPrior(
            0.5, 0.5, 0.3, 0.3, 0.3, 0.3, 0.3, 0.4, 0.3, 0.25, 1, 0.2, 0.15, 1.3, 0.6, 0.3, 0.2, 0.3, 0.15, 0.1, 4,
            0.25, 0.3, 0.2);

    private static final Map<String, Double> INDOORS = Map.of("dry", 0.0, "mixed", 0.0, "wet", -0.1);
    private static final Map<String, Double> OUTDOORS = Map.of("dry", 0.1, "mixed", -0.1, "wet", -0.5);

    /** By the records of forty small shops December sells 1.7 times what a month in spring does, and November 1.2 times; winter a tenth less. */
    private static final double[] YEAR = {-0.1, -0.1, -0.05, 0, 0, 0, 0, 0, 0, 0, 0.2, 0.5};

    /** The logarithm of the factor that is expected of a month, from 1. */
    double expected(int month) {
        return yearEnd * YEAR[month - 1];
    }

    /** The logarithm of the factor that is expected of a weather. */
    double expected(String weather, boolean isOutdoor) {
        return (isOutdoor ? OUTDOORS : INDOORS).getOrDefault(weather, 0.0);
    }
}
