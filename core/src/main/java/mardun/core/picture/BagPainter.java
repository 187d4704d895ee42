package mardun.core.picture;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mardun.core.design.BagPart;
import mardun.core.design.BoxedBag;
import mardun.core.design.Design;
import mardun.core.design.Finished;
import mardun.core.design.FoldedSideBag;
import mardun.core.design.FormMeasure;
import mardun.core.design.FreeForm;
import mardun.core.design.GussetedBag;
import mardun.core.design.Mark;
import mardun.core.design.Outline;
import mardun.core.design.RoundBag;
import mardun.core.design.Shape;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedMark;
import mardun.core.design.SizedPiece;
import mardun.core.design.SizedShape;
import mardun.core.design.TrimNeed;
import mardun.core.picture.BagPicture.Frame;
import mardun.core.picture.BagPicture.Look;
import mardun.core.picture.Canvas.Path;
import mardun.core.picture.Canvas.Point;

/** Draws the finished bag of a size from what it measures and what it is made of. */
public final class BagPainter {

    private static final double SIDE_SHADE = 0.16;
    private static final double INSIDE_SHADE = 0.28;
    private static final double STITCH_IN = 3;

    /** How far an outline drawn by hand may be drawn from where it is, in millimetres. */
    private static final double OUTLINE_FLAT = 0.3;

    /** What a flat bag still is thick. */
    private static final double FLAT = 10;

    private final Canvas canvas = new Canvas();
    private final Bag bag;
    private final Details details;
    private final Design design;
    private final SizedDesign sized;
    private final double w;
    private final double h;
    private final double d;
    private final String outer;
    private final String inside;

    private BagPainter(Bag bag) {
        this.bag = bag;
        this.details = new Details(bag, canvas);
        this.design = bag.design;
        this.sized = bag.sized;
        this.w = bag.w;
        this.h = bag.h;
        this.d = bag.d;
        this.outer = bag.outer;
        this.inside = bag.inside;
    }

    /** The picture of a size; empty while it can't be worked out what it measures. */
    public static Optional<BagPicture> paint(Design design, SizedDesign sized) {
        return sized.finished()
                .filter(finished -> Bag.isPositive(finished.width().value())
                        && Bag.isPositive(finished.height().value()))
                .map(finished -> new BagPainter(new Bag(design, sized, finished)).paint());
    }

    private BagPicture paint() {
        if (design.form() instanceof RoundBag) {
            round();
        } else if (design.form() instanceof FoldedSideBag) {
            wrapped();
        } else if (design.form() instanceof FreeForm) {
            free();
        } else if (closesWithZip() || zipAcross()) {
            pinched();
        } else {
            box(d > 0 ? d : FLAT, d > 0);
        }
        return canvas.picture();
    }

    /** A zip lies across the face, so the top is sewn. */
    private boolean zipAcross() {
        return Bands.of(design, sized).stream().anyMatch(Bands.Band::isZip);
    }

    private boolean closesWithZip() {
        return design.form() instanceof BoxedBag
                && sized.sewn()
                        .filter(sewn -> sewn.get(FormMeasure.ZIP_SHOWS).value().signum() > 0)
                        .isPresent();
    }
    /** Boxed at its base and pinched at its zip; or flat. */
    private void pinched() {
        double half = d / 2;
        double top = w + d;
        Frame front =
                Canvas.plane(new Point(-half, h, half), new Point(w + half, h, half), top, new Point(-half, 0, 0), h);
        if (d > 0) {
            Frame side = Canvas.plane(
                    new Point(w + half, h, half), new Point(w + half, h, half + d), d, new Point(w, 0, half), h);
            Path face = new Path(Frame.PLAIN);
            page(face, new Point(w, 0, 0));
            page(face, new Point(w, 0, d));
            page(face, new Point(w + half, h, half));
            canvas.cloth(face.close().printed(side), outer, SIDE_SHADE);
            canvas.line(Look.EDGE, face);
        }
        long handles = details.backHandles(top, half);
        Path face = new Path(front)
                .to(0, 0)
                .to(top, 0)
                .to(top - half, h)
                .to(half, h)
                .close();
        face(front, face, top, half);
        if (closesWithZip()) {
            double shows = Math.max(5, bag.sewn(FormMeasure.ZIP_SHOWS));
            details.zip(front, 0, top, -shows / 2, shows);
        }
        canvas.line(Look.STITCHES, new Path(front).to(2, STITCH_IN).to(top - 2, STITCH_IN));
        details.all(front, top, half, handles);
    }

