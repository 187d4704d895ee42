package mardun.app.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** How wide texts are in the fonts that ship with the application; each letter comes from the first font that has it. */
final class LabelFonts {

    /** Which letters are meant. */
    enum Weight {
        REGULAR,
        BOLD;

        static Weight of(boolean bold) {
            return bold ? BOLD : REGULAR;
        }
    }

    private static final int MISSING = '?';
    private static final Map<Weight, List<Measured>> FONTS = new EnumMap<>(Weight.class);

    static {
        for (Weight weight : Weight.values()) {
            FONTS.put(
                    weight,
                    PaperFonts.files(weight == Weight.BOLD).stream()
                            .map(Measured::read)
                            .toList());
        }
    }

    private LabelFonts() {}

    private record Measured(TrueTypeFont font, CmapLookup letters) {

        static Measured read(String file) {
            try {
                TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(PaperFonts.open(file)));
                return new Measured(font, font.getUnicodeCmapLookup());
            } catch (IOException unread) {
                throw new UncheckedIOException("the font " + file + " can't be read", unread);
            }
        }

        boolean has(int letter) {
            return letters.getGlyphId(letter) != 0;
        }

        double width(int letter) {
            try {
                return (double) font.getAdvanceWidth(letters.getGlyphId(letter)) / font.getUnitsPerEm();
            } catch (IOException unread) {
                throw new UncheckedIOException(unread);
            }
        }
    }

    /** How wide a text is, in sizes of its letters. */
    static double width(String text, boolean bold) {
        List<Measured> fonts = FONTS.get(Weight.of(bold));
        double[] width = {0};
        forEachRun(
                text,
                bold,
                (font, run) -> run.codePoints()
                        .forEach(letter -> width[0] += fonts.get(font).width(letter)));
        return width[0];
    }

    /**
     * Walks the text in runs of letters that come from one font; a letter that none has becomes a question mark.
     *
     * @param visitor gets the number of the font among {@link PaperFonts#files}, and the run
     */
    static void forEachRun(String text, boolean bold, BiConsumer<Integer, String> visitor) {
        List<Measured> fonts = FONTS.get(Weight.of(bold));
        List<Integer> letters = new ArrayList<>();
        text.codePoints().filter(letter -> !isInvisible(letter)).forEach(letters::add);
        StringBuilder run = new StringBuilder();
        int current = 0;
        for (int letter : letters) {
            int font = 0;
            while (font < fonts.size() && !fonts.get(font).has(letter)) {
                font++;
            }
            boolean isMissing = font == fonts.size();
            if (isMissing) {
                font = 0;
            }
            if (font != current && !run.isEmpty()) {
                visitor.accept(current, run.toString());
                run.setLength(0);
            }
            current = font;
            run.appendCodePoint(isMissing ? MISSING : letter);
        }
        if (!run.isEmpty()) {
            visitor.accept(current, run.toString());
        }
    }

    /** Signs that only say how the one before is to be drawn. */
    private static boolean isInvisible(int letter) {
        return letter == 0x200d || letter >= 0xfe00 && letter <= 0xfe0f || Character.isISOControl(letter);
    }
}
