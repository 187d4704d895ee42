package mardun.core.making;

import java.util.ArrayList;
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

    public static final SetUp NONE = new SetUp("", "", "", "");

    /** What has to be changed to come from {@code before} to this set-up, in words: {@code zip foot}. */
    public List<String> changesFrom(SetUp before) {
        List<String> changes = new ArrayList<>();
        change(changes, before.needle, needle, "needle " + needle);
        change(changes, before.thread, thread, thread + " thread");
        change(changes, before.foot, foot, foot);
        change(changes, before.stitch, stitch, "stitch " + stitch);
        return changes;
    }

    /** What is on the machine for this set-up after {@code before}: what doesn't matter stays as it was. */
    public SetUp after(SetUp before) {
        return new SetUp(
                needle.isBlank() ? before.needle : needle,
                thread.isBlank() ? before.thread : thread,
                foot.isBlank() ? before.foot : foot,
                stitch.isBlank() ? before.stitch : stitch);
    }

    private static void change(List<String> changes, String before, String now, String words) {
        if (!now.isBlank() && !plain(now).equals(plain(before))) {
            changes.add(words);
        }
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

    /** A space or a capital letter is no change-over. */
    static String plain(String typed) {
        return SPACE.matcher(typed).replaceAll("").toLowerCase(Locale.ROOT);
    }
}
