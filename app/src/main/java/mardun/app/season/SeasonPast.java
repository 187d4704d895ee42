package mardun.app.season;

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
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLot;
import mardun.app.id.ChannelId;
import mardun.app.id.FairId;
import mardun.app.sale.Sales;
import mardun.app.season.SeasonKinds.Known;
import mardun.app.selling.FairRecords;
import mardun.app.selling.FairRecords.FairRecord;
import mardun.core.season.Outlet;
import mardun.core.season.PastEvent;
import mardun.core.season.SeasonItem;
import mardun.core.season.SoldTogether;
import org.springframework.stereotype.Component;

/** What was sold at fairs and in the shop, as the planner of a season learns from it. */
@Component
class SeasonPast {

    /** The fairs that are looked at. */
    private static final int WEEKS_OF_FAIRS = 156;

    private static final int WEEKS_OF_SHOP = 52;
    private static final int DAYS_OF_WEEK = 7;
    private static final double USUAL_DAY = 7;
    private static final double SOONEST = 0.5;
    private static final LocalTime USUAL_OPENING = LocalTime.of(10, 0);

    private final FairRecords fairs;
    private final Sales sales;
    private final GoodsLedger ledger;
    private final Clock clock;

    SeasonPast(FairRecords fairs, Sales sales, GoodsLedger ledger, Clock clock) {
        this.fairs = fairs;
        this.sales = sales;
        this.ledger = ledger;
        this.clock = clock;
    }

    /** A footfall or a weather as the core calls it; empty where nobody said. */
    static String word(Optional<? extends Enum<?>> seen) {
        return seen.map(one -> one.name().toLowerCase(Locale.ROOT)).orElse("");
    }

    /** All that was sold, as it was booked. */
    final class Sold {
        private final Known known;
        private final LocalDate today = LocalDate.now(clock);
        private final List<FairRecord> past;
        private final Map<FairId, List<Sales.AtFair>> atFairs;
        private final List<Sales.OnDay> elsewhere;
        private final List<List<Sales.InSale>> saleBySale;

        Sold(Known known) {
            this.known = known;
            LocalDate since = today.minusWeeks(WEEKS_OF_FAIRS);
            past = fairs.past(since);
            atFairs = sales.atFairsSince(since).stream().collect(Collectors.groupingBy(Sales.AtFair::fair));
            elsewhere = sales.elsewhereSince(since);
            saleBySale = sales.saleBySale(since);
        }

        /** Which designs of the season's items sell as sets. */
        List<SoldTogether> together(List<SeasonItem> items) {
            Map<String, String> designs = designs(items);
            return SoldTogether.of(
                    saleBySale.stream().map(sale -> designsIn(sale, designs)).toList(),
                    items.stream().collect(Collectors.toMap(SeasonItem::design, SeasonItem::price, Math::max)));
        }

        private static Map<String, String> designs(List<SeasonItem> items) {
            return items.stream().collect(Collectors.toMap(SeasonItem::id, SeasonItem::design));
        }

        private Set<String> designsIn(List<Sales.InSale> sale, Map<String, String> designs) {
            return sale.stream()
                    .map(one -> designs.get(known.key(one.kind())))
                    .filter(Objects::nonNull)
                    .collect(Collectors.toSet());
        }

        /** What was bought along with other bags and not for itself. */
        private List<Sales.InSale> along(List<SeasonItem> items, List<SoldTogether> together) {
            Map<String, String> designs = designs(items);
            return saleBySale.stream()
                    .flatMap(sale -> {
                        List<String> along = SoldTogether.alongIn(designsIn(sale, designs), together);
                        return sale.stream().filter(one -> along.contains(designs.get(known.key(one.kind()))));
                    })
                    .toList();
        }

        /** The week since which each kind has been on offer, by its key, as the core counts weeks. */
        Map<String, Integer> offeredSince() {
            Map<String, Integer> first = new HashMap<>();
            past.forEach(fair -> {
                int week = weeksAgo(fair.heldOn());
                fair.brought().keySet().forEach(kind -> first.merge(known.key(kind), week, Math::min));
                atFairs.getOrDefault(fair.id(), List.of())
                        .forEach(sold -> first.merge(known.key(sold.kind()), week, Math::min));
            });
            elsewhere.forEach(sold -> first.merge(known.key(sold.kind()), weeksAgo(sold.day()), Math::min));
            return first;
        }

        /** How many of each kind were sold, by its key. */
        Map<String, Long> units() {
            Map<String, Long> units = new HashMap<>();
            atFairs.values()
                    .forEach(some -> some.forEach(one -> units.merge(known.key(one.kind()), one.units(), Long::sum)));
            elsewhere.forEach(one -> units.merge(known.key(one.kind()), one.units(), Long::sum));
            return units;
        }

