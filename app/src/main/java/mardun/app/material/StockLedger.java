package mardun.app.material;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.material.Amount;
import mardun.core.material.DyeLots;
import mardun.core.material.Ledger;
import mardun.core.material.Ledger.Movement;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import mardun.core.material.ShelfLimits;
import mardun.core.money.Apportionment;
import org.apache.commons.numbers.fraction.BigFraction;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Writes the ledger: what comes becomes lots, what leaves is taken from them. Each call belongs to the caller's
 * transaction and holds the material for it, so that two who take the last metre wait for one another.
 */
@Component
class StockLedger {

    private final MaterialRepository materials;
    private final LotRepository lots;
    private final StockMovementRepository movements;
    private final KnownMovements known;
    private final ShelfReader reader;
    private final SettingsService settings;
    private final EntityManager entities;
    private final Clock clock;
    private final Function<MaterialId, MaterialShelf> shelves;

    @Autowired
    StockLedger(
            MaterialRepository materials,
            LotRepository lots,
            StockMovementRepository movements,
            KnownMovements known,
            ShelfReader reader,
            SettingsService settings,
            EntityManager entities,
            Clock clock) {
        this.materials = materials;
        this.entities = entities;
        this.lots = lots;
        this.movements = movements;
        this.known = known;
        this.reader = reader;
        this.settings = settings;
        this.clock = clock;
        this.shelves = this::heldAndRead;
    }

    private StockLedger(StockLedger single, Function<MaterialId, MaterialShelf> shelves) {
        this.materials = single.materials;
        this.lots = single.lots;
        this.movements = single.movements;
        this.known = single.known;
        this.reader = single.reader;
        this.settings = single.settings;
        this.entities = single.entities;
        this.clock = single.clock;
        this.shelves = shelves;
    }

    /**
     * A ledger for many movements of these materials in one transaction: they are held and their shelves read once, and from
     * then on followed in memory.
     */
    StockLedger inBulk(Collection<MaterialId> materialIds) {
        hold(materialIds);
        Map<MaterialId, MaterialShelf> all = reader.read(materialIds);
        entities.flush();
        entities.clear();
        return new StockLedger(
                this,
                id -> Optional.ofNullable(all.get(id))
                        .orElseThrow(() -> RefusedException.missing("There is no such material, or no longer.")));
    }

    /** Something that leaves the shelf. */
    record Leaving(MovementKind kind, @Nullable BatchId batchId, Part part, Amount amount, String reason) {}

    /** The shelf of a material, held for this transaction. */
    MaterialShelf held(MaterialId materialId) {
        return shelves.apply(materialId);
    }

    /**
     * Holds all materials that a transaction is going to move, in the order of their ids, so that two transactions that move
     * the same ones wait for one another and never for each other.
     */
    void hold(Collection<MaterialId> materialIds) {
        if (!materialIds.isEmpty()) {
            materials.findAllForMoving(MaterialId.values(materialIds));
        }
    }

    private MaterialShelf heldAndRead(MaterialId materialId) {
        materials
                .findForMoving(materialId.value())
                .orElseThrow(() -> RefusedException.missing("There is no such material, or no longer."));
        return reader.read(List.of(materialId)).get(materialId);
    }

    /** Puts what came on the shelf; a set of two halves becomes a lot of each. Answers the first movement's id. */
    long arrive(MaterialId materialId, Arrival arrival) {
        return arrive(held(materialId), arrival);
    }

    /** Puts the first of a new material on its shelf, which needn't be read. */
    void open(Material material, Amount amount, boolean given, String reason) {
        Settings current = settings.current();
        arrive(
                new MaterialShelf(
                        material,
                        List.of(),
                        Movements.NONE,
                        List.of(),
                        List.of(),
                        current.currency(),
                        current.valuing(),
                        known),
                Arrival.of(given ? MovementKind.GIVEN : MovementKind.COUNTED, amount, reason));
    }

