package mardun.core.cutting;

import java.util.ArrayList;
import java.util.List;
import mardun.core.cutting.StripProblem.Kind;

/**
 * Pieces, a bolt and sheets of fixed size, on a grid.
 *
 * @param bolt the pieces as they lie in strips across the bolt
 * @param along the pieces as they lie in strips along a sheet: everything with its sides changed over
 * @param onSheets which kinds may be cut from sheets
 * @param sheets offcuts and precuts, one of each
 */
record SearchProblem(StripProblem bolt, StripProblem along, boolean[] onSheets, List<Sheet> sheets) {

    /**
     * A piece of cloth of fixed size.
     *
     * @param cost of all of it
     */
    record Sheet(int width, int length, double cost) {}

    static SearchProblem of(int width, int edge, int inner, List<Kind> kinds, List<Sheet> sheets) {
        int longest = sheets.stream().mapToInt(Sheet::length).max().orElse(1);
        List<Kind> changed = new ArrayList<>();
        for (Kind kind : kinds) {
            changed.add(new Kind(kind.height(), kind.width(), kind.count(), kind.mayTurn(), kind.onlyOnRolls(), false));
        }
        boolean[] onSheets = new boolean[kinds.size()];
        for (int kind = 0; kind < onSheets.length; kind++) {
            onSheets[kind] = !kinds.get(kind).onlyOnRolls();
        }
        return new SearchProblem(
                StripProblem.of(width, edge, inner, kinds),
                StripProblem.of(longest, changed),
                onSheets,
                List.copyOf(sheets));
    }

    /** How many pieces of each kind are wanted of a sheet. */
    int[] wantedOfSheets(int[] wanted) {
        int[] its = wanted.clone();
        for (int kind = 0; kind < its.length; kind++) {
            its[kind] = onSheets[kind] ? its[kind] : 0;
        }
        return its;
    }
}
