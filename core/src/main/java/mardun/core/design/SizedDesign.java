package mardun.core.design;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.construction.Boxing;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/**
 * One size of a design, worked out: what could be computed, and what was found. A design that is being edited may lack
 * parts of it; one without refusals has all.
 *
 * @param measurements by symbol
 * @param corner what is measured for the boxed corners; empty where nothing is boxed
 * @param openings how wide each zip opens, by its letter
 * @param sewn what the bag is sewn from and with, as planned
 * @param prompted how far from the edge the marks are that steps tell of
 * @param workedOut what each of the design's formulas comes to; single lengths and numbers aren't among them
 */
public record SizedDesign(
        String size,
        Map<String, Figure<Quantity>> measurements,
        List<SizedPiece> pieces,
        List<SizedPanel> panels,
        List<SizedTrim> trims,
        List<SizedNotion> notions,
        List<SizedFilling> fillings,
        Optional<Boxing.Corner> corner,
        Map<String, Figure<Quantity>> openings,
        Optional<Sewn> sewn,
        Optional<Finished> finished,
        Map<PromptOf, Length> prompted,
        Map<FormulaAt, Quantity> workedOut,
        List<Finding> findings) {

    /**
     * A prompt within a step.
     *
     * @param step the step's key
     * @param prompt its place among the step's prompts, from 0
     */
    public record PromptOf(String step, int prompt) {}

    /**
     * A formula of the design, as it is written there.
     *
     * @param place where it stands; empty where it comes to the same wherever it stands
     */
    public record FormulaAt(Optional<String> place, String text) {}

    /** A size of which nothing is known but its name. */
    public static SizedDesign unknown(String size) {
        return new SizedDesign(
                size,
                Map.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                Map.of(),
                Optional.empty(),
                Optional.empty(),
                Map.of(),
                Map.of(),
                List.of());
    }

    public boolean canBeSewn() {
        return findings.stream().noneMatch(Finding::isRefused);
    }

    public Optional<SizedPiece> piece(String letter) {
        return pieces.stream().filter(p -> p.piece().letter().equals(letter)).findFirst();
    }

    public Optional<SizedPanel> panel(String letter) {
        return panels.stream().filter(p -> p.panel().letter().equals(letter)).findFirst();
    }

    public Optional<SizedTrim> trim(String letter) {
        return trims.stream().filter(t -> t.trim().letter().equals(letter)).findFirst();
    }

    /** The size with which a piece or a panel is sewn. */
    public Optional<Extent> extent(String letter) {
        return piece(letter).map(SizedPiece::sewnExtent).or(() -> panel(letter).map(SizedPanel::sewnExtent));
    }

    /** The name of a piece, a panel or a trim. */
    public Optional<String> nameOf(String letter) {
        return piece(letter)
                .map(p -> p.piece().name())
                .or(() -> panel(letter).map(p -> p.panel().name()))
                .or(() -> trim(letter).map(t -> t.trim().name()));
    }
}