    private long arrive(MaterialShelf shelf, Arrival arrival) {
        Material material = shelf.material();
        if (!arrival.amount().isPositive()) {
            throw explained(Ledger.Refusal.NOTHING_MOVED, shelf, shelf.onHand(), arrival.amount());
        }
        checkLimit(shelf, arrival.pieceSize().isPresent() ? shelf.pieces() : shelf.onHand(), arrival.amount());
        Instant now = arrival.cameAt().orElseGet(clock::instant);
        List<Part> parts = material.parts();
        long first = 0;
        for (int i = 0; i < parts.size(); i++) {
            long worth = share(arrival.paidMinor().orElseGet(() -> replacement(shelf, arrival)), i, parts.size());
            long extra = share(arrival.extraMinor(), i, parts.size());
            Lot lot = lots.save(new Lot(
                    material.id(), parts.get(i), arrival, arrival.amount().value(), worth, extra, now));
            shelf.add(lot);
            long id = write(
                    shelf,
                    new StockMovement(
                            material.id(),
                            lot.id(),
                            null,
                            parts.get(i),
                            lot.isOfPieces(),
                            arrival.kind(),
                            arrival.amount().value(),
                            worth,
                            arrival.reason(),
                            now));
            first = i == 0 ? id : first;
        }
        return first;
    }

    /** The share that one of the parts bears of what was paid for all; an odd cent falls to the first. */
    private static long share(long minor, int part, int parts) {
        return Apportionment.of(Collections.nCopies(parts, BigFraction.of(minor).divide(parts)), minor)
                .get(part);
    }

    private static long replacement(MaterialShelf shelf, Arrival arrival) {
        return arrival.pieceSize()
                .map(size -> shelf.replacement(size, arrival.amount().value()))
                .orElseGet(() -> shelf.replacement(Part.WHOLE, arrival.amount()));
    }

    /**
     * Takes something from the shelf: from these lots first, then from the oldest ones. Answers the movements' ids.
     *
     * @param lotsFirst how much of which lot, by its id
     */
    List<Long> leave(MaterialId materialId, Leaving leaving, Map<LotId, Long> lotsFirst) {
        MaterialShelf shelf = held(materialId);
        Amount onHand = shelf.onHand(leaving.part());
        Amount held = shelf.held(leaving.part(), leaving.batchId());
        check(shelf, onHand, held, leaving);
        Map<LotId, Long> left = shelf.left();
        List<DyeLots.Lot> sources = new ArrayList<>();
        lotsFirst.forEach((lot, most) -> sources.add(source(lot, Math.min(most, left.getOrDefault(lot, 0L)), leaving)));
        for (Lot lot : shelf.lots()) {
            if (!lot.isOfPieces() && lot.part() == leaving.part()) {
                long already =
                        lotsFirst.containsKey(lot.id()) ? Math.min(lotsFirst.get(lot.id()), left.get(lot.id())) : 0;
                sources.add(source(lot.id(), left.get(lot.id()) - already, leaving));
            }
        }
        List<Long> made = new ArrayList<>();
        Amount missing = leaving.amount();
        for (DyeLots.Lot source : sources) {
            Amount part = source.free().compareTo(missing) < 0 ? source.free() : missing;
            if (part.isPositive()) {
                made.add(save(shelf, LotId.valueOf(source.key()), false, leaving, part));
                missing = missing.minus(part);
            }
        }
        if (missing.isPositive()) {
            made.add(save(shelf, null, false, leaving, missing));
        }
        return made;
    }

    private static DyeLots.Lot source(LotId lot, long value, Leaving leaving) {
        return new DyeLots.Lot(lot.key(), "", new Amount(leaving.amount().counting(), Math.max(0, value)));
    }

    /** Takes from one lot, which can't give more than it has. */
    long leaveLot(LotId lotId, Leaving leaving) {
        Lot lot = lot(lotId);
        MaterialShelf shelf = held(lot.materialId());
        Amount left = new Amount(leaving.amount().counting(), shelf.left().get(lotId));
        if (leaving.amount().compareTo(left) > 0) {
            ViewWriter writer = settings.current().writer();
            throw RefusedException.conflict(
                    "Of this lot of “" + shelf.material().name() + "” "
                            + writer.text(left.shown()) + " are left, and "
                            + writer.text(leaving.amount().shown())
                            + " would leave it. Choose another lot, or count it first.");
        }
        Amount held = lot.isOfPieces()
                ? Amount.pieces(shelf.heldPieces(lotId, leaving.batchId()))
                : shelf.held(lot.part(), leaving.batchId());
        check(shelf, lot.isOfPieces() ? left : shelf.onHand(lot.part()), held, leaving);
        long id = save(shelf, lotId, lot.isOfPieces(), leaving, leaving.amount());
        return id;
    }

