package mardun.core.picture;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mardun.core.construction.StrapSchool;
import mardun.core.design.BagPart;
import mardun.core.design.FormMeasure;
import mardun.core.design.Mark;
import mardun.core.design.Role;
import mardun.core.design.RoundBag;
import mardun.core.design.SizedTrim;
import mardun.core.design.TrimNeed;
import mardun.core.making.Step;
import mardun.core.material.Ware;
import mardun.core.measure.Length;
import mardun.core.picture.BagPicture.Frame;
import mardun.core.picture.BagPicture.Look;
import mardun.core.picture.Canvas.Path;
import mardun.core.picture.Canvas.Point;

/** What is on the faces of a bag, and what it is carried by. */
final class Details {

    private static final double STITCH_IN = 3;
    private static final double SHORT_LOOP = 450;

    private final Bag bag;
    private final Canvas canvas;

    Details(Bag bag, Canvas canvas) {
        this.bag = bag;
        this.canvas = canvas;
    }

    void outerPocket(Frame frame) {
        bag.design
                .form()
                .outer()
                .flatMap(bag.sized::piece)
                .ifPresent(piece -> canvas.draw(
                        BagPart.POCKETS,
                        () -> piece.marks().stream()
                                .filter(mark -> mark.mark().kind() == Mark.Kind.POCKET)
                                .forEach(mark -> {
                                    double left = (bag.w - Bag.millimetres(mark.width())) / 2;
                                    double top = Bag.millimetres(mark.down().orElse(Length.ZERO))
                                            - bag.sewn(FormMeasure.TOP);
                                    Path pocket = new Path(frame)
                                            .rectangle(
                                                    left,
                                                    top,
                                                    Bag.millimetres(mark.width()),
                                                    Bag.millimetres(mark.height()));
                                    canvas.cloth(pocket, pocketSlot(), 0.04);
                                    canvas.line(Look.STITCHES, pocket);
                                })));
    }

    private String pocketSlot() {
        return bag.sized.pieces().stream()
                .filter(piece -> piece.piece().role() == Role.POCKET)
                .map(piece -> piece.piece().slot())
                .findFirst()
                .orElse(bag.outer);
    }

    void all(Frame front, double across, double in, long handles) {
        casings(front, across, 0);
        frontHandles(front, across, handles);
        loopsAndLabel(front, across, in);
        ties(front);
    }

    /** The rim of an open bag: a band where the lining rolls over, and its topstitching. */
    void rim(Frame front) {
        double band = bag.sewn(FormMeasure.RIM_BAND);
        if (band > 0) {
            Path strip = new Path(front).rectangle(0, 0, bag.w, band);
            canvas.draw(BagPart.LINING, () -> canvas.cloth(strip, bag.inside, 0));
            canvas.line(Look.EDGE, strip);
            canvas.line(Look.STITCHES, new Path(front).to(2, band - 2).to(bag.w - 2, band - 2));
        } else if (bag.topShape().isEmpty() && bag.design.casings().isEmpty()) {
            canvas.line(Look.STITCHES, new Path(front).to(2, STITCH_IN).to(bag.w - 2, STITCH_IN));
        }
    }

    /** A zip on a plane, with its teeth, its slider and what covers its ends. */
    void zip(Frame frame, double from, double to, double down, double wide) {
        canvas.draw(BagPart.ZIP, () -> wholeZip(frame, from, to, down, wide));
    }

