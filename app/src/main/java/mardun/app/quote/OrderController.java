package mardun.app.quote;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import mardun.app.quote.CustomerOrderViews.CancelForm;
import mardun.app.quote.CustomerOrderViews.CustomerOrderView;
import mardun.app.quote.CustomerOrderViews.CustomerOrders;
import mardun.app.quote.CustomerOrderViews.DepositForm;
import mardun.app.quote.CustomerOrderViews.HandOverBags;
import mardun.app.quote.CustomerOrderViews.HandOverForm;
import mardun.app.quote.CustomerOrderViews.OrderNoteForm;
import mardun.app.quote.CustomerOrderViews.OrderStep;
import mardun.app.sale.ReturnViews.BuyersBags;
import mardun.app.sale.ReturnViews.CameBackForm;
import mardun.app.show.PageView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/orders")
@Tag(name = "orders")
class OrderController {

    private final OrderService orders;
    private final HandingOver handingOver;
    private final ComingBack comingBack;

    OrderController(OrderService orders, HandingOver handingOver, ComingBack comingBack) {
        this.orders = orders;
        this.handingOver = handingOver;
        this.comingBack = comingBack;
    }

    /** Private orders: those that are open, the one that is due first in front, and the others, found by number and who ordered. */
    @GetMapping
    CustomerOrders listOrders(
            @RequestParam(defaultValue = "") String query,
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "50") @Min(1) @Max(PageView.LARGEST) int size) {
        return orders.list(query, page, size);
    }

    @GetMapping("/{id}")
    CustomerOrderView readOrder(@PathVariable long id) {
        return orders.get(id);
    }

    /** The bags that can be handed over, those of the order's batch in front. */
    @GetMapping("/{id}/bags")
    List<HandOverBags> listHandOverBags(@PathVariable long id) {
        return handingOver.bags(id);
    }

    /** The bags of its batch that are at home are put aside for it, so that nobody packs or sells them. */
    @PostMapping("/{id}/put-aside")
    CustomerOrderView putAsideForOrder(@PathVariable long id, @Valid @RequestBody OrderStep step) {
        handingOver.putAside(id, step);
        return orders.get(id);
    }

    /** The customer takes the bags and pays: they leave the shelf as a sale. */
    @PostMapping("/{id}/hand-over")
    CustomerOrderView handOverOrder(@PathVariable long id, @Valid @RequestBody HandOverForm form) {
        handingOver.handOver(id, form);
        return orders.get(id);
    }

    /** The bags of a handed over order that the customer has. */
    @GetMapping("/{id}/customers-bags")
    List<BuyersBags> listCustomersBags(@PathVariable long id) {
        return comingBack.bags(id);
    }

    /** Some bags came back: they go where they belong now, what was given back comes off the sale, and their design learns why. */
    @PostMapping("/{id}/came-back")
    CustomerOrderView customerOrderCameBack(@PathVariable long id, @Valid @RequestBody CameBackForm form) {
        comingBack.take(id, form);
        return orders.get(id);
    }

    @PostMapping("/{id}/cancel")
    CustomerOrderView cancelOrder(@PathVariable long id, @Valid @RequestBody CancelForm form) {
        orders.cancel(id, form);
        return orders.get(id);
    }

    /** It is open again; a sale that was booked is taken back. */
    @PostMapping("/{id}/open-again")
    CustomerOrderView openOrderAgain(@PathVariable long id, @Valid @RequestBody OrderStep step) {
        orders.openAgain(id, step);
        return orders.get(id);
    }

    @PostMapping("/{id}/deposit")
    CustomerOrderView payDeposit(@PathVariable long id, @Valid @RequestBody DepositForm form) {
        orders.payDeposit(id, form);
        return orders.get(id);
    }

    @PostMapping("/{id}/notes")
    CustomerOrderView noteOnOrder(@PathVariable long id, @Valid @RequestBody OrderNoteForm form) {
        orders.note(id, form);
        return orders.get(id);
    }
}