    /** Sets right what a count found, of the whole material or of a half; nothing is written where the book agrees. */
    Optional<Long> count(MaterialId materialId, Part part, Amount there, String reason) {
        MaterialShelf shelf = held(materialId);
        Amount change = there.minus(shelf.onHand(part));
        if (change.value() == 0) {
            return Optional.empty();
        }
        if (change.isNegative()) {
            Leaving leaving = new Leaving(MovementKind.COUNTED, null, part, change.negated(), reason);
            return Optional.of(leave(materialId, leaving, Map.of()).get(0));
        }
        check(shelf, shelf.onHand(part), MovementKind.COUNTED, change, reason, Amount.none(change.counting()));
        long worth = shelf.replacement(part, change);
        Instant now = clock.instant();
        Lot lot = lots.save(new Lot(
                materialId, part, Arrival.of(MovementKind.COUNTED, change, reason), change.value(), worth, 0, now));
        shelf.add(lot);
        return Optional.of(write(
                shelf,
                new StockMovement(
                        materialId,
                        lot.id(),
                        null,
                        part,
                        false,
                        MovementKind.COUNTED,
                        change.value(),
                        worth,
                        reason,
                        now)));
    }

    /** Whether all offcuts that were kept of what left with some movements still lie there. */
    boolean areRestsThere(Collection<Long> movementIds) {
        return movements.findAllById(movementIds).stream().allMatch(one -> {
            MaterialShelf shelf = held(one.materialId());
            return shelf.restsOf(one.id()).stream()
                    .allMatch(lot ->
                            shelf.left().get(lot.id()) - shelf.heldPieces(lot.id(), null) >= lot.quantityValue());
        });
    }

    /**
     * What left with these movements wasn't used: it comes back into the same lots, for what it was worth when it left. Offcuts that were
     * kept of it are no more.
     */
    void putBack(Collection<Long> movementIds, String reason) {
        List<StockMovement> left = movements.findAllById(movementIds);
        hold(left.stream().map(StockMovement::materialId).distinct().toList());
        for (StockMovement one : left) {
            long rests = takeRests(one, reason);
            MaterialShelf shelf = held(one.materialId());
            write(
                    shelf,
                    new StockMovement(
                            one.materialId(),
                            one.lotId().orElse(null),
                            one.batchId().orElse(null),
                            one.part(),
                            one.isOfPieces(),
                            MovementKind.RETURNED,
                            -one.changeValue(),
                            shelf.valuation().used(Long.toString(one.id())) + rests,
                            reason,
                            clock.instant()));
        }
    }

    /** The offcuts of what a movement took leave the shelf. Answers what they were worth there, in minor units. */
    private long takeRests(StockMovement movement, String reason) {
        MaterialShelf shelf = held(movement.materialId());
        long worth = 0;
        for (Lot lot : shelf.restsOf(movement.id())) {
            worth += shelf.worthOfPieces(lot);
            leaveLot(
                    lot.id(),
                    new Leaving(MovementKind.COUNTED, null, lot.part(), Amount.pieces(lot.quantityValue()), reason));
        }
        return worth;
    }

    /** Sets right what a count found of one lot. */
    Optional<Long> countLot(LotId lotId, Amount there, String reason) {
        Lot lot = lot(lotId);
        MaterialShelf shelf = held(lot.materialId());
        Amount before = new Amount(there.counting(), shelf.left().get(lotId));
        Amount change = there.minus(before);
        if (change.value() == 0) {
            return Optional.empty();
        }
        if (change.isNegative()) {
            return Optional.of(
                    leaveLot(lotId, new Leaving(MovementKind.COUNTED, null, lot.part(), change.negated(), reason)));
        }
        check(shelf, before, MovementKind.COUNTED, change, reason, Amount.none(change.counting()));
        long worth = lot.pieceSize()
                .map(size -> shelf.replacement(size, change.value()))
                .orElseGet(() -> shelf.replacement(lot.part(), change));
        return Optional.of(write(
                shelf,
                new StockMovement(
                        lot.materialId(),
                        lotId,
                        null,
                        lot.part(),
                        lot.isOfPieces(),
                        MovementKind.COUNTED,
                        change.value(),
                        worth,
                        reason,
                        clock.instant())));
    }

