package mardun.core.making;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What must be on the machine for a step; an empty text where it doesn't matter. */
public record SetUp(String needle, String thread, String foot, String stitch) {

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

    /** A space or a capital letter is no change-over. */
    private static String plain(String typed) {
        return typed.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
    }
}
