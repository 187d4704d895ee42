package mardun.app.sale;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mardun.app.sale.SalesBook.Entry;
import mardun.app.sale.SalesBook.Row;
import mardun.app.sale.SalesBook.SoldLine;
import mardun.app.stored.Months;
import org.springframework.stereotype.Component;

/** The sales of each month as they are read over days, remembered until one of that month is booked, taken back or made clear. */
@Component
class SalesByMonth {

    private final SaleRepository sales;
    private final SaleLineRepository lines;
    private final Months<Numbered<Entry>> sold = new Months<>(sale -> sale.it().day());
    private final Months<Numbered<SoldLine>> bags =
            new Months<>(line -> line.it().day());

    SalesByMonth(SaleRepository sales, SaleLineRepository lines) {
        this.sales = sales;
        this.lines = lines;
    }

    /** Something of a sale, with the number that says when it was booked. */
    record Numbered<T>(long number, T it) {}

    /** The caller's transaction writes a sale of a day. */
    void writes(LocalDate day) {
        sold.writes(day);
        bags.writes(day);
    }

    /** The sales from a day until before another, in the order in which they were booked. */
    List<Entry> sales(LocalDate from, LocalDate until) {
        return inOrder(sold.between(from, until, sales::between));
    }

    /** The bags of the sales from a day until before another, in the order in which they were booked. */
    List<SoldLine> lines(LocalDate from, LocalDate until) {
        return inOrder(bags.between(from, until, (first, end) -> shared(lines.between(first, end))));
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
