package mardun.app.design;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mardun.app.design.DesignDocument.Begun;
import mardun.app.design.DesignDocument.DrawnRow;
import mardun.app.design.DesignDocument.FormRow;
import mardun.app.design.DesignDocument.MarkRow;
import mardun.app.design.DesignDocument.PanelRow;
import mardun.app.design.DesignDocument.PieceRow;
import mardun.app.design.DesignDocument.PromptRow;
import mardun.app.design.DesignDocument.SetUpDetails;
import mardun.app.design.DesignDocument.ShapeRow;
import mardun.app.design.DesignDocument.SlotRow;
import mardun.app.design.DesignDocument.StepRow;
import mardun.app.id.MaterialId;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;
import mardun.core.design.BagForm;
import mardun.core.design.BoxedBag;
import mardun.core.design.Design;
import mardun.core.design.FoldedSideBag;
import mardun.core.design.FormMeasure;
import mardun.core.design.GussetedBag;
import mardun.core.design.Mark;
import mardun.core.design.Panel;
import mardun.core.design.Piece;
import mardun.core.design.RoundBag;
import mardun.core.design.Shape;
import mardun.core.making.Prompt;
import mardun.core.making.SetUp;
import mardun.core.making.Step;

/** Turns the core's design into the document that is edited and stored: the other way than {@link DocumentReader}. */
public final class DocumentWriter {

    private static final BigDecimal SECONDS_PER_MINUTE = BigDecimal.valueOf(60);

    private DocumentWriter() {}

    /**
     * The document of a design that was drafted.
     *
     * @param materials what fills its slots, by their keys
     */
    public static DesignDocument write(Design design, Begun begun, Map<String, MaterialId> materials) {
        DesignDocument document = new DesignDocument(
                design.name(),
                begun.kind().sort(),
                "",
                design.sizes(),
                null,
                begun.kind().usualUnits(),
                design.measurements(),
                form(design),
                design.pieces().stream().map(DocumentWriter::piece).toList(),
                design.panels().stream().map(DocumentWriter::panel).toList(),
                design.trims(),
                design.notions(),
                design.fillings(),
                design.zips(),
                design.straps(),
                design.casings(),
                design.gathers(),
                design.steps().stream().map(DocumentWriter::step).toList(),
                design.slots().stream()
                        .map(slot -> new SlotRow(
                                slot.key(),
                                slot.label(),
                                slot.kind(),
                                slot.cloths(),
                                slot.ware().orElse(null),
                                materials.get(slot.key())))
                        .toList(),
                design.source(),
                design.forChildren(),
                design.setAside(),
                begun,
                null,
                null);
        return DocumentReader.kept(document, begun.system());
    }

    private static FormRow form(Design design) {
        Map<String, String> measures = new TreeMap<>();
        design.form().measures().forEach((measure, formula) -> put(measures, measure, formula));
        put(measures, FormMeasure.LINING_SEAM, design.liningSeam());
        put(measures, FormMeasure.WISHED_WIDTH, design.wished().width());
        put(measures, FormMeasure.WISHED_HEIGHT, design.wished().height());
        BagForm form = design.form();
        BoxedBag boxed = form instanceof BoxedBag bag ? bag : null;
        return new FormRow(
                kind(form),
                form.outer().orElse(""),
                form.lining().orElse(""),
                other(form),
                boxed == null ? BoxingSchool.CUT_BEFORE_SEWING : boxed.school(),
                boxed == null ? BaseEdge.SEAM : boxed.base(),
                boxed == null ? null : boxed.sides(),
                measures);
    }

    private static void put(Map<String, String> measures, FormMeasure measure, String formula) {
        if (!formula.isEmpty()) {
            measures.put(measure.key(), formula);
        }
    }

    private static FormKind kind(BagForm form) {
        if (form instanceof BoxedBag) {
            return FormKind.BOXED;
        }
        if (form instanceof FoldedSideBag) {
            return FormKind.FOLDED_SIDES;
        }
        if (form instanceof GussetedBag) {
            return FormKind.GUSSETED;
        }
        return form instanceof RoundBag ? FormKind.ROUND : FormKind.FREE;
    }

