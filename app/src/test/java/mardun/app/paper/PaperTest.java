package mardun.app.paper;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PaperTest {

    @ParameterizedTest
    @CsvSource({
        "10 \u00bd in, 10 1/2 in",
        "10\u00bd in, 10 1/2 in",
        "3 5\u204416 in, 3 5/16 in",
        "\u2248 7 \u215e in, about 7 7/8 in",
        "Al\u00e7a {n} & Co, Al\u00e7a {n} &amp; Co"
    })
    void measuresAreWrittenInLettersThatTheFontsHave(String text, String printed) {
        assertThat(Paper.plain(text)).isEqualTo(printed);
    }

    /** The code as it is drawn is read again by a reader of codes. */
    @Test
    void aCodeReadsAsWhatWasWrittenInIt() throws Exception {
        String address = "http://192.168.1.20:8080/bench/work/4?step=zip&line=1";
        String drawing = Paper.qr(address, 30);
        Matcher size = Pattern.compile("viewBox=\"0 0 (\\d+) ").matcher(drawing);
        assertThat(size.find()).isTrue();
        int modules = Integer.parseInt(size.group(1));
        int scale = 8;
        int wide = modules * scale;
        int[] pixels = new int[wide * wide];
        Arrays.fill(pixels, 0xffffff);
        Matcher dark = Pattern.compile("M(\\d+) (\\d+)h1v1h-1z").matcher(drawing);
        while (dark.find()) {
            int left = Integer.parseInt(dark.group(1)) * scale;
            int top = Integer.parseInt(dark.group(2)) * scale;
            for (int y = top; y < top + scale; y++) {
                Arrays.fill(pixels, y * wide + left, y * wide + left + scale, 0);
            }
        }
        assertThat(new QRCodeReader()
                        .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(wide, wide, pixels))))
                        .getText())
                .isEqualTo(address);
    }
}
