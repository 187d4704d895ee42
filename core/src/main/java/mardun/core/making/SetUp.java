package mardun.core.making;

import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/** What must be on the machine for a step; an empty text where it doesn't matter. */
public record SetUp(String needle, String thread, String foot, String stitch) {

    private static final Pattern SPACE = Pattern.compile("\\s+");

    /** A thread that shall have the colour of the cloth. */
    static final String MATCHING = "matching";

    public static final SetUp NONE = new SetUp("", "", "", "");

    /** A part of a set-up. */
    public enum Part {
        NEEDLE,
        THREAD,
        FOOT,
        STITCH;

        /** What a set-up says of this part, as it was typed. */
        public String of(SetUp setUp) {
            return switch (this) {
                case NEEDLE -> setUp.needle;
                case THREAD -> setUp.thread;
                case FOOT -> setUp.foot;
                case STITCH -> setUp.stitch;
            };
        }
    }

    /** What has to be changed to come from {@code before} to this set-up. */
    public List<Part> partsFrom(SetUp before) {
        return Arrays.stream(Part.values())
                .filter(part -> !part.of(this).isBlank())
                .filter(part -> !plain(part.of(this)).equals(plain(part.of(before))))
                .toList();
    }

    /** The same in words: {@code zip foot}. */
    public List<String> changesFrom(SetUp before) {
        return partsFrom(before).stream().map(this::words).toList();
    }

    /** What is put on of a part, in words. */
    public String words(Part part) {
        return switch (part) {
            case NEEDLE -> "needle " + needle;
            case THREAD -> thread.startsWith(MATCHING + " ") ? "thread " + thread : thread + " thread";
            case FOOT -> foot;
            case STITCH -> "stitch " + stitch;
        };
    }

    /** Whether its thread shall match the cloth. */
    public boolean isMatching() {
        return plain(thread).equals(MATCHING);
    }

    /** The same with another thread. */
    SetUp with(String otherThread) {
        return new SetUp(needle, otherThread, foot, stitch);
    }

    /** The same where a part doesn't matter. */
    SetUp without(Part part) {
        return new SetUp(
                part == Part.NEEDLE ? "" : needle,
                part == Part.THREAD ? "" : thread,
                part == Part.FOOT ? "" : foot,
                part == Part.STITCH ? "" : stitch);
    }

    /** What is on the machine for this set-up after {@code before}: what doesn't matter stays as it was. */
    public SetUp after(SetUp before) {
        return new SetUp(
                needle.isBlank() ? before.needle : needle,
                thread.isBlank() ? before.thread : thread,
                foot.isBlank() ? before.foot : foot,
                stitch.isBlank() ? before.stitch : stitch);
    }

    /** What was typed for a machine's part, those typed most first; however it is written, each once, as it was first. */
    public static List<String> used(List<String> typed) {
        Map<String, String> first = new LinkedHashMap<>();
        Map<String, Integer> counts = new HashMap<>();
        typed.stream().filter(one -> !one.isBlank()).forEach(one -> {
            first.putIfAbsent(plain(one), one.strip());
            counts.merge(plain(one), 1, Integer::sum);
        });
        return first.entrySet().stream()
                .sorted(Comparator.comparing((Map.Entry<String, String> one) -> -counts.get(one.getKey()))
                        .thenComparing(Map.Entry::getValue))
                .map(Map.Entry::getValue)
                .toList();
    }

    /** Written as it compares with others. */
    SetUp plain() {
        return new SetUp(plain(needle), plain(thread), plain(foot), plain(stitch));
    }

    /** As it compares with others: a space or a capital letter is no change-over. */
    public static String plain(String typed) {
        return SPACE.matcher(typed).replaceAll("").toLowerCase(Locale.ROOT);
    }
}
