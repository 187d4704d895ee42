package mardun.core.template;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Templates beside one another on one plane, none of which touches another.
 *
 * @param width as far as they reach
 * @param height likewise
 */
public record TemplatePlane(List<Placed> placed, double width, double height) {

    /** Between two templates, and room for what is drawn beyond an edge. */
    static final double GAP = 8;

    /** A template with its upper left corner. */
    public record Placed(Template template, double left, double top) {

        /** Its lines, where they lie on the plane. */
        public List<TemplateLine> lines() {
            return template.lines().stream().map(line -> line.moved(left, top)).toList();
        }

        double right() {
            return left + template.width();
        }

        double bottom() {
            return top + template.height();
        }

        /** Whether its rectangle lies within another one, in part. */
        public boolean meets(double x1, double y1, double x2, double y2) {
            return left < x2 && right() > x1 && top < y2 && bottom() > y1;
        }
    }

    public TemplatePlane {
        placed = List.copyOf(placed);
    }

    /** Templates in rows of a width, the highest first; one that is wider has a row for itself. */
    static TemplatePlane rows(List<Template> templates, double width) {
        List<Template> sorted = templates.stream()
                .sorted(Comparator.comparingDouble(Template::height).reversed())
                .toList();
        List<Placed> placed = new ArrayList<>();
        double left = GAP;
        double top = GAP;
        double row = 0;
        for (Template template : sorted) {
            if (left > GAP && left + template.width() + GAP > width) {
                top += row + GAP;
                left = GAP;
                row = 0;
            }
            placed.add(new Placed(template, left, top));
            left += template.width() + GAP;
            row = Math.max(row, template.height());
        }
        return new TemplatePlane(
                placed,
                placed.stream().mapToDouble(Placed::right).max().orElse(0) + GAP,
                placed.stream().mapToDouble(Placed::bottom).max().orElse(0) + GAP);
    }
}
