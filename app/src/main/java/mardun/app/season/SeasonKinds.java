package mardun.app.season;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mardun.app.batch.BatchReading;
import mardun.app.batch.OpenWork;
import mardun.app.design.CostedSize;
import mardun.app.design.DesignCosts;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLedger.KnownKind;
import mardun.app.goods.GoodsLot;
import mardun.app.goods.Quality;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import org.springframework.stereotype.Component;

/** The kinds of bags that may be made for a season: all that were made before, and each size of each design in its usual cloth. */
@Component
class SeasonKinds {

    private final DesignCosts costs;
    private final GoodsLedger ledger;
    private final BatchReading reading;

    SeasonKinds(DesignCosts costs, GoodsLedger ledger, BatchReading reading) {
        this.costs = costs;
        this.ledger = ledger;
        this.reading = reading;
    }

    /**
     * A kind of bags.
     *
     * @param size what one of it takes, in its design's usual cloth
     * @param clothId its outer cloth; empty where its design has none
     * @param have how many are there or in a batch
     */
    record SeasonKind(String key, CostedSize size, Optional<MaterialId> clothId, String clothName, int have) {

        /** Whether it is made of another cloth than its design usually is. */
        boolean isInOtherCloth() {
            return !clothId.equals(size.clothId());
        }

        String words() {
            return size.designName()
                    + (size.sizeName().isBlank() ? "" : ", " + size.sizeName())
                    + (clothName.isBlank() ? "" : ", " + clothName);
        }
    }

    /**
     * The kinds, by their keys.
     *
     * @param sameAs the key of the kind for bags that were entered from a list, by their own key: those of the same names
     */
    record Known(Map<String, SeasonKind> byKey, Map<String, String> sameAs) {

        /** The key under which a kind is planned. */
        String key(String kind) {
            return sameAs.getOrDefault(kind, kind);
        }
    }

    /** All kinds that can be made. */
    Known all() {
        List<CostedSize> costed = costs.costed();
        Map<List<Object>, CostedSize> sizes = new LinkedHashMap<>();
        costed.stream()
                .sorted(Comparator.comparing(CostedSize::designName, String.CASE_INSENSITIVE_ORDER)
                        .thenComparing(CostedSize::sizeName))
                .forEach(size -> sizes.putIfAbsent(List.of(size.designId(), size.sizeKey()), size));
        Map<List<String>, CostedSize> named = new HashMap<>();
        sizes.values().forEach(size -> named.putIfAbsent(names(size.designName(), size.sizeName()), size));
        List<BagKind> made =
                ledger.kinds().values().stream().map(KnownKind::kind).toList();
        Map<String, Integer> free = new HashMap<>();
        ledger.free()
                .forEach((kind, lots) -> free.put(
                        kind.key(), lots.stream().mapToInt(GoodsLot::together).sum()));
        Map<String, MaterialId> cloths = new HashMap<>();
        sizes.values().forEach(size -> size.clothId().ifPresent(id -> cloths.put(lower(size.cloth()), id)));
        made.forEach(kind -> kind.clothId().ifPresent(id -> cloths.put(lower(kind.clothName()), id)));

        Map<String, Integer> have = inWork(sizes);
        Map<String, SeasonKind> kinds = new LinkedHashMap<>();
        Map<String, String> sameAs = new HashMap<>();
        made.forEach(kind -> {
            if (kind.quality() == Quality.GOOD) {
                CostedSize size = kind.designId().isPresent()
                        ? sizes.get(
                                List.of(kind.designId().get(), kind.sizeKey().orElse("")))
                        : named.get(names(kind.designName(), kind.sizeName()));
                Optional<MaterialId> cloth =
                        kind.clothId().or(() -> Optional.ofNullable(cloths.get(lower(kind.clothName()))));
                if (cloth.isEmpty() && kind.clothName().isBlank() && size != null) {
                    // From a list that doesn't say: as usual.
                    cloth = size.clothId();
                }
                if (size != null && (cloth.isPresent() || size.clothId().isEmpty())) {
                    String key = key(size, cloth);
                    sameAs.put(kind.key(), key);
                    have.merge(key, free.getOrDefault(kind.key(), 0), Integer::sum);
                    kinds.putIfAbsent(
                            key,
                            new SeasonKind(
                                    key, size, cloth, kind.clothName().isBlank() ? size.cloth() : kind.clothName(), 0));
                }
            }
        });
        sizes.values()
                .forEach(size -> kinds.computeIfAbsent(
                        key(size, size.clothId()), key -> new SeasonKind(key, size, size.clothId(), size.cloth(), 0)));
        kinds.replaceAll((key, kind) ->
                new SeasonKind(key, kind.size(), kind.clothId(), kind.clothName(), have.getOrDefault(key, 0)));
        return new Known(kinds, sameAs);
    }

    private static List<String> names(String design, String size) {
        return List.of(lower(design), lower(size));
    }

    private static String lower(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    /** How many of each kind are in batches that are begun or planned, and not made for somebody. */
    private Map<String, Integer> inWork(Map<List<Object>, CostedSize> sizes) {
        Map<String, Integer> inWork = new HashMap<>();
        Set<BatchId> promised = ledger.promised();
        for (OpenWork work : reading.openWork()) {
            if (promised.contains(work.id())) {
                continue;
            }
            for (OpenWork.Bags bags : work.bags()) {
                CostedSize size =
                        sizes.get(List.of(bags.designId(), bags.sizeKey().orElse("")));
                if (size != null) {
                    Optional<MaterialId> cloth = bags.clothId().or(size::clothId);
                    inWork.merge(key(size, cloth), bags.toCome(), Integer::sum);
                }
            }
        }
        return inWork;
    }

    /** The key that bags of a size in a cloth have among finished bags. */
    private static String key(CostedSize size, Optional<MaterialId> cloth) {
        return BagKind.keyOf(size.designId(), size.sizeKey(), cloth, Quality.GOOD);
    }
}