    private void wholeZip(Frame frame, double from, double to, double down, double wide) {
        canvas.cloth(new Path(frame).rectangle(from, down, to - from, wide), zipSlot(), 0.08);
        canvas.line(Look.TEETH, new Path(frame).to(from, down + wide / 2).to(to, down + wide / 2));
        double tab = bag.sized.pieces().stream().anyMatch(piece -> piece.piece().role() == Role.TAB)
                ? Math.min(18, (to - from) / 10)
                : 0;
        if (tab > 0) {
            String slot = bag.sized.pieces().stream()
                    .filter(piece -> piece.piece().role() == Role.TAB)
                    .map(piece -> piece.piece().slot())
                    .findFirst()
                    .orElse(bag.outer);
            for (double at : List.of(from, to - tab)) {
                Path end = new Path(frame).rectangle(at, down - 1, tab, wide + 2);
                canvas.cloth(end, slot, 0.05);
                canvas.line(Look.EDGE, end);
            }
        }
        double slider = from + tab + (to - from) * 0.12;
        canvas.line(Look.METAL, new Path(frame).rectangle(slider, down + wide / 2 - 3, 8, 6));
        canvas.line(Look.METAL, new Path(frame).rectangle(slider - 13, down + wide / 2 - 1.6, 13, 3.2));
    }

    private String zipSlot() {
        return bag.sized.trims().stream()
                .filter(trim -> trim.trim().kind() == TrimNeed.Kind.ZIP)
                .map(trim -> trim.trim().slot())
                .findFirst()
                .orElse("");
    }

    void casings(Frame front, double across, double sag) {
        bag.design
                .casings()
                .forEach(casing -> canvas.draw(BagPart.CLOSING, () -> {
                    double header = bag.typed("header").orElse(25);
                    double high = bag.typed("casing").orElse(15);
                    for (double at : List.of(header, header + high)) {
                        canvas.line(
                                Look.STITCHES,
                                new Path(front)
                                        .to(0, at)
                                        .curve(across / 4, at + sag, across * 3 / 4, at + sag, across, at));
                    }
                    bag.sized.trims().stream()
                            .filter(trim -> trim.trim().kind() == TrimNeed.Kind.CORD)
                            .findFirst()
                            .ifPresent(cord -> cords(front, across, header + high / 2, cord));
                }));
    }

    /** Cords that come out at the sides; those of a backpack run down to its corners. */
    private void cords(Frame front, double across, double at, SizedTrim cord) {
        double thick = Math.max(3, bag.typed("cord").orElse(4));
        String slot = cord.trim().slot();
        double opening = bag.design.form() instanceof RoundBag ? Math.PI * bag.w / 2 : bag.w + bag.d;
        boolean toTheCorners = Bag.millimetres(cord.length().value()) > 2 * opening + 1.3 * bag.h;
        boolean both = cord.count() > 1;
        for (int side = 0; side < (both ? 2 : 1); side++) {
            double edge = side == 0 ? across : 0;
            double out = side == 0 ? 1 : -1;
            Path line = new Path(front).to(edge, at);
            if (toTheCorners) {
                line.curve(edge + out * 38, at + 10, edge + out * 42, bag.h * 0.8, edge, bag.h - 12);
            } else {
                line.curve(edge + out * 26, at, edge + out * 12, at + 40, edge + out * 20, at + 62);
            }
            canvas.strip(line, slot, thick);
            if (!toTheCorners) {
                canvas.line(Look.METAL, new Path(front).oval(edge + out * 20, at + 64, thick, thick * 1.3));
            }
        }
    }

    /** Handles of the back, which are behind everything; how many handles there are in all. */
    long backHandles(double across, double deep) {
        return carried()
                .filter(one -> one.count() > 1)
                .map(handle -> {
                    Frame back = Canvas.plane(
                            new Point(0, bag.h, deep),
                            new Point(across, bag.h, deep),
                            across,
                            new Point(0, 0, deep),
                            bag.h);
                    arc(back, across, handle);
                    return handle.count();
                })
                .orElseGet(() -> carried()
                        .filter(one -> !one.isLoop())
                        .map(strap -> {
                            longStrap(across, deep, strap);
                            return 0L;
                        })
                        .orElse(0L));
    }

