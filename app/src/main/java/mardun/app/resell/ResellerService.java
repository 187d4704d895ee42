package mardun.app.resell;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mardun.app.channel.Channels;
import mardun.app.channel.KeptChannel;
import mardun.app.goods.GoodsKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLot;
import mardun.app.goods.GoodsService;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.resell.ResellerViews.BringForm;
import mardun.app.resell.ResellerViews.BroughtThere;
import mardun.app.resell.ResellerViews.LyingThere;
import mardun.app.resell.ResellerViews.NewReseller;
import mardun.app.resell.ResellerViews.ResellerForm;
import mardun.app.resell.ResellerViews.ResellerRow;
import mardun.app.resell.ResellerViews.ResellerSettled;
import mardun.app.resell.ResellerViews.ResellerView;
import mardun.app.resell.ResellerViews.SoldThere;
import mardun.app.resell.ResellerViews.SoldThereForm;
import mardun.app.resell.ResellerViews.SoldThereSum;
import mardun.app.sale.Sales;
import mardun.app.sale.Sales.NewSale;
import mardun.app.sale.Sales.Sold;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.pricing.Terms;
import mardun.core.selling.Consignment;
import mardun.core.selling.Tender;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Shops that sell a maker's bags: what lies there, what is brought and taken back, and what they owe. */
@Service
public class ResellerService {

    private static final int LONGEST_NAME = 80;
    private static final int MOST_UNITS = 5000;
    private static final int SHOWN = 100;