    /** An open box, or a flat bag as thick as two cloths; the back's inside is seen above the front. */
    private void box(double deep, boolean isBox) {
        Frame front = Canvas.plane(new Point(0, h, 0), new Point(w, h, 0), w, new Point(0, 0, 0), h);
        Frame back = Canvas.plane(new Point(0, h, deep), new Point(w, h, deep), w, new Point(0, 0, deep), h);
        double radius =
                design.form() instanceof GussetedBag ? Math.min(bag.sewn(FormMeasure.RADIUS), Math.min(w, h) / 2) : 0;
        long handles = details.backHandles(w, deep);
        canvas.inside(outlineOfFace(back, radius), inside, INSIDE_SHADE);
        canvas.line(Look.EDGE, outlineOfFace(back, radius));
        if (isBox && bag.topShape().isEmpty()) {
            Path opening = new Path(Frame.PLAIN);
            page(opening, new Point(0, h, 0));
            page(opening, new Point(w, h, 0));
            page(opening, new Point(w, h, deep));
            page(opening, new Point(0, h, deep));
            canvas.inside(opening.close(), inside, INSIDE_SHADE + 0.1);
        }
        side(deep, radius, isBox);
        Path face = outlineOfFace(front, radius);
        face(front, face, w, 0);
        details.rim(front);
        details.all(front, w, 0, handles);
        flap(front, deep);
    }

    private void side(double deep, double radius, boolean isBox) {
        Frame right = Canvas.plane(new Point(w, h, 0), new Point(w, h, deep), deep, new Point(w, 0, 0), h);
        double from = bag.topShape()
                .filter(shape -> shape.kind() == Shape.Kind.SLANTED)
                .map(shape -> Math.min(h * 0.8, Bag.millimetres(shape.along())))
                .orElse(0.0);
        Path face = new Path(right).to(0, from).to(deep, from);
        if (radius > 0) {
            face.to(deep, h - radius).to(0, h - radius).close();
            Path corner = new Path(Frame.PLAIN);
            page(corner, new Point(w, radius, 0));
            page(corner, new Point(w, radius, deep));
            page(corner, new Point(w - radius * 0.3, radius * 0.3, deep));
            page(corner, new Point(w - radius * 0.3, radius * 0.3, 0));
            canvas.cloth(corner.close().printed(right), bag.slotOfOther().orElse(outer), SIDE_SHADE + 0.06);
        } else {
            face.to(deep, h).to(0, h).close();
        }
        String slot = design.form() instanceof GussetedBag ? bag.slotOfOther().orElse(outer) : outer;
        canvas.cloth(face, slot, isBox ? SIDE_SHADE : SIDE_SHADE / 2);
        canvas.line(Look.EDGE, face);
    }

    private void wrapped() {
        Frame front = Canvas.plane(new Point(0, h, 0), new Point(w, h, 0), w, new Point(0, 0, 0), h);
        Frame top = Canvas.plane(new Point(0, h, d), new Point(w, h, d), w, new Point(0, h, 0), d);
        Frame right = Canvas.plane(new Point(w, h, 0), new Point(w, h, d), d, new Point(w, 0, 0), h);
        Path side = new Path(right).rectangle(0, 0, d, h);
        canvas.cloth(side, outer, SIDE_SHADE);
        canvas.cloth(new Path(right).to(0, 0).to(d / 2, h / 2).to(0, h).close(), outer, SIDE_SHADE + 0.16);
        canvas.line(Look.EDGE, side);
        canvas.line(
                Look.EDGE,
                new Path(right)
                        .to(0, 0)
                        .to(d / 2, h / 2)
                        .to(0, h)
                        .from(d, 0)
                        .to(d / 2, h / 2)
                        .to(d, h));
        Path lid = new Path(top).rectangle(0, 0, w, d);
        canvas.cloth(lid, outer, 0);
        canvas.line(Look.EDGE, lid);
        double shows = Math.max(6, bag.sewn(FormMeasure.ZIP_SHOWS));
        details.zip(top, 0, w, d / 2 - shows / 2, shows);
        canvas.line(Look.STITCHES, new Path(top).to(2, d / 2 - shows).to(w - 2, d / 2 - shows));
        canvas.line(Look.STITCHES, new Path(top).to(2, d / 2 + shows).to(w - 2, d / 2 + shows));
        Path face = new Path(front).rectangle(0, 0, w, h);
        canvas.cloth(face, outer, SIDE_SHADE / 3);
        canvas.line(Look.EDGE, face);
        details.loopsAndLabel(front, w, 0);
    }

