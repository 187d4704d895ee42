package mardun.core.design;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mardun.core.making.Step;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.MeasureException;

/**
 * What a lesson touches in a design. A maker writes “the opening was too small: 7 → 10 next time”; that is the measurement that is 7 now, and
 * first of all one whose name stands in the lesson. Steps whose names stand in it are touched too; a check can be added to each.
 */
public final class Lesson {

    private static final Pattern FROM_TO = Pattern.compile(
            "(?<from>\\d[\\d/., ]*?)\\s*(?<unit>in|inch|inches|cm|mm|\")?\\s*(?:->|→|=>|to|instead of)\\s*(?<to>\\d[\\d/., ]*\\d|\\d)\\s*(?<unitTo>in|inch|inches|cm|mm|\")?(?![\\p{L}])",
            Pattern.CASE_INSENSITIVE);

    private static final int SHORTEST_WORD = 4;

    private Lesson() {}

    /**
     * A measurement that is another from now on.
     *
     * @param size the place of the size whose value it is, from 0; 0 for all sizes where there is one value for them
     * @param now as it is typed
     * @param then as it will be
     */
    public record Measure(String symbol, String label, int size, String now, String then) {}

    /** A step that the lesson is about; what the lesson says can be looked at there. */
    public record Touched(String step, String name) {}

    /** What a lesson touches, the likeliest first. */
    public record Offers(List<Measure> measures, List<Touched> steps) {}

    /** What a lesson touches in a design with these measurements and steps. */
    public static Offers of(String text, List<Measurement> measurements, List<Step> steps) {
        Set<String> words = words(text);
        return new Offers(
                change(text)
                        .map(change -> measures(change, measurements, words))
                        .orElse(List.of()),
                steps.stream()
                        .filter(step -> words(step.name()).stream().anyMatch(words::contains))
                        .map(step -> new Touched(step.key(), step.name()))
                        .toList());
    }

    private record Change(String from, String to, Optional<String> unit) {}

    private static Optional<Change> change(String text) {
        Matcher matcher = FROM_TO.matcher(text);
        if (!matcher.find()) {
            return Optional.empty();
        }
        boolean isBackwards = matcher.group().toLowerCase(Locale.ROOT).contains("instead of");
        Optional<String> unit = Optional.ofNullable(matcher.group("unitTo"))
                .or(() -> Optional.ofNullable(matcher.group("unit")))
                .map(one -> one.equals("\"") || one.toLowerCase(Locale.ROOT).startsWith("inch") ? "in" : one);
        String first = matcher.group("from").strip();
        String second = matcher.group("to").strip();
        return Optional.of(isBackwards ? new Change(second, first, unit) : new Change(first, second, unit));
    }

    private static List<Measure> measures(Change change, List<Measurement> measurements, Set<String> words) {
        List<Measure> found = new ArrayList<>();
        for (Measurement measurement : measurements) {
            for (int size = 0; size < measurement.values().size(); size++) {
                String now = measurement.values().get(size);
                int its = size;
                then(change, measurement, now)
                        .ifPresent(then ->
                                found.add(new Measure(measurement.symbol(), measurement.label(), its, now, then)));
            }
        }
        Comparator<Measure> named =
                Comparator.comparing(measure -> words(measure.label()).stream().noneMatch(words::contains));
        found.sort(named);
        return found;
    }

    /** What a value becomes, where it is the one that the lesson starts from. */
    private static Optional<String> then(Change change, Measurement measurement, String now) {
        if (!measurement.kind().isLength()) {
            return now.strip().equals(change.from()) ? Optional.of(change.to()) : Optional.empty();
        }
        for (LengthUnit unit : List.of(LengthUnit.INCH, LengthUnit.CENTIMETRE, LengthUnit.MILLIMETRE)) {
            String suffix = unit == LengthUnit.INCH ? "in" : unit == LengthUnit.CENTIMETRE ? "cm" : "mm";
            boolean isMeant = change.unit()
                    .map(suffix::equalsIgnoreCase)
                    .orElse(now.strip().endsWith(suffix));
            if (isMeant && isSame(now, change.from() + " " + suffix)) {
                return Optional.of(change.to() + " " + suffix);
            }
        }
        return Optional.empty();
    }

    private static boolean isSame(String now, String from) {
        Optional<Length> one = read(now);
        return one.isPresent() && one.equals(read(from));
    }

    /** A formula isn't a length that could be replaced. */
    private static Optional<Length> read(String text) {
        try {
            return Optional.of(LengthReader.read(text, LengthUnit.INCH));
        } catch (MeasureException notOne) {
            return Optional.empty();
        }
    }

    /** The words of a text that are long enough to mean something, without their endings. */
    private static Set<String> words(String text) {
        return Arrays.stream(text.toLowerCase(Locale.ROOT).split("[^\\p{L}]+"))
                .filter(word -> word.length() >= SHORTEST_WORD)
                .map(word -> word.endsWith("s") ? word.substring(0, word.length() - 1) : word)
                .collect(Collectors.toSet());
    }
}
