package mardun.app.quote;

import java.util.Optional;
import mardun.app.quote.QuoteReckoning.Asked;
import mardun.app.quote.QuoteReckoning.Line;
import mardun.app.quote.QuoteReckoning.Reckoned;
import mardun.app.quote.QuoteViews.ByNumber;
import mardun.app.quote.QuoteViews.QuoteFigures;
import mardun.app.quote.QuoteViews.QuoteLineFigures;
import mardun.app.show.ViewWriter;
import org.joda.money.Money;

/** What a quote comes to, as it is shown. */
final class FiguresWriter {

    private static final double PERCENT = 100;

    private FiguresWriter() {}

    static QuoteFigures figures(Reckoned reckoned, ViewWriter writer) {
        Optional<Money> total = reckoned.order().total();
        return new QuoteFigures(
                reckoned.lines().stream().map(line -> figures(line, writer)).toList(),
                total.map(writer::money).orElse(null),
                reckoned.deposit().map(writer::money).orElse(null),
                total.map(all -> writer.money(all.minus(reckoned.deposit().orElseThrow())))
                        .orElse(null),
                reckoned.order()
                        .given()
                        .filter(Money::isPositive)
                        .map(writer::money)
                        .orElse(null),
                writer.time(reckoned.order().time()),
                reckoned.order().perHour().map(writer::money).orElse(null),
                reckoned.promise().ready().orElse(null),
                reckoned.promise().likely().orElse(null),
                reckoned.promise()
                        .sure()
                        .map(share -> (int) Math.round(PERCENT * share))
                        .orElse(null),
                reckoned.toBuy());
    }

    private static QuoteLineFigures figures(Line line, ViewWriter writer) {
        Asked asked = line.asked();
        return new QuoteLineFigures(
                line.design(),
                line.size(),
                line.cloth(),
                line.picture().orElse(null),
                line.photo().orElse(null),
                asked.units(),
                problem(line, writer).orElse(null),
                asked.takes().map(takes -> writer.money(takes.full())).orElse(null),
                asked.quoted()
                        .flatMap(quoted -> quoted.usual())
                        .map(writer::money)
                        .orElse(null),
                asked.quoted()
                        .map(quoted -> writer.money(quoted.priced().price()))
                        .orElse(null),
                asked.quoted()
                        .map(quoted -> writer.money(quoted.priced().buyerPays()))
                        .orElse(null),
                asked.line().total().map(writer::money).orElse(null),
                asked.quoted()
                        .map(quoted -> writer.money(quoted.priced().left()))
                        .orElse(null),
                asked.quoted()
                        .flatMap(quoted -> quoted.priced().perHour())
                        .map(writer::money)
                        .orElse(null),
                writer.time(asked.line().each()),
                line.others().stream()
                        .flatMap(other -> byNumber(other, writer).stream())
                        .toList());
    }

    private static Optional<ByNumber> byNumber(Asked other, ViewWriter writer) {
        return other.quoted()
                .map(quoted -> new ByNumber(
                        other.units(),
                        writer.money(other.takes().orElseThrow().full()),
                        writer.money(quoted.priced().price()),
                        writer.money(quoted.priced().buyerPays()),
                        quoted.priced().perHour().map(writer::money).orElse(null)));
    }

    /** Why a line has no price. */
    static Optional<String> problem(Line line, ViewWriter writer) {
        if (line.asked().quoted().isPresent()) {
            return Optional.empty();
        }
        return Optional.of(line.problem()
                .map(finding -> writer.sentence(finding.what()) + " " + writer.sentence(finding.remedy()))
                .orElse(
                        line.asked().takes().isEmpty()
                                ? "Something is missing in this bag’s materials, so it has no cost yet."
                                : "The way you come to prices gives none here. Type one."));
    }
}
