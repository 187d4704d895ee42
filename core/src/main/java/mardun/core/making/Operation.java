package mardun.core.making;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.core.measure.Length;
import mardun.core.money.Apportionment;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * A step as it is done for all lines of a batch that have it: its set-up is made once.
 *
 * @param parts for which lines, at least one
 */
public record Operation(List<Part> parts) {

    /**
     * A line's part of an operation.
     *
     * @param step as the line's design has it
     * @param thickness of what lies under the foot
     */
    public record Part(int line, int units, Step step, Length thickness) {

        /** The same for so many bags. */
        Part of(int otherUnits) {
            return new Part(line, otherUnits, step, thickness);
        }

        /** The same for the bags of which it isn't counted yet; what is spent once is spent when the first of them is counted. */
        Part left(int started, int open, Counted counted) {
            int done = counted.of(line, step.key());
            Step its = done == 0 ? step : step.timed(step.perUnit(), Duration.ZERO, step.timing());
            return new Part(line, Math.max(0, Math.min(open, started - done)), its, thickness);
        }

        /** Hands-on time for the line's bags, without what is spent once. */
        public Duration sewing() {
            return step.perUnit().multipliedBy(units);
        }
    }

    /** What makes the steps of two lines the same operation. */
    private record Sameness(String name, Stage stage, Station station, SetUp setUp) {

        static Sameness of(Step step) {
            return new Sameness(
                    SetUp.plain(step.name()),
                    step.stage(),
                    step.station(),
                    step.setUp().plain());
        }
    }

    public Operation {
        parts = List.copyOf(parts);
    }

    /** The step as the first of its lines has it. */
    public Step step() {
        return parts.get(0).step();
    }

    /** The thickest that lies under the foot. */
    public Length thickness() {
        return parts.stream().map(Part::thickness).reduce(Length.ZERO, Length::max);
    }

    /** What its time rests on. */
    public Timing timing() {
        Timing timing = parts.get(0).step().timing();
        Duration sewing = parts.get(0).sewing();
        for (Part part : parts.subList(1, parts.size())) {
            timing = timing.and(part.step().timing(), sewing, part.sewing());
            sewing = sewing.plus(part.sewing());
        }
        // Lines of one design rest on the same measurements.
        int bags = parts.stream()
                .map(Part::step)
                .distinct()
                .mapToInt(step -> step.timing().bags())
                .sum();
        return new Timing(bags, timing.batches(), timing.spread());
    }

    /** For how many bags it is done. */
    public int units() {
        return parts.stream().mapToInt(Part::units).sum();
    }

    public List<Integer> lines() {
        return parts.stream().map(Part::line).toList();
    }

    public Duration sewing() {
        return parts.stream().map(Part::sewing).reduce(Duration.ZERO, Duration::plus);
    }

    /** What is spent once, whatever the number of bags: the most that one of its lines asks for. */
    public Duration once() {
        return most(Step::perBatch);
    }

    /** Time that needs no hands, once. */
    public Duration passive() {
        return most(Step::passive);
    }

    /** Whether what is half made can't be put away after it. */
    public boolean goesOn() {
        return parts.stream().anyMatch(part -> part.step().goesOn());
    }

    /** Hands-on time for all its bags. */
    public Duration time() {
        return sewing().plus(once());
    }

    /** A text of its steps, each that differs once: what to look at, a caution, a note. */
    public String text(Function<Step, String> of) {
        return parts.stream()
                .map(part -> of.apply(part.step()))
                .filter(text -> !text.isBlank())
                .distinct()
                .collect(Collectors.joining(" "));
    }

    private Duration most(Function<Step, Duration> of) {
        return parts.stream()
                .map(part -> of.apply(part.step()))
                .max(Comparator.naturalOrder())
                .orElse(Duration.ZERO);
    }

