package mardun.core.design;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.construction.Boxing;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/**
 * One size of a design, worked out: what could be computed, and what was found. A design that is being edited may lack
 * parts of it; one without refusals has all.
 *
 * @param measurements by symbol
 * @param corner what is measured for the boxed corners; empty where the depth is nothing
 */
public record SizedDesign(
        String size,
        Map<String, Figure<Quantity>> measurements,
        List<SizedPiece> pieces,
        List<SizedTrim> trims,
        Optional<Boxing.Corner> corner,
        Optional<Finished> finished,
        List<Finding> findings) {

    public boolean canBeSewn() {
        return findings.stream().noneMatch(Finding::isRefused);
    }

    public Optional<SizedPiece> piece(String letter) {
        return pieces.stream().filter(p -> p.piece().letter().equals(letter)).findFirst();
    }
}
