package mardun.app.design;

import java.util.List;
import mardun.core.design.FormMeasure;

/** The forms that a bag can come together in, with the measures that each is sewn with. */
public enum FormKind {
    BOXED(
            "boxed corners, or flat",
            "back, if it is cut otherwise",
            FormMeasure.DEPTH,
            FormMeasure.SIDE,
            FormMeasure.TOP,
            FormMeasure.BASE,
            FormMeasure.BOXING,
            FormMeasure.ZIP_SHOWS,
            FormMeasure.RIM_BAND,
            FormMeasure.LINING_SEAM,
            FormMeasure.WISHED_WIDTH,
            FormMeasure.WISHED_HEIGHT),
    FOLDED_SIDES(
            "one wrap with folded-in sides",
            "",
            FormMeasure.FOLD,
            FormMeasure.TOP,
            FormMeasure.END,
            FormMeasure.ZIP_SHOWS,
            FormMeasure.LINING_SEAM,
            FormMeasure.WISHED_WIDTH,
            FormMeasure.WISHED_HEIGHT),
    GUSSETED(
            "two faces and a gusset",
            "gusset",
            FormMeasure.SIDE,
            FormMeasure.TOP,
            FormMeasure.END,
            FormMeasure.RADIUS,
            FormMeasure.LINING_SEAM,
            FormMeasure.WISHED_WIDTH,
            FormMeasure.WISHED_HEIGHT),
    ROUND(
            "a body round a round base",
            "round base",
            FormMeasure.SIDE,
            FormMeasure.TOP,
            FormMeasure.BASE,
            FormMeasure.LINING_SEAM,
            FormMeasure.WISHED_WIDTH,
            FormMeasure.WISHED_HEIGHT),
    FREE("anything else: its measures are formulas", "", FormMeasure.WIDTH, FormMeasure.HEIGHT, FormMeasure.DEPTH);

    private final String words;
    private final String other;
    private final List<FormMeasure> measures;

    FormKind(String words, String other, FormMeasure... measures) {
        this.words = words;
        this.other = other;
        this.measures = List.of(measures);
    }

    public String words() {
        return words;
    }

    /** What its second panel is called; empty where it has none. */
    public String other() {
        return other;
    }

    public List<FormMeasure> measures() {
        return measures;
    }

    /** What the finished width, height and depth are called in this form. */
    public List<String> finishedLabels() {
        return switch (this) {
            case BOXED -> List.of("Base", "Height", "Depth");
            case FOLDED_SIDES -> List.of("Length", "Height", "Depth");
            case GUSSETED, FREE -> List.of("Width", "Height", "Depth");
            case ROUND -> List.of("Diameter", "Height", "");
        };
    }
}
