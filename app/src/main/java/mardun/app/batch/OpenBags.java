package mardun.app.batch;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mardun.app.batch.BatchViews.LineUnits;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;

/** How many of the bags that are still to be made are meant, line by line, as it is typed. */
final class OpenBags {

    private OpenBags() {}

    /**
     * Reads them, by the line's number; lines of which none are meant aren't among them.
     *
     * @throws RefusedException if a batch has no such line, or a line not so many
     */
    static Map<Integer, Integer> read(List<LineUnits> typed, Batch batch) {
        FieldReader fields = new FieldReader();
        Map<Integer, Integer> bags = new LinkedHashMap<>();
        for (int i = 0; i < typed.size(); i++) {
            LineUnits one = typed.get(i);
            StoredLine line = batch.line(one.number()).orElseThrow(() -> noSuchLine(one.number()));
            int units = one.units().isBlank()
                    ? 0
                    : fields.count(
                            "lines." + i + ".units",
                            one.units(),
                            0,
                            line.chosen().open());
            if (units > 0) {
                bags.put(line.number(), units);
            }
        }
        fields.check();
        return bags;
    }

    static RefusedException noSuchLine(int number) {
        return RefusedException.missing("This batch has no line " + number + ".");
    }
}
