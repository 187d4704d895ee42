package mardun.app.design;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mardun.app.material.ClothLook;
import mardun.app.material.Print;
import mardun.core.design.BagPart;
import mardun.core.picture.BagPicture;
import mardun.core.picture.BagPicture.Frame;
import org.jspecify.annotations.Nullable;

/**
 * A finished bag to be drawn, in millimetres: its parts from the back to the front, and what each slot is filled with.
 *
 * @param cloths those of its slots that are filled
 */
public record PictureView(double width, double height, List<PicturePart> parts, List<PictureCloth> cloths) {

    /**
     * A part of the picture.
     *
     * @param of the part of the bag that it belongs to; absent in quotes that were given before it was known
     * @param path an SVG path
     * @param frame an SVG matrix: how the cloth's print lies
     * @param stroke how wide a strip is
     * @param shade from 0 in full light to 1
     */
    public record PicturePart(
            BagPicture.Look look,
            @Nullable BagPart of,
            String path,
            String slot,
            List<Double> frame,
            double stroke,
            double shade) {}

    /** @param repeatMm after how many millimetres the print comes again; 0 where nobody said */
    public record PictureCloth(String slot, String colour, Print print, double repeatMm) {}

    /** @param look what a slot is filled with; empty where it isn't */
    public static PictureView of(BagPicture picture, Function<String, Optional<ClothLook>> look) {
        return new PictureView(
                rounded(picture.width()),
                rounded(picture.height()),
                picture.parts().stream().map(PictureView::part).toList(),
                picture.parts().stream()
                        .map(BagPicture.Part::slot)
                        .filter(slot -> !slot.isEmpty())
                        .distinct()
                        .flatMap(slot -> look
                                .apply(slot)
                                .map(its -> new PictureCloth(slot, its.colour(), its.print(), its.repeatMm()))
                                .stream())
                        .toList());
    }

    private static PicturePart part(BagPicture.Part part) {
        Frame frame = part.frame();
        return new PicturePart(
                part.look(),
                part.of(),
                part.path(),
                part.slot(),
                List.of(
                        rounded(frame.a()),
                        rounded(frame.b()),
                        rounded(frame.c()),
                        rounded(frame.d()),
                        rounded(frame.e()),
                        rounded(frame.f())),
                rounded(part.stroke()),
                rounded(part.shade()));
    }

    private static double rounded(double value) {
        return Math.round(value * 1000) / 1000.0;
    }
}
