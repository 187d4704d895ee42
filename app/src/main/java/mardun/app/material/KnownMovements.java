package mardun.app.material;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.id.MaterialId;
import mardun.core.material.Valuation;
import mardun.core.material.Valuing;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * The movements of materials, in the order in which they happened, kept as they were read: they never change, and after ten years there are
 * thousands of a zip that is in every bag. While somebody writes a movement of a material, all read that one anew, so nobody sees what isn't
 * committed nor misses what is.
 */
@Component
class KnownMovements {

    /** So many movements are kept in all; each takes some hundred bytes. */
    private static final long MOST = 250_000;

    private final StockMovementRepository movements;
    private final Cache<MaterialId, Movements> known = Caffeine.newBuilder()
            .maximumWeight(MOST)
            .weigher((MaterialId id, Movements its) -> its.size() + 1)
            .build();

    /** What a valuation follows from, as far as that changes: movements and prices only grow, lots count their changes. */
    private record Valued(
            MaterialId id, int movements, long last, List<List<Long>> lots, List<Long> prices, Valuing valuing) {}

    private final Cache<Valued, Valuation> valuations = Caffeine.newBuilder()
            .maximumWeight(MOST)
            .weigher((Valued of, Valuation its) -> of.movements() + 1)
            .build();

    /** What was added up of a material, and how many transactions had written movements of it by then. */
    private record Summed(long over, List<OnHand> measured, List<OnHand> pieces) {}

    private final Map<MaterialId, Summed> summed = new ConcurrentHashMap<>();
    private volatile boolean allAreSummed;

    /**
     * What is on hand of some materials.
     *
     * @param measured of each part of each of them, in the smallest units
     * @param pieces how many offcuts and precuts there are
     */
    record Sums(List<OnHand> measured, List<OnHand> pieces) {}

    /** How many transactions are writing movements of a material just now, and how many have. */
    private record Writing(int open, long over) {

        static final Writing NOBODY = new Writing(0, 0);
    }

    private final Map<MaterialId, Writing> writing = new ConcurrentHashMap<>();

    KnownMovements(StockMovementRepository movements) {
        this.movements = movements;
    }

    private Writing writing(MaterialId id) {
        return writing.getOrDefault(id, Writing.NOBODY);
    }

    /** The movements of some materials, by the materials; of one that has none there is no entry. */
    Map<MaterialId, Movements> of(Collection<MaterialId> ids) {
        Map<MaterialId, Movements> found = new HashMap<>();
        Map<MaterialId, Writing> asked = new LinkedHashMap<>();
        for (MaterialId id : ids) {
            Writing now = writing(id);
            Movements its = now.open() == 0 ? known.getIfPresent(id) : null;
            if (its == null) {
                asked.put(id, now);
            } else {
                found.put(id, its);
            }
        }
        if (!asked.isEmpty()) {
            Map<MaterialId, List<StockMovement>> read = movements
                    .findByMaterialIdInAndMovedAtLessThanOrderByMovedAtAscIdAsc(asked.keySet(), ShelfReader.EVER)
                    .stream()
                    .collect(Collectors.groupingBy(StockMovement::materialId));
            asked.forEach((id, before) -> {
                Movements its = Movements.of(read.getOrDefault(id, List.of()));
                found.put(id, its);
                keep(id, its, before);
            });
        }
        return found;
    }

    /** What is on hand of some materials, added up anew for those that were written since. */
    Sums sums(Collection<MaterialId> ids) {
        List<OnHand> measured = new ArrayList<>();
        List<OnHand> pieces = new ArrayList<>();
        Map<MaterialId, Writing> asked = new LinkedHashMap<>();
        for (MaterialId id : ids) {
            Writing now = writing(id);
            Summed its = summed.get(id);
            if (its == null || now.open() > 0 || its.over() != now.over()) {
                asked.put(id, now);
            } else {
                measured.addAll(its.measured());
                pieces.addAll(its.pieces());
            }
        }
        if (!asked.isEmpty()) {
            keep(movements.onHand(asked.keySet()), movements.pieces(asked.keySet()), asked)
                    .forEach(its -> {
                        measured.addAll(its.measured());
                        pieces.addAll(its.pieces());
                    });
        }
        return new Sums(measured, pieces);
    }

