package mardun.app.price;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mardun.app.batch.BatchLife;
import mardun.app.channel.PricePlace;
import mardun.app.channel.SetPrices;
import mardun.app.design.CostedSize;
import mardun.app.design.DesignCosts;
import mardun.app.design.DesignCosts.InCloth;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.Quality;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.plan.ChosenLine;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import org.springframework.stereotype.Component;

/**
 * The bags of the price book: each size of each design in its usual cloth, and in other cloths as far as bags of them lie there, are in a
 * batch, or have a price of their own.
 */
@Component
class BookSizes {

    private final DesignCosts costs;
    private final GoodsLedger goods;
    private final BatchLife batches;
    private final SetPrices prices;
    private final Remembered<String, Set<InCloth>> others;
    private final Remembered<Set<InCloth>, List<BookSize>> sizes;

    BookSizes(DesignCosts costs, GoodsLedger goods, BatchLife batches, SetPrices prices, Changes changes) {
        this.costs = costs;
        this.goods = goods;
        this.batches = batches;
        this.prices = prices;
        this.others = new Remembered<>(changes);
        this.sizes = Remembered.exceptOf(changes, DesignCosts.NO_COST_FOLLOWS);
    }

    /**
     * A size in a cloth.
     *
     * @param otherCloth its outer cloth; empty for the one that the design names
     */
    record BookSize(CostedSize size, Optional<MaterialId> otherCloth) {

        PricePlace place(ChannelId channel) {
            return new PricePlace(size.designId(), size.sizeKey(), channel).in(otherCloth);
        }
    }

    private record SizeOf(DesignId design, String sizeKey) {}

    /** All of them: by the names of their designs, and the usual cloth before others. */
    List<BookSize> all() {
        List<CostedSize> usual = costs.costed();
        return sizes.get(others.get("all", all -> othersThan(usual)), inOthers -> inAllCloths(usual, inOthers));
    }

    /** In which other cloths there are bags, or will be, or is a price. */
    private Set<InCloth> othersThan(List<CostedSize> usual) {
        Map<SizeOf, CostedSize> bySize = new HashMap<>();
        usual.forEach(size -> bySize.put(new SizeOf(size.designId(), size.sizeKey()), size));
        Set<InCloth> all = new LinkedHashSet<>();
        goods.there().keySet().stream()
                .filter(kind -> kind.quality() == Quality.GOOD)
                .forEach(kind -> made(kind).ifPresent(all::add));
        batches.openLines().forEach(open -> made(open.line(), bySize).ifPresent(all::add));
        prices.ofOneCloth().forEach(place -> all.add(new InCloth(place.designId(), place.sizeKey(), place.clothId())));
        all.removeIf(other -> isUsual(other, bySize));
        return all;
    }

    private List<BookSize> inAllCloths(List<CostedSize> usual, Set<InCloth> theOthers) {
        Map<SizeOf, List<BookSize>> inOthers = new HashMap<>();
        costs.costedIn(theOthers).stream()
                .sorted(Comparator.comparing(CostedSize::cloth, String.CASE_INSENSITIVE_ORDER))
                .forEach(size -> inOthers.computeIfAbsent(
                                new SizeOf(size.designId(), size.sizeKey()), its -> new ArrayList<>())
                        .add(new BookSize(size, size.clothId())));
        List<BookSize> book = new ArrayList<>();
        usual.forEach(size -> {
            book.add(new BookSize(size, Optional.empty()));
            book.addAll(inOthers.getOrDefault(new SizeOf(size.designId(), size.sizeKey()), List.of()));
        });
        return book;
    }

    private static Optional<InCloth> made(BagKind kind) {
        return kind.designId()
                .flatMap(design ->
                        kind.sizeKey().flatMap(size -> kind.clothId().map(cloth -> new InCloth(design, size, cloth))));
    }

    private static Optional<InCloth> made(ChosenLine line, Map<SizeOf, CostedSize> bySize) {
        if (line.sizeKey() == null) {
            return Optional.empty();
        }
        return Optional.ofNullable(bySize.get(new SizeOf(line.designId(), line.sizeKey())))
                .map(size -> line.materials().get(size.outer()))
                .map(cloth -> new InCloth(line.designId(), line.sizeKey(), cloth));
    }

    private static boolean isUsual(InCloth other, Map<SizeOf, CostedSize> bySize) {
        CostedSize usual = bySize.get(new SizeOf(other.design(), other.sizeKey()));
        return usual == null || usual.clothId().equals(Optional.of(other.cloth()));
    }
}
