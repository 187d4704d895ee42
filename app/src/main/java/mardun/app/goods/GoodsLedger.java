package mardun.app.goods;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.id.BatchId;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.money.Apportionment;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The door through which other areas move finished bags. No place ever has fewer than none. */
@Component
public class GoodsLedger {

    private static final String ALL = "";

    private final FinishedGoodsRepository goods;
    private final GoodsMovementRepository movements;
    private final GoodsPlaceRepository places;
    private final GoodsBook book;
    private final List<HoldsBags> holders;
    private final Clock clock;
    private final Remembered<String, Map<String, KnownKind>> kinds;
    private final Remembered<String, Map<BagKind, List<GoodsLot>>> there;

    GoodsLedger(
            FinishedGoodsRepository goods,
            GoodsMovementRepository movements,
            GoodsPlaceRepository places,
            GoodsBook book,
            List<HoldsBags> holders,
            Clock clock,
            Changes changes) {
        this.goods = goods;
        this.movements = movements;
        this.places = places;
        this.book = book;
        this.holders = holders;
        this.clock = clock;
        this.kinds = new Remembered<>(changes, "finished_goods");
        this.there = new Remembered<>(changes, "finished_goods", "goods_place");
    }

    /** All bags that are left somewhere, by kind, the oldest lot first. */
    @Transactional(readOnly = true)
    public Map<BagKind, List<GoodsLot>> there() {
        return there.get(ALL, all -> Collections.unmodifiableMap(byKind(goods.findLeft())));
    }

    /** Where bags are for somebody, and not for whoever packs or plans. */
    @Transactional(readOnly = true)
    public Set<String> held() {
        return holders.stream().flatMap(holder -> holder.heldPlaces().stream()).collect(Collectors.toSet());
    }

    /** Open batches whose bags are for somebody, and not for whoever plans. */
    @Transactional(readOnly = true)
    public Set<BatchId> promised() {
        return holders.stream()
                .flatMap(holder -> holder.promisedBatches().stream())
                .collect(Collectors.toSet());
    }

    /** Bags that are left somewhere and held for nobody, by kind, the oldest lot first. */
    @Transactional(readOnly = true)
    public Map<BagKind, List<GoodsLot>> free() {
        Set<String> held = held();
        Map<BagKind, List<GoodsLot>> free = new LinkedHashMap<>();
        there().forEach((kind, lots) -> {
            List<GoodsLot> some = lots.stream()
                    .map(lot -> lot.without(held))
                    .filter(lot -> lot.together() > 0)
                    .toList();
            if (!some.isEmpty()) {
                free.put(kind, some);
            }
        });
        return free;
    }

    /**
     * A kind of which there ever were bags, whether any are left or not.
     *
     * @param kind called as the latest of them are
     * @param since the day on which the first of them were done
     */
    public record KnownKind(BagKind kind, LocalDate since) {}

    /** All kinds of which there ever were bags, by their keys, the oldest first. */
    @Transactional(readOnly = true)
    public Map<String, KnownKind> kinds() {
        return kinds.get(ALL, all -> readKinds());
    }

    private Map<String, KnownKind> readKinds() {
        List<FinishedGoodsRepository.OfKind> found = goods.ofKinds();
        Map<Long, FinishedGoods> latest =
                goods
                        .findAllById(found.stream()
                                .map(FinishedGoodsRepository.OfKind::latest)
                                .toList())
                        .stream()
                        .collect(Collectors.toMap(FinishedGoods::id, one -> one));
        Map<String, KnownKind> all = new LinkedHashMap<>();
        found.forEach(of -> all.put(of.key(), new KnownKind(BagKind.of(latest.get(of.latest())), of.since())));
        return Collections.unmodifiableMap(all);
    }

    /** So many bags of a kind came, or went where they are below zero; moving from place to place is neither. */
    public record Change(String kind, Instant at, int units) {}

    /** How many good bags some batches gave. */
    @Transactional(readOnly = true)
    public Map<BatchId, Integer> madeIn(Collection<BatchId> batches) {
        return batches.isEmpty()
                ? Map.of()
                : goods.madeIn(batches).stream()
                        .collect(Collectors.toMap(
                                FinishedGoodsRepository.Made::batchId, made -> Math.toIntExact(made.units())));
    }

