package mardun.app.quote;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsService;
import mardun.app.id.BatchId;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.quote.CustomerOrderViews.CancelForm;
import mardun.app.quote.CustomerOrderViews.CustomerOrderRow;
import mardun.app.quote.CustomerOrderViews.CustomerOrderView;
import mardun.app.quote.CustomerOrderViews.CustomerOrders;
import mardun.app.quote.CustomerOrderViews.DepositForm;
import mardun.app.quote.CustomerOrderViews.OrderNoteForm;
import mardun.app.quote.CustomerOrderViews.OrderNoteView;
import mardun.app.quote.CustomerOrderViews.OrderStep;
import mardun.app.sale.Sales;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.SearchWords;
import mardun.app.show.ViewWriter;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Private orders from the day on which they are agreed until the bags are handed over and paid. */
@Service
public class OrderService {

    private final CustomerOrderRepository orders;
    private final OrderNoteRepository notes;
    private final HandingOver handingOver;
    private final GoodsLedger ledger;
    private final Sales sales;
    private final SettingsService settings;
    private final Clock clock;

    OrderService(
            CustomerOrderRepository orders,
            OrderNoteRepository notes,
            HandingOver handingOver,
            GoodsLedger ledger,
            Sales sales,
            SettingsService settings,
            Clock clock) {
        this.orders = orders;
        this.notes = notes;
        this.handingOver = handingOver;
        this.ledger = ledger;
        this.sales = sales;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * The orders that are open, and a page of those that aren't, the latest first.
     *
     * @param query words of the number and of who ordered what is closed
     */
    @Transactional(readOnly = true)
    public CustomerOrders list(String query, int page, int size) {
        List<CustomerOrder> open = orders.open();
        Map<BatchId, Integer> made = made(open);
        ViewWriter writer = settings.current().writer();
        return new CustomerOrders(
                open.stream().map(order -> row(order, made, writer)).toList(),
                PageView.of(
                        orders.closed(SearchWords.like(query), PageRequest.of(page, size)),
                        order -> row(order, Map.of(), writer)));
    }

    private CustomerOrderRow row(CustomerOrder order, Map<BatchId, Integer> made, ViewWriter writer) {
        return new CustomerOrderRow(
                order.id(),
                order.state(),
                order.who(),
                words(order),
                order.units(),
                order.batchId().map(batch -> made.getOrDefault(batch, 0)).orElse(0),
                writer.money(order.totalMinor()),
                order.dueOn().orElse(null),
                isLate(order),
                order.closedOn().orElse(null));
    }

    private static List<String> words(CustomerOrder order) {
        return order.lines().stream().map(OrderedLine::words).toList();
    }

    private boolean isLate(CustomerOrder order) {
        return order.state() == CustomerOrderState.AGREED
                && order.dueOn()
                        .filter(day -> day.isBefore(LocalDate.now(clock)))
                        .isPresent();
    }

    /** How many good bags the batches of some orders have given. */
    private Map<BatchId, Integer> made(Collection<CustomerOrder> some) {
        return ledger.madeIn(
                some.stream().flatMap(order -> order.batchId().stream()).toList());
    }

    @Transactional(readOnly = true)
    public CustomerOrderView get(long id) {
        return view(orders.findById(id).orElseThrow(OrderService::none));
    }

    CustomerOrderView view(CustomerOrder order) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        return new CustomerOrderView(
                order.id(),
                order.version(),
                order.quoteId(),
                order.quoteNumber(),
                order.state(),
                order.who(),
                order.reach(),
                words(order),
                order.units(),
                order.batchId()
                        .map(batch -> made(List.of(order)).getOrDefault(batch, 0))
                        .orElse(0),
                writer.money(order.totalMinor()),
                writer.money(order.depositMinor()),
                writer.money(order.totalMinor()
                        - order.depositPaidOn().map(day -> order.depositMinor()).orElse(0L)),
                order.depositPaidOn().orElse(null),
                order.isDepositKept(),
                LocalDate.ofInstant(order.madeAt(), clock.getZone()),
                order.dueOn().orElse(null),
                isLate(order),
                order.closedOn().orElse(null),
                order.reason(),
                order.paidMinor().map(writer::money).orElse(null),
                order.tender().orElse(null),
                order.isForgotten(),
                order.batchId().orElse(null),
                handingOver.own(order, GoodsService.HOME),
                handingOver.own(order, HandingOver.aside(order.id())),
                notes.findByOrderIdOrderByWrittenAtDescIdDesc(order.id()).stream()
                        .map(note -> new OrderNoteView(
                                note.getId(), LocalDate.ofInstant(note.writtenAt(), clock.getZone()), note.text()))
                        .toList());
    }

    /** Nothing comes of it. Its batch stays as it is. */
    @Transactional
    public void cancel(long id, CancelForm form) {
        CustomerOrder order = forChange(id, form.version());
        order.cancel(LocalDate.now(clock), form.reason().strip(), form.keepsDeposit());
        handingOver.putBack(order);
        orders.saveAndFlush(order);
    }

    /** It is open again: bags that were handed over are back where they were, and their sale is taken back. */
    @Transactional
    public void openAgain(long id, OrderStep step) {
        CustomerOrder order = forChange(id, step.version());
        Optional<UUID> sale = order.saleId();
        order.openAgain();
        sale.ifPresent(sales::takeBack);
        orders.saveAndFlush(order);
    }

    /** The deposit was paid today, or wasn't after all. */
    @Transactional
    public void payDeposit(long id, DepositForm form) {
        CustomerOrder order = forChange(id, form.version());
        order.depositPaid(form.paid() ? LocalDate.now(clock) : null);
        orders.saveAndFlush(order);
    }

    /** Keeps what was said; sent twice, once. */
    @Transactional
    public void note(long id, OrderNoteForm form) {
        CustomerOrder order = orders.findForChange(id).orElseThrow(OrderService::none);
        if (order.isForgotten()) {
            throw RefusedException.conflict("Whose order this was is forgotten; nothing more is noted of it.");
        }
        FieldReader fields = new FieldReader();
        if (form.text().isBlank()) {
            fields.refuse("text", form.text(), "A note says something. Type what was said.");
        }
        fields.check();
        if (!notes.existsById(form.id())) {
            notes.saveAndFlush(
                    new OrderNote(form.id(), id, clock.instant(), form.text().strip()));
        }
    }

    /** Whose order it was is kept no longer, nor what was said with them; inside the caller's transaction. */
    void forget(CustomerOrder order) {
        order.forget();
        notes.deleteByOrderId(order.id());
        orders.saveAndFlush(order);
    }

    private CustomerOrder forChange(long id, long version) {
        CustomerOrder order = orders.findForChange(id).orElseThrow(OrderService::none);
        ChangedMeanwhileException.check("This order", version, order.version());
        return order;
    }

    static RefusedException none() {
        return RefusedException.missing("There is no such order, or no longer.");
    }
}
