package mardun.app.paper;

import java.util.List;
import java.util.Optional;
import mardun.app.paper.LabelDrawing.CodeKind;
import mardun.app.paper.LabelDrawing.PlacedCode;
import mardun.core.label.LabelFace;
import mardun.core.measure.Extent;
import mardun.core.measure.LengthUnit;

/** Sets words and a code on a label in the fonts that ship with the application. */
public final class LabelSetter {

    private static final double MM = LengthUnit.MILLIMETRE.nanometres();

    private LabelSetter() {}

    /**
     * The label.
     *
     * @param codeText what the code says, in plain ASCII
     * @return empty where not all of it fits
     */
    public static Optional<LabelDrawing> set(Extent label, List<LabelFace.Part> parts, CodeKind kind, String codeText) {
        Optional<LabelFace.Code> code = switch (kind) {
            case NONE -> Optional.empty();
            case QR -> Optional.of(new LabelFace.Code.Square());
            case BARS ->
                Optional.of(new LabelFace.Code.Bars(ModuleCode.bars(codeText).wide()));
        };
        return LabelFace.fit(label, parts, code, LabelFonts::width)
                .map(face -> new LabelDrawing(
                        label.width().nanometres() / MM,
                        label.height().nanometres() / MM,
                        face.texts(),
                        face.code()
                                .map(box -> new PlacedCode(kind, codeText, box))
                                .orElse(null)));
    }
}