    void frontHandles(Frame front, double across, long handles) {
        if (handles > 1) {
            carried().ifPresent(handle -> {
                arc(front, across, handle);
                double end = Math.min(across / 4, handle.length() / 3);
                for (double at : List.of(across / 2 - end, across / 2 + end)) {
                    canvas.line(
                            Look.STITCHES,
                            new Path(front)
                                    .rectangle(at - handle.width() / 2 + 2, 3, Math.max(2, handle.width() - 4), 14));
                }
            });
        }
    }

    /** A handle from one point of the rim to another, as high as its length lets it stand. */
    private void arc(Frame frame, double across, Carried handle) {
        double half = Math.min(across / 4, handle.length() / 3);
        double high = Math.min(bag.h * 0.8, Math.max(20, (handle.length() - 2 * half) / 2));
        double middle = across / 2;
        Path line = new Path(frame)
                .to(middle - half, 18)
                .to(middle - half, 0)
                .curve(middle - half, -high * 1.25, middle + half, -high * 1.25, middle + half, 0)
                .to(middle + half, 18);
        canvas.draw(BagPart.STRAPS, () -> canvas.strip(line, handle.slot(), handle.width()));
    }

    /** One handle, or a long strap, goes in a bow from side to side; a picture has no room for all of a long one. */
    private void longStrap(double across, double deep, Carried strap) {
        Frame middle = Canvas.plane(
                new Point(0, bag.h, deep / 2),
                new Point(across, bag.h, deep / 2),
                across,
                new Point(0, 0, deep / 2),
                bag.h);
        double high = Math.min(strap.length() / 2, 0.75 * bag.h);
        Path line = new Path(middle)
                .to(2, 20)
                .to(2, 0)
                .curve(across * 0.08, -high * 1.2, across * 0.92, -high * 1.2, across - 2, 0)
                .to(across - 2, 20);
        canvas.draw(BagPart.STRAPS, () -> canvas.strip(line, strap.slot(), strap.width()));
    }

    void loopsAndLabel(Frame front, double across, double in) {
        carried().filter(one -> one.count() == 1 && one.isLoop()).ifPresent(loop -> {
            double hanging = loop.length() / 2 * 0.9;
            double at = Math.min(bag.h * 0.16, 30);
            double edge = in * at / bag.h;
            Path line = hanging > 90
                    ? new Path(front)
                            .to(edge + 1, at)
                            .curve(edge - 40, at - 12, edge - 46, at + hanging * 0.8, edge - 22, at + hanging)
                            .curve(edge - 6, at + hanging * 0.9, edge - 18, at + 20, edge + 1, at + 5)
                    : new Path(front)
                            .to(edge + 1, at)
                            .curve(edge - hanging * 0.9, at - 2, edge - hanging * 0.9, at + 14, edge + 1, at + 12);
            double wide = loop.width() * (hanging > 90 ? 1 : 0.8);
            canvas.draw(BagPart.STRAPS, () -> canvas.strip(line, loop.slot(), wide));
        });
        canvas.draw(BagPart.LABEL, () -> label(front, across, in));
    }

    private void label(Frame front, double across, double in) {
        boolean has = bag.design.slots().stream()
                .anyMatch(slot -> slot.ware().filter(Ware.LABEL::equals).isPresent());
        String where = bag.design.steps().stream()
                .map(Step::name)
                .map(name -> name.toLowerCase(Locale.ROOT))
                .filter(name -> name.contains("label"))
                .findFirst()
                .orElse("");
        if (!has || where.contains("lining") || where.contains("inside")) {
            return;
        }
        double wide = Math.min(32, across / 5);
        double high = wide * 0.5;
        if (where.contains("side") || where.contains("seam")) {
            double at = bag.h * 0.62;
            double edge = across - in * at / bag.h;
            canvas.line(Look.LABEL, new Path(front).rectangle(edge, at, high * 0.8, high));
        } else {
            canvas.line(Look.LABEL, new Path(front).rectangle(across * 0.66 - wide / 2, bag.h * 0.74, wide, high));
        }
    }