    private final ResellerRepository resellers;
    private final ResellerSettlementRepository settlements;
    private final LyingBags lying;
    private final GoodsLedger ledger;
    private final Sales sales;
    private final Channels channels;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    ResellerService(
            ResellerRepository resellers,
            ResellerSettlementRepository settlements,
            LyingBags lying,
            GoodsLedger ledger,
            Sales sales,
            Channels channels,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.resellers = resellers;
        this.settlements = settlements;
        this.lying = lying;
        this.ledger = ledger;
        this.sales = sales;
        this.channels = channels;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<ResellerRow> list() {
        Settings current = settings.current();
        Map<Long, LocalDate> last = new HashMap<>();
        settlements.last().forEach(one -> last.put(one.resellerId(), one.day()));
        return resellers.findAllByOrderByNameKey().stream()
                .map(one -> row(one, Optional.ofNullable(last.get(one.id())), current))
                .toList();
    }

    private ResellerRow row(Reseller one, Optional<LocalDate> last, Settings current) {
        KeptChannel channel = channels.get(one.channelId());
        List<LyingThere> bags = lying.at(one.name(), channel.id(), terms(channel, current), current);
        return new ResellerRow(
                one.id(),
                one.name(),
                channel.name(),
                one.isPutAway(),
                bags.stream().mapToInt(LyingThere::there).sum(),
                current.writer()
                        .money(bags.stream()
                                .mapToLong(bag -> bag.there() * bag.price().minor())
                                .sum()),
                last.orElse(null),
                bags.stream()
                        .filter(bag -> bag.advice() == Consignment.Do.BRING)
                        .mapToInt(bag -> Math.min(bag.advised(), bag.home()))
                        .sum(),
                bags.stream()
                        .filter(bag -> bag.advice() == Consignment.Do.TAKE_BACK)
                        .mapToInt(LyingThere::advised)
                        .sum());
    }

    private static Terms terms(KeptChannel channel, Settings current) {
        return channel.channel(current.workroom().rates()).terms();
    }

    @Transactional(readOnly = true)
    public ResellerView get(long id) {
        Settings current = settings.current();
        Reseller one = resellers.findById(id).orElseThrow(ResellerService::none);
        KeptChannel channel = channels.get(one.channelId());
        return new ResellerView(
                one.id(),
                one.version(),
                one.name(),
                one.channelId(),
                channel.name(),
                one.reach(),
                one.isPutAway(),
                lying.at(one.name(), channel.id(), terms(channel, current), current),
                settlements.findByResellerIdOrderByNumberDesc(id, Limit.of(SHOWN)).stream()
                        .map(settled -> row(settled, current.writer()))
                        .toList());
    }

    private static ResellerSettled row(ResellerSettlement one, ViewWriter writer) {
        return new ResellerSettled(
                one.getId(),
                one.settledOn(),
                one.units(),
                writer.money(one.soldMinor()),
                writer.money(one.takenMinor()),
                writer.money(one.taxMinor()),
                writer.money(one.soldMinor() - one.takenMinor() - one.taxMinor()),
                one.isTakenBack());
    }

    /** Enters a reseller; sent twice, one. */
    public long add(NewReseller form) {
        return onceOnly.make(form.requestId(), "reseller", form, () -> {
            FieldReader fields = new FieldReader();
            String name = fields.text("name", form.name(), LONGEST_NAME);
            if (!name.isBlank() && resellers.existsByNameKey(Reseller.keyOf(name))) {
                fields.refuse("name", name, "There is a reseller called “" + name + "” already. Type another name.");
            }
            if (name.equalsIgnoreCase(GoodsService.HOME)) {
                fields.refuse("name", name, "“" + name + "” is where your own bags are. Type another name.");
            }
            fields.check();
            channels.get(form.channelId());
            Reseller made = new Reseller(name);
            made.enter(form.channelId(), "", false);
            return resellers.saveAndFlush(made).id();
        });
    }

    @Transactional
    public void change(long id, ResellerForm form) {
        Reseller one = resellers.findForChange(id).orElseThrow(ResellerService::none);
        ChangedMeanwhileException.check("This reseller", form.version(), one.version());
        channels.get(form.channelId());
        one.enter(form.channelId(), form.reach().strip(), form.putAway());
        resellers.saveAndFlush(one);
    }

    /** What sold bags come to; nothing is kept. */
    @Transactional(readOnly = true)
    public SoldThereSum preview(long id, SoldThereForm form) {
        Settings current = settings.current();
        Reseller one = resellers.findById(id).orElseThrow(ResellerService::none);
        FieldReader fields = new FieldReader();
        Read read = read(form, one, fields, current);
        fields.check();
        return sum(read, took(read, one, current), current.writer());
    }

    /** Bags as they were sold, and what buyers paid for all of them. */
    private record Read(List<Sold> bags, long soldMinor) {

        int units() {
            return bags.stream().mapToInt(Sold::units).sum();
        }
    }

    private Read read(SoldThereForm form, Reseller one, FieldReader fields, Settings current) {
        Map<String, List<GoodsLot>> lots =
                ledger.ofKindsAt(form.lines().stream().map(SoldThere::kind).toList(), one.name());
        List<Sold> bags = new ArrayList<>();
        long sold = 0;
        for (int i = 0; i < form.lines().size(); i++) {
            SoldThere line = form.lines().get(i);
            if (line.units().isBlank()) {
                continue;
            }
            String field = "lines." + i + ".units";
            int units = fields.count(field, line.units(), 0, MOST_UNITS);
            int there = lots.getOrDefault(line.kind(), List.of()).stream()
                    .mapToInt(lot -> lot.at(one.name()))
                    .sum();
            if (units > there) {
                fields.refuse(field, line.units(), tooMany(there, one.name()));
            }
            if (units > 0) {
                long each = fields.money("lines." + i + ".price", line.price(), current.currency());
                bags.add(new Sold(line.kind(), units, each));
                sold = Math.addExact(sold, Math.multiplyExact(each, (long) units));
            }
        }
        return new Read(bags, sold);
    }

    private static String tooMany(int there, String place) {
        return (there == 1 ? "1 of these lies" : there + " of these lie") + " at “" + place
                + "” by the book. Type at most as many, or count them there first.";
    }

    private Terms.Took took(Read read, Reseller one, Settings current) {
        return terms(channels.get(one.channelId()), current)
                .ofUnits(Math.max(1, read.units()))
                .took(current.money(read.soldMinor()));
    }

    private static SoldThereSum sum(Read read, Terms.Took took, ViewWriter writer) {
        long fees = read.units() == 0 ? 0 : took.fees().getAmountMinorLong();
        long tax = read.units() == 0 ? 0 : took.tax().getAmountMinorLong();
        return new SoldThereSum(
                read.units(),
                writer.money(read.soldMinor()),
                writer.money(fees),
                writer.money(tax),
                writer.money(read.soldMinor() - fees - tax));
    }

    /** What was sold there leaves the book as a sale on the reseller's terms; sent twice, once. */
    public void settle(long id, SoldThereForm form) {
        onceOnly.make(form.requestId(), "settling with reseller " + id, form, () -> {
            Reseller one = resellers.findForChange(id).orElseThrow(ResellerService::none);
            Settings current = settings.current();
            FieldReader fields = new FieldReader();
            hold(form.lines().stream().map(SoldThere::kind).toList(), one.name());
            Read read = read(form, one, fields, current);
            LocalDate today = LocalDate.now(clock);
            LocalDate on = Optional.ofNullable(form.on()).orElse(today);
            if (on.isAfter(today)) {
                fields.refuse("on", on.toString(), "This day is still to come. Settle when it is there.");
            }
            if (fields.problems().isEmpty() && read.units() == 0) {
                fields.refuse("lines", "", "Nothing was sold. Type how many of at least one bag.");
            }
            fields.check();
            UUID sale = UUID.randomUUID();
            Terms.Took took = took(read, one, current);
            sales.book(new NewSale(
                    sale,
                    one.channelId(),
                    Optional.empty(),
                    one.name(),
                    moment(on),
                    Tender.OTHER,
                    read.bags(),
                    read.soldMinor(),
                    "",
                    one.name()));
            settlements.saveAndFlush(new ResellerSettlement(
                    form.requestId(),
                    id,
                    on,
                    sale,
                    read.units(),
                    read.soldMinor(),
                    took.fees().getAmountMinorLong(),
                    took.tax().getAmountMinorLong()));
            return id;
        });
    }

    private void hold(List<String> kinds, String place) {
        ledger.hold(ledger.ofKindsAt(kinds, place).values().stream()
                .flatMap(List::stream)
                .map(GoodsLot::id)
                .toList());
    }

    private Instant moment(LocalDate day) {
        return day.equals(LocalDate.now(clock))
                ? clock.instant()
                : day.atTime(12, 0).atZone(clock.getZone()).toInstant();
    }

    /** A settlement was wrong: its bags lie there again. */
    @Transactional
    public void takeBack(long id, UUID settlement) {
        ResellerSettlement one = settlements
                .findById(settlement)
                .filter(its -> its.resellerId() == id)
                .orElseThrow(() -> RefusedException.missing("There is no such settlement, or no longer."));
        sales.takeBack(one.saleId());
        one.takeBack();
        settlements.saveAndFlush(one);
    }

    /** Bags go there from home, or come back home, the oldest lot first; all of them, or none. Sent twice, once. */
    public void bring(long id, BringForm form) {
        onceOnly.make(form.requestId(), "bags for reseller " + id, form, () -> {
            Reseller one = resellers.findForChange(id).orElseThrow(ResellerService::none);
            FieldReader fields = new FieldReader();
            String from = form.back() ? one.name() : GoodsService.HOME;
            String to = form.back() ? GoodsService.HOME : one.name();
            hold(form.lines().stream().map(BroughtThere::kind).toList(), from);
            Map<String, List<GoodsLot>> lots = ledger.ofKindsAt(
                    form.lines().stream().map(BroughtThere::kind).toList(), from);
            int all = 0;
            for (int i = 0; i < form.lines().size(); i++) {
                BroughtThere line = form.lines().get(i);
                String field = "lines." + i + ".units";
                int units = line.units().isBlank() ? 0 : fields.count(field, line.units(), 0, MOST_UNITS);
                List<GoodsLot> its = lots.getOrDefault(line.kind(), List.of());
                int there = ledger.units(its, from).values().stream()
                        .mapToInt(Integer::intValue)
                        .sum();
                if (units > there) {
                    fields.refuse(field, line.units(), tooMany(there, from));
                } else if (fields.problems().isEmpty()) {
                    ledger.oldestFirst(its, from, units).forEach(some -> {
                        ledger.move(some.lot().id(), from, GoodsKind.MOVED, -some.units(), "to " + to);
                        ledger.move(some.lot().id(), to, GoodsKind.MOVED, some.units(), "from " + from);
                    });
                    all += units;
                }
            }
            if (fields.problems().isEmpty() && all == 0) {
                fields.refuse("lines", "", "Nothing is moved. Type how many of at least one bag.");
            }
            fields.check();
            return id;
        });
    }

    private static RefusedException none() {
        return RefusedException.missing("There is no such reseller, or no longer.");
    }
}
