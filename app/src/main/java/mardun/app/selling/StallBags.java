package mardun.app.selling;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.batch.CuttableBatches;
import mardun.app.channel.PricePlace;
import mardun.app.design.DesignService;
import mardun.app.design.FinishedLooks;
import mardun.app.design.FinishedLooks.FinishedLook;
import mardun.app.design.StandingPhotos;
import mardun.app.design.StandingPhotos.PhotoOf;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsLot;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.plan.ChosenLine;
import mardun.app.price.ChannelService;
import mardun.app.price.PriceBook;
import mardun.app.selling.StallViews.BagView;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.pricing.Terms;
import org.joda.money.Money;
import org.springframework.stereotype.Component;

/** How bags look at a stall, what one is sold for there, and what it leaves. */
@Component
class StallBags {

    private static final int MOST_KNOWN = 2_000;

    private final FinishedLooks looks;
    private final CuttableBatches batches;
    private final PriceBook book;
    private final ChannelService channels;
    private final SettingsService settings;
    private final DesignService designs;
    private final StandingPhotos photos;

    /** Colours of materials are looked up again after a while; designs as soon as they change. */
    private final Cache<Looked, Shown> known = Caffeine.newBuilder()
            .maximumSize(MOST_KNOWN)
            .expireAfterWrite(Duration.ofMinutes(5))
            .build();

    /** A lot of a design as it is at a revision, after so many changes of photos. */
    private record Looked(long lot, long revision, long photos) {}

    /** How bags look: drawn, or on a photo. */
    private record Shown(Optional<FinishedLook> look, Optional<String> photo) {

        static final Shown NOTHING = new Shown(Optional.empty(), Optional.empty());
    }

    StallBags(
            FinishedLooks looks,
            CuttableBatches batches,
            PriceBook book,
            ChannelService channels,
            SettingsService settings,
            DesignService designs,
            StandingPhotos photos) {
        this.looks = looks;
        this.batches = batches;
        this.book = book;
        this.channels = channels;
        this.settings = settings;
        this.designs = designs;
        this.photos = photos;
    }

    /** On which terms a fair sells. */
    ChannelId channel(Fair fair) {
        return channels.find(fair.form().channelId()).id();
    }

    /** What buyers pay for one of each kind now, in minor units, on a fair's terms; for a second as for a good one, until its own is typed. */
    Map<String, Long> asked(Fair fair, Map<BagKind, List<GoodsLot>> kinds) {
        ChannelId channel = channel(fair);
        Terms terms = terms(fair);
        Map<PricePlace, Money> asked = book.asked(channel);
        Map<String, Long> prices = new HashMap<>();
        kinds.forEach((kind, lots) -> {
            Optional<Money> fromBook = kind.ofGoodOnes(channel).flatMap(place -> place.of(asked));
            prices.put(
                    kind.key(),
                    fromBook.map(terms::buyerPays)
                            .map(Money::getAmountMinorLong)
                            .orElseGet(() -> asWhenDone(terms, lots)));
        });
        return prices;
    }

    /** What buyers pay for one as it was asked when the latest of them were done. */
    private static long asWhenDone(Terms terms, List<GoodsLot> lots) {
        return terms.buyerPays(Money.ofMinor(
                        terms.postage().getCurrencyUnit(),
                        lots.get(lots.size() - 1).priceMinor()))
                .getAmountMinorLong();
    }

    /** For what one of each kind is sold at a fair: as its packing list has it, and what isn't on it as it was asked when it was done. */
    Map<String, Long> prices(Fair fair, Collection<PackingLine> list, Map<BagKind, List<GoodsLot>> kinds) {
        Terms terms = terms(fair);
        Map<String, Long> prices = new HashMap<>();
        kinds.forEach((kind, lots) -> prices.put(kind.key(), asWhenDone(terms, lots)));
        list.forEach(line -> prices.put(line.bagKind(), line.soldFor()));
        return prices;
    }

    /** The fair's terms for a sale of one bag. */
    Terms terms(Fair fair) {
        Settings current = settings.current();
        return channels.find(fair.form().channelId())
                .channel(current.workroom().rates())
                .terms()
                .ofUnits(1);
    }

    /** What one leaves that is paid in cash: after fees and its cost. */
    long leaves(Terms terms, long priceMinor, GoodsLot lot) {
        Terms.Took took =
                terms.paidByCard(false).took(Money.ofMinor(terms.postage().getCurrencyUnit(), priceMinor));
        return priceMinor - took.tax().getAmountMinorLong() - took.fees().getAmountMinorLong() - lot.unitCostMinor();
    }

    /** How bags of a kind look: as those of the latest lot do. */
    Optional<FinishedLook> look(List<GoodsLot> lots) {
        return shown(lots).look();
    }

    private Shown shown(List<GoodsLot> lots) {
        GoodsLot latest = lots.get(lots.size() - 1);
        Optional<DesignId> design = latest.kind().designId();
        if (design.isEmpty()) {
            return Shown.NOTHING;
        }
        return known.get(
                new Looked(latest.id(), designs.latest(design.get()).revision(), photos.count()),
                lot -> new Shown(
                        latest.kind().sizeKey().flatMap(size -> looks.of(design.get(), size, materials(latest))),
                        photos.of(List.of(design.get()))
                                .apply(new PhotoOf(design.get(), latest.kind().clothId()))));
    }

    private Map<String, MaterialId> materials(GoodsLot lot) {
        return lot.batchId()
                .flatMap(batch -> batches.get(batch).chosen().lines().stream()
                        .filter(line -> line.number() == lot.lineNumber().orElse(1))
                        .findFirst())
                .map(ChosenLine::materials)
                .orElse(Map.of());
    }

    BagView view(BagKind kind, List<GoodsLot> lots) {
        Shown shown = shown(lots);
        return new BagView(
                kind.key(),
                kind.designName(),
                kind.sizeName(),
                kind.clothName(),
                kind.quality(),
                shown.look().flatMap(FinishedLook::picture).orElse(null),
                shown.photo().orElse(null));
    }
}
