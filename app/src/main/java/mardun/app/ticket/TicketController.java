package mardun.app.ticket;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import mardun.app.id.ChannelId;
import mardun.app.printer.LabelPrinter.Trouble;
import mardun.app.ticket.TicketViews.SheetForm;
import mardun.app.ticket.TicketViews.TicketPreview;
import mardun.app.ticket.TicketViews.TicketRunView;
import mardun.app.ticket.TicketViews.TicketsForm;
import mardun.app.ticket.TicketViews.TicketsView;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/price-tickets")
@Tag(name = "price tickets")
class TicketController {

    private final TicketService tickets;
    private final TicketPrinting printing;
    private final LabelSheets sheets;

    TicketController(TicketService tickets, TicketPrinting printing, LabelSheets sheets) {
        this.tickets = tickets;
        this.printing = printing;
        this.sheets = sheets;
    }

    /** Which bags have a ticket that holds, prices being those of a channel; of the usual one where none is named. */
    @GetMapping
    TicketsView readTickets(@RequestParam(required = false) @Nullable ChannelId channel) {
        return tickets.tickets(channel);
    }

    /** How tickets will look; nothing is kept. */
    @PostMapping("/preview")
    TicketPreview previewTickets(@Valid @RequestBody TicketsForm form) {
        return tickets.preview(form);
    }

    /** Keeps tickets as they are printed, and gives them to the label printer where that is wanted. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    TicketRunView makeTickets(@Valid @RequestBody TicketsForm form) {
        return goOn(tickets.make(form));
    }

    /** Goes on with what the label printer still has to print. */
    @PostMapping("/{id}/go-on")
    TicketRunView goOnPrinting(@PathVariable long id) {
        return goOn(id);
    }

    private TicketRunView goOn(long id) {
        return tickets.run(id, printing.goOn(id).map(Trouble::sentence).orElse(null));
    }

    /** They came out badly, or weren't stuck on: as if they hadn't been printed. */
    @PostMapping("/{id}/take-back")
    TicketRunView takeTicketsBack(@PathVariable long id) {
        tickets.takeBack(id);
        return tickets.run(id, null);
    }

    /** The sheets, to be printed true to size. */
    @GetMapping("/{id}/sheets.pdf")
    ResponseEntity<byte[]> printSheets(@PathVariable long id) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"tickets-" + id + ".pdf\"")
                .body(tickets.pdf(id));
    }

    /** Keeps a sheet of labels that the maker measured; answers its key. */
    @PostMapping("/sheets")
    @ResponseStatus(HttpStatus.CREATED)
    SheetAdded addSheet(@Valid @RequestBody SheetForm form) {
        return new SheetAdded(sheets.add(form));
    }

    @DeleteMapping("/sheets/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putSheetAway(@PathVariable long id) {
        sheets.putAway(id);
    }

    /** The key of a sheet that was kept. */
    record SheetAdded(String key) {}
}
