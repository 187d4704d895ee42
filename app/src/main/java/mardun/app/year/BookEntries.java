package mardun.app.year;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import mardun.app.log.BenchLog;
import mardun.app.log.BenchLog.Worked;
import mardun.app.material.Purchases;
import mardun.app.material.Purchases.Purchase;
import mardun.app.quote.KeptDeposits;
import mardun.app.quote.KeptDeposits.KeptDeposit;
import mardun.app.sale.SalesBook;
import mardun.app.sale.SalesBook.Entry;
import mardun.app.selling.FairRecords;
import mardun.app.selling.FairRecords.FairLeft;
import org.springframework.stereotype.Component;

/** Reads what the books of some days hold. */
@Component
class BookEntries {

    private final SalesBook sales;
    private final KeptDeposits deposits;
    private final Purchases purchases;
    private final FairRecords fairs;
    private final BenchLog log;
    private final Clock clock;

    BookEntries(
            SalesBook sales, KeptDeposits deposits, Purchases purchases, FairRecords fairs, BenchLog log, Clock clock) {
        this.sales = sales;
        this.deposits = deposits;
        this.purchases = purchases;
        this.fairs = fairs;
        this.log = log;
        this.clock = clock;
    }

    /** Hands-on time at the bench on a day. */
    record AtBench(LocalDate day, Duration time) {}

    /** All entries of some days, the oldest first. A fair is in the books on its first day. */
    record Entries(
            List<Entry> sales,
            List<KeptDeposit> deposits,
            List<Purchase> purchases,
            List<FairLeft> fairs,
            List<AtBench> bench) {

        Entries on(Predicate<LocalDate> days) {
            return new Entries(
                    sales.stream().filter(one -> days.test(one.day())).toList(),
                    deposits.stream().filter(one -> days.test(one.day())).toList(),
                    purchases.stream().filter(one -> days.test(one.day())).toList(),
                    fairs.stream().filter(one -> days.test(one.heldOn())).toList(),
                    bench.stream().filter(one -> days.test(one.day())).toList());
        }

        long paid() {
            return sales.stream().mapToLong(Entry::paidMinor).sum();
        }

        long kept() {
            return deposits.stream().mapToLong(KeptDeposit::minor).sum();
        }

        long tax() {
            return sales.stream().mapToLong(Entry::taxMinor).sum();
        }

        long fees() {
            return sales.stream().mapToLong(Entry::feesMinor).sum();
        }

        long bought() {
            return purchases.stream().mapToLong(Purchase::paidMinor).sum();
        }

        long travel() {
            return fairs.stream().mapToLong(BookEntries::travel).sum();
        }

        /** What going to fairs cost beside travel. */
        long fairCosts() {
            return fairs.stream()
                    .mapToLong(fair -> fair.costs().together().getAmountMinorLong() - BookEntries.travel(fair))
                    .sum();
        }

        Duration benchTime() {
            return bench.stream().map(AtBench::time).reduce(Duration.ZERO, Duration::plus);
        }

        Duration fairTime() {
            return fairs.stream().map(BookEntries::away).reduce(Duration.ZERO, Duration::plus);
        }
    }

    private static long travel(FairLeft fair) {
        return fair.costs().travel().getAmountMinorLong();
    }

    /** At the stall and on the way. */
    static Duration away(FairLeft fair) {
        return fair.there().plus(fair.onTheWay());
    }

    Entries between(LocalDate from, LocalDate until) {
        return new Entries(
                sales.sales(from, until),
                deposits.between(from, until),
                purchases.between(from, until),
                fairs.left(from, until),
                bench(from, until));
    }

    private List<AtBench> bench(LocalDate from, LocalDate until) {
        Map<LocalDate, Duration> byDay = log.worked(from, until).stream()
                .collect(Collectors.groupingBy(
                        Worked::day, TreeMap::new, Collectors.reducing(Duration.ZERO, Worked::time, Duration::plus)));
        return byDay.entrySet().stream()
                .map(day -> new AtBench(day.getKey(), day.getValue()))
                .toList();
    }
}
