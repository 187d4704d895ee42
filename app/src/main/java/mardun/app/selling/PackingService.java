package mardun.app.selling;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mardun.app.batch.BatchReading;
import mardun.app.design.FinishedLooks.FinishedLook;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLot;
import mardun.app.goods.GoodsService;
import mardun.app.id.FairId;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.sale.Sales;
import mardun.app.selling.FairsBefore.TakenTo;
import mardun.app.selling.StallViews.BoxView;
import mardun.app.selling.StallViews.CoinCount;
import mardun.app.selling.StallViews.ComingBags;
import mardun.app.selling.StallViews.FloatView;
import mardun.app.selling.StallViews.PackedBoxForm;
import mardun.app.selling.StallViews.PackedForm;
import mardun.app.selling.StallViews.PackingForm;
import mardun.app.selling.StallViews.PackingRow;
import mardun.app.selling.StallViews.PackingView;
import mardun.app.selling.StallViews.TablePlace;
import mardun.app.selling.StallViews.TableView;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.selling.ChangeFloat;
import mardun.core.selling.Coins;
import mardun.core.selling.StallTable;
import mardun.core.selling.TakeAlong;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What goes along to a fair: proposed, packed box by box, priced, with the change to bring and the table drawn to scale. */
@Service
public class PackingService {

    private static final int BUYERS = 20;
    private static final int MOST_UNITS = 10_000;
    private static final int LONGEST_BOX = 60;
    private static final Length GAP = Length.of(2, LengthUnit.CENTIMETRE);
    private static final double NANOMETRES = 1e6;

    private final Fairs fairs;
    private final FairsBefore fairsBefore;
    private final PackingLineRepository lines;
    private final StallBags bags;
    private final GoodsLedger ledger;
    private final Sales sales;
    private final BatchReading batches;
    private final SettingsService settings;
    private final Clock clock;

