package mardun.app.quote;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import mardun.app.batch.BatchEntry;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.RefusedException;
import mardun.app.quote.CustomerOrderViews.CustomerOrderView;
import mardun.app.quote.QuoteViews.QuoteForm;
import mardun.app.quote.QuoteViews.QuoteStep;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What is kept of the person who asked: given out on request, and forgotten on request, while all figures stay. */
@Component
class Customers {

    private final QuoteRepository quotes;
    private final CustomerOrderRepository orders;
    private final OrderService orderService;
    private final BatchEntry batches;

    Customers(QuoteRepository quotes, CustomerOrderRepository orders, OrderService orderService, BatchEntry batches) {
        this.quotes = quotes;
        this.orders = orders;
        this.orderService = orderService;
        this.batches = batches;
    }

    /**
     * All that is kept of a person in a quote and its order.
     *
     * @param asked the quote as it was typed last
     * @param order absent where none came of it
     */
    public record CustomerRecord(
            String who,
            String reach,
            QuoteForm asked,
            List<GivenRecord> given,
            @Nullable CustomerOrderView order) {}

    /** A version of the quote that was given to the person. */
    public record GivenRecord(
            int number, LocalDate givenOn, LocalDate validUntil, QuoteForm asked, long totalMinor, String currency) {}

    @Transactional(readOnly = true)
    public CustomerRecord record(long quoteId) {
        Quote quote = quotes.findById(quoteId).orElseThrow(QuoteService::none);
        return new CustomerRecord(
                quote.form().who(),
                quote.form().reach(),
                quote.form(),
                quote.versions().stream().map(Customers::given).toList(),
                orders.findByQuoteId(quoteId).map(orderService::view).orElse(null));
    }

    private static GivenRecord given(QuoteVersion version) {
        GivenPaper paper = version.paper();
        return new GivenRecord(
                version.number(),
                paper.givenOn(),
                paper.validUntil(),
                paper.form(),
                paper.totalMinor(),
                paper.currency());
    }

    /**
     * Forgets who asked: the name, how to reach them, what was said, and the words of their wishes. What was agreed and paid stays.
     *
     * @throws RefusedException as long as the quote isn't decided, or its order is open
     */
    @Transactional
    public void forget(long quoteId, QuoteStep step) {
        Quote quote = quotes.findForChange(quoteId).orElseThrow(QuoteService::none);
        ChangedMeanwhileException.check("This quote", step.version(), quote.version());
        Optional<CustomerOrder> order = orders.findByQuoteId(quoteId);
        Optional<String> forWhat = order.map(QuoteAcceptance::forWhat);
        order.ifPresent(orderService::forget);
        quote.forget();
        quotes.saveAndFlush(quote);
        order.ifPresent(its -> {
            String nameless = "Order " + its.id();
            its.batchId().ifPresent(batch -> batches.rename(batch, nameless));
            // Batches that were split off it are called as it was.
            forWhat.ifPresent(called -> batches.rename(called, nameless));
        });
    }
}
