package mardun.app.sale;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLot;
import mardun.app.goods.GoodsService;
import mardun.app.goods.Quality;
import mardun.app.note.NotePin;
import mardun.app.note.NoteService;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.sale.ReturnViews.BagsBack;
import mardun.app.sale.ReturnViews.BuyersBags;
import mardun.app.sale.ReturnViews.CameBackForm;
import mardun.app.sale.Sales.NewSale;
import mardun.app.sale.Sales.Sold;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Bags that come back from their buyer, some or all: their sale is booked again without them, they go where they belong now, and their
 * designs learn why.
 */
@Component
public class ReturnedBags {

    private static final int MOST_UNITS = 5000;

    private final Sales sales;
    private final GoodsLedger ledger;
    private final NoteService notes;
    private final SettingsService settings;

    ReturnedBags(Sales sales, GoodsLedger ledger, NoteService notes, SettingsService settings) {
        this.sales = sales;
        this.ledger = ledger;
        this.notes = notes;
        this.settings = settings;
    }

    /**
     * What stays of a sale.
     *
     * @param sale of the bags that the buyer keeps; absent for none
     * @param paidMinor what stays paid
     * @param refundMinor what was paid back
     * @param units how many the buyer has no longer
     * @param words what became of them and why, in a line
     */
    public record Kept(@Nullable UUID sale, long paidMinor, long refundMinor, int units, String words) {}

    /** The bags of a sale that its buyer has; none where it was taken back. */
    @Transactional(readOnly = true)
    public List<BuyersBags> withBuyer(UUID sale) {
        return sales.find(sale).map(NewSale::bags).orElse(List.of()).stream()
                .map(bags -> new BuyersBags(
                        bags.kind(),
                        ledger.kind(bags.kind()).map(BagKind::words).orElseThrow(),
                        bags.units()))
                .toList();
    }

    /**
     * Books what came back; inside the caller's transaction.
     *
     * @param whose what it came back from, for the book: {@code order 7}
     * @throws RefusedException if something of the form can't be, each field with its sentence
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public Kept take(NewSale sale, CameBackForm form, String whose) {
        FieldReader fields = new FieldReader();
        Map<String, Integer> back = back(form.bags(), sale, fields);
        int units = back.values().stream().mapToInt(Integer::intValue).sum();
        boolean isAll = form.ended() != CameBack.MENDED && units == sale.units();
        long refund = refund(form, sale, isAll, fields);
        String why = form.reason().strip();
        if (why.isEmpty()) {
            fields.refuse("reason", "", "Say why it came back, so that the design can learn from it.");
        }
        fields.check();
        List<Sold> stays = form.ended() == CameBack.MENDED ? sale.bags() : without(sale.bags(), back);
        Map<Long, Integer> lots = new HashMap<>(sales.lots(sale.id()));
        UUID kept = bookAgain(sale, stays, sale.paidMinor() - refund);
        if (kept != null) {
            sales.lots(kept).forEach((lot, its) -> lots.merge(lot, -its, Integer::sum));
        }
        lots.values().removeIf(its -> its <= 0);
        putAway(lots, sale.place(), form.ended(), whose + " came back: " + why);
        back.keySet().stream()
                .flatMap(kind -> ledger.kind(kind).flatMap(BagKind::designId).stream())
                .distinct()
                .forEach(design ->
                        notes.pin(UUID.randomUUID(), NotePin.ofDesign(design), null, "One came back: " + why));
        String some = units < sale.units() ? units + " of " + sale.units() + " " : "";
        return new Kept(
                kept,
                sale.paidMinor() - refund,
                refund,
                form.ended() == CameBack.MENDED ? 0 : units,
                some + form.ended().words() + ": " + why);
    }

    private static Map<String, Integer> back(List<BagsBack> typed, NewSale sale, FieldReader fields) {
        Map<String, Integer> back = new LinkedHashMap<>();
        for (int i = 0; i < typed.size(); i++) {
            BagsBack bags = typed.get(i);
            String field = "bags." + i + ".units";
            int units = bags.units().isBlank() ? 0 : fields.count(field, bags.units(), 0, MOST_UNITS);
            int has = sale.bags().stream()
                    .filter(sold -> sold.kind().equals(bags.kind()))
                    .mapToInt(Sold::units)
                    .sum();
            if (back.getOrDefault(bags.kind(), 0) + units > has) {
                fields.refuse(field, bags.units(), "The customer has " + has + " of these bags. Type at most as many.");
            } else if (units > 0) {
                back.merge(bags.kind(), units, Integer::sum);
            }
        }
        if (fields.problems().isEmpty() && back.isEmpty()) {
            fields.refuse("bags", "", "Nothing came back. Type how many of at least one bag.");
        }
        return back;
    }

    private long refund(CameBackForm form, NewSale sale, boolean isAll, FieldReader fields) {
        Settings current = settings.current();
        if (form.refund().isBlank()) {
            return isAll ? sale.paidMinor() : 0;
        }
        long refund = fields.money("refund", form.refund(), current.currency());
        String paid = current.writer().money(sale.paidMinor()).amount();
        if (refund > sale.paidMinor()) {
            fields.refuse("refund", form.refund(), "Paid was " + paid + ". Type at most that.");
        } else if (isAll && refund < sale.paidMinor() && fields.problems().isEmpty()) {
            fields.refuse(
                    "refund",
                    form.refund(),
                    "All bags came back, so all that was paid goes back: " + paid
                            + ". What you keep of it is no sale; note it at the order.");
        }
        return refund;
    }

    private static List<Sold> without(List<Sold> sold, Map<String, Integer> back) {
        return sold.stream()
                .map(bags -> new Sold(bags.kind(), bags.units() - back.getOrDefault(bags.kind(), 0), bags.usualMinor()))
                .filter(bags -> bags.units() > 0)
                .toList();
    }

    /** The sale as it is now, in the place of the one that was; absent where the buyer keeps no bags. */
    private @Nullable UUID bookAgain(NewSale sale, List<Sold> stays, long paid) {
        if (stays.equals(sale.bags()) && paid == sale.paidMinor()) {
            return sale.id();
        }
        if (stays.isEmpty()) {
            sales.takeBack(sale.id());
            return null;
        }
        UUID id = UUID.randomUUID();
        sales.bookInstead(
                sale.id(),
                new NewSale(
                        id,
                        sale.channelId(),
                        sale.fairId(),
                        sale.place(),
                        sale.at(),
                        sale.tender(),
                        stays,
                        paid,
                        sale.payment(),
                        sale.note()));
        return id;
    }

    /** Bags lie again where they were sold from, and don't stay there unless that is home. */
    private void putAway(Map<Long, Integer> lots, String place, CameBack ended, String reason) {
        ledger.hold(lots.keySet());
        ledger.lots(lots.keySet()).values().forEach(lot -> putAway(lot, lots.get(lot.id()), place, ended, reason));
    }

    private void putAway(GoodsLot lot, int units, String place, CameBack ended, String reason) {
        if (ended == CameBack.SCRAPPED) {
            ledger.move(lot.id(), place, GoodsKind.WRITTEN_OFF, -units, reason);
            return;
        }
        if (!place.equals(GoodsService.HOME)) {
            ledger.move(lot.id(), place, GoodsKind.MOVED, -units, reason);
            ledger.move(lot.id(), GoodsService.HOME, GoodsKind.MOVED, units, reason);
        }
        if (ended == CameBack.SECONDS && lot.kind().quality() == Quality.GOOD) {
            ledger.becomeSeconds(lot.id(), GoodsService.HOME, units, reason);
        }
    }
}