    PackingService(
            Fairs fairs,
            FairsBefore fairsBefore,
            PackingLineRepository lines,
            StallBags bags,
            GoodsLedger ledger,
            Sales sales,
            BatchReading batches,
            SettingsService settings,
            Clock clock) {
        this.fairs = fairs;
        this.fairsBefore = fairsBefore;
        this.lines = lines;
        this.bags = bags;
        this.ledger = ledger;
        this.sales = sales;
        this.batches = batches;
        this.settings = settings;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public PackingView packing(FairId id) {
        Fair fair = fairs.get(id);
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        List<PackingLine> list = lines.findByFairIdOrderById(id);
        Map<BagKind, List<GoodsLot>> there = there(list);
        Map<String, PackingLine> byKind = list.stream().collect(Collectors.toMap(PackingLine::bagKind, line -> line));
        Map<String, Long> prices = new HashMap<>(bags.asked(fair, there));
        list.forEach(line -> line.priceMinor().ifPresent(own -> prices.put(line.bagKind(), own)));
        History history = history(fair);
        List<PackingRow> rows = new ArrayList<>();
        there.forEach((kind, lots) -> {
            int atStall = at(lots, fair.form().stallPlace());
            int together = lots.stream().mapToInt(GoodsLot::together).sum();
            Optional<PackingLine> line = Optional.ofNullable(byKind.get(kind.key()));
            TakeAlong take = history.takeAlong(kind.key(), together);
            rows.add(new PackingRow(
                    bags.view(kind, lots),
                    together - atStall,
                    atStall,
                    line.map(PackingLine::units).orElse(0),
                    line.map(PackingLine::box).orElse(""),
                    line.map(PackingLine::isPacked).orElse(false),
                    Optional.ofNullable(prices.get(kind.key()))
                            .filter(minor -> minor > 0)
                            .map(writer::money)
                            .orElse(null),
                    line.flatMap(PackingLine::priceMinor)
                            .map(minor -> writer.money(minor).amount())
                            .orElse(""),
                    take.units(),
                    writer.sentence(take.reason())));
        });
        rows.sort(Comparator.comparing((PackingRow row) -> row.bag().design().toLowerCase(Locale.ROOT))
                .thenComparing(row -> row.bag().size())
                .thenComparing(row -> row.bag().cloth()));
        Map<Long, Integer> byPrice = new HashMap<>();
        list.forEach(line -> byPrice.merge(prices.getOrDefault(line.bagKind(), 0L), line.units(), Integer::sum));
        return new PackingView(
                id,
                fair.name(),
                rows,
                boxes(list),
                list.stream().mapToInt(PackingLine::units).sum(),
                list.stream()
                        .filter(PackingLine::isPacked)
                        .mapToInt(PackingLine::units)
                        .sum(),
                coming(fair),
                change(byPrice, current),
                table(fair, list, there, current).orElse(null));
    }

    /** All kinds of bags that are anywhere and held for nobody, and those on the fair's list. */
    private Map<BagKind, List<GoodsLot>> there(List<PackingLine> list) {
        Map<BagKind, List<GoodsLot>> there = new LinkedHashMap<>(ledger.free());
        Set<String> known = there.keySet().stream().map(BagKind::key).collect(Collectors.toSet());
        List<String> gone = list.stream()
                .map(PackingLine::bagKind)
                .filter(key -> !known.contains(key))
                .toList();
        ledger.ofKindsLeft(gone)
                .values()
                .forEach(lots -> there.put(lots.get(lots.size() - 1).kind(), free(lots)));
        return there;
    }

    static int at(List<GoodsLot> lots, String place) {
        return lots.stream().mapToInt(lot -> lot.at(place)).sum();
    }

    /** How kinds of bags went at fairs that were, here and elsewhere. */
    private record History(Map<String, List<TakeAlong.Before>> here, Map<String, List<TakeAlong.Before>> elsewhere) {

        TakeAlong takeAlong(String kind, int there) {
            return TakeAlong.of(there, here.getOrDefault(kind, List.of()), elsewhere.getOrDefault(kind, List.of()));
        }
    }

    private History history(Fair fair) {
        List<TakenTo> taken = fairsBefore.of(fair);
        Map<FairId, Map<String, Integer>> sold = new HashMap<>();
        sales.kinds(taken.stream().map(TakenTo::fair).toList())
                .forEach(one -> sold.computeIfAbsent(one.fair(), its -> new HashMap<>())
                        .merge(one.kind(), (int) one.units(), Integer::sum));
        Map<String, List<TakeAlong.Before>> here = new HashMap<>();
        Map<String, List<TakeAlong.Before>> elsewhere = new HashMap<>();
        taken.forEach(other -> {
            boolean isHere = other.series().equals(fair.series());
            Map<String, Integer> its = sold.getOrDefault(other.fair(), Map.of());
            other.taken()
                    .forEach(line -> (isHere ? here : elsewhere)
                            .computeIfAbsent(line.bagKind(), kind -> new ArrayList<>())
                            .add(new TakeAlong.Before(line.units(), its.getOrDefault(line.bagKind(), 0))));
        });
        return new History(here, elsewhere);
    }

    private static List<BoxView> boxes(List<PackingLine> list) {
        Map<String, List<PackingLine>> byBox =
                list.stream().collect(Collectors.groupingBy(PackingLine::box, TreeMap::new, Collectors.toList()));
        return byBox.entrySet().stream()
                .map(box -> new BoxView(
                        box.getKey(),
                        (int) box.getValue().stream()
                                .filter(PackingLine::isPacked)
                                .count(),
                        box.getValue().size(),
                        box.getValue().stream().mapToInt(PackingLine::units).sum()))
                .toList();
    }

    private List<ComingBags> coming(Fair fair) {
        return fair.heldOn().isBefore(LocalDate.now(clock))
                ? List.of()
                : batches.openWork().stream()
                        .filter(work -> work.dueOn()
                                .filter(due -> !due.isAfter(fair.heldOn()))
                                .isPresent())
                        .map(work -> new ComingBags(
                                work.id(),
                                work.name(),
                                work.units(),
                                work.dueOn().orElseThrow()))
                        .sorted(Comparator.comparing(ComingBags::dueOn))
                        .toList();
    }

    private static FloatView change(Map<Long, Integer> bagsByPrice, Settings current) {
        ViewWriter writer = current.writer();
        ChangeFloat change = changeFor(current, bagsByPrice);
        return new FloatView(
                change.counts().entrySet().stream()
                        .map(one -> new CoinCount(writer.money(one.getKey()), one.getValue()))
                        .toList(),
                writer.money(change.minor()),
                change.buyers());
    }

    /** Change for the first buyers; for no more than there are bags. */
    private static ChangeFloat changeFor(Settings current, Map<Long, Integer> bagsByPrice) {
        int bags = bagsByPrice.values().stream().mapToInt(Integer::intValue).sum();
        return ChangeFloat.of(Coins.of(current.currency()), bagsByPrice, Math.min(BUYERS, bags));
    }

    /** What is proposed as change, in minor units. */
    long changeMinor(Fair fair) {
        Map<Long, Integer> byPrice = new HashMap<>();
        lines.findByFairIdOrderById(fair.id())
                .forEach(line -> byPrice.merge(line.soldFor(), line.units(), Integer::sum));
        return changeFor(settings.current(), byPrice).minor();
    }

    private Optional<TableView> table(
            Fair fair, List<PackingLine> list, Map<BagKind, List<GoodsLot>> there, Settings current) {
        FairFacts facts = Fairs.facts(fair, current);
        if (!facts.tableWide().isPositive() || !facts.tableDeep().isPositive()) {
            return Optional.empty();
        }
        Map<String, List<GoodsLot>> byKey = new HashMap<>();
        there.forEach((kind, lots) -> byKey.put(kind.key(), lots));
        List<StallTable.Item> items = new ArrayList<>();
        int unknown = 0;
        for (PackingLine line : list) {
            Optional<FinishedLook> look =
                    Optional.ofNullable(byKey.get(line.bagKind())).flatMap(bags::look);
            if (look.isEmpty()) {
                unknown++;
            } else {
                items.add(StallTable.Item.of(
                        line.bagKind(),
                        look.get().wide(),
                        look.get().deep(),
                        look.get().high(),
                        line.units()));
            }
        }
        StallTable table = StallTable.lay(facts.tableWide(), facts.tableDeep(), GAP, items);
        return Optional.of(new TableView(
                millimetres(facts.tableWide()),
                millimetres(facts.tableDeep()),
                table.places().stream()
                        .map(place -> new TablePlace(
                                place.key(),
                                millimetres(place.left()),
                                millimetres(place.front()),
                                millimetres(place.wide()),
                                millimetres(place.deep())))
                        .toList(),
                table.under().values().stream().mapToInt(Integer::intValue).sum(),
                unknown));
    }

    private static double millimetres(Length length) {
        return length.nanometres() / NANOMETRES;
    }

    /** Puts some of a kind on the list, changes how many, or takes them off. */
    @Transactional
    public void enter(FairId id, PackingForm form) {
        Fair fair = open(id);
        FieldReader fields = new FieldReader();
        int units = form.units().isBlank() ? 0 : fields.count("units", form.units(), 0, MOST_UNITS);
        String box = form.box().strip();
        if (box.length() > LONGEST_BOX) {
            fields.refuse("box", box, "Use at most " + LONGEST_BOX + " characters.");
        }
        Long own = form.ownPrice().isBlank()
                ? null
                : (Long) fields.money(
                        "ownPrice", form.ownPrice(), settings.current().currency());
        Optional<PackingLine> before = lines.findByFairIdAndBagKind(id, form.kind());
        List<GoodsLot> lots = ledger.ofKindsLeft(List.of(form.kind())).getOrDefault(form.kind(), List.of());
        if (lots.isEmpty()) {
            throw RefusedException.missing("There are no such bags, or no longer.");
        }
        int together = lots.stream().mapToInt(GoodsLot::together).sum();
        if (units > together) {
            fields.refuse(
                    "units",
                    form.units(),
                    "Of “" + lots.get(0).kind().words() + "” there are " + together + ". Type at most as many.");
        }
        fields.check();
        before.filter(PackingLine::isPacked)
                .filter(line -> line.units() != units)
                .ifPresent(line -> takeOut(fair, line));
        if (units == 0) {
            before.ifPresent(lines::delete);
        } else {
            PackingLine line = before.orElseGet(() -> new PackingLine(id, form.kind()));
            line.enter(
                    units,
                    box,
                    own,
                    asked(fair, Map.of(lots.get(lots.size() - 1).kind(), lots)));
            lines.save(line);
        }
        lines.flush();
    }

    private long asked(Fair fair, Map<BagKind, List<GoodsLot>> kind) {
        return bags.asked(fair, kind).values().iterator().next();
    }

    /** Puts as many of each kind on the list as are proposed, where none of it is on it yet. */
    @Transactional
    public void propose(FairId id) {
        open(id);
        packing(id).rows().stream()
                .filter(row -> row.units() == 0 && row.proposed() > 0)
                .forEach(row -> {
                    PackingLine line = new PackingLine(id, row.bag().key());
                    line.enter(
                            row.proposed(),
                            "",
                            null,
                            row.price() == null ? 0 : row.price().minor());
                    lines.save(line);
                });
        lines.flush();
    }

    /** A kind is in its box: as many as go along are at the stall's place. Taken out again, they are where they are when they are done. */
    @Transactional
    public void pack(FairId id, PackedForm form) {
        Fair fair = open(id);
        PackingLine line = lines.findByFairIdAndBagKind(id, form.kind())
                .orElseThrow(
                        () -> RefusedException.missing("These bags aren’t on the list of this fair, or no longer."));
        pack(fair, line, form.packed());
        lines.flush();
    }

    /** All kinds of a box are in it, or taken out again; where there are too few of one, none is. */
    @Transactional
    public void packBox(FairId id, PackedBoxForm form) {
        Fair fair = open(id);
        List<PackingLine> its = lines.findByFairIdOrderById(id).stream()
                .filter(line -> line.box().equals(form.box().strip()))
                .toList();
        if (its.isEmpty()) {
            throw RefusedException.missing("There is no such box on the list of this fair, or no longer.");
        }
        its.forEach(line -> pack(fair, line, form.packed()));
        lines.flush();
    }

    private void pack(Fair fair, PackingLine line, boolean packed) {
        if (packed && !line.isPacked()) {
            putIn(fair, line);
        } else if (!packed && line.isPacked()) {
            takeOut(fair, line);
        }
        lines.save(line);
    }

    private void putIn(Fair fair, PackingLine line) {
        String place = fair.form().stallPlace();
        List<GoodsLot> lots = held(line.bagKind());
        int missing = line.units() - at(lots, place);
        int moved = 0;
        for (GoodsLot lot : lots) {
            for (Map.Entry<String, Integer> from : fromHomeFirst(lot, place)) {
                int some = Math.min(missing - moved, from.getValue());
                if (some > 0) {
                    ledger.move(lot.id(), from.getKey(), GoodsKind.MOVED, -some, "to " + place);
                    ledger.move(lot.id(), place, GoodsKind.MOVED, some, "for " + fair.name());
                    moved += some;
                }
            }
        }
        if (moved < missing) {
            throw RefusedException.conflict("Of “" + lots.get(0).kind().words() + "” there are only "
                    + (line.units() - missing + moved) + ". Take along as many, or count them.");
        }
        line.pack(moved);
    }

    private static List<Map.Entry<String, Integer>> fromHomeFirst(GoodsLot lot, String place) {
        return lot.at().entrySet().stream()
                .filter(at -> !at.getKey().equals(place) && at.getValue() > 0)
                .sorted(Comparator.comparing(
                                (Map.Entry<String, Integer> at) -> !at.getKey().equals(GoodsService.HOME))
                        .thenComparing(Map.Entry::getKey))
                .toList();
    }

    private void takeOut(Fair fair, PackingLine line) {
        String place = fair.form().stallPlace();
        int open = line.movedUnits();
        for (GoodsLot lot : held(line.bagKind())) {
            int some = Math.min(open, lot.at(place));
            if (some > 0) {
                ledger.move(lot.id(), place, GoodsKind.MOVED, -some, "taken out again");
                ledger.move(lot.id(), GoodsService.HOME, GoodsKind.MOVED, some, "from " + place);
                open -= some;
            }
        }
        line.unpack();
    }

    /** The lots of a kind, held, as they are now. */
    private List<GoodsLot> held(String kind) {
        ledger.hold(lots(kind).stream().map(GoodsLot::id).toList());
        return lots(kind);
    }

    private List<GoodsLot> lots(String kind) {
        List<GoodsLot> lots = ledger.ofKindsLeft(List.of(kind)).get(kind);
        if (lots == null) {
            throw RefusedException.missing("There are no such bags, or no longer.");
        }
        return free(lots);
    }

    /** The lots without what is held for somebody. */
    private List<GoodsLot> free(List<GoodsLot> lots) {
        Set<String> held = ledger.held();
        return lots.stream().map(lot -> lot.without(held)).toList();
    }

    private Fair open(FairId id) {
        Fair fair = fairs.forChange(id);
        if (fair.settled().isPresent()) {
            throw RefusedException.conflict("This fair is settled; nothing is packed for it any more.");
        }
        return fair;
    }

    /** How many of each kind went along to a fair. */
    Map<String, PackingLine> list(FairId id) {
        return lines.findByFairIdOrderById(id).stream()
                .collect(Collectors.toMap(PackingLine::bagKind, line -> line, (one, other) -> one, LinkedHashMap::new));
    }
}
