package mardun.app.material;

import java.math.BigInteger;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.core.batch.Supply;
import mardun.core.material.Amount;
import mardun.core.material.ClothPiece;
import mardun.core.material.Counting;
import mardun.core.material.DyeLots;
import mardun.core.material.KeptOffcuts;
import mardun.core.material.MaterialKind;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import mardun.core.material.Roll;
import mardun.core.material.Selvage;
import mardun.core.material.Stock;
import mardun.core.material.StockEvent;
import mardun.core.material.UnitPrice;
import mardun.core.material.Valuation;
import mardun.core.material.Valuing;
import mardun.core.material.Worth;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.money.Apportionment;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/** One material's lots, movements and reservations, up to a moment, and what follows from them. */
final class MaterialShelf {

    private final Material material;
    private final List<Lot> lots;
    private Movements movements;
    private final List<MaterialPrice> prices;
    private final List<Reservation> reservations;
    private final CurrencyUnit currency;
    private final Valuing valuing;
    private final KnownMovements known;
    private boolean isAsStored = true;
    private @Nullable Valuation valuation;
    private @Nullable Map<LotId, Long> left;

    /**
     * The shelf of a material.
     *
     * @param lots oldest first
     * @param prices oldest first
     */
    MaterialShelf(
            Material material,
            List<Lot> lots,
            Movements movements,
            List<MaterialPrice> prices,
            List<Reservation> reservations,
            CurrencyUnit currency,
            Valuing valuing,
            KnownMovements known) {
        this.material = material;
        this.lots = new ArrayList<>(lots);
        this.movements = movements;
        this.prices = prices;
        this.reservations = reservations;
        this.currency = currency;
        this.valuing = valuing;
        this.known = known;
    }

    /** Follows what was just written. */
    void add(Lot lot) {
        lots.add(lot);
        lots.sort(Comparator.comparing(Lot::cameAt).thenComparing(Lot::id));
        isAsStored = false;
        valuation = null;
        left = null;
    }

    /** Follows what was just written. */
    void add(StockMovement movement) {
        movements = movements.with(List.of(movement));
        isAsStored = false;
        valuation = null;
        left = null;
    }

    Material material() {
        return material;
    }

    List<Lot> lots() {
        return lots;
    }

    List<Reservation> reservations() {
        return reservations;
    }

    private Counting counting() {
        return material.kind().counting();
    }

    /** What is there of a part, without offcuts and precuts. */
    Amount onHand(Part part) {
        return new Amount(counting(), movements.onHand(part));
    }

    /** What is there: of a two-part notion, as many sets as there are of the half that there is less of. */
    Amount onHand() {
        return material.parts().stream()
                .map(this::onHand)
                .min(Comparator.naturalOrder())
                .orElseThrow();
    }

    /** How many offcuts and precuts of all sizes there are. */
    Amount pieces() {
        return Amount.pieces(movements.pieces());
    }

    /** What batches have reserved of a part, but for one of them. */
    Amount held(Part part, @Nullable BatchId exceptBatch) {
        return new Amount(counting(), held(r -> !r.isOfPieces() && r.part() == part, exceptBatch));
    }

    /** How many pieces of a lot of offcuts or precuts are reserved, but for one batch. */
    long heldPieces(LotId lotId, @Nullable BatchId exceptBatch) {
        return held(r -> r.isOfPieces() && r.lotId().filter(lotId::equals).isPresent(), exceptBatch);
    }

    private long held(Predicate<Reservation> which, @Nullable BatchId exceptBatch) {
        return reservations.stream()
                .filter(which)
                .filter(r -> exceptBatch == null || !r.batchId().equals(exceptBatch))
                .mapToLong(Reservation::heldValue)
                .sum();
    }

    /**
     * What is left of each lot. What was taken before it had been entered is taken from the oldest lots, so that the lots
     * together are what is on hand, unless that is below zero.
     */
    Map<LotId, Long> left() {
        if (left == null) {
            left = Collections.unmodifiableMap(workOutLeft());
        }
        return left;
    }

    private Map<LotId, Long> workOutLeft() {
        Map<LotId, Long> ofLots = new LinkedHashMap<>();
        Map<Part, Long> owed = new EnumMap<>(Part.class);
        for (Lot lot : lots) {
            long its = movements.ofLot(lot.id());
            long debt = lot.isOfPieces() ? 0 : owed.computeIfAbsent(lot.part(), movements::owed);
            long paid = Math.max(0, Math.min(debt, its));
            ofLots.put(lot.id(), its - paid);
            if (paid > 0) {
                owed.merge(lot.part(), -paid, Long::sum);
            }
        }
        return ofLots;
    }

