package mardun.app.quote;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.UsesMaterials;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.Days;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.quote.GivenPaper.GivenLine;
import mardun.app.quote.GivenPaper.Other;
import mardun.app.quote.QuoteReckoning.Asked;
import mardun.app.quote.QuoteReckoning.Line;
import mardun.app.quote.QuoteReckoning.Reckoned;
import mardun.app.quote.QuoteViews.AgreedNumbers;
import mardun.app.quote.QuoteViews.DeclineForm;
import mardun.app.quote.QuoteViews.QuoteFigures;
import mardun.app.quote.QuoteViews.QuoteForm;
import mardun.app.quote.QuoteViews.QuotePaperForm;
import mardun.app.quote.QuoteViews.QuoteRow;
import mardun.app.quote.QuoteViews.QuoteState;
import mardun.app.quote.QuoteViews.QuoteStep;
import mardun.app.quote.QuoteViews.QuoteVersionView;
import mardun.app.quote.QuoteViews.QuoteView;
import mardun.app.request.OnceOnly;
import mardun.app.settings.HoldsMoney;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Quotes for private orders, from the first figures to the order and its batch. */
@Service
public class QuoteService implements HoldsMoney, UsesMaterials {

    private static final int SHOWN = 200;
    private static final int MOST_DAYS = 730;