    private static String other(BagForm form) {
        if (form instanceof BoxedBag boxed) {
            return boxed.back().orElse("");
        }
        if (form instanceof GussetedBag gusseted) {
            return gusseted.gusset();
        }
        return form instanceof RoundBag round ? round.base() : "";
    }

    private static PieceRow piece(Piece piece) {
        return new PieceRow(
                piece.letter(),
                piece.name(),
                piece.role(),
                piece.slot(),
                piece.quantity(),
                piece.layers(),
                piece.width(),
                piece.height(),
                piece.shapes().stream().map(DocumentWriter::shape).toList(),
                piece.edges(),
                piece.directional(),
                piece.meetsPrint(),
                piece.overSelvage(),
                piece.fold(),
                piece.boxed(),
                piece.backs().orElse(null),
                piece.trimTo().orElse(null),
                marks(piece.marks()));
    }

    private static ShapeRow shape(Shape shape) {
        return new ShapeRow(
                shape.kind(),
                shape.place(),
                shape.across(),
                shape.along(),
                shape.drawn()
                        .map(drawn -> new DrawnRow(
                                drawn.points(),
                                drawn.mirrored(),
                                drawn.line(),
                                drawn.tips(),
                                drawn.tallerAt(),
                                drawn.tallerBy()))
                        .orElse(null));
    }

    private static PanelRow panel(Panel panel) {
        return new PanelRow(
                panel.letter(),
                panel.name(),
                panel.direction(),
                panel.parts(),
                panel.join(),
                panel.trimTo().orElse(null),
                marks(panel.marks()));
    }

    private static List<MarkRow> marks(List<Mark> marks) {
        return marks.stream()
                .map(mark -> new MarkRow(
                        mark.kind(),
                        mark.label(),
                        mark.from(),
                        mark.across(),
                        mark.down(),
                        mark.width(),
                        mark.height(),
                        mark.pair().orElse(null),
                        mark.half(),
                        mark.acrossFrom(),
                        mark.downFrom(),
                        mark.closing(),
                        null))
                .toList();
    }

    private static StepRow step(Step step) {
        SetUp setUp = step.setUp();
        return new StepRow(
                step.key(),
                step.name(),
                step.stage(),
                step.station(),
                setUp.needle(),
                setUp.thread(),
                SetUp.Part.FOOT.of(setUp),
                SetUp.Part.STITCH.of(setUp),
                minutes(step.perUnit()),
                minutes(step.perBatch()),
                minutes(step.passive()),
                step.check(),
                step.caution(),
                step.note(),
                step.after(),
                step.uses().stream().map(DocumentWriter::use).collect(Collectors.joining(", ")),
                SetUpDetails.NONE,
                step.prompts().stream().map(DocumentWriter::prompt).toList(),
                step.goesOn(),
                step.lay().orElse(null));
    }

    private static String minutes(Duration time) {
        return BigDecimal.valueOf(time.toSeconds())
                .divide(SECONDS_PER_MINUTE, 2, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    private static String use(Step.Use use) {
        Set<Step.Side> along = use.along();
        String sides = along.size() == Step.Side.values().length
                ? " round"
                : along.stream()
                        .sorted()
                        .map(side -> " " + side.name().toLowerCase(Locale.ROOT))
                        .collect(Collectors.joining());
        return (use.layers() == 1 ? "" : String.valueOf(use.layers())) + use.letter() + sides;
    }

    private static PromptRow prompt(Prompt prompt) {
        return new PromptRow(
                prompt.kind(),
                prompt.text(),
                prompt.mark(),
                prompt.from(),
                prompt.isGate(),
                prompt.seconds() == 0 ? "" : String.valueOf(prompt.seconds()),
                prompt.times() == 1 ? "" : String.valueOf(prompt.times()));
    }
}
