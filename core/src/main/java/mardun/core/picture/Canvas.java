package mardun.core.picture;

import java.util.ArrayList;
import java.util.List;
import mardun.core.design.BagPart;
import mardun.core.picture.BagPicture.Frame;
import mardun.core.picture.BagPicture.Look;
import mardun.core.picture.BagPicture.Part;

/**
 * Collects what is drawn. Faces of the bag are planes in space; what lies on them is drawn in their own millimetres, from their top
 * left corner.
 */
final class Canvas {

    /** What a millimetre towards the back moves to the right, and up. */
    private static final double BACK_RIGHT = 0.36;

    private static final double BACK_UP = 0.22;
    private static final double MARGIN = 4;

    private record Drawn(Look look, BagPart of, Path path, String slot, Frame frame, double stroke, double shade) {}

    private final List<Drawn> drawn = new ArrayList<>();
    private BagPart part = BagPart.BODY;

    /** A point in space: right, up and back from the front bottom left corner. */
    record Point(double x, double y, double z) {

        double pageX() {
            return x + z * BACK_RIGHT;
        }

        double pageY() {
            return -y - z * BACK_UP;
        }
    }

    /** The plane with these three points: its top left corner, what is so far right of it and what is so far below. */
    static Frame plane(Point corner, Point right, double across, Point below, double down) {
        return new Frame(
                (right.pageX() - corner.pageX()) / across,
                (right.pageY() - corner.pageY()) / across,
                (below.pageX() - corner.pageX()) / down,
                (below.pageY() - corner.pageY()) / down,
                corner.pageX(),
                corner.pageY());
    }

    /** A line on a plane. */
    static final class Path {

        private final Frame frame;
        private Frame print;
        private final List<double[]> points = new ArrayList<>();
        private final List<Character> commands = new ArrayList<>();

        Path(Frame frame) {
            this.frame = frame;
            this.print = frame;
        }

        /** The same line, with the print of its cloth laid as another plane lays it. */
        Path printed(Frame as) {
            print = as;
            return this;
        }

        Path to(double u, double v) {
            return add(commands.isEmpty() ? 'M' : 'L', u, v);
        }

        /** Begins anew, elsewhere. */
        Path from(double u, double v) {
            return add('M', u, v);
        }

        Path curve(double u1, double v1, double u2, double v2, double u, double v) {
            points.add(new double[] {
                frame.x(u1, v1), frame.y(u1, v1), frame.x(u2, v2), frame.y(u2, v2), frame.x(u, v), frame.y(u, v)
            });
            commands.add('C');
            return this;
        }

        Path close() {
            points.add(new double[0]);
            commands.add('Z');
            return this;
        }

        Path rectangle(double u, double v, double width, double height) {
            return from(u, v)
                    .to(u + width, v)
                    .to(u + width, v + height)
                    .to(u, v + height)
                    .close();
        }

        Path oval(double u, double v, double across, double along) {
            double ku = across * ROUND;
            double kv = along * ROUND;
            return from(u - across, v)
                    .curve(u - across, v - kv, u - ku, v - along, u, v - along)
                    .curve(u + ku, v - along, u + across, v - kv, u + across, v)
                    .curve(u + across, v + kv, u + ku, v + along, u, v + along)
                    .curve(u - ku, v + along, u - across, v + kv, u - across, v)
                    .close();
        }

        private Path add(char command, double u, double v) {
            points.add(new double[] {frame.x(u, v), frame.y(u, v)});
            commands.add(command);
            return this;
        }

        private String written(double left, double top) {
            StringBuilder text = new StringBuilder();
            for (int i = 0; i < points.size(); i++) {
                text.append(commands.get(i));
                double[] at = points.get(i);
                for (int j = 0; j < at.length; j++) {
                    if (j > 0) {
                        text.append(' ');
                    }
                    tenths(text, at[j] - (j % 2 == 0 ? left : top));
                }
            }
            return text.toString();
        }
    }

    /** A number with a point and one decimal; a page of pictures writes thousands of them. */
    private static void tenths(StringBuilder text, double number) {
        long rounded = Math.round(Math.abs(number) * 10);
        if (number < 0 && rounded > 0) {
            text.append('-');
        }
        text.append(rounded / 10).append('.').append(rounded % 10);
    }

    /** How far the handles of a curve reach that makes a quarter of a round. */
    static final double ROUND = 0.5523;

    /** All that is drawn meanwhile belongs to a part of the bag. */
    void draw(BagPart its, Runnable drawing) {
        BagPart before = part;
        part = its;
        drawing.run();
        part = before;
    }

    void cloth(Path path, String slot, double shade) {
        drawn.add(new Drawn(Look.CLOTH, part, path, slot, path.print, 0, shade));
    }

    void inside(Path path, String slot, double shade) {
        drawn.add(new Drawn(Look.INSIDE, BagPart.LINING, path, slot, path.print, 0, shade));
    }

    void strip(Path path, String slot, double width) {
        drawn.add(new Drawn(Look.STRIP, part, path, slot, path.frame, width, 0));
    }

    void line(Look look, Path path) {
        drawn.add(new Drawn(look, part, path, "", path.frame, 0, 0));
    }

    /** All that was drawn, moved to the corner of the page. */
    BagPicture picture() {
        double left = Double.MAX_VALUE;
        double top = Double.MAX_VALUE;
        double right = -Double.MAX_VALUE;
        double bottom = -Double.MAX_VALUE;
        for (Drawn one : drawn) {
            double half = one.stroke() / 2;
            for (double[] at : one.path().points) {
                for (int i = 0; i + 1 < at.length; i += 2) {
                    left = Math.min(left, at[i] - half);
                    right = Math.max(right, at[i] + half);
                    top = Math.min(top, at[i + 1] - half);
                    bottom = Math.max(bottom, at[i + 1] + half);
                }
            }
        }
        if (drawn.isEmpty()) {
            return new BagPicture(0, 0, List.of());
        }
        double x = left - MARGIN;
        double y = top - MARGIN;
        List<Part> parts = drawn.stream()
                .map(one -> new Part(
                        one.look(),
                        one.of(),
                        one.path().written(x, y),
                        one.slot(),
                        moved(one.frame(), x, y),
                        one.stroke(),
                        one.shade()))
                .toList();
        return new BagPicture(right + MARGIN - x, bottom + MARGIN - y, parts);
    }

    private static Frame moved(Frame frame, double x, double y) {
        return new Frame(frame.a(), frame.b(), frame.c(), frame.d(), frame.e() - x, frame.f() - y);
    }
}
