package mardun.app.demo;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import mardun.app.goods.GoodsService;
import mardun.app.goods.GoodsService.BagsFromBefore;
import mardun.app.id.FairId;
import mardun.app.selling.FairService;
import mardun.app.selling.FairState;
import mardun.app.selling.FairViews.FairForm;
import mardun.app.selling.FairViews.NewFair;
import mardun.app.selling.Footfall;
import mardun.app.selling.PackingService;
import mardun.app.selling.SettlementService;
import mardun.app.selling.StallEntry;
import mardun.app.selling.StallEventKind;
import mardun.app.selling.StallService;
import mardun.app.selling.StallViews.Ended;
import mardun.app.selling.StallViews.GoneForm;
import mardun.app.selling.StallViews.HomeForm;
import mardun.app.selling.StallViews.PackedForm;
import mardun.app.selling.StallViews.PackingForm;
import mardun.app.selling.StallViews.PackingRow;
import mardun.app.selling.StallViews.SettleForm;
import mardun.app.selling.StallViews.SettlementView;
import mardun.app.selling.StallViews.StallTelling;
import mardun.app.selling.StallViews.TileView;
import mardun.app.selling.Weather;
import mardun.core.selling.Tender;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The invented maker's fairs: three years of them behind, one tomorrow that is half packed, some ahead. */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoFairs {

    static final String LANTERN_QUAY = "Lantern Quay";
    static final String WHERRY_LANE = "Wherry Lane market";
    static final String PIER_HALL = "Pier Hall";
    static final String YARD_SALE = "Autumn yard sale";

    private final FairService fairs;
    private final PackingService packing;
    private final StallService stall;
    private final SettlementService settlements;
    private final GoodsService goods;
    private final TravellingClock clock;
    private final Random random = new Random(1604);
    private final UUID tablet = new UUID(1604, 1);

    DemoFairs(
            FairService fairs,
            PackingService packing,
            StallService stall,
            SettlementService settlements,
            GoodsService goods,
            TravellingClock clock) {
        this.fairs = fairs;
        this.packing = packing;
        this.stall = stall;
        this.settlements = settlements;
        this.goods = goods;
        this.clock = clock;
    }

    /** How a fair is gone to: where, for which fee, how far, on which table. */
    private record Way(String place, String fee, String miles, String hours, String wide, String deep) {}

    private static Way way(String name) {
        return switch (name) {
            case LANTERN_QUAY -> new Way("The old ropewalk, Lantern Quay", "65", "48", "1.6", "72 in", "30 in");
            case WHERRY_LANE -> new Way("Wherry Lane, by the lock", "15", "6", "0.4", "72 in", "24 in");
            case PIER_HALL -> new Way("Pier Hall, upper floor", "38", "26", "1", "60 in", "30 in");
            default -> new Way("The yard behind the bakery", "6", "2", "0.2", "48 in", "24 in");
        };
    }

    /** Some of each were taken, as many of the best as said, and the others by how they went; the rest was given to a school. */
    void former(LocalDate day, String name, int taken, int most) {
        clock.on(
                day.minusDays(6),
                () -> FormerBag.ALL.forEach(
                        bag -> goods.enter(bag.made(Math.max(1, bag.share(taken)), day.minusDays(8)))));
        FairId fair = entered(day, name);
        clock.on(day.minusDays(1), () -> pack(fair, "", 1));
        sell(
                day,
                fair,
                tile -> FormerBag.ALL.stream()
                                .filter(bag -> bag.design().equals(tile.bag().design())
                                        && bag.size().equals(tile.bag().size()))
                                .mapToInt(bag -> bag.share(most))
                                .sum()
                        - random.nextInt(2));
        settle(day, fair, true);
    }

    /** The fairs of this season, once its batches are done, and those ahead. */
    void enter(LocalDate today) {
        season(today.minusDays(61), WHERRY_LANE, 6, today);
        season(today.minusDays(35), YARD_SALE, 3, today);
        FairId last = season(today.minusDays(7), PIER_HALL, 3, today);
        clock.on(
                today.minusDays(6),
                () -> note(last, "Upper floor again: bring the trolley, and ask for the corner by the stairs."));
        FairId tomorrow = clock(today.minusDays(20), "Sluice Gate market", today.plusDays(1));
        clock.on(today.minusDays(1), () -> {
            type(
                    tomorrow,
                    FairState.PAID,
                    new Way("Sluice Gate, under the arches", "30", "18", "0.8", "72 in", "24 in"),
                    today);
            packing.propose(tomorrow);
            List<PackingRow> rows = packing.packing(tomorrow).rows().stream()
                    .filter(row -> row.units() > 0)
                    .toList();
            for (int i = 0; i < rows.size(); i++) {
                PackingRow row = rows.get(i);
                packing.enter(
                        tomorrow,
                        new PackingForm(
                                row.bag().key(),
                                Integer.toString(Math.min(row.units(), 4)),
                                i % 2 == 0 ? "1" : "2",
                                ""));
                if (i % 2 == 0) {
                    packing.pack(tomorrow, new PackedForm(row.bag().key(), true));
                }
            }
        });
        FairId quay = clock(today, LANTERN_QUAY, today.plusDays(9));
        clock.on(today, () -> type(quay, FairState.ACCEPTED, way(LANTERN_QUAY), today));
        FairId pier = clock(today, PIER_HALL, today.plusDays(12));
        clock.on(today, () -> type(pier, FairState.APPLIED, way(PIER_HALL), today));
        clock.on(today, () -> goods.enter(hardlyGoing(today)));
    }

    /** Bags that nobody took for half a year. */
    private static BagsFromBefore hardlyGoing(LocalDate today) {
        return new BagsFromBefore(
                "Dipper wash bag", "small", "Reed Stripe", 3, 620, 1800, today.minusDays(200), GoodsService.HOME);
    }

    /** One of many fairs: all is packed, at most so many of each kind go; the rest comes home, or is given away. */
    void busy(LocalDate day, String name, int most, boolean givesAway) {
        FairId fair = entered(day, name);
        clock.on(day.minusDays(1), () -> pack(fair, "", 1));
        sell(day, fair, tile -> most - random.nextInt(most / 2));
        settle(day, fair, givesAway);
    }

    private FairId clock(LocalDate day, String name, LocalDate heldOn) {
        List<FairId> made = new ArrayList<>();
        clock.on(
                day,
                () -> made.add(fairs.create(new NewFair(UUID.randomUUID(), name, heldOn, null, null))
                        .id()));
        return made.get(0);
    }

    private FairId entered(LocalDate day, String name) {
        FairId fair = clock(day.minusDays(30), name, day);
        clock.on(day.minusDays(20), () -> type(fair, FairState.PAID, way(name), day));
        return fair;
    }

    private FairId season(LocalDate day, String name, int sold, LocalDate today) {
        FairId fair = entered(day, name);
        clock.on(day.minusDays(1), () -> pack(fair, "Heron", 2));
        Map<String, Integer> most = new HashMap<>();
        sell(day, fair, tile -> most.computeIfAbsent(tile.bag().key(), key -> sold - most.size() % 3));
        settle(day, fair, false);
        return fair;
    }

    private void type(FairId fair, FairState state, Way way, LocalDate today) {
        FairForm form = fairs.get(fair).form();
        fairs.save(
                fair,
                new FairForm(
                        form.version(),
                        form.name(),
                        form.heldOn(),
                        form.endsOn(),
                        "",
                        state,
                        way.place(),
                        "10:00",
                        "17:00",
                        "2.5",
                        null,
                        way.fee(),
                        state == FairState.ACCEPTED ? form.heldOn().minusDays(4) : null,
                        "",
                        null,
                        way.miles(),
                        "0.45",
                        "",
                        way.hours(),
                        "",
                        "",
                        "8",
                        "",
                        "",
                        "",
                        way.wide(),
                        way.deep(),
                        "40 in",
                        "60 in",
                        false,
                        true,
                        form.name().equals(YARD_SALE) ? Footfall.SMALL : Footfall.MEDIUM,
                        null,
                        null,
                        "stall box",
                        form.notes()));
    }

    /** Packs a part of all bags whose design has these words. */
    private void pack(FairId fair, String words, int share) {
        packing.packing(fair).rows().stream()
                .filter(row -> row.bag().design().contains(words) && row.elsewhere() + row.atStall() >= share)
                .forEach(row -> {
                    int units = (row.elsewhere() + row.atStall() + share - 1) / share;
                    packing.enter(fair, new PackingForm(row.bag().key(), Integer.toString(units), "1", ""));
                    packing.pack(fair, new PackedForm(row.bag().key(), true));
                });
    }

    /** A day at the stall: at most so many of each kind go, most of them for cash. */
    private void sell(LocalDate day, FairId fair, ToIntFunction<TileView> most) {
        clock.on(day, () -> {
            List<StallEntry> entries = new ArrayList<>();
            List<TileView> tiles = stall.stall(fair).tiles();
            for (TileView tile : tiles) {
                int sold = Math.min(tile.left(), most.applyAsInt(tile));
                for (int i = 0; i < sold; i++) {
                    long price = tile.price().minor();
                    boolean isHaggled = random.nextInt(9) == 0;
                    entries.add(new StallEntry(
                            new UUID(random.nextLong(), random.nextLong()),
                            StallEventKind.SOLD,
                            at(day, 10 * 60 + random.nextInt(7 * 60)),
                            List.of(new StallEntry.Bags(tile.bag().key(), 1, price)),
                            random.nextInt(3) == 0 ? Tender.CARD : Tender.CASH,
                            isHaggled ? price - 100 : price,
                            null,
                            "",
                            ""));
                }
            }
            entries.sort(Comparator.comparing(StallEntry::at));
            stall.tell(fair, new StallTelling(tablet, inSets(entries, tiles)));
        });
    }

    /** Every other buyer who pays cash for a tote takes a key fob with it. */
    private static List<StallEntry> inSets(List<StallEntry> entries, List<TileView> tiles) {
        Set<String> totes = keys(tiles, "Tern tote");
        Set<String> fobs = keys(tiles, "Puffin key fob");
        Deque<StallEntry> along = entries.stream()
                .filter(entry -> isOneOf(fobs, entry))
                .collect(Collectors.toCollection(ArrayDeque::new));
        Set<StallEntry> taken = new HashSet<>();
        List<StallEntry> sales = new ArrayList<>();
        boolean takesOne = true;
        for (StallEntry entry : entries) {
            if (isOneOf(totes, entry)) {
                if (takesOne && !along.isEmpty()) {
                    StallEntry fob = along.removeLast();
                    taken.add(fob);
                    sales.add(together(entry, fob));
                } else {
                    sales.add(entry);
                }
                takesOne = !takesOne;
            } else {
                sales.add(entry);
            }
        }
        sales.removeAll(taken);
        return sales;
    }

    private static boolean isOneOf(Set<String> keys, StallEntry entry) {
        return entry.tender() == Tender.CASH
                && keys.contains(entry.bags().get(0).kind());
    }

    private static Set<String> keys(List<TileView> tiles, String design) {
        return tiles.stream()
                .filter(tile -> tile.bag().design().equals(design))
                .map(tile -> tile.bag().key())
                .collect(Collectors.toSet());
    }

    private static StallEntry together(StallEntry one, StallEntry other) {
        return new StallEntry(
                one.id(),
                one.kind(),
                one.at(),
                List.of(one.bags().get(0), other.bags().get(0)),
                one.tender(),
                one.paidMinor() + other.paidMinor(),
                null,
                "",
                "");
    }

    private static Instant at(LocalDate day, int minute) {
        return day.atTime(LocalTime.of(minute / 60, minute % 60))
                .atZone(ZoneId.systemDefault())
                .toInstant();
    }

    /** Counts in the evening; where all has to go, what is left is given away. */
    private void settle(LocalDate day, FairId fair, boolean givesAway) {
        clock.on(day, () -> {
            SettlementView shown = settlements.settlement(fair);
            List<HomeForm> home = new ArrayList<>();
            List<GoneForm> gone = new ArrayList<>();
            shown.home().forEach(row -> {
                boolean goes = givesAway && row.expected() > 0;
                home.add(new HomeForm(row.bag().key(), goes ? "0" : Integer.toString(row.expected())));
                if (goes) {
                    gone.add(new GoneForm(
                            row.bag().key(),
                            Integer.toString(row.expected()),
                            Ended.GIVEN_AWAY,
                            "",
                            "to the school’s raffle"));
                }
            });
            long off = random.nextInt(4) == 0 ? 50 : 0;
            settlements.settle(
                    fair,
                    new SettleForm(
                            UUID.randomUUID(),
                            shown.mark(),
                            amount(shown.cashExpected().minor() + 8_000 - off),
                            "80",
                            "",
                            home,
                            gone,
                            shown.thereHours(),
                            shown.wayHours(),
                            "",
                            null,
                            Weather.values()[day.getDayOfYear() % Weather.values().length],
                            true));
        });
    }

    static String amount(long minor) {
        return minor / 100 + "." + String.format(Locale.ROOT, "%02d", minor % 100);
    }

    private void note(FairId fair, String words) {
        FairForm form = fairs.get(fair).form();
        fairs.save(fair, form.noting(words));
    }
}
