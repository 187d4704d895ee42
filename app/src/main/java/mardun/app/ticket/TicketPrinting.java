package mardun.app.ticket;

import java.util.Optional;
import mardun.app.printer.LabelPrinter;
import mardun.app.printer.LabelPrinter.Trouble;
import mardun.app.printer.PrintedLabel;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Gives tickets to the label printer, one after the other. Each is counted in a transaction of its own as soon as it came out, so that
 * one goes on where it stopped, whatever stopped it.
 */
@Component
class TicketPrinting {

    private final TicketRunRepository runs;
    private final LabelPrinter printer;
    private final TransactionTemplate transaction;

    TicketPrinting(TicketRunRepository runs, LabelPrinter printer, PlatformTransactionManager transactions) {
        this.runs = runs;
        this.printer = printer;
        this.transaction = new TransactionTemplate(transactions);
    }

    /** What came of giving one ticket to the printer. */
    private record Step(boolean goesOn, Optional<Trouble> trouble) {}

    /** Prints what is still to come of a run; answers why it stopped before all was out, or nothing. */
    Optional<Trouble> goOn(long id) {
        Step step;
        do {
            step = transaction.execute(status -> next(id));
        } while (step.goesOn());
        return step.trouble();
    }

    private Step next(long id) {
        TicketRun run = runs.findForPrinting(id).orElseThrow(TicketService::none);
        return run.next()
                .map(line -> {
                    Optional<Trouble> trouble = printer.print(new PrintedLabel(
                            "tickets-" + id + "-" + line.position() + "-" + line.cameOut(),
                            TicketService.drawing(run, line)));
                    if (trouble.isEmpty()) {
                        line.comeOut();
                    }
                    return new Step(trouble.isEmpty(), trouble);
                })
                .orElse(new Step(false, Optional.empty()));
    }
}