    /** What each line bears of the time that is spent once; together it is just that. */
    public Map<Integer, Duration> shares(SetUpSpread spread) {
        List<Long> weights = parts.stream()
                .map(part -> spread == SetUpSpread.BY_MINUTES && !sewing().isZero()
                        ? part.sewing().toNanos()
                        : part.units())
                .toList();
        long all = weights.stream().mapToLong(Long::longValue).sum();
        long nanos = once().toNanos();
        List<Long> apportioned = Apportionment.of(
                weights.stream()
                        .map(weight -> BigFraction.of(nanos).multiply(BigFraction.of(weight, all)))
                        .toList(),
                nanos);
        Map<Integer, Duration> shares = new LinkedHashMap<>();
        for (int i = 0; i < parts.size(); i++) {
            shares.put(parts.get(i).line(), Duration.ofNanos(apportioned.get(i)));
        }
        return shares;
    }

    /**
     * The operations of a batch: steps of several lines that have the same name, station and set-up are one. Each line's steps
     * keep their order, so that the same two steps in another order in another line stay apart.
     */
    public static List<Operation> of(List<LineSteps> lines) {
        List<List<Part>> merged = new ArrayList<>();
        Map<Step, Sameness> known = new IdentityHashMap<>();
        for (LineSteps line : lines) {
            List<Step> steps = line.steps();
            int[] matches = matches(merged, steps, step -> known.computeIfAbsent(step, Sameness::of));
            List<List<Part>> next = new ArrayList<>();
            int from = 0;
            int step = 0;
            while (step < steps.size()) {
                int end = step;
                while (end < steps.size() && matches[end] < 0) {
                    end++;
                }
                int to = end < steps.size() ? matches[end] : merged.size();
                addByStage(next, merged.subList(from, to), alone(line, step, end));
                from = to;
                if (end < steps.size()) {
                    List<Part> parts = new ArrayList<>(merged.get(to));
                    parts.add(line.part(steps.get(end)));
                    next.add(parts);
                    from = to + 1;
                }
                step = end + 1;
            }
            next.addAll(merged.subList(from, merged.size()));
            merged = next;
        }
        return merged.stream().map(Operation::new).toList();
    }

    private static List<List<Part>> alone(LineSteps line, int from, int to) {
        return line.steps().subList(from, to).stream()
                .map(step -> List.of(line.part(step)))
                .toList();
    }

    /** What lies between two operations that lines share: a stage of all lines before the next stage. */
    private static void addByStage(List<List<Part>> next, List<List<Part>> ones, List<List<Part>> others) {
        int other = 0;
        for (List<Part> one : ones) {
            while (other < others.size() && stage(others.get(other)).compareTo(stage(one)) < 0) {
                next.add(others.get(other++));
            }
            next.add(one);
        }
        next.addAll(others.subList(other, others.size()));
    }

    private static Stage stage(List<Part> parts) {
        return parts.get(0).step().stage();
    }

    /** For each step the operation that it belongs to, or -1: as many as can be with both orders kept. */
    private static int[] matches(List<List<Part>> merged, List<Step> steps, Function<Step, Sameness> sameness) {
        List<Sameness> ones = merged.stream()
                .map(parts -> sameness.apply(parts.get(0).step()))
                .toList();
        List<Sameness> others = steps.stream().map(sameness).toList();
        int[][] most = new int[ones.size() + 1][others.size() + 1];
        for (int i = ones.size() - 1; i >= 0; i--) {
            for (int j = others.size() - 1; j >= 0; j--) {
                most[i][j] = Objects.equals(ones.get(i), others.get(j))
                        ? most[i + 1][j + 1] + 1
                        : Math.max(most[i + 1][j], most[i][j + 1]);
            }
        }
        int[] matches = new int[others.size()];
        int i = 0;
        for (int j = 0; j < others.size(); j++) {
            while (i < ones.size() && !ones.get(i).equals(others.get(j)) && most[i + 1][j] == most[i][j]) {
                i++;
            }
            boolean matched = i < ones.size() && ones.get(i).equals(others.get(j));
            matches[j] = matched ? i++ : -1;
        }
        return matches;
    }
}
