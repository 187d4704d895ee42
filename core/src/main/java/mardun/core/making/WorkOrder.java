package mardun.core.making;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import mardun.core.order.CircularOrderException;
import mardun.core.order.FoundOrder;
import mardun.core.order.OrderFinder;
import mardun.core.order.OrderProblem;

/**
 * The order of work of a batch: its operations in the sequence that takes least time for changing machines and walking. What doesn't matter
 * to an operation stays on the machine as it is. A step comes after those that it says it comes after; one that says nothing, after the step
 * before it in its design; and in each line what is cut comes before what is sewn, and that before what is finished.
 */
public final class WorkOrder {

    /** Where one wants to go seldom it is taken to be so many times as far. */
    private static final int SELDOM = 30;

    private WorkOrder() {}

    /** Which thread a step of a line is sewn with, in words: where the step says “matching”, that which matches the line's cloth. */
    public interface Threads {

        String of(int line, Step step);

        /** Which thread is in the bobbin, in words; empty where that doesn't matter. */
        default String bobbin(Step step) {
            return SetUp.Part.BOBBIN.of(step.setUp());
        }

        /** As the step says it, the same for all lines. */
        Threads AS_SAID = (line, step) -> step.setUp().thread();

        /**
         * The thread that matches a line's outer cloth, where the step says that it matches; else as the step says it.
         *
         * @param matching that thread in words by the line's number; a line without one takes the thread as the step says it
         * @param names what the threads on the shelf are called now, by their keys
         */
        static Threads of(Map<Integer, String> matching, Map<String, String> names) {
            return new Threads() {
                @Override
                public String of(int line, Step step) {
                    return step.setUp().isMatching()
                            ? matching.getOrDefault(line, step.setUp().thread())
                            : step.setUp().now(SetUp.Part.THREAD, names);
                }

                @Override
                public String bobbin(Step step) {
                    return step.setUp().now(SetUp.Part.BOBBIN, names);
                }
            };
        }
    }

    /**
     * An operation at its place in the order.
     *
     * @param key what it is known by: its step and its lines
     * @param parts for which lines it is done here: those that are sewn with one thread
     * @param at where it is done
     * @param setUp what it needs on the machine, with the thread that is really taken
     * @param once hands-on time that is spent once for the operation; of one that is done in several turns, in one of them
     * @param changes what has to be changed for it, and only that
     * @param isElsewhere the worker goes to another place for it
     */
    public record Turn(
            String key,
            List<Operation.Part> parts,
            Workplace at,
            SetUp setUp,
            Duration once,
            List<SetUp.Part> changes,
            boolean isElsewhere) {

        /** Hands-on time of the turn, without the changes. */
        public Duration time() {
            return operation().sewing().plus(once);
        }

        public Operation operation() {
            return new Operation(parts);
        }

        public Step step() {
            return parts.get(0).step();
        }
    }

    /**
     * What is changed, how often, and how long that and walking take.
     *
     * @param walks how often the worker goes to another place
     */
    public record Changes(Map<SetUp.Part, Integer> counts, int walks, Duration time) {}

    /**
     * The order.
     *
     * @param after for each turn the places of those that it must come after
     * @param changes what it takes
     * @param lineByLine what it would take to make one line after the other, each in the order of its design
     * @param least no order takes less
     */
    public record Ordered(
            List<Turn> turns, List<List<Integer>> after, Changes changes, Changes lineByLine, Duration least) {

        /** Hands-on time of all turns, with the changes and the walks between them. */
        public Duration time() {
            return turns.stream().map(Turn::time).reduce(changes.time(), Duration::plus);
        }

        /** Whether there is no better order. */
        public boolean isProven() {
            return changes.time().equals(least);
        }
    }

    /**
     * What was found: an order, or steps that wait for one another.
     *
     * @param circle each before the next, and the last before the first; empty where there is an order
     */
    public record Found(Optional<Ordered> order, List<Step> circle) {}

    /**
     * What is done at once: the parts of an operation that are sewn with one thread, in one bundle; and the places where it can be done.
     */
    private record Node(
            String key, List<Operation.Part> parts, List<Workplace> places, SetUp setUp, Duration once, int bundle) {

        Node at(Workplace place) {
            return new Node(key, parts, List.of(place), setUp, once, bundle);
        }

        Step step() {
            return parts.get(0).step();
        }
    }