    void fastener(Frame front, double across, double down) {
        if (bag.design.slots().stream()
                .anyMatch(slot -> slot.ware()
                        .filter(ware -> ware == Ware.SNAP || ware == Ware.LOCK)
                        .isPresent())) {
            canvas.draw(BagPart.CLOSING, () -> canvas.line(Look.METAL, new Path(front).oval(across, down, 5, 5)));
        }
    }

    void ties(Frame front) {
        canvas.draw(BagPart.CLOSING, () -> ribbons(front));
    }

    private void ribbons(Frame front) {
        bag.sized.trims().stream()
                .filter(trim -> trim.trim().kind() == TrimNeed.Kind.RIBBON)
                .findFirst()
                .ifPresent(ribbon -> {
                    double at = ribbon.count() > 1 ? bag.h / 2 : bag.h * 0.24;
                    String slot = ribbon.trim().slot();
                    if (ribbon.count() == 1) {
                        canvas.strip(
                                new Path(front).to(0, at).curve(bag.w / 3, at + 6, 2 * bag.w / 3, at + 6, bag.w, at),
                                slot,
                                6);
                    }
                    double x = ribbon.count() > 1 ? bag.w : bag.w / 2;
                    canvas.strip(new Path(front).to(x, at).curve(x - 34, at - 24, x - 40, at + 16, x, at + 2), slot, 5);
                    canvas.strip(new Path(front).to(x, at).curve(x + 34, at - 24, x + 40, at + 16, x, at + 2), slot, 5);
                    canvas.strip(
                            new Path(front).to(x, at).curve(x - 6, at + 16, x - 12, at + 26, x - 14, at + 40), slot, 5);
                    canvas.strip(
                            new Path(front).to(x, at).curve(x + 6, at + 16, x + 12, at + 26, x + 14, at + 40), slot, 5);
                });
    }

    /** A band that goes round the head, behind a mask. */
    void elasticBand(Frame front) {
        boolean hasPocket =
                bag.sized.pieces().stream().anyMatch(piece -> piece.piece().role() == Role.POCKET);
        bag.sized.trims().stream()
                .filter(trim -> trim.trim().kind() == TrimNeed.Kind.ELASTIC && !hasPocket)
                .findFirst()
                .ifPresent(band -> canvas.strip(
                        new Path(front)
                                .to(2, bag.h / 2)
                                .curve(-50, bag.h * 0.1, bag.w + 50, bag.h * 0.1 - bag.h * 0.7, bag.w - 2, bag.h / 2),
                        band.trim().slot(),
                        8));
    }

    /** A strap, a pair of handles or a loop: what it is made of, how many there are, how wide and how long. */
    private record Carried(String name, String slot, long count, double width, double length) {

        boolean isLoop() {
            return length <= SHORT_LOOP && !name.toLowerCase(Locale.ROOT).contains("handle");
        }
    }

    private Optional<Carried> carried() {
        return bag.design.straps().stream()
                .flatMap(strap -> {
                    double wide = bag.typed(strap.width()).orElse(20);
                    Optional<Carried> piece = bag.sized
                            .piece(strap.of())
                            .filter(one -> one.piece().role() == Role.STRAP)
                            .map(one -> new Carried(
                                    one.piece().name(),
                                    one.piece().slot(),
                                    strap.school() == StrapSchool.FACED ? one.count() / 2 : one.count(),
                                    wide,
                                    Math.max(
                                            Bag.millimetres(one.width().value()),
                                            Bag.millimetres(one.height().value()))));
                    return piece
                            .or(() -> bag.sized
                                    .trim(strap.of())
                                    .map(trim -> new Carried(
                                            trim.trim().name(),
                                            trim.trim().slot(),
                                            trim.count(),
                                            wide,
                                            Bag.millimetres(trim.length().value()))))
                            .stream();
                })
                .filter(one -> one.length() > 40)
                .max(Comparator.comparingDouble(Carried::length));
    }
}
