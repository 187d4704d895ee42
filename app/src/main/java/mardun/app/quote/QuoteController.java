package mardun.app.quote;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.util.List;
import mardun.app.quote.Customers.CustomerRecord;
import mardun.app.quote.QuoteViews.AcceptForm;
import mardun.app.quote.QuoteViews.DeclineForm;
import mardun.app.quote.QuoteViews.QuoteFigures;
import mardun.app.quote.QuoteViews.QuoteForm;
import mardun.app.quote.QuoteViews.QuotePaperForm;
import mardun.app.quote.QuoteViews.QuoteRow;
import mardun.app.quote.QuoteViews.QuoteStep;
import mardun.app.quote.QuoteViews.QuoteView;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/quotes")
@Tag(name = "quotes")
class QuoteController {

    private final QuoteService quotes;
    private final QuoteAcceptance acceptance;
    private final Customers customers;

    QuoteController(QuoteService quotes, QuoteAcceptance acceptance, Customers customers) {
        this.quotes = quotes;
        this.acceptance = acceptance;
        this.customers = customers;
    }

    @GetMapping
    List<QuoteRow> listQuotes() {
        return quotes.list();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    QuoteView beginQuote(@Valid @RequestBody QuoteForm form) {
        return quotes.get(quotes.begin(form));
    }

    /** What a quote that is being typed comes to; nothing is kept. */
    @PostMapping("/preview")
    QuoteFigures previewQuote(@Valid @RequestBody QuoteForm form) {
        return quotes.preview(form);
    }

    @GetMapping("/{id}")
    QuoteView readQuote(@PathVariable long id) {
        return quotes.get(id);
    }

    @PutMapping("/{id}")
    QuoteView changeQuote(@PathVariable long id, @Valid @RequestBody QuoteForm form) {
        quotes.change(id, form);
        return quotes.get(id);
    }

    /** It is given to the customer as it stands, as a version that never changes again. */
    @PostMapping("/{id}/give")
    QuoteView giveQuote(@PathVariable long id, @Valid @RequestBody QuoteStep step) {
        quotes.give(id, step);
        return quotes.get(id);
    }

    @GetMapping("/{id}/versions/{number}/quote.pdf")
    ResponseEntity<byte[]> printQuote(@PathVariable long id, @PathVariable int number) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"quote-" + id + "-" + number + ".pdf\"")
                .body(quotes.pdf(id, number));
    }

    /** The customer takes a version: it becomes an order and a batch. */
    @PostMapping("/{id}/accept")
    QuoteView acceptQuote(@PathVariable long id, @Valid @RequestBody AcceptForm form) {
        acceptance.accept(id, form);
        return quotes.get(id);
    }

    @PostMapping("/{id}/decline")
    QuoteView declineQuote(@PathVariable long id, @Valid @RequestBody DeclineForm form) {
        quotes.decline(id, form);
        return quotes.get(id);
    }

    @PostMapping("/{id}/open-again")
    QuoteView openQuoteAgain(@PathVariable long id, @Valid @RequestBody QuoteStep step) {
        quotes.openAgain(id, step);
        return quotes.get(id);
    }

    /** All that is kept of the person who asked, for them to have. */
    @GetMapping("/{id}/customer.json")
    ResponseEntity<CustomerRecord> exportCustomer(@PathVariable long id) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"quote-" + id + "-customer.json\"")
                .body(customers.record(id));
    }

    /** Who asked is forgotten: name, address, messages and the words of wishes; the figures stay. */
    @PostMapping("/{id}/forget")
    QuoteView forgetCustomer(@PathVariable long id, @Valid @RequestBody QuoteStep step) {
        customers.forget(id, step);
        return quotes.get(id);
    }

    /** What stands on every quote. */
    @GetMapping("/paper")
    QuotePaperForm readQuotePaper() {
        return quotes.paper();
    }

    @PutMapping("/paper")
    QuotePaperForm changeQuotePaper(@Valid @RequestBody QuotePaperForm form) {
        quotes.changePaper(form);
        return quotes.paper();
    }
}
