package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;
import mardun.core.measure.Dimension;

/** Cloth gathered on elastic. */
final class Elastics {

    static final Rule GATHERED = Rule.named("gathered_width")
            .says("Cloth gathered on elastic is wider than it by the gather ratio, plus a seam at each end.")
            .given("width", "width of the gathered edge")
            .given("ratio", "gather ratio, 1.5 for half as much again", Dimension.NUMBER)
            .given("seam", "seam at each end")
            .is("width * ratio + 2 * seam");

    static final Rule GATHERED_TO = Rule.named("gathered_to")
            .says("Cloth is gathered to what is between its seams, by the gather ratio.")
            .given("cloth", "width of the cloth as cut")
            .given("ratio", "gather ratio, 1.5 for half as much again", Dimension.NUMBER)
            .given("seam", "seam at each end")
            .is("(cloth - 2 * seam) / ratio");

    static final Rule ELASTIC = Rule.named("elastic_length")
            .says("Elastic is as long as the gathered edge, plus what is caught in the seam at each end.")
            .given("width", "width of the gathered edge")
            .given("caught", "caught at each end")
            .is("width + 2 * caught");

    static final Rule ELASTIC_WIDTH = Rule.named("elastic_width")
            .says("Elastic draws an edge to its length less what is caught at each end.")
            .given("elastic", "length of the elastic")
            .given("caught", "caught at each end")
            .is("elastic - 2 * caught");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.ELASTIC, "cloth to be gathered", GATHERED, GATHERED_TO),
            Construction.of(Subject.ELASTIC, "elastic for an edge", ELASTIC, ELASTIC_WIDTH));

    private Elastics() {}
}
