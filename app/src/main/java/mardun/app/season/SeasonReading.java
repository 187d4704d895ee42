package mardun.app.season;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mardun.app.batch.BatchReading;
import mardun.app.channel.KeptChannel;
import mardun.app.channel.PricePlace;
import mardun.app.days.DayPlans;
import mardun.app.design.CostedSize;
import mardun.app.design.FinishedLooks;
import mardun.app.goods.GoodsLedger;
import mardun.app.id.ChannelId;
import mardun.app.id.FairId;
import mardun.app.id.MaterialId;
import mardun.app.material.StockShelves;
import mardun.app.price.ChannelService;
import mardun.app.price.PriceBook;
import mardun.app.problem.FieldReader;
import mardun.app.sale.Sales;
import mardun.app.season.SeasonKinds.Known;
import mardun.app.season.SeasonKinds.SeasonKind;
import mardun.app.season.SeasonViews.SeasonForm;
import mardun.app.season.SeasonViews.SeasonJudgement;
import mardun.app.season.SeasonViews.SeasonLeftOut;
import mardun.app.selling.FairRecords;
import mardun.app.selling.FairRecords.FairRecord;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.shop.ShopReading;
import mardun.core.batch.Need;
import mardun.core.batch.Supply;
import mardun.core.material.Amount;
import mardun.core.material.Counting;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.pricing.Terms;
import mardun.core.season.ComingEvent;
import mardun.core.season.Outlet;
import mardun.core.season.PastEvent;
import mardun.core.season.Season;
import mardun.core.season.SeasonItem;
import mardun.core.season.SeasonLimits;
import org.joda.money.Money;
import org.springframework.stereotype.Component;

/** Puts together what the planner of a season is asked, of what the workroom knows. */
@Component
class SeasonReading {

    private static final int WEEKS_LOOKED_AT = 156;
    private static final int MOST_KINDS = 150;
    private static final int WEEKS_OF_SHOP = 52;
    private static final int DAYS_OF_WEEK = 7;
    private static final double MINOR = 100;
    private static final double NANOMETRES_PER_METRE = 1e9;
    private static final double SQUARE_CENTIMETRES = 1e14;
    private static final Length FLAT = Length.of(3, LengthUnit.CENTIMETRE);

    /** A table shows a third of what goes along; the rest waits under it, and what is flat lies in piles of five. */
    private static final double UNDER_THE_TABLE = 3;

    /** Each further one that is left waits longer for its buyer. */
    private static final double FADING = 0.8;

    private static final double IN_A_PILE = 5;
    private static final int ENDLESS_TABLE = 100_000_000;
    private static final double ANY_MONEY = 1e7;
    private static final double USUAL_DAY = 7;

    private final SeasonKinds kinds;
    private final FairRecords fairs;
    private final Sales sales;
    private final GoodsLedger ledger;
    private final ShopReading shop;
    private final ChannelService channels;
    private final PriceBook prices;
    private final StockShelves shelves;
    private final FinishedLooks looks;
    private final DayPlans days;
    private final BatchReading batches;
    private final SettingsService settings;
    private final Clock clock;