    private void round() {
        double flat = w * 0.17;
        Frame front = Canvas.plane(new Point(0, h, 0), new Point(w, h, 0), w, new Point(0, 0, 0), h);
        long handles = details.backHandles(w, 0);
        Path opening = new Path(front).oval(w / 2, 0, w / 2, flat);
        canvas.inside(opening, inside, INSIDE_SHADE + 0.08);
        canvas.line(Look.EDGE, opening);
        double k = Canvas.ROUND;
        Path body = new Path(front)
                .to(0, 0)
                .curve(0, flat * k, w / 2 * (1 - k), flat, w / 2, flat)
                .curve(w / 2 * (1 + k), flat, w, flat * k, w, 0)
                .to(w, h)
                .curve(w, h + flat * k, w / 2 * (1 + k), h + flat, w / 2, h + flat)
                .curve(w / 2 * (1 - k), h + flat, 0, h + flat * k, 0, h)
                .close();
        canvas.cloth(body, outer, 0);
        canvas.line(Look.EDGE, body);
        details.casings(front, w, flat);
        details.frontHandles(front, w, handles);
        details.loopsAndLabel(front, w, 0);
    }

    /** Small and flat things, as they are cut: the outline of the outer, drawn to what is finished. */
    private void free() {
        boolean flat = d <= 0;
        Frame front = Canvas.plane(new Point(0, h, 0), new Point(w, h, 0), w, new Point(0, 0, 0), h);
        if (isFilled()) {
            pillow(front);
            return;
        }
        Frame back = Canvas.plane(new Point(0, h, FLAT), new Point(w, h, FLAT), w, new Point(0, 0, FLAT), h);
        double over = flapOfFolded();
        if (over > 0 || isFoldedOnItself()) {
            canvas.cloth(new Path(back).rectangle(0, 0, w, h), outer, SIDE_SHADE);
            canvas.line(Look.EDGE, new Path(back).rectangle(0, 0, w, h));
        }
        Path face = bag.whole()
                .filter(piece -> over == 0)
                .map(outline -> scaled(front, outline))
                .orElseGet(() -> new Path(front).rectangle(0, 0, w, h));
        if (flat && sized.trims().stream().anyMatch(trim -> trim.trim().kind() == TrimNeed.Kind.WEBBING) && h > 3 * w) {
            canvas.strip(new Path(front).oval(w / 2, -w * 0.55, w * 0.5, w * 0.5), "", 2.5);
            canvas.line(Look.METAL, new Path(front).rectangle(-1, -w * 0.12, w + 2, w * 0.3));
        }
        canvas.cloth(face, outer, 0);
        canvas.line(Look.EDGE, face);
        canvas.line(Look.STITCHES, inset(front));
        if (over > 0) {
            Path flap = flapPath(front, w, over);
            canvas.draw(BagPart.CLOSING, () -> {
                canvas.cloth(flap, outer, 0.05);
                canvas.line(Look.EDGE, flap);
            });
            details.fastener(front, w / 2, over - Math.min(20, over / 4));
        }
        details.ties(front);
        details.elasticBand(front);
        details.loopsAndLabel(front, w, 0);
    }

