package mardun.app.shop;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.batch.BatchReading;
import mardun.app.batch.OpenWork;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.goods.BagKind;
import mardun.app.goods.Quality;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.shop.ShopViews.ToMakeView;
import org.springframework.stereotype.Component;

/**
 * Bags that an order lacks ask for a batch: the one that is under way for it, or a new one of their design, size and cloth. Once they are
 * finished they are put aside for the order.
 */
@Component
class MissingBags {

    private final BatchReading batches;
    private final DesignService designs;

    MissingBags(BatchReading batches, DesignService designs) {
        this.batches = batches;
        this.designs = designs;
    }

    /** What a batch is said to be for that is made for an order. */
    static String forWhat(ShopOrder order) {
        return "Online order " + order.number();
    }

    /** Batches that are planned or under way, by what they are said to be for. */
    record UnderWay(Map<String, List<OpenWork>> byWhat) {

        static final UnderWay NOTHING = new UnderWay(Map.of());

        /** The batch that makes such bags for an order; for bags that no design is known of, any that is made for it. */
        Optional<BatchId> of(ShopOrder order, BagKind kind) {
            return byWhat.getOrDefault(forWhat(order), List.of()).stream()
                    .filter(work ->
                            kind.designId().isEmpty() || work.bags().stream().anyMatch(bags -> isOf(bags, kind)))
                    .map(OpenWork::id)
                    .findFirst();
        }

        private static boolean isOf(OpenWork.Bags bags, BagKind kind) {
            return kind.designId().equals(Optional.of(bags.designId()))
                    && kind.sizeKey().equals(bags.sizeKey())
                    && kind.clothId().equals(bags.clothId());
        }
    }

    /** What is planned or under way, where one of some orders lacks bags. */
    UnderWay underWayFor(List<ShopOrder> some) {
        return some.stream().anyMatch(order -> order.state() == OrderState.SHORT)
                ? new UnderWay(batches.openWork().stream().collect(Collectors.groupingBy(OpenWork::forWhat)))
                : UnderWay.NOTHING;
    }

    /** With what a batch of such bags begins; empty where no design of theirs is known that has their size still. */
    Optional<ToMakeView> toMake(BagKind kind) {
        if (kind.quality() != Quality.GOOD || !kind.isUsual()) {
            return Optional.empty();
        }
        return kind.designId().flatMap(id -> kind.sizeKey().flatMap(size -> toMake(id, size, kind.clothId())));
    }

    private Optional<ToMakeView> toMake(DesignId id, String sizeKey, Optional<MaterialId> cloth) {
        DesignDocument document = designs.document(id);
        int size = document.sizeKeys() == null ? -1 : document.sizeKeys().indexOf(sizeKey);
        if (size < 0) {
            return Optional.empty();
        }
        Optional<String> slot = cloth.isEmpty()
                ? Optional.empty()
                : DesignService.stored(document).outerSlot();
        return Optional.of(new ToMakeView(
                id, document.sizes().get(size), slot.orElse(null), slot.isPresent() ? cloth.get() : null));
    }
}