    SeasonReading(
            SeasonKinds kinds,
            FairRecords fairs,
            Sales sales,
            GoodsLedger ledger,
            ShopReading shop,
            ChannelService channels,
            PriceBook prices,
            StockShelves shelves,
            FinishedLooks looks,
            DayPlans days,
            BatchReading batches,
            SettingsService settings,
            Clock clock) {
        this.kinds = kinds;
        this.fairs = fairs;
        this.sales = sales;
        this.ledger = ledger;
        this.shop = shop;
        this.channels = channels;
        this.prices = prices;
        this.shelves = shelves;
        this.looks = looks;
        this.days = days;
        this.batches = batches;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * What is asked, with what it is made of.
     *
     * @param kinds those that may be made, in the order of the season's items
     * @param until the last day that counts
     */
    record Asked(
            Season season,
            List<SeasonKind> kinds,
            List<SeasonLeftOut> leftOut,
            List<FairRecord> fairs,
            LocalDate until,
            Map<String, Material> materials) {}

    /** A material, counted in metres or in pieces. */
    record Material(String name, boolean isByLength) {}

    /** What a maker typed, read. */
    record Typed(OptionalDouble hours, OptionalDouble money, OptionalInt pieces, double keeps, int weeks) {}

    /** The fairs that come. */
    List<FairRecord> coming() {
        return fairs.coming();
    }

    Typed read(SeasonForm form) {
        FieldReader fields = new FieldReader();
        OptionalDouble hours = form.hours().isBlank()
                ? OptionalDouble.empty()
                : OptionalDouble.of(fields.decimal("hours", form.hours(), BigDecimal.ZERO, BigDecimal.valueOf(5_000))
                        .doubleValue());
        OptionalDouble money = form.money().isBlank()
                ? OptionalDouble.empty()
                : OptionalDouble.of(
                        fields.money("money", form.money(), settings.current().currency()) / MINOR);
        OptionalInt pieces = form.pieces().isBlank()
                ? OptionalInt.empty()
                : OptionalInt.of(fields.count("pieces", form.pieces(), 0, 10_000));
        double keeps = fields.decimal("keeps", form.keeps(), BigDecimal.ZERO, BigDecimal.valueOf(100))
                        .doubleValue()
                / 100;
        int weeks = form.weeks().isBlank() ? 0 : fields.count("weeks", form.weeks(), 0, 52);
        fields.check();
        return new Typed(hours, money, pieces, keeps, weeks);
    }

    /** Free hours of the day plan before a day, over what open batches take. */
    Duration freeBefore(LocalDate day) {
        DayPlans.Laid laid = days.lay(batches.openWork());
        return laid.today()
                .datesUntil(day.isBefore(laid.today()) ? laid.today() : day)
                .map(one -> laid.free().worked(one).minus(laid.plan().on(one)))
                .filter(left -> !left.isNegative())
                .reduce(Duration.ZERO, Duration::plus);
    }

    /** The whole of what is asked. */
    Asked asked(SeasonForm form, Typed typed, List<FairRecord> coming) {
        Settings current = settings.current();
        LocalDate today = LocalDate.now(clock);
        List<FairRecord> chosen =
                coming.stream().filter(fair -> form.fairs().contains(fair.id())).toList();
        LocalDate until = chosen.stream()
                .map(FairRecord::endsOn)
                .max(Comparator.naturalOrder())
                .orElse(today.plusWeeks(typed.weeks()));
        Optional<ChannelId> online = shop.channel();
        LocalDate since = today.minusWeeks(WEEKS_LOOKED_AT);
        List<Sales.OnDay> elsewhere = sales.elsewhereSince(since);
        List<FairRecord> past = fairs.past(since);
        Map<FairId, List<Sales.AtFair>> atFairs =
                sales.atFairsSince(since).stream().collect(Collectors.groupingBy(Sales.AtFair::fair));
        Known known = kinds.all();
        Map<String, LocalDate> first = firstSeen(past, atFairs, elsewhere, known);

        KeptChannel fairChannel =
                channels.find(chosen.isEmpty() ? null : chosen.get(0).channelId());
        KeptChannel shopChannel = online.map(channels::find).orElse(fairChannel);
        Map<String, Double> judged = form.judgements().stream()
                .collect(Collectors.toMap(SeasonJudgement::kind, one -> one.percent() / 100.0, (one, other) -> other));
        Map<PricePlace, Money> atFair = prices.asked(fairChannel.id());
        Map<PricePlace, Money> inShop = prices.asked(shopChannel.id());
        Money hourly = current.workroom().hourlyRate();
        Terms fairTerms = fairChannel.channel(hourly).terms().ofUnits(1);
        Terms shopTerms = shopChannel.channel(hourly).terms().ofUnits(1);
        Map<MaterialId, Supply> supplies = supplies(known.byKey().values());

        List<SeasonItem> items = new ArrayList<>();
        List<SeasonKind> planned = new ArrayList<>();
        List<SeasonLeftOut> leftOut = new ArrayList<>();
        Map<String, SeasonLimits.Cloth> shelf = new TreeMap<>();
        Map<String, Material> names = new HashMap<>();
        List<SeasonKind> best = mostSold(known, atFairs, elsewhere);
        int others = known.byKey().size() - best.size();
        if (others > 0) {
            leftOut.add(new SeasonLeftOut(
                    others + " other kinds", "at most " + MOST_KINDS + " are planned at once, and these sold least"));
        }
        for (SeasonKind kind : best) {
            CostedSize size = kind.size();
            Money price = atFair.get(new PricePlace(size.designId(), size.sizeKey(), fairChannel.id()));
            if (size.cost().isEmpty()) {
                leftOut.add(new SeasonLeftOut(
                        kind.words(), "it has no cost yet: something is missing. Its page says what"));
            } else if (licensed(size).filter(most -> most == 0).isPresent()) {
                leftOut.add(new SeasonLeftOut(kind.words(), "the licence of its pattern allows no more to be sold"));
            } else if (price == null || !price.isPositive()) {
                leftOut.add(new SeasonLeftOut(kind.words(), "it has no price"));
            } else {
                Money priceInShop =
                        inShop.getOrDefault(new PricePlace(size.designId(), size.sizeKey(), shopChannel.id()), price);
                double net = net(fairTerms, price);
                planned.add(kind);
                items.add(new SeasonItem(
                        kind.key(),
                        size.designId().key(),
                        size.sort().isBlank() ? size.designName() : size.sort(),
                        size.sizeName(),
                        kind.clothName(),
                        price.getAmountMinorLong() / MINOR,
                        net,
                        net(shopTerms, priceInShop),
                        0,
                        Math.max(0.1, size.time().sewing().toSeconds() / 60.0 / size.units()),
                        size.time().settingUp().toSeconds() / 60.0,
                        takes(kind, supplies, shelf, names),
                        space(size),
                        kind.have(),
                        first.containsKey(kind.key())
                                ? OptionalInt.of(weeksAgo(first.get(kind.key()), today))
                                : OptionalInt.empty(),
                        licensed(size).map(OptionalInt::of).orElse(OptionalInt.empty()),
                        net * typed.keeps(),
                        FADING,
                        judged.getOrDefault(kind.key(), 1.0)));
            }
        }
        Map<String, Integer> places = new HashMap<>();
        items.forEach(item -> places.put(item.id(), places.size()));
        double hours = typed.hours()
                .orElseGet(() -> freeBefore(chosen.stream()
                                        .map(FairRecord::heldOn)
                                        .min(Comparator.naturalOrder())
                                        .orElse(until))
                                .toMinutes()
                        / 60.0);
        List<PastEvent> events = new ArrayList<>();
        past.forEach(fair -> pastFair(fair, atFairs.getOrDefault(fair.id(), List.of()), known, places, items, today)
                .ifPresent(events::add));
        online.ifPresent(channel -> events.addAll(shopWeeks(channel, elsewhere, known, places, items, today)));
        events.sort(Comparator.comparingInt(PastEvent::week));
        return new Asked(
                new Season(
                        items,
                        new SeasonLimits(hours, typed.money().orElse(ANY_MONEY), typed.pieces(), shelf),
                        events,
                        ahead(form.shop() && online.isPresent(), chosen, today, until)),
                planned,
                leftOut,
                chosen,
                until,
                names);
    }

    /** The kinds that sold most, as many as are planned at once. */
    private static List<SeasonKind> mostSold(
            Known known, Map<FairId, List<Sales.AtFair>> atFairs, List<Sales.OnDay> elsewhere) {
        if (known.byKey().size() <= MOST_KINDS) {
            return List.copyOf(known.byKey().values());
        }
        Map<String, Long> sold = new HashMap<>();
        atFairs.values()
                .forEach(some -> some.forEach(one -> sold.merge(known.key(one.kind()), one.units(), Long::sum)));
        elsewhere.forEach(one -> sold.merge(known.key(one.kind()), one.units(), Long::sum));
        return known.byKey().values().stream()
                .sorted(Comparator.comparing(
                        (SeasonKind kind) -> sold.getOrDefault(kind.key(), 0L), Comparator.reverseOrder()))
                .limit(MOST_KINDS)
                .toList();
    }

    /** How many more of a design may be made to be sold; empty for any number. */
    private Optional<Integer> licensed(CostedSize size) {
        return switch (size.source().licence()) {
            case OWN, FREE_TO_SELL -> Optional.empty();
            case NOT_FOR_SALE -> Optional.of(0);
            case SO_MANY -> Optional.of((int) Math.max(0, size.source().most() - batches.unitsOf(size.designId())));
        };
    }

    private static double net(Terms terms, Money price) {
        Terms.Took took = terms.paidByCard(false).took(price);
        return (price.getAmountMinorLong()
                        - took.tax().getAmountMinorLong()
                        - took.fees().getAmountMinorLong())
                / MINOR;
    }

    private static Map<String, LocalDate> firstSeen(
            List<FairRecord> past, Map<FairId, List<Sales.AtFair>> atFairs, List<Sales.OnDay> elsewhere, Known known) {
        Map<String, LocalDate> first = new HashMap<>();
        past.forEach(fair -> {
            fair.brought()
                    .keySet()
                    .forEach(kind -> first.merge(known.key(kind), fair.heldOn(), SeasonReading::earlier));
            atFairs.getOrDefault(fair.id(), List.of())
                    .forEach(sold -> first.merge(known.key(sold.kind()), fair.heldOn(), SeasonReading::earlier));
        });
        elsewhere.forEach(sold -> first.merge(known.key(sold.kind()), sold.day(), SeasonReading::earlier));
        return first;
    }

    private static LocalDate earlier(LocalDate one, LocalDate other) {
        return one.isBefore(other) ? one : other;
    }

    /** Weeks before now, as the core counts them: -1 for the last one. */
    private static int weeksAgo(LocalDate day, LocalDate today) {
        return (int) -Math.max(1, (ChronoUnit.DAYS.between(day, today) + DAYS_OF_WEEK - 1) / DAYS_OF_WEEK);
    }

    /** All materials that the kinds take, by their parts. */
    private Map<MaterialId, Supply> supplies(Iterable<SeasonKind> all) {
        Set<MaterialId> used = new HashSet<>();
        all.forEach(kind -> {
            kind.size()
                    .needs()
                    .forEach(need -> used.add(MaterialId.valueOf(need.supply().key())));
            kind.clothId().ifPresent(used::add);
        });
        StockShelves.Shelves read = shelves.read(used);
        Map<MaterialId, Supply> supplies = new HashMap<>();
        used.forEach(id -> read.supply("", id, null, List.of()).ifPresent(supply -> supplies.put(id, supply)));
        return supplies;
    }

    /** What one takes of each material, in metres or pieces; notes what of it is on the shelf. */
    private static Map<String, Double> takes(
            SeasonKind kind,
            Map<MaterialId, Supply> supplies,
            Map<String, SeasonLimits.Cloth> shelf,
            Map<String, Material> names) {
        Map<String, Double> takes = new TreeMap<>();
        for (Need need : kind.size().needs()) {
            MaterialId usual = MaterialId.valueOf(need.supply().key());
            boolean isOuter = kind.isInOtherCloth()
                    && kind.size().clothId().filter(usual::equals).isPresent();
            MaterialId id = isOuter ? kind.clothId().orElse(usual) : usual;
            Supply supply = supplies.getOrDefault(id, need.supply());
            String name = id.key() + " " + need.part();
            Amount there = supply.stock(need.part()).free();
            takes.merge(name, units(need.amount()) / kind.size().units(), Double::sum);
            names.put(name, new Material(supply.name(), there.counting() == Counting.LENGTH));
            shelf.computeIfAbsent(name, key -> {
                double price = priceOfOne(supply, there);
                return new SeasonLimits.Cloth(Math.max(0, units(there)), OptionalDouble.of(price), price);
            });
        }
        return takes;
    }

    /** An amount in metres where it is a length, else as it is counted. */
    private static double units(Amount amount) {
        return amount.counting() == Counting.LENGTH ? amount.value() / NANOMETRES_PER_METRE : amount.value();
    }

    private static double priceOfOne(Supply supply, Amount like) {
        boolean isLength = like.counting() == Counting.LENGTH;
        Amount one = new Amount(like.counting(), isLength ? (long) NANOMETRES_PER_METRE : 1);
        return supply.price().cost(one).doubleValue() / MINOR;
    }

    /** What one takes of a table, in square centimetres. */
    private int space(CostedSize size) {
        return looks.of(size.designId(), size.sizeKey(), Map.of())
                .map(look -> {
                    boolean lies = FLAT.isLongerThan(look.deep());
                    double area = (double) look.wide().nanometres()
                            * (lies ? look.high() : look.deep()).nanometres()
                            / SQUARE_CENTIMETRES;
                    return (int) Math.max(1, Math.round(lies ? area / IN_A_PILE : area));
                })
                .orElse(1);
    }

    private Optional<PastEvent> pastFair(
            FairRecord fair,
            List<Sales.AtFair> sold,
            Known known,
            Map<String, Integer> places,
            List<SeasonItem> items,
            LocalDate today) {
        Map<String, Sales.AtFair> byKind = sold.stream()
                .collect(Collectors.toMap(
                        one -> known.key(one.kind()),
                        one -> one,
                        (one, other) -> new Sales.AtFair(
                                one.fair(),
                                one.kind(),
                                one.units() + other.units(),
                                one.paidMinor() + other.paidMinor(),
                                one.last().isAfter(other.last()) ? one.last() : other.last())));
        Map<String, Integer> taken = new HashMap<>();
        fair.brought().forEach((kind, units) -> taken.merge(known.key(kind), units, Integer::sum));
        double open = fair.opens().isPresent() && fair.closes().isPresent()
                ? Duration.between(fair.opens().get(), fair.closes().get()).toMinutes() / 60.0
                : USUAL_DAY;
        double hours = open * (ChronoUnit.DAYS.between(fair.heldOn(), fair.endsOn()) + 1);
        Set<String> there = new HashSet<>(taken.keySet());
        there.addAll(byKind.keySet());
        List<PastEvent.Line> lines = new ArrayList<>();
        for (String kind : there) {
            Integer item = places.get(kind);
            if (item != null) {
                Optional<Sales.AtFair> its = Optional.ofNullable(byKind.get(kind));
                int units = its.map(one -> (int) one.units()).orElse(0);
                int brought = Math.max(units, taken.getOrDefault(kind, 0));
                lines.add(new PastEvent.Line(
                        item,
                        brought,
                        units,
                        units == brought && its.isPresent()
                                ? OptionalDouble.of(hoursUntil(its.get().last(), fair, open, hours))
                                : OptionalDouble.empty(),
                        its.filter(one -> one.units() > 0 && one.paidMinor() > 0)
                                .map(one -> one.paidMinor() / MINOR / one.units())
                                .orElse(items.get(item).price())));
            }
        }
        return lines.isEmpty()
                ? Optional.empty()
                : Optional.of(new PastEvent(
                        Outlet.FAIR,
                        fair.series(),
                        weeksAgo(fair.heldOn(), today),
                        fair.heldOn().getMonthValue(),
                        hours,
                        "",
                        !fair.sheltered(),
                        "",
                        lines));
    }

    /** Opening hours from the first opening until a moment. */
    private double hoursUntil(Instant moment, FairRecord fair, double open, double hours) {
        ZoneId zone = clock.getZone();
        LocalDate day = LocalDate.ofInstant(moment, zone);
        LocalTime opens = fair.opens().orElse(LocalTime.of(10, 0));
        double on = Duration.between(opens, LocalTime.ofInstant(moment, zone)).toMinutes() / 60.0;
        double its = Math.max(0, Math.min(open, on)) + open * ChronoUnit.DAYS.between(fair.heldOn(), day);
        return Math.max(0.5, Math.min(hours, its));
    }

    /** The past weeks of the online shop, from its first sale on; all that lay there was on offer, of kinds that it ever sold. */
    private List<PastEvent> shopWeeks(
            ChannelId channel,
            List<Sales.OnDay> elsewhere,
            Known known,
            Map<String, Integer> places,
            List<SeasonItem> items,
            LocalDate today) {
        List<Sales.OnDay> its = elsewhere.stream()
                .filter(one -> one.channel().equals(channel) && places.containsKey(known.key(one.kind())))
                .toList();
        LocalDate longAgo = today.minusWeeks(WEEKS_OF_SHOP);
        Optional<LocalDate> first = its.stream()
                .map(Sales.OnDay::day)
                .min(Comparator.naturalOrder())
                .map(day -> day.isBefore(longAgo) ? longAgo : day);
        if (first.isEmpty()) {
            return List.of();
        }
        Set<String> offered = its.stream().map(one -> known.key(one.kind())).collect(Collectors.toSet());
        LocalDate thisWeek = today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        Map<LocalDate, Map<String, long[]>> sold = new HashMap<>();
        its.forEach(one -> {
            long[] sum = sold.computeIfAbsent(
                            one.day().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)), week -> new HashMap<>())
                    .computeIfAbsent(known.key(one.kind()), kind -> new long[2]);
            sum[0] += one.units();
            sum[1] += one.paidMinor();
        });
        Map<String, Integer> there = new HashMap<>();
        ledger.all()
                .forEach((kind, lots) -> there.put(
                        kind.key(),
                        lots.stream().mapToInt(lot -> lot.together()).sum()));
        Map<LocalDate, Map<String, Integer>> changes = new HashMap<>();
        Instant since = first.get()
                .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
                .atStartOfDay(clock.getZone())
                .toInstant();
        ledger.changesSince(since)
                .forEach(change -> changes.computeIfAbsent(
                                LocalDate.ofInstant(change.at(), clock.getZone())
                                        .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)),
                                week -> new HashMap<>())
                        .merge(known.key(change.kind()), change.units(), Integer::sum));
        List<PastEvent> weeks = new ArrayList<>();
        for (LocalDate week = thisWeek;
                !week.isBefore(first.get().minusDays(DAYS_OF_WEEK - 1));
                week = week.minusWeeks(1)) {
            changes.getOrDefault(week, Map.of()).forEach((kind, units) -> there.merge(kind, -units, Integer::sum));
            if (week.isBefore(thisWeek)) {
                List<PastEvent.Line> lines = new ArrayList<>();
                Map<String, long[]> of = sold.getOrDefault(week, Map.of());
                for (String kind : offered) {
                    long[] sum = of.getOrDefault(kind, new long[2]);
                    int brought = Math.max((int) sum[0], there.getOrDefault(kind, 0));
                    if (brought > 0) {
                        SeasonItem item = items.get(places.get(kind));
                        lines.add(new PastEvent.Line(
                                places.get(kind),
                                brought,
                                (int) sum[0],
                                OptionalDouble.empty(),
                                sum[0] > 0 && sum[1] > 0 ? sum[1] / MINOR / sum[0] : item.price()));
                    }
                }
                if (!lines.isEmpty()) {
                    weeks.add(new PastEvent(
                            Outlet.ONLINE,
                            "",
                            weeksAgo(week, today),
                            week.getMonthValue(),
                            24.0 * DAYS_OF_WEEK,
                            "",
                            false,
                            "",
                            lines));
                }
            }
        }
        return weeks;
    }

    private static List<ComingEvent> ahead(boolean shop, List<FairRecord> chosen, LocalDate today, LocalDate until) {
        List<ComingEvent> ahead = new ArrayList<>();
        int weeks = (int) Math.max(0, (ChronoUnit.DAYS.between(today, until) + DAYS_OF_WEEK - 1) / DAYS_OF_WEEK);
        for (int week = 1; week <= Math.max(1, weeks); week++) {
            LocalDate begins = today.plusWeeks(week - 1);
            if (shop && week <= weeks) {
                ahead.add(new ComingEvent(Outlet.ONLINE, "", week, begins.getMonthValue(), "", false, 0));
            }
            int its = week;
            chosen.stream()
                    .filter(fair -> Math.max(1, -weeksAgo(today, fair.heldOn())) == its)
                    .forEach(fair -> ahead.add(new ComingEvent(
                            Outlet.FAIR,
                            fair.series(),
                            its,
                            fair.heldOn().getMonthValue(),
                            "",
                            !fair.sheltered(),
                            table(fair))));
        }
        return ahead;
    }

    private static int table(FairRecord fair) {
        if (!fair.tableWide().isPositive() || !fair.tableDeep().isPositive()) {
            return ENDLESS_TABLE;
        }
        return (int) (UNDER_THE_TABLE
                * fair.tableWide().nanometres()
                * fair.tableDeep().nanometres()
                / SQUARE_CENTIMETRES);
    }
}