        /**
         * The fairs and the weeks of the shop, the oldest first.
         *
         * @param online on whose terms the shop sells; empty where there is none
         * @param items of the season, by which lines are told apart
         * @param together what sells as sets: what was bought along isn't among what was sold
         */
        List<PastEvent> events(Optional<ChannelId> online, List<SeasonItem> items, List<SoldTogether> together) {
            List<Sales.InSale> along = along(items, together);
            Map<String, Integer> places = new HashMap<>();
            items.forEach(item -> places.put(item.id(), places.size()));
            List<PastEvent> events = new ArrayList<>();
            Map<FairId, Map<String, Long>> alongAtFairs = along.stream()
                    .filter(one -> one.fair() != null)
                    .collect(Collectors.groupingBy(
                            Sales.InSale::fair,
                            Collectors.groupingBy(
                                    one -> known.key(one.kind()), Collectors.summingLong(Sales.InSale::units))));
            past.forEach(fair -> fair(fair, places, items, alongAtFairs.getOrDefault(fair.id(), Map.of()))
                    .ifPresent(events::add));
            online.ifPresent(channel -> events.addAll(shopWeeks(
                    channel,
                    places,
                    items,
                    along.stream()
                            .filter(one -> one.fair() == null && one.channel().equals(channel))
                            .collect(Collectors.groupingBy(
                                    one -> monday(one.day()),
                                    Collectors.groupingBy(
                                            one -> known.key(one.kind()),
                                            Collectors.summingLong(Sales.InSale::units)))))));
            events.sort(Comparator.comparingInt(PastEvent::week));
            return events;
        }

        /** Weeks before now, as the core counts them: -1 for the last one. */
        private int weeksAgo(LocalDate day) {
            return -SeasonReading.weeks(day, today);
        }

        private Optional<PastEvent> fair(
                FairRecord fair, Map<String, Integer> places, List<SeasonItem> items, Map<String, Long> along) {
            Map<String, Sales.AtFair> byKind = atFairs.getOrDefault(fair.id(), List.of()).stream()
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
                    int withOthers = along.getOrDefault(kind, 0L).intValue();
                    if (brought == withOthers) {
                        continue;
                    }
                    lines.add(new PastEvent.Line(
                            item,
                            brought - withOthers,
                            units - withOthers,
                            units == brought && its.isPresent()
                                    ? OptionalDouble.of(hoursUntil(its.get().last(), fair, open, hours))
                                    : OptionalDouble.empty(),
                            its.filter(one -> one.units() > 0 && one.paidMinor() > 0)
                                    .map(one -> one.paidMinor() / SeasonReading.MINOR / one.units())
                                    .orElse(items.get(item).price())));
                }
            }
            return lines.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new PastEvent(
                            Outlet.FAIR,
                            fair.series(),
                            weeksAgo(fair.heldOn()),
                            fair.heldOn().getMonthValue(),
                            hours,
                            word(fair.footfall()),
                            !fair.sheltered(),
                            word(fair.weather()),
                            lines));
        }

        /** Opening hours from the first opening until a moment. */
        private double hoursUntil(Instant moment, FairRecord fair, double open, double hours) {
            ZoneId zone = clock.getZone();
            LocalDate day = LocalDate.ofInstant(moment, zone);
            LocalTime opens = fair.opens().orElse(USUAL_OPENING);
            double on =
                    Duration.between(opens, LocalTime.ofInstant(moment, zone)).toMinutes() / 60.0;
            double its = Math.max(0, Math.min(open, on)) + open * ChronoUnit.DAYS.between(fair.heldOn(), day);
            return Math.max(SOONEST, Math.min(hours, its));
        }

        /** The past weeks of the online shop, from its first sale on; all that lay there was on offer, of kinds that it ever sold. */
        private List<PastEvent> shopWeeks(
                ChannelId channel,
                Map<String, Integer> places,
                List<SeasonItem> items,
                Map<LocalDate, Map<String, Long>> along) {
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
            LocalDate thisWeek = monday(today);
            Map<LocalDate, Map<String, long[]>> sold = new HashMap<>();
            its.forEach(one -> {
                long[] sum = sold.computeIfAbsent(monday(one.day()), week -> new HashMap<>())
                        .computeIfAbsent(known.key(one.kind()), kind -> new long[2]);
                sum[0] += one.units();
                sum[1] += one.paidMinor();
            });
            Map<String, Integer> there = new HashMap<>();
            ledger.there()
                    .forEach((kind, lots) -> there.merge(
                            known.key(kind.key()),
                            lots.stream().mapToInt(GoodsLot::together).sum(),
                            Integer::sum));
            Map<LocalDate, Map<String, Integer>> changes = new HashMap<>();
            Instant since = monday(first.get()).atStartOfDay(clock.getZone()).toInstant();
            ledger.changesSince(since)
                    .forEach(change -> changes.computeIfAbsent(
                                    monday(LocalDate.ofInstant(change.at(), clock.getZone())), week -> new HashMap<>())
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
                        int withOthers = along.getOrDefault(week, Map.of())
                                .getOrDefault(kind, 0L)
                                .intValue();
                        int brought = Math.max((int) sum[0], there.getOrDefault(kind, 0)) - withOthers;
                        if (brought > 0) {
                            SeasonItem item = items.get(places.get(kind));
                            lines.add(new PastEvent.Line(
                                    places.get(kind),
                                    brought,
                                    (int) sum[0] - withOthers,
                                    OptionalDouble.empty(),
                                    sum[0] > 0 && sum[1] > 0 ? sum[1] / SeasonReading.MINOR / sum[0] : item.price()));
                        }
                    }
                    if (!lines.isEmpty()) {
                        weeks.add(new PastEvent(
                                Outlet.ONLINE,
                                "",
                                weeksAgo(week),
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

        private static LocalDate monday(LocalDate day) {
            return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        }
    }
}
