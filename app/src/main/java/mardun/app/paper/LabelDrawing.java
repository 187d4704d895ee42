package mardun.app.paper;

import java.util.List;
import mardun.core.label.LabelFace;
import org.jspecify.annotations.Nullable;

/**
 * What stands on a label, true to size: as it is stored, drawn and printed. All measures are millimetres.
 *
 * @param code absent for none
 */
public record LabelDrawing(
        double width,
        double height,
        List<LabelFace.Text> texts,
        @Nullable PlacedCode code) {

    /** Which code. */
    public enum CodeKind {
        NONE,
        QR,
        BARS
    }

    /** A code with its place. */
    public record PlacedCode(CodeKind kind, String text, LabelFace.Box box) {

        ModuleCode modules() {
            return kind == CodeKind.QR ? ModuleCode.qr(text) : ModuleCode.bars(text);
        }
    }

    /** As the interface draws it. */
    public LabelView view() {
        return new LabelView(
                width,
                height,
                texts.stream()
                        .map(text -> new LabelView.TextView(
                                text.left(), text.baseline(), text.size(), text.bold(), text.text()))
                        .toList(),
                code == null ? null : view(code));
    }

    private static LabelView.CodeView view(PlacedCode code) {
        ModuleCode modules = code.modules();
        LabelFace.Box box = code.box();
        return new LabelView.CodeView(
                box.left(), box.top(), box.width(), box.height(), modules.wide(), modules.high(), modules.path());
    }
}
