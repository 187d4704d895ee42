package mardun.app.plan;

import java.util.Optional;
import mardun.app.design.PictureView;
import mardun.app.plan.Planned.PlannedLine;
import mardun.core.picture.BagPainter;

/** How a line's bag looks in the materials that were chosen for it. */
public final class PlannedPicture {

    private PlannedPicture() {}

    /** The picture; empty where the bag can't be drawn. */
    public static Optional<PictureView> of(Planned planned, PlannedLine line) {
        return BagPainter.paint(line.design(), line.plan().sized())
                .map(picture -> PictureView.of(
                        picture,
                        slot -> Optional.ofNullable(line.chosen().materials().get(slot))
                                .flatMap(planned.shelves()::look)));
    }
}
