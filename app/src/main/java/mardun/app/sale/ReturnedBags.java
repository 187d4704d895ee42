package mardun.app.sale;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.goods.GoodsKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLot;
import mardun.app.goods.GoodsService;
import mardun.app.goods.Quality;
import mardun.app.note.NotePin;
import mardun.app.note.NoteService;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Bags that came back go where they belong now, and their designs learn why. */
@Component
public class ReturnedBags {

    private final GoodsLedger ledger;
    private final NoteService notes;

    ReturnedBags(GoodsLedger ledger, NoteService notes) {
        this.ledger = ledger;
        this.notes = notes;
    }

    /**
     * Puts bags away whose sale was taken back, so that they lie where they were sold from; those that are mended stay with their buyer.
     *
     * @param units how many, by their kinds
     * @param place where they lie
     * @param whose what they came back from, for the book: {@code order 7}
     * @param why as the maker says it
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void putAway(Map<String, Integer> units, String place, CameBack ended, String whose, String why) {
        Map<String, List<GoodsLot>> lots = ledger.ofKindsAt(units.keySet(), place);
        ledger.hold(
                lots.values().stream().flatMap(List::stream).map(GoodsLot::id).toList());
        String reason = whose + " came back: " + why;
        if (ended != CameBack.MENDED) {
            units.forEach((kind, its) -> ledger.oldestFirst(lots.getOrDefault(kind, List.of()), place, its)
                    .forEach(from -> putAway(from, place, ended, reason)));
        }
        lots.values().stream()
                .flatMap(List::stream)
                .flatMap(lot -> lot.kind().designId().stream())
                .distinct()
                .forEach(design ->
                        notes.pin(UUID.randomUUID(), NotePin.ofDesign(design), null, "One came back: " + why));
    }

    private void putAway(GoodsLedger.FromLot from, String place, CameBack ended, String reason) {
        long lot = from.lot().id();
        if (ended == CameBack.SCRAPPED) {
            ledger.move(lot, place, GoodsKind.WRITTEN_OFF, -from.units(), reason);
            return;
        }
        if (!place.equals(GoodsService.HOME)) {
            ledger.move(lot, place, GoodsKind.MOVED, -from.units(), reason);
            ledger.move(lot, GoodsService.HOME, GoodsKind.MOVED, from.units(), reason);
        }
        if (ended == CameBack.SECONDS && from.lot().kind().quality() == Quality.GOOD) {
            ledger.becomeSeconds(lot, GoodsService.HOME, from.units(), reason);
        }
    }
}
