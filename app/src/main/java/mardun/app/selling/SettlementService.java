package mardun.app.selling;

import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLot;
import mardun.app.goods.GoodsService;
import mardun.app.id.FairId;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.Fingerprint;
import mardun.app.request.OnceOnly;
import mardun.app.sale.Sales;
import mardun.app.sale.Sales.NewSale;
import mardun.app.selling.SettledDocument.FairCost;
import mardun.app.selling.SettledDocument.Figures;
import mardun.app.selling.SettledDocument.Gone;
import mardun.app.selling.StallViews.Ended;
import mardun.app.selling.StallViews.GoneForm;
import mardun.app.selling.StallViews.GoneView;
import mardun.app.selling.StallViews.HomeForm;
import mardun.app.selling.StallViews.HomeRow;
import mardun.app.selling.StallViews.SettleForm;
import mardun.app.selling.StallViews.SettledLine;
import mardun.app.selling.StallViews.SettlementView;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.selling.Settlement;
import mardun.core.selling.Tender;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A fair is settled: the box and the card reader are counted against what was sold, what comes home against what should be there, and what
 * is missing is said. What it left is kept as it was then.
 */
@Service
public class SettlementService {

    private static final int MOST_BAGS = 10_000;

    /** Where bags wait that were promised at a stall. */
    private static final String PUT_ASIDE = "put aside";

