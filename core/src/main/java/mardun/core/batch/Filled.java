package mardun.core.batch;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.design.Finding;
import mardun.core.design.SizedTrim;
import mardun.core.design.TrimNeed;
import mardun.core.material.MaterialKind;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/**
 * What fills the slots of a batch's lines. One material that fills several slots, in one line or in many, is one supply: all draw on
 * the same shelf. A slot that nothing fills, or the wrong kind of thing, is found wrong once.
 */
final class Filled {

    private record Slot(int line, String slot, MaterialKind kind) {}

    private final Map<String, Supply> firstByKey = new HashMap<>();
    private final Map<Slot, Optional<Supply>> asked = new HashMap<>();
    private final List<Finding> findings = new ArrayList<>();

    /** What was found wrong so far. */
    List<Finding> findings() {
        return findings;
    }

    Optional<Supply> cloth(BatchLine line, String slot) {
        return of(line, slot, MaterialKind.CLOTH);
    }

    /** What a trim is cut from; for a zip perhaps a closed-end one, which is counted and not cut from a roll. */
    Optional<Supply> trim(BatchLine line, SizedTrim trim) {
        boolean closed = trim.trim().kind() == TrimNeed.Kind.ZIP
                && line.supply(trim.trim().slot()).flatMap(Supply::zip).isPresent();
        return of(line, trim.trim().slot(), closed ? MaterialKind.NOTION : MaterialKind.TRIM);
    }

    Optional<Supply> of(BatchLine line, String slot, MaterialKind kind) {
        return asked.computeIfAbsent(new Slot(line.number(), slot, kind), asking -> find(line, slot, kind));
    }

    private Optional<Supply> find(BatchLine line, String slot, MaterialKind kind) {
        Optional<Supply> supply = line.supply(slot);
        if (supply.isEmpty()) {
            findings.add(Finding.refused(
                    line.place("slots." + slot),
                    Sentence.of("Nothing is chosen for “{0}”.", Value.of(line.label(slot))),
                    Sentence.of("Choose a material for it.")));
            return Optional.empty();
        }
        MaterialKind its = supply.get().kind();
        if (its != kind && !(kind == MaterialKind.CLOTH && its.isCloth())) {
            findings.add(Finding.refused(
                    line.place("slots." + slot),
                    Sentence.of(
                            "“{0}” can't be used for “{1}”.",
                            Value.of(supply.get().name()), Value.of(line.label(slot))),
                    Sentence.of("Choose a material of the right kind.")));
            return Optional.empty();
        }
        return Optional.of(firstByKey.computeIfAbsent(supply.get().key(), key -> supply.get()));
    }
}
