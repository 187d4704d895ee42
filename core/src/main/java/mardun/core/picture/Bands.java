package mardun.core.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.core.design.Design;
import mardun.core.design.Panel;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedPanel;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/** The parts of an outside that is sewn together from the top down, as they lie on the finished face. */
final class Bands {

    private static final double NM_PER_MM = LengthUnit.MILLIMETRE.nanometres();

    private Bands() {}

    /**
     * A part across the face.
     *
     * @param from millimetres below the rim
     * @param to likewise
     */
    record Band(String slot, double from, double to, boolean isZip) {}

    static List<Band> of(Design design, SizedDesign sized) {
        Optional<SizedPanel> panel = design.form()
                .outer()
                .flatMap(sized::panel)
                .filter(one -> one.panel().direction() == Panel.Direction.DOWN);
        return panel.map(one -> bands(one, sized)).orElse(List.of());
    }

    private static List<Band> bands(SizedPanel panel, SizedDesign sized) {
        List<Band> bands = new ArrayList<>();
        double join = joinOf(panel, sized);
        double at = -join;
        int zip = 0;
        for (Panel.Part part : panel.panel().parts()) {
            if (!part.shows().isEmpty() && zip < panel.zips().size()) {
                SizedPanel.Interval its = panel.zips().get(zip++);
                double wide = millimetres(its.to().minus(its.from()));
                bands.add(new Band(slotOfTrim(part.letter(), sized), at, at + wide, true));
                at += wide;
            } else {
                double high = sized.extent(part.letter())
                                .map(extent -> millimetres(extent.height()))
                                .orElse(0.0)
                        - 2 * join;
                String slot = sized.piece(part.letter())
                        .map(piece -> piece.piece().slot())
                        .orElse("");
                double from = bands.isEmpty() ? 0 : at;
                double to = bands.isEmpty() ? high : at + high;
                bands.add(new Band(slot, from, to, false));
                at = to;
            }
        }
        return bands;
    }

    private static double joinOf(SizedPanel panel, SizedDesign sized) {
        return Optional.ofNullable(sized.measurements().get(panel.panel().join().strip()))
                .map(figure -> figure.value().value().doubleValue() / NM_PER_MM)
                .orElse(10.0);
    }

    private static String slotOfTrim(String letter, SizedDesign sized) {
        return sized.trim(letter).map(trim -> trim.trim().slot()).orElse("");
    }

    private static double millimetres(Length length) {
        return length.nanometres() / NM_PER_MM;
    }
}
