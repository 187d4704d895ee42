package mardun.core.design;

import java.util.List;
import java.util.Optional;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.Ware;

/**
 * What fits a slot of a design: the one rule for choosing, planning, replacing and for what can be made of something in the
 * hand. Cloth has to be of a kind that serves; a trim has to be what the design's trims in that slot are; a zip may also be a
 * closed-end one that is bought by the piece; a notion has to be what the slot asks for. Where nobody said what a trim or a
 * notion is, it may be anything of its kind.
 */
public final class SlotFit {

    private SlotFit() {}

    /**
     * A material that might fill a slot.
     *
     * @param cloth what kind of cloth it is, where that was said
     * @param ware what a trim or a notion is, where that was said
     * @param closedZip it is a closed-end zip
     */
    public record Candidate(MaterialKind kind, Optional<ClothKind> cloth, Optional<Ware> ware, boolean closedZip) {}

    /** Whether a material may fill one of the design's slots. */
    public static boolean serves(Design design, MaterialSlot slot, Candidate candidate) {
        return switch (slot.kind()) {
            case CLOTH ->
                candidate.kind().isCloth()
                        && (slot.cloths().isEmpty()
                                || candidate.cloth().isEmpty()
                                || slot.cloths().contains(candidate.cloth().get()));
            case TRIM -> servesTrims(trims(design, slot.key()), candidate);
            case NOTION ->
                candidate.kind() == MaterialKind.NOTION
                        && !candidate.closedZip()
                        && agree(slot.ware(), candidate.ware());
            default -> candidate.kind() == slot.kind();
        };
    }

    private static boolean servesTrims(List<TrimNeed.Kind> trims, Candidate candidate) {
        if (candidate.closedZip()) {
            return !trims.isEmpty() && trims.stream().allMatch(kind -> kind == TrimNeed.Kind.ZIP);
        }
        return candidate.kind() == MaterialKind.TRIM
                && trims.stream().allMatch(kind -> agree(Optional.of(kind.ware()), candidate.ware()));
    }

    private static List<TrimNeed.Kind> trims(Design design, String slot) {
        return design.trims().stream()
                .filter(trim -> trim.slot().equals(slot))
                .map(TrimNeed::kind)
                .distinct()
                .toList();
    }

    private static boolean agree(Optional<Ware> wanted, Optional<Ware> is) {
        return wanted.isEmpty() || is.isEmpty() || wanted.equals(is);
    }
}
