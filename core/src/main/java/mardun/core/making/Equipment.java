package mardun.core.making;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import mardun.core.making.Machine.Ability;
import mardun.core.making.SetUp.Part;
import mardun.core.measure.Length;

/**
 * What a maker has: machines, and what is put on them. Where nothing is said of a kind, whatever a step asks for is taken to be there.
 *
 * @param machines in the order in which the maker uses them, if it doesn't matter
 * @param feet as {@link SetUp#plain} writes them
 * @param needles likewise
 */
public record Equipment(List<Machine> machines, Set<String> feet, Set<String> needles) {

    /** Where a maker has said nothing. */
    public static final Equipment ANYTHING = new Equipment(List.of(), Set.of(), Set.of());

    /** What may be lacking. */
    public enum Need {
        NEEDLE,
        FOOT,
        /** A machine of the kind that the operation is done at. */
        KIND,
        /** The one machine that the operation names. */
        MACHINE,
        ZIGZAG,
        WALKING_FOOT,
        FREE_ARM,
        /** A machine that sews a seam as thick as this. */
        THICKNESS,
        /** There is a machine for each thing that it needs, and none for all of them. */
        ALL_AT_ONCE
    }

    /** Something that an operation needs and the maker hasn't. */
    public record Lack(Operation operation, Need need) {

        /** What is lacking, as the step says it; empty for what isn't a needle or a foot. */
        public String what() {
            SetUp setUp = operation.step().setUp();
            return switch (need) {
                case NEEDLE -> setUp.needle();
                case FOOT -> Part.FOOT.of(setUp);
                default -> "";
            };
        }
    }

    public Equipment {
        machines = List.copyOf(machines);
        feet = Set.copyOf(feet);
        needles = Set.copyOf(needles);
    }

    /** What was typed, one beside the other with commas or on lines of their own. */
    public static Equipment of(List<Machine> machines, String feet, String needles) {
        return new Equipment(machines, split(feet), split(needles));
    }

    private static Set<String> split(String typed) {
        return Arrays.stream(typed.split("[,;\\n]"))
                .map(SetUp::plain)
                .filter(one -> !one.isEmpty())
                .collect(Collectors.toSet());
    }

    /** The thickest seam that any sewing machine sews, {@code usual} for those of which it isn't said. */
    public Length thickestSeam(Length usual) {
        return machines.stream()
                .filter(machine -> machine.kind() == Station.MACHINE)
                .map(machine -> machine.thickest().orElse(usual))
                .reduce(Length::max)
                .orElse(usual);
    }

    /**
     * Where something can be done, at least one place. What no machine can do is taken to be done at one that is named or of the kind.
     *
     * @param thickness of what is under the foot
     */
    List<Workplace> places(Station station, SetUp setUp, Length thickness) {
        List<Machine> all = ofKind(station);
        List<Machine> named = all.stream()
                .filter(machine -> machine.key().equals(setUp.machine()))
                .toList();
        List<Machine> its = named.isEmpty() ? all : named;
        List<Machine> able =
                its.stream().filter(machine -> machine.can(setUp, thickness)).toList();
        List<Workplace> places = (able.isEmpty() ? its.stream().limit(1).toList() : able)
                .stream().map(Workplace::of).toList();
        return places.isEmpty() ? List.of(Workplace.of(station)) : places;
    }

    private List<Machine> ofKind(Station station) {
        return machines.stream().filter(machine -> machine.kind() == station).toList();
    }

    /** What operations need and isn't there, in their order. */
    public List<Lack> lacking(List<Operation> operations) {
        List<Lack> lacking = new ArrayList<>();
        for (Operation operation : operations) {
            needs(operation).forEach(need -> lacking.add(new Lack(operation, need)));
        }
        return lacking;
    }

    private List<Need> needs(Operation operation) {
        SetUp setUp = operation.step().setUp();
        List<Need> needs = new ArrayList<>();
        if (isLacking(setUp.needle(), needles)) {
            needs.add(Need.NEEDLE);
        }
        if (isLacking(Part.FOOT.of(setUp), feet)) {
            needs.add(Need.FOOT);
        }
        Station station = operation.step().station();
        List<Machine> all = ofKind(station);
        if (all.isEmpty()) {
            // An iron is in every house; nobody lists it.
            if (!machines.isEmpty() && station.isMachine() && station != Station.PRESS) {
                needs.add(Need.KIND);
            }
            return needs;
        }
        List<Machine> named = all.stream()
                .filter(machine -> machine.key().equals(setUp.machine()))
                .toList();
        if (named.isEmpty() && !setUp.machine().isEmpty()) {
            needs.add(Need.MACHINE);
        }
        List<Machine> its = named.isEmpty() ? all : named;
        int before = needs.size();
        for (Ability ability : Machine.needed(setUp)) {
            if (its.stream().noneMatch(machine -> machine.abilities().contains(ability))) {
                needs.add(
                        switch (ability) {
                            case ZIGZAG -> Need.ZIGZAG;
                            case WALKING_FOOT -> Need.WALKING_FOOT;
                            case FREE_ARM -> Need.FREE_ARM;
                        });
            }
        }
        if (its.stream().noneMatch(machine -> machine.takes(operation.thickness()))) {
            needs.add(Need.THICKNESS);
        }
        Predicate<Machine> can = machine -> machine.can(setUp, operation.thickness());
        if (needs.size() == before && its.stream().noneMatch(can)) {
            needs.add(Need.ALL_AT_ONCE);
        }
        return needs;
    }

    private static boolean isLacking(String typed, Set<String> owned) {
        String needed = SetUp.plain(typed);
        return !needed.isEmpty() && !owned.isEmpty() && !owned.contains(needed);
    }
}
