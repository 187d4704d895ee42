package mardun.core.making;

import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * What must be on the machine or the press for a step. What isn't said of a part doesn't matter: what is there stays.
 *
 * @param on the parts of which something is said, as it was typed
 * @param machine the key of the one machine that the step is done at; empty for any that can
 * @param freeArm it is sewn round the free arm
 * @param spools the keys of threads on the shelf that the words of a part stand for, whatever those are called by now
 */
public record SetUp(Map<Part, String> on, String machine, boolean freeArm, Map<Part, String> spools) {

    private static final Pattern SPACE = Pattern.compile("\\s+");

    /** A thread that shall have the colour of the cloth. */
    static final String MATCHING = "matching";

    public static final SetUp NONE = new SetUp(Map.of(), "", false);

    /** A part of a set-up. */
    public enum Part {
        /** Type and size. */
        NEEDLE,
        /** Top thread. */
        THREAD,
        BOBBIN,
        FOOT,
        /** Kind of stitch. */
        STITCH,
        LENGTH,
        WIDTH,
        /** Needle position. */
        POSITION,
        TENSION,
        /** Of the press. */
        HEAT,
        /** How long the press is held down. */
        SECONDS,
        /** Whether a cloth lies between. */
        PRESS_CLOTH,
        /** Steam or dry. */
        STEAM;

        /** What a set-up says of this part, as it was typed; empty where it doesn't matter. */
        public String of(SetUp setUp) {
            return setUp.on.getOrDefault(this, "");
        }
    }

    public SetUp {
        Map<Part, String> said = new EnumMap<>(Part.class);
        on.forEach((part, text) -> {
            if (!text.isBlank()) {
                said.put(part, text);
            }
        });
        on = Collections.unmodifiableMap(said);
        spools = Map.copyOf(spools);
    }

    /** Threads, if any, are known by their words alone. */
    public SetUp(Map<Part, String> on, String machine, boolean freeArm) {
        this(on, machine, freeArm, Map.of());
    }

    /** What is sewn with on any machine. */
    public static SetUp of(String needle, String thread, String foot, String stitch) {
        return new SetUp(
                Map.of(Part.NEEDLE, needle, Part.THREAD, thread, Part.FOOT, foot, Part.STITCH, stitch), "", false);
    }

    public String needle() {
        return Part.NEEDLE.of(this);
    }

    /** The top thread. */
    public String thread() {
        return Part.THREAD.of(this);
    }

    /** What has to be changed to come from {@code before} to this set-up. */
    public List<Part> partsFrom(SetUp before) {
        return Arrays.stream(Part.values())
                .filter(on::containsKey)
                .filter(part -> !plain(part.of(this)).equals(plain(part.of(before))))
                .toList();
    }

    /** The same in words: {@code zip foot}. */
    public List<String> changesFrom(SetUp before) {
        return partsFrom(before).stream().map(this::words).toList();
    }

    /** What is put on of a part, in words. */
    public String words(Part part) {
        String text = part.of(this);
        return switch (part) {
            case NEEDLE -> "needle " + text;
            case THREAD -> text.startsWith(MATCHING + " ") ? "thread " + text : text + " thread";
            case BOBBIN -> text + " in the bobbin";
            case STITCH -> "stitch " + text;
            case LENGTH -> "length " + text;
            case WIDTH -> "width " + text;
            case POSITION -> "needle position " + text;
            case TENSION -> "tension " + text;
            case HEAT -> "heat " + text;
            case SECONDS -> text + " s";
            case FOOT, PRESS_CLOTH, STEAM -> text;
        };
    }

    /** Whether its thread shall match the cloth. */
    public boolean isMatching() {
        return plain(thread()).equals(MATCHING);
    }

    /** The same with something else on a part; where it is empty, that part doesn't matter. */
    public SetUp with(Part part, String text) {
        Map<Part, String> others = new HashMap<>(on);
        others.put(part, text);
        Map<Part, String> otherSpools = new HashMap<>(spools);
        otherSpools.remove(part);
        return new SetUp(others, machine, freeArm, otherSpools);
    }

    /** The same where a part doesn't matter. */
    SetUp without(Part part) {
        return with(part, "");
    }

    /** What is on the machine for this set-up after {@code before}: what doesn't matter stays as it was. */
    public SetUp after(SetUp before) {
        Map<Part, String> all = new HashMap<>(before.on);
        all.putAll(on);
        return new SetUp(all, machine, freeArm);
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

    /** Written as it compares with others: a thread of the shelf by its key, whatever it was called. */
    SetUp plain() {
        Map<Part, String> all = new EnumMap<>(Part.class);
        on.forEach((part, text) -> all.put(part, spools.containsKey(part) ? "" : plain(text)));
        return new SetUp(all, machine, freeArm, spools);
    }

    /** What a part is called now: the name of the thread on the shelf that it stands for, or what was typed. */
    String now(Part part, Map<String, String> names) {
        String spool = spools.get(part);
        return spool == null ? part.of(this) : names.getOrDefault(spool, part.of(this));
    }

    /** As it compares with others: a space or a capital letter is no change-over. */
    public static String plain(String typed) {
        return SPACE.matcher(typed).replaceAll("").toLowerCase(Locale.ROOT);
    }
}
