package mardun.app.plan;

import java.util.Optional;
import mardun.app.id.MaterialId;
import mardun.app.plan.Planned.PlannedLine;
import mardun.core.design.Design;
import mardun.core.design.Piece;
import mardun.core.design.Role;

/** The cloth that a bag is known by: what its first outer piece is cut from. */
public record OuterCloth(Optional<MaterialId> materialId, String name) {

    /** Which slot it fills; empty where a design has no outer piece. */
    public static Optional<String> slot(Design design) {
        return design.pieces().stream()
                .filter(piece -> piece.role() == Role.OUTER)
                .findFirst()
                .map(Piece::slot);
    }

    /** That of a line; without a name where the design has no outer piece, or nothing is chosen for it. */
    public static OuterCloth of(Planned planned, PlannedLine line) {
        return slot(line.design())
                .flatMap(slot -> planned.supply(line, slot))
                .map(supply -> new OuterCloth(Optional.of(MaterialId.valueOf(supply.key())), supply.name()))
                .orElse(new OuterCloth(Optional.empty(), ""));
    }
}
