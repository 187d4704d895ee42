package mardun.app.hand;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import mardun.app.channel.PricePlace;
import mardun.app.channel.SetPrices;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignDocument.SlotRow;
import mardun.app.design.DesignService;
import mardun.app.hand.HandViews.HandView;
import mardun.app.hand.HandViews.MakeableView;
import mardun.app.hand.HandViews.OtherView;
import mardun.app.id.DesignId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.material.ShelfMaterial;
import mardun.app.material.StockShelves;
import mardun.app.material.StockShelves.Shelves;
import mardun.app.material.StockViews.SizeToScale;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.batch.BatchLine;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.BatchPlanner;
import mardun.core.batch.FromHand;
import mardun.core.batch.FromHand.Makeable;
import mardun.core.batch.Supply;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.material.Amount;
import mardun.core.material.ClothPiece;
import mardun.core.material.Part;
import mardun.core.measure.ShownRounding;
import mardun.core.pricing.UnitPricing;
import org.joda.money.Money;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Starts from what is in the hand: which designs and sizes it would make, how many, and what they leave for an hour. */
@Service
public class HandService {

    private static final int MOST_UNITS = 500;

    private final DesignService designs;
    private final MaterialService materials;
    private final StockShelves shelves;
    private final SetPrices prices;
    private final SettingsService settings;
    private final BatchPlanner planner;

    HandService(
            DesignService designs,
            MaterialService materials,
            StockShelves shelves,
            SetPrices prices,
            SettingsService settings,
            BatchPlanner planner) {
        this.designs = designs;
        this.materials = materials;
        this.shelves = shelves;
        this.prices = prices;
        this.settings = settings;
        this.planner = planner;
    }

    /** What is in the hand: a material, or an offcut or precut of it. */
    private record InHand(ShelfMaterial material, Optional<ClothPiece> piece, Amount free) {

        boolean serves(SlotRow slot, Design design) {
            return DesignService.serves(design, slot, material.candidate());
        }
    }

