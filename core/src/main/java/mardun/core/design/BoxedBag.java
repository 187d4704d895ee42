package mardun.core.design;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.Boxing;
import mardun.core.construction.BoxingSchool;
import mardun.core.construction.Rims;
import mardun.core.construction.SideEdge;
import mardun.core.construction.Zips;
import mardun.core.formula.Rule;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;

/**
 * A bag whose bottom corners are boxed, or a flat one, which is boxed with no depth.
 *
 * @param base a seam, or a fold that takes no allowance
 * @param baseSeam allowance at the base; not used at a fold
 * @param zipShows what shows of the zip that closes the top
 * @param rimBand width of the band by which the lining rolls over the rim
 * @param sides how the faces are joined at their sides
 * @param back the piece or panel of the back, where it is cut otherwise than the front
 */
public record BoxedBag(
        BoxingSchool school,
        BaseEdge base,
        Optional<String> outer,
        Optional<String> lining,
        String depth,
        String sideSeam,
        String topSeam,
        String baseSeam,
        String boxingSeam,
        String zipShows,
        String rimBand,
        Optional<String> back,
        SideEdge sides)
        implements BagForm {

    /** A bag whose front and back are cut alike. */
    public BoxedBag(
            BoxingSchool school,
            BaseEdge base,
            Optional<String> outer,
            Optional<String> lining,
            String depth,
            String sideSeam,
            String topSeam,
            String baseSeam,
            String boxingSeam,
            String zipShows,
            String rimBand) {
        this(
                school,
                base,
                outer,
                lining,
                depth,
                sideSeam,
                topSeam,
                baseSeam,
                boxingSeam,
                zipShows,
                rimBand,
                Optional.empty(),
                SideEdge.SEAMS);
    }

    /** The same bag with its corners boxed otherwise. */
    BoxedBag with(BoxingSchool otherSchool) {
        return new BoxedBag(
                otherSchool,
                base,
                outer,
                lining,
                depth,
                sideSeam,
                topSeam,
                baseSeam,
                boxingSeam,
                zipShows,
                rimBand,
                back,
                sides);
    }

    private static final Rule BETWEEN_SIDES = Rule.named("across_top")
            .says("Across the top a bag is as wide as its panel less two side seams.")
            .given("panel", "panel width")
            .given("side", "side seam")
            .is("panel - 2 * side");

    private static final Rule HALF_ROUND = Rule.named("across_top_round")
            .says("Across the top a bag of one piece is half as wide as what is between its seams.")
            .given("panel", "width of the piece")
            .given("side", "side seam")
            .is("(panel - 2 * side) / 2");

    private static final Rule EASED = Rule.named("eased_depth")
            .says("Where a corner's two edges would give different depths they are eased together, to their mean.")
            .given("side", "depth by the side")
            .given("base", "depth by the base")
            .is("(side + base) / 2");

    @Override
    public Map<FormMeasure, String> measures() {
        Map<FormMeasure, String> measures = new EnumMap<>(FormMeasure.class);
        measures.put(FormMeasure.DEPTH, depth);
        measures.put(FormMeasure.SIDE, sideSeam);
        measures.put(FormMeasure.TOP, topSeam);
        measures.put(FormMeasure.BASE, base == BaseEdge.FOLD ? "" : baseSeam);
        measures.put(FormMeasure.BOXING, boxingSeam);
        measures.put(FormMeasure.ZIP_SHOWS, zipShows);
        measures.put(FormMeasure.RIM_BAND, rimBand);
        return measures;
    }

    @Override
    public Finished finish(Sewn sewn) {
        Quantity side = sewn.get(FormMeasure.SIDE);
        Figure<Quantity> deep = depth(sewn);
        Figure<Quantity> panel = Boxing.finishedHeight(
                base, sewn.height(), sewn.get(FormMeasure.TOP), sewn.get(FormMeasure.BASE), deep.value());
        return new Finished(
                Boxing.finishedWidth(sides, sewn.width(), side, deep.value()),
                Rims.withBand(Zips.withZip(panel, sewn.get(FormMeasure.ZIP_SHOWS)), sewn.get(FormMeasure.RIM_BAND)),
                deep,
                deep.value().value().signum() == 0
                        ? Optional.empty()
                        : Optional.of((sides.isRound() ? HALF_ROUND : BETWEEN_SIDES).apply(sewn.width(), side)),
                Optional.empty());
    }

    /** The depth that the corner makes as it was measured and sewn. */
    private Figure<Quantity> depth(Sewn sewn) {
        if (!sewn.has(FormMeasure.CUT_FROM_SIDE)) {
            return new Figure<>(
                    Sewn.NOTHING,
                    Working.of("A bag without boxed corners is flat.").gives(Value.of(Sewn.NOTHING)));
        }
        Quantity boxing = sewn.get(FormMeasure.BOXING);
        Figure<Quantity> bySide =
                Boxing.depth(school, sewn.get(FormMeasure.CUT_FROM_SIDE), sewn.get(FormMeasure.SIDE), boxing);
        Figure<Quantity> byBase =
                Boxing.depth(school, sewn.get(FormMeasure.CUT_FROM_BASE), sewn.get(FormMeasure.BASE), boxing);
        if (bySide.value().equals(byBase.value())) {
            return bySide;
        }
        return EASED.applyTo(List.of(
                new Rule.Argument(bySide.value(), Optional.of(bySide.working())),
                new Rule.Argument(byBase.value(), Optional.of(byBase.working()))));
    }
}
