package mardun.app.template;

import java.util.List;
import mardun.app.paper.PaperDrawing.Stroke;
import mardun.core.template.TemplateLine;

/** How the lines of templates look, so that none is told from another by its colour. */
final class TemplateStrokes {

    /** Nested sizes are told apart by their dashes; the largest is drawn without gaps. */
    private static final List<List<Double>> SIZES = List.of(
            List.of(),
            List.of(5.0, 1.5),
            List.of(2.5, 1.2),
            List.of(6.0, 1.2, 1.0, 1.2),
            List.of(1.0, 1.0),
            List.of(8.0, 1.2, 1.0, 1.2, 1.0, 1.2));

    private TemplateStrokes() {}

    static Stroke of(TemplateLine line) {
        return switch (line.kind()) {
            case CUT -> new Stroke(0.35, 0, SIZES.get(line.size() % SIZES.size()));
            case ON_FOLD -> Stroke.of(0.6, 0, 9.0, 2.0, 1.0, 2.0);
            case SEAM -> Stroke.of(0.2, 0.35, 2.0, 1.5);
            case LATER -> Stroke.of(0.25, 0, 3.0, 2.0);
            case FOLD_LINE -> Stroke.of(0.25, 0.2, 6.0, 2.0);
            case CENTRE -> Stroke.of(0.2, 0.3, 8.0, 2.0, 1.0, 2.0);
            case PLACE -> Stroke.of(0.25, 0);
            case GAP -> Stroke.of(0.7, 0);
            case SHIFT -> Stroke.of(0.4, 0, 1.0, 1.5, 5.0, 1.5);
            case NOTCH -> Stroke.of(0.4, 0);
            case GRAIN -> Stroke.of(0.3, 0.2);
        };
    }
}
