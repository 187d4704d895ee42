package mardun.app.price;

import java.util.Optional;
import mardun.app.design.CostedSize;
import mardun.app.design.DesignCosts;
import mardun.app.design.DesignService;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.problem.RefusedException;
import mardun.core.pricing.UnitTakes;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What one bag of a size takes, refused in a sentence where that isn't known. */
@Component
class BagCosts {

    private final DesignService designs;
    private final DesignCosts bagCosts;

    BagCosts(DesignService designs, DesignCosts bagCosts) {
        this.designs = designs;
        this.bagCosts = bagCosts;
    }

    /**
     * A size of a design that has a cost.
     *
     * @param cloth its outer cloth; absent for the one that the design names
     * @param units for a batch of how many; absent for as many as is usual
     */
    CostedSize size(DesignId design, String sizeKey, @Nullable MaterialId cloth, @Nullable Integer units) {
        int of = units == null ? designs.document(design).usualUnits() : units;
        CostedSize size = bagCosts.costed(design, of, Optional.ofNullable(cloth)).stream()
                .filter(one -> one.sizeKey().equals(sizeKey))
                .findFirst()
                .orElseThrow(() -> RefusedException.missing("This design has no such size, or no longer."));
        if (cloth != null && !size.clothId().equals(Optional.of(cloth))) {
            throw RefusedException.missing("There is no such cloth for this design, or no longer.");
        }
        if (size.cost().isEmpty()) {
            throw RefusedException.conflict(
                    "“" + size.designName() + "” has no cost yet: something is missing. Its page says what.");
        }
        return size;
    }

    /** What one of a size takes with what was given valued the other way; empty where that can't be said. */
    Optional<UnitTakes> withGivenOtherwise(CostedSize size) {
        return bagCosts.costedWithGivenOtherwise(size.designId(), size.units(), size.clothId()).stream()
                .filter(one -> one.sizeKey().equals(size.sizeKey()))
                .findFirst()
                .flatMap(other -> other.cost().map(cost -> UnitTakes.of(cost, other.time())));
    }

    /** What one of it takes. */
    UnitTakes takes(DesignId design, String sizeKey, @Nullable MaterialId cloth, @Nullable Integer units) {
        CostedSize size = size(design, sizeKey, cloth, units);
        return UnitTakes.of(size.cost().orElseThrow(), size.time());
    }
}