    /** The bags that a batch gave, the oldest first. */
    @Transactional(readOnly = true)
    public List<GoodsLot> ofBatch(BatchId batch) {
        return byKind(goods.findByBatchId(batch)).values().stream()
                .flatMap(List::stream)
                .sorted(Comparator.comparing(GoodsLot::id))
                .toList();
    }

    /** Bags that were done together; empty if there are none by that number. */
    @Transactional(readOnly = true)
    public Optional<GoodsLot> lot(long id) {
        return goods.findById(id)
                .flatMap(one -> byKind(List.of(one)).values().stream()
                        .flatMap(List::stream)
                        .findFirst());
    }

    /** The same for several, by their numbers. */
    @Transactional(readOnly = true)
    public Map<Long, GoodsLot> lots(Collection<Long> ids) {
        return byKind(goods.findAllById(ids)).values().stream()
                .flatMap(List::stream)
                .collect(Collectors.toMap(GoodsLot::id, lot -> lot));
    }

    /** The lot from which some were parted, because they turned out to be seconds. */
    @Transactional(readOnly = true)
    public Optional<Long> partedFrom(long id) {
        return goods.findById(id).flatMap(FinishedGoods::fromGoodsId);
    }

    /** The lots of seconds that were parted from one. */
    @Transactional(readOnly = true)
    public List<Long> secondsOf(long id) {
        return goods.findByFromGoodsIdOrderById(id).stream()
                .map(FinishedGoods::id)
                .toList();
    }

    /** All that came and went since a moment. */
    @Transactional(readOnly = true)
    public List<Change> changesSince(Instant moment) {
        return movements.changesSince(moment);
    }

    /** All that came to a place or left it, the first in front. */
    @Transactional(readOnly = true)
    public List<Change> changesAt(String place) {
        return movements.changesAt(place);
    }

    /** So many bags that lay somewhere, and what they cost. */
    public record Worth(int units, long minor) {}

    /** What all bags had cost that were somewhere just before a moment: those that are left now, without what happened since. */
    @Transactional(readOnly = true)
    public Worth worthAt(Instant moment) {
        Map<Long, Long> units = new HashMap<>();
        places.left().forEach(its -> units.put(its.goodsId(), its.units()));
        movements.unitsSince(moment).forEach(its -> units.merge(its.goodsId(), -its.units(), Long::sum));
        units.values().removeIf(its -> its <= 0);
        int all = 0;
        long minor = 0;
        for (FinishedGoods lot : goods.findAllById(units.keySet())) {
            int there = Math.toIntExact(units.get(lot.id()));
            all += there;
            minor += Apportionment.share(lot.totalCostMinor(), there, lot.units());
        }
        return new Worth(all, minor);
    }

    /**
     * The lots of some kinds of which any are at a place, and the latest of each kind, the oldest first: what is asked before bags leave
     * that place, since after years there are hundreds of lots of a kind of which nothing is left. A key that isn't known is left out.
     */
    @Transactional(readOnly = true)
    public Map<String, List<GoodsLot>> ofKindsAt(Collection<String> keys, String place) {
        return ofKindsLeft(keys, place);
    }

    /** The same for any place. */
    @Transactional(readOnly = true)
    public Map<String, List<GoodsLot>> ofKindsLeft(Collection<String> keys) {
        return ofKindsLeft(keys, null);
    }

    private Map<String, List<GoodsLot>> ofKindsLeft(Collection<String> keys, @Nullable String place) {
        Map<String, List<GoodsLot>> found = new LinkedHashMap<>();
        if (!keys.isEmpty()) {
            byKind(goods.findLeft(keys, place)).forEach((kind, lots) -> found.put(kind.key(), lots));
        }
        return found;
    }

    /** A kind by its key, called as the latest bags of it are; empty if there never was one. */
    @Transactional(readOnly = true)
    public Optional<BagKind> kind(String key) {
        return goods.findFirstByBagKindOrderByIdDesc(key).map(BagKind::of);
    }

    /** Kinds by their keys, called as the latest bags of them are; a key of which there never was a bag is left out. */
    @Transactional(readOnly = true)
    public Map<String, BagKind> kinds(Collection<String> keys) {
        return keys.isEmpty()
                ? Map.of()
                : goods.latest(keys).stream().map(BagKind::of).collect(Collectors.toMap(BagKind::key, kind -> kind));
    }