    private final Fairs fairs;
    private final FairRepository repository;
    private final StallEventRepository events;
    private final PackingService packing;
    private final StallService stall;
    private final StallBags bags;
    private final GoodsLedger ledger;
    private final Sales sales;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    SettlementService(
            Fairs fairs,
            FairRepository repository,
            StallEventRepository events,
            PackingService packing,
            StallService stall,
            StallBags bags,
            GoodsLedger ledger,
            Sales sales,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.fairs = fairs;
        this.repository = repository;
        this.events = events;
        this.packing = packing;
        this.stall = stall;
        this.bags = bags;
        this.ledger = ledger;
        this.sales = sales;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public SettlementView settlement(FairId id) {
        return view(fairs.get(id));
    }

    /** Settles a fair as it was counted; everything or nothing of it is kept. */
    public SettlementView settle(FairId id, SettleForm form) {
        onceOnly.make(form.requestId(), "settlement of fair " + id, form, () -> {
            Fair fair = fairs.forChange(id);
            if (fair.settled().isPresent()) {
                throw RefusedException.conflict("This fair is settled already. Open its count again to change it.");
            }
            if (!form.mark().equals(mark(fair))) {
                throw RefusedException.conflict(
                        "Something came in since you began to count. Look at it again; what you typed is still here.");
            }
            count(fair, form);
            return id.value();
        });
        return settlement(id);
    }

    private void count(Fair fair, SettleForm form) {
        Settings current = settings.current();
        FieldReader fields = new FieldReader();
        long cash = FairFacts.money("cash", form.cash(), fields, current).getAmountMinorLong();
        long change = FairFacts.money("change", form.change(), fields, current).getAmountMinorLong();
        if (form.cash().isBlank()) {
            fields.refuse("cash", "", "Count what is in the box, and type it; 0 for nothing.");
        } else if (cash < change) {
            fields.refuse(
                    "cash",
                    form.cash(),
                    "In the box is less than the " + form.change()
                            + " that was brought. Count again, or lower what was brought.");
        }
        Duration there = FairFacts.hours("thereHours", form.thereHours(), fields);
        Duration way = FairFacts.hours("wayHours", form.wayHours(), fields);
        List<Missing> missing = missing(fair, form, fields, current);
        String nextTime = form.nextTime().strip();
        fields.check();
        List<Gone> gone = new ArrayList<>(fair.goneBefore());
        missing.forEach(one -> gone.addAll(book(fair, one)));
        if (form.unpack()) {
            unpack(fair);
        }
        List<Sales.Sum> sums = sales.sums(List.of(fair.id()));
        FairFacts facts = Fairs.facts(fair, current);
        Figures figures = Fairs.figures(sums, facts.costs(), goneMinor(fair, gone));
        long card = form.card().isBlank()
                ? figures.cardSoldMinor()
                : FairFacts.money("card", form.card(), fields, current).getAmountMinorLong();
        fields.check();
        fair.settle(
                new SettledDocument(
                        SettledDocument.SCHEMA,
                        clock.instant(),
                        events.lastNumber(fair.id()),
                        figures,
                        cash - change,
                        card,
                        gone,
                        there.toSeconds(),
                        way.toSeconds(),
                        nextTime),
                form.footfall(),
                form.weather());
        repository.saveAndFlush(fair);
    }

    /** Bags of a kind that aren't there as the book has them: fewer, with what became of them, or more. */
    private record Missing(
            BagKind kind, List<GoodsLot> lots, int more, List<GoneForm> gone, List<Integer> units, List<Long> paid) {}

    private List<Missing> missing(Fair fair, SettleForm form, FieldReader fields, Settings current) {
        Map<String, List<GoodsLot>> there = atStall(fair);
        Map<String, Integer> counted = new LinkedHashMap<>();
        for (int i = 0; i < form.home().size(); i++) {
            HomeForm row = form.home().get(i);
            counted.put(row.kind(), fields.count("home." + i, row.counted(), 0, MOST_BAGS));
        }
        Map<String, List<Integer>> said = new HashMap<>();
        for (int i = 0; i < form.gone().size(); i++) {
            said.computeIfAbsent(form.gone().get(i).kind(), kind -> new ArrayList<>())
                    .add(i);
        }
        List<Missing> missing = new ArrayList<>();
        for (int i = 0; i < form.home().size(); i++) {
            HomeForm row = form.home().get(i);
            List<GoodsLot> lots = there.get(row.kind());
            if (lots == null) {
                throw RefusedException.conflict("Something came in since you began to count. Look at it again.");
            }
            int expected = PackingService.at(lots, fair.form().stallPlace());
            int less = expected - counted.get(row.kind());
            List<GoneForm> gone = new ArrayList<>();
            List<Integer> units = new ArrayList<>();
            List<Long> paid = new ArrayList<>();
            for (int index : said.getOrDefault(row.kind(), List.of())) {
                GoneForm one = form.gone().get(index);
                gone.add(one);
                units.add(fields.count("gone." + index + ".units", one.units(), 1, MOST_BAGS));
                if (one.ended() == Ended.SOLD && one.paid().isBlank()) {
                    fields.refuse("gone." + index + ".paid", "", "Type what was paid; 0 if nothing was.");
                }
                paid.add(FairFacts.money("gone." + index + ".paid", one.paid(), fields, current)
                        .getAmountMinorLong());
            }
            int explained = units.stream().mapToInt(Integer::intValue).sum();
            if (less > 0 && explained != less || less <= 0 && explained > 0) {
                fields.refuse(
                        "home." + i,
                        row.counted(),
                        less > 0
                                ? "Of “" + lots.get(0).kind().words() + "” " + less + (less == 1 ? " is" : " are")
                                        + " missing, and of " + explained + " is said what became of them."
                                : "None of “" + lots.get(0).kind().words() + "” is missing.");
            }
            if (less != 0) {
                missing.add(new Missing(lots.get(lots.size() - 1).kind(), lots, Math.max(0, -less), gone, units, paid));
            }
        }
        return missing;
    }

    private Map<String, List<GoodsLot>> atStall(Fair fair) {
        Map<String, List<GoodsLot>> there = new LinkedHashMap<>();
        ledger.there().forEach((kind, lots) -> {
            if (PackingService.at(lots, fair.form().stallPlace()) > 0) {
                there.put(kind.key(), lots);
            }
        });
        ledger.ofKindsLeft(packing.list(fair.id()).keySet()).forEach(there::putIfAbsent);
        return there;
    }

    private List<Gone> book(Fair fair, Missing missing) {
        String place = fair.form().stallPlace();
        BagKind kind = missing.kind();
        if (missing.more() > 0) {
            GoodsLot last = missing.lots().get(missing.lots().size() - 1);
            ledger.hold(List.of(last.id()));
            ledger.move(last.id(), place, GoodsKind.COUNTED, missing.more(), "counted after " + fair.name());
        }
        List<Gone> gone = new ArrayList<>();
        for (int i = 0; i < missing.gone().size(); i++) {
            GoneForm one = missing.gone().get(i);
            int units = missing.units().get(i);
            String note = one.note().strip();
            Map<Long, Integer> took = new LinkedHashMap<>();
            String reason = fair.name() + (note.isEmpty() ? "" : ": " + note);
            switch (one.ended()) {
                case GIVEN_AWAY -> stall.leave(place, kind.key(), units, GoodsKind.GIVEN_AWAY, reason, took);
                case BROKEN -> stall.leave(place, kind.key(), units, GoodsKind.WRITTEN_OFF, reason, took);
                case STOLEN -> stall.leave(place, kind.key(), units, GoodsKind.STOLEN, reason, took);
                case PROMISED -> {
                    stall.leave(place, kind.key(), units, GoodsKind.MOVED, "to " + PUT_ASIDE, took);
                    took.forEach((lot, some) -> ledger.move(lot, PUT_ASIDE, GoodsKind.MOVED, some, reason));
                }
                case SOLD -> sell(fair, missing, units, missing.paid().get(i), note);
            }
            gone.add(new Gone(kind.key(), kind.words(), units, one.ended(), note));
        }
        return gone;
    }

    /** Bags that were sold without a touch, for cash. */
    private void sell(Fair fair, Missing missing, int units, long paid, String note) {
        sales.book(new NewSale(
                UUID.randomUUID(),
                bags.channel(fair),
                Optional.of(fair.id()),
                fair.form().stallPlace(),
                fair.endsOn().atTime(12, 0).atZone(clock.getZone()).toInstant(),
                Tender.CASH,
                List.of(new Sales.Sold(missing.kind().key(), units, paid / units)),
                paid,
                "",
                note.isEmpty() ? "entered when the fair was settled" : note));
    }

    /** All that is in the stall's box is at home again. */
    private void unpack(Fair fair) {
        String place = fair.form().stallPlace();
        List<GoodsLot> lots =
                atStall(fair).values().stream().flatMap(List::stream).toList();
        ledger.hold(lots.stream().map(GoodsLot::id).toList());
        ledger.units(lots, place).forEach((id, units) -> {
            ledger.move(id, place, GoodsKind.MOVED, -units, "to " + GoodsService.HOME);
            ledger.move(id, GoodsService.HOME, GoodsKind.MOVED, units, "from " + fair.name());
        });
    }

    /** What those bags cost that were given away, broken or stolen, during the day or in the evening. */
    private long goneMinor(Fair fair, List<Gone> evening) {
        List<StallEvent> gone = events.gone(fair.id());
        Map<Long, GoodsLot> took = lotsOf(gone);
        long during = gone.stream()
                .flatMap(event -> event.took().entrySet().stream())
                .mapToLong(one -> took.get(one.getKey()).unitCostMinor() * one.getValue())
                .sum();
        Map<String, Integer> units = new LinkedHashMap<>();
        evening.stream()
                .filter(one -> one.ended() != Ended.SOLD && one.ended() != Ended.PROMISED)
                .forEach(one -> units.merge(one.kind(), one.units(), Integer::sum));
        Map<String, List<GoodsLot>> lots = ledger.ofKindsLeft(units.keySet());
        return during
                + units.entrySet().stream()
                        .mapToLong(one -> {
                            List<GoodsLot> its = lots.get(one.getKey());
                            return its.get(its.size() - 1).unitCostMinor() * one.getValue();
                        })
                        .sum();
    }

    private Map<Long, GoodsLot> lotsOf(List<StallEvent> gone) {
        return ledger.lots(
                gone.stream().flatMap(event -> event.took().keySet().stream()).toList());
    }

    /** A settled fair is counted once more; what its count moved stays moved, and is in the book of each bag. */
    @Transactional
    public SettlementView openAgain(FairId id) {
        Fair fair = fairs.forChange(id);
        if (fair.settled().isEmpty()) {
            throw RefusedException.conflict("This fair isn’t settled yet.");
        }
        fair.openAgain();
        return view(repository.saveAndFlush(fair));
    }

    /** Tells what a count was begun with: what devices told, and what is at the stall's place. */
    private String mark(Fair fair) {
        return Fingerprint.of(events.lastNumber(fair.id()) + " "
                + sales.unclear(fair.id()).size() + " "
                + atStall(fair).entrySet().stream()
                        .map(one -> one.getKey() + "="
                                + PackingService.at(one.getValue(), fair.form().stallPlace()))
                        .sorted()
                        .collect(Collectors.joining(";")));
    }

    private SettlementView view(Fair fair) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        FairFacts facts = Fairs.facts(fair, current);
        Optional<SettledDocument> settled = fair.settled();
        List<Sales.KindSold> sold = sales.kinds(List.of(fair.id()));
        Map<String, Long> soldByKind =
                sold.stream().collect(Collectors.toMap(Sales.KindSold::kind, Sales.KindSold::units, Long::sum));
        Figures figures = settled.map(SettledDocument::figures)
                .orElseGet(() -> Fairs.figures(
                        sales.sums(List.of(fair.id())), facts.costs(), goneMinor(fair, fair.goneBefore())));
        Duration there =
                settled.map(its -> Duration.ofSeconds(its.thereSeconds())).orElse(facts.there());
        Duration way = settled.map(its -> Duration.ofSeconds(its.waySeconds())).orElse(facts.onTheWay());
        Settlement settlement = settled.map(its -> Fairs.settlement(its, current))
                .orElseGet(() -> Fairs.settlement(figures, 0, there, way, current));
        long change = settled.isPresent() ? 0 : packing.changeMinor(fair);
        return new SettlementView(
                fair.id(),
                fair.name(),
                settled.isPresent(),
                settled.isPresent() ? "" : mark(fair),
                settled.map(its -> (int) events.countAfter(fair.id(), its.throughEvent()))
                        .orElse(0),
                settled.isPresent() ? List.of() : home(fair, soldByKind),
                gone(fair),
                figures.bags(),
                figures.sales(),
                writer.money(figures.paidMinor()),
                writer.money(figures.cashSoldMinor()),
                writer.money(figures.cardSoldMinor()),
                settled.map(its -> writer.money(its.cashMinor() - figures.cashSoldMinor()))
                        .orElse(null),
                settled.map(its -> writer.money(its.cardMinor() - figures.cardSoldMinor()))
                        .orElse(null),
                sales.unclear(fair.id()).size(),
                lines(
                        figures,
                        settled.map(its -> its.cashMinor() + its.cardMinor())
                                .map(counted -> counted - figures.cashSoldMinor() - figures.cardSoldMinor())
                                .orElse(0L),
                        writer),
                writer.money(settlement.left()),
                settlement.perHourThere().map(writer::money).orElse(null),
                settlement.perHourInAll().map(writer::money).orElse(null),
                figures.unknown(),
                writer.time(there),
                writer.time(way),
                writer.hours(there),
                writer.hours(way),
                change == 0 ? "" : writer.money(change).amount(),
                settled.map(SettledDocument::nextTime).orElse(""),
                fair.form().footfall(),
                fair.form().weather());
    }

