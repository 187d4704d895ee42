package mardun.app.year;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.LocalDate;
import java.time.YearMonth;
import mardun.app.problem.Days;
import mardun.app.settings.Settings;
import mardun.app.show.ViewWriter;
import mardun.app.year.YearViews.FigureCell;
import mardun.app.year.YearViews.FigureColumn;
import mardun.core.working.Figure;
import org.joda.money.Money;

/** Writes the cells of tables in the maker's way. */
final class Cells {

    private static final BigDecimal SECONDS_PER_HOUR = BigDecimal.valueOf(3600);

    private final ViewWriter writer;
    private final Settings current;

    Cells(Settings current) {
        this.current = current;
        this.writer = current.writer();
    }

    static FigureColumn words(String name) {
        return new FigureColumn(name, "", false);
    }

    static FigureColumn figure(String name) {
        return new FigureColumn(name, "", true);
    }

    static FigureColumn hours(String name) {
        return new FigureColumn(name, "hours", true);
    }

    static FigureColumn percent(String name) {
        return new FigureColumn(name, "%", true);
    }

    FigureColumn money(String name) {
        return new FigureColumn(name, current.currency().getCode(), true);
    }

    static FigureCell none() {
        return new FigureCell("", "", null, null);
    }

    static FigureCell text(String words) {
        return new FigureCell(words, words, null, null);
    }

    static FigureCell day(LocalDate day) {
        return new FigureCell(Days.words(day), day.toString(), null, null);
    }

    static FigureCell month(YearMonth month) {
        return new FigureCell(YearSpan.words(month), month.toString(), null, null);
    }

    static FigureCell count(long count) {
        return new FigureCell(Long.toString(count), Long.toString(count), (double) count, null);
    }

    static FigureCell percentage(int percent) {
        return new FigureCell(percent + " %", Integer.toString(percent), (double) percent, null);
    }

    FigureCell decimal(BigDecimal number) {
        return new FigureCell(writer.decimal(number), number.toPlainString(), number.doubleValue(), null);
    }

    FigureCell money(long minor) {
        return new FigureCell(amount(minor), plain(minor), (double) minor, null);
    }

    FigureCell money(Money money) {
        return money(money.getAmountMinorLong());
    }

    FigureCell money(Figure<Money> figure) {
        long minor = figure.value().getAmountMinorLong();
        return new FigureCell(amount(minor), plain(minor), (double) minor, writer.working(figure.working()));
    }

    FigureCell time(Duration time) {
        return new FigureCell(
                writer.time(time).text(),
                BigDecimal.valueOf(time.toSeconds())
                        .divide(SECONDS_PER_HOUR, 2, RoundingMode.HALF_UP)
                        .toPlainString(),
                (double) time.toSeconds(),
                null);
    }

    /** Money as it is read. */
    String amount(long minor) {
        return writer.money(minor).amount();
    }

    String amount(Money money) {
        return writer.money(money).amount();
    }

    private String plain(long minor) {
        return current.money(minor).getAmount().toPlainString();
    }
}
