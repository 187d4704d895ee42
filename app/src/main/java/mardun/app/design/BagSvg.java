package mardun.app.design;

import static mardun.app.paper.PaperSvg.INK;
import static mardun.app.paper.PaperSvg.PAPER;
import static mardun.app.paper.PaperSvg.THIN;
import static mardun.app.paper.PaperSvg.UNCHOSEN;
import static mardun.app.paper.PaperSvg.dashes;
import static mardun.app.paper.PaperSvg.number;
import static mardun.app.paper.PaperSvg.path;
import static mardun.app.paper.PaperSvg.svg;

import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.app.design.PictureView.PictureCloth;
import mardun.app.design.PictureView.PicturePart;

/** A finished bag on paper, in the colours of its cloths. */
public final class BagSvg {

    private BagSvg() {}

    /** The bag as a drawing within HTML that is printed, as large as it fits. */
    public static String of(PictureView picture, double acrossMm, double upMm) {
        Map<String, PictureCloth> cloths =
                picture.cloths().stream().collect(Collectors.toMap(PictureCloth::slot, Function.identity()));
        return svg(
                picture.width(),
                picture.height(),
                acrossMm,
                upMm,
                unit -> picture.parts().stream()
                        .map(part -> part(part, cloths, unit))
                        .collect(Collectors.joining()));
    }

    private static String part(PicturePart part, Map<String, PictureCloth> cloths, double unit) {
        PictureCloth cloth = cloths.get(part.slot());
        String colour = cloth == null ? UNCHOSEN : cloth.colour();
        String none = "none";
        return switch (part.look()) {
            case CLOTH, INSIDE ->
                path(part.path(), colour, none, 0, "")
                        + (part.shade() > 0
                                ? path(part.path(), INK, none, 0, " fill-opacity=\"" + number(part.shade()) + "\"")
                                : "");
            case STRIP ->
                path(part.path(), none, INK, part.stroke() + 2 * THIN * unit, "")
                        + path(part.path(), none, colour, part.stroke(), "");
            case STITCHES -> path(part.path(), none, INK, THIN * unit, dashes(1.2 * unit, 0.8 * unit));
            case TEETH -> path(part.path(), none, PAPER, 2 * THIN * unit, dashes(0.4 * unit, 0.4 * unit));
            case METAL -> path(part.path(), "#d5dbdd", INK, THIN * unit, "");
            case LABEL -> path(part.path(), PAPER, INK, THIN * unit, "");
            case EDGE -> path(part.path(), none, INK, 1.4 * THIN * unit, "");
        };
    }
}