    /** A lot that has to be one of a material's. */
    Lot lot(MaterialId materialId, LotId lotId) {
        Lot lot = lot(lotId);
        if (!lot.materialId().equals(materialId)) {
            throw RefusedException.conflict("Lot " + lotId + " is one of “"
                    + held(lot.materialId()).material().name() + "”, not of “"
                    + held(materialId).material().name() + "”. Choose one of its own, or none for the oldest.");
        }
        return lot;
    }

    Lot lot(LotId lotId) {
        return lots.findById(lotId.value())
                .orElseThrow(() -> RefusedException.missing("There is no such lot, or no longer."));
    }

    private long save(MaterialShelf shelf, @Nullable LotId lotId, boolean ofPieces, Leaving leaving, Amount amount) {
        return write(
                shelf,
                new StockMovement(
                        shelf.material().id(),
                        lotId,
                        leaving.batchId(),
                        leaving.part(),
                        ofPieces,
                        leaving.kind(),
                        -amount.value(),
                        0,
                        leaving.reason(),
                        clock.instant()));
    }

    private long write(MaterialShelf shelf, StockMovement movement) {
        StockMovement written = known.save(movement);
        shelf.add(written);
        return written.id();
    }

    private void check(MaterialShelf shelf, Amount onHand, Amount held, Leaving leaving) {
        check(shelf, onHand, leaving.kind(), leaving.amount().negated(), leaving.reason(), held);
    }

    /** A shelf holds so much and owes so much, and no series of entries goes beyond that. */
    private void checkLimit(MaterialShelf shelf, Amount onHand, Amount change) {
        if (!ShelfLimits.holds(onHand, change)) {
            ViewWriter writer = settings.current().writer();
            throw RefusedException.conflict("On the shelf are " + writer.text(onHand.shown()) + " of “"
                    + shelf.material().name() + "”, and a shelf "
                    + (change.isNegative() ? "owes" : "holds") + " at most "
                    + writer.text(ShelfLimits.most(onHand.counting()).shown()) + ". Check the amount and its unit.");
        }
    }

    private void check(
            MaterialShelf shelf, Amount onHand, MovementKind kind, Amount change, String reason, Amount held) {
        checkLimit(shelf, onHand, change);
        try {
            Ledger.after(onHand, new Movement(kind, change, reason));
        } catch (Ledger.RefusedException refused) {
            throw explained(refused.refusal(), shelf, onHand, change);
        }
        boolean takesHeld =
                change.isNegative() && held.isPositive() && onHand.plus(change).compareTo(held) < 0 && reason.isBlank();
        if (takesHeld) {
            ViewWriter writer = settings.current().writer();
            Amount free = onHand.minus(held);
            throw RefusedException.conflict("Of “" + shelf.material().name() + "” " + writer.text(onHand.shown())
                    + " are on the shelf, but " + writer.text(held.shown()) + " are held for "
                    + holders(shelf) + "; free are "
                    + writer.text((free.isNegative() ? Amount.none(free.counting()) : free).shown())
                    + ". Take less, or give a reason.");
        }
    }

    private static String holders(MaterialShelf shelf) {
        List<BatchId> batches = shelf.reservations().stream()
                .map(Reservation::batchId)
                .distinct()
                .toList();
        return (batches.size() == 1 ? "batch " : "batches ")
                + String.join(", ", batches.stream().map(String::valueOf).toList());
    }

    private RefusedException explained(Ledger.Refusal refusal, MaterialShelf shelf, Amount before, Amount change) {
        ViewWriter writer = settings.current().writer();
        String onShelf = writer.text(before.shown());
        String name = shelf.material().name();
        return RefusedException.conflict(
                switch (refusal) {
                    case NOTHING_MOVED ->
                        "On the shelf are " + onShelf + " of “" + name + "” already; there is nothing to move.";
                    case WRONG_DIRECTION -> "This kind of movement doesn't go that way.";
                    case REASON_MISSING -> "Say why, so that the shelf can be understood later.";
                    case BELOW_ZERO ->
                        "Only " + onShelf + " of “" + name + "” are on the shelf, and "
                                + writer.text(change.negated().shown())
                                + " would leave it. Enter what is there first, or give a reason.";
                });
    }
}
