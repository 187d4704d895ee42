package mardun.app.material;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.material.MaterialView.PartView;
import mardun.app.show.ViewWriter;
import mardun.core.design.SlotFit;
import mardun.core.material.Amount;
import mardun.core.material.Part;
import mardun.core.measure.Length;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.ShownRounding;
import org.jspecify.annotations.Nullable;

/** Writes a material with what is on the shelf in the maker's units. */
record MaterialViewWriter(ViewWriter writer) {

    /**
     * What is there of a material.
     *
     * @param onHand of each part, in the smallest units
     * @param held what batches have reserved of each part
     * @param pieces offcuts and precuts
     */
    record OnShelf(Map<Part, Long> onHand, Map<Part, Long> held, long pieces) {

        static final OnShelf NOTHING = new OnShelf(Map.of(), Map.of(), 0);

        private long least(List<Part> parts, boolean free) {
            return parts.stream()
                    .map(part -> onHand.getOrDefault(part, 0L) - (free ? held.getOrDefault(part, 0L) : 0))
                    .min(Comparator.naturalOrder())
                    .orElse(0L);
        }

        boolean isLow(Material material) {
            return isBelow(material.lowAt().map(Amount::value), material.facts().twoPart());
        }

        boolean isBelow(Optional<Long> point, boolean twoPart) {
            long there = least(Material.parts(twoPart), false);
            return there < 0 || point.map(low -> there < low).orElse(false);
        }
    }

    /** The same material to reckon with. */
    static ShelfMaterial onShelf(Material material, OnShelf shelf) {
        List<Part> parts = material.parts();
        Facts facts = material.facts();
        Amount none = amount(material, 0);
        return new ShelfMaterial(
                material.id(),
                material.name(),
                material.kind(),
                material.colour(),
                new SlotFit.Candidate(
                        material.kind(),
                        material.cloth(),
                        Optional.ofNullable(facts.ware()),
                        facts.zip().isPresent()),
                facts.place(),
                material.isPutAway(),
                facts.twoPart(),
                material.lowAt().filter(low -> !material.isPutAway()).orElse(none),
                Optional.ofNullable(facts.targetValue())
                        .filter(target -> !material.isPutAway())
                        .map(target -> amount(material, target))
                        .orElse(none),
                amount(material, shelf.least(parts, false)),
                amount(material, shelf.least(parts, true)));
    }

    MaterialView view(Material material, OnShelf shelf) {
        List<Part> parts = material.parts();
        long onHand = shelf.least(parts, false);
        long held = parts.stream()
                .mapToLong(part -> shelf.held().getOrDefault(part, 0L))
                .max()
                .orElse(0);
        return new MaterialView(
                material.id(),
                material.version(),
                material.kind(),
                material.name(),
                material.note(),
                material.colour(),
                material.usableWidth()
                        .map(width -> writer.length(width, ShownRounding.NEAREST))
                        .orElse(null),
                material.sheet()
                        .map(sheet -> writer.length(sheet.height(), ShownRounding.NEAREST))
                        .orElse(null),
                material.isDirectional(),
                material.cloth().orElse(null),
                writer.money(material.priceMinor()),
                writer.amount(material.pricePer()),
                material.lowAt().map(writer::amount).orElse(null),
                Optional.ofNullable(material.facts().targetValue())
                        .map(target -> writer.amount(amount(material, target)))
                        .orElse(null),
                writer.amount(amount(material, onHand)),
                writer.amount(amount(material, held)),
                writer.amount(amount(material, shelf.least(parts, true))),
                parts.size() == 1
                        ? List.of()
                        : parts.stream()
                                .map(part -> new PartView(
                                        part,
                                        writer.amount(
                                                amount(material, shelf.onHand().getOrDefault(part, 0L)))))
                                .toList(),
                shelf.pieces(),
                shelf.isLow(material),
                facts(material),
                material.isPutAway(),
                photoOf(material));
    }

    /** Where its picture is. */
    static @Nullable String photoOf(Material material) {
        return material.photo()
                .map(name -> "/api/materials/" + material.id() + "/photo?of=" + name)
                .orElse(null);
    }

    private static Amount amount(Material material, long value) {
        return new Amount(material.kind().counting(), value);
    }

    /** The facts as they would be typed. */
    FactsForm facts(Material material) {
        Facts facts = material.facts();
        return new FactsForm(
                small(facts.fullWidthNm()),
                small(facts.selvageNm()),
                facts.fibre(),
                facts.weightClass(),
                facts.nap(),
                small(facts.repeatNm()),
                facts.shrinkageShare().signum() == 0
                        ? ""
                        : facts.shrinkageShare()
                                .multiply(BigDecimal.valueOf(100))
                                .stripTrailingZeros()
                                .toPlainString(),
                facts.shrinksAfterCutting(),
                facts.ironable(),
                facts.frays(),
                facts.layersAtOnce() == null ? "" : Integer.toString(facts.layersAtOnce()),
                facts.needle(),
                facts.care(),
                facts.print(),
                facts.oneDyeLot(),
                facts.twoPart(),
                facts.ware(),
                small(facts.zipLengthNm()),
                facts.zipMetal(),
                facts.usePerHourNm() == null
                        ? ""
                        : LengthWriter.exactlyLong(new Length(facts.usePerHourNm()), writer.system()),
                facts.targetValue() == null
                        ? ""
                        : writer.amount(amount(material, facts.targetValue())).exact(),
                facts.place());
    }

    private String small(@Nullable Long nanometres) {
        return nanometres == null ? "" : LengthWriter.exactly(new Length(nanometres), writer.system());
    }
}