    /**
     * Finds the order.
     *
     * @param operations each line's in the order of its design
     * @param workshop in which it is made
     * @param wishes that it keeps
     * @param width how much effort is made at most, as for {@link OrderFinder#find}
     * @param stop whether time is up
     */
    public static Found find(
            List<Operation> operations,
            Threads threads,
            Workshop workshop,
            OrderWishes wishes,
            int width,
            BooleanSupplier stop) {
        List<Node> nodes = nodes(operations, threads, workshop.equipment(), wishes);
        Numbered places = new Numbered(nodes);
        List<BitSet> before = before(nodes);
        wish(wishes, nodes, before);
        OrderProblem problem;
        try {
            problem = problem(nodes, before, places, workshop, wishes.habits());
        } catch (CircularOrderException circle) {
            return new Found(
                    Optional.empty(),
                    circle.circle().stream().map(one -> nodes.get(one).step()).toList());
        }
        FoundOrder found = OrderFinder.find(problem, width, 1, stop);
        int[] sequence = found.operations();
        List<Node> placed = new ArrayList<>();
        for (int node = 0; node < nodes.size(); node++) {
            placed.add(nodes.get(node).at(places.get(found.stations()[node])));
        }
        List<Turn> turns = turns(Arrays.stream(sequence).mapToObj(placed::get).toList(), workshop.standing());
        Changes changes = changes(turns, workshop.times());
        return new Found(
                Optional.of(new Ordered(
                        turns,
                        after(sequence, before),
                        changes,
                        changes(turns(lineByLine(nodes), workshop.standing()), workshop.times()),
                        // What was reckoned dearer than it is makes the least cost too high by at most as much.
                        Duration.ofSeconds(
                                Math.max(0, changes.time().toSeconds() - found.cost() + found.leastCost())))),
                List.of());
    }

    /** The places that are needed, numbered. */
    private static final class Numbered {

        private final List<Workplace> all = new ArrayList<>();
        private final Map<Workplace, Integer> numbers = new HashMap<>();

        Numbered(List<Node> nodes) {
            number(Workplace.of(Station.CUTTING_TABLE));
            nodes.forEach(node -> node.places().forEach(this::number));
        }

        int number(Workplace place) {
            return numbers.computeIfAbsent(place, one -> {
                all.add(one);
                return all.size() - 1;
            });
        }

        Workplace get(int number) {
            return all.get(number);
        }

        List<Workplace> all() {
            return all;
        }
    }

    private static List<Node> nodes(
            List<Operation> operations, Threads threads, Equipment equipment, OrderWishes wishes) {
        List<Node> nodes = new ArrayList<>();
        Map<String, Integer> known = new HashMap<>();
        Bundles bundles = new Bundles(
                operations,
                wishes.bundle().orElse(Integer.MAX_VALUE),
                wishes.habits().contains(OrderWishes.Habit.ONE_FIRST));
        for (Operation operation : operations) {
            boolean isApart =
                    wishes.apart().contains(SetUp.plain(operation.step().name()));
            Duration once = operation.once();
            for (Map.Entry<Integer, List<Operation.Part>> bundle :
                    bundles.of(operation).entrySet()) {
                Map<String, List<Operation.Part>> together = new LinkedHashMap<>();
                for (Operation.Part part : bundle.getValue()) {
                    String thread = SetUp.plain(threads.of(part.line(), part.step()));
                    together.computeIfAbsent(isApart ? thread + " " + part.line() : thread, its -> new ArrayList<>())
                            .add(part);
                }
                for (List<Operation.Part> parts : together.values()) {
                    String key = key(parts, known);
                    SetUp setUp = setUp(parts.get(0), key, threads, wishes);
                    nodes.add(new Node(
                            key,
                            parts,
                            equipment.places(operation.step().station(), setUp, operation.thickness()),
                            setUp,
                            once,
                            bundle.getKey()));
                    once = isApart ? operation.once() : Duration.ZERO;
                }
            }
        }
        return nodes;
    }

    private static SetUp setUp(Operation.Part part, String key, Threads threads, OrderWishes wishes) {
        SetUp setUp = part.step()
                .setUp()
                .with(SetUp.Part.THREAD, threads.of(part.line(), part.step()))
                .with(SetUp.Part.BOBBIN, threads.bobbin(part.step()));
        for (OrderWishes.Without without : wishes.without()) {
            setUp = without.turn().equals(key) ? setUp.without(without.part()) : setUp;
        }
        return setUp;
    }

    /** The step's name and the lines; where that is there already, with a number. */
    private static String key(List<Operation.Part> parts, Map<String, Integer> known) {
        String key = SetUp.plain(parts.get(0).step().name()) + "|"
                + parts.stream().map(part -> Integer.toString(part.line())).collect(Collectors.joining(","));
        int nth = known.merge(key, 1, Integer::sum);
        return nth == 1 ? key : key + "|" + nth;
    }

