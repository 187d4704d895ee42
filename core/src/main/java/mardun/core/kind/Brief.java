package mardun.core.kind;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import mardun.core.measure.UnitSystem;

/**
 * What a design begins from: a kind of bag, what is known of it and how it is made.
 *
 * @param name what the maker calls it
 * @param chosen one option for each choice; what isn't offered, or isn't said, is as the kind usually has it
 * @param measures what was typed for measurements, by their symbols; those that weren't are as usual
 * @param seam the maker's usual seam allowance, as typed
 */
public record Brief(
        Kind kind,
        String name,
        Known known,
        Map<Choice, Option> chosen,
        Map<String, String> measures,
        UnitSystem system,
        String seam) {

    public Brief {
        chosen = Map.copyOf(chosen);
        measures = Map.copyOf(measures);
    }

    /** The same with what isn't said or isn't offered replaced by what is usual. */
    Map<Choice, Option> settled() {
        Map<Choice, Option> settled = new EnumMap<>(Choice.class);
        for (Choice choice : new TreeSet<>(kind.offers().keySet())) {
            List<Option> offered = kind.offered(choice, settled);
            settled.put(
                    choice,
                    Optional.ofNullable(chosen.get(choice))
                            .filter(offered::contains)
                            .orElse(offered.get(0)));
        }
        return settled;
    }

    Brief with(Known otherKnown) {
        return new Brief(kind, name, otherKnown, chosen, measures, system, seam);
    }
}
