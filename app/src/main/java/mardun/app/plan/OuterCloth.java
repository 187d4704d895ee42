package mardun.app.plan;

import java.util.Optional;
import mardun.app.id.MaterialId;
import mardun.app.plan.Planned.PlannedLine;

/** The cloth that a bag is known by: what its first outer piece is cut from. */
public record OuterCloth(Optional<MaterialId> materialId, String name) {

    /** That of a line; without a name where the design has no outer piece, or nothing is chosen for it. */
    public static OuterCloth of(Planned planned, PlannedLine line) {
        return line.design()
                .outerSlot()
                .flatMap(slot -> planned.supply(line, slot))
                .map(supply -> new OuterCloth(Optional.of(MaterialId.valueOf(supply.key())), supply.name()))
                .orElse(new OuterCloth(Optional.empty(), ""));
    }
}