    /** A pillow: its edges drawn in by what is inside. */
    private void pillow(Frame front) {
        boolean isRound = bag.whole()
                .filter(piece -> piece.shapes().stream().anyMatch(s -> s.kind() == Shape.Kind.CIRCLE))
                .isPresent();
        double in = isRound ? 0 : Math.min(w, h) * 0.05;
        Path face = isRound
                ? new Path(front).oval(w / 2, h / 2, w / 2, h / 2)
                : new Path(front)
                        .to(0, 0)
                        .curve(w / 3, in, 2 * w / 3, in, w, 0)
                        .curve(w - in, h / 3, w - in, 2 * h / 3, w, h)
                        .curve(2 * w / 3, h - in, w / 3, h - in, 0, h)
                        .curve(in, 2 * h / 3, in, h / 3, 0, 0)
                        .close();
        canvas.cloth(face, outer, 0);
        canvas.line(Look.EDGE, face);
        canvas.cloth(new Path(front).oval(w * 0.56, h * 0.6, w * 0.3, h * 0.28), outer, 0.05);
        details.loopsAndLabel(front, w, 0);
    }
    /** A face in its cloth, or in those of the parts that it is sewn together from. */
    private void face(Frame frame, Path outline, double across, double in) {
        canvas.cloth(outline, outer, 0);
        Bands.of(design, sized).forEach(band -> {
            double from = Math.max(0, band.from());
            double to = Math.min(h, band.to());
            if (to > from) {
                Path strip = new Path(frame)
                        .to(in * from / h, from)
                        .to(across - in * from / h, from)
                        .to(across - in * to / h, to)
                        .to(in * to / h, to)
                        .close();
                if (band.isZip()) {
                    details.zip(frame, in * from / h, across - in * from / h, from, to - from);
                } else {
                    canvas.cloth(strip, band.slot(), 0);
                    canvas.line(Look.EDGE, new Path(frame).to(in * to / h, to).to(across - in * to / h, to));
                }
            }
        });
        canvas.line(Look.EDGE, outline);
        details.outerPocket(frame);
    }
    /** The flap of a bag whose fastener lies on a piece of its own. */
    private void flap(Frame front, double deep) {
        sized.pieces().stream()
                .filter(piece -> !isOfTheForm(piece))
                .filter(piece -> piece.marks().stream().anyMatch(BagPainter::liesOver))
                .findFirst()
                .ifPresent(piece -> canvas.draw(BagPart.CLOSING, () -> {
                    double seam = bag.sewn(FormMeasure.SIDE);
                    double length = Bag.millimetres(piece.height().value()) - 2 * seam;
                    Path lid = new Path(Frame.PLAIN);
                    page(lid, new Point(0, h, deep));
                    page(lid, new Point(w, h, deep));
                    page(lid, new Point(w, h, 0));
                    page(lid, new Point(0, h, 0));
                    Frame top = Canvas.plane(new Point(0, h, deep), new Point(w, h, deep), w, new Point(0, h, 0), deep);
                    canvas.cloth(lid.close().printed(top), outer, 0.02);
                    canvas.line(Look.EDGE, lid);
                    Path flap = flapPath(front, w, length);
                    canvas.cloth(flap, outer, 0.03);
                    canvas.line(Look.EDGE, flap);
                    details.fastener(front, w / 2, length - 30);
                }));
    }

    private static boolean liesOver(SizedMark mark) {
        return mark.mark().closing() == Mark.Closing.FLAP_OVER;
    }

    private boolean isOfTheForm(SizedPiece piece) {
        String letter = piece.piece().letter();
        return design.form().outer().filter(letter::equals).isPresent()
                || design.form().lining().filter(letter::equals).isPresent();
    }

    /** What of a folded outer lies over its front: what is left of it once front and back are taken. */
    private double flapOfFolded() {
        return bag.whole()
                .map(piece -> Bag.millimetres(piece.sewnExtent().height())
                        - 2 * h
                        - 2 * bag.typed("seam").orElse(0))
                .filter(over -> over > 5 && over < h)
                .orElse(0.0);
    }

    private boolean isFoldedOnItself() {
        return bag.whole()
                .filter(piece -> Bag.millimetres(piece.sewnExtent().height()) > 1.8 * h)
                .isPresent();
    }

