package mardun.app.sale;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mardun.app.id.FairId;
import mardun.app.sale.Sales.KindSold;
import mardun.app.sale.SalesBook.Entry;
import mardun.app.sale.SalesBook.Row;
import mardun.app.sale.SalesBook.SoldLine;
import mardun.app.stored.Months;
import mardun.app.stored.RememberedApart;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The sales of each month and of each fair as they are read, remembered until one of them is booked, taken back or made clear. */
@Component
class KnownSales {

    /** Ten years of thirty fairs. */
    private static final int FAIRS = 300;

    private final SaleRepository sales;
    private final SaleLineRepository lines;
    private final Months<Numbered<Entry>> sold = new Months<>(sale -> sale.it().day());
    private final Months<Numbered<SoldLine>> bags =
            new Months<>(line -> line.it().day());
    private final RememberedApart<FairId, List<KindSold>> kinds = new RememberedApart<>(FAIRS);

    KnownSales(SaleRepository sales, SaleLineRepository lines) {
        this.sales = sales;
        this.lines = lines;
    }

    /** Something of a sale, with the number that says when it was booked. */
    record Numbered<T>(long number, T it) {}

    /**
     * The caller's transaction writes a sale of a day.
     *
     * @param fair where it was made; absent where it wasn't at a fair
     */
    void writes(LocalDate day, @Nullable FairId fair) {
        sold.writes(day);
        bags.writes(day);
        if (fair != null) {
            kinds.writes(fair);
        }
    }

    /** How many of each kind were sold at some fairs. */
    List<KindSold> kinds(Collection<FairId> fairs) {
        return kinds
                .get(List.copyOf(fairs), some -> {
                    Map<FairId, List<KindSold>> found = new HashMap<>();
                    some.forEach(fair -> found.put(fair, new ArrayList<>()));
                    lines.kinds(some).forEach(one -> found.get(one.fair()).add(one));
                    return found;
                })
                .stream()
                .flatMap(List::stream)
                .toList();
    }

    /** The sales from a day until before another, in the order in which they were booked. */
    List<Entry> sales(LocalDate from, LocalDate until) {
        return inOrder(sold.between(from, until, sales::between));
    }

    /** The bags of the sales from a day until before another, in the order in which they were booked. */
    List<SoldLine> lines(LocalDate from, LocalDate until) {
        return inOrder(bags(from, until));
    }

    /** The same, those of a sale together. */
    Collection<List<SoldLine>> saleBySale(LocalDate from, LocalDate until) {
        return bags(from, until).stream()
                .collect(Collectors.groupingBy(
                        Numbered::number, TreeMap::new, Collectors.mapping(Numbered::it, Collectors.toList())))
                .values();
    }

    private List<Numbered<SoldLine>> bags(LocalDate from, LocalDate until) {
        return bags.between(from, until, (first, end) -> shared(lines.between(first, end)));
    }

    /** Months follow one another; a sale that was told late was booked after those of later months. */
    private static <T> List<T> inOrder(List<Numbered<T>> some) {
        return some.stream()
                .sorted(Comparator.comparingLong(Numbered::number))
                .map(Numbered::it)
                .toList();
    }

    /** The bags of sales, those of a sale together, with what came off it shared by them. */
    private static List<Numbered<SoldLine>> shared(List<Row> rows) {
        List<Numbered<SoldLine>> shared = new ArrayList<>();
        int from = 0;
        while (from < rows.size()) {
            long number = rows.get(from).number();
            int until = from;
            while (until < rows.size() && rows.get(until).number() == number) {
                until++;
            }
            SalesBook.shared(rows.subList(from, until)).forEach(line -> shared.add(new Numbered<>(number, line)));
            from = until;
        }
        return shared;
    }
}