    @Transactional(readOnly = true)
    public HandView hand(MaterialId materialId, Optional<LotId> lotId) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        ShelfMaterial material = materials.onShelf(materialId);
        List<DesignDocument> documents = new ArrayList<>();
        Map<DesignDocument, DesignId> ids = new LinkedHashMap<>();
        designs.names().forEach(name -> {
            DesignDocument document = designs.document(name.id()).asUsual();
            documents.add(document);
            ids.put(document, name.id());
        });
        Set<MaterialId> all = new LinkedHashSet<>(List.of(materialId));
        documents.forEach(document -> document.slots().stream()
                .map(SlotRow::materialId)
                .filter(Objects::nonNull)
                .forEach(all::add));
        Shelves read = shelves.read(all);
        Optional<ClothPiece> piece = lotId.map(lot -> read.pieces(materialId, null).stream()
                .filter(one -> one.key().equals(lot.key()))
                .findFirst()
                .orElseThrow(() -> RefusedException.missing("None of these pieces is free, or no longer.")));
        InHand inHand = new InHand(
                material, piece, piece.map(one -> Amount.pieces(one.count())).orElse(material.free()));
        Map<PricePlace, Long> set =
                prices.of(ids.values(), current.usualChannel().id());
        List<MakeableView> makeable = new ArrayList<>();
        List<String> tooSmall = new ArrayList<>();
        for (DesignDocument document : documents) {
            look(ids.get(document), document, inHand, read, set, current, makeable, tooSmall);
        }
        makeable.sort(Comparator.comparing((MakeableView one) ->
                        one.perHour() == null ? Long.MIN_VALUE : one.perHour().minor())
                .reversed());
        return new HandView(
                materials.get(materialId),
                lotId.orElse(null),
                writer.amount(inHand.free()),
                piece.map(one -> writer.length(one.extent().width(), ShownRounding.NEAREST))
                        .orElse(null),
                piece.map(one -> writer.length(one.extent().height(), ShownRounding.NEAREST))
                        .orElse(null),
                piece.map(one -> new SizeToScale(
                                one.extent().width().nanometres(),
                                one.extent().height().nanometres()))
                        .orElse(null),
                makeable,
                tooSmall);
    }

    private void look(
            DesignId designId,
            DesignDocument document,
            InHand inHand,
            Shelves read,
            Map<PricePlace, Long> set,
            Settings current,
            List<MakeableView> makeable,
            List<String> tooSmall) {
        Design design = DesignService.stored(document);
        for (SlotRow slot : document.slots()) {
            if (!inHand.serves(slot, design)) {
                continue;
            }
            List<Supply> supplies = supplies(document, slot, inHand, read);
            for (int size = 0; size < document.sizes().size(); size++) {
                String sizeName = document.sizes().get(size);
                Optional<Money> own = new PricePlace(
                                designId,
                                document.sizeKey(sizeName),
                                current.usualChannel().id())
                        .in(design.outerSlot()
                                .filter(slot.key()::equals)
                                .map(outer -> inHand.material().id()))
                        .of(set)
                        .map(current::money);
                Optional<Makeable> most = most(design, size, slot, supplies, own, inHand, current);
                if (most.isEmpty()) {
                    tooSmall.add(document.name() + ", " + sizeName + ", as "
                            + slot.label().toLowerCase());
                } else {
                    makeable.add(view(designId, document, sizeName, slot, most.get(), inHand, current));
                }
            }
        }
    }

    /** The usual materials of a design, and what is in the hand in one of its slots. */
    private static List<Supply> supplies(DesignDocument document, SlotRow filled, InHand inHand, Shelves read) {
        List<Supply> supplies = new ArrayList<>();
        for (SlotRow slot : document.slots()) {
            boolean isFilled = slot.key().equals(filled.key());
            MaterialId id = isFilled ? inHand.material().id() : slot.materialId();
            if (id != null) {
                List<LotId> pieces = isFilled
                        ? inHand.piece()
                                .map(piece -> List.of(LotId.valueOf(piece.key())))
                                .orElse(List.of())
                        : List.of();
                read.supply(slot.key(), id, null, pieces).ifPresent(supplies::add);
            }
        }
        return supplies;
    }

    private Optional<Makeable> most(
            Design design,
            int size,
            SlotRow slot,
            List<Supply> supplies,
            Optional<Money> own,
            InHand inHand,
            Settings current) {
        if (inHand.piece().isEmpty()) {
            return FromHand.most(
                    units -> plan(design, size, units, supplies, own, current),
                    inHand.material().id().key(),
                    inHand.free(),
                    MOST_UNITS);
        }
        ClothPiece piece = inHand.piece().get();
        Supply cloth = supplies.stream()
                .filter(supply -> supply.slot().equals(slot.key()))
                .findFirst()
                .orElseThrow();
        BatchPlan unit = plan(design, size, 1, supplies, own, current);
        int units = Math.min(MOST_UNITS, FromHand.units(unit, cloth, piece.extent(), piece.count()));
        return units == 0
                ? Optional.empty()
                : Optional.of(new Makeable(units, plan(design, size, units, supplies, own, current)));
    }

    private BatchPlan plan(
            Design design, int size, int units, List<Supply> supplies, Optional<Money> own, Settings current) {
        return planner.plan(List.of(BatchLine.only(design, size, units, supplies, own)), current.workroom());
    }

    private static MakeableView view(
            DesignId designId,
            DesignDocument document,
            String sizeName,
            SlotRow slot,
            Makeable most,
            InHand inHand,
            Settings current) {
        ViewWriter writer = current.writer();
        String key = inHand.material().id().key();
        BatchPlan plan = most.plan();
        Amount takes = plan.needs().stream()
                .filter(need -> need.supply().key().equals(key))
                .map(need -> inHand.piece().isPresent()
                        ? Amount.pieces(need.offcuts().stream()
                                .mapToLong(use -> use.count())
                                .sum())
                        : need.amount())
                .findFirst()
                .orElseGet(() -> Amount.none(inHand.free().counting()));
        return new MakeableView(
                designId,
                document.name(),
                sizeName,
                slot.key(),
                slot.label(),
                most.units(),
                writer.amount(takes),
                plan.needs().stream()
                        .filter(need -> !need.supply().key().equals(key))
                        .map(need -> new OtherView(
                                MaterialId.valueOf(need.supply().key()),
                                need.supply().name()
                                        + (need.part() == Part.WHOLE
                                                ? ""
                                                : ", " + need.part().words()),
                                writer.amount(need.amount()),
                                need.isShort() ? writer.amount(need.shortBy()) : null))
                        .toList(),
                plan.line(1)
                        .pricing()
                        .map(pricing -> writer.money(pricing.price()))
                        .orElse(null),
                plan.line(1)
                        .pricing()
                        .flatMap(UnitPricing::perHour)
                        .map(figure -> writer.money(figure.value()))
                        .orElse(null),
                plan.findings().stream()
                        .filter(Finding::isRefused)
                        .findFirst()
                        .map(finding -> writer.sentence(finding.what()) + " " + writer.sentence(finding.remedy()))
                        .orElse(null));
    }
}
