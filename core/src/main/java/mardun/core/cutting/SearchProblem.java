package mardun.core.cutting;

import java.util.ArrayList;
import java.util.List;
import mardun.core.cutting.StripProblem.Kind;

/**
 * Pieces, a bolt and sheets of fixed size, on a grid.
 *
 * @param bolt the pieces as they lie in strips across the bolt
 * @param along the pieces as they lie in strips along a sheet: everything with its sides changed over
 * @param sheets offcuts and precuts, one of each
 */
record SearchProblem(StripProblem bolt, StripProblem along, List<Sheet> sheets) {

    /**
     * A piece of cloth of fixed size.
     *
     * @param cost of all of it
     */
    record Sheet(int width, int length, double cost) {}

    static SearchProblem of(int width, List<Kind> kinds, List<Sheet> sheets) {
        int longest = sheets.stream().mapToInt(Sheet::length).max().orElse(1);
        List<Kind> changed = new ArrayList<>();
        for (Kind kind : kinds) {
            changed.add(new Kind(kind.height(), kind.width(), kind.count(), kind.mayTurn()));
        }
        return new SearchProblem(StripProblem.of(width, kinds), StripProblem.of(longest, changed), List.copyOf(sheets));
    }
}