    private final QuoteRepository quotes;
    private final CustomerOrderRepository orders;
    private final OrderService orderService;
    private final QuotePaperRepository papers;
    private final QuoteReckoning reckoning;
    private final DesignService designs;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    QuoteService(
            QuoteRepository quotes,
            CustomerOrderRepository orders,
            OrderService orderService,
            QuotePaperRepository papers,
            QuoteReckoning reckoning,
            DesignService designs,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.quotes = quotes;
        this.orders = orders;
        this.orderService = orderService;
        this.papers = papers;
        this.reckoning = reckoning;
        this.designs = designs;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    @Override
    @Transactional(readOnly = true)
    public boolean holdsMoney() {
        return quotes.count() > 0;
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<String> useOfMaterial(MaterialId materialId) {
        return quotes.findByStateIn(List.of(QuoteState.DRAFT, QuoteState.GIVEN)).stream()
                .filter(quote -> quote.form().lines().stream()
                        .flatMap(line -> line.materials().stream())
                        .anyMatch(choice -> choice.materialId().equals(materialId)))
                .findFirst()
                .map(quote -> "Quote " + quote.id() + " for " + quote.form().who());
    }

    /** The latest quotes. */
    @Transactional(readOnly = true)
    public List<QuoteRow> list() {
        Settings current = settings.current();
        Map<DesignId, String> names =
                designs.names().stream().collect(Collectors.toMap(DesignName::id, DesignName::name));
        return quotes.findAllByOrderByIdDesc(PageRequest.of(0, SHOWN)).stream()
                .map(quote -> row(quote, names, current))
                .toList();
    }

    private QuoteRow row(Quote quote, Map<DesignId, String> names, Settings current) {
        Optional<QuoteVersion> last = quote.last();
        return new QuoteRow(
                quote.id(),
                quote.state(),
                quote.form().who(),
                quote.form().lines().stream()
                        .map(line -> line.units() + " × "
                                + designs.latest(line.designId()).name())
                        .collect(Collectors.joining("; ")),
                quote.versions().size(),
                last.map(version -> current.writer().money(version.paper().totalMinor()))
                        .orElse(null),
                last.map(version -> version.paper().givenOn()).orElse(null),
                last.map(version -> version.paper().validUntil()).orElse(null),
                last.filter(this::isOver).isPresent(),
                quote.form().by());
    }

    private boolean isOver(QuoteVersion version) {
        return version.paper().validUntil().isBefore(LocalDate.now(clock));
    }

    @Transactional(readOnly = true)
    public QuoteView get(long id) {
        Settings current = settings.current();
        Quote quote = quotes.findById(id).orElseThrow(QuoteService::none);
        QuoteForm form = withVersion(quote.form(), quote.version());
        Today today = quote.isDecided() ? Today.NOTHING : today(form, current);
        return new QuoteView(
                quote.id(),
                quote.state(),
                form,
                today.figures(),
                today.trouble(),
                quote.versions().stream().map(version -> view(version, current)).toList(),
                quote.last()
                        .map(last -> !withVersion(last.paper().form(), 0).equals(withVersion(quote.form(), 0)))
                        .orElse(true),
                quote.reason(),
                orders.findByQuoteId(id).map(orderService::view).orElse(null),
                quote.isForgotten());
    }

    /** What a quote comes to today, or why that can't be said: a stored quote is shown whatever became of its designs. */
    private record Today(
            @Nullable QuoteFigures figures, @Nullable String trouble) {

        static final Today NOTHING = new Today(null, null);
    }

    private Today today(QuoteForm form, Settings current) {
        try {
            return new Today(FiguresWriter.figures(reckoning.ofStored(form, current), current.writer()), null);
        } catch (RefusedException refused) {
            return new Today(
                    null,
                    refused.problems().stream()
                            .map(FieldProblem::sentence)
                            .findFirst()
                            .orElse(refused.getMessage()));
        }
    }

    private static QuoteForm withVersion(QuoteForm form, long version) {
        return new QuoteForm(
                form.requestId(),
                version,
                form.who(),
                form.reach(),
                form.by(),
                form.channelId(),
                form.favour(),
                form.deposit(),
                form.validUntil(),
                form.note(),
                form.lines());
    }

    private QuoteVersionView view(QuoteVersion version, Settings current) {
        GivenPaper paper = version.paper();
        return new QuoteVersionView(
                version.number(),
                paper.givenOn(),
                current.writer().money(paper.totalMinor()),
                paper.validUntil(),
                isOver(version),
                paper.lines().stream()
                        .map(line -> new AgreedNumbers(
                                line.about(),
                                line.units(),
                                line.others().stream().map(Other::units).toList()))
                        .toList());
    }

    /** What a quote that is being typed comes to. */
    @Transactional(readOnly = true)
    public QuoteFigures preview(QuoteForm form) {
        Settings current = settings.current();
        return FiguresWriter.figures(reckoning.of(form, current), current.writer());
    }

    /** Begins a quote; sent twice, one. */
    public long begin(QuoteForm form) {
        return onceOnly.make(form.requestId(), "quote", form, () -> {
            reckoning.of(form, settings.current());
            return quotes.saveAndFlush(new Quote(clock.instant(), form)).id();
        });
    }

    /** Changes it; what was given to the customer before stays as it was. */
    @Transactional
    public void change(long id, QuoteForm form) {
        Quote quote = forChange(id, form.version());
        reckoning.of(form, settings.current());
        quote.enter(form);
        quotes.saveAndFlush(quote);
    }

    private Quote forChange(long id, long version) {
        Quote quote = quotes.findForChange(id).orElseThrow(QuoteService::none);
        ChangedMeanwhileException.check("This quote", version, quote.version());
        return quote;
    }

    static RefusedException none() {
        return RefusedException.missing("There is no such quote, or no longer.");
    }

    /** Gives it to the customer as it stands: from now on that version stays as it is. */
    @Transactional
    public void give(long id, QuoteStep step) {
        Settings current = settings.current();
        Quote quote = forChange(id, step.version());
        Reckoned reckoned = reckoning.of(quote.form(), current);
        Money total = reckoned.order()
                .total()
                .orElseThrow(() -> RefusedException.conflict(reckoned.lines().stream()
                        .flatMap(line ->
                                FiguresWriter.problem(line, current.writer())
                                        .map(why -> line.design() + ": " + why)
                                        .stream())
                        .findFirst()
                        .orElse("Not all of it has a price yet.")));
        QuotePaper paper = papers.findById(QuotePaper.ONE).orElseThrow();
        LocalDate today = LocalDate.now(clock);
        LocalDate until = Optional.ofNullable(quote.form().validUntil()).orElse(today.plusDays(paper.validDays()));
        if (until.isBefore(today)) {
            throw RefusedException.conflict(
                    "This quote would be valid until " + Days.words(until) + ", which is over. Choose a day to come.");
        }
        quote.give(
                new GivenPaper(
                        quote.form(),
                        current.currency().getCode(),
                        paper.heading(),
                        paper.terms(),
                        today,
                        until,
                        reckoned.promise().likely().orElse(null),
                        IntStream.range(0, reckoned.lines().size())
                                .mapToObj(i -> given(reckoned.lines().get(i), quote.form(), i))
                                .toList(),
                        total.getAmountMinorLong(),
                        reckoned.depositShare(),
                        reckoned.deposit().orElseThrow().getAmountMinorLong()),
                clock.instant());
        quotes.saveAndFlush(quote);
    }

    private static GivenLine given(Line line, QuoteForm form, int i) {
        Other asked = other(line.asked());
        return new GivenLine(
                line.size().isEmpty() ? line.design() : line.design() + ", " + line.size(),
                line.cloth(),
                line.picture().orElse(null),
                form.lines().get(i).wish().strip(),
                asked.units(),
                asked.priceMinor(),
                asked.paysMinor(),
                line.others().stream()
                        .filter(one -> one.quoted().isPresent())
                        .map(QuoteService::other)
                        .toList());
    }

    private static Other other(Asked asked) {
        return new Other(
                asked.units(),
                asked.quoted().orElseThrow().priced().price().getAmountMinorLong(),
                asked.quoted().orElseThrow().priced().buyerPays().getAmountMinorLong());
    }

    /** A version as it was given, on paper. */
    @Transactional(readOnly = true)
    public byte[] pdf(long id, int number) {
        Quote quote = quotes.findById(id).orElseThrow(QuoteService::none);
        return QuoteSheet.pdf(id, number, quote.version(number).paper(), settings.current());
    }

    /** The customer doesn't want it; why is kept. */
    @Transactional
    public void decline(long id, DeclineForm form) {
        Quote quote = forChange(id, form.version());
        quote.decline(form.reason().strip(), clock.instant());
        quotes.saveAndFlush(quote);
    }

    /** The customer came back. */
    @Transactional
    public void openAgain(long id, QuoteStep step) {
        Quote quote = forChange(id, step.version());
        quote.openAgain();
        quotes.saveAndFlush(quote);
    }

    /** What stands on every quote. */
    @Transactional(readOnly = true)
    public QuotePaperForm paper() {
        QuotePaper paper = papers.findById(QuotePaper.ONE).orElseThrow();
        return new QuotePaperForm(
                paper.version(),
                paper.heading(),
                paper.terms(),
                paper.depositPercent(),
                Integer.toString(paper.validDays()));
    }

    @Transactional
    public void changePaper(QuotePaperForm form) {
        QuotePaper paper = papers.findById(QuotePaper.ONE).orElseThrow();
        ChangedMeanwhileException.check("What stands on quotes", form.version(), paper.version());
        FieldReader fields = new FieldReader();
        if (!form.deposit().isBlank()) {
            fields.decimal("deposit", form.deposit(), BigDecimal.ZERO, BigDecimal.valueOf(100));
        }
        int days = fields.count("validDays", form.validDays(), 1, MOST_DAYS);
        fields.check();
        paper.enter(form.heading().strip(), form.terms().strip(), form.deposit().strip(), days);
        papers.saveAndFlush(paper);
    }
}
