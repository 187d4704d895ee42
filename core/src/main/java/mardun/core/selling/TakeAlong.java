package mardun.core.selling;

import java.util.List;
import java.util.stream.Stream;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/**
 * How many of a kind of bag to take to a fair, and why. Twice what was sold at an average fair of the same series; where it was never taken
 * there, at other fairs; where it was sold out once, at least half as much again as then. One goes along of what never sold, and some to
 * be tried of what was never at a fair. Never more than there are.
 *
 * @param units how many, none where there are none
 * @param reason in a sentence
 */
public record TakeAlong(int units, Sentence reason) {

    private static final int TO_TRY = 4;

    /**
     * What became of a kind at a fair.
     *
     * @param taken how many were there
     */
    public record Before(int taken, int sold) {

        boolean isSoldOut() {
            return taken > 0 && sold >= taken;
        }
    }

    /**
     * How many to take.
     *
     * @param there how many there are, or will be done by then
     * @param here how it went at fairs of the same series at which it was
     * @param elsewhere how it went at other fairs at which it was
     */
    public static TakeAlong of(int there, List<Before> here, List<Before> elsewhere) {
        if (there <= 0) {
            return new TakeAlong(0, Sentence.of("There are none."));
        }
        List<Before> counts = here.isEmpty() ? elsewhere : here;
        if (counts.isEmpty()) {
            return atMost(there, TO_TRY, Sentence.of("It was never at a fair: some to try."));
        }
        int sold = counts.stream().mapToInt(Before::sold).sum();
        int twice = Math.max(1, (2 * sold + counts.size() - 1) / counts.size());
        int soldOut = counts.stream()
                .filter(Before::isSoldOut)
                .mapToInt(before -> before.taken() + (before.taken() + 1) / 2)
                .max()
                .orElse(0);
        String where = here.isEmpty() ? "at other fairs" : "here";
        String fairs = counts.size() == 1 ? "fair" : "fairs";
        Sentence why;
        if (soldOut >= twice) {
            why = Sentence.of("All of them were sold " + where + " once: half as many again.");
        } else if (sold == 0) {
            why = Sentence.of(
                    "None was sold " + where + ", at {0} " + fairs + ": one to show.", Value.of(counts.size()));
        } else {
            why = Sentence.of(
                    "{0} sold " + where + ", at {1} " + fairs + ": twice as many as on average.",
                    Value.of(sold),
                    Value.of(counts.size()));
        }
        return atMost(there, Math.max(twice, soldOut), why);
    }

    private static TakeAlong atMost(int there, int wanted, Sentence why) {
        return wanted <= there
                ? new TakeAlong(wanted, why)
                : new TakeAlong(
                        there,
                        Sentence.of(
                                why.template() + " There are only {"
                                        + why.values().size() + "}.",
                                Stream.concat(why.values().stream(), Stream.of(Value.of(there)))
                                        .toArray(Value[]::new)));
    }
}
