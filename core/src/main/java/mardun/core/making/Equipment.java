package mardun.core.making;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a maker has to put on a machine. Where nothing is said of a part, whatever a step asks for is taken to be there.
 *
 * @param feet as {@link SetUp#plain} writes them
 * @param needles likewise
 */
public record Equipment(Set<String> feet, Set<String> needles) {

    /**
     * Something that an operation needs and the maker hasn't.
     *
     * @param part of the set-up
     */
    public record Lack(Operation operation, SetUp.Part part) {

        /** What is lacking, as the step says it. */
        public String what() {
            return part.of(operation.step().setUp());
        }
    }

    public Equipment {
        feet = Set.copyOf(feet);
        needles = Set.copyOf(needles);
    }

    /** What was typed, one beside the other with commas or on lines of their own. */
    public static Equipment of(String feet, String needles) {
        return new Equipment(split(feet), split(needles));
    }

    private static Set<String> split(String typed) {
        return Arrays.stream(typed.split("[,;\\n]"))
                .map(SetUp::plain)
                .filter(one -> !one.isEmpty())
                .collect(Collectors.toSet());
    }

    /** What operations need and isn't there, in their order. */
    public List<Lack> lacking(List<Operation> operations) {
        List<Lack> lacking = new ArrayList<>();
        for (Operation operation : operations) {
            for (SetUp.Part part : List.of(SetUp.Part.NEEDLE, SetUp.Part.FOOT)) {
                Set<String> owned = part == SetUp.Part.FOOT ? feet : needles;
                String needed = SetUp.plain(part.of(operation.step().setUp()));
                if (!needed.isEmpty() && !owned.isEmpty() && !owned.contains(needed)) {
                    lacking.add(new Lack(operation, part));
                }
            }
        }
        return lacking;
    }
}
