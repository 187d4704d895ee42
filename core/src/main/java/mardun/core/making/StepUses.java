package mardun.core.making;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What goes through a step, as it is typed: {@code 2A, 2x B top, C left and right, D round}. A letter may be any letters and digits that a
 * piece has: where {@code 2a} is a piece, it is that piece, and else two layers of {@code a}. The words behind it say along which of its
 * edges it is sewn.
 */
public final class StepUses {

    private static final Pattern PARTED = Pattern.compile("[^,;+]+");
    private static final Pattern LAYERS = Pattern.compile("(\\d{1,2}) *[x×] *(\\S+)|(\\d{1,2}) *(\\S+)");
    private static final Pattern ALONG =
            Pattern.compile("(?iu)(.*?\\S)((?:[ /]+(?:at|and|top|right|bottom|left|round))+)");
    private static final Pattern WORD = Pattern.compile("\\p{L}+");
    private static final Pattern LETTER = Pattern.compile("[\\p{L}\\p{N}]{1,4}");

    private StepUses() {}

    /** A part of the text, and what it stands for; nothing where it can't be read. */
    private record Read(int from, int to, String layers, String letter, Set<Step.Side> along) {}

    /**
     * What a text says.
     *
     * @param letters those that the design's pieces, panels and trims have
     * @return empty where a part of it stands for nothing; {@link #unreadable} says which
     */
    public static Optional<List<Step.Use>> read(String typed, Set<String> letters) {
        List<Step.Use> uses = new ArrayList<>();
        for (Read part : parts(typed, letters)) {
            if (!LETTER.matcher(part.letter()).matches()) {
                return Optional.empty();
            }
            uses.add(new Step.Use(
                    part.letter(),
                    Math.max(1, part.layers().isEmpty() ? 1 : Integer.parseInt(part.layers())),
                    part.along()));
        }
        return Optional.of(uses);
    }

    /** The first part of a text that stands for nothing. */
    public static String unreadable(String typed, Set<String> letters) {
        return parts(typed, letters).stream()
                .filter(part -> !LETTER.matcher(part.letter()).matches())
                .map(part -> typed.substring(part.from(), part.to()))
                .findFirst()
                .orElse("");
    }

    /** The text with other letters in the places of those that it names; all else stays as it was typed. */
    public static String renamed(String typed, Set<String> letters, UnaryOperator<String> rename) {
        StringBuilder text = new StringBuilder();
        int at = 0;
        for (Read part : parts(typed, letters)) {
            String layers = part.layers();
            String renamed = rename.apply(part.letter());
            text.append(typed, at, part.from());
            if (renamed.equals(part.letter())) {
                text.append(typed, part.from(), part.to());
            } else {
                boolean runsTogether = !layers.isEmpty() && Character.isDigit(renamed.charAt(0));
                text.append(layers).append(runsTogether ? "x" : "").append(renamed);
            }
            at = part.to();
        }
        return text.append(typed, at, typed.length()).toString();
    }

    /** The text without those of its parts that stand for some letters; what can't be read stays. */
    public static String without(String typed, Set<String> letters, Set<String> out) {
        List<String> kept = new ArrayList<>();
        Matcher parted = PARTED.matcher(typed);
        while (parted.find()) {
            String part = parted.group().strip();
            if (!part.isEmpty() && !out.contains(read(part, 0, letters).letter())) {
                kept.add(part);
            }
        }
        return String.join(", ", kept);
    }

    private static List<Read> parts(String typed, Set<String> letters) {
        List<Read> parts = new ArrayList<>();
        Matcher parted = PARTED.matcher(typed);
        while (parted.find()) {
            String part = parted.group().strip();
            if (!part.isEmpty()) {
                int from = parted.start() + parted.group().indexOf(part.charAt(0));
                parts.add(read(part, from, letters));
            }
        }
        return parts;
    }

    private static Read read(String all, int from, Set<String> letters) {
        Matcher said = ALONG.matcher(all);
        boolean saysWhere = !letters.contains(all) && said.matches();
        String part = saysWhere ? said.group(1) : all;
        Set<Step.Side> along = saysWhere ? sides(said.group(2)) : Set.of();
        int to = from + part.length();
        Matcher layers = LAYERS.matcher(part);
        if (letters.contains(part) || !layers.matches()) {
            return new Read(from, to, "", part, along);
        }
        boolean times = layers.group(1) != null;
        return new Read(
                from, to, times ? layers.group(1) : layers.group(3), times ? layers.group(2) : layers.group(4), along);
    }

    private static Set<Step.Side> sides(String words) {
        Set<Step.Side> sides = EnumSet.noneOf(Step.Side.class);
        WORD.matcher(words)
                .results()
                .map(word -> word.group().toUpperCase(Locale.ROOT))
                .forEach(word -> {
                    switch (word) {
                        case "ROUND" -> sides.addAll(EnumSet.allOf(Step.Side.class));
                        case "AT", "AND" -> {}
                        default -> sides.add(Step.Side.valueOf(word));
                    }
                });
        return sides;
    }
}
