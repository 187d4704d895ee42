package mardun.app.ticket;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import mardun.app.id.BatchId;
import mardun.app.id.ChannelId;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Which tickets came out for some bags, for other areas to tell. */
@Component
public class PrintedTickets {

    private final TicketRunRepository runs;

    PrintedTickets(TicketRunRepository runs) {
        this.runs = runs;
    }

    /**
     * Tickets that came out at once.
     *
     * @param priceMinor empty where no price stands on them
     * @param channel whose prices they say; empty for none
     */
    public record Printed(Instant at, int units, Optional<Long> priceMinor, Optional<ChannelId> channel) {}

    /** The tickets of a lot, also those that came out before its bags were done. */
    @Transactional(readOnly = true)
    public List<Printed> of(long goodsId, Optional<BatchId> batch, Optional<Integer> line) {
        Stream<TicketLine> ahead = batch.isEmpty() || line.isEmpty()
                ? Stream.empty()
                : runs.printedAhead(List.of(batch.get())).stream()
                        .filter(ticket -> Objects.equals(ticket.bags().line(), line.get()));
        return Stream.concat(runs.printedFor(List.of(goodsId)).stream(), ahead)
                .map(ticket -> new Printed(
                        ticket.run().madeAt(),
                        ticket.cameOut(),
                        ticket.priceMinor(),
                        ticket.run().channelId()))
                .toList();
    }
}
