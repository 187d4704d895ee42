package mardun.core.design;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.making.Step;
import mardun.core.material.ClothKind;

/**
 * What can be made: its sizes, measurements, pieces, panels, trims, notions, fillings and steps. Sizes share all
 * formulas; only the measurements differ.
 *
 * @param sort what sort of thing it is, in the maker's word: pouch, tote; empty where she hasn't said
 * @param sizes the names of the sizes, smallest first; at least one
 * @param wished what the bag is meant to measure
 * @param liningSeam formula of the lining's side, base and end seams; empty where they are sewn like the outer's
 * @param forChildren it is meant for children
 * @param setAside findings that the maker looked at and set aside
 */
public record Design(
        String name,
        String sort,
        List<String> sizes,
        List<Measurement> measurements,
        BagForm form,
        Wished wished,
        String liningSeam,
        List<Piece> pieces,
        List<Panel> panels,
        List<TrimNeed> trims,
        List<NotionNeed> notions,
        List<FillingNeed> fillings,
        List<ZipFit> zips,
        List<Strap> straps,
        List<Casing> casings,
        List<Gather> gathers,
        List<Step> steps,
        List<MaterialSlot> slots,
        Source source,
        boolean forChildren,
        List<SetAside> setAside) {

    public Design {
        sizes = List.copyOf(sizes);
        measurements = List.copyOf(measurements);
        pieces = List.copyOf(pieces);
        panels = List.copyOf(panels);
        trims = List.copyOf(trims);
        notions = List.copyOf(notions);
        fillings = List.copyOf(fillings);
        zips = List.copyOf(zips);
        straps = List.copyOf(straps);
        casings = List.copyOf(casings);
        gathers = List.copyOf(gathers);
        steps = List.copyOf(steps);
        slots = List.copyOf(slots);
        setAside = List.copyOf(setAside);
    }

    /** Which slot the cloth fills that a bag is known by: that of its first outer piece; empty where it has none. */
    public Optional<String> outerSlot() {
        return pieces.stream()
                .filter(piece -> piece.role() == Role.OUTER)
                .findFirst()
                .map(Piece::slot);
    }

    /** What kind of cloth a slot is filled with: the usual one that the design asks for. */
    public Optional<ClothKind> clothOf(String slot) {
        return slots.stream()
                .filter(s -> s.key().equals(slot))
                .flatMap(s -> s.cloths().stream())
                .findFirst();
    }

    /** This design with other times for its steps. */
    public Design with(List<Step> otherSteps) {
        return of(pieces, trims, otherSteps, slots);
    }

    /** This design with the cloths that really fill its slots in the place of those it asks for. */
    public Design with(Map<String, ClothKind> cloths) {
        List<MaterialSlot> filled = slots.stream()
                .map(s -> cloths.containsKey(s.key())
                        ? new MaterialSlot(s.key(), s.label(), s.kind(), List.of(cloths.get(s.key())))
                        : s)
                .toList();
        return of(pieces, trims, steps, filled);
    }

    /** This design with its pieces and trims cut otherwise. */
    public Design withCut(List<Piece> otherPieces, List<TrimNeed> otherTrims) {
        return of(otherPieces, otherTrims, steps, slots);
    }

    private Design of(
            List<Piece> otherPieces, List<TrimNeed> otherTrims, List<Step> otherSteps, List<MaterialSlot> otherSlots) {
        return new Design(
                name,
                sort,
                sizes,
                measurements,
                form,
                wished,
                liningSeam,
                otherPieces,
                panels,
                otherTrims,
                notions,
                fillings,
                zips,
                straps,
                casings,
                gathers,
                otherSteps,
                otherSlots,
                source,
                forChildren,
                setAside);
    }
}
