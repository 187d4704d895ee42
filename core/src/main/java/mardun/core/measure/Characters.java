package mardun.core.measure;

import java.util.Map;

/** The many characters that keyboards, spreadsheets and web pages put where a plain one is meant. */
public final class Characters {

    private static final Map<Character, String> VULGAR_FRACTIONS = Map.ofEntries(
            Map.entry('¼', "1/4"),
            Map.entry('½', "1/2"),
            Map.entry('¾', "3/4"),
            Map.entry('⅓', "1/3"),
            Map.entry('⅔', "2/3"),
            Map.entry('⅕', "1/5"),
            Map.entry('⅖', "2/5"),
            Map.entry('⅗', "3/5"),
            Map.entry('⅘', "4/5"),
            Map.entry('⅙', "1/6"),
            Map.entry('⅚', "5/6"),
            Map.entry('⅛', "1/8"),
            Map.entry('⅜', "3/8"),
            Map.entry('⅝', "5/8"),
            Map.entry('⅞', "7/8"));

    private static final int MOST_SHOWN = 40;

    private Characters() {}

    /** The text with plain spaces, quotes, hyphens, slashes and fractions, and without spaces around it. */
    static String plain(String text) {
        StringBuilder plain = new StringBuilder();
        for (char c : text.toCharArray()) {
            String fraction = VULGAR_FRACTIONS.get(c);
            if (fraction != null) {
                if (!plain.isEmpty() && Character.isDigit(plain.charAt(plain.length() - 1))) {
                    plain.append(' ');
                }
                plain.append(fraction);
            } else {
                plain.append(plain(c));
            }
        }
        return plain.toString().replace("''", "\"").strip();
    }

    /** The text with plain spaces, quotes, hyphens and slashes, each character in its place. */
    public static String plainMarks(String text) {
        StringBuilder plain = new StringBuilder(text.length());
        for (char c : text.toCharArray()) {
            plain.append(c == '×' ? c : plain(c));
        }
        return plain.toString();
    }

    private static char plain(char c) {
        return switch (c) {
            case '\u2033', '\u201c', '\u201d', '\u201f', '\u02ba' -> '"';
            case '\u2032', '\u2018', '\u2019', '\u02b9', '\u00b4' -> '\'';
            case '\u2044', '\u2215' -> '/';
            case '\u2010', '\u2011', '\u2012', '\u2013', '\u2014', '\u2212' -> '-';
            case '\u00d7', '\u2715' -> 'x';
            default -> Character.isWhitespace(c) || Character.isSpaceChar(c) ? ' ' : c;
        };
    }

    /** A text for a sentence: cut off where it is too long to be read there. */
    static String shortened(String text) {
        return text.length() <= MOST_SHOWN ? text : text.substring(0, MOST_SHOWN) + "…";
    }
}