    /** Which of some keys are those of a kind of which there ever was a bag. */
    @Transactional(readOnly = true)
    public Set<String> known(Collection<String> keys) {
        return keys.isEmpty() ? Set.of() : goods.known(keys);
    }

    private Map<BagKind, List<GoodsLot>> byKind(List<FinishedGoods> some) {
        Map<Long, Map<String, Integer>> places = new HashMap<>();
        if (!some.isEmpty()) {
            this.places.places(some.stream().map(FinishedGoods::id).toList()).forEach(at -> {
                places.computeIfAbsent(at.getGoodsId(), id -> new LinkedHashMap<>())
                        .put(at.getPlace(), at.getUnits());
            });
        }
        Map<String, List<FinishedGoods>> byKey = new LinkedHashMap<>();
        some.forEach(one ->
                byKey.computeIfAbsent(one.bagKind(), key -> new ArrayList<>()).add(one));
        Map<BagKind, List<GoodsLot>> kinds = new LinkedHashMap<>();
        byKey.values().forEach(lots -> {
            // What they are called now: as the latest are.
            BagKind kind = BagKind.of(lots.get(lots.size() - 1));
            kinds.put(
                    kind,
                    lots.stream()
                            .map(one -> lot(one, kind, places.getOrDefault(one.id(), Map.of())))
                            .toList());
        });
        return kinds;
    }

    private static GoodsLot lot(FinishedGoods one, BagKind kind, Map<String, Integer> at) {
        return new GoodsLot(
                one.id(),
                kind,
                one.batchId(),
                one.lineNumber(),
                at,
                one.units(),
                one.totalCostMinor(),
                one.unitCostMinor(),
                one.unitLabourMinor(),
                one.overheadMinor(),
                one.unitSeconds(),
                one.priceMinor(),
                one.finishedOn());
    }

    /** Holds some lots for this transaction in the order of their ids, so that two who take the last bag wait for one another. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void hold(Collection<Long> ids) {
        if (!ids.isEmpty()) {
            goods.findForMoving(Set.copyOf(ids));
        }
    }

    /**
     * How many of some lots are at a place now, by the lots; those of which none are there are left out. Who asks to take them holds the
     * lots.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public Map<Long, Integer> units(Collection<GoodsLot> lots, String place) {
        return book.units(lots.stream().map(GoodsLot::id).toList(), place);
    }

    /** So many bags of a lot. */
    public record FromLot(GoodsLot lot, int units) {}

    /**
     * Of which lots so many bags are that leave a place: the oldest first, as far as there are any.
     *
     * @param lots of a kind, which the caller holds, the oldest first
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<FromLot> oldestFirst(List<GoodsLot> lots, String place, int units) {
        List<FromLot> from = new ArrayList<>();
        Map<Long, Integer> there = units(lots, place);
        int open = units;
        for (GoodsLot lot : lots) {
            int some = Math.min(open, there.getOrDefault(lot.id(), 0));
            if (some > 0) {
                from.add(new FromLot(lot, some));
                open -= some;
            }
        }
        return from;
    }

    /**
     * Bags of a lot turned out to be seconds: they are a lot of their own from now on, which carries what they cost; inside the caller's
     * transaction.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void becomeSeconds(long id, String place, int units, String reason) {
        FinishedGoods from = goods.findForMoving(id).orElseThrow();
        move(id, place, GoodsKind.BECAME_SECONDS, -units, reason);
        long second = goods.saveAndFlush(from.seconds(units)).id();
        move(second, place, GoodsKind.BECAME_SECONDS, units, reason);
    }

    /**
     * Bags of a lot that the caller holds come to a place or leave it.
     *
     * @param change below zero where they leave
     * @throws IllegalStateException if fewer than none would be there
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void move(long id, String place, GoodsKind kind, int change, String reason) {
        if (change == 0) {
            return;
        }
        if (change < 0 && book.units(id, place) + change < 0) {
            throw new IllegalStateException("fewer than none of lot " + id + " at " + place);
        }
        book.write(id, new GoodsMovement(id, place, kind, change, reason, clock.instant()));
    }
}