    /** The same of all materials. */
    Sums sums() {
        if (!allAreSummed) {
            Map<MaterialId, Writing> before = Map.copyOf(writing);
            List<OnHand> measured = movements.onHand();
            List<OnHand> pieces = movements.pieces();
            Map<MaterialId, Writing> asked = new LinkedHashMap<>();
            Stream.concat(measured.stream(), pieces.stream())
                    .map(OnHand::materialId)
                    .forEach(id -> asked.put(id, before.getOrDefault(id, Writing.NOBODY)));
            keep(measured, pieces, asked);
            allAreSummed = true;
        }
        Set<MaterialId> ids = new HashSet<>(summed.keySet());
        ids.addAll(writing.keySet());
        return sums(ids);
    }

    /** Keeps what was added up, but for materials that somebody was writing when it was asked for; answers all of it. */
    private List<Summed> keep(List<OnHand> measured, List<OnHand> pieces, Map<MaterialId, Writing> asked) {
        Map<MaterialId, List<OnHand>> measuredOf = measured.stream().collect(Collectors.groupingBy(OnHand::materialId));
        Map<MaterialId, List<OnHand>> piecesOf = pieces.stream().collect(Collectors.groupingBy(OnHand::materialId));
        List<Summed> all = new ArrayList<>();
        asked.forEach((id, before) -> {
            Summed its = new Summed(
                    before.over(), measuredOf.getOrDefault(id, List.of()), piecesOf.getOrDefault(id, List.of()));
            all.add(its);
            if (before.open() == 0) {
                summed.put(id, its);
            }
        });
        return all;
    }

    /**
     * The valuation of a shelf that holds what is stored and nothing else; worked out where it isn't known, and for whoever may have
     * changed a lot that isn't stored yet.
     */
    Valuation valuation(
            MaterialId id,
            Movements its,
            List<Lot> lots,
            List<MaterialPrice> prices,
            Valuing valuing,
            Supplier<Valuation> work) {
        if (!TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            return work.get();
        }
        Valued of = new Valued(
                id,
                its.size(),
                its.last(),
                lots.stream()
                        .map(lot -> List.of(lot.id().value(), lot.version()))
                        .toList(),
                prices.stream().map(MaterialPrice::id).toList(),
                valuing);
        return valuations.get(of, key -> work.get());
    }

    /** Keeps what was read, unless somebody has begun or ended writing since it was asked for. */
    private void keep(MaterialId id, Movements its, Writing before) {
        known.asMap().compute(id, (key, kept) -> {
            Writing now = writing(id);
            return now.open() == 0 && now.over() == before.over() ? its : kept;
        });
    }

    /** Saves a movement; it is known to others once its transaction is committed. */
    StockMovement save(StockMovement movement) {
        over().add(movement.materialId());
        StockMovement saved = movements.save(movement);
        over().saved.add(saved);
        return saved;
    }

    /** Removes all movements of a material that goes itself. */
    void remove(MaterialId id) {
        Over over = over();
        over.add(id);
        over.gone.add(id);
        movements.deleteByMaterialId(id);
    }

    private Over over() {
        return TransactionSynchronizationManager.getSynchronizations().stream()
                .filter(Over.class::isInstance)
                .map(Over.class::cast)
                .filter(one -> one.isOf(this))
                .findFirst()
                .orElseGet(() -> {
                    Over begun = new Over();
                    TransactionSynchronizationManager.registerSynchronization(begun);
                    return begun;
                });
    }

    /** What a transaction wrote, told to the others when it is over. */
    private final class Over implements TransactionSynchronization {

        private final Set<MaterialId> materials = new HashSet<>();
        private final Set<MaterialId> gone = new HashSet<>();
        private final List<StockMovement> saved = new ArrayList<>();

        private boolean isOf(KnownMovements owner) {
            return owner == KnownMovements.this;
        }

        private void add(MaterialId id) {
            if (materials.add(id)) {
                writing.merge(id, new Writing(1, 0), (now, one) -> new Writing(now.open() + 1, now.over()));
            }
        }

        @Override
        public void afterCompletion(int status) {
            Map<MaterialId, List<StockMovement>> more =
                    saved.stream().collect(Collectors.groupingBy(StockMovement::materialId));
            for (MaterialId id : materials) {
                known.asMap().computeIfPresent(id, (key, kept) -> {
                    if (status != STATUS_COMMITTED) {
                        return status == STATUS_ROLLED_BACK ? kept : null;
                    }
                    return gone.contains(id) ? null : kept.with(more.getOrDefault(id, List.of()));
                });
                writing.compute(id, (key, now) -> new Writing(now.open() - 1, now.over() + 1));
            }
        }
    }
}
