package mardun.app.selling;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.batch.CuttableBatches;
import mardun.app.channel.PricePlace;
import mardun.app.design.FinishedLooks;
import mardun.app.design.FinishedLooks.FinishedLook;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsLot;
import mardun.app.goods.Quality;
import mardun.app.id.ChannelId;
import mardun.app.id.MaterialId;
import mardun.app.plan.ChosenLine;
import mardun.app.price.ChannelService;
import mardun.app.price.PriceBook;
import mardun.app.selling.StallViews.BagView;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.pricing.Terms;
import org.joda.money.Money;
import org.springframework.stereotype.Component;

/** How bags look at a stall, what one is sold for there, and what it leaves. */
@Component
class StallBags {

    private final FinishedLooks looks;
    private final CuttableBatches batches;
    private final PriceBook book;
    private final ChannelService channels;
    private final SettingsService settings;
    private final Remembered<GoodsLot, Optional<FinishedLook>> known;

    StallBags(
            FinishedLooks looks,
            CuttableBatches batches,
            PriceBook book,
            ChannelService channels,
            SettingsService settings,
            Changes changes) {
        this.looks = looks;
        this.batches = batches;
        this.book = book;
        this.channels = channels;
        this.settings = settings;
        this.known = new Remembered<>(changes);
    }

    /** On which terms a fair sells. */
    ChannelId channel(Fair fair) {
        return channels.find(fair.form().channelId()).id();
    }

    /** What buyers pay for one of each kind, in minor units, as a fair's channel and its packing list have it. */
    Map<String, Long> prices(Fair fair, Collection<PackingLine> packed, Map<BagKind, List<GoodsLot>> kinds) {
        ChannelId channel = channel(fair);
        Terms terms = terms(fair);
        Map<PricePlace, Money> asked = book.asked(channel);
        Map<String, Long> prices = new HashMap<>();
        kinds.forEach((kind, lots) -> {
            Optional<Money> fromBook = kind.quality() == Quality.SECOND
                    ? Optional.empty()
                    : kind.designId()
                            .map(design -> asked.get(
                                    new PricePlace(design, kind.sizeKey().orElse(""), channel)));
            long minor = fromBook.map(Money::getAmountMinorLong)
                    .orElse(lots.get(lots.size() - 1).priceMinor());
            prices.put(
                    kind.key(),
                    terms.buyerPays(Money.ofMinor(terms.postage().getCurrencyUnit(), minor))
                            .getAmountMinorLong());
        });
        packed.forEach(line -> line.priceMinor().ifPresent(own -> prices.put(line.bagKind(), own)));
        return prices;
    }

    /** The fair's terms for a sale of one bag. */
    Terms terms(Fair fair) {
        Settings current = settings.current();
        return channels.find(fair.form().channelId())
                .channel(current.workroom().hourlyRate())
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
        return known.get(lots.get(lots.size() - 1), this::lookOf);
    }

    private Optional<FinishedLook> lookOf(GoodsLot lot) {
        BagKind kind = lot.kind();
        return kind.designId()
                .flatMap(design -> kind.sizeKey().flatMap(size -> looks.of(design, size, materials(lot))));
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
        return new BagView(
                kind.key(),
                kind.designName(),
                kind.sizeName(),
                kind.clothName(),
                kind.quality(),
                look(lots).flatMap(FinishedLook::picture).orElse(null));
    }
}