    /** What a part of it can be taken from, oldest first, with what others haven't reserved of each lot. */
    List<DyeLots.Lot> rolls(Part part, @Nullable BatchId batchId) {
        Map<LotId, Long> left = left();
        return lots.stream()
                .filter(lot -> !lot.isOfPieces() && lot.part() == part && left.get(lot.id()) > 0)
                .map(lot -> new DyeLots.Lot(
                        lot.id().key(),
                        lot.dyeLot(),
                        new Amount(
                                counting(),
                                left.get(lot.id())
                                        - held(
                                                r -> r.lotId()
                                                        .filter(lot.id()::equals)
                                                        .isPresent(),
                                                batchId))))
                .toList();
    }

    /** The lots that a batch has reserved of a part, with how much. */
    Map<LotId, Long> heldLots(Part part, BatchId batchId) {
        return reservations.stream()
                .filter(r -> r.batchId().equals(batchId) && !r.isOfPieces() && r.part() == part)
                .filter(r -> r.lotId().isPresent())
                .collect(Collectors.toMap(
                        r -> r.lotId().orElseThrow(), Reservation::heldValue, Long::sum, LinkedHashMap::new));
    }

    /** Offcuts and precuts that this batch may use, with what one is worth. */
    List<ClothPiece> pieces(@Nullable BatchId batchId) {
        Map<LotId, Long> left = left();
        List<ClothPiece> pieces = new ArrayList<>();
        for (Lot lot : lots) {
            long free = lot.isOfPieces() ? left.get(lot.id()) - heldPieces(lot.id(), batchId) : 0;
            if (free > 0) {
                long all = left.get(lot.id());
                pieces.add(new ClothPiece(
                        lot.id().key(),
                        lot.pieceSize().orElseThrow(),
                        free,
                        BigFraction.of(valuation().left(pile(lot))).divide(BigFraction.of(all)),
                        lot.dyeLot()));
            }
        }
        return pieces;
    }

    /** The narrowest usable width of what is left, as it was measured; where nobody measured, what the label says. */
    Optional<Length> usableWidth() {
        Map<LotId, Long> left = left();
        return material.usableWidth()
                .map(label -> lots.stream()
                        .filter(lot -> !lot.isOfPieces() && left.get(lot.id()) > 0)
                        .map(lot -> lot.measuredWidth().orElse(label))
                        .min(Comparator.naturalOrder())
                        .orElse(label));
    }

    /** This material for a slot of a design, as a batch sees it. */
    Supply supply(String slot, @Nullable BatchId batchId, List<LotId> usedPieces) {
        Map<Part, Stock> stock = new EnumMap<>(Part.class);
        for (Part part : material.parts()) {
            stock.put(part, new Stock(onHand(part), held(part, batchId), worth(part)));
        }
        return new Supply(
                slot,
                material.id().key(),
                material.name(),
                material.kind(),
                usableWidth(),
                material.sheet(),
                material.cloth(),
                material.isDirectional() || material.facts().nap(),
                material.facts().shrinkage(),
                Optional.ofNullable(material.facts().ware()),
                material.facts().zip(),
                stock,
                usedPieces.isEmpty()
                        ? List.of()
                        : pieces(batchId).stream()
                                .filter(piece -> usedPieces.contains(LotId.valueOf(piece.key())))
                                .toList(),
                price(Part.WHOLE),
                lie(batchId));
    }

    /** How cloth and trim lie there, without what other batches have reserved. */
    Supply.Lie lie(@Nullable BatchId batchId) {
        boolean isCutOff = material.kind() == MaterialKind.CLOTH || material.kind() == MaterialKind.TRIM;
        List<Roll> rolls = isCutOff
                ? rolls(Part.WHOLE, batchId).stream()
                        .filter(lot -> lot.free().isPositive())
                        .map(lot -> new Roll(
                                lot.key(), lot.dye(), new Length(lot.free().value())))
                        .toList()
                : List.of();
        Facts facts = material.facts();
        return new Supply.Lie(
                Roll.without(
                        rolls, new Length(held(r -> !r.isOfPieces() && r.lotId().isEmpty(), batchId))),
                facts.oneDyeLot(),
                Facts.length(facts.repeatNm()),
                material.printMarks().across(),
                material.printMarks().parts(),
                Selvage.of(Facts.length(facts.selvageNm()), Facts.length(facts.fullWidthNm()), material.usableWidth()));
    }

