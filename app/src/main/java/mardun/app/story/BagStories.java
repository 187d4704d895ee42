package mardun.app.story;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import mardun.app.channel.Channels;
import mardun.app.channel.KeptChannel;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLot;
import mardun.app.goods.GoodsService;
import mardun.app.problem.RefusedException;
import mardun.app.sale.SalesBook;
import mardun.app.selling.FairRecords;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.story.BagStory.MovedThen;
import mardun.app.story.BagStory.SoldThen;
import mardun.app.story.BagStory.TicketsThen;
import mardun.app.ticket.PrintedTickets;
import mardun.core.money.Apportionment;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts together what shelf, tickets and sales know of bags that were done together. */
@Service
public class BagStories {

    private final GoodsService goods;
    private final GoodsLedger ledger;
    private final PrintedTickets tickets;
    private final SalesBook sales;
    private final Channels channels;
    private final FairRecords fairs;
    private final SettingsService settings;
    private final Clock clock;

    BagStories(
            GoodsService goods,
            GoodsLedger ledger,
            PrintedTickets tickets,
            SalesBook sales,
            Channels channels,
            FairRecords fairs,
            SettingsService settings,
            Clock clock) {
        this.goods = goods;
        this.ledger = ledger;
        this.tickets = tickets;
        this.sales = sales;
        this.channels = channels;
        this.fairs = fairs;
        this.settings = settings;
        this.clock = clock;
    }

    /** @throws RefusedException if there is no such lot */
    @Transactional(readOnly = true)
    public BagStory of(long id) {
        GoodsLot lot =
                ledger.lot(id).orElseThrow(() -> RefusedException.missing("There are no such bags, or no longer."));
        ViewWriter writer = settings.current().writer();
        Optional<Long> labour = lot.unitLabourMinor();
        long overheads = Apportionment.share(lot.overheadMinor(), 1, lot.made());
        List<SalesBook.SoldOfLot> sold = sales.ofLot(id);
        return new BagStory(
                goods.get(id),
                lot.made(),
                labour.map(its -> writer.money(lot.unitCostMinor() - its - overheads))
                        .orElse(null),
                labour.map(writer::money).orElse(null),
                labour.map(its -> writer.money(overheads)).orElse(null),
                lot.unitSeconds()
                        .map(seconds -> writer.time(Duration.ofSeconds(seconds)))
                        .orElse(null),
                ledger.partedFrom(id).orElse(null),
                ledger.secondsOf(id),
                tickets.of(id, lot.batchId(), lot.lineNumber()).stream()
                        .map(one -> new TicketsThen(
                                day(one.at()),
                                one.units(),
                                one.priceMinor().map(writer::money).orElse(null),
                                one.channel()
                                        .map(channels::get)
                                        .map(KeptChannel::name)
                                        .orElse(null)))
                        .toList(),
                sold.stream().map(one -> sold(one, writer)).toList(),
                sold.stream().mapToInt(SalesBook.SoldOfLot::units).sum(),
                goods.movements(id).stream()
                        .map(one ->
                                new MovedThen(day(one.movedAt()), one.kind(), one.place(), one.change(), one.reason()))
                        .toList());
    }

    private SoldThen sold(SalesBook.SoldOfLot one, ViewWriter writer) {
        return new SoldThen(
                one.day(),
                Optional.ofNullable(one.fair())
                        .flatMap(fairs::nameOf)
                        .orElseGet(() -> channels.get(one.channel()).name()),
                one.fair(),
                one.units(),
                writer.money(one.paidMinor()),
                one.note());
    }

    private LocalDate day(Instant moment) {
        return LocalDate.ofInstant(moment, clock.getZone());
    }
}
