package mardun.app.goods;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import mardun.app.show.SearchWords;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.app.stored.WordedLog;
import mardun.app.stored.WordedLog.Worded;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Finds lots of finished bags by what they are called and where they are, without reading all that ever were. */
@Component
class GoodsFinder {

    private static final String ALL = "";

    private final GoodsLedger ledger;
    private final GoodsPlaceRepository places;
    private final WordedLog<Lot> words;
    private final Remembered<String, List<String>> placesEverUsed;

    GoodsFinder(FinishedGoodsRepository goods, GoodsLedger ledger, GoodsPlaceRepository places, Changes changes) {
        this.ledger = ledger;
        this.places = places;
        this.words = new WordedLog<>(
                changes,
                "finished_goods",
                id -> goods.wordedAfter(id).stream()
                        .map(one -> new Worded<>(
                                new Lot(one.id(), one.quality()),
                                one.id(),
                                one.finishedOn().atStartOfDay().toInstant(ZoneOffset.UTC),
                                String.join(" ", one.design(), one.size(), one.choice(), one.cloth())))
                        .toList());
        this.placesEverUsed = new Remembered<>(changes, "goods_place");
    }

    private record Lot(long id, Quality quality) {}

    /**
     * Lots whose design, size, choice or cloth holds what was typed, the latest first.
     *
     * @param place where some of them are; empty for anywhere
     * @param quality absent for either
     * @param all also those of which none are left, where no place is asked for
     */
    List<Long> find(String query, String place, @Nullable Quality quality, boolean all) {
        Predicate<Long> isThere = all && place.isEmpty() ? id -> true : there(place)::contains;
        return words.found(Instant.MAX, SearchWords.pattern(query), none -> false, Integer.MAX_VALUE).stream()
                .filter(lot -> quality == null || lot.quality() == quality)
                .map(Lot::id)
                .filter(isThere)
                .toList();
    }

    private Set<Long> there(String place) {
        return ledger.there().values().stream()
                .flatMap(Collection::stream)
                .filter(lot -> place.isEmpty() ? lot.together() > 0 : lot.at(place) > 0)
                .map(GoodsLot::id)
                .collect(Collectors.toSet());
    }

    /** All places where there ever were bags. */
    List<String> places() {
        return placesEverUsed.get(ALL, all -> places.allPlaces());
    }
}
