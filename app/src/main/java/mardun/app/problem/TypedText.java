package mardun.app.problem;

import java.text.Normalizer;
import java.util.regex.Pattern;

/** Texts as they come from forms and files: what can't be seen and can't be stored is taken out of them. */
public final class TypedText {

    private static final String SPACES = "\t\n\r";
    private static final Pattern LONG_QUOTE = Pattern.compile("“([^”]{120})[^”]+”");

    private TypedText() {}

    /**
     * The text without control characters and without halves of characters, which copying sometimes leaves; a letter with its
     * accent is one character, however the keyboard made it.
     */
    public static String clean(String text) {
        String whole = text;
        if (!text.codePoints().allMatch(TypedText::isKept)) {
            StringBuilder clean = new StringBuilder(text.length());
            text.codePoints().filter(TypedText::isKept).forEach(clean::appendCodePoint);
            whole = clean.toString();
        }
        return Normalizer.normalize(whole, Normalizer.Form.NFC);
    }

    /** A sentence in which nothing that was typed is quoted at length. */
    public static String shortened(String sentence) {
        return LONG_QUOTE.matcher(sentence).replaceAll("“$1…”");
    }

    private static boolean isKept(int codePoint) {
        boolean control = Character.getType(codePoint) == Character.CONTROL && SPACES.indexOf(codePoint) < 0;
        boolean half = codePoint >= Character.MIN_SURROGATE && codePoint <= Character.MAX_SURROGATE;
        return !control && !half;
    }
}
