package mardun.app.paper;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.oned.Code128Writer;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/** A code of black and white modules that a telephone, a tablet or a scanner reads, with the quiet edge that it needs. */
final class ModuleCode {

    private static final int QUIET_BESIDE_BARS = 20;

    private final BitMatrix matrix;

    private ModuleCode(BitMatrix matrix) {
        this.matrix = matrix;
    }

    static ModuleCode qr(String text) {
        try {
            return new ModuleCode(new QRCodeWriter()
                    .encode(
                            text,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.M,
                                    EncodeHintType.MARGIN,
                                    1,
                                    EncodeHintType.CHARACTER_SET,
                                    "UTF-8")));
        } catch (WriterException tooLong) {
            throw new IllegalArgumentException("no code holds this: " + text, tooLong);
        }
    }

    /** Bars in the general-purpose alphabet of code 128; letters, digits and signs of plain ASCII only. */
    static ModuleCode bars(String text) {
        return new ModuleCode(new Code128Writer()
                .encode(text, BarcodeFormat.CODE_128, 0, 1, Map.of(EncodeHintType.MARGIN, QUIET_BESIDE_BARS)));
    }

    int wide() {
        return matrix.getWidth();
    }

    int high() {
        return matrix.getHeight();
    }

    boolean isDark(int x, int y) {
        return matrix.get(x, y);
    }

    /** The dark modules as the path of a drawing, in modules. */
    String path() {
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < high(); y++) {
            for (int x = 0; x < wide(); x++) {
                if (isDark(x, y)) {
                    path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                }
            }
        }
        return path.toString();
    }
}
