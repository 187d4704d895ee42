package mardun.app.resell;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.channel.PricePlace;
import mardun.app.design.DesignService;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLot;
import mardun.app.goods.GoodsService;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.price.PriceBook;
import mardun.app.resell.ResellerViews.LyingThere;
import mardun.app.sale.SalesBook;
import mardun.app.settings.Settings;
import mardun.core.design.Licences;
import mardun.core.design.Source;
import mardun.core.pricing.Terms;
import mardun.core.selling.Consignment;
import mardun.core.selling.Consignment.Lying;
import mardun.core.working.Sentence;
import org.joda.money.Money;
import org.springframework.stereotype.Component;

/** What lies with a reseller, since when, how it sells there, and what to do with it. */
@Component
class LyingBags {

    private final GoodsLedger ledger;
    private final SalesBook sales;
    private final PriceBook book;
    private final DesignService designs;
    private final Clock clock;

    LyingBags(GoodsLedger ledger, SalesBook sales, PriceBook book, DesignService designs, Clock clock) {
        this.ledger = ledger;
        this.sales = sales;
        this.book = book;
        this.designs = designs;
        this.clock = clock;
    }

    /** Since when bags of a kind were offered at a place, and since when those lie there that came first. */
    private record Since(Instant offered, Optional<Instant> lying) {}

    /** All kinds that lie at a reseller's, were sold there, or are at home, those that lie there in front. */
    List<LyingThere> at(String place, ChannelId channel, Terms terms, Settings current) {
        LocalDate today = LocalDate.now(clock);
        Map<String, Since> since = since(place);
        Map<String, SalesBook.SoldAtPlace> sold = new HashMap<>();
        sales.soldAt(place, today.minusDays(Consignment.countedDays())).forEach(one -> sold.put(one.kind(), one));
        Map<BagKind, List<GoodsLot>> all = known(since.keySet());
        Map<PricePlace, Money> asked = book.asked(channel);
        Map<DesignId, Source> sources = designs.sources(
                all.keySet().stream().flatMap(kind -> kind.designId().stream()).collect(Collectors.toSet()));
        List<LyingThere> lying = new ArrayList<>();
        all.forEach((kind, lots) -> {
            int there = lots.stream().mapToInt(lot -> lot.at(place)).sum();
            int home = lots.stream().mapToInt(lot -> lot.at(GoodsService.HOME)).sum();
            Optional<Since> its = Optional.ofNullable(since.get(kind.key()));
            if (there == 0 && home == 0 && its.isEmpty()) {
                return;
            }
            Optional<SalesBook.SoldAtPlace> went = Optional.ofNullable(sold.get(kind.key()));
            Optional<Sentence> against = kind.designId().map(sources::get).flatMap(Licences::againstResellers);
            Consignment advice = against.map(why -> Consignment.barred(there, why))
                    .orElseGet(() -> Consignment.of(new Lying(
                            there,
                            went.map(one -> Math.toIntExact(one.units())).orElse(0),
                            its.map(one -> days(one.offered(), today)).orElse(0L),
                            its.flatMap(Since::lying).map(at -> days(at, today)).orElse(0L))));
            lying.add(new LyingThere(
                    kind.key(),
                    kind.words(),
                    there,
                    home,
                    its.flatMap(Since::lying).map(this::day).orElse(null),
                    went.map(one -> Math.toIntExact(one.units())).orElse(0),
                    went.map(SalesBook.SoldAtPlace::last).orElse(null),
                    current.writer().money(price(kind, lots, channel, terms, asked, current)),
                    advice.what(),
                    advice.units(),
                    current.writer().sentence(advice.reason()),
                    against.isPresent()));
        });
        lying.sort(Comparator.comparing((LyingThere one) -> one.there() == 0)
                .thenComparing(one -> one.advice() == Consignment.Do.LEAVE)
                .thenComparing(LyingThere::words));
        return lying;
    }

    /** The kinds that are left somewhere, and some that aren't any more. */
    private Map<BagKind, List<GoodsLot>> known(Set<String> kinds) {
        Map<BagKind, List<GoodsLot>> known = new LinkedHashMap<>(ledger.there());
        Set<String> there = known.keySet().stream().map(BagKind::key).collect(Collectors.toSet());
        ledger.ofKindsLeft(kinds.stream().filter(kind -> !there.contains(kind)).toList())
                .values()
                .forEach(lots -> known.put(lots.get(lots.size() - 1).kind(), lots));
        return known;
    }

    private static Money price(
            BagKind kind,
            List<GoodsLot> lots,
            ChannelId channel,
            Terms terms,
            Map<PricePlace, Money> asked,
            Settings current) {
        return kind.inBook(channel)
                .flatMap(place -> place.of(asked))
                .map(terms::buyerPays)
                .orElseGet(() -> current.money(lots.get(lots.size() - 1).priceMinor()));
    }

    /** By kind: from when on it was offered at a place, and when those came that have been there longest, the first to come going first. */
    private Map<String, Since> since(String place) {
        Map<String, Since> since = new LinkedHashMap<>();
        Map<String, List<GoodsLedger.Change>> byKind = new LinkedHashMap<>();
        ledger.changesAt(place)
                .forEach(change -> byKind.computeIfAbsent(change.kind(), key -> new ArrayList<>())
                        .add(change));
        byKind.forEach((kind, changes) -> {
            int gone = -changes.stream()
                    .mapToInt(GoodsLedger.Change::units)
                    .filter(units -> units < 0)
                    .sum();
            Optional<Instant> lying = Optional.empty();
            for (GoodsLedger.Change change : changes) {
                if (change.units() > 0 && lying.isEmpty()) {
                    gone -= change.units();
                    if (gone < 0) {
                        lying = Optional.of(change.at());
                    }
                }
            }
            since.put(kind, new Since(changes.get(0).at(), lying));
        });
        return since;
    }

    private LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, clock.getZone());
    }

    private long days(Instant from, LocalDate today) {
        return ChronoUnit.DAYS.between(day(from), today);
    }
}
