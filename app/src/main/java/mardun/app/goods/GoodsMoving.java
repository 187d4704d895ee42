package mardun.app.goods;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import mardun.app.goods.GoodsViews.GoodsForm;
import mardun.app.goods.GoodsViews.SeveralMoved;
import mardun.app.goods.GoodsViews.SomeOfLot;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import org.springframework.stereotype.Component;

/** Finished bags as a maker moves them: to another place, out of the book, or among the seconds. */
@Component
public class GoodsMoving {

    private static final int LONGEST_PLACE = 80;
    private static final int LONGEST_REASON = 300;
    private static final int MOST_UNITS = 100_000;

    private final FinishedGoodsRepository goods;
    private final GoodsLedger ledger;
    private final GoodsBook book;
    private final OnceOnly onceOnly;
    private final Clock clock;

    GoodsMoving(FinishedGoodsRepository goods, GoodsLedger ledger, GoodsBook book, OnceOnly onceOnly, Clock clock) {
        this.goods = goods;
        this.ledger = ledger;
        this.book = book;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    /** Moves bags of a lot to another place, or takes them out: given away, kept as samples, written off, counted. */
    public void move(long id, GoodsForm form) {
        onceOnly.make(form.requestId(), "bags of " + id, form, () -> {
            FinishedGoods one = goods.findForMoving(id)
                    .orElseThrow(() -> RefusedException.missing("There are no such bags, or no longer."));
            FieldReader fields = new FieldReader();
            boolean counted = form.kind() == GoodsKind.COUNTED;
            int units = fields.count("units", form.units(), counted ? 0 : 1, MOST_UNITS);
            String place = fields.text("place", form.place(), LONGEST_PLACE);
            String reason = reason(form, fields);
            String to = form.kind() == GoodsKind.MOVED ? destination(form.toPlace(), place, fields) : "";
            refuseKind(form, one, fields);
            int there = book.units(id, place);
            if (!counted && units > there) {
                fields.refuse("units", form.units(), tooFew(one, place, there));
            }
            fields.check();
            int change = counted ? units - there : -units;
            if (change == 0) {
                throw RefusedException.conflict("At “" + place + "” are " + there + " already; nothing changes.");
            }
            switch (form.kind()) {
                case MOVED -> moved(id, place, to, units);
                case BECAME_SECONDS -> ledger.becomeSeconds(id, place, units, reason);
                default -> save(id, place, form.kind(), change, reason);
            }
            return id;
        });
    }

    /** Moves bags of several lots from one place to another; sent twice, once. All of them go, or none. */
    void moveSeveral(SeveralMoved form) {
        onceOnly.make(form.requestId(), "bags of several lots", form, () -> {
            FieldReader fields = new FieldReader();
            String from = fields.text("place", form.place(), LONGEST_PLACE);
            String to = destination(form.toPlace(), from, fields);
            List<Long> ids = form.lots().stream().map(SomeOfLot::goodsId).toList();
            ledger.hold(ids);
            if (ids.stream().distinct().count() < ids.size()) {
                fields.refuse("lots", "", "The same bags stand there twice. Open the list anew.");
            }
            for (int i = 0; i < form.lots().size(); i++) {
                SomeOfLot some = form.lots().get(i);
                FinishedGoods one = goods.findById(some.goodsId())
                        .orElseThrow(() -> RefusedException.missing("Some of these bags aren’t there any more."));
                int units = fields.count("lots." + i + ".units", some.units(), 1, MOST_UNITS);
                int there = book.units(some.goodsId(), from);
                if (units > there) {
                    fields.refuse("lots." + i + ".units", some.units(), tooFew(one, from, there));
                } else if (fields.problems().isEmpty()) {
                    moved(some.goodsId(), from, to, units);
                }
            }
            // What was moved before something was refused is undone with the transaction.
            fields.check();
            return ids.get(0);
        });
    }

    private static String reason(GoodsForm form, FieldReader fields) {
        String reason = form.reason().strip();
        if (reason.length() > LONGEST_REASON) {
            fields.refuse("reason", form.reason(), "Say it in at most " + LONGEST_REASON + " characters.");
        }
        if (form.kind().needsReason() && reason.isEmpty()) {
            fields.refuse("reason", "", "Say why, so that the shelf can be understood later.");
        }
        return reason;
    }

    private static String destination(String typed, String from, FieldReader fields) {
        String to = fields.text("toPlace", Optional.ofNullable(typed).orElse(""), LONGEST_PLACE);
        if (to.equals(from)) {
            fields.refuse("toPlace", to, "They are at “" + from + "” already. Choose another place.");
        }
        return to;
    }

    private static void refuseKind(GoodsForm form, FinishedGoods one, FieldReader fields) {
        switch (form.kind()) {
            case MADE, ENTERED -> fields.refuse("kind", form.kind().name(), "Bags are made by finishing a batch.");
            case SOLD, TAKEN_BACK -> fields.refuse("kind", form.kind().name(), "A sale is entered where it was made.");
            case BECAME_SECONDS -> {
                if (one.quality() != Quality.GOOD) {
                    fields.refuse(
                            "kind",
                            form.kind().name(),
                            one.quality() == Quality.KIT
                                    ? "Kits aren’t sewn, so none of them is a second."
                                    : "These are seconds already.");
                }
            }
            default -> {}
        }
    }

    private static String tooFew(FinishedGoods one, String place, int there) {
        return "At “" + place + "” are " + there + " of “" + one.designName() + ", " + one.sizeName()
                + "”. Type at most as many.";
    }

    private void moved(long id, String from, String to, int units) {
        save(id, to, GoodsKind.MOVED, units, "from " + from);
        save(id, from, GoodsKind.MOVED, -units, "to " + to);
    }

    private void save(long id, String place, GoodsKind kind, int change, String reason) {
        book.write(id, new GoodsMovement(id, place, kind, change, reason, clock.instant()));
    }
}