    /** Wishes are things that must come first, too. */
    private static void wish(OrderWishes wishes, List<Node> nodes, List<BitSet> before) {
        Map<String, Integer> byKey = new HashMap<>();
        for (int node = 0; node < nodes.size(); node++) {
            byKey.put(nodes.get(node).key(), node);
        }
        wishes.before().stream()
                .filter(wish -> byKey.containsKey(wish.first()) && byKey.containsKey(wish.then()))
                .forEach(wish -> before.get(byKey.get(wish.then())).set(byKey.get(wish.first())));
        wishes.threadFirst().map(SetUp::plain).ifPresent(thread -> threadFirst(thread, nodes, before));
    }

    /** What is sewn with another thread waits for all that is sewn with this one, but for what that waits for itself. */
    private static void threadFirst(String thread, List<Node> nodes, List<BitSet> before) {
        BitSet its = new BitSet();
        for (int node = 0; node < nodes.size(); node++) {
            its.set(node, SetUp.plain(nodes.get(node).setUp().thread()).equals(thread));
        }
        BitSet needed = (BitSet) its.clone();
        int known;
        do {
            known = needed.cardinality();
            BitSet now = (BitSet) needed.clone();
            now.stream().forEach(node -> needed.or(before.get(node)));
        } while (needed.cardinality() > known);
        for (int node = 0; node < nodes.size(); node++) {
            if (!nodes.get(node).setUp().thread().isBlank() && !needed.get(node)) {
                before.get(node).or(its);
            }
        }
    }

    private static OrderProblem problem(
            List<Node> nodes, List<BitSet> before, Numbered places, Workshop workshop, Set<OrderWishes.Habit> habits) {
        ChangeTimes times = workshop.times();
        int count = places.all().size();
        List<SetUp.Part> parts = Arrays.stream(SetUp.Part.values())
                .filter(part -> !times.of(part).isZero())
                .filter(part ->
                        nodes.stream().anyMatch(node -> node.setUp().on().containsKey(part)))
                .toList();
        int[][] walk = new int[count][count];
        int[][] on = new int[count][parts.size()];
        for (int at = 0; at < count; at++) {
            for (int to = 0; to < count; to++) {
                walk[at][to] = seconds(times.between(places.get(at), places.get(to)));
                if (habits.contains(OrderWishes.Habit.PRESS_IN_ONE_GO)
                        && places.get(to).station() == Station.PRESS) {
                    walk[at][to] *= SELDOM;
                }
            }
        }
        Map<String, Integer> known = new HashMap<>();
        for (int at = 0; at < count; at++) {
            on[at] = numbers(workshop.standing().at(places.get(at)), parts, known);
        }
        int[] change = parts.stream().mapToInt(part -> seconds(times.of(part))).toArray();
        OrderProblem.Builder builder =
                new OrderProblem.Builder(walk, change, places.number(Workplace.of(Station.CUTTING_TABLE)), on);
        for (Node node : nodes) {
            int[] needs = numbers(node.setUp(), parts, known);
            BitSet lines = new BitSet();
            node.parts().forEach(part -> lines.set(part.line()));
            builder.add(node.places().stream().mapToInt(places::number).toArray(), needs, lines);
        }
        for (int node = 0; node < nodes.size(); node++) {
            int its = node;
            before.get(node).stream().forEach(first -> builder.before(first, its));
        }
        return builder.build();
    }

    /** What a set-up says of each part, as numbers; the same words have the same number. */
    private static int[] numbers(SetUp setUp, List<SetUp.Part> parts, Map<String, Integer> known) {
        return parts.stream()
                .mapToInt(part -> setUp.on().containsKey(part)
                        ? known.computeIfAbsent(part + " " + SetUp.plain(part.of(setUp)), text -> known.size())
                        : OrderProblem.ANYTHING)
                .toArray();
    }

    private static int seconds(Duration time) {
        return Math.toIntExact(time.toSeconds());
    }

    /** The bags of a line that are in one bundle. */
    private record LineOf(int line, int bundle) {}