    private List<HomeRow> home(Fair fair, Map<String, Long> sold) {
        return atStall(fair).values().stream()
                .map(lots -> {
                    BagKind kind = lots.get(lots.size() - 1).kind();
                    return new HomeRow(
                            bags.view(kind, lots),
                            PackingService.at(lots, fair.form().stallPlace()),
                            sold.getOrDefault(kind.key(), 0L).intValue());
                })
                .sorted(Comparator.comparing(
                        row -> row.bag().design() + row.bag().size() + row.bag().cloth()))
                .toList();
    }

    private List<GoneView> gone(Fair fair) {
        List<GoneView> gone = new ArrayList<>();
        List<StallEvent> during = events.gone(fair.id());
        Map<Long, GoodsLot> lots = lotsOf(during);
        during.forEach(event -> {
            Map<String, Integer> units = new LinkedHashMap<>();
            event.took().forEach((id, some) -> units.merge(lots.get(id).kind().words(), some, Integer::sum));
            units.forEach((words, some) -> gone.add(new GoneView(
                    words,
                    some,
                    Ended.valueOf(event.kind().name()),
                    event.entry().note())));
        });
        fair.goneBefore().forEach(one -> gone.add(new GoneView(one.words(), one.units(), one.ended(), one.note())));
        return gone;
    }

    /** @param counted how much more was counted than sold; below zero where less was */
    private static List<SettledLine> lines(Figures figures, long counted, ViewWriter writer) {
        FairCost fair = figures.fair();
        Map<String, Long> off = new LinkedHashMap<>();
        off.put("tax", figures.taxMinor());
        off.put("fees of selling", figures.feesMinor());
        off.put("cost of what was sold", figures.costMinor());
        off.put("given away, broken, stolen", figures.goneMinor());
        off.put("stall fee", fair.stallMinor());
        off.put("travel", fair.travelMinor());
        off.put("sleeping", fair.sleepMinor());
        off.put("food", fair.foodMinor());
        off.put("helpers", fair.helpersMinor());
        off.put("other costs", fair.otherMinor());
        off.put("counted less than expected", Math.max(0, -counted));
        off.put("counted more than expected", Math.min(0, -counted));
        return off.entrySet().stream()
                .filter(one -> one.getValue() != 0)
                .map(one -> new SettledLine(one.getKey(), writer.money(Math.abs(one.getValue())), one.getValue() < 0))
                .toList();
    }
}