    /** What it costs to buy now; half of a set for a half. */
    UnitPrice price(Part part) {
        Amount per = material.pricePer();
        return new UnitPrice(Money.ofMinor(currency, material.priceMinor()), part == Part.WHOLE ? per : per.times(2));
    }

    /** What the next amounts of a part are worth. */
    Worth worth(Part part) {
        return valuation().worth(part.name(), counting(), price(part));
    }

    /** What is left of everything, in minor units. */
    long worth() {
        return valuation().left();
    }

    /** What is left of the roll, or of the whole, in minor units. */
    long worthOfRolls() {
        return material.parts().stream()
                .mapToLong(part -> valuation().left(part.name()))
                .sum();
    }

    long worthOfPieces(Lot lot) {
        return valuation().left(pile(lot));
    }

    /** How much a batch has taken of a part, without offcuts and precuts. */
    Amount takenBy(BatchId batchId, Part part) {
        return new Amount(
                counting(),
                movements.of(batchId).stream()
                        .filter(m -> !m.isOfPieces() && m.part() == part)
                        .mapToLong(m -> -m.changeValue())
                        .sum());
    }

    /** How much a batch was planned to take of a cloth from the roll, and took: without what was cut once more. */
    Amount cutFor(BatchId batchId) {
        return new Amount(
                counting(),
                movements.of(batchId).stream()
                        .filter(m -> !m.isOfPieces() && m.isPlanned())
                        .mapToLong(m -> -m.changeValue())
                        .sum());
    }

    /** The marks of the lots from which a batch was cut. */
    Set<String> dyesCutFor(BatchId batchId) {
        return movements.of(batchId).stream()
                .filter(m -> m.kind() == MovementKind.CUT)
                .flatMap(m -> lotOf(m).stream())
                .map(lot -> Roll.dyeLot(lot.dyeLot()))
                .collect(Collectors.toSet());
    }

    /** The offcuts that were kept of what a movement took. */
    List<Lot> restsOf(long movementId) {
        return lots.stream()
                .filter(lot ->
                        lot.kept().filter(of -> of.movementId() == movementId).isPresent())
                .toList();
    }

    /** How many offcuts or precuts of a lot a batch has taken, without those that were cut into once more. */
    long piecesTakenBy(BatchId batchId, LotId lotId) {
        return movements.of(batchId).stream()
                .filter(m -> m.isPlanned() && m.lotId().filter(lotId::equals).isPresent())
                .mapToLong(m -> -m.changeValue())
                .sum();
    }

    /** What a batch has taken of it, less the offcuts that were kept, in minor units. */
    long usedBy(BatchId batchId, Predicate<StockMovement> which) {
        return movements.of(batchId).stream()
                .filter(which)
                .mapToLong(m -> valuation().used(Long.toString(m.id())))
                .sum();
    }

    Valuation valuation() {
        if (valuation == null) {
            valuation = isAsStored
                    ? known.valuation(
                            material.id(), movements, lots, prices, valuing, () -> Valuation.of(events(), valuing))
                    : Valuation.of(events(), valuing);
        }
        return valuation;
    }

    private static String pile(Lot lot) {
        return lot.isOfPieces() ? "lot " + lot.id() : lot.part().name();
    }

    private List<StockEvent> events() {
        Map<LotId, Lot> byId = new HashMap<>();
        lots.forEach(lot -> byId.put(lot.id(), lot));
        List<StockEvent> events = new ArrayList<>();
        int nextPrice = 0;
        for (StockMovement movement : movements.all()) {
            Instant at = movement.movedAt();
            while (nextPrice < prices.size() && !prices.get(nextPrice).since().isAfter(at)) {
                events.addAll(repriced(prices.get(nextPrice++)));
            }
            events.add(event(movement, movement.lotId().map(byId::get)));
        }
        while (nextPrice < prices.size()) {
            events.addAll(repriced(prices.get(nextPrice++)));
        }
        return events;
    }

    private StockEvent event(StockMovement movement, Optional<Lot> lot) {
        String pile = lot.map(MaterialShelf::pile).orElse(movement.part().name());
        long change = movement.changeValue();
        if (change < 0) {
            return new StockEvent.Left(Long.toString(movement.id()), pile, -change);
        }
        Optional<Arrival.KeptOf> kept =
                movement.kind() == MovementKind.OFFCUT_KEPT ? lot.flatMap(Lot::kept) : Optional.empty();
        long worth = movement.worthMinor() == 0 ? firstKnownWorth(movement, lot) : movement.worthMinor();
        return kept.<StockEvent>map(of -> new StockEvent.Kept(
                        pile,
                        change,
                        Long.toString(of.movementId()),
                        BigFraction.of(
                                of.share().unscaledValue(),
                                BigInteger.TEN.pow(of.share().scale()))))
                .orElseGet(() -> new StockEvent.Came(pile, change, worth, movement.kind() == MovementKind.GIVEN));
    }