    /**
     * The own steps of each line's bags in each bundle, with the numbers of the nodes in which they are done, in the order of its design. What
     * isn't done in bundles is done for all of them.
     */
    private static Map<LineOf, Map<Integer, Step>> ofLines(List<Node> nodes) {
        Map<Integer, SortedSet<Integer>> bundles = new TreeMap<>();
        nodes.forEach(node -> node.parts()
                .forEach(part -> bundles.computeIfAbsent(part.line(), line -> new TreeSet<>())
                        .add(node.bundle())));
        Map<LineOf, Map<Integer, Step>> lines = new LinkedHashMap<>();
        bundles.forEach((line, its) -> {
            if (its.size() > 1) {
                its.remove(Bundles.NONE);
            }
            its.forEach(bundle -> lines.put(new LineOf(line, bundle), new LinkedHashMap<>()));
        });
        for (int number = 0; number < nodes.size(); number++) {
            Node node = nodes.get(number);
            for (Operation.Part part : node.parts()) {
                for (int bundle : bundles.get(part.line())) {
                    if (node.bundle() == Bundles.NONE || node.bundle() == bundle) {
                        lines.get(new LineOf(part.line(), bundle)).put(number, part.step());
                    }
                }
            }
        }
        return lines;
    }

    /** What each node must come after; what is in a bundle, after all that is in those before it. */
    private static List<BitSet> before(List<Node> nodes) {
        List<BitSet> before = nodes.stream().map(node -> new BitSet()).toList();
        ofLines(nodes).values().forEach(line -> wait(line, before));
        for (int node = 0; node < nodes.size(); node++) {
            for (int other = 0; other < nodes.size(); other++) {
                int bundle = nodes.get(other).bundle();
                if (bundle != Bundles.NONE && bundle < nodes.get(node).bundle()) {
                    before.get(node).set(other);
                }
            }
        }
        return before;
    }

    private static void wait(Map<Integer, Step> line, List<BitSet> before) {
        List<Integer> nodes = List.copyOf(line.keySet());
        List<BitSet> direct = StepsBefore.direct(List.copyOf(line.values()));
        for (int i = 0; i < nodes.size(); i++) {
            BitSet its = before.get(nodes.get(i));
            direct.get(i).stream().map(nodes::get).forEach(its::set);
        }
    }

    /** The same by the places in the sequence. */
    private static List<List<Integer>> after(int[] sequence, List<BitSet> before) {
        int[] place = new int[sequence.length];
        for (int i = 0; i < sequence.length; i++) {
            place[sequence[i]] = i;
        }
        return Arrays.stream(sequence)
                .mapToObj(node -> before.get(node).stream()
                        .map(first -> place[first])
                        .sorted()
                        .boxed()
                        .toList())
                .toList();
    }

    private static List<Node> lineByLine(List<Node> nodes) {
        List<Node> order = new ArrayList<>();
        Set<List<Integer>> done = new HashSet<>();
        ofLines(nodes)
                .forEach((line, its) -> its.forEach((number, step) -> {
                    Node node = nodes.get(number);
                    if (done.add(List.of(number, line.line()))) {
                        order.add(new Node(
                                node.key(),
                                node.parts().stream()
                                        .filter(part -> part.line() == line.line())
                                        .toList(),
                                node.places(),
                                node.setUp(),
                                node.once(),
                                node.bundle()));
                    }
                }));
        return order;
    }

    /** Each at the first of the places where it can be done. */
    private static List<Turn> turns(List<Node> order, Standing standing) {
        Map<Workplace, SetUp> on = new HashMap<>();
        Workplace here = Workplace.of(Station.CUTTING_TABLE);
        List<Turn> turns = new ArrayList<>();
        for (Node node : order) {
            Workplace at = node.places().get(0);
            SetUp before = on.computeIfAbsent(at, standing::at);
            turns.add(new Turn(
                    node.key(),
                    node.parts(),
                    at,
                    node.setUp(),
                    node.once(),
                    node.setUp().partsFrom(before),
                    !at.equals(here)));
            on.put(at, node.setUp().after(before));
            here = at;
        }
        return turns;
    }

    private static Changes changes(List<Turn> turns, ChangeTimes times) {
        Map<SetUp.Part, Integer> counts = new EnumMap<>(SetUp.Part.class);
        int walks = 0;
        Duration time = Duration.ZERO;
        Workplace here = Workplace.of(Station.CUTTING_TABLE);
        for (Turn turn : turns) {
            for (SetUp.Part part : turn.changes()) {
                counts.merge(part, 1, Integer::sum);
                time = time.plus(times.of(part));
            }
            if (turn.isElsewhere()) {
                walks++;
                time = time.plus(times.between(here, turn.at()));
            }
            here = turn.at();
        }
        return new Changes(counts, walks, time);
    }
}
