package mardun.app.shop;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import mardun.app.sale.ReturnViews.BuyersBags;
import mardun.app.sale.ReturnViews.CameBackForm;
import mardun.app.shop.ShopViews.LinkForm;
import mardun.app.shop.ShopViews.ListingForm;
import mardun.app.shop.ShopViews.OnlineShopView;
import mardun.app.shop.ShopViews.OrderForm;
import mardun.app.shop.ShopViews.PayoutView;
import mardun.app.shop.ShopViews.ShopOrderView;
import mardun.app.show.PageView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/online-shop")
@Tag(name = "online shop")
class ShopController {

    private final ShopReading reading;
    private final ShopDesk desk;
    private final ShopReturns returns;

    ShopController(ShopReading reading, ShopDesk desk, ShopReturns returns) {
        this.reading = reading;
        this.desk = desk;
        this.returns = returns;
    }

    @GetMapping
    OnlineShopView getOnlineShop() {
        return reading.shop();
    }

    /** Orders that don't wait to be posted any more, the latest first, found by number and buyer. */
    @GetMapping("/orders")
    PageView<ShopOrderView> listAnsweredOrders(
            @RequestParam(defaultValue = "") String query,
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "50") @Min(1) @Max(PageView.LARGEST) int size) {
        return reading.answered(query, page, size);
    }

    /** What the shop paid out, held against its orders; the latest first. */
    @GetMapping("/payouts")
    PageView<PayoutView> listPayouts(
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "12") @Min(1) @Max(PageView.LARGEST) int size) {
        return reading.payouts(page, size);
    }

    @PutMapping
    OnlineShopView linkOnlineShop(@RequestBody @Valid LinkForm form) {
        reading.link(form);
        desk.look();
        return reading.shop();
    }

    @PutMapping("/listings")
    OnlineShopView offerOnline(@RequestBody @Valid ListingForm form) {
        reading.offer(form);
        desk.look();
        return reading.shop();
    }

    /** Looks at the shop now. */
    @PutMapping("/looked")
    OnlineShopView lookAtOnlineShop() {
        desk.look();
        return reading.shop();
    }

    @PutMapping("/orders/{id}/posted")
    OnlineShopView postOrder(@PathVariable long id, @RequestBody @Valid OrderForm form) {
        desk.post(id, form.version());
        return reading.shop();
    }

    @PutMapping("/orders/{id}/arrived")
    OnlineShopView orderArrived(@PathVariable long id, @RequestBody @Valid OrderForm form) {
        desk.arrive(id, form.version());
        return reading.shop();
    }

    /** The bags of an order that its buyer has. */
    @GetMapping("/orders/{id}/buyers-bags")
    List<BuyersBags> listBuyersBags(@PathVariable long id) {
        return returns.bags(id);
    }

    /** Some bags came back: they go where they belong now, the shop pays back what the buyer gets, and their design learns why. */
    @PostMapping("/orders/{id}/came-back")
    OnlineShopView orderCameBack(@PathVariable long id, @RequestBody @Valid CameBackForm form) {
        returns.take(id, form);
        desk.look();
        return reading.shop();
    }

    @PutMapping("/orders/{id}/forgotten")
    OnlineShopView forgetBuyer(@PathVariable long id, @RequestBody @Valid OrderForm form) {
        desk.forget(id, form.version());
        return reading.shop();
    }
}
