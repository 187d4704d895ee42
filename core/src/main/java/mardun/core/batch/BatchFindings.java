package mardun.core.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.design.Check;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.MaterialSlot;
import mardun.core.design.SizedMark;
import mardun.core.design.SlotFit;
import mardun.core.material.ShelfLimits;
import mardun.core.pricing.UnitPricing;
import mardun.core.working.Sentence;
import mardun.core.working.Value;
import org.joda.money.Money;

/** What looks wrong with a batch, beside what its design says already: materials, prices and amounts. */
final class BatchFindings {

    private BatchFindings() {}

    /** Materials that are of the right kind and yet not what their slot asks for. */
    static List<Finding> unfit(BatchLine line) {
        Design design = line.design();
        List<Finding> unfit = new ArrayList<>();
        for (MaterialSlot slot : design.slots()) {
            line.supplies().stream()
                    .filter(supply -> supply.slot().equals(slot.key()))
                    .filter(supply ->
                            supply.kind() == slot.kind() && supply.cloth().isEmpty())
                    .filter(supply -> !SlotFit.serves(design, slot, supply.candidate()))
                    .forEach(supply -> unfit.add(Finding.refused(
                            line.place("slots." + slot.key()),
                            Sentence.of(
                                    "“{0}” can't be used for “{1}”.", Value.of(supply.name()), Value.of(slot.label())),
                            Sentence.of("Choose a material that is what the design asks for there."))));
        }
        return unfit;
    }

    /** Pieces that have to show a part of the print which nobody marked on their cloth. */
    static List<Finding> unmarked(List<PieceLine> pieces) {
        List<Finding> unmarked = new ArrayList<>();
        for (PieceLine line : pieces) {
            Optional<SizedMark> mark = ShownMotifs.markOf(line.piece());
            if (mark.isEmpty() || line.from().isEmpty()) {
                continue;
            }
            Supply cloth = line.from().get();
            boolean isThere = ShownMotifs.wanted(mark.get(), cloth).isPresent();
            boolean isPlaced = ShownMotifs.of(cloth, List.of(line)).beginning().isPresent();
            if (!isPlaced) {
                String label = mark.get().mark().label().strip();
                String which = label.isEmpty() ? "a part of the print" : "“{2}”";
                unmarked.add(Finding.care(
                        Check.MOTIF,
                        Need.place(cloth),
                        Sentence.of(
                                "{0} has to show " + which
                                        + (isThere
                                                ? ", and nobody said after which height the print of “{1}” comes again."
                                                : ", which isn’t marked on “{1}”."),
                                Value.of(line.name()),
                                Value.of(cloth.name()),
                                Value.of(label)),
                        Sentence.of(
                                "Mark it on the cloth’s page, with what the print comes again after; else the piece is cut wherever"
                                        + " the print falls.")));
            }
        }
        return unmarked;
    }

    /** Materials that make a bag look cheaper than it is, because nobody said what they cost. */
    static List<Finding> unpriced(List<Need> needs) {
        return needs.stream()
                .filter(need -> need.amount().value() > 0
                        && need.supply().price().price().isZero()
                        && need.stock().worth().cost(need.amount()).signum() == 0)
                .map(need -> Finding.care(
                        Check.PRICE,
                        Need.place(need.supply()),
                        Sentence.of(
                                "“{0}” costs nothing here: it has no price.",
                                Value.of(need.supply().name())),
                        Sentence.of(
                                "Enter what it would cost to buy, even if it was given; else every price is too low.")))
                .distinct()
                .toList();
    }

    /** A price below what one costs with its fees. */
    static Optional<Finding> loss(BatchLine line, UnitPricing pricing) {
        Money left = pricing.left().value();
        return left.isNegative()
                ? Optional.of(Finding.care(
                        Check.PRICE,
                        line.place("ownPrice"),
                        Sentence.of(
                                "At a price of {0} each one loses {1}: fees and costs together are more.",
                                Value.of(pricing.price()), Value.of(left.negated())),
                        Sentence.of(
                                "Ask {0}, or more.",
                                Value.of(pricing.suggested().value()))))
                : Optional.empty();
    }

    /** More of a material than can be reckoned with. */
    static Finding tooMuch(Need need) {
        return Finding.refused(
                Need.place(need.supply()),
                Sentence.of(
                        "The batch takes {0} of “{1}”, and {2} is the most that can be calculated.",
                        need.amount().shown(),
                        Value.of(need.supply().name()),
                        ShelfLimits.most(need.amount().counting()).shown()),
                Sentence.of("Make fewer at once, or check the measures of the design."));
    }
}