    private Path flapPath(Frame front, double across, double length) {
        Optional<SizedShape> corners = sized.pieces().stream()
                .flatMap(piece -> piece.shapes().stream())
                .filter(shape -> shape.kind() == Shape.Kind.ROUNDED || shape.kind() == Shape.Kind.SLANTED)
                .max(Comparator.comparing(SizedShape::across));
        double r = corners.map(shape -> Math.min(Bag.millimetres(shape.across()), Math.min(across / 2, length)))
                .orElse(0.0);
        Path path = new Path(front).to(0, 0).to(across, 0).to(across, length - r);
        if (r > 0 && corners.orElseThrow().kind() == Shape.Kind.ROUNDED) {
            double k = r * (1 - Canvas.ROUND);
            path.curve(across, length - k, across - k, length, across - r, length)
                    .to(r, length)
                    .curve(k, length, 0, length - k, 0, length - r);
        } else {
            path.to(across - r, length).to(r, length).to(0, length - r);
        }
        return path.close();
    }
    /** A face with what is cut out of its top, and with round corners at its base. */
    private Path outlineOfFace(Frame frame, double radius) {
        Path path = new Path(frame);
        Optional<SizedShape> top = bag.topShape();
        if (top.isEmpty()) {
            path.to(0, 0).to(w, 0);
        } else if (top.get().kind() == Shape.Kind.NOTCHED) {
            double half = Bag.millimetres(top.get().across()) / 2;
            double deep = h
                    - sized.finished()
                            .flatMap(Finished::below)
                            .map(below -> Bag.millimetres(below.value()))
                            .orElse(h);
            path.to(0, 0)
                    .to(w / 2 - half, 0)
                    .to(w / 2, deep)
                    .to(w / 2 + half, 0)
                    .to(w, 0);
        } else {
            double along = Math.min(h * 0.8, Bag.millimetres(top.get().along()));
            double across = Math.min(w / 2, Bag.millimetres(top.get().across()));
            path.to(0, along).to(across, 0).to(w - across, 0).to(w, along);
        }
        if (radius > 0) {
            double k = radius * (1 - Canvas.ROUND);
            path.to(w, h - radius)
                    .curve(w, h - k, w - k, h, w - radius, h)
                    .to(radius, h)
                    .curve(k, h, 0, h - k, 0, h - radius);
        } else {
            path.to(w, h).to(0, h);
        }
        return path.close();
    }

    /** The outline of the outer, drawn to the finished size; empty where it isn't about as large. */
    private Path scaled(Frame front, SizedPiece piece) {
        Path path = new Path(front);
        double across = w / Bag.millimetres(piece.width().value());
        double along = h / Bag.millimetres(piece.height().value());
        double beforeX = 0;
        double beforeY = 0;
        List<Outline.Corner> corners = piece.outline().corners();
        Outline.Corner before = corners.get(corners.size() - 1);
        boolean isDrawn =
                piece.shapes().stream().anyMatch(shape -> shape.drawn().isPresent());
        for (Outline.Corner corner : piece.outline().corners()) {
            double x = corner.x() * across;
            double y = corner.y() * along;
            if (isDrawn) {
                corner.from(before, OUTLINE_FLAT).stream()
                        .skip(1)
                        .forEach(point -> path.to(point.x() * across, point.y() * along));
            } else if (corner.isArc()) {
                double k = Canvas.ROUND;
                // Round with the clock, an arc that goes right and down or left and up begins level.
                if ((x - beforeX) * (y - beforeY) > 0) {
                    path.curve(beforeX + (x - beforeX) * k, beforeY, x, y - (y - beforeY) * k, x, y);
                } else {
                    path.curve(beforeX, beforeY + (y - beforeY) * k, x - (x - beforeX) * k, y, x, y);
                }
            } else {
                path.to(x, y);
            }
            beforeX = x;
            beforeY = y;
            before = corner;
        }
        return path.close();
    }

    private Path inset(Frame front) {
        boolean shaped = bag.whole().filter(piece -> !piece.shapes().isEmpty()).isPresent();
        return shaped
                ? new Path(front).to(w * 0.2, STITCH_IN).to(w * 0.8, STITCH_IN)
                : new Path(front).rectangle(STITCH_IN, STITCH_IN, w - 2 * STITCH_IN, h - 2 * STITCH_IN);
    }

    private boolean isFilled() {
        return !sized.fillings().isEmpty();
    }

    private static void page(Path path, Point point) {
        path.to(point.pageX(), point.pageY());
    }
}