    /**
     * What was there before anybody knew its price is worth what it costs to buy once that is known; what was bought for nothing
     * stays worth nothing.
     */
    private long firstKnownWorth(StockMovement movement, Optional<Lot> lot) {
        boolean bought = movement.kind() != MovementKind.COUNTED && movement.kind() != MovementKind.GIVEN;
        return prices.stream()
                .filter(price -> price.priceMinor() > 0)
                .findFirst()
                .filter(price -> !bought && price.since().isAfter(movement.movedAt()))
                .map(price -> Apportionment.rounded(
                        perUnit(price, movement.part(), lot).multiply(BigFraction.of(movement.changeValue()))))
                .orElse(0L);
    }

    /** What the smallest unit of a part costs, or one piece of a lot of pieces, in minor units. */
    private BigFraction perUnit(MaterialPrice price, Part part, Optional<Lot> lot) {
        BigFraction perUnit = BigFraction.of(price.priceMinor(), price.pricePerValue());
        BigFraction ofPart = part == Part.WHOLE ? perUnit : perUnit.divide(2);
        return lot.filter(Lot::isOfPieces)
                .map(of -> perUnit.multiply(lengthOf(of.pieceSize().orElseThrow(), of.measuredWidth())))
                .orElse(ofPart);
    }

    private List<StockEvent> repriced(MaterialPrice price) {
        List<StockEvent> events = new ArrayList<>();
        for (Part part : material.parts()) {
            events.add(new StockEvent.Repriced(part.name(), perUnit(price, part, Optional.empty())));
        }
        lots.stream()
                .filter(Lot::isOfPieces)
                .forEach(lot ->
                        events.add(new StockEvent.Repriced(pile(lot), perUnit(price, lot.part(), Optional.of(lot)))));
        return events;
    }

    /** The length of cloth that a piece is worth: its area, over the usable width of what it was cut from. */
    private BigFraction lengthOf(Extent piece, Optional<Length> measuredWidth) {
        return BigFraction.of(
                BigInteger.valueOf(piece.width().nanometres())
                        .multiply(BigInteger.valueOf(piece.height().nanometres())),
                BigInteger.valueOf(
                        measuredWidth.or(material::usableWidth).orElseThrow().nanometres()));
    }

    /** The cloth that left with a movement: so much of a roll at its own width, or so many offcuts or precuts. */
    KeptOffcuts.Cut cutBy(long movementId) {
        StockMovement left = movement(movementId);
        Length selvage = lie(null).selvage();
        return lotOf(left)
                .flatMap(Lot::pieceSize)
                .map(size -> new KeptOffcuts.Cut(Long.toString(movementId), size, -left.changeValue(), Length.ZERO))
                .orElseGet(() -> new KeptOffcuts.Cut(
                        Long.toString(movementId),
                        new Extent(
                                widthOf(movementId).or(material::usableWidth).orElseThrow(),
                                new Length(-left.changeValue())),
                        1,
                        selvage));
    }

    /** The usable width of the lot that a movement took from, where it was measured. */
    Optional<Length> widthOf(long movementId) {
        return lotOf(movement(movementId)).flatMap(Lot::measuredWidth);
    }

    /** The dye lot of what a movement took; empty where nobody noted it. */
    String dyeLotOf(long movementId) {
        return lotOf(movement(movementId)).map(Lot::dyeLot).orElse("");
    }

    private StockMovement movement(long movementId) {
        return movements.find(movementId).orElseThrow();
    }

    private Optional<Lot> lotOf(StockMovement movement) {
        return movement.lotId()
                .flatMap(id -> lots.stream().filter(lot -> lot.id().equals(id)).findFirst());
    }

    /** What so much would cost to buy, in minor units. */
    long replacement(Part part, Amount amount) {
        return Apportionment.rounded(price(part).cost(amount));
    }

    /** What so many pieces of cloth would cost, by their area. */
    long replacement(Extent piece, long count) {
        return Apportionment.rounded(
                BigFraction.of(material.priceMinor(), material.pricePer().value())
                        .multiply(lengthOf(piece, Optional.empty()))
                        .multiply(count));
    }
}
